/**
 * Air through a blasting nozzle: choked flow with its coefficient held to the widely copied table of nozzles, and what the hose and the
 * height above the sea take of it.
 */
import { methodById } from '../catalogue';
import type { Range } from '../units/units';
import type { MethodId } from '../facts';
import { measure } from '../units/units';
import { refuse, within } from './refused';

/** Table against theory lies between 0.76 and 0.85: abrasive and losses. Derived from the table; +-6 %. */
export const NOZZLE_CD = 0.81;
export const NOZZLE_DOUBT = 0.06;
const PSI_PA = 6894.757;
const SEA_PA = 101_325;
/** Air, J/kgK, and its mass flow through a choked throat: m = Cd A P0 0.0404 / sqrt(T0). Compressible-flow theory. */
const CHOKED = 0.0404;
const R_AIR = 287.05;
/** Choked from this ratio of pressures on. */
const CRITICAL = 1.893;
/** kg/m3 at 20 C and sea level: what a compressor's label counts in. */
const FREE_KG_M3 = 1.204;

/** Pressure of the air by height above the sea, Pa. ISO 2533, the standard atmosphere. */
export const airPa = (altitudeM: number): number => SEA_PA * (1 - 2.25577e-5 * within(altitudeM, -400, 5000, 'altitudeM')) ** 5.25588;

export const MEDIA_IDS = ['soda', 'cob', 'nutShell', 'sponge', 'garnet'] as const;
export type MediaId = (typeof MEDIA_IDS)[number];
interface MediaKind {
  /** Loose, kg/L. From memory of mineral handbooks. */
  readonly kgL: number;
  readonly soft: boolean;
  /** May be sieved and used again. */
  readonly sieved: boolean;
}
export const MEDIA: Readonly<Record<MediaId, MediaKind>> = {
  soda: { kgL: 1.0, soft: true, sieved: false },
  cob: { kgL: 0.5, soft: true, sieved: true },
  nutShell: { kgL: 0.7, soft: true, sieved: true },
  sponge: { kgL: 0.2, soft: true, sieved: true },
  garnet: { kgL: 2.3, soft: false, sieved: false },
};
/** Hard grit through 3/8 in at 100 psi, kg/h: 1150 lb. Trade tables; a nozzle passes a volume, so lighter media weigh less. */
const GRIT_KG_H = 521.6;
const GRIT_KG_L = 1.6;
const IN_M = 0.0254;

/**
 * For timber two schools stand side by side: the gentle one, and the one that clears fast. Common practice, no published source; domain
 * 20 to 60 psi with soft media, after a trial.
 */
export const TIMBER_PSI = { gentle: { low: 20, high: 40 }, brisk: { low: 40, high: 60 } } as const;
export const TIMBER_SCHOOLS = ['gentle', 'brisk'] as const;
export type TimberSchool = (typeof TIMBER_SCHOOLS)[number];

export interface NozzleJob {
  readonly boreIn: number;
  /** Worn wider by, in. */
  readonly wornIn: number;
  /** At the machine, above the air, psi. */
  readonly gaugePsi: number;
  readonly hoseM: number;
  readonly hoseBoreMm: number;
  readonly altitudeM: number;
  /** What the compressor's label says, free air, m3/h; null: unknown. */
  readonly machineM3H: number | null;
  readonly media: MediaId;
  /** On wood, and by which school; null: on something else. */
  readonly timber: TimberSchool | null;
  /** Of blasting, h. */
  readonly hours: number;
}

export const PASSES = ['full', 'sweep'] as const;
/** full: down to the ground. sweep: quick and from afar, what is loose goes and tight primer stays. One job may need both. */
export type PassId = (typeof PASSES)[number];
export interface PassAnswer {
  readonly pass: PassId;
  readonly areaM2: number;
  readonly hours: Range;
  readonly mediaKg: Range;
  /** Nozzle to face, mm. */
  readonly fromMm: Range;
}
/** How far the nozzle is held, mm. Common practice, no published source. */
const HELD_MM: Readonly<Record<PassId, Range>> = { full: { low: 300, high: 450 }, sweep: { low: 600, high: 1000 } };
const FULL_BY: Readonly<Record<MediaId, MethodId>> = {
  soda: 'sodaBlast',
  cob: 'softBlast',
  nutShell: 'softBlast',
  sponge: 'spongeBlast',
  garnet: 'hardBlast',
};
/**
 * Each of the two passes by the rates of its method in the catalogue. On old or thin grit the sweep is the same nozzle, faster.
 * @param mediaKgH what the nozzle passes
 * @throws Refused in trade words
 */
export function passesOver(media: MediaId, mediaKgH: number, areas: Readonly<Record<PassId, number>>): PassAnswer[] {
  return PASSES.flatMap((pass): PassAnswer[] => {
    const areaM2 = within(areas[pass], 0, 5000, 'areaM2');
    if (areaM2 === 0) return [];
    const { rate } = methodById(pass === 'sweep' ? 'sweepBlast' : FULL_BY[media]);
    const hours = { low: areaM2 / rate.highM2PerH, high: areaM2 / rate.lowM2PerH };
    return [{ pass, areaM2, hours, mediaKg: { low: hours.low * mediaKgH, high: hours.high * mediaKgH }, fromMm: HELD_MM[pass] }];
  });
}
export interface NozzleAnswer {
  /** Free air, m3/h, at sea level and 20 C, and how far the table itself scatters. */
  readonly freeM3H: number;
  readonly doubtM3H: number;
  readonly hoseLossPsi: number;
  readonly nozzlePsi: number;
  /** The compressor's label shrunk by the height, m3/h. */
  readonly machineM3H: number | null;
  /** The widest nozzle of the table that it feeds, in; null: none, or the machine is unknown. */
  readonly feedsIn: number | null;
  /** On wood the most at the nozzle, psi, and what to set at the machine for it where it is more; null: it is not. */
  readonly timber: { readonly mostPsi: number; readonly setPsi: number | null } | null;
  readonly mediaKgH: number;
  readonly mediaKg: number;
  /** A litre that falls is a litre that is swept up. */
  readonly mediaL: number;
}
export const NOZZLES_IN = [1 / 8, 3 / 16, 1 / 4, 5 / 16, 3 / 8, 7 / 16, 1 / 2] as const;

