/** What the drawing shows of each surface in a stage: states and sample places, the bite, the sheet, what is done. */
import { methodById, say, stricter, type HazardWord, type JobFacts, type Surface, type SurfaceDigest } from '@roughsill/core';
import type { PlanPiece, Tone } from '@roughsill/core/unfold';
import type { StageId } from '../stages/stages';

const BITES = { none: 'biteNone', skin: 'biteSkin', loose: 'biteLoose', bare: 'biteBare' } as const satisfies Record<string, Tone>;
const DEPTH: readonly Tone[] = ['biteNone', 'biteSkin', 'biteLoose', 'biteBare'];

/** Found, low, or not shown absent. */
function letter(is: HazardWord, name: string): string {
  if (is === 'notSuspected' || is === 'noneFound') return '';
  if (is === 'found') return name;
  return is === 'trace' || is === 'below' ? `${name} low` : `${name}?`;
}
/** The letters of what is not shown absent. */
const lettersOf = (d: SurfaceDigest): string =>
  [letter(d.leadIs, 'Pb'), letter(d.asbestosIs, 'asbestos'), d.mold === 'found' ? say('mold') : ''].filter(Boolean).join(' ');

function deepest(d: SurfaceDigest): Tone {
  return d.picks.reduce<Tone>((tone, p) => {
    const own = p.methodId === null ? 'biteNone' : BITES[methodById(p.methodId).bite];
    return DEPTH.indexOf(own) > DEPTH.indexOf(tone) ? own : tone;
  }, 'biteNone');
}

export function pieceFor(stage: StageId, s: Surface, d: SurfaceDigest): PlanPiece {
  const name = s.count > 1 ? `${s.count} × ${s.name}` : s.name;
  if (stage === 'choose' || stage === 'trial' || stage === 'coat') {
    const methods = [...new Set(d.picks.map((p) => (p.methodId ? say(p.methodId) : 'stop and ask')))].join(', ');
    return { name, tone: deepest(d), mark: methods };
  }
  if (stage === 'work') {
    const tone: Tone = d.checks === 0 ? 'open' : d.passed === d.checks ? 'done' : d.passed > 0 ? 'begun' : 'open';
    return { name, tone, mark: d.checks === 0 ? '' : `${d.passed}/${d.checks}` };
  }
  const samples = s.samples
    .filter((x) => x.removedAt === null && x.atX !== null && x.atY !== null)
    .map((x) => ({ x: x.atX!, y: x.atY!, number: x.number }));
  return { name, tone: stricter(d.lead, d.asbestos), mark: lettersOf(d), samples: stage === 'probe' ? samples : [] };
}

const TONE_WORDS: Readonly<Record<Tone, string>> = {
  found: 'lead or asbestos found',
  assumed: 'lead or asbestos assumed',
  waiting: 'waiting for an answer',
  unknown: 'not known, so counts as there',
  notFound: 'neither found',
  biteNone: 'stays',
  biteSkin: 'scuffed',
  biteLoose: 'what is loose comes off',
  biteBare: 'to the bare material',
  open: 'not begun',
  begun: 'begun',
  done: 'all checks passed',
};

/** What the textures mean, of those that are drawn. */
export const legendOf = (pieces: Iterable<PlanPiece>): { readonly tone: Tone; readonly says: string }[] =>
  [...new Set([...pieces].map((p) => p.tone))].map((tone) => ({ tone, says: TONE_WORDS[tone] }));

/** What the drawing shows, in words. */
export const planWords = (name: string, pieces: Iterable<PlanPiece>, sheetSays: string | null): string =>
  `${name}, unfolded. ${[...pieces].map((p) => `${p.name}: ${TONE_WORDS[p.tone]}${p.mark ? `, ${p.mark}` : ''}`).join('; ')}.${sheetSays ? ` ${sheetSays}.` : ''}`;

export const inSpace = (facts: JobFacts, spaceId: string): Surface[] =>
  facts.surfaces.filter((s) => s.spaceId === spaceId && s.removedAt === null && !s.bench);
