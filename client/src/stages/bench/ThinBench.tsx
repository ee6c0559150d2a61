/** Thinning, and the chlorine that an old bleach still has; a paste with its cover. */
import { useState } from 'react';
import { convert, many, withCommas, type UnitSystem } from '@roughsill/core';
import { amounts, BLEACH_OLD_DAYS, bottles, chlorineOf, pasteFor, powderFor, thin } from '@roughsill/core/prepare';
import { Panel, Select, Toggle, useUnits, Words } from '../../kit';
import { useKept } from '../../kit/drafts';
import { useFirm } from '../../store';
import { Amount, Measured, Row, Told } from './parts';

interface Kept {
  readonly stockPct: number | null;
  readonly wantPct: number | null;
  readonly water: number | null;
  readonly part: number | null;
  readonly whole: number | null;
  readonly bottleL: number | null;
  readonly bleach: boolean;
  readonly days: number;
  /** What was taken from the shelf; null: nothing. */
  readonly shelfId?: string | null;
}

const DAY_MS = 86_400_000;
/** Of the firm's own products, those whose sheet names a strength; of bleach, how long its oldest tin has stood open. */
function useStrengths() {
  const { products, tins } = useFirm();
  const [today] = useState(() => new Date().getTime());
  return products.flatMap((p) => {
    if (p.removedAt !== null || p.strengthPct === null) return [];
    const opened = tins.flatMap((t) =>
      t.productId === p.id && t.removedAt === null && t.openedOn !== null ? [Date.parse(t.openedOn)] : [],
    );
    const days = opened.length === 0 ? null : Math.max(0, Math.floor((today - Math.min(...opened)) / DAY_MS));
    return [{ id: p.id, label: `${p.name}, ${p.strengthPct} %`, strengthPct: p.strengthPct, bleach: p.good === 'bleach', days }];
  });
}
const aBleach = (units: UnitSystem): Kept => {
  const litre = units === 'ft' ? convert(0.25, 'gal', 'L') : 1;
  return { stockPct: 5.25, wantPct: null, water: 16, part: null, whole: 4 * litre, bottleL: litre, bleach: true, days: 90 };
};

