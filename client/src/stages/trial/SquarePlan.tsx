/** Where the squares lie on the face, by number. */
import type { Square, Surface } from '@roughsill/core';
import { AreaPlanView } from '../probe/AreaPlanView';

export function SquarePlan({ surface, squares }: { readonly surface: Surface; readonly squares: readonly Square[] }) {
  const placed = squares.flatMap((q, i) => (q.atX === null || q.atY === null ? [] : [{ q, n: i + 1, x: q.atX, y: q.atY }]));
  if (placed.length === 0) return null;
  return (
    <AreaPlanView
      says={`Where the squares lie: ${placed.map((p) => p.n).join(', ')}`}
      plan={{
        widthM: surface.lengthM,
        heightM: surface.widthM,
        faces: [{ surfaceId: surface.id, name: '', x: 0, y: 0, w: surface.lengthM, h: surface.widthM }],
        dots: placed.map((p) => ({
          x: p.x * surface.lengthM,
          y: (1 - p.y) * surface.widthM,
          label: String(p.n),
          taken: p.q.lifted !== null,
        })),
      }}
    />
  );
}
