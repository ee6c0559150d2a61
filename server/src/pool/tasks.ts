/** Heavy work beside the requests: what can be asked of a worker thread, and what it answers. */
import type { ProblemCode } from '../problem';
import type { BuyScope, Problem } from '@roughsill/core';
import type { LabelSheet, QUESTIONS } from '@roughsill/core/prepare';
import type { Detail } from '@roughsill/core/report';

export const PAPERS = ['survey', 'custody', 'labels', 'bags', 'loads', 'signs', 'programme'] as const;
/** With the one that is made for a single surface. */
export type Paper = (typeof PAPERS)[number] | 'client';

export const SHOPPING_FORMATS = ['json', 'csv', 'txt', 'pdf'] as const;
export type ShoppingFormat = (typeof SHOPPING_FORMATS)[number];

/** A job as it is sent out, `{epoch, cursor, facts}` in JSON: a thread that is handed it has nothing to ask the database, and answers for that very cursor. */
export type JobBody = Uint8Array;

export type Task =
  | { readonly kind: 'plan'; readonly body: JobBody; readonly detail: Detail; readonly now: string }
  | { readonly kind: 'methods'; readonly body: JobBody; readonly surfaceId: string; readonly now: string }
  | { readonly kind: 'planFile'; readonly file: Uint8Array; readonly detail: Detail; readonly now: string }
  | {
      readonly kind: 'paper';
      readonly paper: Paper;
      readonly jobId: string;
      readonly surfaceId?: string;
      readonly now: string;
      readonly origin: string;
    }
  | { readonly kind: 'register'; readonly what: 'samples' | 'bags'; readonly jobId: string; readonly now: string }
  | {
      readonly kind: 'shopping';
      readonly format: ShoppingFormat;
      readonly scope: BuyScope;
      readonly jobId: string;
      readonly now: string;
    }
  | { readonly kind: 'bottleLabels'; readonly sheet: LabelSheet }
  | { readonly kind: 'bench'; readonly question: keyof typeof QUESTIONS; readonly asked: unknown }
  | { readonly kind: 'shelf'; readonly file: Uint8Array; readonly now: string }
  | { readonly kind: 'file'; readonly jobId: string }
  | { readonly kind: 'import'; readonly file: Uint8Array; readonly copy: boolean; readonly now: string }
  | { readonly kind: 'picture'; readonly bytes: Uint8Array };

/** What a worker thread asks before it writes, and what it is answered. Until then it may be stopped, from then on not. */
export const MAY_WRITE = 'may write';

/** Where a worker thread finds what it needs. */
export interface WorkerPlace {
  readonly databaseUrl: string;
  readonly photosDir: string;
  readonly markFile: string;
  readonly firmId: string;
  readonly person: string;
}

export type Answer =
  | { readonly ok: true; readonly bytes: Uint8Array }
  | { readonly ok: true; readonly jobId: string; readonly cursor: number; readonly epoch: string }
  | {
      readonly ok: false;
      readonly code: ProblemCode;
      readonly detail: string;
      readonly errors: readonly Problem[];
      readonly more: Readonly<Record<string, unknown>>;
    };
