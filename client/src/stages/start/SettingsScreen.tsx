/** What the firm decides for itself. A rate of its own is marked as its own wherever it is used. */
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { convert, FirmSettings, METHODS, roundForReading, say, type MethodId } from '@roughsill/core';
import { Button, NumberField, Panel, TextField, Toggle, Words } from '../../kit';
import { changeSettings, useAppDispatch, useSettings } from '../../store';
import { Notices } from '../Notices';

const FT2 = convert(1, 'ft2', 'm2');
const against = (fields: Partial<FirmSettings>): string | undefined => {
  const r = FirmSettings.partial().safeParse(fields);
  return r.success ? undefined : r.error.issues[0]?.message;
};

const TEST_WORDS = { swab: 'One swab', chip: 'One chip at the lab', bulk: 'One bulk sample at the lab', xrf: 'One XRF reading' } as const;

export function SettingsScreen() {
  const dispatch = useAppDispatch();
  const s = useSettings();
  const put = (fields: Partial<FirmSettings>) => dispatch(changeSettings(fields));
  const money = (field: 'labourPerHour' | 'sheetPerM2' | 'bagEach', label: string) => (
    <View className="min-w-[11rem] flex-1">
      <NumberField
        label={label}
        value={s[field]}
        check={(v) => against({ [field]: v })}
        onCommit={(v) => v !== null && put({ [field]: v })}
        testID={field}
      />
    </View>
  );
  return (
    <View className="flex-1 bg-limewash">
      <ScrollView contentContainerClassName="w-full max-w-[46rem] gap-6 self-center p-4 pb-10">
        <Button look="quiet" label="‹ All jobs" onPress={() => router.navigate('/')} flush />
        <Words look="title" level={1}>
          Rates and settings
        </Words>
        <TextField
          label="Firm"
          value={s.firmName}
          problem={against({ firmName: s.firmName })}
          onCommit={(firmName) => firmName.trim() && put({ firmName })}
        />
        <Panel title="Prices" aside="in the money of the job’s rules">
          <View className="flex-row flex-wrap gap-3">
            {money('labourPerHour', 'One person, one hour')}
            {money('sheetPerM2', 'Plastic sheet, each m²')}
            {money('bagEach', 'Waste bag, each')}
          </View>
        </Panel>
        <Panel title="Samples" aside="numbers, prices, the lab’s usual time">
          <View className="flex-row flex-wrap gap-3">
            <View className="min-w-[9rem] flex-1">
              <TextField
                label="Numbers begin with"
                value={s.samplePrefix}
                problem={against({ samplePrefix: s.samplePrefix })}
                onCommit={(samplePrefix) => against({ samplePrefix }) === undefined && put({ samplePrefix: samplePrefix.trim() })}
                testID="sample-prefix"
              />
            </View>
            {(['lead', 'asbestos'] as const).map((h) => (
              <View key={h} className="min-w-[9rem] flex-1">
                <NumberField
                  label={`Lab, ${say(h)}`}
                  unit="days"
                  value={s.labDays[h]}
                  decimals={0}
                  check={(v) => against({ labDays: { ...s.labDays, [h]: v } })}
                  onCommit={(v) => v !== null && put({ labDays: { ...s.labDays, [h]: v } })}
                />
              </View>
            ))}
          </View>
          <View className="flex-row flex-wrap gap-3">
            {(['swab', 'chip', 'bulk', 'xrf'] as const).map((k) => (
              <View key={k} className="min-w-[9rem] flex-1">
                <NumberField
                  label={TEST_WORDS[k]}
                  value={s.testPrices[k]}
                  check={(v) => against({ testPrices: { ...s.testPrices, [k]: v } })}
                  onCommit={(v) => v !== null && put({ testPrices: { ...s.testPrices, [k]: v } })}
                />
              </View>
            ))}
            <View className="min-w-[9rem] flex-1">
              <NumberField
                label="Licensed asbestos removal, each m²"
                value={s.licensedRemovalPerM2}
                check={(v) => against({ licensedRemovalPerM2: v })}
                onCommit={(v) => v !== null && put({ licensedRemovalPerM2: v })}
              />
            </View>
          </View>
        </Panel>
        <Panel title="What the firm holds">
          <Toggle
            label="Certified for lead work"
            hint="US: needed for paid work in housing beyond minor amounts"
            value={s.certified}
            onChange={(certified) => put({ certified })}
            testID="certified"
          />
          <Toggle
            label="Recognised swab kit"
            hint="Only a recognised kit can clear a coat"
            value={s.recognisedKit}
            onChange={(recognisedKit) => put({ recognisedKit })}
          />
          <Toggle label="Sander with HEPA shroud" value={s.ownsHepaSander} onChange={(ownsHepaSander) => put({ ownsHepaSander })} />
        </Panel>
        <Panel title="Schools" aside="where good people differ">
          <Toggle
            label="Hot air on lead, below the legal limit"
            hint="Off by default: fume is invisible; infrared does the same below 1000 °F"
            value={s.allowHotAirOnLead}
            onChange={(allowHotAirOnLead) => put({ allowHotAirOnLead })}
            testID="hot-air"
          />
          <Toggle
            label="Caustic on timber"
            hint="Cheap and strong, but what stays ruins the next coat: softwood outdoors or on the bench, trial square first"
            value={s.allowCausticOnTimber}
            onChange={(allowCausticOnTimber) => put({ allowCausticOnTimber })}
          />
        </Panel>
        <Panel title="Rates on flat work" aside="ft² for one person in an hour, one pass">
          {METHODS.filter((m) => m.id !== 'leave').map((m) => (
            <RateRow key={m.id} id={m.id} usual={m.rate} settings={s} put={put} />
          ))}
        </Panel>
      </ScrollView>
      <Notices />
    </View>
  );
}

