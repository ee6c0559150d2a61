/** "What if": one assumption at a time, and what it does to money and days. */
import type { JobFacts, MethodId } from '../facts';
import { methodById } from '../catalogue';
import { midpoint } from '../choose';
import { createDeriver } from '../job/derive';
import { rounds, type Crew, type Weather } from '../rounds';
import { AS_CATALOGUED, type FirmSettings, type MethodOwn } from '../rulebook';
import { daysOf } from './alternatives';

export interface WhatIf {
  readonly what: 'rate' | 'materials' | 'labour' | 'dwell';
  /** Factor on the assumption. */
  readonly times: number;
  readonly money: number;
  readonly moneyThen: number;
  readonly days: number;
  readonly daysThen: number;
}

const CASES: readonly (readonly [WhatIf['what'], number])[] = [
  ['rate', 0.75],
  ['materials', 1.25],
  ['labour', 1.2],
  ['dwell', 1.5],
];

/** @param perPass what one pass uses up now, per m2, as the plan has it: a measured coverage is in it */
function changed(settings: FirmSettings, id: MethodId, what: WhatIf['what'], times: number, perPass: number): FirmSettings {
  const m = methodById(id);
  const own: MethodOwn = settings.rates[id] ?? AS_CATALOGUED;
  const put = (over: Partial<MethodOwn>): FirmSettings => ({ ...settings, rates: { ...settings.rates, [id]: { ...own, ...over } } });
  switch (what) {
    case 'rate':
      return put({ lowM2PerH: (own.lowM2PerH ?? m.rate.lowM2PerH) * times, highM2PerH: (own.highM2PerH ?? m.rate.highM2PerH) * times });
    case 'materials':
      return put({ materialsPerM2: perPass * times });
    case 'labour':
      return { ...settings, labourPerHour: settings.labourPerHour * times };
    case 'dwell':
      return m.dwellH
        ? put({ dwellLowH: (own.dwellLowH ?? m.dwellH.low) * times, dwellHighH: (own.dwellHighH ?? m.dwellH.high) * times })
        : settings;
  }
}

/** The plan as it stands, with one assumption of one method changed at a time. Those that a trial has settled are left out. */
export function sensitivity(facts: JobFacts, surfaceId: string, methodId: MethodId, settings: FirmSettings, thisYear: number): WhatIf[] {
  const s = facts.surfaces.find((x) => x.id === surfaceId);
  if (!s) return [];
  const m = methodById(methodId);
  const chosen: JobFacts = {
    ...facts,
    surfaces: facts.surfaces.map((x) =>
      x.id === s.id ? { ...s, parts: s.parts.map((p) => ({ ...p, methodId: m.reach[p.kind] ? methodId : p.methodId })) } : x,
    ),
  };
  const planUnder = (with_: FirmSettings) => createDeriver().surface(chosen, surfaceId, with_, thisYear);
  const now = planUnder(settings);
  if (!now) return [];
  const perM2 = now.choice.parts.flatMap((p) => p.options.filter((o) => o.methodId === methodId))[0]?.perM2;
  if (!perM2) return [];
  const perPass = midpoint(perM2.materials) / midpoint(perM2.passes);
  const days = (p: NonNullable<typeof now>) => midpoint(daysOf(p.work.handsOnH, p.work.waitH, settings));
  return CASES.flatMap(([what, times]): WhatIf[] => {
    // What was timed on squares no longer hangs on a rate.
    if (what === 'rate' && now.trials.some((t) => t.methodId === methodId && t.workHPerM2 !== null)) return [];
    if (what === 'dwell' && (m.dwellH === null || perM2.proof !== 'none')) return [];
    const then = planUnder(changed(settings, methodId, what, times, perPass));
    if (!then) return [];
    return [{ what, times, money: midpoint(now.money), moneyThen: midpoint(then.money), days: days(now), daysThen: days(then) }];
  });
}

/** What a longer soak does to the rhythm: output of a day, and what a square metre costs with the standing paid. */
export function dwellRhythm(
  methodId: MethodId,
  soaksH: readonly number[],
  pieceM2: number,
  crew: Crew,
  weather: Weather,
  settings: FirmSettings,
): { readonly soakH: number; readonly perDayM2: number; readonly labourPerM2: number | null; readonly atOnce: number }[] {
  const method = methodById(methodId);
  if (!method.laying) return [];
  return soaksH.map((soakH) => {
    const r = rounds({ method, crew, weather, pieceM2, speed: 1, soakH, pieces: null, settings });
    return {
      soakH,
      perDayM2: r.perDayM2,
      labourPerM2: r.perDayM2 > 0 ? (r.personHoursPerDay * settings.labourPerHour) / r.perDayM2 : null,
      atOnce: r.best.value,
    };
  });
}
