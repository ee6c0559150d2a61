/** Boards and other pieces looked at one by one: which stay, which go, which are split at the joint. Common practice. */
import type { Board, Surface } from '../facts';
import { answer, typed, why, type Answer, type Reason } from '../reasons';
import { measure } from '../units/units';

export const TRIAGE = ['keep', 'feather', 'strip', 'split', 'replace', 'look'] as const;
export type Triage = (typeof TRIAGE)[number];

/** So many bonded coats, and none loose, carry another. Common practice. */
const KEEP_FROM = 3;

export function triage(b: Board): Answer<Triage> {
  const coats = { coats: measure(b.coats ?? 0, 'pieces'), sound: measure(b.soundCoats ?? 0, 'pieces') };
  if (b.oilSoaked === 'yes') return answer('replace', why('board.oilSoaked', 'trade-board', b.coats === null ? {} : coats));
  if (b.rotten === 'yes') return answer('replace', why('board.rotten', 'trade-board'));
  if (b.mixed) return answer('split', why('board.mixed', 'trade-board'));
  if (b.coats === null || b.soundCoats === null) return answer('look', why('board.look', 'trade-board'));
  if (b.coats === 0)
    return b.oilSoaked === 'unknown'
      ? answer('look', why('board.bareUnknown', 'trade-board'))
      : answer('keep', why('board.bare', 'trade-board'));
  if (b.soundCoats === b.coats && b.coats >= KEEP_FROM) return answer('keep', why('board.sound', 'trade-board', coats));
  if (b.soundCoats === 0) return answer('strip', why('board.loose', 'trade-board', coats));
  return answer('feather', why('board.some', 'trade-board', coats));
}

export interface TriageCounts {
  readonly pieces: readonly { readonly board: Board; readonly says: Answer<Triage> }[];
  readonly counts: Readonly<Record<Triage, number>>;
  /** Of the surface's pieces, how many nobody has looked at yet; null: it is not counted in pieces. */
  readonly unseen: number | null;
}

export function triageOf(s: Surface): TriageCounts {
  const pieces = s.boards.filter((b) => b.removedAt === null).map((board) => ({ board, says: triage(board) }));
  const counts = Object.fromEntries(TRIAGE.map((t) => [t, pieces.filter((p) => p.says.value === t).length])) as Record<Triage, number>;
  return { pieces, counts, unseen: s.count > 1 ? Math.max(0, s.count - pieces.length) : null };
}

/** Where the oil is: in all of it, or, where its pieces were looked at one by one and some hold none, in those that say so. */
export function soakedIn(s: Pick<Surface, 'conditions' | 'boards'>): 'whole' | 'pieces' | 'none' {
  const boards = s.boards.filter((b) => b.removedAt === null);
  if (s.conditions.includes('oilSoaked')) return boards.some((b) => b.oilSoaked === 'no') ? 'pieces' : 'whole';
  return boards.some((b) => b.oilSoaked === 'yes') ? 'pieces' : 'none';
}

type Judged = TriageCounts['pieces'][number];
export const labelsOf = (pieces: readonly Judged[]): string => pieces.map((p) => p.board.label).join(', ');

/** Of a face that is scraped, what a piece ends bare by its verdict, 0 to 1; null: nobody can say. */
const ENDS_BARE: Readonly<Record<Triage, number | null>> = { keep: 0, feather: null, strip: 1, split: 0.5, replace: 1, look: null };
/**
 * How much of a scraped face ends bare, by the pieces that were looked at; null: none was.
 * @param usual of a piece of which nobody can say, 0 to 1
 */
export function bareByPieces(s: Surface, usual: number): number | null {
  const { pieces, unseen } = triageOf(s);
  if (pieces.length === 0) return null;
  const all = pieces.length + (unseen ?? 0);
  return (pieces.reduce((sum, p) => sum + (ENDS_BARE[p.says.value] ?? usual), 0) + (unseen ?? 0) * usual) / all;
}

/** Which pieces are treated how, for whoever stands before them; what is replaced stands with the repairs. */
export function pieceWords(s: Surface): Reason[] {
  const { pieces, unseen } = triageOf(s);
  if (pieces.length === 0) return [];
  const groups = TRIAGE.flatMap((doing) => {
    const these = pieces.filter((p) => p.says.value === doing);
    return these.length === 0 || doing === 'replace' || doing === 'split'
      ? []
      : [why('board.these', 'trade-board', { doing, pieces: typed(labelsOf(these)) })];
  });
  return unseen !== null && unseen > 0 ? [...groups, why('board.unseen', 'trade-board', { count: unseen }, 'care')] : groups;
}
