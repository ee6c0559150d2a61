/** The firm's own caustic mix, ready-made caustic, and infrared, on one area: product, labour, rinse and risk side by side. */
import { makes, methodById, type Makes } from '../catalogue';
import { effortOn, unitEffort } from '../choose';
import type { Range } from '../units/units';
import type { MethodId } from '../facts';
import type { FirmSettings } from '../rulebook';

export interface StripperLine {
  readonly methodId: MethodId;
  readonly product: Range;
  readonly labour: Range;
  readonly labourHours: Range;
  /** Flooding, neutralising and rinsing again. */
  readonly rinse: Range;
  readonly rinseHours: Range;
  readonly total: Range;
  readonly dwellHours: Range | null;
  readonly risks: readonly Makes[];
  readonly trialFirst: boolean;
}

/** m2 an hour for the rinse of an alkali: slow and fast. Common practice. */
const RINSE_M2_PER_H = { low: 10, high: 25 };

export function compareStrippers(
  areaM2: number,
  settings: FirmSettings,
  ids: readonly MethodId[] = ['causticPoultice', 'causticReady', 'infrared'],
): StripperLine[] {
  return ids.map((id) => {
    const m = methodById(id);
    const unit = unitEffort(m, 'flat', settings);
    const e = effortOn(areaM2, unit, m);
    const setUp = m.setUpH;
    const labourHours = { low: e.personHours.low + setUp.low, high: e.personHours.high + setUp.high };
    const rinses = m.leaves.includes('alkali') || m.leaves.includes('solvent');
    const rinseHours = rinses ? { low: areaM2 / RINSE_M2_PER_H.high, high: areaM2 / RINSE_M2_PER_H.low } : { low: 0, high: 0 };
    const money = (r: Range): Range => ({ low: r.low * settings.labourPerHour, high: r.high * settings.labourPerHour });
    const labour = money(labourHours);
    const rinse = money(rinseHours);
    return {
      methodId: id,
      product: e.materials,
      labour,
      labourHours,
      rinse,
      rinseHours,
      total: { low: e.materials.low + labour.low + rinse.low, high: e.materials.high + labour.high + rinse.high },
      dwellHours: e.dwellHours,
      risks: makes(m),
      trialFirst: m.trialFirst,
    };
  });
}
