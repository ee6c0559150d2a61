/** A table from a lab or an instrument: columns matched, rows looked over, all of it brought in or none. */
import { useEffect, useMemo, useState } from 'react';
import { ActivityIndicator, View } from 'react-native';
import { router, useLocalSearchParams } from 'expo-router';
import {
  DECIDERS,
  READING_UNITS,
  resultText,
  say,
  standingReadings,
  type FirmSettings,
  type JobFacts,
  type Reading,
  type ReadingUnit,
  many,
} from '@roughsill/core';
import {
  guessMapping,
  NEEDED,
  previewImport,
  readTable,
  type Column,
  type ImportKind,
  type ImportRow,
  type Mapping,
  type Table,
} from '@roughsill/core/import';
import { Button, Empty, FilePick, Panel, Pick, Problems, Select, TextField, useUnits, Words } from '../../kit';
import { add, api, commit, useAppDispatch, useAppSelector, useSettings } from '../../store';
import { ChangedPanel } from '../ChangedPanel';
import { JobPage } from '../JobPage';
import { MAX_BYTES, TOO_LARGE } from './table-file';
import { cap } from '../../kit/text';

export const ImportScreen = () => (
  <JobPage
    title="Import CSV"
    hint="CSV with comma, semicolon or tab; UTF-8, UTF-16 or Windows. Nothing is written until every row is right or left out."
  >
    {(facts) => <Import facts={facts} />}
  </JobPage>
);

const COLUMN_WORDS: Readonly<Record<Column, string>> = {
  sample: 'Sample number',
  surface: 'Surface',
  space: 'Room or side',
  value: 'Result',
  unit: 'Unit',
  analyte: 'What the lab looked for',
  analysis: 'How the lab looked',
  date: 'Date',
  device: 'Instrument',
  note: 'Note',
};
const USED: Readonly<Record<ImportKind, readonly Column[]>> = {
  lab: ['sample', 'value', 'unit', 'analyte', 'analysis', 'date', 'note'],
  instrument: ['surface', 'space', 'value', 'unit', 'date', 'device', 'note'],
};
const ROWS_SHOWN = 60;