export function ThinBench() {
  const units = useUnits();
  const [it, put] = useKept<Kept>('bench-thin', aBleach(units));
  const set = (over: Partial<Kept>) => put({ ...it, ...over });
  const a = amounts(units);
  const onShelf = useStrengths();
  const picked = onShelf.find((x) => x.id === it.shelfId && x.strengthPct === it.stockPct)?.id ?? '';
  return (
    <Panel title="Thinning" aside="any two give the rest" testID="thin-bench">
      {onShelf.length > 0 ? (
        <Select
          label="From the shelf"
          value={picked}
          options={[{ value: '', label: 'none of these' }, ...onShelf.map(({ id, label }) => ({ value: id, label }))]}
          onChange={(id) => {
            const found = onShelf.find((x) => x.id === id);
            if (found) set({ shelfId: id, stockPct: found.strengthPct, wantPct: null, bleach: found.bleach, days: found.days ?? it.days });
            else set({ shelfId: null });
          }}
          testID="thin-shelf"
        />
      ) : null}
      <Row>
        <Amount label="As bought" unit="%" optional value={it.stockPct} onCommit={(stockPct) => set({ stockPct })} testID="thin-stock" />
        <Amount label="Wanted" unit="%" optional value={it.wantPct} onCommit={(wantPct) => set({ wantPct })} testID="thin-want" />
        <Amount label="Parts of water to one" optional value={it.water} onCommit={(water) => set({ water })} testID="thin-water" />
        <Measured label="Of the product" unit="L" optional value={it.part} onCommit={(part) => set({ part })} testID="thin-part" />
        <Measured label="Made in all" unit="L" optional value={it.whole} onCommit={(whole) => set({ whole })} testID="thin-whole" />
        <Measured label="A bottle holds" unit="L" optional value={it.bottleL} onCommit={(bottleL) => set({ bottleL })} />
      </Row>
      <Toggle label="It is bleach" value={it.bleach} onChange={(bleach) => set({ bleach })} />
      {it.bleach ? (
        <Row>
          <Amount label="Days since it was made" value={it.days} onCommit={(days) => days !== null && set({ days })} testID="thin-days" />
        </Row>
      ) : null}
      <Told
        testID="thin-answer"
        of={() => {
          const t = thin(it);
          const each = it.bottleL === null ? null : bottles(t, it.bottleL);
          const chlorine = it.bleach && it.stockPct !== null ? chlorineOf(it.stockPct, it.days, t.water) : null;
          return [
            `${a.L(t.part)} into ${a.L(t.rest)} of water: ${a.L(t.whole)}${t.wantPct === null ? '' : ` of ${Number(t.wantPct.toPrecision(3))} %`}.`,
            ...(each && each.count > 1 ? [`${many(each.count, 'bottle')}: ${a.L(each.part)} and ${a.L(each.rest)} of water in each.`] : []),
            ...(chlorine
              ? [
                  it.days > BLEACH_OLD_DAYS
                    ? `This bleach is older than a year: about ${Number(chlorine.leftPct.toFixed(1))} % is left, if any. Buy fresh.`
                    : `${withCommas(Math.round(chlorine.ppm))} ppm of chlorine; about ${Number(chlorine.leftPct.toFixed(1))} % is left in the bottle. Use it within a day of thinning.`,
                ]
              : []),
          ];
        }}
      />
      <Words look="note">
        Acid and bleach go into the water, never water into them. By volume with volume, or weight with weight: do not change over in one
        sum. Bleach loses about a fifth in a year in the cool and dark (from memory). At most 1 part to 16 of water on mold (CDC).
      </Words>
    </Panel>
  );
}

interface Paste {
  readonly areaM2: number;
  readonly filmMm: number;
  readonly thickenerGL: number;
  readonly windMS: number;
}
export function PasteBench() {
  const units = useUnits();
  const [it, put] = useKept<Paste>('bench-paste', { areaM2: 2, filmMm: 3, thickenerGL: 30, windMS: 0 });
  const set = (over: Partial<Paste>) => put({ ...it, ...over });
  const a = amounts(units);
  return (
    <Panel title="A thickened paste" aside="cover and tape with it" testID="paste-bench">
      <Row>
        <Measured label="Area" unit="m2" value={it.areaM2} onCommit={(v) => v !== null && set({ areaM2: v })} testID="paste-area" />
        <Measured label="Laid" unit="mm" value={it.filmMm} onCommit={(v) => v !== null && set({ filmMm: v })} />
        <Amount
          label="Thickener"
          unit={units === 'ft' ? 'g for each liter' : 'g/L'}
          value={it.thickenerGL}
          onCommit={(v) => v !== null && set({ thickenerGL: v })}
        />
        <Measured label="Wind" unit="m/s" value={it.windMS} onCommit={(v) => v !== null && set({ windMS: v })} />
      </Row>
      <Told
        testID="paste-answer"
        of={() => {
          const p = pasteFor(it);
          const powder = powderFor(it.areaM2).powderL;
          return [
            `${a.L(p.litres)} of paste, ${a.g(p.thickenerG)} of thickener in ${p.portions} portions, ${p.pauseMin} min apart.`,
            `It is right when a spoon drawn through leaves a track that stays. Lumps: leave it ten minutes and stir again.`,
            `${many(p.pieces, 'piece')} of cover film, ${a.of({ value: p.coverM2, unit: 'm2' })}, ${a.of({ value: p.tapeM, unit: 'm' })} of tape${it.windMS >= 3 ? ', taped on all sides against the wind' : ''}.`,
            `Powder for milk paint instead: ${a.L(powder.low)} to ${a.L(powder.high)} and half as much water; keep it wet.`,
          ];
        }}
      />
    </Panel>
  );
}
