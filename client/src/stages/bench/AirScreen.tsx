/** At the bench, with or without a job: air through a room, solvent in it, what a person breathes in a day, what a sample could show. */
import { ScrollView, View } from 'react-native';
import { convert, formatMeasure, many, measure, RULEBOOKS, roundForReading, say, type UnitSystem } from '@roughsill/core';
import {
  airFrom,
  changesFlow,
  dayOfLead,
  layAtOnce,
  LEAD_LIMITS,
  leadLimit,
  LIMIT_SETS,
  LOADED_SHARE,
  machinesFor,
  maskFor,
  MIXING,
  monthsToNext,
  pressureOver,
  purgeHours,
  samplePlan,
  SOLVENT_IDS,
  SOLVENTS,
  type LimitSet,
  type SolventId,
} from '@roughsill/core/air';
import { Button, Column, Columns, LengthField, Panel, Pick, Select, UnitsProvider, Words } from '../../kit';
import { cap } from '../../kit/text';
import { useKept } from '../../kit/drafts';
import { useKeptScroll, useWayBack } from '../../trail';
import { Notices } from '../Notices';
import { useJobAtHand } from '../useJobAtHand';
import { DayBand } from './DayBand';
import { Amount, Cell, Row, Told } from './parts';

export function AirScreen() {
  const { units, facts } = useJobAtHand();
  const way = useWayBack({ href: '/', label: 'All jobs' }, '/');
  const kept = useKeptScroll();
  return (
    <UnitsProvider value={units}>
      <View className="flex-1 bg-limewash">
        <ScrollView {...kept} testID="page" contentContainerClassName="w-full max-w-[80rem] gap-6 self-center p-4 pb-10">
          <View className="gap-1">
            <Button look="quiet" label={`‹ ${way.label}`} says={`Back to ${way.label}`} onPress={way.go} flush />
            <Words look="title" level={1}>
              Air and breathing
            </Words>
            <Words>For planning. A measurement of your own outranks every number here; so do the data sheet and the local rule.</Words>
          </View>
          <Columns>
            <Column>
              <RoomAir units={units} />
              <Solvent units={units} />
            </Column>
            <Column>
              <Breathing set={facts?.job.rulebook === 'uk' ? 'uk' : 'osha'} />
              <Sample />
            </Column>
          </Columns>
        </ScrollView>
        <Notices />
      </View>
    </UnitsProvider>
  );
}

const positive = (v: number): string | undefined => (v > 0 ? undefined : 'It is more than 0.');
const flowUnit = (units: UnitSystem) => (units === 'ft' ? ('cfm' as const) : ('m3/h' as const));
const flowText = (m3h: number, units: UnitSystem): string => formatMeasure(measure(m3h, 'm3/h'), units);
/** Pa in an inch of water. */
const INCH_WATER_PA = 249.089;
const pressureText = (pa: number, units: UnitSystem): string =>
  units === 'ft' ? `${(pa / INCH_WATER_PA).toFixed(3)} in of water (${pa.toFixed(1)} Pa)` : `${pa.toFixed(1)} Pa`;

interface Room {
  readonly lengthM: number;
  readonly widthM: number;
  readonly heightM: number;
  readonly ach: number;
  readonly ratedM3h: number;
  readonly leakCm2: number;
}
/** A room of 30 x 20 x 9 ft, and a machine of 500 cfm. */
const A_ROOM: Room = { lengthM: 9.144, widthM: 6.096, heightM: 2.7432, ach: 4, ratedM3h: 849.5, leakCm2: 200 };

