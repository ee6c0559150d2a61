/** Random values from a JSON Schema, for property tests and for fuzzing: what a schema takes is made without anybody listing fields. */
import fc from 'fast-check';

interface Schema {
  readonly type?: string | readonly string[];
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly propertyNames?: Schema;
  readonly additionalProperties?: boolean | Schema;
  readonly items?: Schema;
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly minLength?: number;
  readonly maxLength?: number;
  readonly pattern?: string;
  readonly format?: string;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: number;
  readonly exclusiveMaximum?: number;
}

const AWKWARD = ['', ' ', '\t', "Robert'); DROP TABLE jobs;--", 'بيت الميناء', '🪟 sash', '=1+1', '<b>x</b>', '[x](y)', '|', '\u2028', 'é'];

function text(s: Schema): fc.Arbitrary<string> {
  if (s.format === 'date-time')
    return fc
      .date({ min: new Date('1990-01-01T00:00:00Z'), max: new Date('2060-01-01T00:00:00Z'), noInvalidDate: true })
      .map((d) => d.toISOString());
  if (s.pattern) return fc.stringMatching(new RegExp(s.pattern));
  const most = Math.min(s.maxLength ?? 200, 5000);
  const least = s.minLength ?? 0;
  return fc
    .oneof(
      fc.string({ unit: 'grapheme', maxLength: Math.min(most, 40) }),
      fc.constantFrom(...AWKWARD),
      fc.constant('w'.repeat(most)),
      fc.constant('🪟'.repeat(Math.floor(most / 2))),
    )
    .map((x) => x.slice(0, most).padEnd(least, 'x'));
}

function numeric(s: Schema, whole: boolean): fc.Arbitrary<number> {
  const low = Math.max(s.minimum ?? s.exclusiveMinimum ?? -1e9, -1e15);
  const high = Math.min(s.maximum ?? s.exclusiveMaximum ?? 1e9, 1e15);
  if (whole) return fc.oneof(fc.integer({ min: Math.ceil(low), max: Math.floor(high) }), fc.constantFrom(Math.ceil(low), Math.floor(high)));
  const inside = (n: number) =>
    (s.exclusiveMinimum === undefined || n > s.exclusiveMinimum) && (s.exclusiveMaximum === undefined || n < s.exclusiveMaximum);
  return fc
    .oneof(fc.double({ min: low, max: high, noNaN: true, noDefaultInfinity: true }), fc.constantFrom(low, high, (low + high) / 2))
    .filter(inside)
    .map((n) => (n === 0 ? 0 : n));
}

/** Fields whose words are known to a calendar or a table elsewhere. */
const KNOWN: Readonly<Record<string, readonly unknown[]>> = { timeZone: ['UTC', 'Europe/London', 'America/New_York'] };

/** @param most longest list that is made */
export function arbitraryOf(s: Schema, most = 4): fc.Arbitrary<unknown> {
  if (s.const !== undefined) return fc.constant(s.const);
  if (s.enum) return fc.constantFrom(...s.enum);
  const choices = s.anyOf ?? s.oneOf;
  if (choices) return fc.oneof(...choices.map((c) => arbitraryOf(c, most)));
  switch (s.type) {
    case 'null':
      return fc.constant(null);
    case 'boolean':
      return fc.boolean();
    case 'integer':
      return numeric(s, true);
    case 'number':
      return numeric(s, false);
    case 'string':
      return text(s);
    case 'array': {
      const item = arbitraryOf(s.items ?? {}, most);
      const minLength = s.minItems ?? 0;
      const maxLength = Math.min(s.maxItems ?? most, Math.max(most, minLength));
      // A list of names from a table holds each once.
      return s.items?.enum ? fc.uniqueArray(item, { minLength, maxLength }) : fc.array(item, { minLength, maxLength });
    }
    case 'object': {
      if (!s.properties) {
        const keys = s.propertyNames ? arbitraryOf(s.propertyNames, most) : fc.string({ minLength: 1, maxLength: 8 });
        const value = typeof s.additionalProperties === 'object' ? arbitraryOf(s.additionalProperties, most) : fc.constant(1);
        return fc.dictionary(keys as fc.Arbitrary<string>, value, { maxKeys: most });
      }
      const fields = Object.fromEntries(
        Object.entries(s.properties).map(([k, v]) => [k, KNOWN[k] ? fc.constantFrom(...KNOWN[k]) : arbitraryOf(v, most)]),
      );
      const required = s.required ?? [];
      return fc.record(fields, { requiredKeys: required as never[] });
    }
    default:
      return fc.jsonValue({ maxDepth: 2 });
  }
}