/** Mass of air through a choked nozzle, kg/s. @throws Refused where it is not choked: too little pressure to blast */
export function chokedKgS(boreIn: number, gaugePsi: number, outerPa: number, tempC = 20): number {
  const p0 = gaugePsi * PSI_PA + outerPa;
  if (p0 / outerPa < CRITICAL) refuse({ id: 'noPressure', least: measure(Math.ceil(((CRITICAL - 1) * SEA_PA) / PSI_PA), 'psi') });
  return (NOZZLE_CD * (Math.PI / 4) * (boreIn * IN_M) ** 2 * p0 * CHOKED) / Math.sqrt(tempC + 273.15);
}

/**
 * Pressure lost along a hose: smooth round bore, turbulent, friction by Blasius. Darcy-Weisbach.
 * @param kgS through it
 * @param pa inside it at the machine, absolute
 * @returns Pa
 */
export function hoseLossPa(kgS: number, pa: number, lengthM: number, boreMm: number): number {
  const d = boreMm / 1000;
  const rho = pa / (R_AIR * 293.15);
  const speed = kgS / rho / ((Math.PI / 4) * d ** 2);
  const reynolds = (rho * speed * d) / 1.81e-5;
  const friction = 0.316 / reynolds ** 0.25;
  return friction * (lengthM / d) * 0.5 * rho * speed ** 2;
}

/** What flows depends on what arrives, and what arrives on what flows: halving finds where both agree. */
function lostPsi(job: NozzleJob, gaugePsi: number, outer: number): number {
  const bore = job.boreIn + job.wornIn;
  const inside = gaugePsi * PSI_PA + outer;
  let low = 0;
  let high = gaugePsi * PSI_PA;
  for (let i = 0; i < 50; i += 1) {
    const loss = (low + high) / 2;
    const through = (NOZZLE_CD * (Math.PI / 4) * (bore * IN_M) ** 2 * (inside - loss) * CHOKED) / Math.sqrt(293.15);
    if (hoseLossPa(through, inside - loss / 2, job.hoseM, job.hoseBoreMm) > loss) low = loss;
    else high = loss;
  }
  return (low + high) / 2 / PSI_PA;
}

/** More at the machine is more at the nozzle, so halving finds what brings just the most that the school allows. */
function onTimber(job: NozzleJob, school: TimberSchool, nozzlePsi: number, outer: number): NozzleAnswer['timber'] {
  const mostPsi = TIMBER_PSI[school].high;
  if (nozzlePsi <= mostPsi) return { mostPsi, setPsi: null };
  let low: number = mostPsi;
  let high = job.gaugePsi;
  for (let i = 0; i < 30; i += 1) {
    const at = (low + high) / 2;
    if (at - lostPsi(job, at, outer) > mostPsi) high = at;
    else low = at;
  }
  return { mostPsi, setPsi: low };
}

/** @throws Refused in trade words */
export function nozzle(job: NozzleJob): NozzleAnswer {
  within(job.boreIn, 0.06, 1, 'boreIn');
  within(job.wornIn, 0, 0.25, 'wornIn');
  within(job.gaugePsi, 10, 150, 'gaugePsi');
  within(job.hoseM, 1, 200, 'hoseM');
  within(job.hoseBoreMm, 8, 80, 'hoseBoreMm');
  within(job.hours, 0, 1000, 'blastH');
  if (job.hoseBoreMm / 1000 < 2 * (job.boreIn + job.wornIn) * IN_M) refuse({ id: 'hoseThin' });
  if (job.timber !== null && !MEDIA[job.media].soft) refuse({ id: 'hardOnTimber' });
  const outer = airPa(job.altitudeM);
  const bore = job.boreIn + job.wornIn;
  const hoseLossPsi = lostPsi(job, job.gaugePsi, outer);
  const nozzlePsi = job.gaugePsi - hoseLossPsi;
  const kgS = chokedKgS(bore, nozzlePsi, outer);
  const freeM3H = (kgS * 3600) / FREE_KG_M3;
  // A compressor swallows the same volume up there, of thinner air.
  const machineM3H = job.machineM3H === null ? null : within(job.machineM3H, 1, 10_000, 'machineM3H') * (outer / SEA_PA);
  const fits = machineM3H === null ? [] : NOZZLES_IN.filter((b) => (chokedKgS(b, nozzlePsi, outer) * 3600) / FREE_KG_M3 <= machineM3H);
  const asGrit = GRIT_KG_H * (bore / 0.375) ** 2 * ((nozzlePsi * PSI_PA + outer) / (100 * PSI_PA + SEA_PA));
  const mediaKgH = (asGrit * MEDIA[job.media].kgL) / GRIT_KG_L;
  return {
    freeM3H,
    doubtM3H: freeM3H * NOZZLE_DOUBT,
    hoseLossPsi,
    nozzlePsi,
    machineM3H,
    feedsIn: fits.at(-1) ?? null,
    timber: job.timber === null ? null : onTimber(job, job.timber, nozzlePsi, outer),
    mediaKgH,
    mediaKg: mediaKgH * job.hours,
    mediaL: (mediaKgH * job.hours) / MEDIA[job.media].kgL,
  };
}
