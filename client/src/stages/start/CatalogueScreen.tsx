/** Every method: what it is for, what it does and harms, how fast it goes, each with its source; the firm's own numbers beside. */
import { useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import {
  AS_CATALOGUED,
  BOUGHT,
  CHEMISTRIES,
  FAMILIES,
  formatHours,
  formatMeasure,
  formatRange,
  makes,
  MATERIALS,
  measure,
  PART_KINDS,
  readNumber,
  say,
  sourceOf,
  type Method,
  type MethodFact,
  type FirmSettings,
  type MethodOwn,
  type UnitSystem,
} from '@roughsill/core';
import { sourceKnown, SOURCES, tell, type SourceId } from '@roughsill/core/words';
import { Button, NumberField, Panel, Select, TextField, Toggle, useWide, Words, useSourceChecks } from '../../kit';
import { Sheet, SheetInput, SheetName, type SheetColumn } from '../../kit/Sheet';
import { CELL, TICK } from '../../kit/sheet-look';
import { changeSettings, useAppDispatch, useSettings, useSettingsAsOpened } from '../../store';
import { useKeptScroll, useWayBack } from '../../trail';
import { ChangedPanel } from '../ChangedPanel';
import { Notices } from '../Notices';
import { useJobAtHand } from '../useJobAtHand';
import { against, areaUnit, NUMBER_WORDS, NUMBERS, numberUnit, ownNumbers, withOwn, type NumberId } from './own-numbers';
import { cap } from '../../kit/text';

export function CatalogueScreen() {
  const [find, setFind] = useState('');
  const [open, setOpen] = useState<Method | null>(null);
  const wide = useWide();
  const { facts, units } = useJobAtHand();
  const settings = useSettings();
  const wasSettings = useSettingsAsOpened();
  const wanted = find.trim().toLowerCase();
  const shown = Object.entries(FAMILIES)
    .map(([family, methods]) => ({ family, methods: methods.filter((m) => wanted === '' || say(m.id).toLowerCase().includes(wanted)) }))
    .filter((f) => f.methods.length > 0);
  const way = useWayBack({ href: '/settings', label: 'Rates and settings' }, '/');
  const kept = useKeptScroll();
  return (
    <View className="flex-1 bg-limewash">
      <ScrollView {...kept} contentContainerClassName={`w-full gap-6 self-center p-4 pb-10 ${wide ? 'max-w-[100rem]' : 'max-w-[46rem]'}`}>
        <Button look="quiet" label={`‹ ${way.label}`} onPress={way.go} flush />
        <View className="gap-1">
          <Words look="title" level={1}>
            Methods
          </Words>
          <Words>What each is for, what it does, and how fast it goes. Put your own numbers beside; they are marked as yours.</Words>
        </View>
        {facts ? (
          <ChangedPanel title={`On ${facts.job.name}`} was={{ facts, settings: wasSettings }} facts={facts} settings={settings} />
        ) : null}
        <View className="max-w-[30rem]">
          <TextField label="Find a method" value={find} onChange={setFind} onCommit={setFind} />
        </View>
        {shown.length === 0 ? <Words>No method has that in its name.</Words> : null}
        {wide ? (
          <View className="flex-row items-start gap-6">
            <View className="min-w-0 flex-1">
              <RatesTable
                lines={shown.flatMap(({ family, methods }) => methods.map((method) => ({ method, family })))}
                units={units}
                open={open}
                onOpen={setOpen}
              />
            </View>
            {open ? (
              <View className="w-[22rem] flex-none gap-3 bg-panel p-3" testID="method-facts">
                <View className="flex-row items-center justify-between gap-2">
                  <Words look="head" level={2}>
                    {cap(say(open.id))}
                  </Words>
                  <Button look="quiet" label="Close" onPress={() => setOpen(null)} />
                </View>
                <MethodFacts method={open} units={units} />
                {settings.rates[open.id] ? <Usual method={open} /> : null}
              </View>
            ) : null}
          </View>
        ) : (
          shown.map(({ family, methods }) => (
            <Panel key={family} title={tell(`family.${family}`)} aside={String(methods.length)}>
              {methods.map((m) => (
                <MethodCard key={m.id} method={m} units={units} />
              ))}
            </Panel>
          ))
        )}
      </ScrollView>
      <Notices />
    </View>
  );
}

const list = (xs: readonly string[]): string => (xs.length === 0 ? 'none' : xs.join(', '));

function factsOf(m: Method, units: UnitSystem): readonly (readonly [MethodFact, string, string])[] {
  const out: (readonly [MethodFact, string, string])[] = [
    ['suits', 'Takes off', list(m.takes.map((t) => tell(`takes.${t}`)))],
    ['suits', 'On', m.suits.length === MATERIALS.length ? 'every material' : list(m.suits.map(say))],
    [
      'suits',
      'Reaches, at so much of the speed on flats',
      list(
        PART_KINDS.filter((p) => m.reach[p] !== undefined).map((p) =>
          m.reach[p] === 1 ? say(p) : `${say(p)} ${Math.round(m.reach[p]! * 100)} %`,
        ),
      ),
    ],
    ['bite', 'Goes', say(m.bite)],
    ['leaves', 'Leaves', list(m.leaves.map(say))],
    ['limits', 'Needs', list(m.needs.map((n) => tell(`needs.${n}`)))],
    ['harm', 'Makes', list(makes(m).map((x) => tell(`makes.${x}`)))],
    ['harm', 'Harms', list(m.harms.map((h) => tell(`harms.${h}`)))],
    ['exposure', 'On lead', tell(m.exposure === 'none' ? 'exposure.none' : m.exposure)],
  ];
  if (m.failsOn.length > 0) out.push(['suits', 'Does little on', list(m.failsOn.map(say))]);
  const c = (value: number) => formatMeasure(measure(value, 'C'), units);
  if (m.coldestC !== null) out.push(['limits', 'Not colder than', `${c(m.coldestC)} on the face`]);
  if (m.hottestC !== null) out.push(['limits', 'Not hotter than', `${c(m.hottestC)} on the face`]);
  if (m.shade) out.push(['limits', 'Weather', 'no sun, no wind on it']);
  if (m.dwellH) out.push(['dwell', 'Soaks', `${formatRange(m.dwellH, formatHours)} at ${c(20)}`]);
  if (m.consumables.length > 0) out.push(['use', 'Uses', list(m.consumables.map((c) => say(c.id)))]);
  if (m.people === 2) out.push(['rate', 'People', 'two beside each other, both counted']);
  if (m.paired) out.push(['rate', 'People', 'one or two: the same person-hours, fewer days with two']);
  return out;
}

const ratesText = (m: Method, settings: FirmSettings, units: UnitSystem): string => {
  const [low, high] = ownNumbers(m, settings, units);
  return `${low!.value} to ${high!.value} ${areaUnit(units)}/h`;
};

function MethodCard({ method: m, units }: { readonly method: Method; readonly units: UnitSystem }) {
  const settings = useSettings();
  const [open, setOpen] = useState(false);
  const own = settings.rates[m.id];
  return (
    <View className="bg-panel" testID={`method-card-${m.id}`}>
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`${say(m.id)}: facts and rates`}
        onPress={() => setOpen(!open)}
        className="min-h-touch justify-center px-3 py-2"
      >
        <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
          <Words look="row">{cap(say(m.id))}</Words>
          <Words look="note">
            {[own ? 'your own' : '', own?.owned === false ? 'not used here' : '', ratesText(m, settings, units)]
              .filter(Boolean)
              .join(' · ')}
          </Words>
        </View>
      </Pressable>
      {open ? (
        <View className="gap-3 px-3 pb-3">
          <MethodFacts method={m} units={units} />
          <OwnNumbers method={m} units={units} />
        </View>
      ) : null}
    </View>
  );
}

