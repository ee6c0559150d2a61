/** What is laid on a surface, line by line, as every stage and paper reads it. */
import type { Residue } from '../facts';
import type { CoatId, Coating } from '../catalogue/coatings';
import type { LayingId, Product, TopcoatId } from '../facts';
import type { Answer, Reason } from '../reasons';
import type { LayingOf } from './laying';

/** spots: knots and stains. bare: where the old coat is gone. all: the whole face. */
export type CoatWhere = 'spots' | 'bare' | 'all';

export interface CoatLine {
  readonly use: 'knots' | 'primer' | 'topcoat';
  readonly product: CoatId;
  /** The firm's own product that is laid; null: a generic one. */
  readonly own: Product | null;
  readonly areaM2: number;
  readonly coats: number;
  /** What is lost in laying it included. */
  readonly litres: number;
  /** Of it, what was recorded as laid. */
  readonly laidL: number;
  /** What one more coat takes, L/m2: by the plan, and by how far the product goes on this job, whatever a record says of one day. */
  readonly eachLM2: number;
  /** Of it, what drinks so much that it is laid once more there, m2. */
  readonly againM2: number;
  /** In which way it is laid. */
  readonly way: LayingId;
  readonly where: CoatWhere;
  readonly recoatH: Coating['recoatH'];
  readonly because: Answer<unknown>['because'];
}

export interface CoatingPlan {
  /** How the surface stands after removal. */
  readonly left: Answer<'bare' | 'partly' | 'coated'>;
  readonly bareM2: number;
  /** Null: it is left uncoated, and the reason says why. */
  readonly topcoat: Answer<TopcoatId | null>;
  /** Why the topcoat does not fit here; empty: it does. Then nothing is laid until another is chosen. */
  readonly refused: readonly Reason[];
  /** What nobody knows for certain, as questions beside the topcoat. */
  readonly asks: readonly Reason[];
  readonly lines: readonly CoatLine[];
  /** What a refused way of laying would have taken: nothing is laid, and asking makes nothing cheaper. */
  readonly refusedLines: readonly CoatLine[];
  /** In which way primers and topcoat are laid, with the other ways and what speaks against each. */
  readonly layings: readonly LayingOf[];
  /** How much of the piece has the profile of a blast, 0 to 1. */
  readonly blasted: number;
  /** Residues that must be proved gone before the primer. */
  readonly residues: readonly Residue[];
  /** The firm's school of a last wipe with alcohol; barred: alcohol would hurt this coat, or nobody tried it. */
  readonly wipe: 'none' | 'alcohol' | 'barred';
}
