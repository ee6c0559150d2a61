/** What class a waste is of: by a test where there is one, else by a rule, else the stricter until it is tested. */
import type { Chemistry, WasteStreamId, WasteTest } from '../facts';
import { answer, why, type Answer, type Reason } from '../reasons';
import { measure } from '../units/units';

/** `test`: nobody knows yet; it stands as hazardous until it is tested. */
export type WasteClass = 'ordinary' | 'household' | 'hazardous' | 'test' | 'asbestos';
/** Hazardous by this: a code of 40 CFR 261, or an entry of the European list. */
export type WasteCode = 'D001' | 'D002' | 'D008' | 'F002' | '08 01 17*' | '17 06 05*' | '20 01 27*' | '06 02 05*' | '06 01 06*';

export interface Classed {
  readonly class: WasteClass;
  readonly codes: readonly WasteCode[];
}

export interface WasteAsked {
  readonly stream: WasteStreamId;
  readonly rulebook: 'us' | 'uk';
  /** A home: what comes off its walls is household waste, also when a firm takes it off. 40 CFR 261.4(b)(1), EPA memorandum of 31 July 2000. */
  readonly dwelling: boolean;
  /** Some of it comes off goods, a machine or a boat: it is told why it is not household waste. */
  readonly goods?: boolean;
  /** A poison other than lead may be in some of it. */
  readonly poison?: boolean;
  /** Lead in what it holds is not shown absent. */
  readonly lead: boolean;
  /** Lead below what counts as found, of the most that was measured, mg/kg; Infinity: low, and nobody has a number. 0: none. */
  readonly lowMgKg: number;
  readonly test: WasteTest | null;
  readonly chemistry: readonly Chemistry[];
}

/** Lead that leaches out, at or above which waste is D008, mg/L. 40 CFR 261.24. */
export const LEACH_FAILS = 5;
/** One part of the solid meets twenty of the liquid: all of it dissolved cannot give more than a twentieth. 40 CFR 261, method 1311. */
const LIQUID_TO_SOLID = 20;
/** From here up paint can leach enough to fail: five in the leachate, twenty times as much in the solid. */
export const MAY_LEACH_MG_KG = LEACH_FAILS * LIQUID_TO_SOLID;
/** 40 CFR 261.22. */
export const PH_ACID = 2;
export const PH_ALKALI = 12.5;
/** 140 F. 40 CFR 261.21. */
export const FLASH_BELOW_C = 60;
/** From memory (classification of waste under UK rules): lead compounds toxic for reproduction from 0.3 % on, powder from 0.03 %. The lower is taken. */
const UK_LEAD_MG_KG = 300;

/** What comes from the walls of a home. What the firm brought and has left over does not. */
const FROM_THE_WALLS: readonly WasteStreamId[] = [
  'clean',
  'sheetAndChips',
  'solventSludge',
  'causticSludge',
  'washWater',
  'filters',
  'media',
  'moldDebris',
];
const SOLVENTS: readonly WasteStreamId[] = ['solventSludge', 'solventRags'];

interface Found {
  readonly codes: WasteCode[];
  readonly because: Reason[];
  untested: boolean;
}

function leadByTest({ test, lead, lowMgKg }: WasteAsked, out: Found): void {
  // The leaching limit knows no lead paint: what is low in the film may still leach. Paint alone is the worst of what is in the bag.
  if (!lead && lowMgKg < MAY_LEACH_MG_KG) return;
  const limit = measure(LEACH_FAILS, 'mg/L');
  if (typeof test?.leachMgL === 'number') {
    const fails = test.leachMgL >= LEACH_FAILS;
    if (fails) out.codes.push('D008');
    out.because.push(
      why(fails ? 'waste.leaches' : 'waste.leachesLess', 'cfr40-261.24', { leached: [measure(test.leachMgL, 'mg/L'), limit] }),
    );
  } else if (typeof test?.totalMgKg === 'number' && test.totalMgKg / LIQUID_TO_SOLID < LEACH_FAILS)
    out.because.push(why('waste.cannotLeach', 'cfr40-261.24', { most: [measure(test.totalMgKg / LIQUID_TO_SOLID, 'mg/L'), limit] }));
  else {
    out.untested = true;
    out.because.push(why('waste.leadUntested', 'cfr40-261.24', { limit }, 'care'));
  }
}

function byChemistry({ stream, test, chemistry }: WasteAsked, out: Found): void {
  const ph = test?.ph ?? null;
  if (stream === 'causticSludge' || stream === 'acidRinse') {
    const corrosive = ph !== null && (ph <= PH_ACID || ph >= PH_ALKALI);
    if (ph === null) {
      out.untested = true;
      out.because.push(why('waste.phUnread', 'cfr40-261.22', {}, 'care'));
    } else {
      if (corrosive) out.codes.push('D002');
      out.because.push(why(corrosive ? 'waste.corrosive' : 'waste.neutral', 'cfr40-261.22', { ph }));
    }
  }
  if (!SOLVENTS.includes(stream)) return;
  const flash = test?.flashC ?? null;
  if (chemistry.includes('methyleneChloride')) {
    out.codes.push('F002');
    out.because.push(why('waste.chlorinated', 'cfr40-261.31'));
  }
  // A stripper whose sheet says that it does not burn is asked for its sheet, not for a laboratory.
  if (flash === null) {
    out.untested = true;
    out.because.push(why('waste.flashUnread', 'cfr40-261.21', {}, 'care'));
  } else {
    const burns = flash < FLASH_BELOW_C;
    if (burns) out.codes.push('D001');
    out.because.push(
      why(burns ? 'waste.burns' : 'waste.burnsNot', 'cfr40-261.21', { flash: [measure(flash, 'C'), measure(FLASH_BELOW_C, 'C')] }),
    );
  }
}

