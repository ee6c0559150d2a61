import { quillPoint } from '@roughsill/demo';
import { createDeriver } from '../job/derive';
import { digestOf } from '../job/digest';
import { headOf } from '../job/head';
import { DEFAULT_SETTINGS } from '../rulebook';

const facts = quillPoint();
const digest = digestOf(facts, createDeriver().derive(facts, DEFAULT_SETTINGS, 2026));
const may = (name: string) => digest.surfaces.find((d) => facts.surfaces.find((s) => s.id === d.surfaceId)!.name === name)!.may;

// Laws H2 and H3: a danger is told before anything else stands against a method.
test('lead in reach forbids dry sanding, suspect texture too; what is only too shallow is told apart', () => {
  expect(may('Casings, river side').drySand).toMatchObject({ is: 'forbidden', reason: { effect: 'block' } });
  expect(may('Textured ceiling').drySand.reason?.rule).toMatch(/^asbestos\./);
  for (const d of digest.surfaces)
    for (const m of Object.values(d.may)) {
      const isDanger = m.reason !== null && m.reason.effect === 'block' && /^(lead|asbestos|mold)\./.test(m.reason.rule);
      if (isDanger) expect(m.is).toBe('forbidden');
    }
});

test('the head sums what the zones and surfaces say', () => {
  const head = headOf(facts, digest, DEFAULT_SETTINGS);
  expect(head.sheetM2).toBeCloseTo(
    digest.zones.reduce((n, z) => n + z.sheetM2, 0),
    9,
  );
  expect(head.unpriced).toBe(digest.surfaces.filter((d) => d.unpriced).length);
  expect(head.days.high).toBeCloseTo(digest.totals.personHours.high / (DEFAULT_SETTINGS.crew * DEFAULT_SETTINGS.hoursPerDay), 9);
  expect(head.mask!.zones).toBeLessThanOrEqual(head.zones);
});