const MethodFacts = ({ method: m, units }: { readonly method: Method; readonly units: UnitSystem }) => (
  <View className="gap-1.5">
    {factsOf(m, units).map(([fact, label, value]) => (
      <View key={label} className="border-l-2 border-line pl-3">
        <Words look="body">{`${label}: ${value}`}</Words>
        <FactSource id={sourceOf(m, fact)} />
      </View>
    ))}
  </View>
);

function FactSource({ id }: { readonly id: SourceId }) {
  const { title } = SOURCES[id];
  const known = sourceKnown(id, useSourceChecks());
  // Common practice is its own title.
  return <Words look="note">{known.startsWith(title) ? `${known}.` : `${title}. ${known}.`}</Words>;
}

function OwnNumbers({ method: m, units }: { readonly method: Method; readonly units: UnitSystem }) {
  const dispatch = useAppDispatch();
  const settings = useSettings();
  const own = settings.rates[m.id];
  const now: MethodOwn = own ?? AS_CATALOGUED;
  const put = (over: Partial<MethodOwn>) => dispatch(changeSettings({ rates: withOwn(settings, m, over) }));
  return (
    <View role="group" aria-label={`Your own numbers for ${say(m.id)}`} className="gap-3">
      <Words look="label">Your own numbers</Words>
      <View className="flex-row flex-wrap gap-3">
        {ownNumbers(m, settings, units).map(({ id, value, over }) => (
          <View key={id} className="min-w-[8rem] flex-1">
            <NumberField
              label={NUMBER_WORDS[id]}
              unit={numberUnit(id, units)}
              value={value}
              check={(v) => against({ rates: withOwn(settings, m, over(v)) })}
              onCommit={(v) => v !== null && put(over(v))}
              testID={`${id}-${m.id}`}
            />
          </View>
        ))}
      </View>
      {BOUGHT.includes(m.id) ? (
        <Select
          label="What is in the product that you buy"
          value={now.chemistry}
          options={CHEMISTRIES.map((value) => ({ value, label: say(value) }))}
          onChange={(chemistry) => put({ chemistry })}
          testID={`chemistry-${m.id}`}
        />
      ) : null}
      <Toggle label="We have it, or hire it" value={now.owned} onChange={(owned) => put({ owned })} testID={`owned-${m.id}`} />
      {own ? <Usual method={m} /> : null}
    </View>
  );
}