function Import({ facts }: { readonly facts: JobFacts }) {
  const { from } = useLocalSearchParams<{ from?: string }>();
  const dispatch = useAppDispatch();
  const by = useAppSelector((s) => s.session.person);
  const [table, setTable] = useState<Table | null>(null);
  const [kind, setKind] = useState<ImportKind>('lab');
  const [mapping, setMapping] = useState<Mapping | null>(null);
  const [unit, setUnit] = useState<ReadingUnit | ''>('');
  const [renamed, setRenamed] = useState<Readonly<Record<number, string>>>({});
  const [decidedBy, setDecidedBy] = useState<Reading['decidedBy']>('unsaid');
  const [certificate, setCertificate] = useState('');
  const [problem, setProblem] = useState<string>();
  const [told, setTold] = useState<string>();
  const [busy, setBusy] = useState(from === 'lab');
  const settings = useSettings();
  /** As the job stood before the last import; null: nothing was brought in. */
  const [was, setWas] = useState<{ readonly facts: JobFacts; readonly settings: FirmSettings } | null>(null);
  const jobId = facts.job.id;

  const open = (bytes: Uint8Array) => {
    const read = readTable(bytes);
    setRenamed({});
    if (!read.ok) {
      setTable(null);
      return setProblem(read.problems.map((p) => `${p.path === '(file)' ? 'The file' : p.path} ${p.message}.`).join(' '));
    }
    setProblem(undefined);
    setTable(read.value);
    setMapping(guessMapping(read.value.headers));
  };
  const took = (r: Awaited<ReturnType<typeof api.labAnswers>>) => {
    setBusy(false);
    if (!r.ok) return setProblem(r.error.says);
    setTold(`${r.value.lab}: ${r.value.ready} ready, ${r.value.waiting} still on the bench.`);
    setKind('lab');
    if (r.value.ready > 0) open(new TextEncoder().encode(r.value.csv));
  };
  const fetchLab = () => {
    setBusy(true);
    void api.labAnswers(jobId).then(took);
  };
  useEffect(() => {
    if (from === 'lab') void api.labAnswers(jobId).then(took);
    // Asked once, when the page is opened from the register.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);

  const preview = useMemo(
    () =>
      table && mapping
        ? previewImport(table, facts, {
            kind,
            mapping,
            unit: unit || null,
            takenAt: new Date().toISOString(),
            rules: facts.job.rulebook,
            by,
            now: new Date().toISOString(),
            renamed,
            decidedBy,
            certificate,
          })
        : null,
    [table, mapping, facts, kind, unit, by, renamed, decidedBy, certificate],
  );
  const write = () => {
    const rows =
      preview?.rows.filter(
        (r): r is ImportRow & { surfaceId: string } => r.reading !== null && r.problems.length === 0 && !r.already && r.surfaceId !== null,
      ) ?? [];
    const found = dispatch(
      commit(
        jobId,
        rows.map((r) => add('reading', r.reading!, r.surfaceId)),
        null,
      ),
    );
    if (found[0]) return setProblem(found[0].message);
    setWas({ facts, settings });
    setTable(null);
    setTold(`${rows.length} ${rows.length === 1 ? 'result' : 'results'} imported.`);
  };

  return (
    <>
      {told ? (
        <Words look="strong" testID="import-told">
          {told}
        </Words>
      ) : null}
      {was ? <ChangedPanel title="What that changes" aside="by this import" was={was} facts={facts} settings={settings} /> : null}
      {busy ? <ActivityIndicator aria-label="Asking the lab" /> : null}
      <View className="flex-row flex-wrap gap-2">
        <FilePick
          label="Pick a file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          testID="table-file"
          onFiles={([file]) => {
            if (!file) return;
            setTold(undefined);
            if (file.size > MAX_BYTES) return setProblem(TOO_LARGE);
            void file.arrayBuffer().then((b) => open(new Uint8Array(b)));
          }}
        />
        <Button label="Ask the simulated lab" testID="ask-lab" onPress={fetchLab} />
      </View>
      {problem ? (
        <Words alert look="strong" tone="oxide" testID="import-problem">
          {problem}
        </Words>
      ) : null}
      {table && mapping && preview ? (
        <>
          <Pick
            label="It holds"
            value={kind}
            options={[
              { value: 'lab', label: 'a lab’s answers' },
              { value: 'instrument', label: 'an instrument’s readings' },
            ]}
            onChange={setKind}
          />
          <Panel title="Columns" aside={`${many(table.rows.length, 'row')}, ${table.encoding}`}>
            <View className="flex-row flex-wrap gap-3">
              {USED[kind].map((c) => (
                <View key={c} className="min-w-[10rem] flex-1">
                  <Select
                    label={`${COLUMN_WORDS[c]}${NEEDED[kind].includes(c) ? '' : ', if given'}`}
                    value={mapping[c] === null ? '' : String(mapping[c])}
                    options={[
                      { value: '', label: 'not in the file' },
                      ...table.headers.map((h, i) => ({ value: String(i), label: h || `column ${i + 1}` })),
                    ]}
                    onChange={(v) => setMapping({ ...mapping, [c]: v === '' ? null : Number(v) })}
                    testID={`column-${c}`}
                  />
                </View>
              ))}
              <View className="min-w-[10rem] flex-1">
                <Select
                  label="Unit where a row has none"
                  value={unit}
                  options={[
                    { value: '', label: 'state the unit' },
                    ...READING_UNITS.map((u) => ({ value: u, label: u === 'mass%' ? '% by mass' : u })),
                  ]}
                  onChange={setUnit}
                  testID="import-unit"
                />
              </View>
              {kind === 'instrument' ? (
                <>
                  <View className="min-w-[10rem] flex-1">
                    <Select
                      label="Who decides by XRF"
                      value={decidedBy}
                      options={DECIDERS.map((value) => ({ value, label: cap(say(value)) }))}
                      onChange={setDecidedBy}
                      testID="import-decider"
                    />
                  </View>
                  <View className="min-w-[10rem] flex-1">
                    <TextField label="Their certificate" value={certificate} onCommit={setCertificate} />
                  </View>
                </>
              ) : null}
            </View>
          </Panel>
          <Problems problems={preview.problems} />
          {preview.problems.length === 0 ? (
            <Rows facts={facts} kind={kind} preview={preview.rows} onRename={(line, to) => setRenamed({ ...renamed, [line]: to })} />
          ) : null}
          {preview.wrong > 0 ? (
            <Words
              alert
              look="strong"
              tone="oxide"
            >{`${preview.wrong} ${preview.wrong === 1 ? 'row needs' : 'rows need'} putting right. Nothing is imported until they are, or are left out.`}</Words>
          ) : null}
          {preview.ready === 0 && preview.already > 0 ? <Empty says="Every row of this file is in already." /> : null}
          {preview.wrong > 0 ? (
            <Button
              label={`Leave out ${preview.wrong}, import ${preview.ready === 1 ? 'the one that is right' : `the ${preview.ready} that are right`}`}
              disabled={preview.ready === 0}
              onPress={write}
              testID="leave-out"
            />
          ) : (
            <Button look="main" label={`Import ${preview.ready}`} disabled={preview.ready === 0} onPress={write} testID="bring-in" />
          )}
        </>
      ) : null}
      <Button look="quiet" label="To the samples" onPress={() => router.navigate(`/samples/${jobId}`)} />
    </>
  );
}

/** What a row may be meant for: samples that are out and not answered, or surfaces with their room. */
function candidates(facts: JobFacts, kind: ImportKind): readonly { readonly value: string; readonly label: string }[] {
  const room = new Map(facts.spaces.map((s) => [s.id, s.name]));
  const there = facts.surfaces.filter((s) => s.removedAt === null);
  if (kind === 'instrument')
    return there.map((s) => ({ value: `${room.get(s.spaceId) ?? ''}/${s.name}`, label: `${room.get(s.spaceId) ?? ''}: ${s.name}` }));
  return there.flatMap((s) => {
    const answered = new Set(standingReadings(s).map((r) => r.sampleId));
    return s.samples
      .filter((x) => x.removedAt === null && x.takenAt !== null && !answered.has(x.id))
      .map((x) => ({ value: x.number, label: [x.number, s.name, x.place].filter(Boolean).join(' · ') }));
  });
}

interface RowsProps {
  readonly facts: JobFacts;
  readonly kind: ImportKind;
  readonly preview: readonly ImportRow[];
  readonly onRename: (line: number, to: string) => void;
}

function Rows({ facts, kind, preview, onRename }: RowsProps) {
  const units = useUnits();
  const choices = useMemo(() => candidates(facts, kind), [facts, kind]);
  // What is wrong comes first: it is what a person came to see.
  const sorted = [...preview].sort((a, b) => Number(b.problems.length > 0) - Number(a.problems.length > 0) || a.line - b.line);
  return (
    <View className="gap-1" testID="preview">
      {sorted.slice(0, ROWS_SHOWN).map((r) => (
        <View
          key={r.line}
          className={`border-l-4 bg-panel px-3 py-2 ${r.problems.length > 0 ? 'border-oxide' : r.already ? 'border-line' : 'border-verdigris'}`}
        >
          <View className="flex-row flex-wrap justify-between gap-x-3">
            <Words look="row">{r.label || `line ${r.line}`}</Words>
            <Words>
              {r.already ? 'in already' : r.reading ? `${say(r.reading.kind)} ${resultText(r.reading, units) ?? ''}` : 'not right yet'}
            </Words>
          </View>
          {r.problems.map((p) => (
            <Words key={p.message} look="strong" tone="oxide">{`${cap(p.path)}: ${p.message}`}</Words>
          ))}
          {r.problems.length > 0 ? (
            <Select
              label={kind === 'lab' ? `Line ${r.line} is the answer to` : `Line ${r.line} was read on`}
              value={choices.some((c) => c.value === r.label) ? r.label : ''}
              options={[{ value: '', label: r.label ? `“${r.label}”, as in the file` : 'not said in the file' }, ...choices]}
              onChange={(to) => to !== '' && onRename(r.line, to)}
              testID={`rename-${r.line}`}
            />
          ) : null}
        </View>
      ))}
      {preview.length > ROWS_SHOWN ? <Words look="note">{`and ${preview.length - ROWS_SHOWN} more rows`}</Words> : null}
    </View>
  );
}
