/** What the firm decides for itself. A rate of its own is marked as its own wherever it is used. */
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { CURRENCIES, FirmSettings, say, UNITS } from '@roughsill/core';
import { Button, NumberField, Panel, Pick, TextField, Toggle, Words } from '../../kit';
import { changeSettings, useAppDispatch, useSettings } from '../../store';
import { Notices } from '../Notices';

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
        <Panel title="Prices" aside="in one money, whatever the rules of a job">
          <Pick
            label="Rates and prices are in"
            value={s.pricesIn}
            options={CURRENCIES.map((value) => ({ value, label: UNITS[value].label }))}
            onChange={(pricesIn) => put({ pricesIn })}
            testID="prices-in"
          />
          <View className="flex-row flex-wrap gap-3">
            {money('labourPerHour', 'One person, one hour')}
            {money('sheetPerM2', 'Plastic sheet, each m²')}
            {money('bagEach', 'Waste bag, each')}
          </View>
        </Panel>
        <Panel title="The crew" aside="for days and rounds">
          <View className="flex-row flex-wrap gap-3">
            <View className="min-w-[9rem] flex-1">
              <NumberField
                label="People on a job"
                value={s.crew}
                step={1}
                decimals={0}
                check={(v) => against({ crew: v })}
                onCommit={(v) => v !== null && put({ crew: v })}
                testID="crew"
              />
            </View>
            <View className="min-w-[9rem] flex-1">
              <NumberField
                label="Working day"
                unit="h"
                value={s.hoursPerDay}
                step={0.5}
                check={(v) => against({ hoursPerDay: v })}
                onCommit={(v) => v !== null && put({ hoursPerDay: v })}
              />
            </View>
          </View>
          <Button label="Methods: rates, dwells, prices" onPress={() => router.navigate('/catalogue')} testID="to-catalogue" />
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
          <Button label="People, machines, sites" onPress={() => router.navigate('/firm')} className="self-start" />
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
          <Toggle
            label="Infrared on lead"
            hint="On by default: it stays cool enough that lead does not fume. Off: no heat on lead at all"
            value={s.allowInfraredOnLead}
            onChange={(allowInfraredOnLead) => put({ allowInfraredOnLead })}
            testID="infrared"
          />
          <Toggle
            label="Dry scraping of loose lead paint, outdoors"
            hint="Off by default: wet only. On: with a full ground sheet, a half mask and no wind; dry sanding stays out"
            value={s.allowDryScrapeOutdoors}
            onChange={(allowDryScrapeOutdoors) => put({ allowDryScrapeOutdoors })}
          />
          <Toggle
            label="Soft-grit sweep on timber"
            hint="On by default, on sound planking and after a trial. Historic brick and stone are never blasted, whatever this says"
            value={s.allowSoftBlastOnTimber}
            onChange={(allowSoftBlastOnTimber) => put({ allowSoftBlastOnTimber })}
          />
          <Toggle
            label="Stop where lead is found, and hand over"
            hint="Off by default: certificate, area and method decide, and say so"
            value={s.stopOnLead}
            onChange={(stopOnLead) => put({ stopOnLead })}
          />
          <Pick
            label="Mold, once its cause is cured"
            value={s.moldSchool}
            options={(['moldWash', 'moldBiocide', 'moldBleach'] as const).map((value) => ({ value, label: say(value) }))}
            onChange={(moldSchool) => put({ moldSchool })}
          />
          <Pick
            label="What seals a mold stain, clean and dry"
            value={s.moldSeal}
            options={[
              { value: 'stainBlock', label: 'stain-block' },
              { value: 'undercoat', label: 'solvent undercoat' },
              { value: 'pva', label: 'diluted PVA' },
            ]}
            onChange={(moldSeal) => put({ moldSeal })}
          />
          <Pick
            label="Handles, stays and plates"
            value={s.fittings}
            options={[
              { value: 'off', label: 'come off, bagged and tagged' },
              { value: 'stay', label: 'stay: cleaned, scuffed, primed or masked' },
            ]}
            onChange={(fittings) => put({ fittings })}
          />
          <Toggle
            label="Prime everything"
            hint="Off by default: direct only over sound, keyed, compatible coats; bare, mixed, stained and metal are always primed"
            value={s.primeAlways}
            onChange={(primeAlways) => put({ primeAlways })}
          />
          <Pick
            label="Dusting off"
            value={s.dustOff}
            options={[
              { value: 'microfibre', label: 'lint-free microfibre' },
              { value: 'tackCloth', label: 'tack cloth' },
            ]}
            onChange={(dustOff) => put({ dustOff })}
          />
        </Panel>
      </ScrollView>
      <Notices />
    </View>
  );
}
