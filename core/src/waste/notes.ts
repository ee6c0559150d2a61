/** The paper that goes with a load: which one its rulebook asks for, what stands on each line of it, and how long the copy is kept. */
import type { Bag, JobFacts, WasteStreamId } from '../facts';
import { WASTE_STREAMS } from '../facts';
import { why, type Reason } from '../reasons';
import { measure } from '../units/units';
import type { WasteClass, WasteCode } from './classify';
import { classFor, type WasteLine } from './reckon';
import { registerOf } from './register';
import { STREAMS, type Container } from './streams';

/** consignment: hazardous waste under UK rules. transfer: any other there. shipment: asbestos under US rules. ticket: any other. */
export type NoteKind = 'consignment' | 'transfer' | 'shipment' | 'ticket';
export const UK_HAZARDS = ['HP 3', 'HP 6', 'HP 7', 'HP 8', 'HP 10', 'HP 14'] as const;
export type UkHazard = (typeof UK_HAZARDS)[number];

export interface NoteLine {
  readonly stream: WasteStreamId;
  readonly numbers: readonly string[];
  readonly class: WasteClass;
  readonly codes: readonly WasteCode[];
  readonly hazards: readonly UkHazard[];
  readonly container: Container;
  /** Of those that were weighed; null: none was. */
  readonly kg: number | null;
  readonly unweighed: number;
}

export interface LoadNote {
  readonly haulId: string;
  readonly number: string;
  readonly kind: NoteKind;
  readonly leftAt: string;
  readonly carrier: string;
  readonly to: string;
  readonly lines: readonly NoteLine[];
  readonly bags: number;
  /** What the register holds against the ticket, in words; empty: it balances. */
  readonly says: readonly string[];
  readonly because: readonly Reason[];
}

/** Why a code is hazardous. European list of properties, from memory; the carrier's own classification comes first. */
const HAZARD_OF: Readonly<Partial<Record<WasteCode, readonly UkHazard[]>>> = {
  '08 01 17*': ['HP 6', 'HP 10', 'HP 14'],
  '17 06 05*': ['HP 7'],
  '20 01 27*': ['HP 3', 'HP 6'],
  '06 02 05*': ['HP 8'],
  '06 01 06*': ['HP 8'],
};

/** Years that a copy is kept. UK: from memory, 3 for a consignment note and 2 for a transfer note. 40 CFR 61.150(d): 2. */
const KEEP: Readonly<Record<NoteKind, number>> = { consignment: 3, transfer: 2, shipment: 2, ticket: 3 };

function kindOf(uk: boolean, classes: readonly WasteClass[]): NoteKind {
  const asbestos = classes.includes('asbestos');
  if (!uk) return asbestos ? 'shipment' : 'ticket';
  return asbestos || classes.includes('hazardous') || classes.includes('test') ? 'consignment' : 'transfer';
}

function saysOf(kind: NoteKind, classes: readonly WasteClass[]): Reason[] {
  const years = measure(KEEP[kind], 'year');
  switch (kind) {
    case 'consignment':
      return [why('note.consignment', 'uk-waste', { years })];
    case 'transfer':
      return [why('note.transfer', 'uk-waste', { years })];
    case 'shipment':
      return [why('note.shipment', 'cfr40-61.150', { copy: measure(35, 'd'), report: measure(45, 'd'), years })];
    case 'ticket':
      return [
        why('note.ticket', 'trade-waste', { years }),
        ...(classes.includes('hazardous') || classes.includes('test') ? [why('note.manifest', 'cfr40-262.20', {}, 'care')] : []),
      ];
  }
}

/** @returns one for each load that stands on the list, in its order */
export function loadNotes(facts: JobFacts, lines: readonly WasteLine[]): LoadNote[] {
  const uk = facts.job.rulebook === 'uk';
  const told = registerOf(facts).hauls;
  return facts.hauls
    .filter((h) => h.removedAt === null)
    .map((h): LoadNote => {
      const on = facts.bags.filter((b) => b.removedAt === null && b.haulId === h.id);
      const each = WASTE_STREAMS.flatMap((stream): NoteLine[] => {
        const bags: readonly Bag[] = on.filter((b) => b.stream === stream);
        if (bags.length === 0) return [];
        const classed = classFor(stream, lines, facts).value;
        const weighed = bags.flatMap((b) => b.kg ?? []);
        return [
          {
            stream,
            numbers: bags.map((b) => b.number),
            class: classed.class,
            codes: classed.codes,
            hazards: uk ? [...new Set(classed.codes.flatMap((c) => HAZARD_OF[c] ?? []))] : [],
            container: STREAMS[stream].container,
            kg: weighed.length === 0 ? null : weighed.reduce((a, b) => a + b, 0),
            unweighed: bags.length - weighed.length,
          },
        ];
      });
      const classes = each.map((l) => l.class);
      const kind = kindOf(uk, classes);
      return {
        haulId: h.id,
        number: h.number,
        kind,
        leftAt: h.leftAt,
        carrier: h.carrier,
        to: h.to,
        lines: each,
        bags: on.length,
        says: told.find((t) => t.haulId === h.id)?.says ?? [],
        because: saysOf(kind, classes),
      };
    });
}
