/** Caustic into water, live: one large step at a time with the clock running, the same on every phone that stands at the pail. */
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { convert, UNITS, unitFor, type Mix, type MixStep, type UnitSystem } from '@roughsill/core';
import {
  amounts,
  benchWords,
  eventsOf,
  mixNow,
  mixOf,
  Refused,
  refusalSays,
  thermometer,
  type Language,
  type MixNow,
} from '@roughsill/core/prepare';
import { Button, NumberField, Panel, useUnits, Words } from '../../kit';
import { add, loadFirm, remove, set, useAppDispatch, useAppSelector } from '../../store';
import { useFirmWrite } from '../firm-write';
import { HeatCurve } from './HeatCurve';

/** The model is asked anew this often, and so is the server, for another phone may stand at the same pail; between, only the clock runs. */
const ASKED_EVERY_S = 15;

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
export function useSince(began: string): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  return Math.max(0, (now - Date.parse(began)) / 1000);
}

/** What other phones wrote of it comes in while one stands there. */
function useOthers(): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const timer = setInterval(() => void dispatch(loadFirm()), ASKED_EVERY_S * 1000);
    return () => clearInterval(timer);
  }, [dispatch]);
}

/** Where a pail stands after so many seconds; a sentence where nothing can be said of it. */
export function useMixNow(mix: Mix, steps: readonly MixStep[], nowS: number, language: Language): MixNow | string {
  const units = useUnits();
  const events = useMemo(() => eventsOf(mix, steps), [mix, steps]);
  const asked = Math.max(Math.floor(nowS / ASKED_EVERY_S) * ASKED_EVERY_S, ...events.map((e) => e.atS));
  return useMemo(() => {
    try {
      return mixNow(mixOf(mix), events, asked);
    } catch (e) {
      if (e instanceof Refused) return refusalSays(e.refusal, language, units);
      throw e;
    }
  }, [mix, events, asked, language, units]);
}

interface LiveProps {
  readonly mix: Mix;
  readonly steps: readonly MixStep[];
  readonly language: Language;
  readonly onBack: () => void;
}

export function CausticLive({ mix, steps, language, onBack }: LiveProps) {
  const units = useUnits();
  const by = useAppSelector((s) => s.session.person);
  const { write, wrong } = useFirmWrite();
  useOthers();
  const nowS = useSince(mix.beganAt);
  const recipe = mixOf(mix);
  const mine = useMemo(() => steps.filter((s) => s.mixId === mix.id && s.removedAt === null), [steps, mix.id]);
  const last = mine.reduce<MixStep | null>((a, b) => (a === null || b.at >= a.at ? b : a), null);
  const happened = (portion: number | null, amount: number) =>
    write(add('mixStep', { mixId: mix.id, at: new Date().toISOString(), portion, amount, by }));
  /** Of which portion, when it was not what was asked for. */
  const [weighed, setWeighed] = useState<{ readonly n: number; readonly g: number } | null>(null);
  const now = useMixNow(mix, steps, nowS, language);
  const { live, stage } = benchWords(language);
  const back = (
    <View className="flex-row flex-wrap gap-3">
      {last === null ? null : (
        <Button look="quiet" label={live.undo} flush onPress={() => write(remove('mixStep', last.id))} testID="mix-undo" />
      )}
      <Button look="quiet" label={live.back} flush onPress={onBack} testID="mix-back" />
      <Button
        look="quiet"
        label={live.end}
        flush
        onPress={() => {
          if (write(set('mix', mix.id, { endedAt: new Date().toISOString() }))) onBack();
        }}
        testID="mix-end"
      />
    </View>
  );
  if (typeof now === 'string')
    return (
      <Panel title={mix.name} testID="caustic-live">
        <View role="alert" className="border-l-8 border-oxide bg-panel px-3 py-4">
          <Words look="title" tone="oxide">
            {now}
          </Words>
        </View>
        {back}
      </Panel>
    );
  const { at } = now;
  // The answer is up to a quarter of a minute old: the clock has run on since.
  const left = at.stage === 'wait' ? { ...at, forS: Math.max(1, at.forS - (nowS % ASKED_EVERY_S)) } : at;
  const a = amounts(units);
  const { head, more } = stage(left, recipe, a);
  const stop = at.stage === 'stop';
  const sinceS = (s: MixStep) => Math.max(0, (Date.parse(s.at) - Date.parse(mix.beganAt)) / 1000);
  const inOrder = [...mine].sort((x, y) => (x.at < y.at ? -1 : 1));
  const went = inOrder.filter((s) => s.portion !== null);
  const felt = inOrder.filter((s) => s.portion === null);
  const shown = unitFor(UNITS.C.dimension, units)!;
  return (
    <Panel title={mix.name} aside={live.standing(a.g(now.inG), a.g(now.leftG), a.time(nowS))} testID="caustic-live">
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
            onPress={() => happened(at.n, weighed?.n === at.n ? weighed.g : at.g)}
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
        key={mine.length}
        label={live.thermometer}
        unit={UNITS[shown].label}
        value={null}
        optional
        hint={live.thinks(a.c(now.nowC))}
        check={(v) => told(() => thermometer(convert(v, shown, 'C')), language, units)}
        onCommit={(v) => v !== null && happened(null, convert(v, shown, 'C'))}
        testID="mix-felt"
      />
      {wrong === undefined ? null : (
        <View role="alert">
          <Words tone="oxide">{wrong}</Words>
        </View>
      )}
      <HeatCurve past={now.past} ahead={now.ahead} putsS={went.map((p) => sinceS(p))} ceilingC={mix.ceilingC} nowS={nowS} units={units} />
      {now.twice.length > 0 ? <Words look="note">{live.twice(now.twice.join(', '))}</Words> : null}
      {went.length === 0 ? null : (
        <View testID="mix-log">
          {went.map((p) => (
            <Words key={p.id} look="note">
              {live.went(p.portion!, a.g(p.amount), sinceS(p) < 60 ? null : a.time(sinceS(p)), p.by)}
            </Words>
          ))}
        </View>
      )}
      {felt.length > 0 ? (
        <Words look="note">
          {live.read(
            felt.map((f) => [a.c(f.amount), a.time(sinceS(f))] as const),
            a.c(now.peakC),
          )}
        </Words>
      ) : null}
      {back}
    </Panel>
  );
}
