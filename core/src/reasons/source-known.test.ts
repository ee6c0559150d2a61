import type { SourceCheck } from '../facts';
import { checkOf, sourceKnown, sourceText } from './source-known';
import { SOURCES, SOURCE_KIND_WORDS, type SourceId } from './sources';

const id: SourceId = 'mem-poison';
const check = (over: Partial<SourceCheck> = {}): SourceCheck => ({
  id: 'c-1',
  source: id,
  says: sourceText(id),
  on: '2026-05-04',
  against: '29 CFR 1926.1126, July 2025',
  person: 'Ines Marlow',
  removedAt: null,
  ...over,
});

test('what somebody of the firm held against the document says who, when and against what; the last one stands', () => {
  expect(sourceKnown(id)).toBe(SOURCE_KIND_WORDS.mem);
  expect(sourceKnown(id, [check()])).toBe('Checked by Ines Marlow on 2026-05-04: 29 CFR 1926.1126, July 2025');
  const later = check({ id: 'c-2', on: '2026-06-01', person: 'Odo Quarry' });
  expect(checkOf(id, [later, check()])).toBe(later);
  expect(sourceKnown('mem-antifoul', [check()])).toBe(SOURCE_KIND_WORDS.mem);
});

test('a check that was taken back, or made of other words than stand here today, vouches for nothing', () => {
  expect(sourceKnown(id, [check({ removedAt: '2026-05-05T08:00:00.000Z' })])).toBe(SOURCE_KIND_WORDS.mem);
  expect(sourceKnown(id, [check({ says: 'Poisons: as it once was' })])).toBe(
    `${SOURCE_KIND_WORDS.mem}. It was checked before its words here changed`,
  );
});

test('the text of every source can be kept with a check', () => {
  expect((Object.keys(SOURCES) as SourceId[]).filter((x) => sourceText(x).length > 400 || !/^[a-z0-9.-]{2,60}$/.test(x))).toEqual([]);
});
