/** A table that somebody picked on the device, as the core reads it. */
import { readTable, type Table } from '@roughsill/core/import';
import type { Problem } from '@roughsill/core';

export const MAX_BYTES = 8 * 1024 * 1024;
export const TOO_LARGE = 'The file is over 8 MB: split it.';

type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };
type Told<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly says: string };

const told = <T>(made: Read<T>): Told<T> =>
  made.ok ? made : { ok: false, says: made.problems.map((p) => `${p.path}: ${p.message}`).join('; ') };

/** @returns what the reader makes of its text, or in one sentence why it could not be read */
export async function readText<T>(file: File, read: (text: string) => Read<T>): Promise<Told<T>> {
  return file.size > MAX_BYTES ? { ok: false, says: TOO_LARGE } : told(read(await file.text()));
}

/** @returns what the reader makes of it, or in one sentence why it could not be read */
export async function readPicked<T>(file: File, read: (table: Table) => Read<T>): Promise<Told<T>> {
  if (file.size > MAX_BYTES) return { ok: false, says: TOO_LARGE };
  const table = readTable(new Uint8Array(await file.arrayBuffer()));
  return told(table.ok ? read(table.value) : table);
}