function RoomAir({ units }: { readonly units: UnitSystem }) {
  const [room, put] = useKept<Room>('bench-room', A_ROOM);
  const set = (over: Partial<Room>) => put({ ...room, ...over });
  const flow = flowUnit(units);
  const leak = units === 'ft' ? ('in2' as const) : ('cm2' as const);
  const cm2 = leak === 'in2' ? 6.4516 : 1;
  return (
    <Panel title="Air for a room" aside="changes, machines, pressure" testID="room-air">
      <Row>
        {(['lengthM', 'widthM', 'heightM'] as const).map((f) => (
          <Cell key={f}>
            <LengthField
              label={{ lengthM: 'Length', widthM: 'Width', heightM: 'Height' }[f]}
              value={room[f]}
              check={positive}
              onCommit={(v) => v !== null && set({ [f]: v })}
              testID={`air-${f}`}
            />
          </Cell>
        ))}
      </Row>
      <Row>
        <Amount
          label="Air changes an hour"
          value={room.ach}
          check={positive}
          onCommit={(v) => v !== null && set({ ach: v })}
          testID="air-ach"
        />
        <Amount
          label="One machine, as labelled"
          unit={flow === 'cfm' ? 'cfm' : 'm³/h'}
          value={roundForReading(convert(room.ratedM3h, 'm3/h', flow))}
          check={positive}
          onCommit={(v) => v !== null && set({ ratedM3h: convert(v, flow, 'm3/h') })}
          testID="air-machine"
        />
        <Amount
          label="Cracks and flaps, open"
          unit={leak === 'in2' ? 'in²' : 'cm²'}
          value={roundForReading(room.leakCm2 / cm2)}
          check={positive}
          onCommit={(v) => v !== null && set({ leakCm2: v * cm2 })}
          testID="air-leak"
        />
      </Row>
      <Told
        testID="room-air-answer"
        of={() => {
          const volume = room.lengthM * room.widthM * room.heightM;
          const needed = changesFlow(volume, room.ach);
          const machines = machinesFor(needed, room.ratedM3h);
          const brings = machines * room.ratedM3h * LOADED_SHARE;
          const pa = pressureOver(brings, room.leakCm2 / 10_000);
          return [
            `${flowText(needed, units)}: ${many(machines, 'machine')} of that kind, with loaded filters.`,
            `They hold ${pressureText(pa, units)} over those openings${pa < 5 ? ': under 0.02 in of water (5 Pa), so seal more or add a machine' : ''}.`,
            `After the work 99 % is gone in ${Math.ceil(purgeHours(0.01, room.ach, MIXING) * 60)} min, with a mixing factor of ${MIXING}.`,
          ];
        }}
      />
      <Words look="note">
        Sizing as NIOSH and EPA teach it; loaded filters pass about 80 % of the label (common practice). Pressure by the orifice equation,
        Cd 0.61. The way out of the air is outdoors, away from windows; smoke at the flap shows each shift that it draws in.
      </Words>
    </Panel>
  );
}

interface InRoom {
  readonly solvent: SolventId;
  readonly litresPerM2: number;
  readonly hours: number;
  readonly volumeM3: number;
  readonly freshM3h: number;
}
const A_GEL: InRoom = { solvent: 'mineralSpirits', litresPerM2: 0.1, hours: 2, volumeM3: 40, freshM3h: 100 };

