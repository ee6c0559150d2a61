/** Simulated instruments: each reads the demo's hidden truth through its own errors. */
import { BLANK_READING, liveLayers, MASONRY, METAL, PLASTER, TIMBER, type Surface } from '@roughsill/core';
import { truthOf, type Truth } from '@roughsill/demo';
import type { Instrument, Use } from './instrument';

/** A number in [0, 1): chance in use, a fixed row in tests. */
export type Chance = () => number;

/** Normal error by the sum of twelve uniform ones. */
const noise = (chance: Chance, sd: number): number => {
  let sum = -6;
  for (let i = 0; i < 12; i += 1) sum += chance();
  return sum * sd;
};
const round = (x: number, step: number): number => Math.round(Math.max(0, x) / step) * step;
const tidy = (x: number, decimals: number): number => Number(x.toFixed(decimals));

const truth = (u: Use): Truth => truthOf(u.facts, u.surface);

/** Colour that is still coming after so many seconds, and comes in full by ninety. */
const DEVELOPS_S = 60;
/** The kit's stated rates. 40 CFR 745.88(c). */
const FALSE_NEGATIVE = 0.05;
const FALSE_POSITIVE = 0.1;

export function simulatedSwab(chance: Chance): Instrument {
  return {
    id: 'swab',
    name: 'Simulated lead swab',
    kind: 'swab',
    simulated: true,
    sheet: 'Wait 60 seconds. At most 5 % false negative at 1.0 mg/cm² and more, at most 10 % false positive below.',
    async read(u) {
      const coats = liveLayers(u.surface);
      const reached = u.depth === 'face' ? coats.slice(0, 1) : coats;
      const t = truth(u);
      const lead = (i: number) => (t.coats[i]?.leadPct ?? 0) >= 0.5;
      const reallyLead = reached.some((_, i) => lead(i));
      const shows = reallyLead ? chance() >= FALSE_NEGATIVE : chance() < FALSE_POSITIVE;
      const spot = u.seconds < DEVELOPS_S ? ('unclear' as const) : shows ? ('changed' as const) : ('unchanged' as const);
      const changed = spot === 'changed' && u.depth === 'all' ? reached.filter((_, i) => lead(i)) : [];
      return {
        reading: {
          ...BLANK_READING,
          kind: 'spot',
          spot,
          kitRecognised: true,
          control: 'worked',
          minutes: Math.round(u.seconds / 6) / 10,
          lot: 'simulated',
          reachedLayerIds: reached.map((c) => c.id),
          toSubstrate: u.depth === 'all',
          changedLayerIds: changed.map((c) => c.id),
          device: this.name,
        },
        says: spot === 'unclear' ? 'The colour is still coming.' : spot === 'changed' ? 'It has changed colour.' : 'No change.',
      };
    },
  };
}

/** What bare material adds to a reading, mg/cm2. Invented. */
const SUBSTRATE = (m: Surface['material']): number =>
  METAL.includes(m) ? 0.12 : MASONRY.includes(m) ? 0.08 : PLASTER.includes(m) ? 0.03 : 0.05;
const FILM = 1.02;

export function simulatedXrf(chance: Chance): Instrument {
  return {
    id: 'xrf',
    name: 'Simulated XRF',
    kind: 'xrf',
    simulated: true,
    sheet: 'Inconclusive from 0.9 to 1.1 mg/cm². Calibration film 1.02 mg/cm², to within 0.1.',
    async read(u) {
      const loading = truth(u).coats.reduce((a, c) => a + c.leadMgCm2, 0);
      const value = tidy(round(loading + SUBSTRATE(u.surface.material) + noise(chance, 0.06), 0.01), 2);
      return {
        reading: {
          ...BLANK_READING,
          kind: 'xrf',
          value,
          unit: 'mg/cm2',
          bandLow: 0.9,
          bandHigh: 1.1,
          toSubstrate: true,
          device: this.name,
        },
        says: `${value} mg/cm²`,
      };
    },
    async check(material) {
      const n = material === null ? 3 : 6;
      const over = material === null ? 0 : SUBSTRATE(material);
      return { values: Array.from({ length: n }, () => tidy(FILM + over + noise(chance, 0.03), 2)), filmMgCm2: FILM, tolerance: 0.1 };
    },
  };
}

/** How a meter set for Douglas fir reads other woods. Invented, in the range that meters’ lists give. */
const SPECIES: Readonly<Record<string, number>> = { oak: 1.1, pine: 0.98, teak: 1.15, mahogany: 1.05 };

export function simulatedMoistureMeter(chance: Chance): Instrument {
  return {
    id: 'moisture',
    name: 'Simulated moisture meter',
    kind: 'moistureMeter',
    simulated: true,
    sheet: 'Pins, set for Douglas fir at 20 °C. Plaster on the gypsum scale; masonry relative.',
    async read(u) {
      const t = truth(u);
      const wood = TIMBER.includes(u.surface.material);
      const plaster = PLASTER.includes(u.surface.material);
      const asSet = u.surface.species.toLowerCase() === u.setTo.toLowerCase();
      const species = wood && !asSet ? (SPECIES[u.surface.species.toLowerCase()] ?? 1) : 1;
      const warm = wood ? 0.1 * (t.surfaceC - 20) : 0;
      const value = tidy(round(t.moisture * species + warm + noise(chance, wood ? 0.4 : 0.1), 0.1), 1);
      const unit = wood ? ('%MC' as const) : plaster ? ('%gypsum' as const) : ('%rel' as const);
      return { reading: { ...BLANK_READING, kind: 'moisture', value, unit, device: this.name }, says: `${value} ${unit}` };
    },
  };
}

export function simulatedThermoHygrometer(chance: Chance): Instrument {
  return {
    id: 'air',
    name: 'Simulated thermo-hygrometer',
    kind: 'thermoHygrometer',
    simulated: true,
    sheet: 'To within 0.5 °C and 3 %.',
    async read(u) {
      const t = truth(u);
      const value = tidy(t.airC + noise(chance, 0.25), 1);
      const humidityPct = tidy(Math.min(100, Math.max(0, t.airRhPct + noise(chance, 1.5))), 0);
      return {
        reading: { ...BLANK_READING, kind: 'air', value, unit: 'C', humidityPct, device: this.name },
        says: `${value} °C, ${humidityPct} %`,
      };
    },
  };
}

export function simulatedInfraredThermometer(chance: Chance): Instrument {
  return {
    id: 'infrared',
    name: 'Simulated infrared thermometer',
    kind: 'infraredThermometer',
    simulated: true,
    sheet: 'For painted faces. Bare bright metal reads towards the room.',
    async read(u) {
      const t = truth(u);
      const bright = METAL.includes(u.surface.material) && liveLayers(u.surface).length === 0;
      const seen = bright ? 0.3 * t.surfaceC + 0.7 * t.airC : t.surfaceC;
      const value = tidy(seen + noise(chance, 0.3), 1);
      return { reading: { ...BLANK_READING, kind: 'surfaceTemp', value, unit: 'C', device: this.name }, says: `${value} °C` };
    },
  };
}

export const simulatedInstruments = (chance: Chance): Instrument[] => [
  simulatedSwab(chance),
  simulatedXrf(chance),
  simulatedMoistureMeter(chance),
  simulatedThermoHygrometer(chance),
  simulatedInfraredThermometer(chance),
];
