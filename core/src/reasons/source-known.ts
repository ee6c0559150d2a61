import type { SourceCheck } from '../facts';
import { SOURCE_KIND_WORDS, SOURCES, type Source, type SourceId } from './sources';

/** What a source is, in the words that a person holds against the document. */
export const sourceText = (id: SourceId): string => `${SOURCES[id].title}: ${SOURCES[id].at}`;

/** The check that stands for a source: the last of those that were made of the text that it has today. */
export const checkOf = (id: SourceId, checks: readonly SourceCheck[]): SourceCheck | null =>
  checks
    .filter((c) => c.source === id && c.removedAt === null && c.says === sourceText(id))
    .reduce<SourceCheck | null>((last, c) => (last === null || c.on > last.on ? c : last), null);

/** It was checked, and the program tells it otherwise since. */
export const isCheckedOtherwise = (id: SourceId, checks: readonly SourceCheck[]): boolean =>
  checkOf(id, checks) === null && checks.some((c) => c.source === id && c.removedAt === null);

/** A document stands behind it, or is said to: the firm can look. Its own settings and this job's record it knows. */
export const canBeChecked = ({ kind }: Source): boolean => kind === 'pub' || kind === 'mem';

/** How a source is known: by whoever of the firm looked, else as the program has it. */
export function sourceKnown(id: SourceId, checks: readonly SourceCheck[] = []): string {
  const check = checkOf(id, checks);
  const kind = SOURCE_KIND_WORDS[SOURCES[id].kind];
  if (check !== null) return `Checked by ${check.person} on ${check.on}: ${check.against}`;
  return isCheckedOtherwise(id, checks) ? `${kind}. It was checked before its words here changed` : kind;
}