function Solvent({ units }: { readonly units: UnitSystem }) {
  const [it, put] = useKept<InRoom>('bench-solvent', A_GEL);
  const set = (over: Partial<InRoom>) => put({ ...it, ...over });
  const flow = flowUnit(units);
  // fl oz on a square foot, or L on a square metre.
  const each = units === 'ft' ? convert(1, 'floz', 'L') / convert(1, 'ft2', 'm2') : 1;
  const m3 = units === 'ft' ? 0.3048 ** 3 : 1;
  const { flashC, lelPct, limitPpm, limitBy } = SOLVENTS[it.solvent];
  return (
    <Panel title="Solvent in a room" aside="how much may be laid at once" testID="solvent-air">
      <Select
        label="Solvent"
        value={it.solvent}
        options={SOLVENT_IDS.map((value) => ({ value, label: cap(say(`solvent.${value}`)) }))}
        onChange={(solvent) => set({ solvent })}
        testID="solvent"
      />
      <Row>
        <Amount
          label="Laid and evaporating"
          unit={units === 'ft' ? 'fl oz/ft²' : 'L/m²'}
          decimals={3}
          value={it.litresPerM2 / each}
          check={positive}
          onCommit={(v) => v !== null && set({ litresPerM2: v * each })}
          testID="solvent-laid"
        />
        <Amount
          label="Gone within"
          unit="h"
          value={it.hours}
          check={positive}
          onCommit={(v) => v !== null && set({ hours: v })}
          testID="solvent-hours"
        />
        <Amount
          label="The room"
          unit={units === 'ft' ? 'ft³' : 'm³'}
          value={roundForReading(it.volumeM3 / m3)}
          onCommit={(v) => v !== null && set({ volumeM3: v * m3 })}
          testID="solvent-room"
        />
        <Amount
          label="Fresh air"
          unit={flow === 'cfm' ? 'cfm' : 'm³/h'}
          value={roundForReading(convert(it.freshM3h, 'm3/h', flow))}
          check={(v) => (v >= 0 ? undefined : 'It is not less than 0.')}
          onCommit={(v) => v !== null && set({ freshM3h: convert(v, flow, 'm3/h') })}
          testID="solvent-fresh"
        />
      </Row>
      <Told
        testID="solvent-answer"
        of={() => {
          const a = layAtOnce(it);
          const more = (m3h: number) => flowText(m3h, units);
          const one = units === 'ft' ? 'ft²' : 'm²';
          const per = units === 'ft' ? convert(1, 'ft2', 'm2') : 1;
          return [
            `Lay at most ${formatMeasure(measure(a.atOnceM2, 'm2'), units)} at once, or bring in more air.`,
            `What one breathes decides, long before it burns: the limit is ${limitPpm} ppm.`,
            `Each ${one} laid asks for ${more(a.perM2.fire * per)} against fire and ${more(a.perM2.harm * per)} against harm.`,
          ];
        }}
      />
      <Words look="note">{`Explosive from ${lelPct} % by volume, flash point ${formatMeasure(measure(flashC, 'C'), units)} (NFPA 325; NIOSH). Breathing: ${limitPpm} ppm over a shift (${limitBy}); the data sheet may say less. Mixing factor ${MIXING}. No flame, no hot tool, no spark while it evaporates; vapour is heavier than air and lies in the cellar.`}</Words>
    </Panel>
  );
}

interface Line {
  readonly what: string;
  readonly ugM3: number;
  readonly hours: number;
}
interface Day {
  readonly set: LimitSet;
  readonly tasks: readonly Line[];
}

function Breathing({ set: usual }: { readonly set: LimitSet }) {
  const [day, put] = useKept<Day>('bench-day', {
    set: usual,
    tasks: [
      { what: 'Scraping', ugM3: 90, hours: 4 },
      { what: 'Clean-up', ugM3: 120, hours: 1.5 },
      { what: 'Elsewhere', ugM3: 0, hours: 2.5 },
    ],
  });
  const setTask = (i: number, over: Partial<Line>) => put({ ...day, tasks: day.tasks.map((t, k) => (k === i ? { ...t, ...over } : t)) });
  const list = RULEBOOKS[day.set === 'uk' ? 'uk' : 'us'].respirators;
  const shift = day.tasks.reduce((sum, t) => sum + t.hours, 0);
  return (
    <Panel title="A day’s lead" aside="one person" testID="day-lead">
      <Pick
        label="Held against"
        value={day.set}
        options={LIMIT_SETS.map((value) => ({ value, label: say(`limits.${value}`) }))}
        onChange={(set) => put({ ...day, set })}
        testID="limit-set"
      />
      {day.tasks.map((t, i) => (
        <View key={i} role="group" aria-label={`Task ${i + 1}`} className="flex-row flex-wrap items-end gap-3 bg-panel px-3 py-2">
          <Words look="row" className="min-w-[6rem] flex-1">
            {t.what}
          </Words>
          <Amount
            label={`Lead in the air, ${t.what.toLowerCase()}`}
            unit="µg/m³"
            value={t.ugM3}
            onCommit={(v) => v !== null && setTask(i, { ugM3: v })}
            testID={`task-ug-${i}`}
          />
          <Amount
            label={`Time, ${t.what.toLowerCase()}`}
            unit="h"
            value={t.hours}
            onCommit={(v) => v !== null && setTask(i, { hours: v })}
            testID={`task-h-${i}`}
          />
          {day.tasks.length > 1 ? (
            <Button
              look="quiet"
              label="Remove"
              says={`Remove ${t.what}`}
              onPress={() => put({ ...day, tasks: day.tasks.filter((_, k) => k !== i) })}
            />
          ) : null}
        </View>
      ))}
      <Button
        label="Add a task"
        className="self-start"
        onPress={() => put({ ...day, tasks: [...day.tasks, { what: `Task ${day.tasks.length + 1}`, ugM3: 0, hours: 1 }] })}
      />
      <DayBand tasks={day.tasks} limit={leadLimit(day.set, shift)} />
      <Told
        testID="day-answer"
        of={() => {
          const d = dayOfLead(day.tasks, day.set);
          const mask = maskFor(list, d.factor, false);
          const ug = (n: number) => `${roundForReading(n)} µg/m³`;
          return [
            d.over
              ? `Over: ${ug(d.average)} against ${ug(d.limit)}. ${mask ? `${cap(say(mask.id))} at the least (factor ${mask.apf}).` : 'No mask on the list has that factor: stop and ask.'}`
              : `Within: ${ug(d.average)} against ${ug(d.limit)}. The limit asks for no mask; the work may.`,
            `Over eight hours ${ug(d.twa8)}; the shift is ${roundForReading(d.shiftH)} h.`,
            d.atAction
              ? `At or above the action level: air is measured again${day.set === 'uk' ? '' : ` within ${monthsToNext(d)} months`}, blood is tested, people are trained.`
              : 'Under the action level.',
          ];
        }}
      />
      <Words look="note">
        29 CFR 1926.62: past eight hours the limit is 400 divided by the hours. California from memory of 8 CCR 1532.1; United Kingdom by
        the Control of Lead at Work Regulations 2002. Until it was measured, scraping, sanding and heat on lead are presumed at up to 500
        µg/m³.
      </Words>
    </Panel>
  );
}

