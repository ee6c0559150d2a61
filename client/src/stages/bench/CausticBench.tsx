/** Caustic into water: set up, look at the whole of it, then one large step at a time with the clock running. */
import { useMemo } from 'react';
import { View } from 'react-native';
import { convert, many, VESSEL_IDS, type Mix, type MixStep, type UnitSystem } from '@roughsill/core';
import {
  amounts,
  benchWords,
  mixNow,
  mixOf,
  Refused,
  refusalSays,
  schedule,
  USUAL_CEILING_C,
  type CausticMix,
  type Language,
} from '@roughsill/core/prepare';
import { Button, LengthField, Panel, Pick, Select, TextField, Toggle, useUnits, Words } from '../../kit';
import { useKept } from '../../kit/drafts';
import { add, newId, useAppSelector, useFirm } from '../../store';
import { useFirmWrite } from '../firm-write';
import { CausticLive, useMixNow, useSince } from './CausticLive';
import { HeatCurve } from './HeatCurve';
import { Amount, Cell, Measured, Row } from './parts';

interface Kept {
  readonly mix: CausticMix;
  readonly name: string;
  /** At which pail this phone stands. */
  readonly atId: string | null;
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
const WAITS_LONG_H = 4;

/** A pail that somebody stands at, as the others see it. */
function OnTheWay({
  mix,
  steps,
  language,
  onOpen,
}: {
  readonly mix: Mix;
  readonly steps: readonly MixStep[];
  readonly language: Language;
  readonly onOpen: () => void;
}) {
  const units = useUnits();
  const now = useMixNow(mix, steps, useSince(mix.beganAt), language);
  const { live, stage } = benchWords(language);
  const a = amounts(units);
  return (
    <View
      className="flex-row flex-wrap items-center justify-between gap-2 border-l-8 border-slate bg-panel px-3 py-2"
      testID={`mix-of-${mix.id}`}
    >
      <View className="min-w-0 flex-1 basis-60">
        <Words look="row">{mix.name}</Words>
        <Words tone={typeof now !== 'string' && now.at.stage === 'stop' ? 'oxide' : undefined}>
          {typeof now === 'string' ? now : `${stage(now.at, mixOf(mix), a).head}. ${live.onlyIn(a.g(now.inG), a.g(mix.causticG))}`}
        </Words>
      </View>
      <Button look="plain" label={live.open} says={`${live.open}: ${mix.name}`} onPress={onOpen} testID={`mix-open-${mix.id}`} />
    </View>
  );
}

export function CausticBench({ language }: { readonly language: Language }) {
  const units = useUnits();
  const [kept, keep] = useKept<Kept>('bench-caustic', { mix: aMix(units), name: '', atId: null });
  const { mix, atId } = kept;
  const { mixes, mixSteps } = useFirm();
  const by = useAppSelector((s) => s.session.person);
  const { write, wrong } = useFirmWrite();
  const open = mixes.filter((m) => m.removedAt === null && m.endedAt === null);
  const name = kept.name.trim() === '' ? `Pail ${mixes.length + 1}` : kept.name.trim();
  const at = open.find((m) => m.id === atId);
  const set = (over: Partial<CausticMix>) => keep({ ...kept, mix: { ...mix, ...over } });
  const planned = useMemo(() => {
    try {
      return { ok: true as const, schedule: schedule(mix), now: mixNow(mix, [], 0) };
    } catch (e) {
      if (e instanceof Refused) return { ok: false as const, refusal: e.refusal };
      throw e;
    }
  }, [mix]);
  if (at) return <CausticLive key={at.id} mix={at} steps={mixSteps} language={language} onBack={() => keep({ ...kept, atId: null })} />;
  const begin = () => {
    const { order: _order, vessel, ...rest } = mix;
    const beganAt = new Date().toISOString();
    const fields = { ...rest, name, vesselKind: vessel.kind, acrossM: vessel.acrossM, deepM: vessel.deepM, beganAt, by };
    const id = newId();
    if (write(add('mix', fields, undefined, id))) keep({ ...kept, name: '', atId: id });
  };
  const a = amounts(units);
  const words = benchWords(language);
  return (
    <>
      {open.length === 0 ? null : (
        <Panel title={words.live.onTheWay} testID="mixes">
          {open.map((m) => (
            <OnTheWay key={m.id} mix={m} steps={mixSteps} language={language} onOpen={() => keep({ ...kept, atId: m.id })} />
          ))}
        </Panel>
      )}
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
          <Measured
            label="Water is at"
            unit="C"
            value={mix.waterC}
            onCommit={(v) => v !== null && set({ waterC: v })}
            testID="mix-waterC"
          />
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
            <TextField
              label="Which pail"
              value={kept.name}
              placeholder={name}
              onCommit={(v) => keep({ ...kept, name: v })}
              testID="mix-name"
            />
            {wrong === undefined ? null : (
              <View role="alert">
                <Words tone="oxide">{wrong}</Words>
              </View>
            )}
            <Button look="main" label={words.live.begin} onPress={begin} testID="mix-begin" />
          </>
        ) : (
          <View role="alert" testID="mix-plan" className="border-l-8 border-oxide bg-panel px-3 py-2">
            <Words look="row" tone="oxide">
              {refusalSays(planned.refusal, language, units)}
            </Words>
          </View>
        )}
      </Panel>
    </>
  );
}
