/**
 * The rules as data. A rule applies to methods with a trait (`of`), asks questions of the fact sheet (`if`, all must hold)
 * and then blocks, warns or notes. Ids are stable and never reused. A hazard state that is not "not found" counts as present.
 */
import type { Effect, Force, RuleId, SourceId } from '../reasons';
import type { HazardState } from '../probe';
import type { Rulebook } from '../rulebook';
import { measure, type Measure } from '../units/units';
import type { Method } from './methods';
import type { Sheet } from './sheet';

type SheetValue = string | boolean;
export interface Condition {
  readonly asked: keyof Sheet;
  readonly is: readonly SheetValue[];
}
export interface Rule {
  readonly id: RuleId;
  readonly effect: Effect;
  readonly force: Force;
  readonly source: SourceId;
  readonly of: (m: Method) => boolean;
  readonly if: readonly Condition[];
  /** The rulebook's limit to show beside the facts. */
  readonly limit?: (b: Rulebook) => Measure;
}

/** NFPA 51B (2019): at least 60 minutes. */
const FIRE_WATCH = measure(60, 'min');

const PRESENT: readonly HazardState[] = ['found', 'waiting', 'assumed', 'unknown'];
const UNPROVEN: readonly HazardState[] = ['waiting', 'assumed', 'unknown'];
const is = (asked: keyof Sheet, ...values: SheetValue[]): Condition => ({ asked, is: values });
const any = () => true;
const rule = (id: RuleId, effect: Effect, force: Force, source: SourceId, of: Rule['of'], conditions: readonly Condition[], limit?: Rule['limit']): Rule => ({
  id,
  effect,
  force,
  source,
  of,
  if: conditions,
  limit,
});