interface RateRowProps {
  readonly id: MethodId;
  readonly usual: { readonly lowM2PerH: number; readonly highM2PerH: number };
  readonly settings: FirmSettings;
  readonly put: (fields: Partial<FirmSettings>) => void;
}

function RateRow({ id, usual, settings, put }: RateRowProps) {
  const own = settings.rates[id];
  const rate = own ?? usual;
  const write = (side: 'lowM2PerH' | 'highM2PerH') => (v: number | null) =>
    v !== null && put({ rates: { ...settings.rates, [id]: { ...rate, [side]: v * FT2 } } });
  const check = (side: 'lowM2PerH' | 'highM2PerH') => (v: number) => against({ rates: { [id]: { ...rate, [side]: v * FT2 } } });
  const back = () => {
    const { [id]: _gone, ...rest } = settings.rates;
    put({ rates: rest });
  };
  return (
    <View role="group" aria-label={say(id)} className="gap-1 bg-panel p-3">
      <Words look="row">{`${say(id).charAt(0).toUpperCase()}${say(id).slice(1)}${own ? ', your own' : ''}`}</Words>
      <View className="flex-row flex-wrap items-end gap-3">
        <View className="min-w-[7rem] flex-1">
          <NumberField
            label="slow"
            value={roundForReading(rate.lowM2PerH / FT2)}
            check={check('lowM2PerH')}
            onCommit={write('lowM2PerH')}
            testID={`rate-low-${id}`}
          />
        </View>
        <View className="min-w-[7rem] flex-1">
          <NumberField
            label="fast"
            value={roundForReading(rate.highM2PerH / FT2)}
            check={check('highM2PerH')}
            onCommit={write('highM2PerH')}
            testID={`rate-high-${id}`}
          />
        </View>
        {own ? <Button look="quiet" label="Usual rate" says={`Back to the usual rate for ${say(id)}`} onPress={back} /> : null}
      </View>
    </View>
  );
}
