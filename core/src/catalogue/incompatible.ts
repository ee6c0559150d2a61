/** What must never meet: one table over what is laid on, what it leaves, metals, woods, fabrics, sparks and rags. */
import type { SourceId } from '../reasons';

export const AGENT_IDS = ['bleach', 'acid', 'ammonia', 'alcohol', 'alkali', 'peroxide', 'solvent', 'spark', 'dryingOil', 'closedBin', 'aluminium', 'zinc', 'iron', 'copper', 'tanninWood', 'lime', 'wool', 'dyedFabric'] as const;
export type AgentId = (typeof AGENT_IDS)[number];

/** What comes of it. */
export const FORM_IDS = ['chlorine', 'chloramine', 'chloroform', 'peracid', 'hydrogen', 'boil', 'fire', 'selfHeat', 'oxygen', 'blueStain', 'darkens', 'etched', 'eaten', 'bleached'] as const;
export type FormId = (typeof FORM_IDS)[number];

/** What stands between the two, where anything can. */
export type PartedBy = 'never' | 'rinse' | 'aired' | 'waterCan' | 'covered' | 'openFlat';

export interface Meeting {
  readonly one: AgentId;
  readonly other: AgentId;
  readonly forms: FormId;
  /** A person is hurt, or the piece is spoiled. */
  readonly hurts: boolean;
  readonly parted: PartedBy;
  /** Gas for each litre or gram of `one`, see `gasOf`. */
  readonly gas: 'perLitreOfBleach' | 'perGramOfMetal' | null;
  readonly source: SourceId;
}

const meets = (one: AgentId, other: AgentId, forms: FormId, parted: PartedBy, { hurts = true, gas = null, source = 'trade-apart' }: Partial<Pick<Meeting, 'hurts' | 'gas' | 'source'>> = {}): Meeting => ({ one, other, forms, hurts, parted, gas, source });
const SPOILS = { hurts: false } as const;

export const MEETINGS: readonly Meeting[] = [
  meets('bleach', 'acid', 'chlorine', 'rinse', { gas: 'perLitreOfBleach', source: 'trade-mold' }),
  meets('bleach', 'ammonia', 'chloramine', 'rinse', { gas: 'perLitreOfBleach', source: 'trade-mold' }),
  meets('bleach', 'alcohol', 'chloroform', 'rinse', { source: 'trade-mold' }),
  meets('bleach', 'solvent', 'chloroform', 'rinse', { source: 'trade-mold' }),
  meets('bleach', 'peroxide', 'oxygen', 'rinse'),
  meets('peroxide', 'acid', 'peracid', 'rinse'),
  meets('alkali', 'acid', 'boil', 'rinse', { source: 'trade-strip' }),
  meets('alkali', 'aluminium', 'hydrogen', 'never', { gas: 'perGramOfMetal', source: 'trade-strip' }),
  meets('alkali', 'zinc', 'hydrogen', 'never', { gas: 'perGramOfMetal', source: 'trade-strip' }),
  meets('acid', 'zinc', 'hydrogen', 'covered', { gas: 'perGramOfMetal' }),
  meets('acid', 'aluminium', 'eaten', 'covered', SPOILS),
  meets('bleach', 'iron', 'eaten', 'covered', SPOILS),
  meets('bleach', 'copper', 'eaten', 'covered', SPOILS),
  meets('ammonia', 'copper', 'eaten', 'covered', SPOILS),
  meets('bleach', 'aluminium', 'eaten', 'covered', SPOILS),
  meets('solvent', 'spark', 'fire', 'aired', { source: 'trade-strip' }),
  meets('alcohol', 'spark', 'fire', 'aired', { source: 'trade-strip' }),
  meets('peroxide', 'solvent', 'fire', 'never'),
  meets('dryingOil', 'closedBin', 'selfHeat', 'waterCan', { source: 'trade-waste' }),
  meets('dryingOil', 'spark', 'fire', 'openFlat', { source: 'trade-waste' }),
  meets('alkali', 'tanninWood', 'darkens', 'never', { hurts: false, source: 'trade-strip' }),
  meets('ammonia', 'tanninWood', 'darkens', 'never', SPOILS),
  meets('iron', 'tanninWood', 'blueStain', 'covered', SPOILS),
  meets('acid', 'lime', 'etched', 'covered', SPOILS),
  meets('alkali', 'wool', 'eaten', 'covered', SPOILS),
  meets('bleach', 'wool', 'eaten', 'covered', SPOILS),
  meets('bleach', 'dyedFabric', 'bleached', 'covered', SPOILS),
  meets('peroxide', 'dyedFabric', 'bleached', 'covered', SPOILS),
  meets('solvent', 'dyedFabric', 'bleached', 'covered', SPOILS),
];

/** Whatever the order. */
export const meetingOf = (a: AgentId, b: AgentId): Meeting | null => MEETINGS.find((m) => (m.one === a && m.other === b) || (m.one === b && m.other === a)) ?? null;

/** All that two or more of these would do. */
export const meetingsAmong = (agents: readonly AgentId[]): readonly Meeting[] => MEETINGS.filter((m) => agents.includes(m.one) && agents.includes(m.other));

/** L for each mol at 20 C. */
const GAS_L_MOL = 24.06;
const HYPOCHLORITE_G_MOL = 74.44;
/** Hydrogen for each g, L at 20 C: 2 Al + 2 OH- + 6 H2O -> 2 Al(OH)4- + 3 H2; Zn gives one for one. Stoichiometry and the ideal gas. */
const HYDROGEN_L_G = { aluminium: (1.5 / 26.98) * GAS_L_MOL, zinc: (1 / 65.38) * GAS_L_MOL } as const;
/** ppm. OSHA ceiling for chlorine; NIOSH: immediately dangerous. */
export const CHLORINE_PPM = { ceiling: 1, danger: 10 } as const;
/** Hydrogen burns from here on, % by volume. NFPA 325. */
export const HYDROGEN_LEL_PCT = 4;

export interface Gas {
  readonly litres: number;
  /** If all of it stayed in the room, ppm. */
  readonly ppm: number;
  /** Air that it would make dangerous: chlorine at its ceiling, hydrogen at what burns, m3. */
  readonly spoilsM3: number;
}

/**
 * Gas that a meeting makes in a room, if all of it reacts and nothing leaves.
 * @param amount L of bleach, or g of metal
 * @param bleachPct its strength, % by weight of volume
 * @returns null where no gas is reckoned
 */
export function gasOf(m: Meeting, amount: number, roomM3: number, bleachPct = 5.25): Gas | null {
  if (m.gas === null || !(amount > 0) || !(roomM3 > 0)) return null;
  const metal = m.one === 'zinc' || m.other === 'zinc' ? 'zinc' : 'aluminium';
  const litres = m.gas === 'perLitreOfBleach' ? ((amount * bleachPct * 10) / HYPOCHLORITE_G_MOL) * GAS_L_MOL : amount * HYDROGEN_L_G[metal];
  const from = m.gas === 'perLitreOfBleach' ? CHLORINE_PPM.ceiling / 1e6 : HYDROGEN_LEL_PCT / 100;
  return { litres, ppm: (litres / 1000 / roomM3) * 1e6, spoilsM3: litres / 1000 / from };
}
