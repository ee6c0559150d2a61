/** Which table holds which entity. The registry says how they hang together. */
import { ENTITIES, specOf, type Entity } from '@roughsill/core';
import * as t from './schema';

export const TABLES = {
  person: t.people,
  site: t.sites,
  client: t.clients,
  machine: t.machines,
  signPicture: t.signPictures,
  product: t.products,
  tin: t.tins,
  mix: t.mixes,
  mixStep: t.mixSteps,
  pot: t.pots,
  sourceCheck: t.sourceChecks,
  space: t.spaces,
  zone: t.zones,
  surface: t.surfaces,
  part: t.parts,
  layer: t.layers,
  sample: t.samples,
  reading: t.readings,
  check: t.checks,
  square: t.squares,
  board: t.boards,
  sign: t.signs,
  laid: t.laid,
  defect: t.defects,
  airSample: t.airSamples,
  stint: t.stints,
  haul: t.hauls,
  bag: t.bags,
  photo: t.photos,
  instrumentCheck: t.instrumentChecks,
} as const satisfies Record<Exclude<Entity, 'job'>, unknown>;
export type Listed = keyof typeof TABLES;
export type Table = (typeof TABLES)[Listed];

/** Entities in lists, parents first. */
export const LISTED = ENTITIES.filter((e): e is Listed => specOf(e).list !== null);
/** Rows in one INSERT: PostgreSQL takes 65,535 parameters, and no table has more than 40 columns. */
export const CHUNK = 1000;

export const without = <T extends object, K extends keyof T>(row: T, ...keys: K[]): Omit<T, K> => {
  const out = { ...row };
  for (const k of keys) delete out[k];
  return out;
};

export function groupBy<T, K>(rows: readonly T[], key: (row: T) => K): Map<K, T[]> {
  const out = new Map<K, T[]>();
  for (const row of rows) {
    const list = out.get(key(row));
    if (list) list.push(row);
    else out.set(key(row), [row]);
  }
  return out;
}
