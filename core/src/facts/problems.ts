import type { z } from 'zod';

/** One thing wrong with what was given: where, and what, in trade words. */
export interface Problem {
  readonly path: string;
  readonly message: string;
}

export type Outcome<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };

export const ok = <T>(value: T): Outcome<T> => ({ ok: true, value });
export const wrong = <T>(...problems: Problem[]): Outcome<T> => ({ ok: false, problems });

/** ['surfaces', 2, 'widthM'] -> 'surfaces[2].widthM' */
export function pathText(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (out, key) => (typeof key === 'number' ? `${out}[${key}]` : out === '' ? String(key) : `${out}.${String(key)}`),
    '',
  );
}

const at = (raw: unknown, path: readonly PropertyKey[]): unknown =>
  path.reduce<unknown>((v, key) => (v !== null && typeof v === 'object' ? (v as Record<PropertyKey, unknown>)[key] : undefined), raw);

/** A list with a hundred thousand slips is told by its first. */
const MOST_TOLD = 200;

/**
 * Zod's issues in a painter's words: what is missing or unknown is named, allowed values are listed.
 * @param raw what was checked: Zod's issues do not say whether a value was wrong or not there
 */
export function fromZod(error: z.ZodError, raw: unknown, prefix: readonly PropertyKey[] = []): Problem[] {
  return error.issues.slice(0, MOST_TOLD).flatMap((issue): Problem[] => {
    const path = pathText([...prefix, ...issue.path]);
    if (issue.code === 'unrecognized_keys')
      return issue.keys
        .slice(0, MOST_TOLD)
        .map((k) => ({ path: pathText([...prefix, ...issue.path, k]), message: 'is not a known field' }));
    if (issue.path.length > 0 && at(raw, issue.path) === undefined) return [{ path, message: 'is missing' }];
    if (issue.code === 'invalid_value' && issue.message.startsWith('Invalid'))
      return [{ path, message: `is not one of: ${issue.values.join(', ')}` }];
    return [{ path, message: issue.message }];
  });
}
