/** Caustic into water: set up, look at the whole of it, then one large step at a time with the clock running. */
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { convert, many, UNITS, unitFor, type UnitSystem } from '@roughsill/core';
import {
  amounts,
  benchWords,
  mixNow,
  Refused,
  refusalSays,
  schedule,
  thermometer,
  USUAL_CEILING_C,
  VESSEL_IDS,
  type CausticMix,
  type Language,
  type MixEvent,
  type MixNow,
} from '@roughsill/core/prepare';
import { Button, LengthField, NumberField, Panel, Pick, Select, Toggle, useUnits, Words } from '../../kit';
import { useKept } from '../../kit/drafts';
import { HeatCurve } from './HeatCurve';
import { Amount, Cell, Measured, Row } from './parts';

interface Kept {
  readonly mix: CausticMix;
  /** Since when the water stands in the pail; null: not begun. */
  readonly beganAt: number | null;
  readonly events: readonly MixEvent[];
}
/** A pail of 16 L, and 200 g in each litre: enough for most squares. */
const aMix = (units: UnitSystem): CausticMix => ({
  waterL: units === 'ft' ? convert(1, 'gal', 'L') : 5,
  causticG: units === 'ft' ? 750 : 1000,
  waterC: 12,
  airC: 18,
  vessel: { kind: 'polyethylene', acrossM: 0.26, deepM: 0.3 },
  stirrer: 'hand',
  bathC: 12,
  ceilingC: USUAL_CEILING_C,
  order: 'causticToWater',
});
const VESSEL_WORDS = {
  polyethylene: 'Plastic pail (polyethylene)',
  polypropylene: 'Plastic pail (polypropylene)',
  stainless: 'Stainless steel',
  glass: 'Glass',
  aluminium: 'Aluminum',
  galvanised: 'Galvanized',
} as const;
/** The model is asked anew this often; between, only the clock runs. */
const ASKED_EVERY_S = 15;
const WAITS_LONG_H = 4;

/** What the core says against it, beside its field. */
function told(of: () => unknown, language: Language, units: UnitSystem): string | undefined {
  try {
    of();
  } catch (e) {
    if (e instanceof Refused) return refusalSays(e.refusal, language, units);
    throw e;
  }
  return undefined;
}

/** Seconds since a moment, kept running. */
function useSince(beganAt: number | null): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (beganAt === null) return undefined;
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, [beganAt]);
  return beganAt === null ? 0 : Math.max(0, (now - beganAt) / 1000);
}

