/**
 * Water on a textured ceiling: how much a mist is, what it hangs on the ceiling, and what a test scrape says comes next. All figures are
 * common practice, from memory; the scrape outranks them. Only where asbestos is shown absent: with it this is licensed work.
 */
import { MIST_L_M2, MISTS } from '../catalogue/clean';
import { within } from './refused';

export const SCRAPES = ['none', 'dust', 'crumbs', 'ribbons', 'paste'] as const;
/** What came off at the last test scrape; `none`: none was made since the last mist. */
export type ScrapeId = (typeof SCRAPES)[number];
export const CEILING_GROUNDS = ['board', 'lath'] as const;
export type CeilingGround = (typeof CEILING_GROUNDS)[number];

export interface Mist {
  readonly areaM2: number;
  /** Paint over the texture keeps water out. */
  readonly painted: boolean;
  readonly ground: CeilingGround;
  readonly mistsDone: number;
  readonly scrape: ScrapeId;
}
export type MistStep = 'mist' | 'scrape' | 'work' | 'wait' | 'stop';
export interface MistAnswer {
  /** Of one mist over all of it, L. */
  readonly eachL: number;
  /** Usual number of mists. */
  readonly mists: { readonly low: number; readonly high: number };
  readonly waitMin: { readonly low: number; readonly high: number };
  /** What the water that went up weighs on each square metre, and the most that may hang there, kg/m2. */
  readonly hangsKgM2: number;
  readonly mostKgM2: number;
  readonly next: MistStep;
}

/** The rest drips, or dries off. */
const STAYS = 0.8;
const MOST_KG_M2: Readonly<Record<CeilingGround, number>> = { board: 1.5, lath: 2.5 };

/** @throws Refused in trade words */
export function mistFor(m: Mist): MistAnswer {
  within(m.areaM2, 0.1, 2000, 'areaM2');
  within(m.mistsDone, 0, 12, 'mistsDone');
  const perMist = MIST_L_M2 * STAYS;
  const hangsKgM2 = m.mistsDone * perMist;
  const mostKgM2 = MOST_KG_M2[m.ground];
  const room = hangsKgM2 + perMist <= mostKgM2;
  return {
    eachL: m.areaM2 * MIST_L_M2,
    mists: m.painted ? MISTS.painted : MISTS.bare,
    waitMin: { low: 10, high: 15 },
    hangsKgM2,
    mostKgM2,
    next: nextOf(m, room),
  };
}

function nextOf({ mistsDone, scrape }: Mist, room: boolean): MistStep {
  if (scrape === 'ribbons') return 'work';
  if (scrape === 'paste') return 'wait';
  if (scrape === 'none' && mistsDone > 0) return 'scrape';
  return room ? 'mist' : 'stop';
}
