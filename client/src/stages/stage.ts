/** A stage as a record: its words, what is to be done in it now, and what its list says of a surface. */
import type { JobDigest, NextAct, SurfaceDigest, UnitSystem } from '@roughsill/core';

export interface StageRecord {
  readonly id: string;
  readonly label: string;
  readonly hint: string;
  /** What it is about: a list of surfaces, or of the places in which they are worked. */
  readonly level: 'surface' | 'zone';
  /** Next acts that are done in it. */
  readonly acts: readonly NextAct[];
  /** The coats cut through stand large over it. */
  readonly drawsCoats: boolean;
  /** The line under a surface's name in its list. */
  readonly line: (d: SurfaceDigest, units: UnitSystem, money: (n: number) => string) => string;
}

/** What somebody can do in it now: what waits for an answer from elsewhere, or for an earlier stage, is not counted. */
export function openIn({ acts, level }: StageRecord, digest: JobDigest): number {
  const due = digest.surfaces.filter((d) => acts.includes(d.act) && d.act !== 'waitForLab' && d.act !== 'nothing');
  return level === 'zone' ? new Set(due.map((d) => d.zoneId)).size : due.length;
}

/** What is known of asbestos and mold, where there is something to know. */
export const otherHazards = (d: SurfaceDigest, say: (code: string) => string): string =>
  [
    d.asbestosIs === 'notSuspected' ? '' : `asbestos ${say(`rung.${d.asbestosIs}`)}`,
    d.mold === 'notFound' ? '' : `${say('mold')} ${say(d.mold)}`,
  ]
    .filter(Boolean)
    .join(', ');
