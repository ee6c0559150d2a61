/** What was really laid of a coat: coats, area, litres, the comb. What went on before stands above, each with a way to take it back. */
import { useState } from 'react';
import { View } from 'react-native';
import {
  filmLaid,
  formatMeasure,
  laidAsks,
  liveLaid,
  many,
  measure,
  say,
  type CoatLine,
  type Laid,
  type Reason,
  type SurfacePlan,
} from '@roughsill/core';
import { sentence } from '@roughsill/core/words';
import { Button, Folded, NumberField, Select, TextField, useUnits, Words } from '../../kit';
import { cap } from '../../kit/text';
import { add, commit, set, useAppDispatch, useFirm, useSettings } from '../../store';
import { useFirmWrite } from '../firm-write';
import { Cell, Measured, Row } from '../bench/parts';
import type { StageProps } from '../props';

const VERDICT = { thin: 'too thin', fits: 'as wanted', thick: 'too thick' } as const;

export function LaidForm({
  line: l,
  jobId,
  surface: s,
  outdoors,
  plan,
}: {
  readonly line: CoatLine;
  readonly jobId: string;
  readonly surface: StageProps['surface'];
  readonly outdoors: boolean;
  /** Of the surface, as they stand. */
  readonly plan: Pick<SurfacePlan, 'work' | 'coating'>;
}) {
  const dispatch = useAppDispatch();
  const settings = useSettings();
  const units = useUnits();
  const [coats, setCoats] = useState(1);
  const [areaM2, setArea] = useState(l.areaM2);
  const [litres, setLitres] = useState<number | null>(null);
  const [wetUm, setWet] = useState<number | null>(null);
  const [thinnedPct, setThinned] = useState(0);
  const [wrong, setWrong] = useState<string>();
  const [turn, setTurn] = useState(0);
  const [earlyWhy, setEarlyWhy] = useState('');
  /** What speaks against it: whoever laid it anyway says why, and it stands on the papers. */
  const [asks, setAsks] = useState<readonly Reason[]>([]);
  /** Out of which tin; empty: nobody says, and the shelf stays as it is. */
  const [tinId, setTin] = useState('');
  const allTins = useFirm().tins;
  const tins = allTins.filter((t) => t.removedAt === null && t.good === l.product && t.amount > 0);
  const stock = useFirmWrite();
  const there = liveLaid(s).filter((x) => x.product === l.product);
  const write = (fields: object) => {
    const problems = dispatch(commit(jobId, [add('laid', { ...fields, takenAt: new Date().toISOString() }, s.id)], 'what was laid'));
    setWrong(problems[0]?.message);
    return problems.length === 0;
  };
  const put = () => {
    if (litres === null && wetUm === null) return setWrong('Say what it took, or what the comb showed.');
    const tin = litres === null ? undefined : tins.find((t) => t.id === tinId);
    const tinL = tin === undefined ? null : Math.min(tin.amount, litres!);
    const fields = {
      product: l.product,
      withdrawn: false,
      way: l.way,
      coats,
      areaM2,
      litres,
      wetUm,
      thinnedPct,
      tinId: tin?.id ?? null,
      tinL,
      earlyWhy: '',
      supersedesId: null,
    };
    const draft: Laid = { ...fields, id: 'draft', takenAt: new Date().toISOString(), by: '' };
    const now = laidAsks(draft, l, s, plan, settings, outdoors);
    setAsks(now);
    if (now.length > 0 && earlyWhy.trim() === '') return setWrong(undefined);
    if (write({ ...fields, earlyWhy: now.length === 0 ? '' : earlyWhy.trim() })) {
      if (tin && tinL !== null)
        stock.write(set('tin', tin.id, { amount: tin.amount - tinL, openedOn: tin.openedOn ?? new Date().toISOString().slice(0, 10) }));
      setAsks([]);
      setEarlyWhy('');
      setLitres(null);
      setWet(null);
      setTurn(turn + 1);
    }
  };
  const onIt = (v: number) =>
    v > 0 && v <= l.areaM2 * 1.01
      ? undefined
      : `More than 0, and no more than it covers: ${formatMeasure(measure(l.areaM2, 'm2'), units)}.`;
  const more = (v: number) => (v > 0 ? undefined : 'More than 0.');
  return (
    <Folded
      title={`What was laid: ${say(l.product)}`}
      says={there.length === 0 ? 'by the tin or by the comb: the rest of the job follows it' : many(there.length, 'record')}
      testID={`laid-${l.product}`}
    >
      {there.map((x) => {
        const film = filmLaid(x, s, plan.coating.blasted, settings, outdoors);
        const says = [
          `${many(x.coats, 'coat')} on ${formatMeasure(measure(x.areaM2, 'm2'), units)}`,
          x.litres === null ? '' : formatMeasure(measure(x.litres, 'L'), units),
          film === null
            ? ''
            : `${formatMeasure(measure(film.dryUm, 'um'), units)} dry by ${say(`film.${film.by}`)}: ${VERDICT[film.verdict]}`,
          x.by,
        ].filter(Boolean);
        return (
          <View
            key={x.id}
            className={`gap-1 border-l-8 bg-panel px-3 py-1 ${film === null || film.verdict === 'fits' ? 'border-verdigris' : 'border-ochre'}`}
          >
            <Words>{says.join(' · ')}</Words>
            <Button
              look="quiet"
              flush
              label="Take it back"
              says={`Take back: ${says[0]}`}
              onPress={() => {
                const { id, by: _by, takenAt: _at, ...fields } = x;
                if (!write({ ...fields, withdrawn: true, supersedesId: id })) return;
                const from = allTins.find((t) => t.id === x.tinId && t.removedAt === null);
                if (from && x.tinL !== null) stock.write(set('tin', from.id, { amount: from.amount + x.tinL }));
              }}
            />
          </View>
        );
      })}
      <Row key={turn}>
        <Cell>
          <NumberField
            label="Coats"
            value={coats}
            decimals={0}
            check={(v) => (v >= 1 && v <= 6 ? undefined : 'One to six.')}
            onCommit={(v) => v !== null && setCoats(v)}
          />
        </Cell>
        <Measured label="On" unit="m2" value={areaM2} check={onIt} onCommit={(v) => v !== null && setArea(v)} />
        <Measured
          label="It took, thinner apart"
          unit="L"
          value={litres}
          optional
          check={more}
          onCommit={setLitres}
          testID={`laid-litres-${l.product}`}
        />
        <Measured
          label="Wet film by the comb"
          unit="um"
          value={wetUm}
          optional
          check={more}
          onCommit={setWet}
          testID={`laid-wet-${l.product}`}
        />
        <Cell>
          <NumberField
            label="Thinned by"
            unit="%"
            value={thinnedPct}
            check={(v) => (v >= 0 && v <= 100 ? undefined : '0 to 100 %.')}
            onCommit={(v) => v !== null && setThinned(v)}
          />
        </Cell>
      </Row>
      {tins.length === 0 ? null : (
        <Select
          label="Out of"
          value={tinId}
          testID={`laid-tin-${l.product}`}
          options={[
            { value: '', label: 'no tin that is written down' },
            ...tins.map((t) => ({
              value: t.id,
              label: [
                formatMeasure(measure(t.amount, 'L'), units),
                say(`stands.${t.at}`),
                t.colour,
                t.batch === '' ? '' : `batch ${t.batch}`,
              ]
                .filter(Boolean)
                .join(', '),
            })),
          ]}
          onChange={setTin}
        />
      )}
      {asks.length === 0 ? null : (
        <View className="gap-2 border-l-8 border-oxide bg-panel px-3 py-2" testID={`early-${l.product}`}>
          {asks.map((r, i) => (
            <Words key={r.rule} alert={i === 0} look={i === 0 ? 'strong' : 'body'} tone={i === 0 ? 'oxide' : undefined}>
              {sentence(r, units)}
            </Words>
          ))}
          <Words>Put it right first, or say why it went on anyway. The reason stands on every paper, with your name.</Words>
          <TextField
            label="Why it went on anyway"
            value={earlyWhy}
            onChange={setEarlyWhy}
            onCommit={setEarlyWhy}
            testID={`early-why-${l.product}`}
          />
        </View>
      )}
      <Button label="Write it down" onPress={put} className="self-start" testID={`laid-put-${l.product}`} />
      {wrong ? (
        <Words alert tone="oxide">
          {cap(wrong)}
        </Words>
      ) : null}
    </Folded>
  );
}
