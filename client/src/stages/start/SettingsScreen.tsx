/** What the firm decides for itself. A rate of its own is marked as its own wherever it is used. */
import { type ComponentProps } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import {
  convert,
  formatMeasure,
  measure,
  CURRENCIES,
  RESPIRATOR_IDS,
  roundForReading,
  say,
  spell,
  UNITS,
  type FirmSettings,
  type UnitSystem,
} from '@roughsill/core';
import { Button, Column, Columns, NumberField, Panel, Pick, TextField, Ticks, Toggle, Words } from '../../kit';
import { changeSettings, useAppDispatch, useSettings, useSettingsAsOpened } from '../../store';
import { useKeptScroll } from '../../trail';
import { ChangedPanel } from '../ChangedPanel';
import { DayField } from '../DayField';
import { Notices } from '../Notices';
import { useJobAtHand } from '../useJobAtHand';
import { against, areaUnit, perArea, perM2 } from './own-numbers';

const COAT_WORDS = { water: 'Waterborne coat', solvent: 'Solvent coat', mineral: 'Limewash or mineral coat' } as const;
const WEAR_WORDS = {
  disposable: 'Disposable mask',
  half: 'Half mask',
  powered: 'Powered hood',
  full: 'Full face',
  airline: 'Air line',
  suit: 'Suit',
} as const;
const litresIn = (units: UnitSystem): number => (units === 'ft' ? convert(1, 'gal', 'L') : 1);
const TEST_WORDS = { swab: 'One swab', chip: 'One chip at the lab', bulk: 'One bulk sample at the lab', xrf: 'One XRF reading' } as const;

