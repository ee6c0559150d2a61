/** What dissolving caustic soda gives off, and how much heat its solution holds. Everything is counted from 25 C. */
import { refuse } from './refused';

/** g/mol. CRC Handbook. */
export const NAOH_G_MOL = 40;
export const WATER_G_MOL = 18.015;

type Table = readonly (readonly [number, number])[];

/** Straight lines between the rows; the ends hold beyond them. */
function along(table: Table, x: number): number {
  const at = table.findIndex(([k]) => k >= x);
  if (at === 0) return table[0]![1];
  if (at < 0) return table.at(-1)![1];
  const [x0, y0] = table[at - 1]!;
  const [x1, y1] = table[at]!;
  return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
}

/**
 * Integral heat of solution, kJ for each mol of caustic, by mol of caustic for each mol of water. Tables of integral heats in
 * chemical-process textbooks, 25 C. The value at infinite dilution would overstate a strong mix.
 */
const INTEGRAL: Table = [
  [0, 42.89],
  [1 / 100, 42.34],
  [1 / 50, 42.51],
  [1 / 20, 42.84],
  [1 / 10, 42.51],
  [1 / 5, 37.74],
  [1 / 4, 34.43],
  [1 / 3, 28.87],
];
/** Beyond three parts of water to one the table ends: nobody mixes so strong. */
const STRONGEST = 1 / 3;
/** The heat is known to about this share: confidence medium to high in the table, less above a fifth by mass. */
export const HEAT_DOUBT = 0.05;

/**
 * @param causticKg dissolved, kg
 * @param waterKg kg, above 0
 * @returns heat given off since both lay apart at 25 C, kJ
 * @throws Refused for a mix stronger than the table
 */
export function heatOfSolutionKJ(causticKg: number, waterKg: number): number {
  if (causticKg === 0) return 0;
  const mol = (causticKg * 1000) / NAOH_G_MOL;
  const perWater = mol / ((waterKg * 1000) / WATER_G_MOL);
  if (perWater > STRONGEST) refuse({ id: 'doesNotDissolve' });
  return mol * along(INTEGRAL, perWater);
}

/** kJ/kgK by share of mass. Handbook values; that of water to 25 C. */
const HEAT_CAPACITY: Table = [
  [0, 4.18],
  [0.1, 3.76],
  [0.2, 3.6],
  [0.5, 3.24],
];
export const solutionCp = (causticShare: number): number => along(HEAT_CAPACITY, causticShare);
/** Solid caustic, kJ/kgK. From memory. */
export const SOLID_CP = 1.49;

/** kg/L by share of mass, at 20 C. From memory of handbooks, but the last row. */
const DENSITY: Table = [
  [0, 0.998],
  [0.1, 1.109],
  [0.2, 1.219],
  [0.3, 1.328],
  [0.4, 1.43],
  [0.5, 1.525],
];
export const solutionKgL = (causticShare: number): number => along(DENSITY, causticShare);
