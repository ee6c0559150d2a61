/** A pail of caustic that somebody at Quill Point stands at: a few portions in, the next one soon due. */
import { MixFields, MixStepFields, type Mix, type MixStep } from '@roughsill/core';
import { mixOf, schedule } from '@roughsill/core/prepare';

const PORTIONS_IN = 2;
/** Until the next portion is due when the example is made. */
const SOON_S = 40;

export function mixOnTheWay(now: Date, by: string): { readonly mixes: readonly Mix[]; readonly mixSteps: readonly MixStep[] } {
  const fields = {
    name: 'For the stair newels',
    waterL: 5,
    causticG: 1000,
    waterC: 11,
    airC: 16,
    vesselKind: 'polyethylene',
    acrossM: 0.26,
    deepM: 0.3,
    stirrer: 'hand',
    bathC: 11,
    ceilingC: 50,
    by,
  };
  const at = (ms: number) => new Date(ms).toISOString();
  const planned = schedule(mixOf(MixFields.parse({ ...fields, beganAt: at(0) }))).portions;
  const began = now.getTime() - Math.max(0, (planned[PORTIONS_IN]?.atS ?? 0) - SOON_S) * 1000;
  const mix: Mix = { ...MixFields.parse({ ...fields, beganAt: at(began) }), id: 'mix-newels', removedAt: null };
  const mixSteps = planned.slice(0, PORTIONS_IN).map((p, i): MixStep => ({
    ...MixStepFields.parse({ mixId: mix.id, at: at(began + p.atS * 1000), portion: i + 1, amount: Math.round(p.g), by }),
    id: `mix-newels-${i + 1}`,
    removedAt: null,
  }));
  return { mixes: [mix], mixSteps };
}