export function SettingsScreen() {
  const dispatch = useAppDispatch();
  const s = useSettings();
  const put = (fields: Partial<FirmSettings>) => dispatch(changeSettings(fields));
  const { facts, units } = useJobAtHand();
  const wasSettings = useSettingsAsOpened();
  const number = (
    label: string,
    value: number,
    over: (v: number) => Partial<FirmSettings>,
    more: Partial<ComponentProps<typeof NumberField>> = {},
  ) => (
    <View key={label} className="min-w-[11rem] flex-1">
      <NumberField label={label} value={value} check={(v) => against(over(v))} onCommit={(v) => v !== null && put(over(v))} {...more} />
    </View>
  );
  const kept = useKeptScroll();
  return (
    <View className="flex-1 bg-limewash">
      <ScrollView {...kept} contentContainerClassName="w-full max-w-[80rem] gap-6 self-center p-4 pb-10">
        <Button look="quiet" label="‹ All jobs" onPress={() => router.navigate('/')} flush />
        <Words look="title" level={1}>
          Rates and settings
        </Words>
        {facts ? <ChangedPanel title={`On ${facts.job.name}`} was={{ facts, settings: wasSettings }} facts={facts} settings={s} /> : null}
        <Columns>
          <Column>
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
                {number('One person, one hour', s.labourPerHour, (labourPerHour) => ({ labourPerHour }), { testID: 'labourPerHour' })}
                {number(`Plastic sheet, each ${areaUnit(units)}`, perArea(s.sheetPerM2, units), (v) => ({ sheetPerM2: perM2(v, units) }), {
                  testID: 'sheetPerM2',
                })}
                {number('Waste bag, each', s.bagEach, (bagEach) => ({ bagEach }), { testID: 'bagEach' })}
                {number('A full bag gone, each', s.disposalPerBag, (disposalPerBag) => ({ disposalPerBag }), { testID: 'disposalPerBag' })}
              </View>
              <View className="flex-row flex-wrap gap-3">
                {(['water', 'solvent', 'mineral'] as const).map((base) =>
                  number(
                    `${COAT_WORDS[base]}, each ${units === 'ft' ? 'gallon' : spell('litre')}`,
                    roundForReading(s.coatPerLitre[base] * litresIn(units)),
                    (v) => ({ coatPerLitre: { ...s.coatPerLitre, [base]: v / litresIn(units) } }),
                    { testID: `coat-${base}` },
                  ),
                )}
              </View>
            </Panel>
            <Panel title="Masks and suits" aside="for one person and day, with filters">
              <View className="flex-row flex-wrap gap-3">
                {(['disposable', 'half', 'powered', 'full', 'airline', 'suit'] as const).map((k) =>
                  number(WEAR_WORDS[k], s.wearPerDay[k], (v) => ({ wearPerDay: { ...s.wearPerDay, [k]: v } }), { testID: `wear-${k}` }),
                )}
              </View>
            </Panel>
            <Panel title="The crew" aside="for days and rounds">
              <View className="flex-row flex-wrap gap-3">
                {number('People on a job', s.crew, (crew) => ({ crew }), { step: 1, decimals: 0, testID: 'crew' })}
                {number('Working day', s.hoursPerDay, (hoursPerDay) => ({ hoursPerDay }), { unit: 'h', step: 0.5 })}
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
                {(['lead', 'asbestos'] as const).map((h) =>
                  number(`Lab, ${say(h)}`, s.labDays[h], (v) => ({ labDays: { ...s.labDays, [h]: v } }), { unit: 'days', decimals: 0 }),
                )}
              </View>
              <View className="flex-row flex-wrap gap-3">
                {(['swab', 'chip', 'bulk', 'xrf'] as const).map((k) =>
                  number(TEST_WORDS[k], s.testPrices[k], (v) => ({ testPrices: { ...s.testPrices, [k]: v } })),
                )}
                {number(`Licensed asbestos removal, each ${areaUnit(units)}`, perArea(s.licensedRemovalPerM2, units), (v) => ({
                  licensedRemovalPerM2: perM2(v, units),
                }))}
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
              {s.certified ? (
                <DayField
                  label="Last day of that certificate"
                  hint="as 2026-05-04; held against the first day of each job"
                  value={s.certifiedUntil ?? ''}
                  optional
                  onCommit={(day) => put({ certifiedUntil: day === '' ? null : day })}
                  testID="certified-until"
                />
              ) : null}
              <Toggle
                label={spell('Recognised swab kit')}
                hint={spell('Only a recognised kit can clear a coat')}
                value={s.recognisedKit}
                onChange={(recognisedKit) => put({ recognisedKit })}
              />
              <Toggle
                label="Say which masks the firm owns"
                hint="Otherwise it is taken to have what its work needs"
                value={s.masks !== null}
                onChange={(said) => put({ masks: said ? [] : null })}
                testID="say-masks"
              />
              {s.masks === null ? null : (
                <Ticks
                  label="Masks that the firm owns"
                  values={s.masks}
                  options={RESPIRATOR_IDS.map((value) => ({ value, label: say(value) }))}
                  onChange={(masks) => put({ masks })}
                />
              )}
              <Button label="People, houses, clients, machines" onPress={() => router.navigate('/firm')} className="self-start" />
            </Panel>
          </Column>
          <Column>
            <Panel title="Schools" aside="where good people differ">
              <Toggle
                label="Hot air on lead, below the legal limit"
                hint={`Off by default: fume is invisible; infrared does the same below ${formatMeasure(measure(1000, 'F'), units)}`}
                value={s.allowHotAirOnLead}
                onChange={(allowHotAirOnLead) => put({ allowHotAirOnLead })}
                testID="hot-air"
              />
              {number('Lead threshold under UK rules', s.leadThresholdPpm, (leadThresholdPpm) => ({ leadThresholdPpm }), {
                unit: 'ppm',
                decimals: 0,
                hint: 'No law gives a figure. From here up a coat is worked as lead paint; below it the rules for dust and fume still stand',
                testID: 'lead-threshold',
              })}
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
                label={spell('Mold, once its cause is cured')}
                value={s.moldSchool}
                options={(['moldWash', 'moldBiocide', 'moldBleach'] as const).map((value) => ({ value, label: say(value) }))}
                onChange={(moldSchool) => put({ moldSchool })}
              />
              <Pick
                label={spell('What seals a mold stain, clean and dry')}
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
              <Pick
                label="Paint along the glass"
                value={s.glassLine}
                options={[
                  { value: 'tape', label: 'taped: one line, whoever holds the brush' },
                  { value: 'cutIn', label: 'cut in by hand, 2 mm onto the glass' },
                ]}
                onChange={(glassLine) => put({ glassLine })}
              />
              <Toggle
                label="Prime everything"
                hint="Off by default: direct only over sound, keyed, compatible coats; bare, mixed, stained and metal are always primed"
                value={s.primeAlways}
                onChange={(primeAlways) => put({ primeAlways })}
              />
              <Pick
                label="A heater with hot water"
                value={s.heaterGround}
                options={[
                  { value: 'keyedCoat', label: 'straight onto its sound, keyed, cold coat' },
                  { value: 'primed', label: 'heat-resistant primer under all of it' },
                ]}
                onChange={(heaterGround) => put({ heaterGround })}
              />
              <Pick
                label="First on bright steel"
                value={s.brightSteel}
                options={[
                  { value: 'zincPhosphate', label: 'zinc phosphate: it keeps rust down' },
                  { value: 'etch', label: 'etch primer: thin, and coated the same day' },
                ]}
                onChange={(brightSteel) => put({ brightSteel })}
              />
              <Pick
                label="Bare plaster that drinks or powders"
                value={s.plasterSeal}
                options={[
                  { value: 'sealer', label: 'plaster sealer: it stays when it gets damp' },
                  { value: 'thinnedPva', label: 'diluted PVA; never in a damp room, on lime or outdoors' },
                ]}
                onChange={(plasterSeal) => put({ plasterSeal })}
              />
              <Pick
                label="Soft grit on timber"
                value={s.timberBlast}
                options={[
                  { value: 'gentle', label: 'gentle pressure: the grain stays' },
                  { value: 'brisk', label: 'brisk: faster, and it raises the grain' },
                ]}
                onChange={(timberBlast) => put({ timberBlast })}
              />
              <Pick
                label="The last wipe over sound paint"
                value={s.lastWipe}
                options={[
                  { value: 'water', label: 'clear water: it harms no coat' },
                  { value: 'alcohol', label: 'half alcohol; never where it dissolves the coat' },
                ]}
                onChange={(lastWipe) => put({ lastWipe })}
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
          </Column>
        </Columns>
      </ScrollView>
      <Notices />
    </View>
  );
}
