/**
 * What each method does to a surface, written down again by what its name means on site; nothing here comes from the catalogue that it
 * judges. `meets` tells from the recorded coats alone whether a stroke goes on until it meets what lies under the paint.
 */
import type { Layer, MethodId, Surface } from '../../../../core/src/facts';

export interface Does {
  /** Where it stops. */
  readonly to: 'nothing' | 'skin' | 'loose' | 'bare' | 'out';
  readonly wet?: true;
  readonly dryHand?: true;
  /** A motor without a shroud and HEPA exhaust; with them: shroud. */
  readonly motor?: true;
  readonly shroud?: true;
  readonly flame?: true;
  /** Hotter than 150 C. */
  readonly hot?: true;
  readonly blast?: 'open' | 'shrouded';
  /** Runs on a mains lead. */
  readonly mains?: true;
  readonly brings?: readonly Agent[];
  /** A film, a sealer or a board that closes what is below. */
  readonly closes?: true;
  readonly cleansMold?: true;
  readonly rust?: true;
  readonly putty?: true;
  /** Laid on and left to work. */
  readonly laid?: true;
}
export type Agent = 'bleach' | 'acid' | 'alkali' | 'alcohol' | 'solvent';

export const DOES: Readonly<Record<MethodId, Does>> = {
  leave: { to: 'nothing' },
  overcoat: { to: 'skin', wet: true },
  thickPrimer: { to: 'nothing', closes: true },
  encapsulate: { to: 'nothing', closes: true },
  cover: { to: 'nothing', closes: true },
  replacePart: { to: 'out', wet: true },
  wetScrapeLoose: { to: 'loose', wet: true },
  dryScrapeLoose: { to: 'loose', dryHand: true },
  wetScrapeBare: { to: 'bare', wet: true },
  wetSand: { to: 'skin', wet: true },
  drySand: { to: 'skin', dryHand: true },
  padSand: { to: 'skin', shroud: true, mains: true },
  hepaSand: { to: 'bare', shroud: true, mains: true },
  powerSand: { to: 'bare', motor: true, mains: true },
  solventGel: { to: 'bare', wet: true, laid: true, brings: ['solvent'] },
  neutralStripper: { to: 'bare', wet: true, laid: true, brings: ['solvent'] },
  causticPoultice: { to: 'bare', wet: true, laid: true, brings: ['alkali'] },
  causticReady: { to: 'bare', wet: true, laid: true, brings: ['alkali'] },
  causticBath: { to: 'bare', wet: true, brings: ['alkali'] },
  milkPowder: { to: 'bare', wet: true, laid: true, brings: ['alkali'] },
  masonryStripper: { to: 'bare', wet: true, laid: true, brings: ['solvent'] },
  masonryKit: { to: 'bare', wet: true, laid: true, brings: ['solvent'] },
  infrared: { to: 'bare', hot: true, mains: true },
  heatGun: { to: 'bare', hot: true, mains: true },
  steam: { to: 'bare', wet: true },
  torch: { to: 'bare', flame: true, hot: true },
  distemperWash: { to: 'bare', wet: true },
  textureSoak: { to: 'bare', wet: true },
  washDegrease: { to: 'skin', wet: true, brings: ['alcohol'] },
  moldWash: { to: 'skin', wet: true, cleansMold: true },
  moldBiocide: { to: 'skin', wet: true, cleansMold: true },
  moldBleach: { to: 'skin', wet: true, cleansMold: true, brings: ['bleach'] },
  puttyCut: { to: 'loose', putty: true },
  puttyWarm: { to: 'loose', putty: true, hot: true, mains: true },
  wireBrush: { to: 'loose', dryHand: true, rust: true },
  drillBrush: { to: 'bare', motor: true, mains: true, rust: true },
  nylonWheel: { to: 'bare', motor: true, mains: true, rust: true },
  rustGel: { to: 'bare', wet: true, laid: true, brings: ['acid'], rust: true },
  flapDisc: { to: 'bare', motor: true, mains: true, rust: true },
  needleGun: { to: 'bare', shroud: true, rust: true },
  softBlast: { to: 'bare', blast: 'open' },
  sodaBlast: { to: 'bare', blast: 'open', brings: ['alkali'] },
  spongeBlast: { to: 'bare', blast: 'open' },
  hardBlast: { to: 'bare', blast: 'open' },
  sweepBlast: { to: 'loose', blast: 'open' },
  vacuumBlast: { to: 'bare', blast: 'shrouded' },
};

export const coatsOf = (s: Surface): (Layer | null)[] => {
  const live: (Layer | null)[] = s.layers.filter((l) => l.removedAt === null).sort((a, b) => a.position - b.position);
  return s.coatsCounted ? live : [...live, null];
};
const holds = (l: Layer | null): boolean => l !== null && l.soundness === 'sound';

/** How many coats from the top a stroke opens; scraping stops in the first coat under the last that is not known to hold. */
export function opens(to: Does['to'], s: Surface): number {
  const coats = coatsOf(s);
  if (to === 'nothing') return 0;
  if (to === 'skin') return Math.min(1, coats.length);
  if (to !== 'loose') return coats.length;
  const last = coats.findLastIndex((l) => !holds(l));
  return Math.min(coats.length, Math.max(last + 1, 1) + 1);
}

/** Does it go on until it meets what lies under the paint? */
export function meets(to: Does['to'], s: Surface): boolean {
  const coats = coatsOf(s);
  if (to === 'bare') return true;
  if (to === 'skin') return coats.length === 0;
  return to === 'loose' && (coats.length === 0 || coats.findLastIndex((l) => !holds(l)) === coats.length - 1 || coats.length === 1);
}

/** Two that must never meet, and in which order it matters. */
export function react(first: Does, then: Does): boolean {
  const a = first.brings ?? [];
  const b = then.brings ?? [];
  const both = (x: Agent, y: Agent) => (a.includes(x) && b.includes(y)) || (a.includes(y) && b.includes(x));
  const sparks = then.flame === true || then.hot === true || then.motor === true || then.shroud === true;
  return (
    both('bleach', 'acid') ||
    both('bleach', 'alcohol') ||
    both('bleach', 'solvent') ||
    both('alkali', 'acid') ||
    ((a.includes('solvent') || a.includes('alcohol')) && sparks)
  );
}