const holdsPoison = ({ stream, poison = false }: WasteAsked): boolean => stream === 'biocideDebris' || (poison && stream !== 'oilyRags');

function underUs(asked: WasteAsked): Answer<Classed> {
  const { stream, dwelling, goods = false } = asked;
  const poison = holdsPoison(asked);
  const wouldCount =
    FROM_THE_WALLS.includes(stream) &&
    (asked.lead || asked.lowMgKg >= MAY_LEACH_MG_KG || SOLVENTS.includes(stream) || stream === 'causticSludge');
  if (dwelling && !goods && !poison && wouldCount)
    return answer(
      { class: 'household', codes: [] },
      why('waste.household', 'cfr40-261.4b1'),
      // Free of the hazardous-waste rules is not free to be poured anywhere.
      ...(stream === 'causticSludge' || stream === 'solventSludge' ? [why('waste.householdStill', 'trade-waste', {}, 'care')] : []),
    );
  const out: Found = { codes: [], because: [], untested: false };
  if (dwelling && goods && wouldCount) out.because.push(why('waste.goods', 'cfr40-261.4b1', {}, 'care'));
  if (stream !== 'clean' && stream !== 'oilyRags') leadByTest(asked, out);
  byChemistry(asked, out);
  if (poison) {
    out.untested = true;
    out.because.push(why('waste.biocide', 'mem-poison', {}, 'care'));
  }
  if (out.because.length === 0) out.because.push(why(stream === 'oilyRags' ? 'waste.heatsItself' : 'waste.nothingInIt', 'trade-waste'));
  return answer({ class: out.codes.length > 0 ? 'hazardous' : out.untested ? 'test' : 'ordinary', codes: out.codes }, ...out.because);
}

const hazardous = (code: WasteCode, ...because: readonly [Reason, ...Reason[]]): Answer<Classed> =>
  answer({ class: 'hazardous', codes: [code] }, ...because);

/** A poison makes it hazardous whatever else does. */
function underUk(asked: WasteAsked): Answer<Classed> {
  const own = ownUk(asked);
  if (!holdsPoison(asked)) return own;
  const poison = why('waste.biocide', 'mem-poison', {}, 'care');
  return own.value.class === 'hazardous' ? answer(own.value, ...own.because, poison) : hazardous('08 01 17*', poison);
}

function ownUk({ stream, lead, lowMgKg, test }: WasteAsked): Answer<Classed> {
  if (stream === 'solventRags' || stream === 'solventSludge') return hazardous('20 01 27*', why('waste.ukSolvent', 'uk-waste'));
  const [ph] = [test?.ph ?? null];
  if (stream === 'causticSludge' && (ph === null || ph >= 11.5)) return hazardous('06 02 05*', why('waste.ukCaustic', 'uk-waste'));
  if (stream === 'acidRinse' && (ph === null || ph <= PH_ACID)) return hazardous('06 01 06*', why('waste.ukAcid', 'uk-waste'));
  if ((!lead && lowMgKg < UK_LEAD_MG_KG) || stream === 'clean' || stream === 'oilyRags')
    return answer({ class: 'ordinary', codes: [] }, why(stream === 'oilyRags' ? 'waste.heatsItself' : 'waste.nothingInIt', 'trade-waste'));
  const limit = measure(UK_LEAD_MG_KG, 'mg/kg');
  if (typeof test?.totalMgKg !== 'number') return hazardous('08 01 17*', why('waste.ukLeadUntested', 'uk-waste', { limit }, 'care'));
  const over = test.totalMgKg >= UK_LEAD_MG_KG;
  const said = why(over ? 'waste.ukLead' : 'waste.ukLeadLess', 'uk-waste', { found: [measure(test.totalMgKg, 'mg/kg'), limit] });
  return over ? hazardous('08 01 17*', said) : answer({ class: 'ordinary', codes: [] }, said);
}

/** @returns the class with its codes; what nobody tested is held for the stricter, and says so */
export function classify(asked: WasteAsked): Answer<Classed> {
  if (asked.stream === 'suspectAsbestos')
    return asked.rulebook === 'uk'
      ? answer({ class: 'asbestos', codes: ['17 06 05*'] }, why('waste.asbestosUk', 'uk-waste'))
      : answer({ class: 'asbestos', codes: [] }, why('waste.asbestos', 'cfr29-1926.1101k8'));
  return asked.rulebook === 'uk' ? underUk(asked) : underUs(asked);
}

export type Generator = 'verySmall' | 'small' | 'large';
/** By what a place makes of hazardous waste in a calendar month, kg: up to and with 100; below 1,000; from there on. 40 CFR 260.10. */
export const generatorOf = (kgInMonth: number): Generator => (kgInMonth <= 100 ? 'verySmall' : kgInMonth < 1000 ? 'small' : 'large');
/** Days that it may stand there, of those that are bound; null: no such limit. 40 CFR 262.16, 262.17. */
export const daysItMayStand = (g: Generator): number | null => (g === 'verySmall' ? null : g === 'small' ? 180 : 90);
