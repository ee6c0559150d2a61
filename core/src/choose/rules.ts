/**
 * The rules as data. A rule applies to methods with a trait (`of`), asks questions of the fact sheet (`if`, all must hold)
 * and then blocks, warns or notes. Ids are stable and never reused. A hazard state that is not "not found" counts as present.
 */
import type { Effect, Force, RuleId, SourceId } from '../reasons';
import { GOODS_LEAD, type HazardState } from '../probe';
import type { Rulebook } from '../rulebook';
import { measure, type Measure } from '../units/units';
import { blowsNutShell, isHelper, stirs, usesGrit, type Method } from '../catalogue';
import { BINDERS, BOUGHT } from '../facts/vocabulary';
import { COAT_POISONS } from '../probe/poison';
import { sealsOver } from './on-asbestos';
import { SCORCHES_ABOVE, THICK_FILM, type Sheet } from './sheet';

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
/** The lower end of mineral spirits, the weakest of what is sold. NFPA 325, from memory. */
const FLASH = measure(38, 'C');

const PRESENT: readonly HazardState[] = ['found', 'waiting', 'assumed', 'unknown'];
const UNPROVEN: readonly HazardState[] = ['waiting', 'assumed', 'unknown'];
/** Not when a square of its own has shown that it works here: a trial decides over a rule of thumb. */
const noSquare: Condition = { asked: 'trial', is: ['none', 'carried', 'failed', 'harmed'] };
/** A film that closes over what is there. */
const seals = (m: Method): boolean => sealsOver(m) && m.id !== 'cover';
const isHotAir = (m: Method): boolean => m.heatC !== null && m.heatC > 300 && !m.flame && !m.infrared;
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
  rule('fit.notDeepEnough', 'block', 'trade', 'trade-aim', (m) => !m.removesPiece && m.id !== 'cover' && m.id !== 'leave' && !isHelper(m), [is('deepEnough', false)]),
  // To leave it is always a person's decision, and never a finish.
  rule('fit.leaveUndone', 'care', 'trade', 'trade-aim', (m) => m.id === 'leave', [is('deepEnough', false)]),
  rule('fit.nothingToTake', 'block', 'trade', 'trade-aim', any, [is('nothingToTake', true)]),
  rule('fit.failsOn', 'block', 'trade', 'trade-binder', (m) => m.failsOn.length > 0, [is('failsOnCoat', ...BINDERS), noSquare]),
  rule('fit.binderUnknown', 'note', 'trade', 'trade-trial', (m) => m.laying !== null || m.infrared, [is('binderUnknown', true), is('trial', 'none')]),
  rule('fit.patina', 'block', 'trade', 'nps-pb1', (m) => m.bite === 'bare' && !m.removesPiece, [is('aim', 'patina')]),
  rule('fit.patinaHarm', 'care', 'trade', 'nps-pb1', (m) => m.harm >= 1 && m.bite !== 'bare', [is('aim', 'patina')]),
  rule('fit.notOwned', 'block', 'firm', 'firm-setting', any, [is('owned', false)]),
  rule('fit.tooCold', 'care', 'trade', 'trade-strip', (m) => m.coldestC !== null, [is('tooCold', true)]),
  rule('fit.frozen', 'block', 'trade', 'trade-interval', (m) => m.wet || m.laying !== null, [is('frozen', true)]),
  rule('fit.tooHot', 'block', 'trade', 'trade-strip', (m) => m.hottestC !== null, [is('tooHot', true)]),
  rule('fit.harmsMaterial', 'care', 'trade', 'trade-aim', (m) => m.harms.length > 0, [is('harmsMaterial', true)]),
  rule('fit.alone', 'care', 'trade', 'trade-heat', (m) => m.people === 2 || m.paired, [is('alone', true)]),
  rule('fit.scrapped', 'block', 'trade', 'job-record', (m) => m.disturbs && !m.removesPiece && !isHelper(m), [is('scrapped', true)]),
  rule('fit.runs', 'care', 'trade', 'trade-sand', (m) => m.id === 'overcoat' || m.id === 'thickPrimer' || m.id === 'encapsulate', [is('runs', true)]),
  rule(
    'fit.thickFilm',
    'care',
    'trade',
    'nps-pb10',
    (m) => m.id === 'overcoat' || m.id === 'thickPrimer' || m.id === 'encapsulate',
    [is('thickFilm', true)],
    () => THICK_FILM,
  ),
  rule('fit.takesSoundPaint', 'care', 'trade', 'trade-aim', any, [is('takesSound', true)]),
  // A rule about films: what cleans is not held up by it. Law H4.
  rule('fit.oilSoaked', 'block', 'trade', 'trade-aim', (m) => !m.removesPiece && !isHelper(m), [is('oilSoaked', true)]),
  rule('fit.replaceLast', 'care', 'trade', 'trade-aim', (m) => m.removesPiece, [is('oilSoaked', false), is('scrapped', false)]),
  rule('fit.leaveSound', 'note', 'trade', 'trade-aim', (m) => m.id === 'leave', [is('failing', false), is('damp', false)]),
  rule('fit.overLoose', 'block', 'trade', 'nps-pb10', (m) => m.id === 'overcoat' || m.id === 'encapsulate' || m.id === 'thickPrimer', [is('failing', true)]),
  rule('fit.damp', 'care', 'trade', 'trade-mold', any, [is('damp', true)]),

  // Lead
  rule('lead.dryHand', 'block', 'hazard', 'cfr24-35.140', (m) => m.handDry, [is('leadInReach', ...PRESENT), is('rulebook', 'us'), is('dryAllowed', false)]),
  rule('lead.dryHandUk', 'block', 'hazard', 'clw2002', (m) => m.handDry, [is('leadInReach', ...PRESENT), is('rulebook', 'uk'), is('dryAllowed', false)]),
  rule('lead.dryHandSchool', 'care', 'hazard', 'firm-setting', (m) => m.handDry && m.bite === 'loose', [is('leadInReach', ...PRESENT), is('dryAllowed', true)]),
  rule('lead.drySandNever', 'block', 'hazard', 'trade-scrape', (m) => m.handDry && m.bite !== 'loose', [is('leadInReach', ...PRESENT), is('dryAllowed', true)]),
  rule('lead.handOver', 'block', 'firm', 'firm-setting', (m) => m.disturbs, [is('leadInReach', 'found'), is('stopOnLead', true)]),
  rule('lead.infraredOff', 'block', 'firm', 'firm-setting', (m) => m.infrared, [is('leadInReach', ...PRESENT), is('infraredAllowed', false)]),
  rule('lead.powerNoHepa', 'block', 'law', 'cfr40-745.85a3', (m) => m.powered && !m.hepa && m.blast === 'no', [is('leadInReach', ...PRESENT), is('rulebook', 'us')]),
  rule('lead.powerNoHepaUk', 'block', 'hazard', 'clw2002', (m) => m.powered && !m.hepa && m.blast === 'no', [is('leadInReach', ...PRESENT), is('rulebook', 'uk')]),
  rule('lead.blastOpen', 'block', 'law', 'cfr40-745.85a3', (m) => m.blast !== 'no' && !m.hepa, [is('leadInReach', ...PRESENT), is('rulebook', 'us')]),
  rule('lead.blastOpenUk', 'block', 'hazard', 'clw2002', (m) => m.blast !== 'no' && !m.hepa, [is('leadInReach', ...PRESENT), is('rulebook', 'uk')]),
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
  rule('lead.hotAirOff', 'block', 'firm', 'firm-setting', isHotAir, [is('leadInReach', ...PRESENT), is('hotAirAllowed', false)]),
  rule('lead.hotAirLimit', 'care', 'law', 'cfr40-745.85a3', isHotAir, [is('leadInReach', ...PRESENT), is('hotAirAllowed', true), is('rulebook', 'us')], (b) => b.hotAirBelow.is),
  rule('lead.hotAirLimitUk', 'care', 'trade', 'trade-heat', isHotAir, [is('leadInReach', ...PRESENT), is('hotAirAllowed', true), is('rulebook', 'uk')], (b) => b.hotAirBelow.is),
  rule('lead.toolTooHot', 'block', 'law', 'cfr40-745.85a3', isHotAir, [is('leadInReach', ...PRESENT), is('toolOver', true), is('rulebook', 'us')], (b) => b.hotAirBelow.is),
  rule('lead.toolTooHotUk', 'block', 'hazard', 'trade-heat', isHotAir, [is('leadInReach', ...PRESENT), is('toolOver', true), is('rulebook', 'uk')], (b) => b.hotAirBelow.is),
  rule(
    'lead.infraredTooHot',
    'block',
    'hazard',
    'trade-heat',
    (m) => m.infrared,
    [is('leadInReach', ...PRESENT), is('toolOver', true)],
    (b) => b.infraredBelow.is,
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
  rule('lead.putty', 'care', 'hazard', 'trade-putty', (m) => m.takes.includes('putty'), [is('leadPutty', true)]),
  rule('lead.traceDust', 'care', 'law', 'cfr29-1926.62d', stirs, [is('leadLow', true), is('rulebook', 'us')]),
  rule('lead.traceDustUk', 'care', 'law', 'clw2002', stirs, [is('leadLow', true), is('rulebook', 'uk')]),
  rule('lead.notCertified', 'block', 'law', 'cfr40-745.89', (m) => m.disturbs, [is('leadAnywhere', ...PRESENT), is('entitled', 'none'), is('minorWork', 'over'), is('dwelling', true), is('paid', true)]),
  rule('lead.certificateRanOut', 'block', 'law', 'cfr40-745.89', (m) => m.disturbs, [is('leadAnywhere', ...PRESENT), is('entitled', 'ranOut'), is('minorWork', 'over'), is('dwelling', true), is('paid', true)]),
  rule('lead.noRenovator', 'block', 'law', 'cfr40-745.89', (m) => m.disturbs, [is('leadAnywhere', ...PRESENT), is('entitled', 'noRenovator', 'renovatorRanOut'), is('minorWork', 'over'), is('dwelling', true), is('paid', true)]),
  rule('lead.windowNeverMinor', 'block', 'law', 'cfr40-745.83', (m) => m.removesPiece, [
    is('leadAnywhere', ...PRESENT),
    is('entitled', 'none', 'ranOut', 'noRenovator', 'renovatorRanOut'),
    is('window', true),
    is('dwelling', true),
    is('paid', true),
    is('minorWork', 'within'),
  ]),
  rule('lead.ownHome', 'care', 'law', 'cfr40-745.82', (m) => m.disturbs, [is('leadAnywhere', ...PRESENT), is('paid', false), is('dwelling', true), is('rulebook', 'us')]),
  rule('lead.ownHomeChild', 'block', 'hazard', 'trade-aim', (m) => m.disturbs, [is('leadInReach', ...PRESENT), is('ownHomeWithChild', true)]),
  rule('lead.workshop', 'care', 'law', 'cfr29-1910.1025', (m) => m.disturbs, [is('leadAnywhere', ...PRESENT), is('goods', 'furniture', 'childs'), is('rulebook', 'us')]),
  rule('lead.workshopUk', 'care', 'law', 'clw2002', (m) => m.disturbs, [is('leadAnywhere', ...PRESENT), is('goods', 'furniture', 'childs'), is('rulebook', 'uk')]),
  // A cot and a toy are never given back with lead on them, whatever lies over it.
  rule(
    'goods.childs',
    'block',
    'law',
    'cfr16-1303',
    (m) => m.bite !== 'bare' && !isHelper(m),
    [is('leadOnGoods', true), is('goods', 'childs'), is('rulebook', 'us')],
    () => GOODS_LEAD.us,
  ),
  rule(
    'goods.childsUk',
    'block',
    'hazard',
    'mem-toys-uk',
    (m) => m.bite !== 'bare' && !isHelper(m),
    [is('leadOnGoods', true), is('goods', 'childs'), is('rulebook', 'uk')],
    () => GOODS_LEAD.uk,
  ),
  rule(
    'goods.furniture',
    'care',
    'hazard',
    'cfr16-1303',
    (m) => m.bite !== 'bare' && !isHelper(m),
    [is('leadOnGoods', true), is('goods', 'furniture'), is('rulebook', 'us')],
    () => GOODS_LEAD.us,
  ),
  rule('goods.furnitureUk', 'care', 'hazard', 'mem-toys-uk', (m) => m.bite !== 'bare' && !isHelper(m), [is('leadOnGoods', true), is('goods', 'furniture'), is('rulebook', 'uk')]),
  rule('lead.wholePieceCounts', 'care', 'law', 'cfr40-745.83', (m) => m.removesPiece, [is('leadInReach', ...PRESENT), is('rulebook', 'us')]),
  rule('lead.failingChild', 'block', 'hazard', 'cfr24-35.1330', (m) => m.id === 'leave', [is('declined', false), is('failing', true), is('leadAnywhere', ...PRESENT), is('childOrPregnancy', 'yes', 'unknown'), is('rulebook', 'us')]),
  rule('lead.failingChildUk', 'block', 'hazard', 'trade-aim', (m) => m.id === 'leave', [is('declined', false), is('failing', true), is('leadAnywhere', ...PRESENT), is('childOrPregnancy', 'yes', 'unknown'), is('rulebook', 'uk')]),
  // What is not worked is told in writing, and what is declined is not worked.
  rule('scope.declined', 'block', 'hazard', 'job-record', (m) => m.id !== 'leave', [is('declined', true)]),
  rule('scope.leftByClient', 'care', 'hazard', 'job-record', (m) => m.id === 'leave', [is('declined', true), is('leadAnywhere', ...PRESENT)]),
  // A rule about films: what cleans is not held up by it.
  rule('lead.rubsChild', 'block', 'hazard', 'trade-aim', (m) => (m.bite === 'none' || m.bite === 'skin') && !isHelper(m), [is('declined', false), is('rubs', true), is('childOrPregnancy', 'yes', 'unknown')]),
  rule('lead.rubs', 'care', 'hazard', 'trade-aim', (m) => (m.bite === 'none' || m.bite === 'skin') && !isHelper(m), [is('rubs', true), is('childOrPregnancy', 'no')]),
  rule('lead.staysBelow', 'note', 'trade', 'trade-aim', (m) => m.bite !== 'bare', [is('leadAnywhere', ...PRESENT)]),

  // Asbestos
  rule('asbestos.noDisturbing', 'block', 'law', 'cfr29-1926.1101', (m) => m.disturbs, [is('asbestos', ...PRESENT), is('asbestosWork', 'refer'), is('rulebook', 'us')]),
  rule('asbestos.noDisturbingUk', 'block', 'law', 'uk-asbestos', (m) => m.disturbs, [is('asbestos', ...PRESENT), is('asbestosLicensed', true), is('rulebook', 'uk')]),
  rule('asbestos.noDisturbingUkTrained', 'block', 'law', 'uk-asbestos-classes', (m) => m.disturbs, [is('asbestos', ...PRESENT), is('asbestosLicensed', false), is('asbestosWork', 'refer'), is('rulebook', 'uk')]),
  rule(
    'asbestos.classThree',
    'care',
    'law',
    'cfr29-1926.1101',
    (m) => m.disturbs,
    [is('asbestos', ...PRESENT), is('asbestosWork', 'trained'), is('rulebook', 'us')],
    (b) => b.trainedAsbestos!.is,
  ),
  rule('asbestos.nonLicensed', 'care', 'law', 'uk-asbestos-classes', (m) => m.disturbs, [is('asbestos', ...PRESENT), is('asbestosWork', 'trained'), is('rulebook', 'uk')]),
  rule('asbestos.puttyCut', 'block', 'law', 'cfr29-1926.1101', (m) => m.takes.includes('putty'), [is('asbestosPutty', ...PRESENT), is('rulebook', 'us')]),
  rule('asbestos.puttyCutUk', 'block', 'law', 'uk-asbestos', (m) => m.takes.includes('putty'), [is('asbestosPutty', ...PRESENT), is('rulebook', 'uk')]),
  // Beside the glass the film lies on the putty: what goes through it cuts, soaks or heats the putty.
  rule('asbestos.puttyInto', 'block', 'law', 'cfr29-1926.1101', (m) => m.disturbs && !m.takes.includes('putty'), [is('part', 'besideGlass'), is('asbestosPutty', ...PRESENT), is('meetsMaterial', true), is('rulebook', 'us')]),
  rule('asbestos.puttyIntoUk', 'block', 'law', 'uk-asbestos', (m) => m.disturbs && !m.takes.includes('putty'), [is('part', 'besideGlass'), is('asbestosPutty', ...PRESENT), is('meetsMaterial', true), is('rulebook', 'uk')]),
  rule('asbestos.putty', 'care', 'hazard', 'trade-strip', (m) => m.disturbs || m.id === 'thickPrimer', [is('part', 'besideGlass'), is('glazed', true), is('asbestosPutty', ...PRESENT), is('meetsMaterial', false)]),
  // Sealing it is regulated work of its own; a board is screwed through it.
  rule('asbestos.sealing', 'care', 'law', 'cfr29-1926.1101', seals, [is('asbestos', ...PRESENT), is('asbestosWork', 'trained'), is('rulebook', 'us')]),
  rule('asbestos.sealingUk', 'care', 'law', 'uk-asbestos', seals, [is('asbestos', ...PRESENT), is('asbestosWork', 'trained'), is('rulebook', 'uk')]),
  rule('asbestos.sealingRefer', 'block', 'law', 'cfr29-1926.1101', seals, [is('asbestos', ...PRESENT), is('asbestosWork', 'refer'), is('rulebook', 'us')]),
  rule('asbestos.sealingReferUk', 'block', 'law', 'uk-asbestos', seals, [is('asbestos', ...PRESENT), is('asbestosWork', 'refer'), is('rulebook', 'uk')]),
  // A piece goes out with its putty, its coats and what it is made of.
  rule('asbestos.pieceOut', 'block', 'law', 'cfr29-1926.1101', (m) => m.removesPiece, [is('asbestosPiece', ...PRESENT), is('asbestosWork', 'refer'), is('rulebook', 'us')]),
  rule('asbestos.pieceOutUk', 'block', 'law', 'uk-asbestos', (m) => m.removesPiece, [is('asbestosPiece', ...PRESENT), is('asbestosWork', 'refer'), is('rulebook', 'uk')]),
  rule('asbestos.pieceTrained', 'care', 'law', 'cfr29-1926.1101', (m) => m.removesPiece, [is('asbestosPiece', ...PRESENT), is('asbestosWork', 'trained'), is('rulebook', 'us')]),
  rule('asbestos.pieceTrainedUk', 'care', 'law', 'uk-asbestos', (m) => m.removesPiece, [is('asbestosPiece', ...PRESENT), is('asbestosWork', 'trained'), is('rulebook', 'uk')]),
  // Sealed, it is still there: what the law asks for goes on after the coat.
  rule('asbestos.stays', 'care', 'law', 'cfr29-1926.1101k', seals, [is('asbestos', ...PRESENT), is('rulebook', 'us')]),
  rule('asbestos.staysUk', 'care', 'law', 'uk-asbestos', seals, [is('asbestos', ...PRESENT), is('rulebook', 'uk')]),
  rule('asbestos.noScrews', 'block', 'hazard', 'trade-sample', (m) => m.id === 'cover', [is('asbestos', ...PRESENT)]),
  rule('asbestos.noScrewsBelow', 'block', 'hazard', 'trade-sample', (m) => m.id === 'cover', [is('asbestosBelow', ...PRESENT)]),
  // What shakes the room shakes the lagging in it.
  rule('asbestos.besideShakes', 'block', 'hazard', 'trade-sample', (m) => m.powered || m.shakes || m.blast !== 'no', [is('asbestosBeside', ...PRESENT)]),
  // At or under the limit is not none: wet methods and HEPA still bind.
  rule('asbestos.traceDry', 'block', 'hazard', 'osha-trace', (m) => m.handDry || (m.powered && !m.hepa), [is('asbestosTrace', true)]),
  rule('asbestos.trace', 'care', 'hazard', 'osha-trace', (m) => m.disturbs && !m.handDry && (!m.powered || m.hepa), [is('asbestosTrace', true)]),
  // What lies below the paint: nothing goes into it. A stroke that ends in a sound coat above it is work for a careful hand.
  rule('asbestos.belowInto', 'block', 'law', 'cfr29-1926.1101', (m) => m.disturbs, [is('asbestosBelow', ...PRESENT), is('meetsMaterial', true), is('rulebook', 'us')]),
  rule('asbestos.belowIntoUk', 'block', 'law', 'uk-asbestos', (m) => m.disturbs, [is('asbestosBelow', ...PRESENT), is('meetsMaterial', true), is('rulebook', 'uk')]),
  rule('asbestos.belowCare', 'care', 'hazard', 'trade-sample', (m) => m.disturbs || m.id === 'thickPrimer', [is('asbestosBelow', ...PRESENT), is('meetsMaterial', false)]),

  // Silica, once the tool is through the paint
  rule('silica.dryGrind', 'block', 'hazard', 'cfr29-1926.1153', (m) => m.bite === 'bare' && !m.hepa && ((m.powered && !m.wet) || m.blast !== 'no'), [is('silica', true), is('rulebook', 'us')]),
  rule('silica.dryGrindUk', 'block', 'hazard', 'uk-silica', (m) => m.bite === 'bare' && !m.hepa && ((m.powered && !m.wet) || m.blast !== 'no'), [is('silica', true), is('rulebook', 'uk')]),
  rule('silica.someDust', 'care', 'hazard', 'trade-sand', (m) => m.bite === 'bare' && (m.handDry || m.hepa), [is('silica', true)]),

  // Old antifouling: copper, and before the bans tin, in every chip of it
  rule('antifoul.dry', 'block', 'hazard', 'mem-antifoul', (m) => m.disturbs && !m.wet && !m.hepa, [is('antifouling', true)]),
  rule('antifoul.heat', 'block', 'hazard', 'mem-antifoul', (m) => m.heatC !== null && m.heatC > 90, [is('antifouling', true)]),
  rule('antifoul.caught', 'care', 'hazard', 'mem-antifoul', (m) => m.disturbs && (m.wet || m.hepa), [is('antifouling', true)]),
  // Other poisons in a coat: by what the stroke reaches, as for lead
  rule('poison.dry', 'block', 'hazard', 'mem-poison', (m) => m.disturbs && !m.wet && !m.hepa && !m.vapour && !m.removesPiece, [is('poison', ...COAT_POISONS)]),
  rule('poison.heat', 'block', 'hazard', 'mem-poison', (m) => m.heatC !== null && m.heatC > 90, [is('poison', ...COAT_POISONS)]),
  rule('poison.unsaid', 'care', 'hazard', 'mem-poison', (m) => m.disturbs, [is('poison', 'chromateAssumed')]),
  rule('poison.caught', 'care', 'hazard', 'mem-poison', (m) => m.disturbs && (m.wet || m.hepa || m.vapour || m.removesPiece), [is('poison', ...COAT_POISONS)]),
  // Nut shell and the like: an allergen, and a dust that burns
  rule('blast.softGrit', 'care', 'hazard', 'trade-blast', blowsNutShell, []),
  // Soft, and wanted for its face.
  rule('brass.soft', 'block', 'trade', 'trade-blast', (m) => m.blast !== 'no' || (m.powered && m.bite !== 'none'), [is('material', 'brass')]),
  rule('plastic.trial', 'care', 'trade', 'trade-trial', (m) => m.disturbs && m.bite !== 'skin', [is('material', 'fibreglass'), noSquare]),

  // The site
  rule('site.gas', 'block', 'hazard', 'trade-heat', (m) => m.heatC !== null && m.heatC > 150, [is('gasPipe', true)]),
  rule('site.gasBlast', 'block', 'hazard', 'trade-blast', (m) => m.blast !== 'no', [is('gasPipe', true)]),
  rule('site.gasStruck', 'block', 'hazard', 'trade-rust', (m) => m.id === 'needleGun', [is('gasPipe', true)]),
  rule('site.gasSpark', 'care', 'hazard', 'trade-rust', (m) => (m.powered && m.blast === 'no') || m.vapour || (m.takes.includes('rust') && m.handDry), [is('gasPipe', true)]),
  rule('site.mainsWet', 'block', 'hazard', 'trade-strip', (m) => m.needs.includes('power') && !m.wet && m.blast === 'no', [is('wet', true)]),
  rule('site.wiring', 'care', 'hazard', 'trade-strip', (m) => m.wet || m.id === 'steam', [is('wiring', true)]),
  rule('site.alarm', 'care', 'trade', 'trade-heat', (m) => m.dust === 'high' || (m.heatC !== null && m.heatC > 90), [is('alarm', true)]),
  rule('site.heater', 'care', 'hazard', 'trade-heat', (m) => m.vapour || m.wet, [is('liveHeater', true)]),
  rule('site.duct', 'care', 'hazard', 'trade-contain', (m) => m.dust === 'high', [is('duct', true)]),
  rule('site.asthma', 'care', 'hazard', 'trade-strip', (m) => m.vapour || m.dust === 'high', [is('asthma', 'yes')]),
  rule('site.others', 'care', 'hazard', 'trade-contain', (m) => m.disturbs, [is('others', 'yes'), is('leadInReach', ...PRESENT)]),
  rule('site.noPower', 'block', 'trade', 'trade-aim', (m) => m.needs.includes('power') || m.needs.includes('air'), [is('power', 'no')]),
  rule('site.noWater', 'block', 'trade', 'trade-strip', (m) => m.needs.includes('water'), [is('water', 'no')]),
  rule('site.listed', 'care', 'trade', 'trade-aim', (m) => m.bite === 'bare' || m.removesPiece, [is('listed', 'yes')]),
  rule('site.height', 'care', 'hazard', 'trade-strip', (m) => m.caustic || (m.heatC !== null && m.heatC > 150), [is('high', true)]),

  // Mold
  rule('mold.dry', 'block', 'hazard', 'trade-mold', (m) => m.handDry || (m.powered && !m.hepa), [is('moldy', true)]),
  rule('mold.noCover', 'block', 'hazard', 'trade-mold', (m) => m.id === 'encapsulate' || m.id === 'cover' || m.id === 'thickPrimer', [is('moldy', true)]),
  rule('mold.school', 'note', 'trade', 'firm-setting', (m) => m.id === 'moldWash' || m.id === 'moldBiocide' || m.id === 'moldBleach', [is('moldy', true)]),
  rule('mold.bleachApart', 'care', 'hazard', 'trade-mold', (m) => m.id === 'moldBleach', [is('moldy', true)]),

  // Trials
  rule('trial.needed', 'care', 'trade', 'trade-trial', (m) => m.trialFirst, [is('trial', 'none')]),
  rule('trial.carriedOnly', 'care', 'trade', 'trade-trial', any, [is('trial', 'carried')]),
  // What takes one kind of binder only, and came clean on a coat of which nobody knows the binder, tells it.
  rule('trial.likelyCasein', 'note', 'trade', 'trade-binder', (m) => m.id === 'milkPowder', [is('trial', 'done'), is('binderUnknown', true)]),
  rule('trial.likelyDistemper', 'note', 'trade', 'trade-binder', (m) => m.id === 'distemperWash', [is('trial', 'done'), is('binderUnknown', true)]),
  rule('trial.didNotWork', 'block', 'trade', 'job-record', any, [is('trial', 'failed')]),
  rule('trial.didHarm', 'block', 'hazard', 'job-record', any, [is('trial', 'harmed')]),

  // Strippers
  rule('caustic.tannin', 'block', 'trade', 'trade-strip', (m) => m.caustic, [is('material', 'tanninWood')]),
  rule('caustic.oilyWood', 'care', 'trade', 'trade-strip', (m) => m.caustic, [is('material', 'oilyWood'), noSquare]),
  rule('caustic.metal', 'block', 'hazard', 'trade-strip', (m) => m.caustic, [is('material', 'aluminium', 'galvanised', 'brass')]),
  rule('caustic.inside', 'block', 'trade', 'trade-strip', (m) => m.caustic && m.needs.includes('drain'), [is('place', 'inside')]),
  rule('caustic.firmOff', 'block', 'firm', 'firm-setting', (m) => m.id === 'causticPoultice', [is('causticAllowed', false), is('timber', true)]),
  rule('caustic.burns', 'care', 'hazard', 'ansi-z358', (m) => m.caustic, [is('methodSuits', true)]),
  rule('caustic.veneer', 'care', 'trade', 'trade-strip', (m) => m.caustic, [is('material', 'plywood')]),
  rule('bath.benchOnly', 'block', 'trade', 'trade-strip', (m) => m.benchOnly, [is('place', 'inside', 'outside')]),
  rule('bath.glue', 'care', 'trade', 'trade-strip', (m) => m.benchOnly, [is('timber', true)]),
  rule('milk.noCasein', 'block', 'trade', 'trade-strip', (m) => m.id === 'milkPowder', [is('casein', false), noSquare]),
  rule('solvent.casein', 'block', 'trade', 'trade-strip', (m) => m.id === 'solventGel', [is('casein', true), noSquare]),
  rule('solvent.dried', 'note', 'trade', 'trade-strip', (m) => m.id === 'solventGel' || m.id === 'neutralStripper', [is('methodSuits', true)]),
  rule('solvent.inside', 'care', 'hazard', 'trade-strip', (m) => m.vapour, [is('place', 'inside')]),
  rule('solvent.putty', 'care', 'trade', 'trade-strip', (m) => (m.vapour || m.caustic) && m.harms.includes('putty'), [is('part', 'besideGlass')]),
  rule('masonry.gentlest', 'note', 'trade', 'nps-pb1', (m) => m.id === 'masonryStripper' || m.id === 'masonryKit', [is('methodSuits', true)]),
  rule('masonry.twoStages', 'note', 'trade', 'trade-strip', (m) => m.id === 'masonryStripper' || m.id === 'masonryKit', [is('methodSuits', true)]),
  rule('masonry.ownFlush', 'note', 'trade', 'trade-strip', (m) => m.id === 'masonryKit', [is('methodSuits', true)]),
  rule('masonry.runOff', 'care', 'hazard', 'trade-strip', (m) => m.needs.includes('drain'), [is('place', 'outside')]),
  rule('strip.banned', 'block', 'law', 'cfr40-751', (m) => BOUGHT.includes(m.id), [is('chemistry', 'methyleneChloride'), is('rulebook', 'us')]),
  rule('strip.bannedUk', 'block', 'law', 'uk-reach59', (m) => BOUGHT.includes(m.id), [is('chemistry', 'methyleneChloride'), is('rulebook', 'uk')]),
  rule(
    'strip.flash',
    'care',
    'hazard',
    'mem-flash',
    (m) => BOUGHT.includes(m.id),
    [is('chemistry', 'limonene', 'mineralSpirits')],
    () => FLASH,
  ),
  rule('strip.nmp', 'care', 'hazard', 'mem-nmp', (m) => BOUGHT.includes(m.id), [is('chemistry', 'nmp')]),
  rule('strip.shade', 'note', 'trade', 'trade-strip', (m) => m.shade && m.laying !== null, [is('place', 'outside')]),

  // Rust
  rule('rust.order', 'note', 'trade', 'trade-rust', (m) => m.takes.includes('rust') && (m.powered || m.handDry) && m.blast === 'no' && m.id !== 'nylonWheel', [is('metalBelow', true)]),
  rule('nylon.light', 'note', 'trade', 'trade-rust', (m) => m.id === 'nylonWheel', [is('methodSuits', true)]),
  rule('acid.eyewash', 'care', 'hazard', 'ansi-z358', (m) => m.acid, [is('methodSuits', true)]),
  rule('rust.acidRinse', 'care', 'hazard', 'trade-rust', (m) => m.acid, [is('metalBelow', true)]),
  rule('rust.shakes', 'note', 'trade', 'mem-vibration', (m) => m.shakes, [is('methodSuits', true)]),

  // Water
  rule('texture.mask', 'care', 'hazard', 'trade-wash', (m) => m.id === 'textureSoak', [is('nothingToTake', false), is('rulebook', 'us')]),
  rule('texture.maskUk', 'care', 'hazard', 'trade-wash', (m) => m.id === 'textureSoak', [is('nothingToTake', false), is('rulebook', 'uk')]),
  rule('texture.tape', 'note', 'trade', 'trade-wash', (m) => m.id === 'textureSoak', [is('nothingToTake', false)]),
  rule('distemper.all', 'note', 'trade', 'trade-wash', (m) => m.id === 'distemperWash', [is('nothingToTake', false)]),
  rule('wash.gate', 'note', 'trade', 'trade-wash', (m) => m.id === 'washDegrease', [is('methodSuits', true)]),
  rule('putty.cut', 'note', 'trade', 'trade-putty', (m) => m.id === 'puttyCut', [is('methodSuits', true)]),
  rule('putty.warm', 'care', 'trade', 'trade-putty', (m) => m.id === 'puttyWarm', [is('methodSuits', true)]),
  rule('cover.noFace', 'block', 'trade', 'trade-aim', (m) => m.id === 'cover', [is('plainFace', false)]),
  rule('cover.aim', 'block', 'trade', 'trade-aim', (m) => m.id === 'cover', [is('aim', 'bareClear', 'patina')]),
  rule('cover.hides', 'care', 'trade', 'trade-aim', (m) => m.id === 'cover', [is('methodSuits', true)]),

  // Heat
  rule('heat.flameNever', 'block', 'hazard', 'nps-pb10', (m) => m.flame, [is('methodSuits', true)]),
  rule('heat.glass', 'care', 'trade', 'trade-heat', (m) => m.heatC !== null && m.heatC > 150, [is('part', 'besideGlass')]),
  rule('heat.veneer', 'block', 'hazard', 'trade-heat', (m) => m.heatC !== null, [is('material', 'plywood')]),
  // Dust, nests and old sheathing smoulder behind a lap; the board is thin and curls.
  rule('heat.thinBoards', 'block', 'hazard', 'trade-heat', (m) => m.heatC !== null && m.heatC > 150, [is('thinBoards', true)]),
  rule('heat.scorchClear', 'block', 'trade', 'trade-heat', (m) => m.heatC !== null && m.heatC > 150 && !m.takes.includes('putty'), [is('clear', true), noSquare]),
  rule('heat.scorch', 'care', 'trade', 'trade-heat', (m) => m.heatC !== null && m.heatC > 150 && !m.takes.includes('putty'), [is('methodSuits', true)]),
  rule(
    'heat.fireWatch',
    'note',
    'trade',
    'nfpa-51b',
    (m) => m.heatC !== null && m.heatC > 150,
    [is('methodSuits', true)],
    () => FIRE_WATCH,
  ),
  rule('heat.toolScorches', 'care', 'trade', 'nps-pb10', isHotAir, [is('timber', true), is('toolScorches', true)], () => SCORCHES_ABOVE),
  rule('steam.dryOut', 'care', 'trade', 'trade-heat', (m) => m.id === 'steam', [is('methodSuits', true)]),

  // Sanding and blasting
  rule('sand.pad', 'note', 'trade', 'trade-sand', (m) => m.id === 'padSand', [is('methodSuits', true)]),
  rule('keep.thickPrimer', 'note', 'trade', 'trade-sand', (m) => m.id === 'thickPrimer', [is('methodSuits', true)]),
  rule('sand.gritJump', 'care', 'trade', 'trade-sand', usesGrit, [is('gritJump', true)]),
  rule('sand.gritCoarse', 'care', 'trade', 'trade-sand', (m) => usesGrit(m) && m.id !== 'padSand' && m.bite === 'skin', [is('gritCoarse', true), is('clear', false)]),
  rule('sand.gritDigs', 'block', 'trade', 'trade-sand', (m) => m.id === 'padSand', [is('gritDigs', true)]),
  rule('sand.gritCloses', 'care', 'trade', 'trade-sand', (m) => usesGrit(m) && m.bite === 'bare', [is('gritCloses', true), is('clear', true)]),
  rule('sand.glass', 'care', 'trade', 'trade-sand', (m) => m.id === 'wetSand' || m.id === 'drySand', [is('part', 'besideGlass')]),
  rule('sand.noShroud', 'block', 'firm', 'firm-setting', (m) => m.hepa, [is('ownsHepa', false)]),
  rule('sand.dustCloud', 'care', 'trade', 'trade-sand', (m) => m.dust === 'high' && m.blast === 'no', [is('place', 'inside'), is('leadInReach', 'notFound'), is('leadLow', false)]),
  rule('blast.masonry', 'block', 'hazard', 'nps-pb6', (m) => m.blast !== 'no', [is('material', 'brick', 'stone')]),
  rule('blast.concrete', 'care', 'trade', 'nps-pb6', (m) => m.blast !== 'no', [is('material', 'concrete'), is('historic', false)]),
  rule('blast.concreteHistoric', 'block', 'hazard', 'nps-pb6', (m) => m.blast !== 'no', [is('material', 'concrete'), is('historic', true)]),
  rule('blast.timberOff', 'block', 'firm', 'firm-setting', (m) => m.blast === 'soft', [is('timber', true), is('softBlastAllowed', false)]),
  rule('blast.sodaTannin', 'care', 'trade', 'trade-blast', (m) => m.id === 'sodaBlast', [is('timber', true)]),
  rule('blast.sweep', 'note', 'trade', 'trade-blast', (m) => m.id === 'sweepBlast', [is('methodSuits', true)]),
  rule('blast.hopper', 'note', 'hazard', 'trade-blast', (m) => m.blast !== 'no', [is('methodSuits', true)]),
  rule('blast.inside', 'block', 'trade', 'trade-blast', (m) => m.blast !== 'no' && !m.hepa, [is('place', 'inside')]),
  rule('blast.hardTimber', 'block', 'hazard', 'nps-pb6', (m) => m.blast === 'hard', [is('timber', true)]),
  rule('blast.softTrial', 'care', 'trade', 'trade-blast', (m) => m.blast === 'soft', [is('timber', true)]),

  // What nobody said comes after what is known of the place and the method
  rule('site.asthmaUnknown', 'care', 'hazard', 'trade-strip', (m) => m.vapour || m.dust === 'high', [is('asthma', 'unknown')]),
  rule('site.othersUnknown', 'care', 'hazard', 'trade-contain', (m) => m.disturbs, [is('others', 'unknown'), is('leadInReach', ...PRESENT)]),
  rule('site.listedUnknown', 'care', 'trade', 'trade-aim', (m) => m.bite === 'bare' || m.removesPiece, [is('listed', 'unknown')]),
];

/** What a firing rule weighed, for the reason. */
export const LIMIT_ASKED = 'limit';
