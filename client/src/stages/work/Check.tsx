/** One check of a step: its number or its tick, what it came to, and its pictures. */
import { useState } from 'react';
import { View } from 'react-native';
import {
  CHECK_UNITS,
  checkUnit,
  checkOutcome,
  convert,
  dewPointC,
  formatMeasure,
  measure,
  say,
  setsUp,
  tagsOf,
  unitFor,
  UNITS,
  type Asked,
  type Check,
  type CheckNumber,
  type Gate,
  type SpokenOf,
  type JobFacts,
  type Surface,
} from '@roughsill/core';
import { sentence } from '@roughsill/core/words';
import { Button, NumberField, useUnits, useWhen, Words } from '../../kit';
import { useKept } from '../../kit/drafts';
import { Why } from '../../kit/Why';
import { add, commit, commitToFirm, set, useAppDispatch, useFirm, useSettings } from '../../store';
import { zonePlanOf } from '../../store/derived';
import { Photos } from '../photos/Photos';
import { cap } from '../../kit/text';

const GATE_WORDS = { open: 'open', passed: 'passed', failed: 'failed', locked: 'not yet' } as const;

/** Pictures of a check, folded away until they are wanted. */
function CheckPhotos({ facts, surfaceId, checkId }: { readonly facts: JobFacts; readonly surfaceId: string; readonly checkId: string }) {
  const has = facts.photos.some((p) => p.removedAt === null && p.ofCheckId === checkId);
  const [open, setOpen] = useState(has);
  if (!open) return <Button look="quiet" flush label="Photograph it" onPress={() => setOpen(true)} />;
  return <Photos facts={facts} of={{ ofSurfaceId: surfaceId, ofCheckId: checkId }} title="Photographs of this check" />;
}

/** A record of a check, made in a zone. @param surfaceId whose own it is; undefined: the zone's, or the job's */
export const checkDraft = (
  gate: string,
  outcome: 'pass' | 'fail',
  of: SpokenOf | undefined,
  zoneId: string | null,
  surfaceId: string | undefined,
  measured: Check['measured'] = [],
) =>
  add(
    'check',
    {
      gate,
      zoneId,
      outcome,
      measured,
      pieceIds: of?.pieceIds.slice() ?? null,
      spokeOf: of?.spokeOf.slice() ?? null,
      note: '',
      takenAt: new Date().toISOString(),
      supersedesId: null,
      supersedesWhy: null,
    },
    surfaceId,
  );

const labelOf = (what: CheckNumber): string => cap(say(what));

type Numbers = Readonly<Partial<Record<CheckNumber, number>>>;

/** Numbers of a check, each in the job's unit; what they come to is judged by the core. */
function NumberCheck({
  gateId,
  zoneId,
  asks,
  says,
  onRecord,
}: {
  readonly gateId: string;
  readonly zoneId: string | null;
  readonly asks: readonly Asked[];
  readonly says: string;
  readonly onRecord: (outcome: 'pass' | 'fail', measured: Check['measured']) => void;
}) {
  const units = useUnits();
  const [numbers, setNumbers] = useKept<Numbers>(`numbers-${zoneId ?? ''}-${gateId}`, {});
  const [wanting, setWanting] = useState(false);
  const put = (what: CheckNumber, value: number | null) => {
    const { [what]: _gone, ...rest } = numbers;
    setNumbers(value === null ? rest : { ...rest, [what]: value });
  };
  const missing = asks.filter((a) => numbers[a.what] === undefined);
  const record = () => {
    if (missing.length > 0) return setWanting(true);
    const measured = asks.map((a) => ({ what: a.what, value: numbers[a.what]! }));
    onRecord(checkOutcome({ outcome: 'pass', measured }, asks) ?? 'fail', measured);
    setNumbers({});
    setWanting(false);
  };
  return (
    <View className="gap-2">
      {asks.map((a) => {
        const unit = checkUnit(a.what, units);
        const value = numbers[a.what];
        return (
          <View key={a.what} className="max-w-[22rem] gap-1">
            <NumberField
              label={labelOf(a.what)}
              unit={UNITS[unit].label}
              value={value === undefined ? null : convert(value, CHECK_UNITS[a.what], unit)}
              optional
              decimals={2}
              problem={wanting && value === undefined ? 'Read it off: a tick is only for what has no number.' : undefined}
              onCommit={(v) => put(a.what, v === null ? null : convert(v, unit, CHECK_UNITS[a.what]))}
              testID={`measured-${gateId}-${a.what}`}
            />
            {a.what === 'aboveDewC' ? <FromAir onKnown={(v) => put('aboveDewC', v)} /> : null}
          </View>
        );
      })}
      <Button look="main" label="It is so: record" says={`It is so: record. ${says}`} onPress={record} className="self-start" />
    </View>
  );
}

