/** Which primer, where: by material, what was left behind, what bleeds and what goes on top. */
import { MASONRY, METAL, PLASTER, TIMBER, type Surface, type TopcoatId } from '../facts';
import type { SurfaceContext } from '../context';
import { methodById, type Residue } from '../catalogue';
import { picksOf, type Choice } from '../choose';
import { answer, why, type Answer } from '../reasons';
import { measure, type Measure } from '../units/units';
import type { TakeOff } from '../walk';
import { litresFor } from './film';
import { PRIMERS_DATA, TOPCOATS_DATA, type Coating, type PrimerId } from './products';

export interface CoatLine {
  readonly use: 'knots' | 'primer' | 'topcoat';
  readonly product: PrimerId | TopcoatId;
  readonly areaM2: number;
  readonly coats: number;
  readonly litres: number;
  readonly recoatH: Coating['recoatH'];
  readonly because: Answer<unknown>['because'];
}

export interface CoatingPlan {
  /** How the surface stands after removal. */
  readonly left: Answer<'bare' | 'partly' | 'coated'>;
  readonly bareM2: number;
  readonly topcoat: Answer<TopcoatId>;
  readonly lines: readonly CoatLine[];
  /** Residues that must be proved gone before the primer. */
  readonly residues: readonly Residue[];
}

/** Of a part scraped to a sound layer, about this share ends bare. Common practice: spot-prime, and measure on the day. */
const BARE_SHARE_OF_LOOSE = 0.35;
/** Knots and a hand round each, share of bare softwood. Common practice. */
const KNOT_SHARE = 0.05;

/** What seals a mold stain once it is clean and dry: three schools. */
const MOLD_SEALS = {
  stainBlock: { product: 'stainBlock', rule: 'prime.moldStain', effect: 'note' },
  undercoat: { product: 'alkydWood', rule: 'prime.moldUndercoat', effect: 'note' },
  pva: { product: 'plasterSealer', rule: 'prime.moldPva', effect: 'care' },
} as const;

function defaultTopcoat(s: Surface, ctx: SurfaceContext): TopcoatId {
  if (s.aim === 'bareClear') return 'clearVarnish';
  if (METAL.includes(s.material)) return 'metalEnamel';
  if (ctx.place === 'outside') return MASONRY.includes(s.material) ? 'limewash' : 'exteriorAcrylic';
  if (s.material === 'limePlaster') return 'matEmulsion';
  return TIMBER.includes(s.material) ? 'waterborneEggshell' : 'matEmulsion';
}

function primerFor(s: Surface, ctx: SurfaceContext, left: 'bare' | 'partly' | 'coated', topcoat: TopcoatId): Answer<PrimerId> {
  const top = TOPCOATS_DATA[topcoat];
  const facts = { material: s.material, topcoat };
  if (left === 'coated')
    return ctx.settings.primeAlways
      ? answer('bonding', why('prime.always', 'firm-setting', facts))
      : answer('none', why('prime.soundCoats', 'trade-prime', facts));
  if (s.material === 'aluminium') return answer('none', why('prime.aluminiumNever', 'trade-prime', facts, 'care'));
  if (s.material === 'galvanised') return answer('etch', why('prime.galvanised', 'trade-prime', facts));
  if (s.material === 'mildSteel') return answer('zincPhosphate', why('prime.steel', 'trade-prime', facts));
  if (s.material === 'castIron')
    return answer(
      s.element === 'heater' ? 'heatResistant' : 'zincPhosphate',
      why(s.element === 'heater' ? 'prime.heater' : 'prime.steel', 'trade-prime', facts),
    );
  if (s.material === 'limePlaster')
    return answer(topcoat === 'limewash' ? 'mineral' : 'plasterSealer', why('prime.limePlaster', 'trade-prime', facts));
  if (PLASTER.includes(s.material)) return answer('plasterSealer', why('prime.plaster', 'trade-prime', facts));
  if (MASONRY.includes(s.material))
    return answer(topcoat === 'limewash' ? 'mineral' : 'alkaliResistant', why('prime.masonry', 'trade-prime', facts));
  if (top.clear) return answer('sandingSealer', why('prime.clear', 'trade-prime', facts));
  if (s.material === 'oilyWood') return answer('oilyWood', why('prime.oilyWood', 'trade-prime', facts));
  if (s.material === 'tanninWood') return answer('stainBlock', why('prime.tannin', 'trade-prime', facts));
  if (top.base === 'solvent' || ctx.place === 'outside') return answer('alkydWood', why('prime.alkyd', 'trade-prime', facts));
  return answer('acrylicWood', why('prime.acrylic', 'trade-prime', facts));
}

