/** One small interface for an instrument on the van's network. The ones that ship are simulated and say so; a real one would stand in their place. */
import type { JobFacts, ReadingDraft, Surface } from '@roughsill/core';

export type InstrumentKind = 'swab' | 'xrf' | 'moistureMeter' | 'thermoHygrometer' | 'infraredThermometer';

/** What the person does with it. */
export interface Use {
  readonly facts: JobFacts;
  readonly surface: Surface;
  /** swab: the face, or a notch through all coats. */
  readonly depth: 'face' | 'all';
  /** swab: how long the colour was left to come, s. */
  readonly seconds: number;
  /** moisture meter: which wood it is set to; empty: as it came. */
  readonly setTo: string;
}

export interface InstrumentReading {
  /** Fields of a reading; the person looks at them before they are recorded. */
  readonly reading: Omit<ReadingDraft, 'takenAt'>;
  /** What its display says. */
  readonly says: string;
}

export interface InstrumentCheckValues {
  readonly values: readonly number[];
  readonly filmMgCm2: number;
  readonly tolerance: number;
}

export interface Instrument {
  readonly id: string;
  readonly name: string;
  readonly kind: InstrumentKind;
  readonly simulated: boolean;
  /** What its sheet states. */
  readonly sheet: string;
  read(use: Use): Promise<InstrumentReading>;
  /** XRF: three readings on the film, or six on bare material with the film over it. */
  check?(material: Surface['material'] | null): Promise<InstrumentCheckValues>;
}
