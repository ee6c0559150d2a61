import type { MethodId, Surface } from '../facts';
import { aPart, aReading, aSurface, COATS, planOf, rulesOf } from '../testing';
import { bestTogether, eachItsOwn } from './together';

const parts = (over: Parameters<typeof aSurface>[0] = {}, setup: Parameters<typeof planOf>[1] = { job: { yearBuilt: 2016 } }) =>
  planOf(aSurface({ yearMade: 2016, aim: 'bareClear', topcoat: 'clearVarnish', ...over }), setup).choice.parts;

test('only what is blocked on no part; its hours and money are those of its parts together', () => {
  const list = parts({ parts: [aPart('flat', null, { sharePct: 60 }), aPart('turned', null, { sharePct: 40, id: 'turned' })] });
  const best = bestTogether(list);
  expect(best.length).toBeGreaterThan(2);
  for (const t of best) {
    const each = list.map((p) => p.options.find((o) => o.methodId === t.methodId)!);
    expect(each.map((o) => o.verdict)).not.toContain('blocked');
    const hours = list.reduce((sum, p, i) => sum + each[i]!.perM2.personHours.high * p.areaM2, 0);
    expect(t.personHours.high).toBeCloseTo(hours, 6);
  }
  const blockedSomewhere = list[1]!.options.filter((o) => o.verdict === 'blocked').map((o) => o.methodId);
  expect(best.map((t) => t.methodId).filter((m) => blockedSomewhere.includes(m))).toEqual([]);
});

// Law C1: nothing is covered, replaced or left undone where a stroke will do.
test('leaving it, covering it and replacing it stand behind what works on the coat; what is planned stands first', () => {
  const ids = bestTogether(
    parts({ parts: [aPart('flat', null, { sharePct: 60 }), aPart('turned', null, { sharePct: 40, id: 'turned' })] }),
  ).map((t) => t.methodId);
  const last = ['leave', 'cover', 'replacePart', 'encapsulate'];
  const first = ids.findIndex((id) => last.includes(id));
  expect(ids.slice(first < 0 ? ids.length : first).every((id) => last.includes(id))).toBe(true);
  const chosen = bestTogether(
    parts({ parts: [aPart('flat', 'replacePart', { sharePct: 60 }), aPart('turned', 'replacePart', { sharePct: 40, id: 'turned' })] }),
  );
  expect(chosen[0]).toMatchObject({ methodId: 'replacePart', inPlan: true });
  expect(bestTogether([])).toEqual([]);
});

const lead = aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true });
const flaking: Partial<Surface> = { readings: [lead], yearMade: 1904, conditions: ['flaking'], aim: 'bareClear' };
const turned = (methodId: MethodId) => aPart('turned', methodId, { sharePct: 40, id: 'turned' });

test('each part its own is as strict as the strictest of its picks, and says all that asks for care on any of them', () => {
  const list = parts({ ...flaking, parts: [aPart('flat', 'wetScrapeBare', { sharePct: 60 }), turned('solventGel')] }, {});
  const picks = list.map((p) => p.options.find((o) => o.methodId === p.selected.value)!);
  const own = eachItsOwn(list)!;
  expect(own.verdict).toBe('care');
  for (const o of picks)
    expect(rulesOf(own.because)).toEqual(expect.arrayContaining(rulesOf(o.because.filter((r) => r.effect === 'care'))));
  expect(new Set(rulesOf(own.because)).size).toBe(own.because.length);
});

test('what is kept against practice stands in the plan, but is not shown as allowed', () => {
  const insisted = aPart('flat', 'heatGun', { sharePct: 60, insistedWhy: 'owner asked, air is sampled' });
  const list = parts({ ...flaking, parts: [insisted, turned('solventGel')] }, {});
  expect(list[0]!.selected.value).toBe('heatGun');
  expect(eachItsOwn(list)!.verdict).toBe('blocked');
  expect(eachItsOwn([])).toBeNull();
});
