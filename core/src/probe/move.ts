/** A reading that was entered on the wrong surface: the same test, on the one that it was made on. */
import type { Reading, Surface } from '../facts';
import { liveLayers } from '../walk';

/**
 * Coats are counted from the top on both: what it reached there it reaches here, as far down as coats were counted.
 * @returns its fields for the other surface; null: it answers a sample, which is on its surface
 */
export function movedReading(from: Surface, to: Surface, reading: Reading): Omit<Reading, 'id' | 'by'> | null {
  if (reading.sampleId !== null) return null;
  const { id: _id, by: _by, ...fields } = reading;
  const [there, here] = [liveLayers(from), liveLayers(to)];
  const across = (ids: readonly string[]) => there.flatMap((l, i) => (ids.includes(l.id) && here[i] ? [here[i].id] : []));
  return {
    ...fields,
    reachedLayerIds: reading.toSubstrate ? here.map((l) => l.id) : across(reading.reachedLayerIds),
    changedLayerIds: across(reading.changedLayerIds),
    supersedesId: null,
    supersedesWhy: null,
    note: [reading.note, `entered on ${from.name} first`].filter(Boolean).join('; ').slice(0, 500),
  };
}
