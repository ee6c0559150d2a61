/** The question for one part of a surface, as the plan and the firm have it; the person then changes crew, cover and size. */
import type { MethodId, PartKind, Surface } from '../facts';
import { sizeOf } from '../walk';
import { methodById, type Method } from '../catalogue';
import { picksOf } from '../choose';
import type { SurfacePlan } from '../zone/surface-plan';
import { lastFaceC } from '../probe';
import type { FirmSettings } from '../rulebook';
import { REFERENCE_C } from '../trial';
import type { RoundQuestion } from './rounds';

/** What the counted pieces of a surface are made of; its rails and runs are flat. */
const COUNTED_PARTS: readonly PartKind[] = ['turned', 'carved', 'moulded'];

/** A strip of wall that one person lays and lifts without moving. Common practice. */
const STRIP_M2 = 0.25;

/** One person's measured hours on a square metre of flat work, against what laying, lifting and rinsing usually take. */
function paceOf(plan: SurfacePlan, { id, laying }: Method): number {
  const timed = plan.trials.flatMap((t) => (t.methodId === id && t.workHPerM2 ? [(t.workHPerM2.low + t.workHPerM2.high) / 2] : []));
  if (timed.length === 0 || laying === null) return 1;
  const usual = 1 / laying.layM2PerH + 1 / laying.liftM2PerH + (laying.rinseM2PerH === null ? 0 : 1 / laying.rinseM2PerH);
  return Math.max(...timed) / usual;
}

/**
 * @param methodId instead of what the plan has there
 * @returns undefined when nothing on the part is laid and left
 */
export function roundQuestion(
  s: Surface,
  plan: SurfacePlan,
  partId: string,
  settings: FirmSettings,
  methodId?: MethodId,
): RoundQuestion | undefined {
  const part = plan.choice.parts.find((p) => p.partId === partId);
  if (!part || part.areaM2 <= 0) return undefined;
  const option = methodId
    ? [...part.options, ...part.helpers].find((o) => o.methodId === methodId)
    : picksOf(part).find((p) => methodById(p.option.methodId).laying !== null)?.option;
  if (!option) return undefined;
  const method = methodById(option.methodId);
  if (!method.laying) return undefined;
  const soak = option.perM2.dwellHours;
  // Spindles, corbels and modillions are pieces inside one surface.
  const pieces = s.count * Math.max(1, COUNTED_PARTS.includes(part.kind) ? sizeOf(s, 'pieces') : 1);
  const equalPieces = pieces > 1;
  const pieceM2 = equalPieces ? part.areaM2 / pieces : STRIP_M2;
  const several = settings.crew > 1;
  return {
    method,
    crew: { laying: 1, lifting: several ? settings.crew - 1 : 1, shared: !several },
    weather: {
      faceC: lastFaceC(s) ?? REFERENCE_C,
      sun: false,
      wind: false,
      covered: method.laying.coveredLifeH > method.laying.openLifeH,
    },
    pieceM2,
    speed: method.reach[part.kind] ?? 0.5,
    soakH: soak?.high ?? 0,
    pieces: equalPieces ? pieces : Math.ceil(part.areaM2 / pieceM2),
    pace: paceOf(plan, method),
    settings,
  };
}