export function CausticBench({ language }: { readonly language: Language }) {
  const units = useUnits();
  const [kept, keep] = useKept<Kept>('bench-caustic', { mix: aMix(units), beganAt: null, events: [] });
  const { mix, beganAt, events } = kept;
  const set = (over: Partial<CausticMix>) => keep({ ...kept, mix: { ...mix, ...over } });
  const planned = useMemo(() => {
    try {
      return { ok: true as const, schedule: schedule(mix), now: mixNow(mix, [], 0) };
    } catch (e) {
      if (e instanceof Refused) return { ok: false as const, refusal: e.refusal };
      throw e;
    }
  }, [mix]);
  if (beganAt !== null)
    return <Live mix={mix} beganAt={beganAt} events={events} language={language} keep={(over) => keep({ ...kept, ...over })} />;
  const a = amounts(units);
  const words = benchWords(language);
  return (
    <Panel title="Caustic in water" aside="simulated: the thermometer outranks it" testID="caustic-bench">
      <Row>
        <Measured label="Cold water" unit="L" value={mix.waterL} onCommit={(v) => v !== null && set({ waterL: v })} testID="mix-water" />
        <Amount
          label="Caustic, dry"
          unit="g"
          value={mix.causticG}
          onCommit={(v) => v !== null && set({ causticG: v })}
          testID="mix-caustic"
        />
        <Measured label="Water is at" unit="C" value={mix.waterC} onCommit={(v) => v !== null && set({ waterC: v })} testID="mix-waterC" />
        <Measured label="Air is at" unit="C" value={mix.airC} onCommit={(v) => v !== null && set({ airC: v })} testID="mix-airC" />
        <Measured
          label="Never above"
          unit="C"
          value={mix.ceilingC}
          onCommit={(v) => v !== null && set({ ceilingC: v })}
          testID="mix-ceiling"
        />
      </Row>
      <Row>
        <Cell>
          <Select
            label="Vessel"
            value={mix.vessel.kind}
            options={VESSEL_IDS.map((value) => ({ value, label: VESSEL_WORDS[value] }))}
            onChange={(kind) => set({ vessel: { ...mix.vessel, kind } })}
            testID="mix-vessel"
          />
        </Cell>
        <Cell>
          <LengthField
            label="Across, inside"
            value={mix.vessel.acrossM}
            onCommit={(v) => v !== null && set({ vessel: { ...mix.vessel, acrossM: v } })}
          />
        </Cell>
        <Cell>
          <LengthField
            label="Deep, inside"
            value={mix.vessel.deepM}
            onCommit={(v) => v !== null && set({ vessel: { ...mix.vessel, deepM: v } })}
          />
        </Cell>
      </Row>
      <Row>
        <Pick
          label="Stirred"
          value={mix.stirrer}
          options={[
            { value: 'hand', label: 'by hand' },
            { value: 'drill', label: 'slow drill' },
          ]}
          onChange={(stirrer) => set({ stirrer })}
        />
        <Pick
          label="What goes into what"
          value={mix.order}
          options={[
            { value: 'causticToWater', label: 'caustic into water' },
            { value: 'waterToCaustic', label: 'water onto caustic' },
          ]}
          onChange={(order) => set({ order })}
          testID="mix-order"
        />
      </Row>
      <Toggle
        label="The pail stands in cold water"
        value={mix.bathC !== null}
        onChange={(on) => set({ bathC: on ? 12 : null })}
        testID="mix-bath"
      />
      {mix.bathC === null ? null : (
        <Row>
          <Measured label="That water is at" unit="C" value={mix.bathC} onCommit={(v) => v !== null && set({ bathC: v })} />
        </Row>
      )}
      {planned.ok ? (
        <>
          <HeatCurve
            past={[]}
            ahead={planned.now.ahead}
            putsS={planned.schedule.portions.map((p) => p.atS)}
            ceilingC={mix.ceilingC}
            nowS={0}
            units={units}
          />
          <View role="status" testID="mix-plan" className="gap-1 border-l-8 border-slate bg-panel px-3 py-2">
            <Words look="row">{`${many(planned.schedule.portions.length, 'portion')}, all in after ${a.time(planned.schedule.doneS)}.`}</Words>
            <Words>
              {planned.schedule.coldS === null
                ? 'It is still warm two days later.'
                : `Cold enough to thicken after ${a.time(planned.schedule.coldS)}. At most ${a.c(planned.now.peakC)}.`}
            </Words>
            {planned.schedule.doneS > WAITS_LONG_H * 3600 && mix.bathC === null ? (
              <Words look="strong">Set the pail in cold water: it is done in a fraction of that.</Words>
            ) : null}
            <Words look="note">
              Heat by the integral heat of solution, known to about 5 %, more above a fifth by weight; loss through wall and top from
              memory, evaporation left out. Each portion is as large as stays under the ceiling with that doubt.
            </Words>
          </View>
          <View className="gap-1" testID="mix-before">
            {words.before(mix, a).map((s, i) => (
              <Words key={s}>{`${i + 1}. ${s}`}</Words>
            ))}
          </View>
          <Button
            look="main"
            label={words.live.begin}
            onPress={() => keep({ ...kept, beganAt: Date.now(), events: [] })}
            testID="mix-begin"
          />
        </>
      ) : (
        <View role="alert" testID="mix-plan" className="border-l-8 border-oxide bg-panel px-3 py-2">
          <Words look="row" tone="oxide">
            {refusalSays(planned.refusal, language, units)}
          </Words>
        </View>
      )}
    </Panel>
  );
}

interface LiveProps {
  readonly mix: CausticMix;
  readonly beganAt: number;
  readonly events: readonly MixEvent[];
  readonly language: Language;
  readonly keep: (over: { readonly beganAt?: number | null; readonly events?: readonly MixEvent[] }) => void;
}

