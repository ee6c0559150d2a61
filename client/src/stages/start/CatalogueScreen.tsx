/** Every method: what it is for, what it does and harms, how fast it goes, each with its source; the firm's own numbers beside. */
import { useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import {
  AS_CATALOGUED,
  BOUGHT,
  CHEMISTRIES,
  convert,
  FAMILIES,
  FirmSettings,
  formatHours,
  formatMeasure,
  formatRange,
  makes,
  MATERIALS,
  measure,
  PART_KINDS,
  roundForReading,
  say,
  sourceOf,
  type Method,
  type MethodFact,
  type MethodOwn,
} from '@roughsill/core';
import { SOURCE_KIND_WORDS, SOURCES, tell } from '@roughsill/core/words';
import { Button, NumberField, Panel, Select, TextField, Toggle, Words } from '../../kit';
import { changeSettings, useAppDispatch, useSettings } from '../../store';
import { Notices } from '../Notices';
import { cap } from '../../kit/text';

const FT2 = convert(1, 'ft2', 'm2');

export function CatalogueScreen() {
  const [find, setFind] = useState('');
  const wanted = find.trim().toLowerCase();
  const shown = Object.entries(FAMILIES)
    .map(([family, methods]) => ({ family, methods: methods.filter((m) => wanted === '' || say(m.id).toLowerCase().includes(wanted)) }))
    .filter((f) => f.methods.length > 0);
  return (
    <View className="flex-1 bg-limewash">
      <ScrollView contentContainerClassName="w-full max-w-[46rem] gap-6 self-center p-4 pb-10">
        <Button look="quiet" label="‹ Rates and settings" onPress={() => router.navigate('/settings')} flush />
        <View className="gap-1">
          <Words look="title" level={1}>
            Methods
          </Words>
          <Words>What each is for, what it does, and how fast it goes. Put your own numbers beside; they are marked as yours.</Words>
        </View>
        <TextField label="Find a method" value={find} onChange={setFind} onCommit={setFind} />
        {shown.length === 0 ? <Words>No method has that in its name.</Words> : null}
        {shown.map(({ family, methods }) => (
          <Panel key={family} title={tell(`family.${family}`)} aside={String(methods.length)}>
            {methods.map((m) => (
              <MethodCard key={m.id} method={m} />
            ))}
          </Panel>
        ))}
      </ScrollView>
      <Notices />
    </View>
  );
}

const list = (xs: readonly string[]): string => (xs.length === 0 ? 'none' : xs.join(', '));

function factsOf(m: Method): readonly (readonly [MethodFact, string, string])[] {
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
  const c = (value: number) => formatMeasure(measure(value, 'C'), 'ft');
  if (m.coldestC !== null) out.push(['limits', 'Not colder than', `${c(m.coldestC)} on the face`]);
  if (m.hottestC !== null) out.push(['limits', 'Not hotter than', `${c(m.hottestC)} on the face`]);
  if (m.shade) out.push(['limits', 'Weather', 'no sun, no wind on it']);
  if (m.dwellH) out.push(['dwell', 'Soaks', `${formatRange(m.dwellH, formatHours)} at ${c(20)}`]);
  if (m.consumables.length > 0) out.push(['use', 'Uses', list(m.consumables.map((c) => say(c.id)))]);
  if (m.people === 2) out.push(['rate', 'People', 'two beside each other, both counted']);
  if (m.paired) out.push(['rate', 'People', 'one or two: the same person-hours, fewer days with two']);
  return out;
}

function MethodCard({ method: m }: { readonly method: Method }) {
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
            {[
              own ? 'your own' : '',
              own?.owned === false ? 'not used here' : '',
              `${roundForReading((own?.lowM2PerH ?? m.rate.lowM2PerH) / FT2)} to ${roundForReading((own?.highM2PerH ?? m.rate.highM2PerH) / FT2)} ft²/h`,
            ]
              .filter(Boolean)
              .join(' · ')}
          </Words>
        </View>
      </Pressable>
      {open ? (
        <View className="gap-3 px-3 pb-3">
          <View className="gap-1.5">
            {factsOf(m).map(([fact, label, value]) => (
              <View key={label} className="border-l-2 border-line pl-3">
                <Words look="body">{`${label}: ${value}`}</Words>
                <Words look="note">{sourceText(m, fact)}</Words>
              </View>
            ))}
          </View>
          <OwnNumbers method={m} />
        </View>
      ) : null}
    </View>
  );
}

function sourceText(m: Method, fact: MethodFact): string {
  const s = SOURCES[sourceOf(m, fact)];
  const kind = SOURCE_KIND_WORDS[s.kind];
  // Common practice is its own title.
  return kind.startsWith(s.title) ? `${kind}.` : `${s.title}. ${kind}.`;
}

function OwnNumbers({ method: m }: { readonly method: Method }) {
  const dispatch = useAppDispatch();
  const settings = useSettings();
  const own = settings.rates[m.id];
  const now: MethodOwn = own ?? AS_CATALOGUED;
  const rates = { lowM2PerH: now.lowM2PerH ?? m.rate.lowM2PerH, highM2PerH: now.highM2PerH ?? m.rate.highM2PerH };
  const put = (over: Partial<MethodOwn>) => dispatch(changeSettings({ rates: { ...settings.rates, [m.id]: { ...now, ...over } } }));
  const refuse = (over: Partial<MethodOwn>): string | undefined => {
    const r = FirmSettings.partial().safeParse({ rates: { [m.id]: { ...now, ...over } } });
    return r.success ? undefined : r.error.issues[0]?.message;
  };
  const number = (label: string, unit: string, value: number | null, over: (v: number) => Partial<MethodOwn>, testID: string) => (
    <View className="min-w-[8rem] flex-1">
      <NumberField
        label={label}
        unit={unit}
        value={value}
        check={(v) => refuse(over(v))}
        onCommit={(v) => v !== null && put(over(v))}
        testID={`${testID}-${m.id}`}
      />
    </View>
  );
  const dwell = m.dwellH && { dwellLowH: now.dwellLowH ?? m.dwellH.low, dwellHighH: now.dwellHighH ?? m.dwellH.high };
  return (
    <View role="group" aria-label={`Your own numbers for ${say(m.id)}`} className="gap-3">
      <Words look="label">Your own numbers</Words>
      <View className="flex-row flex-wrap gap-3">
        {number('Slow', 'ft²/h', roundForReading(rates.lowM2PerH / FT2), (v) => ({ ...rates, lowM2PerH: v * FT2 }), 'rate-low')}
        {number('Fast', 'ft²/h', roundForReading(rates.highM2PerH / FT2), (v) => ({ ...rates, highM2PerH: v * FT2 }), 'rate-high')}
        {dwell ? number('Soaks, short', 'h', dwell.dwellLowH, (v) => ({ ...dwell, dwellLowH: v }), 'dwell-low') : null}
        {dwell ? number('Soaks, long', 'h', dwell.dwellHighH, (v) => ({ ...dwell, dwellHighH: v }), 'dwell-high') : null}
        {number('Materials', 'each m² and pass', now.materialsPerM2, (v) => ({ materialsPerM2: v }), 'materials')}
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
      {own ? (
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
      ) : null}
    </View>
  );
}
