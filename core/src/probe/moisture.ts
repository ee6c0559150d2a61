/** What a moisture reading means on its material, before a coat and for mold. */
import type { Material, Reading } from '../facts';
import { MASONRY, PLASTER, TIMBER } from '../facts/vocabulary';
import { answer, why, type Answer, type RuleId, type SourceId } from '../reasons';
import { measure } from '../units/units';

/** dry: may be coated. moist: wait. wet: mold grows. decay: the wood itself is at risk. unread: the scale does not fit the material. */
export type MoistureVerdict = 'dry' | 'moist' | 'wet' | 'decay' | 'unread';

/** Wood: paint at 15 % (16 % at most), mold from about 16 %, decay risk above 20 %. Wood Handbook; MPI; BS 6150. */
const WOOD = { paint: 15, most: 16, decay: 20 } as const;
/** Gypsum scale: dry at 1 % or less. Meters' relative scales on masonry: MPI-style 12, from memory. Surface humidity: 75 % (BS 8201), mold from 80 %. */
const GYPSUM_DRY = 1;
const MASONRY_REL = 12;
const RH_PAINT = 75;
const RH_MOLD = 80;

/**
 * Pin meters are set for one wood at 20 C. Common practice (FPL; ASTM D4444): read about 0.1 % too high for each degree above 20 C.
 * @param readPct as shown, %
 * @param surfaceC of the wood, C; null: not measured, no correction
 */
export const correctedWoodMoisture = (readPct: number, surfaceC: number | null): number =>
  surfaceC === null ? readPct : Math.max(0, readPct - 0.1 * (surfaceC - 20));

/** Rules that hold one reading against one limit. */
type MoistureRule = Extract<RuleId, `moisture.${'wood' | 'plaster' | 'masonry' | 'humid'}${string}`>;

export function judgeMoisture(r: Reading, material: Material): Answer<MoistureVerdict> {
  const value = r.value ?? 0;
  const unit = r.unit ?? '%MC';
  const say = (v: MoistureVerdict, rule: MoistureRule, source: SourceId, limit: number) =>
    answer(v, why(rule, source, { result: [measure(value, unit), measure(limit, unit)] }));
  if (r.unit === '%RH') {
    if (value >= RH_MOLD) return say('wet', 'moisture.humidWet', 'iso13788', RH_MOLD);
    return value >= RH_PAINT
      ? say('moist', 'moisture.humidMoist', 'mem-moisture', RH_PAINT)
      : say('dry', 'moisture.humidDry', 'mem-moisture', RH_PAINT);
  }
  if (TIMBER.includes(material) && r.unit === '%MC') {
    if (value > WOOD.decay) return say('decay', 'moisture.woodDecay', 'fpl-wood', WOOD.decay);
    if (value > WOOD.most) return say('wet', 'moisture.woodWet', 'fpl-wood', WOOD.most);
    return value > WOOD.paint
      ? say('moist', 'moisture.woodEdge', 'mem-moisture', WOOD.paint)
      : say('dry', 'moisture.woodDry', 'mem-moisture', WOOD.paint);
  }
  if (PLASTER.includes(material) && r.unit === '%gypsum')
    return value > GYPSUM_DRY
      ? say('wet', 'moisture.plasterWet', 'mem-moisture', GYPSUM_DRY)
      : say('dry', 'moisture.plasterDry', 'mem-moisture', GYPSUM_DRY);
  if ((MASONRY.includes(material) || PLASTER.includes(material)) && r.unit === '%rel')
    return value > MASONRY_REL
      ? say('wet', 'moisture.masonryWet', 'mem-moisture', MASONRY_REL)
      : say('dry', 'moisture.masonryDry', 'mem-moisture', MASONRY_REL);
  return answer('unread', why('moisture.wrongScale', 'mem-moisture', { material, unit: r.unit ?? 'none' }));
}
