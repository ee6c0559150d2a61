/** When each coat may go on: the coming ten days of every zone, and the first chain of coats through them. It plans; it opens nothing. */
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  FACINGS,
  formatHours,
  many,
  movedBy,
  say,
  spell,
  type Facing,
  type JobFacts,
  type UnitSystem,
  type Windows as CoatWindows,
} from '@roughsill/core';
import {
  HOUR_MS,
  outlookOf,
  REGION_IDS,
  REGIONS,
  SHADES,
  simulatedWeather,
  stretch,
  USUAL_HOURS,
  type Outlook,
  type PlaceDuring,
  type RegionId,
  type Shade,
  type Weather,
  type Working,
  wallH,
} from '@roughsill/core/weather';
import { readEpw, readWeather, type ReadWeather } from '@roughsill/core/import';
import { Button, Column, Columns, Empty, FilePick, NumberField, Panel, Pick, Select, Words } from '../../kit';
import { useKept } from '../../kit/drafts';
import { cap } from '../../kit/text';
import { commit, set, useAppDispatch, useSettings } from '../../store';
import type { CoatedZone } from '../../workers/ask-protocol';
import { JobPage } from '../JobPage';
import { readPicked, readText } from '../probe/table-file';
import { Cell, Measured, Row } from '../bench/parts';
import { useAsked } from '../useAsked';
import { limitSays, WindowBands } from './WindowBands';

const DAYS = 10;
const HOURS = DAYS * 24;

export const WindowsScreen = () => (
  <JobPage
    full
    title="When it may go on"
    hint="The coming ten days, coat by coat. A forecast plans; what you read at the face on the day opens the coat."
    back="coat"
  >
    {(facts) => <Windows facts={facts} />}
  </JobPage>
);

interface Kept {
  readonly region: RegionId;
  readonly from: number;
  readonly to: number;
}
interface Place extends PlaceDuring {
  /** On which of the ten days the face is ready for its first coat. */
  readonly readyOnDay: number;
}
type Places = Readonly<Record<string, Place>>;

/** Midnight by the sun of the first day of work, or of today. */
function firstDay(startOn: string | null, longitude: number): number {
  const day =
    startOn === null || Date.parse(startOn) < Date.now() - 24 * HOUR_MS
      ? Math.floor(Date.now() / (24 * HOUR_MS)) * 24 * HOUR_MS
      : Date.parse(startOn);
  return day - Math.round(longitude / 15) * HOUR_MS;
}

