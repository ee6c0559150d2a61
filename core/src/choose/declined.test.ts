/** What the client declined: left, told, outside the scope. */
import type { MethodId, Surface } from '../facts';
import { createDeriver } from '../job/derive';
import { DEFAULT_SETTINGS } from '../rulebook';
import { jobMarkdown, jobReport, clientPage, programme } from '../report';
import { aFacts, aLayer, aPart, aReading, aSurface, COATS, planOf, rulesOf, THIS_YEAR, type Setup } from '../testing';

const failing = (over = {}) =>
  aSurface({
    parts: [aPart('flat', 'wetScrapeLoose')],
    readings: [aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true })],
    layers: [aLayer(0, { soundness: 'failing' }), aLayer(1), aLayer(2)],
    topcoat: 'alkydGloss',
    ...over,
  });
const option = (s: Surface, methodId: MethodId, setup: Setup) =>
  planOf(s, setup).choice.parts[0]!.options.find((o) => o.methodId === methodId)!;
const child = { job: { childUnder6: 'yes' as const } };
const declined = { declinedOn: '2026-05-04', declinedNote: 'They repaint the house next year.' };

// 24 CFR 35.1330: failing lead where a small child lives is treated, or its refusal stands in the record.
test.each(['us', 'uk'] as const)(
  '%s: failing lead beside a child is never simply left, unless the client declined the work',
  (rulebook) => {
    const job = { job: { ...child.job, rulebook } };
    expect(option(failing(), 'leave', job).verdict).toBe('blocked');
    const left = option(failing(declined), 'leave', job);
    expect([left.verdict, rulesOf(left.because).includes('scope.leftByClient')]).toEqual(['care', true]);
  },
);

test('nothing is planned, bought or asked for on what was declined, whatever was chosen before', () => {
  const plan = planOf(failing(declined), child);
  expect(plan.choice.required.value).toBe('none');
  expect(plan.choice.parts.map((p) => p.selected.value)).toEqual(['leave']);
  expect(plan.coating.lines).toEqual([]);
  expect(plan.next.act).toBe('nothing');
  expect([plan.money.high, plan.work.handsOnH.high, plan.protection.needed.value]).toEqual([0, 0, false]);
  for (const m of ['overcoat', 'wetScrapeLoose', 'replacePart'] as const)
    expect(rulesOf(option(failing(declined), m, child).because)).toContain('scope.declined');
});

test('every paper says so, in the same words', () => {
  const facts = aFacts(failing(declined), child);
  const plan = createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR);
  const said = 'Declined by the client on 2026-05-04, told in writing, outside the scope. “They repaint the house next year.”';
  const report = jobReport(facts, plan, DEFAULT_SETTINGS, '2026-05-04T13:20:00.000Z');
  expect(jobMarkdown(report)).toContain(said);
  expect(clientPage(facts, 'surface-1', DEFAULT_SETTINGS, THIS_YEAR)!.declined).toBe(said);
  const paper = programme(facts, plan, DEFAULT_SETTINGS, { people: [] }, '2026-05-04T13:20:00.000Z');
  expect(paper.sections.find((x) => x.title === 'Outside the scope')!.lines).toEqual([`Piece: ${said}`]);
});