const line = (
  use: CoatLine['use'],
  product: CoatLine['product'],
  data: Coating,
  areaM2: number,
  because: CoatLine['because'],
): CoatLine => ({
  use,
  product,
  areaM2,
  coats: data.coats,
  litres: litresFor(areaM2, data.coats, data.volumeSolidsPct, data.dryFilmUm, data.lossPct),
  recoatH: data.recoatH,
  because,
});

/** The coats from knots to finish for a surface, with litres and intervals. */
export function coat(s: Surface, ctx: SurfaceContext, area: TakeOff, choice: Choice): CoatingPlan {
  const worked = choice.parts.flatMap((p) => (p.selected.value ? [{ areaM2: p.areaM2, method: methodById(p.selected.value) }] : []));
  const bareM2 = worked.reduce(
    (sum, w) => sum + w.areaM2 * (w.method.bite === 'bare' ? 1 : w.method.bite === 'loose' ? BARE_SHARE_OF_LOOSE : 0),
    0,
  );
  const uncoated = s.layers.every((l) => l.removedAt !== null) && s.coatsCounted;
  const leftValue = uncoated || (bareM2 > 0 && bareM2 >= area.totalM2 * 0.98) ? 'bare' : bareM2 > 0 ? 'partly' : 'coated';
  const primedM2 = uncoated ? area.totalM2 : bareM2;
  const left = answer(leftValue, why(`left.${leftValue}`, 'trade-prime', { area: measure(primedM2, 'm2') })) as CoatingPlan['left'];
  const topcoatId = s.topcoat ?? defaultTopcoat(s, ctx);
  const topcoat = answer(
    topcoatId,
    s.topcoat
      ? why('topcoat.byPerson', 'job-record', { topcoat: topcoatId })
      : why('topcoat.default', 'trade-prime', { topcoat: topcoatId, material: s.material }),
  );
  const residues = [...new Set(choice.parts.flatMap((p) => picksOf(p).flatMap((x) => methodById(x.option.methodId).leaves)))];
  if (worked.length > 0 && worked.every((w) => w.method.id === 'leave')) return { left, bareM2, topcoat, lines: [], residues };

  const lines: CoatLine[] = [];
  const timber = TIMBER.includes(s.material);
  const top = TOPCOATS_DATA[topcoatId];
  if (timber && leftValue !== 'coated' && s.knots !== 'no' && s.material === 'softwood' && !top.clear) {
    const knots: Measure = measure(KNOT_SHARE * 100, '%');
    lines.push(
      line('knots', 'knotting', PRIMERS_DATA.knotting, primedM2 * KNOT_SHARE, [
        s.knots === 'yes'
          ? why('prime.knots', 'trade-prime', { share: knots })
          : why('prime.knotsUnknown', 'trade-prime', { share: knots }),
      ]),
    );
  }
  const primer = primerFor(s, ctx, leftValue, topcoatId);
  if (primer.value !== 'none') {
    const first = worked.some((w) => w.method.caustic) ? [why('prime.afterAlkali', 'trade-prime', {}, 'care')] : [];
    const data = PRIMERS_DATA[primer.value];
    const incompatible =
      data.base === 'solvent' && top.base === 'water' ? [why('prime.waterOverSolvent', 'trade-interval', {}, 'care')] : [];
    const primed = leftValue === 'coated' ? area.totalM2 : primedM2;
    lines.push(line('primer', primer.value, data, primed, [...primer.because, ...first, ...incompatible]));
  }
  if (s.conditions.includes('moldy') || (s.moldM2 ?? 0) > 0) {
    const seal = MOLD_SEALS[ctx.settings.moldSeal];
    // One product that does both is laid once.
    if (!lines.some((l) => l.product === seal.product))
      lines.push(line('primer', seal.product, PRIMERS_DATA[seal.product], area.totalM2, [why(seal.rule, 'trade-mold', {}, seal.effect)]));
  }
  if (s.material !== 'aluminium') lines.push(line('topcoat', topcoatId, top, area.totalM2, topcoat.because));
  return { left, bareM2: primedM2, topcoat, lines, residues };
}