function Windows({ facts }: { readonly facts: JobFacts }) {
  const settings = useSettings();
  const zones = useAsked(useMemo(() => ({ kind: 'coats' as const, facts, settings }), [facts, settings]));
  const [kept, keep] = useKept<Kept>('windows', { region: 'temperateCoast', ...USUAL_HOURS });
  const [places, setPlaces] = useKept<Places>('windows-places', {});
  const [own, setOwn] = useState<ReadWeather | null>(null);
  /** What stood here before another forecast came. */
  const [before, setBefore] = useState<Weather | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const { region, from, to } = kept;
  const { weather, elsewhere } = useMemo((): { readonly weather: Weather; readonly elsewhere: boolean } => {
    const start = firstDay(facts.job.startOn, own?.weather.longitude ?? REGIONS[region].longitude);
    if (!own) return { weather: simulatedWeather(facts.job.samplingSeed.trim() || facts.job.id, region, start, HOURS), elsewhere: false };
    const at = Math.round((start - own.weather.startMs) / HOUR_MS);
    const reaches = at >= 0 && at + 24 <= own.weather.tempC.length;
    return { weather: stretch(own.weather, reaches ? at : 0, HOURS), elsewhere: !reaches };
  }, [own, region, facts.job.startOn, facts.job.samplingSeed, facts.job.id]);
  const bring = async (file: File) => {
    const { latitude, longitude } = REGIONS[region];
    const year = new Date().getUTCFullYear();
    const read = /\.epw$/i.test(file.name)
      ? await readText(file, (text) => readEpw(text, year, file.name))
      : await readPicked(file, (table) => readWeather(table, { latitude, longitude, offsetH: Math.round(longitude / 15) }, file.name));
    if (read.ok) {
      setBefore(weather);
      setOwn(read.value);
    }
    setWrong(read.ok ? null : read.says);
  };
  return (
    <>
      <Panel
        title="The weather"
        aside={weather.simulated ? 'simulated: it plans, it never opens a coat' : `from ${weather.name}`}
        testID="weather"
      >
        <Row>
          {/* A file has its own place and sun. */}
          {own ? null : (
            <Cell>
              <Select
                label="A climate like"
                value={region}
                options={REGION_IDS.map((value) => ({ value, label: cap(say(`region.${value}`)) }))}
                onChange={(r) => keep({ ...kept, region: r })}
                testID="region"
              />
            </Cell>
          )}
          <Cell>
            <NumberField
              label="Work from"
              unit="h"
              value={from}
              check={(v) => (v >= 0 && v < to ? undefined : 'Before the hour at which it ends.')}
              onCommit={(v) => v !== null && keep({ ...kept, from: v })}
              testID="work-from"
            />
          </Cell>
          <Cell>
            <NumberField
              label="Until"
              unit="h"
              value={to}
              check={(v) => (v > from && v <= 24 ? undefined : 'After the hour at which it begins, at most 24.')}
              onCommit={(v) => v !== null && keep({ ...kept, to: v })}
            />
          </Cell>
        </Row>
        <View className="flex-row flex-wrap items-center gap-3">
          <FilePick
            label="Bring a forecast, CSV or EPW"
            accept=".csv,.txt,.epw"
            testID="weather-file"
            onFiles={([file]) => file && void bring(file)}
          />
          {own ? (
            <Button
              look="quiet"
              label="Back to the simulated one"
              onPress={() => {
                setOwn(null);
                setBefore(null);
              }}
            />
          ) : null}
        </View>
        {wrong ? (
          <Words alert tone="oxide">
            {cap(wrong)}
          </Words>
        ) : null}
        {elsewhere ? <Words look="strong">It does not reach the first day of work: its own first days are drawn.</Words> : null}
        {own?.notes.slice(0, 4).map((s) => (
          <Words key={s} look="note">
            {cap(s)}
          </Words>
        ))}
      </Panel>
      {zones === null ? <Words look="note">Reckoning the coats.</Words> : null}
      {zones?.length === 0 ? <Empty says="Nothing is coated on this job." /> : null}
      <Columns>
        <Column>
          {zones?.map((z) => (
            <ZoneWindows
              key={z.zoneId}
              jobId={facts.job.id}
              zone={z}
              weather={weather}
              before={before}
              working={{ from, to, timeZone: facts.job.timeZone }}
              place={places[z.zoneId] ?? usualPlace(z)}
              onPlace={(p) => setPlaces({ ...places, [z.zoneId]: p })}
              units={facts.job.units}
            />
          ))}
        </Column>
      </Columns>
      <Words look="note">
        Dark bars a coat that would begin then; green is what all of them allow. Numbers are the coats, with the time that each dries.
        Drying by a rule of thumb: twice as long for each 10 °C (18 °F) colder, and for waterborne coats as the air takes up less; the sheet
        rules. Face by air, wind, the sun on this side (clear sky by Haurwitz, cloud by Kasten and Czeplak) and the cold sky. At the stroke
        the face stays 3 °C (5 °F) above the dew point (ISO 8502-4), and until it is safe from rain no dew may lie on it. Least and most
        heat from memory of data sheets. What you tell of a room’s heat and air, and of the day on which it is ready, stays on this device.
      </Words>
    </>
  );
}

