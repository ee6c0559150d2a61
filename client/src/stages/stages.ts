/** The order of work is the navigation. */
import {
  formatMeasure,
  formatRange,
  measure,
  say,
  type JobDigest,
  type NextAct,
  type SurfaceDigest,
  type UnitSystem,
} from '@roughsill/core';

export const STAGES = ['walk', 'probe', 'trial', 'choose', 'protect', 'coat', 'work'] as const;
export type StageId = (typeof STAGES)[number];
export const isStage = (x: unknown): x is StageId => STAGES.includes(x as StageId);

export const STAGE_WORDS: Record<StageId, { readonly label: string; readonly hint: string }> = {
  walk: { label: 'Walk', hint: 'Rooms, sides, surfaces, coats and condition' },
  probe: { label: 'Probe', hint: 'Lead, asbestos, mold: what is known, and which test tells most' },
  trial: { label: 'Trial', hint: 'Small squares first: does it hold, what takes it off, and how long it needs' },
  choose: { label: 'Choose', hint: 'How each part comes off, and what is blocked' },
  protect: { label: 'Protect', hint: 'Sheet, air, equipment, signs, waste' },
  coat: { label: 'Coat', hint: 'Knots, primer, topcoat, how much and when' },
  work: { label: 'Work', hint: 'The steps in order, with the checks between' },
};

/** What is still open on a surface in a stage. */
export function isOpen(stage: StageId, d: SurfaceDigest): boolean {
  switch (stage) {
    case 'walk':
      return d.problems > 0 || d.coats.some((c) => !c.counted);
    case 'probe':
      return d.nextTest !== 'none' || d.act === 'sampleAsbestos' || d.act === 'moldCause';
    case 'trial':
      return d.trial.missing || d.trial.open > 0;
    case 'choose':
      return d.picks.some((p) => !p.byPerson || p.methodId === null);
    case 'protect':
      return d.protect && d.standsAt === 'protect';
    case 'coat':
      return false;
    case 'work':
      return d.standsAt !== null;
  }
}

export const openCount = (stage: StageId, digest: JobDigest): number => digest.surfaces.filter((d) => isOpen(stage, d)).length;

/** What is known of asbestos and mold, where there is something to know. */
const otherHazards = (d: SurfaceDigest): string =>
  [d.asbestos === 'notFound' ? '' : `asbestos ${say(d.asbestos)}`, d.mold === 'notFound' ? '' : `mold ${say(d.mold)}`]
    .filter(Boolean)
    .join(', ');

function trialLine(d: SurfaceDigest): string {
  const { squares, open, missing, works } = d.trial;
  if (missing) return 'wants a square before the plan goes out';
  const count = squares === 0 ? '' : `${squares} ${squares === 1 ? 'square' : 'squares'}`;
  const says = works.length > 0 ? `${works.map(say).join(', ')} works` : open > 0 ? 'not clean yet' : '';
  return [count, says].filter(Boolean).join(' · ') || 'no squares';
}

/** The line under a surface's name in a stage's list. */
export function lineFor(stage: StageId, d: SurfaceDigest, units: UnitSystem, money: (n: number) => string): string {
  const area = formatMeasure(measure(d.areaM2, 'm2'), units);
  const methods = [...new Set(d.picks.map((p) => (p.methodId ? say(p.methodId) : 'stop and ask')))].join(' + ');
  switch (stage) {
    case 'walk':
      return `${area} · ${d.coats.filter((c) => c.counted).length} coats${d.coats.some((c) => !c.counted) ? ', not all counted' : ''}${otherHazards(d) ? ` · ${otherHazards(d)}` : ''}`;
    case 'probe':
      return [d.nextTest === 'none' ? '' : say(d.nextTest), otherHazards(d)].filter(Boolean).join(' · ') || 'nothing to test';
    case 'trial':
      return trialLine(d);
    case 'choose':
      return d.standsAt === 'ask' ? `${methods || 'no method is allowed'} · not priced` : `${methods} · ${formatRange(d.money, money)}`;
    case 'protect':
      return d.protect
        ? `zone sheet ${formatMeasure(measure(d.sheetM2, 'm2'), units)} · ${d.respirator ? say(d.respirator) : 'no respirator'}`
        : d.asbestos === 'notFound'
          ? 'no hazard is disturbed'
          : `left alone: asbestos ${say(d.asbestos)}`;
    case 'coat':
      return d.coatsToApply === 0 ? 'nothing to coat' : `${d.coatsToApply} products`;
    case 'work':
      return d.standsAt ? `stands at: ${say(d.standsAt.split('.')[0] ?? '')}` : 'all checks passed';
  }
}

/** Where a next act is done. */
export const STAGE_OF_ACT: Record<NextAct, StageId> = {
  addSpace: 'walk',
  addSurface: 'walk',
  fixProblem: 'walk',
  addCoats: 'walk',
  test: 'probe',
  sampleAsbestos: 'probe',
  moldCause: 'probe',
  choose: 'choose',
  chooseCoat: 'coat',
  trial: 'trial',
  waitForLab: 'probe',
  protect: 'protect',
  work: 'work',
  nothing: 'work',
};

export const ACT_WORDS: Record<NextAct, { readonly says: string; readonly act: string }> = {
  addSpace: { says: 'Start with a room, or a side of the house.', act: 'Add one' },
  addSurface: { says: 'Add the first surface.', act: 'Add it' },
  fixProblem: { says: 'put right what is marked.', act: 'Look' },
  addCoats: { says: 'count the coats, from the top down.', act: 'Count coats' },
  test: { says: 'test it before anyone disturbs it.', act: 'Test' },
  sampleAsbestos: { says: 'asbestos is not ruled out: have it sampled, or leave it whole.', act: 'Samples' },
  moldCause: { says: 'find what wets it before anything is painted.', act: 'Find the cause' },
  choose: { says: 'choose how the paint comes off.', act: 'Choose' },
  chooseCoat: { says: 'the topcoat does not fit what it would lie on.', act: 'Coats' },
  trial: { says: 'its method wants a trial square before the plan goes out.', act: 'Trial' },
  waitForLab: { says: 'waiting for the lab. Until then it counts as lead.', act: 'Enter result' },
  protect: { says: 'set up protection before the first stroke.', act: 'Protect' },
  work: { says: 'the next check is open.', act: 'Steps' },
  nothing: { says: 'Nothing is open. Every check has passed.', act: '' },
};