interface Filter {
  readonly lPerMin: number;
  readonly minutes: number;
  readonly leastUg: number;
  readonly shiftH: number;
  readonly foundUg: number | null;
}
const A_FILTER: Filter = { lPerMin: 2, minutes: 480, leastUg: 1, shiftH: 8, foundUg: null };

function Sample() {
  const [it, put] = useKept<Filter>('bench-sample', A_FILTER);
  const number = (field: 'lPerMin' | 'minutes' | 'leastUg' | 'shiftH', label: string, unit: string) => (
    <Amount
      key={field}
      label={label}
      unit={unit}
      value={it[field]}
      onCommit={(v) => v !== null && put({ ...it, [field]: v })}
      testID={`sample-${field}`}
    />
  );
  const limit = LEAD_LIMITS.osha.limit;
  return (
    <Panel title="An air sample" aside="what it could show" testID="air-sample">
      <Row>
        {number('lPerMin', 'Pump', 'L/min')}
        {number('minutes', 'Runs', 'min')}
        {number('shiftH', 'Of a shift of', 'h')}
        {number('leastUg', 'The lab sees from', 'µg')}
        <Amount
          label="Found on the filter, when it is back"
          unit="µg"
          optional
          value={it.foundUg}
          check={(v) => (v >= 0 ? undefined : 'It is not less than 0.')}
          onCommit={(foundUg) => put({ ...it, foundUg })}
          testID="sample-found"
        />
      </Row>
      <Told
        testID="sample-answer"
        of={() => {
          const p = samplePlan(it, it.shiftH * 60, limit);
          const least = `${roundForReading(p.detectableUgM3)} µg/m³`;
          return [
            it.foundUg === null
              ? p.tells
                ? `${roundForReading(p.litres)} L: it shows lead from ${least} on.`
                : `${roundForReading(p.litres)} L show only ${least} and more: too little to say anything about ${limit} µg/m³. Run it longer.`
              : `${roundForReading(airFrom(it.foundUg, p.litres))} µg/m³ over ${roundForReading(it.minutes / 60)} h.`,
            ...(it.minutes < it.shiftH * 60
              ? [`${roundForReading(it.shiftH - it.minutes / 60)} h of the shift are not in it: give them as tasks of their own.`]
              : []),
          ];
        }}
      />
    </Panel>
  );
}
