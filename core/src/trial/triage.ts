/** Boards and other pieces looked at one by one: which stay, which go, which are split at the joint. Common practice. */
import type { Board, Surface } from '../facts';
import { answer, why, type Answer } from '../reasons';
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
