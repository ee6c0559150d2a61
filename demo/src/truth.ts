/** What the demo's surfaces really hold: read by the simulated instruments and the simulated lab, never by the app. All invented. */
import type { JobFacts, Surface } from '@roughsill/core';
import { seeded } from '@roughsill/core';

export interface CoatTruth {
  /** % by mass. */
  readonly leadPct: number;
  /** mg/cm2 that this coat adds. */
  readonly leadMgCm2: number;
}
export interface Truth {
  /** From the top down, as many as the surface has; missing ones hold none. */
  readonly coats: readonly CoatTruth[];
  /** % of each suspect; "trace" as 0.3. */
  readonly asbestosPct: number;
  /** Water in the material: % of dry mass in wood, the meter's scale elsewhere. */
  readonly moisture: number;
  readonly surfaceC: number;
  readonly airC: number;
  readonly airRhPct: number;
}

const NONE: CoatTruth = { leadPct: 0, leadMgCm2: 0 };
const oldOil = (pct: number): CoatTruth => ({ leadPct: pct, leadMgCm2: pct * 0.22 });
const DRY = { asbestosPct: 0, moisture: 10, surfaceC: 17, airC: 18, airRhPct: 55 } as const;

/** By the ids of the Quill Point sample job. */
const QUILL_POINT: Readonly<Record<string, Partial<Truth>>> = {
  'qp-sash-river': { coats: [NONE, NONE, oldOil(0.3), oldOil(4), oldOil(21)], moisture: 13.5 },
  'qp-casing-river': { coats: [NONE, oldOil(0.2), oldOil(6), oldOil(19)] },
  'qp-wainscot': { coats: [NONE, oldOil(0.2), oldOil(0.12)] },
  'qp-counter': { coats: [NONE, NONE] },
  'qp-hall-wall': { moisture: 0.6, asbestosPct: 0 },
  'qp-hall-cornice': { moisture: 0.5, asbestosPct: 0 },
  'qp-keeper-door': { coats: [NONE, oldOil(11)] },
  'qp-keeper-base': { coats: [NONE, oldOil(0.2), oldOil(8)] },
  'qp-keeper-heater': { coats: [oldOil(0.1)], surfaceC: 21 },
  'qp-kitchen-ceiling': { asbestosPct: 2.5 },
  'qp-kitchen-wall': { asbestosPct: 0 },
  'qp-wash-ceiling': { moisture: 3.2, airC: 19, airRhPct: 74, surfaceC: 13 },
  'qp-wash-wall': { moisture: 1.8, airC: 19, airRhPct: 74, surfaceC: 14 },
  'qp-cellar-lagging': { asbestosPct: 18 },
  'qp-siding': { coats: [oldOil(2)], moisture: 22 },
  'qp-railing': { coats: [NONE, oldOil(28)], moisture: 15.5 },
  'qp-iron': { coats: [NONE, oldOil(13)] },
  'qp-plinth': { moisture: 19, surfaceC: 11 },
};

/** The truth of any surface: the scenario's own, else one made up from its age and coats, always the same for the same id. */
export function truthOf(facts: JobFacts, s: Surface): Truth {
  const known = QUILL_POINT[s.id.replace(/^.*?(qp-)/, 'qp-')] ?? QUILL_POINT[s.id];
  const random = seeded(`truth/${s.id}`);
  const built = s.yearMade ?? facts.spaces.find((x) => x.id === s.spaceId)?.yearBuilt ?? facts.job.yearBuilt ?? 1930;
  const coats = s.layers.map((l, i): CoatTruth => {
    const old = (l.yearApplied ?? built) < 1978 && (l.binder === 'oil' || l.binder === 'alkyd' || l.binder === 'unknown');
    return old && random() < 0.3 + 0.15 * i ? oldOil(0.2 + 15 * random() ** 2) : NONE;
  });
  return { ...DRY, asbestosPct: built <= 1980 && random() < 0.3 ? 0.3 + 4 * random() : 0, ...known, coats: known?.coats ?? coats };
}
