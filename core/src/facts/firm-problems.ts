/** What only the whole record tells: a data sheet that contradicts itself, and what no shelf may hold. */
import type { GoodId, StuffId } from './goods';
import type { Problem } from './problems';
import type { Entity, FirmFacts, MixStep, Product, Tin } from './registry';

/**
 * Not for stripping, cleaning or coating, whatever the tin is called. 40 CFR 751 (methylene chloride, trichloroethylene, perchloroethylene,
 * carbon tetrachloride); UK REACH annex XVII 59 (dichloromethane), 5 (benzene), 16 and 17 (lead); 16 CFR 1303 (lead paint).
 */
const FORBIDDEN: readonly StuffId[] = [
  'methyleneChloride',
  'trichloroethylene',
  'perchloroethylene',
  'carbonTetrachloride',
  'benzene',
  'leadPigment',
];
/** By what it says on the tin. Benzene is not benzyl, nor benzoate. */
const FORBIDDEN_NAME =
  /methylene\s*chloride|dichloromethane|\bDCM\b|trichloro?ethylene|perchloro?ethylene|tetrachloro?ethylene|carbon\s*tetrachloride|\bbenzene\b|\b(?:white|red)\s+lead\b/i;
export const isForbidden = (chemistry: StuffId, name: string): boolean => FORBIDDEN.includes(chemistry) || FORBIDDEN_NAME.test(name);

const ACIDS: readonly StuffId[] = ['citricAcid', 'aceticAcid', 'phosphoricAcid', 'hydrochloricAcid'];
const ALKALIS: readonly StuffId[] = ['sodiumHydroxide', 'quickLime', 'ammonia'];
/** It would be poured where the other stood. */
const NEVER: readonly (readonly [goods: readonly GoodId[], stuffs: readonly StuffId[], says: string])[] = [
  [
    ['causticPaste', 'readyCaustic', 'causticSoda', 'milkPowder', 'washingSoda', 'limewash', 'mineral'],
    [...ACIDS, 'hypochlorite', 'peroxide'],
    'stands for an alkali, and this is no alkali: it would boil or give off gas where the other stood',
  ],
  [
    ['neutraliser', 'citricAcid', 'phosphoricAcid', 'rustAcid'],
    [...ALKALIS, 'hypochlorite'],
    'stands for an acid, and this is no acid: with what is left of the other it would boil or give off gas',
  ],
  [['bleach'], [...ACIDS, ...ALKALIS, 'peroxide', 'isopropanol'], 'stands for bleach, and gives off gas with it'],
  [['cleaner', 'biocide'], ['hydrochloricAcid', 'sodiumHydroxide'], 'is too strong for what washes a wall'],
];

export function productProblems(p: Omit<Product, 'id' | 'removedAt'>): Problem[] {
  const out: Problem[] = [];
  if (isForbidden(p.chemistry, p.name))
    out.push({
      path: 'chemistry',
      message: 'is forbidden for this work, whatever it is called: it is not kept, laid or bought. Take it to where hazardous waste goes',
    });
  for (const [goods, stuffs, says] of NEVER)
    if (goods.includes(p.good) && stuffs.includes(p.chemistry)) out.push({ path: 'chemistry', message: says });
  if (p.recoatLeastH !== null && p.recoatMostH !== null && p.recoatMostH < p.recoatLeastH)
    out.push({
      path: 'recoatMostH',
      message: `the longest wait, ${p.recoatMostH} h, is shorter than the shortest, ${p.recoatLeastH} h: look at the sheet again`,
    });
  if ((p.coldC === null) !== (p.coldLeastH === null))
    out.push({ path: 'coldLeastH', message: 'a second temperature has a wait, and the wait a temperature' });
  else if (p.coldC !== null && p.coldLeastH !== null) {
    const at = p.atC ?? 20;
    if (p.recoatLeastH === null) out.push({ path: 'recoatLeastH', message: 'the second wait needs the first' });
    else if (p.coldC === at) out.push({ path: 'coldC', message: 'is the same temperature twice' });
    else if (p.coldC < at !== p.coldLeastH > p.recoatLeastH)
      out.push({ path: 'coldLeastH', message: 'by these two it would dry slower in the warm: look at the sheet again' });
  }
  const sizes = p.packs.map((k) => k.size);
  if (new Set(sizes).size !== sizes.length) out.push({ path: 'packs', message: 'one size of pack stands there twice' });
  return out;
}

function tinProblems(t: Tin, products: readonly Product[]): Problem[] {
  if (t.productId === null) return [];
  const of = products.find((p) => p.id === t.productId);
  if (of === undefined) return [{ path: 'productId', message: 'the product is not on the firm’s shelf' }];
  return of.good === t.good ? [] : [{ path: 'good', message: `${of.name} stands for something else` }];
}

/** Nobody comes back to a pail after a week. */
const MIX_LASTS_MS = 7 * 24 * 3600 * 1000;
/** So much may two phones' clocks differ. */
const CLOCKS_APART_MS = 10 * 60 * 1000;
function mixStepProblems(step: MixStep, { mixes, mixSteps }: FirmFacts): Problem[] {
  const mix = mixes.find((m) => m.id === step.mixId);
  if (mix === undefined) return [{ path: 'mixId', message: 'there is no such pail' }];
  const after = Date.parse(step.at) - Date.parse(mix.beganAt);
  if (after < -CLOCKS_APART_MS) return [{ path: 'at', message: 'was before the water stood in the pail' }];
  if (after > MIX_LASTS_MS) return [{ path: 'at', message: 'is over a week after the water stood in the pail' }];
  if (step.removedAt !== null || step.portion === null)
    return step.portion === null && step.amount > 140 ? [{ path: 'amount', message: 'no mix is so hot: read it again' }] : [];
  if (step.amount < 1) return [{ path: 'amount', message: 'a portion weighs something' }];
  // One portion that two phones confirmed went in once.
  const inG = new Map<number, number>();
  for (const s of mixSteps)
    if (s.mixId === mix.id && s.removedAt === null && s.portion !== null && !inG.has(s.portion)) inG.set(s.portion, s.amount);
  const sum = [...inG.values()].reduce((a, g) => a + g, 0);
  return sum > mix.causticG + 0.5 ? [{ path: 'amount', message: 'that would be more than the recipe: weigh what is left' }] : [];
}

/** What is wrong with a record of the firm as it would stand. */
export function firmProblems(facts: FirmFacts, entity: Entity, id: string): Problem[] {
  if (entity === 'product') {
    const tins = facts.tins.filter((t) => t.productId === id && t.removedAt === null);
    return facts.products
      .filter((p) => p.id === id)
      .flatMap((p) => [
        ...productProblems(p),
        ...(tins.some((t) => t.good !== p.good)
          ? [{ path: 'good', message: 'something of it stands there as another thing: say first what became of that' }]
          : []),
      ]);
  }
  if (entity === 'tin') return facts.tins.filter((t) => t.id === id).flatMap((t) => tinProblems(t, facts.products));
  if (entity === 'mixStep') return facts.mixSteps.filter((s) => s.id === id).flatMap((s) => mixStepProblems(s, facts));
  return [];
}