/** So many of the ten days may go by before a first coat that still finds its chain here. */
const WITHIN_DAYS = 7;
/** Inner surface resistance in a corner that is not aired, m2K/W. ISO 13788. */
const RSI = 0.25;
/** Until somebody says otherwise: the day by the plan, the room by its own record, where it has one. */
const usualPlace = (z: CoatedZone): Place => ({
  // Work that takes longer than the weather is known: what these days would allow, and a line that says when it is ready.
  readyOnDay: z.readyOnDay <= WITHIN_DAYS ? z.readyOnDay : 1,
  outside: { facing: 's', shade: 'mid', shaded: [] as const },
  room: {
    heatedC: z.climate?.insideC ?? 16,
    airChangesH: z.climate === null ? 2 : Math.max(0.1, z.climate.leakAch),
    volumeM3: z.volumeM3 ?? 40,
    waterGH: 100,
    driedGH: 0,
  },
  fRsi: z.climate === null ? 0.7 : Math.min(0.95, Math.max(0.2, 1 - z.climate.uValueWm2K * RSI)),
});

interface ZoneWindowsProps {
  readonly jobId: string;
  readonly zone: CoatedZone;
  readonly weather: Weather;
  readonly before: Weather | null;
  readonly working: Required<Working>;
  readonly place: Place;
  readonly onPlace: (p: Place) => void;
  readonly units: UnitSystem;
}
function ZoneWindows({ jobId, zone, weather, before, working: { from, to, timeZone }, place: told, onPlace }: ZoneWindowsProps) {
  const [coat, setCoat] = useState(0);
  const dispatch = useAppDispatch();
  const [wrong, setWrong] = useState<string>();
  const write = (fields: { facing?: Facing; shaded?: CoatedZone['shaded'] }) =>
    zone.spaceId !== null && setWrong(dispatch(commit(jobId, [set('space', zone.spaceId, fields)], null))[0]?.message);
  // A side that nobody told of looks south, where the face gets hottest.
  const { facing: recorded, shaded } = zone;
  const facing = recorded ?? told.outside.facing;
  const place = useMemo(
    (): Place => ({
      ...told,
      outside: { ...told.outside, facing, shaded: shaded.map((x) => [x.fromH, x.toH] as const) },
    }),
    [told, facing, shaded],
  );
  const [shade] = shaded;
  const fromH = (place.readyOnDay - 1) * 24;
  const outlook = useMemo(
    () => outlookOf(weather, zone.kind, zone.faces, place, { from, to, timeZone }, fromH),
    [weather, zone, place, from, to, timeZone, fromH],
  );
  const moved = useMemo(() => {
    if (!before) return [];
    const was = outlookOf(before, zone.kind, zone.faces, place, { from, to, timeZone }, fromH);
    return movedBy(was.chain, outlook.chain, (before.startMs - weather.startMs) / HOUR_MS);
  }, [before, weather, zone, place, from, to, timeZone, fromH, outlook]);
  const shown = outlook.coats[Math.min(coat, outlook.coats.length - 1)];
  const when = clockOf(weather, timeZone);
  if (!shown)
    return (
      <Panel title={zone.name} testID={`windows-${zone.zoneId}`}>
        <Words look="strong" tone="oxide">{`Their coat is a question first: ${zone.waiting.join(', ')}.`}</Words>
      </Panel>
    );
  return (
    <Panel title={zone.name} aside={many(zone.faces.length, 'face')} testID={`windows-${zone.zoneId}`}>
      {zone.waiting.length > 0 ? (
        <Words look="strong" tone="oxide">
          {`In no window, their coat is a question first: ${zone.waiting.join(', ')}.`}
        </Words>
      ) : null}
      <View role="status" className={`gap-1 border-l-8 bg-panel px-3 py-2 ${outlook.chain.stopped ? 'border-oxide' : 'border-verdigris'}`}>
        <Words look="row">{headOf(outlook, when)}</Words>
        {outlook.chain.coats.map((l, i) => (
          <Words key={l.startH}>
            {`${i + 1}. ${cap(outlook.coats[i]!.products.map((p) => say(p)).join(', '))}: ${when(l.startH)}, ready ${when(l.readyH)}${l.abrade ? '. The coat below stood longer than it may: abrade first' : ''}.`}
          </Words>
        ))}
        {outlook.bareTooLong.length > 0 ? (
          <Words look="strong" tone="oxide">
            {`Bare too long before its first coat: ${outlook.bareTooLong.map((x) => `${x.name} ${formatHours(x.stoodH)}, at most ${formatHours(x.mostH)}`).join('; ')}. Go over it again just before, or make it ready later.`}
          </Words>
        ) : null}
        {moved.length > 0 ? (
          <View testID={`moved-${zone.zoneId}`}>
            <Words look="strong">
              {`Moved by this forecast: ${moved.map((m) => `coat ${m.coat + 1} from ${when(m.from)} to ${m.to === null ? 'no window' : when(m.to)}`).join('; ')}.`}
            </Words>
          </View>
        ) : null}
        {outlook.dayLaterH !== null && outlook.dayLaterH !== 24 ? (
          <Words look="note">
            {outlook.dayLaterH > 24
              ? `Begun a day later it is ready ${formatHours(outlook.dayLaterH)} later.`
              : outlook.dayLaterH === 0
                ? 'Begun a day later it is ready at the same hour.'
                : `Begun a day later it is ready only ${formatHours(outlook.dayLaterH)} later.`}
          </Words>
        ) : null}
      </View>
      {outlook.coats.length > 1 ? (
        <Pick
          label="Bands of coat"
          value={String(Math.min(coat, outlook.coats.length - 1))}
          options={outlook.coats.map((_, i) => ({ value: String(i), label: `${i + 1}` }))}
          onChange={(v) => setCoat(Number(v))}
        />
      ) : null}
      <WindowBands
        windows={shown.windows}
        chain={outlook.chain}
        coat={coat}
        days={daysOf(weather, timeZone)}
        says={`${zone.name}, coat ${coat + 1}: it may begin in ${shown.windows.may.reduce((s, x) => s + x, 0)} of ${shown.windows.may.length} hours. ${headOf(outlook, when)}`}
      />
      <Row>
        <Cell>
          <NumberField
            label="Ready for its first coat on day"
            value={place.readyOnDay}
            hint={`By the plan day ${zone.readyOnDay}: stripped, dry, proved.${zone.readyOnDay > WITHIN_DAYS ? ' That is later than the weather is known; these days show what it would allow.' : ''}`}
            check={(v) => (Number.isInteger(v) && v >= 1 && v <= DAYS ? undefined : `A day from 1 to ${DAYS}.`)}
            onCommit={(v) => v !== null && onPlace({ ...told, readyOnDay: v })}
            testID={`ready-${zone.zoneId}`}
          />
        </Cell>
      </Row>
      {wrong === undefined ? null : (
        <Words alert tone="oxide">
          {cap(wrong)}
        </Words>
      )}
      {zone.kind === 'elevation' ? (
        <Row>
          <Cell>
            <Select
              label="Looks"
              value={recorded ?? 'unsaid'}
              options={[
                ...(recorded === null ? [{ value: 'unsaid' as const, label: 'Nobody said: as if south' }] : []),
                ...FACINGS.map((value) => ({ value, label: cap(say(`facing.${value}`)) })),
              ]}
              onChange={(to) => to !== 'unsaid' && write({ facing: to })}
              testID={`facing-${zone.zoneId}`}
            />
          </Cell>
          <Pick<Shade>
            label={
              zone.faces.every((f) => f.shade !== null)
                ? spell('Colour (each piece has its own)')
                : spell('Colour, where none is wanted yet')
            }
            value={place.outside.shade}
            options={SHADES.map((value) => ({ value, label: say(`shade.${value}`) }))}
            onChange={(to) => onPlace({ ...told, outside: { ...told.outside, shade: to } })}
          />
          <Cell>
            <NumberField
              label="In the shade from"
              unit="h by the sun"
              optional
              value={shade?.fromH ?? null}
              check={(v) => (v >= 0 && v < 24 ? undefined : 'An hour of the day.')}
              onCommit={(v) => write({ shaded: v === null ? [] : [{ fromH: v, toH: Math.max(v + 1, shade?.toH ?? 24) }] })}
              testID={`shade-from-${zone.zoneId}`}
            />
          </Cell>
          {shade ? (
            <Cell>
              <NumberField
                label="Until"
                unit="h by the sun"
                value={shade.toH}
                check={(v) => (v > shade.fromH && v <= 24 ? undefined : 'Later than it begins, at most 24.')}
                onCommit={(v) => v !== null && write({ shaded: [{ fromH: shade.fromH, toH: v }] })}
              />
            </Cell>
          ) : null}
        </Row>
      ) : (
        <Row>
          <Measured
            label="Heated to"
            unit="C"
            optional
            value={place.room.heatedC}
            onCommit={(heatedC) => onPlace({ ...told, room: { ...told.room, heatedC } })}
            testID={`heated-${zone.zoneId}`}
          />
          <Cell>
            <NumberField
              label="Air changes an hour"
              value={place.room.airChangesH}
              check={(v) => (v > 0 && v <= 60 ? undefined : 'More than 0, at most 60.')}
              onCommit={(v) => v !== null && onPlace({ ...told, room: { ...told.room, airChangesH: v } })}
            />
          </Cell>
          <Cell>
            <NumberField
              label="Water from the work"
              unit="g/h"
              value={place.room.waterGH}
              check={(v) => (v >= 0 && v <= 5000 ? undefined : 'Not less than 0, at most 5000.')}
              onCommit={(v) => v !== null && onPlace({ ...told, room: { ...told.room, waterGH: v } })}
            />
          </Cell>
        </Row>
      )}
    </Panel>
  );
}

