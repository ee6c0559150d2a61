/** The plan of a homogeneous area: its faces laid side by side to scale, and the places of its samples on them. Metres. */
import type { JobFacts } from '../facts';
import type { AsbestosArea, SamplePoint } from './asbestos';

export interface AreaPlan {
  readonly widthM: number;
  readonly heightM: number;
  readonly faces: readonly {
    readonly surfaceId: string;
    readonly name: string;
    readonly x: number;
    readonly y: number;
    readonly w: number;
    readonly h: number;
  }[];
  /** `number` is the sample's own once it was cut there; a drawn place that waits carries its rank. */
  readonly dots: readonly { readonly x: number; readonly y: number; readonly label: string; readonly taken: boolean }[];
}

const GAP_M = 0.4;
/** Faces are laid in rows no longer than this many times the longest face. */
const ROW = 1.6;

/** @param points where to cut (samplePoints); samples with a place of their own are drawn there */
export function areaPlan(area: AsbestosArea, facts: JobFacts, points: readonly SamplePoint[]): AreaPlan {
  const surfaces = area.members.flatMap((m) => facts.surfaces.find((s) => s.id === m.surfaceId) ?? []);
  const longest = Math.max(0.1, ...surfaces.map((s) => s.lengthM));
  const faces: { surfaceId: string; name: string; x: number; y: number; w: number; h: number }[] = [];
  let x = 0;
  let y = 0;
  let rowH = 0;
  for (const s of surfaces) {
    if (x > 0 && x + s.lengthM > longest * ROW) {
      x = 0;
      y += rowH + GAP_M;
      rowH = 0;
    }
    faces.push({ surfaceId: s.id, name: s.name, x, y, w: s.lengthM, h: s.widthM });
    x += s.lengthM + GAP_M;
    rowH = Math.max(rowH, s.widthM);
  }
  const at = (surfaceId: string, px: number, py: number) => {
    const f = faces.find((k) => k.surfaceId === surfaceId);
    // Up from the bottom, as a person measures.
    return f && { x: f.x + px * f.w, y: f.y + (1 - py) * f.h };
  };
  const placed = area.samples.flatMap((k) => {
    const spot = k.sample.atX === null || k.sample.atY === null ? undefined : at(k.surfaceId, k.sample.atX, k.sample.atY);
    return spot ? [{ ...spot, label: k.sample.number, taken: k.sample.takenAt !== null }] : [];
  });
  const open = points.slice(area.samples.length).flatMap((p, i) => {
    const spot = at(p.surfaceId, p.x, p.y);
    return spot ? [{ ...spot, label: String(area.samples.length + i + 1), taken: false }] : [];
  });
  return {
    widthM: Math.max(0.1, ...faces.map((f) => f.x + f.w)),
    heightM: Math.max(0.1, ...faces.map((f) => f.y + f.h)),
    faces,
    dots: [...placed, ...open],
  };
}