/** How far the surface is above the dew point, from what hangs on the wall: a thermometer, a hygrometer, a surface probe. */
function FromAir({ onKnown }: { readonly onKnown: (aboveDewC: number) => void }) {
  const units = useUnits();
  const unit = unitFor('temperature', units)!;
  const [open, setOpen] = useState(false);
  const [air, setAir] = useState<number | null>(null);
  const [rh, setRh] = useState<number | null>(null);
  const [face, setFace] = useState<number | null>(null);
  if (!open) return <Button look="quiet" flush label="From air and surface" onPress={() => setOpen(true)} />;
  const tell = (a: number | null, r: number | null, f: number | null) => {
    if (a !== null && r !== null && f !== null) onKnown(f - dewPointC(a, r));
  };
  const temperature = (label: string, value: number | null, onCommit: (c: number | null) => void) => (
    <NumberField
      label={label}
      unit={UNITS[unit].label}
      value={value === null ? null : convert(value, 'C', unit)}
      optional
      decimals={1}
      onCommit={(v) => onCommit(v === null ? null : convert(v, unit, 'C'))}
    />
  );
  return (
    <View className="gap-2 border-l-4 border-line pl-3">
      {temperature('Air', air, (v) => (setAir(v), tell(v, rh, face)))}
      <NumberField
        label="Humidity of the air"
        unit="%"
        value={rh}
        optional
        decimals={0}
        check={(v) => (v <= 0 || v > 100 ? 'More than 0 and at most 100 %.' : undefined)}
        onCommit={(v) => (setRh(v), tell(air, v, face))}
      />
      {temperature('Surface', face, (v) => (setFace(v), tell(air, rh, v)))}
    </View>
  );
}

/** @param surface whose check it is, or in whose zone it stands; none: the job's own */
export function GateRow({ gate, facts, surface }: { readonly gate: Gate; readonly facts: JobFacts; readonly surface?: Surface }) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const when = useWhen();
  const words = sentence(gate.because, units);
  // A check of the zone is the job's; one of the surface hangs under it.
  const records = gate.zoneId === null && surface ? surface.checks : facts.checks.filter((c) => c.zoneId === gate.zoneId);
  const takenBack = new Set(records.map((c) => c.supersedesId));
  const standing = records
    .filter((c) => c.gate === gate.id && (c.outcome === 'fail' || !takenBack.has(c.id)))
    .reduce<Check | undefined>((a, c) => (a && a.takenAt > c.takenAt ? a : c), undefined);
  const record = (outcome: 'pass' | 'fail', measured: Check['measured'] = []) =>
    dispatch(
      commit(
        facts.job.id,
        [checkDraft(gate.id, outcome, gate.of, gate.placeId, gate.zoneId === null ? surface?.id : undefined, measured)],
        null,
      ),
    );
  const read = (standing?.measured ?? []).map((m) => formatMeasure(measure(m.value, CHECK_UNITS[m.what]), units)).join(', ');
  const numbered = gate.asks.length > 0;
  const [again, setAgain] = useState(false);
  const settings = useSettings();
  const { machines } = useFirm();
  /** What the machines of the zone draw in they carry, on every job, until they are cleaned. */
  const tagMachines = () => {
    const zone = zonePlanOf(facts, gate.zoneId!, settings);
    const tags = zone ? tagsOf(zone, machines) : [];
    if (tags.length > 0) dispatch(commitToFirm(tags.map(({ id, lastOn }) => set('machine', id, { lastOn }))));
  };
  const edge = gate.state === 'passed' ? 'border-verdigris' : gate.state === 'failed' ? 'border-oxide' : 'border-line';
  return (
    <View role="group" aria-label={words} className={`gap-1 border-l-8 py-1 pl-3 ${edge}`}>
      <Words look="strong">{words}</Words>
      <Words look="note">{`${GATE_WORDS[gate.state]}${read ? `, ${read}` : ''}${standing ? `, ${standing.by}, ${when(standing.takenAt)}` : ''}${gate.state === 'failed' ? `: back to ${say(gate.backTo).toLowerCase()}` : ''}`}</Words>
      {numbered && gate.state === 'open' && standing?.outcome === 'pass' && standing.measured.length === 0 ? (
        <Words look="note">It was ticked without its number: that counts for nothing.</Words>
      ) : null}
      {gate.outgrown ? <Words look="note">More has to be so than when it was passed. Look again.</Words> : null}
      {gate.waitsFor ? <Words look="note">{`Opens after: ${sentence(gate.waitsFor, units)}`}</Words> : null}
      {numbered && !gate.waitsFor && (gate.state !== 'passed' || again) ? (
        <NumberCheck
          gateId={gate.id}
          zoneId={gate.zoneId}
          asks={gate.asks}
          says={words}
          onRecord={(outcome, measured) => {
            record(outcome, measured);
            setAgain(false);
          }}
        />
      ) : null}
      <View className="flex-row flex-wrap items-center gap-2">
        {numbered && gate.state === 'passed' && !again ? (
          <Button label="Measure again" says={`Measure again: ${words}`} onPress={() => setAgain(true)} />
        ) : null}
        {gate.waitsFor || numbered ? null : (
          <Button
            label="Pass"
            says={`Pass: ${words}`}
            pressed={gate.state === 'passed'}
            onPress={() => {
              record('pass');
              if (gate.zoneId !== null && setsUp(gate)) tagMachines();
            }}
          />
        )}
        <Button look="stop" label="Fail" says={`Fail: ${words}`} pressed={gate.state === 'failed'} onPress={() => record('fail')} />
        <Why of={words} because={[gate.because]} />
      </View>
      {standing && surface && gate.zoneId === null ? <CheckPhotos facts={facts} surfaceId={surface.id} checkId={standing.id} /> : null}
    </View>
  );
}