const spanOf = (w: CoatWindows): string => `these ${many(Math.max(1, Math.round(w.may.length / 24)), 'day')}`;

function headOf({ chain, coats }: Outlook, when: (h: number) => string): string {
  const last = chain.coats.at(-1);
  if (chain.stopped) {
    const shown = coats[0]!;
    const what = coats.length === 1 ? 'The coat' : `Coat ${chain.stopped.coat + 1}`;
    return `${what} finds no window in ${spanOf(shown.windows)}: ${limitSays(chain.stopped.by)}.`;
  }
  return `${many(coats.length, 'coat')}, ready ${when(last!.readyH)}.`;
}

/** The clock on the wall, as a moment of UTC. */
function wallAt(w: Weather, h: number, timeZone: string): Date {
  const at = w.startMs + h * HOUR_MS;
  return new Date(at + wallH(at, w.longitude, timeZone) * HOUR_MS);
}
/** Day and hour by the clock on the wall. */
function clockOf(w: Weather, timeZone: string): (h: number) => string {
  return (h) => {
    const at = wallAt(w, h, timeZone);
    return `${at.toLocaleDateString('en-US', { weekday: 'short', month: 'short', day: 'numeric', timeZone: 'UTC' })} ${at.getUTCHours()}:00`;
  };
}
function daysOf(w: Weather, timeZone: string): { readonly h: number; readonly name: string }[] {
  return Array.from({ length: w.tempC.length }, (_, h) => h).flatMap((h) => {
    const at = wallAt(w, h, timeZone);
    return at.getUTCHours() === 0
      ? [{ h, name: at.toLocaleDateString('en-US', { weekday: 'short', day: 'numeric', timeZone: 'UTC' }) }]
      : [];
  });
}