function Usual({ method: m }: { readonly method: Method }) {
  const dispatch = useAppDispatch();
  const settings = useSettings();
  return (
    <Button
      look="quiet"
      flush
      label="Back to the usual numbers"
      says={`Back to the usual numbers for ${say(m.id)}`}
      onPress={() => {
        const { [m.id]: _gone, ...rest } = settings.rates;
        dispatch(changeSettings({ rates: rest }));
      }}
    />
  );
}

interface Line {
  readonly method: Method;
  readonly family: string;
}

/** At a desk: every method in one line, every number of it to be typed over. What is the firm's own stands in strong type. */
function RatesTable({
  lines,
  units,
  open,
  onOpen,
}: {
  readonly lines: readonly Line[];
  readonly units: UnitSystem;
  readonly open: Method | null;
  readonly onOpen: (m: Method | null) => void;
}) {
  const dispatch = useAppDispatch();
  const settings = useSettings();
  const put = (m: Method, over: Partial<MethodOwn>): string | undefined => {
    const rates = withOwn(settings, m, over);
    const said = against({ rates });
    if (said === undefined) dispatch(changeSettings({ rates }));
    return said;
  };
  const number = (id: NumberId): SheetColumn<Line> => ({
    head: `${NUMBER_WORDS[id]}, ${numberUnit(id, units)}`,
    right: true,
    width: 6,
    cell: ({ method: m }) => {
      const n = ownNumbers(m, settings, units).find((x) => x.id === id);
      return n === undefined ? null : (
        <SheetInput
          label={`${NUMBER_WORDS[id]} of ${say(m.id)}, ${numberUnit(id, units)}`}
          value={String(n.value)}
          own={n.own}
          right
          testID={`${id}-${m.id}`}
          onCommit={(text) => {
            const read = readNumber(text);
            return read.ok ? put(m, n.over(read.value)) : read.says;
          }}
        />
      );
    },
  });
  return (
    <Sheet<Line>
      testID="rates-table"
      label="Methods and their numbers"
      rows={lines}
      keyOf={(l) => l.method.id}
      groupOf={(l) => cap(tell(`family.${l.family}`))}
      columns={[
        {
          head: 'Method',
          cell: ({ method: m }) => (
            <SheetName
              label={cap(say(m.id))}
              says={`${say(m.id)}: facts and sources`}
              open={open === m}
              onPress={() => onOpen(open === m ? null : m)}
            />
          ),
        },
        ...NUMBERS.map(number),
        {
          head: 'We have it',
          cell: ({ method: m }) => (
            <input
              type="checkbox"
              aria-label={`We have or hire ${say(m.id)}`}
              data-testid={`owned-${m.id}`}
              checked={settings.rates[m.id]?.owned ?? true}
              onChange={(e) => put(m, { owned: e.target.checked })}
              style={TICK}
            />
          ),
        },
        {
          head: 'What is in the product',
          cell: ({ method: m }) =>
            BOUGHT.includes(m.id) ? (
              <select
                aria-label={`What is in the ${say(m.id)} that you buy`}
                data-testid={`chemistry-${m.id}`}
                value={settings.rates[m.id]?.chemistry ?? 'unsaid'}
                onChange={(e) => put(m, { chemistry: e.target.value as MethodOwn['chemistry'] })}
                style={{ ...CELL, border: '2px solid rgb(var(--line))', color: 'rgb(var(--soot))', width: '11rem' }}
              >
                {CHEMISTRIES.map((value) => (
                  <option key={value} value={value}>
                    {say(value)}
                  </option>
                ))}
              </select>
            ) : null,
        },
      ]}
    />
  );
}