export const RULES: readonly Rule[] = [
  // Fit of the method
  rule('fit.material', 'block', 'hazard', 'trade-aim', any, [is('methodSuits', false)]),
  rule('fit.partOutOfReach', 'block', 'trade', 'trade-aim', any, [is('partReached', false)]),
  rule('fit.notDeepEnough', 'block', 'trade', 'trade-aim', (m) => !m.removesPiece, [is('deepEnough', false)]),
  rule('fit.takesSoundPaint', 'care', 'trade', 'trade-aim', any, [is('takesSound', true)]),
  rule('fit.oilSoaked', 'block', 'trade', 'trade-aim', (m) => !m.removesPiece, [is('oilSoaked', true)]),
  rule('fit.replaceLast', 'care', 'trade', 'trade-aim', (m) => m.removesPiece, [is('oilSoaked', false)]),
  rule('fit.leaveSound', 'note', 'trade', 'trade-aim', (m) => m.id === 'leave', [is('failing', false)]),
  rule('fit.overLoose', 'block', 'trade', 'nps-pb10', (m) => m.id === 'overcoat' || m.id === 'encapsulate', [is('failing', true)]),
  rule('fit.damp', 'care', 'trade', 'trade-mold', any, [is('damp', true)]),

  // Lead
  rule('lead.dryHand', 'block', 'hazard', 'cfr24-35.140', (m) => m.handDry, [is('leadInReach', ...PRESENT), is('rulebook', 'us')]),
  rule('lead.dryHandUk', 'block', 'hazard', 'clw2002', (m) => m.handDry, [is('leadInReach', ...PRESENT), is('rulebook', 'uk')]),
  rule('lead.powerNoHepa', 'block', 'law', 'cfr40-745.85a3', (m) => m.powered && !m.hepa && m.blast === 'no', [is('leadInReach', ...PRESENT), is('rulebook', 'us')]),
  rule('lead.powerNoHepaUk', 'block', 'hazard', 'clw2002', (m) => m.powered && !m.hepa && m.blast === 'no', [is('leadInReach', ...PRESENT), is('rulebook', 'uk')]),
  rule('lead.blastOpen', 'block', 'law', 'cfr40-745.85a3', (m) => m.blast !== 'no', [is('leadInReach', ...PRESENT), is('rulebook', 'us')]),
  rule('lead.blastOpenUk', 'block', 'hazard', 'clw2002', (m) => m.blast !== 'no', [is('leadInReach', ...PRESENT), is('rulebook', 'uk')]),
  rule(
    'lead.openFlame',
    'block',
    'law',
    'cfr40-745.85a3',
    (m) => m.flame,
    [is('leadInReach', ...PRESENT), is('rulebook', 'us')],
    (b) => b.hotAirBelow.is,
  ),
  rule('lead.openFlameUk', 'block', 'hazard', 'trade-heat', (m) => m.flame, [is('leadInReach', ...PRESENT), is('rulebook', 'uk')]),
  rule('lead.hotAirOff', 'block', 'firm', 'firm-setting', (m) => m.heatC !== null && m.heatC > 300 && !m.flame && !m.infrared, [is('leadInReach', ...PRESENT), is('hotAirAllowed', false)]),
  rule(
    'lead.hotAirLimit',
    'care',
    'law',
    'cfr40-745.85a3',
    (m) => m.heatC !== null && m.heatC > 300 && !m.flame && !m.infrared,
    [is('leadInReach', ...PRESENT), is('hotAirAllowed', true), is('rulebook', 'us')],
    (b) => b.hotAirBelow.is,
  ),
  rule(
    'lead.hotAirLimitUk',
    'care',
    'trade',
    'trade-heat',
    (m) => m.heatC !== null && m.heatC > 300 && !m.flame && !m.infrared,
    [is('leadInReach', ...PRESENT), is('hotAirAllowed', true), is('rulebook', 'uk')],
    (b) => b.hotAirBelow.is,
  ),
  rule(
    'lead.infraredCool',
    'note',
    'trade',
    'trade-heat',
    (m) => m.infrared,
    [is('leadInReach', ...PRESENT)],
    (b) => b.infraredBelow.is,
  ),
  rule('lead.keepWet', 'note', 'trade', 'trade-scrape', (m) => m.wet && m.disturbs, [is('leadInReach', ...PRESENT)]),
  rule('lead.hepaShroud', 'care', 'law', 'cfr40-745.85a3', (m) => m.hepa, [is('leadInReach', ...PRESENT), is('rulebook', 'us')]),
  rule('lead.hepaShroudUk', 'care', 'hazard', 'clw2002', (m) => m.hepa, [is('leadInReach', ...PRESENT), is('rulebook', 'uk')]),
  rule('lead.untested', 'note', 'hazard', 'job-record', (m) => m.disturbs, [is('leadInReach', ...UNPROVEN)]),
  rule('lead.traceDust', 'care', 'law', 'cfr29-1926.62d', (m) => m.dust === 'high', [is('leadTrace', true), is('leadAnywhere', 'notFound')]),
  rule('lead.notCertified', 'block', 'law', 'cfr40-745.89', (m) => m.disturbs, [is('leadInReach', ...PRESENT), is('certified', false), is('minorWork', 'over'), is('dwelling', true)]),
  rule('lead.windowNeverMinor', 'block', 'law', 'cfr40-745.83', (m) => m.removesPiece, [is('leadInReach', ...PRESENT), is('certified', false), is('window', true), is('dwelling', true), is('minorWork', 'within')]),
  rule('lead.wholePieceCounts', 'care', 'law', 'cfr40-745.83', (m) => m.removesPiece, [is('leadInReach', ...PRESENT), is('rulebook', 'us')]),
  rule('lead.rubsChild', 'block', 'hazard', 'trade-aim', (m) => m.bite === 'none' || m.bite === 'skin', [is('rubs', true), is('childOrPregnancy', 'yes', 'unknown')]),
  rule('lead.rubs', 'care', 'hazard', 'trade-aim', (m) => m.bite === 'none' || m.bite === 'skin', [is('rubs', true), is('childOrPregnancy', 'no')]),
  rule('lead.staysBelow', 'note', 'trade', 'trade-aim', (m) => m.bite !== 'bare', [is('leadAnywhere', ...PRESENT)]),

  // Asbestos
  rule('asbestos.noDisturbing', 'block', 'law', 'cfr29-1926.1101', (m) => m.disturbs, [is('asbestos', ...PRESENT), is('rulebook', 'us')]),
  rule('asbestos.noDisturbingUk', 'block', 'law', 'uk-asbestos', (m) => m.disturbs, [is('asbestos', ...PRESENT), is('rulebook', 'uk')]),
  rule('asbestos.putty', 'care', 'hazard', 'trade-strip', (m) => m.bite === 'bare', [is('part', 'besideGlass'), is('glazed', true), is('asbestosPutty', ...PRESENT)]),
  // The plaster below: wearing it to dust is out; laying it bare without cutting it is work for a careful hand.
  rule('asbestos.belowDust', 'block', 'hazard', 'trade-sample', (m) => m.bite === 'bare' && m.disturbs && m.dust === 'high', [is('asbestosBelow', ...PRESENT)]),
  rule('asbestos.belowCare', 'care', 'hazard', 'trade-sample', (m) => m.bite === 'bare' && m.disturbs && m.dust !== 'high', [is('asbestosBelow', ...PRESENT)]),

  // Silica, once the tool is through the paint
  rule('silica.dryGrind', 'block', 'hazard', 'cfr29-1926.1153', (m) => m.bite === 'bare' && ((m.powered && !m.hepa && !m.wet) || m.blast !== 'no'), [is('silica', true), is('rulebook', 'us')]),
  rule('silica.dryGrindUk', 'block', 'hazard', 'uk-silica', (m) => m.bite === 'bare' && ((m.powered && !m.hepa && !m.wet) || m.blast !== 'no'), [is('silica', true), is('rulebook', 'uk')]),
  rule('silica.someDust', 'care', 'hazard', 'trade-sand', (m) => m.bite === 'bare' && (m.handDry || m.hepa), [is('silica', true)]),

  // The site
  rule('site.gas', 'block', 'hazard', 'trade-heat', (m) => m.heatC !== null && m.heatC > 150, [is('gasPipe', true)]),
  rule('site.wiring', 'care', 'hazard', 'trade-strip', (m) => m.wet || m.id === 'steam', [is('wiring', true)]),
  rule('site.alarm', 'care', 'trade', 'trade-heat', (m) => m.dust === 'high' || (m.heatC !== null && m.heatC > 90), [is('alarm', true)]),
  rule('site.heater', 'care', 'hazard', 'trade-heat', (m) => m.vapour || m.wet, [is('liveHeater', true)]),
  rule('site.duct', 'care', 'hazard', 'trade-contain', (m) => m.dust === 'high', [is('duct', true)]),
  rule('site.asthma', 'care', 'hazard', 'trade-strip', (m) => m.vapour || m.dust === 'high', [is('asthma', 'yes')]),
  rule('site.others', 'care', 'hazard', 'trade-contain', (m) => m.disturbs, [is('others', true), is('leadInReach', ...PRESENT)]),
  rule('site.noPower', 'block', 'trade', 'trade-aim', (m) => m.powered || (m.heatC !== null && !m.flame), [is('power', 'no')]),
  rule('site.noWater', 'block', 'trade', 'trade-strip', (m) => m.caustic, [is('water', 'no')]),
  rule('site.listed', 'care', 'trade', 'trade-aim', (m) => m.bite === 'bare' || m.removesPiece, [is('listed', 'yes')]),
  rule('site.height', 'care', 'hazard', 'trade-strip', (m) => m.caustic || (m.heatC !== null && m.heatC > 150), [is('high', true)]),

  // Strippers
  rule('caustic.tannin', 'block', 'trade', 'trade-strip', (m) => m.caustic, [is('material', 'tanninWood')]),
  rule('caustic.oilyWood', 'care', 'trade', 'trade-strip', (m) => m.caustic, [is('material', 'oilyWood')]),
  rule('caustic.metal', 'block', 'hazard', 'trade-strip', (m) => m.caustic, [is('material', 'aluminium', 'galvanised')]),
  rule('caustic.inside', 'block', 'trade', 'trade-strip', (m) => m.id === 'causticPoultice', [is('place', 'inside')]),
  rule('caustic.firmOff', 'block', 'firm', 'firm-setting', (m) => m.id === 'causticPoultice', [is('causticAllowed', false)]),
  rule('caustic.trialFirst', 'care', 'trade', 'trade-strip', (m) => m.id === 'causticPoultice', [is('methodSuits', true)]),
  rule('caustic.burns', 'care', 'hazard', 'ansi-z358', (m) => m.caustic, [is('methodSuits', true)]),
  rule('caustic.veneer', 'care', 'trade', 'trade-strip', (m) => m.caustic, [is('material', 'plywood')]),
  rule('milk.noCasein', 'block', 'trade', 'trade-strip', (m) => m.id === 'milkPowder', [is('casein', false)]),
  rule('solvent.casein', 'block', 'trade', 'trade-strip', (m) => m.id === 'solventGel', [is('casein', true)]),
  rule('solvent.inside', 'care', 'hazard', 'trade-strip', (m) => m.vapour, [is('place', 'inside')]),
  rule('solvent.putty', 'care', 'trade', 'trade-strip', (m) => m.vapour || m.caustic, [is('part', 'besideGlass')]),

  // Heat
  rule('heat.flameNever', 'block', 'trade', 'nps-pb10', (m) => m.flame, [is('methodSuits', true)]),
  rule('heat.glass', 'care', 'trade', 'trade-heat', (m) => m.heatC !== null && m.heatC > 150, [is('part', 'besideGlass')]),
  rule('heat.veneer', 'block', 'trade', 'trade-heat', (m) => m.heatC !== null, [is('material', 'plywood')]),
  rule('heat.scorch', 'care', 'trade', 'trade-heat', (m) => m.heatC !== null && m.heatC > 150, [is('clear', true)]),
  rule(
    'heat.fireWatch',
    'note',
    'trade',
    'nfpa-51b',
    (m) => m.heatC !== null && m.heatC > 150,
    [is('methodSuits', true)],
    () => FIRE_WATCH,
  ),
  rule('steam.dryOut', 'care', 'trade', 'trade-heat', (m) => m.id === 'steam', [is('methodSuits', true)]),

  // Sanding and blasting
  rule('sand.glass', 'care', 'trade', 'trade-sand', (m) => m.id === 'wetSand' || m.id === 'drySand', [is('part', 'besideGlass')]),
  rule('sand.noShroud', 'block', 'firm', 'firm-setting', (m) => m.hepa, [is('ownsHepa', false)]),
  rule('sand.dustCloud', 'care', 'trade', 'trade-sand', (m) => m.dust === 'high' && m.blast === 'no', [is('place', 'inside'), is('leadInReach', 'notFound')]),
  rule('blast.inside', 'block', 'trade', 'trade-blast', (m) => m.blast !== 'no', [is('place', 'inside')]),
  rule('blast.hardTimber', 'block', 'trade', 'nps-pb6', (m) => m.blast === 'hard', [is('material', 'softwood', 'tanninWood', 'oilyWood', 'plywood')]),
  rule('blast.softTrial', 'care', 'trade', 'trade-blast', (m) => m.blast === 'soft', [is('methodSuits', true)]),
];

/** What a firing rule weighed, for the reason. */
export const LIMIT_ASKED = 'limit';
