/** Whether the film holds: cross-cut, knife, a drop of water, and how its coats took simple trials. */
import type { Reading, Surface } from '../facts';
import { standingReadings } from '../probe';
import { answer, why, type Answer, type Reason } from '../reasons';
import { measure } from '../units/units';
import { liveLayers } from '../walk';

export type Hold = 'keep' | 'feather' | 'strip' | 'untested';
const STRICT: readonly Hold[] = ['untested', 'keep', 'feather', 'strip'];

/**
 * Classes: ASTM D3359 method B (5B nothing under the tape, 0B more than 65 %) and D6677 (10 hard to lift, 0 peels). Where keep ends and
 * strip begins is common practice, no published source. Several readings: the worst counts.
 */
const CROSS_CUT: readonly Hold[] = ['strip', 'strip', 'strip', 'feather', 'keep', 'keep'];
const knife = (v: number): Hold => (v >= 8 ? 'keep' : v >= 6 ? 'feather' : 'strip');

/** A drop that goes in within so many seconds: the film is open or chalky. One that stands for so long: closed, waxed or oiled. */
const DRINKS_WITHIN_S = 10;
const STANDS_FOR_S = 120;

/** Method B of ASTM D3359 is for films up to 5 mil. */
export const CROSS_CUT_TO_UM = 125;

/** Through a thicker film the cut of method B does not go: that nothing came off then says nothing; that something did, counts. */
function judge(r: Reading, filmUm: number | null): { hold: Hold; reason: Reason } | null {
  if (r.value === null) return null;
  if (r.kind === 'crossCut' && filmUm !== null && filmUm > CROSS_CUT_TO_UM && CROSS_CUT[r.value] === 'keep') return null;
  if (r.kind === 'crossCut') {
    const hold = CROSS_CUT[r.value] ?? 'strip';
    return {
      hold,
      reason: why(`hold.crossCut.${hold as 'keep' | 'feather' | 'strip'}`, 'astm-d3359', { class: measure(r.value, 'class') }),
    };
  }
  if (r.kind === 'knife') {
    const hold = knife(r.value);
    return { hold, reason: why(`hold.knife.${hold as 'keep' | 'feather' | 'strip'}`, 'astm-d6677', { class: measure(r.value, 'class') }) };
  }
  return null;
}

/** Where no gauge was used: so many brushed coats are thicker than that. Common practice, no published source. */
const THICK_COATS = 4;

export function holdOf(s: Surface): Answer<Hold> {
  const standing = standingReadings(s);
  const judged = standing.flatMap((r) => judge(r, s.filmUm) ?? []);
  const notes: Reason[] = [];
  for (const r of standing) {
    if (r.kind !== 'drop' || r.value === null) continue;
    if (r.value <= DRINKS_WITHIN_S) notes.push(why('hold.drinks', 'trade-trial', { seconds: measure(r.value, 's') }, 'care'));
    else if (r.value >= STANDS_FOR_S) notes.push(why('hold.stands', 'trade-trial', { seconds: measure(r.value, 's') }, 'care'));
  }
  let worst: Hold = judged.reduce<Hold>((a, j) => (STRICT.indexOf(j.hold) > STRICT.indexOf(a) ? j.hold : a), 'untested');
  for (const l of liveLayers(s)) {
    if (l.water !== 'dissolves') continue;
    // Whatever goes on, its water lifts what is below.
    worst = 'strip';
    notes.push(why('hold.waterSoluble', 'trade-binder', { binder: l.binder }, 'care'));
  }
  const cut = standing.some((r) => r.kind === 'crossCut' && r.value !== null);
  const most = measure(CROSS_CUT_TO_UM, 'um');
  if (cut && s.filmUm !== null && s.filmUm > CROSS_CUT_TO_UM)
    notes.push(why('hold.gaugedThick', 'astm-d3359', { film: [measure(s.filmUm, 'um'), most] }, 'care'));
  else if (cut && s.filmUm === null && liveLayers(s).length >= THICK_COATS)
    notes.push(why('hold.thickFilm', 'astm-d3359', { coats: liveLayers(s).length, film: most }, 'care'));
  if (liveLayers(s).some((l) => l.alcohol === 'dissolves')) notes.push(why('hold.alcoholSoluble', 'trade-binder'));
  if (worst === 'untested') return answer(worst, why('hold.untested', 'trade-trial'), ...notes);
  return answer(worst, ...judged.filter((j) => j.hold === worst).map((j) => j.reason), ...notes);
}