function Live({ mix, beganAt, events, language, keep }: LiveProps) {
  const units = useUnits();
  const nowS = useSince(beganAt);
  /** Of which portion, when it was not what was asked for. */
  const [weighed, setWeighed] = useState<{ readonly n: number; readonly g: number } | null>(null);
  const asked = Math.max(Math.floor(nowS / ASKED_EVERY_S) * ASKED_EVERY_S, ...events.map((e) => e.atS));
  const now = useMemo((): MixNow | string => {
    try {
      return mixNow(mix, events, asked);
    } catch (e) {
      if (e instanceof Refused) return refusalSays(e.refusal, language, units);
      throw e;
    }
  }, [mix, events, asked, language, units]);
  const { live, stage } = benchWords(language);
  const back = (
    <View className="flex-row flex-wrap gap-3">
      {events.length > 0 ? <Button look="quiet" label={live.undo} flush onPress={() => keep({ events: events.slice(0, -1) })} /> : null}
      <Button look="quiet" label={live.end} flush onPress={() => keep({ beganAt: null, events: [] })} testID="mix-end" />
    </View>
  );
  if (typeof now === 'string')
    return (
      <Panel title="Caustic in water" testID="caustic-live">
        <View role="alert" className="border-l-8 border-oxide bg-panel px-3 py-4">
          <Words look="title" tone="oxide">
            {now}
          </Words>
        </View>
        {back}
      </Panel>
    );
  const { at } = now;
  const left = at.stage === 'wait' ? { ...at, forS: Math.max(1, at.forS - (nowS - asked)) } : at;
  const a = amounts(units);
  const { head, more } = stage(left, mix, a);
  const stop = at.stage === 'stop';
  const shown = unitFor(UNITS.C.dimension, units)!;
  return (
    <Panel title="Caustic in water" aside={live.standing(a.g(now.inG), a.g(now.leftG), a.time(nowS))} testID="caustic-live">
      <View
        role={stop ? 'alert' : 'status'}
        testID="mix-stage"
        className={`gap-2 border-l-8 px-4 py-4 ${stop ? 'border-oxide bg-shelf' : at.stage === 'put' ? 'border-soot bg-panel' : 'border-slate bg-panel'}`}
      >
        <Words className="text-[2.25rem] leading-[2.6rem]" look="title" tone={stop ? 'oxide' : undefined}>
          {head}
        </Words>
        {more.map((s) => (
          <Words key={s} look="row">
            {s}
          </Words>
        ))}
      </View>
      {at.stage === 'put' ? (
        <>
          <Button
            look="main"
            label={live.isIn(a.g(weighed?.n === at.n ? weighed.g : at.g))}
            onPress={() =>
              keep({ events: [...events, { kind: 'put', n: at.n, atS: Math.round(nowS), g: weighed?.n === at.n ? weighed.g : at.g }] })
            }
            testID="mix-put"
          />
          <NumberField
            key={`weighed-${at.n}`}
            label={live.weighed}
            unit="g"
            value={null}
            optional
            check={(g) => (g > 0 && g <= now.leftG + 0.5 ? undefined : `1 – ${a.g(now.leftG)}`)}
            onCommit={(g) => setWeighed(g === null ? null : { n: at.n, g })}
            testID="mix-weighed"
          />
        </>
      ) : null}
      <NumberField
        // One reading after another: each begins empty.
        key={events.length}
        label={live.thermometer}
        unit={UNITS[shown].label}
        value={null}
        optional
        hint={live.thinks(a.c(now.nowC))}
        check={(v) => told(() => thermometer(convert(v, shown, 'C')), language, units)}
        onCommit={(v) => v !== null && keep({ events: [...events, { kind: 'felt', atS: Math.round(nowS), c: convert(v, shown, 'C') }] })}
        testID="mix-felt"
      />
      <HeatCurve
        past={now.past}
        ahead={now.ahead}
        putsS={events.flatMap((e) => (e.kind === 'put' ? [e.atS] : []))}
        ceilingC={mix.ceilingC}
        nowS={nowS}
        units={units}
      />
      {now.twice.length > 0 ? <Words look="note">{live.twice(now.twice.join(', '))}</Words> : null}
      {events.some((e) => e.kind === 'felt') ? (
        <Words look="note">
          {live.read(
            events.flatMap((e) => (e.kind === 'felt' ? [[a.c(e.c), a.time(e.atS)] as const] : [])),
            a.c(now.peakC),
          )}
        </Words>
      ) : null}
      {back}
    </Panel>
  );
}
