/** The register of bags as CSV: one line a bag, with the load that it left with. */
import type { JobFacts } from '../facts';
import { writeTable } from './table';

const HEADERS = ['bag', 'stream', 'kg', 'filled', 'where', 'stands', 'by', 'load', 'left', 'carrier', 'to', 'photographs', 'note'];

export function bagsCsv(facts: JobFacts): string {
  const where = (id: string | null): string =>
    id === facts.job.id ? 'bench' : ([...facts.spaces, ...facts.zones].find((x) => x.id === id)?.name ?? '');
  return writeTable(
    HEADERS,
    facts.bags
      .filter((b) => b.removedAt === null)
      .map((b) => {
        const load = facts.hauls.find((h) => h.id === b.haulId && h.removedAt === null);
        const pictures = facts.photos.filter((p) => p.ofBagId === b.id && p.removedAt === null).length;
        return [
          b.number,
          b.stream,
          b.kg,
          b.filledAt,
          where(b.zoneId),
          b.place,
          b.filledBy,
          load?.number ?? '',
          load?.leftAt ?? '',
          load?.carrier ?? '',
          load?.to ?? '',
          pictures,
          b.note,
        ];
      }),
  );
}
