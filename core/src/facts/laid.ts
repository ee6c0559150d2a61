import type { Laid, Surface } from './registry';

/** Of what was laid, what stands: not taken back. */
export function liveLaid({ laid }: Pick<Surface, 'laid'>): Laid[] {
  const gone = new Set(laid.map((x) => x.supersedesId));
  return laid.filter((x) => !x.withdrawn && !gone.has(x.id));
}
