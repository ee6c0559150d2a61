/** Small things of this browser: how it looks, what was used last, and its own name. */
import { newId } from './ids';

const PREFERENCES = 'rough-sill.preferences';
const DEVICE = 'rough-sill.device';

/** Storage may be shut off: the app goes on without it. */
function quietly<T>(f: () => T, otherwise: T): T {
  try {
    return f();
  } catch {
    return otherwise;
  }
}

export function savePreferences(p: { dim: boolean; recent: readonly string[] }): void {
  quietly(() => localStorage.setItem(PREFERENCES, JSON.stringify(p)), undefined);
}

export function loadPreferences(): { dim?: boolean; recent?: string[] } {
  return quietly<{ dim?: boolean; recent?: string[] }>(() => {
    const raw = JSON.parse(localStorage.getItem(PREFERENCES) ?? '{}') as { dim?: unknown; recent?: unknown };
    return { dim: raw.dim === true, recent: Array.isArray(raw.recent) ? raw.recent.filter((x): x is string => typeof x === 'string') : [] };
  }, {});
}

const PERSON = 'rough-sill.person';
/** Who is at this phone, as somebody chose: of the firm's people, or by a name of their own. */
export interface AtPhone {
  readonly personId: string | null;
  readonly person: string;
}
export function saveAtPhone(who: AtPhone): void {
  quietly(() => localStorage.setItem(PERSON, JSON.stringify(who)), undefined);
}
export const loadAtPhone = (): AtPhone | null =>
  quietly<AtPhone | null>(() => {
    const raw = JSON.parse(localStorage.getItem(PERSON) ?? 'null') as { personId?: unknown; person?: unknown } | null;
    if (raw === null || typeof raw.person !== 'string' || raw.person.trim() === '') return null;
    return { person: raw.person, personId: typeof raw.personId === 'string' ? raw.personId : null };
  }, null);

let device: string | undefined;
/** Which browser wrote a change: made once, told to nobody but the firm's own log. */
export const deviceId = (): string =>
  (device ??= quietly(() => {
    const known = localStorage.getItem(DEVICE);
    if (known !== null && known !== '') return known;
    const made = newId();
    localStorage.setItem(DEVICE, made);
    return made;
  }, newId()));
