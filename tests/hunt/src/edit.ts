/** Carries a random edit out as the product would: through changes, of which the door refuses what does not fit. */
import {
  applyChange,
  CHANGE_VERSION,
  jobProblems,
  scopeParent,
  specOf,
  type Entity,
  type JobChange,
  type JobFacts,
  type Row,
  type Surface,
} from '../../../core/src/facts';
import { proof, THIS_YEAR, type Edit } from './scenario';

let n = 0;
const change = (c: Pick<JobChange, 'entity' | 'entityId' | 'parent' | 'op' | 'fields'>): JobChange => ({
  v: CHANGE_VERSION,
  id: `edit-${(n += 1)}`,
  jobId: 'job-1',
  at: '2026-06-01T08:00:00.000Z',
  by: 'Tester',
  personId: null,
  device: null,
  act: null,
  ...c,
});

interface Found {
  readonly row: Row;
  readonly surfaceId: string | null;
}
/** Every record of an entity, with the surface that it hangs under. */
function recordsOf(facts: JobFacts, entity: Entity): Found[] {
  const { list, parents } = specOf(entity);
  if (list === null) return [{ row: facts.job as unknown as Row, surfaceId: null }];
  const from = (holder: object) => (holder as Record<string, Row[]>)[list] ?? [];
  if (parents.includes('surface')) return facts.surfaces.flatMap((s) => from(s).map((row) => ({ row, surfaceId: s.id })));
  return from(facts).map((row) => ({ row, surfaceId: null }));
}

const parentOf = (entity: Entity, surfaceId: string | null): JobChange['parent'] =>
  surfaceId === null ? (scopeParent(entity, 'job-1') as JobChange['parent']) : { kind: 'surface', id: surfaceId };

/** A surface entered anew: what can be seen of it, none of its records. */
function enteredAgain(s: Surface, id: string, over: Partial<Surface>): JobChange[] {
  const {
    id: _id,
    removedAt: _r,
    parts,
    layers,
    readings: _a,
    checks: _b,
    samples: _c,
    squares: _d,
    boards: _e,
    signs: _f,
    laid: _l,
    defects: _g,
    ...fields
  } = s;
  const live = <T extends { removedAt: string | null }>(xs: readonly T[]) => xs.filter((x) => x.removedAt === null);
  const child = (entity: Entity, row: { id: string; removedAt: string | null }): JobChange => {
    const { id: own, removedAt: _gone, ...rest } = row;
    return change({ entity, entityId: `${id}-${own}`.slice(-60), parent: { kind: 'surface', id }, op: 'add', fields: rest });
  };
  return [
    change({
      entity: 'surface',
      entityId: id,
      parent: { kind: 'job', id: 'job-1' },
      op: 'add',
      fields: { ...fields, ...over, workOrder: [] },
    }),
    ...live(parts).map((p) => child('part', p)),
    ...live(layers).map((l) => child('layer', l)),
  ];
}

function changesOf(facts: JobFacts, e: Edit): JobChange[] {
  switch (e.kind) {
    case 'set': {
      const all = recordsOf(facts, e.entity);
      const found = all[e.which % Math.max(1, all.length)];
      if (!found) return [];
      return [
        change({
          entity: e.entity,
          entityId: found.row.id,
          parent: parentOf(e.entity, found.surfaceId),
          op: 'set',
          fields: { [e.field]: e.value },
        }),
      ];
    }
    case 'remove':
    case 'restore': {
      const gone = e.kind === 'restore';
      const all = recordsOf(facts, e.entity).filter((x) => (x.row['removedAt'] !== null) === gone);
      const found = all[e.which % Math.max(1, all.length)];
      if (!found) return [];
      return [change({ entity: e.entity, entityId: found.row.id, parent: parentOf(e.entity, found.surfaceId), op: e.kind, fields: {} })];
    }
    case 'enterAgain': {
      const s = facts.surfaces[e.which % facts.surfaces.length];
      if (!s) return [];
      const id = `again-${(n += 1)}`;
      const over = {
        ...(e.element === '' ? {} : { element: e.element }),
        ...(e.material === '' ? {} : { material: e.material }),
      } as Partial<Surface>;
      const added = enteredAgain(s, id, over).map((c) =>
        c.entity === 'layer' && e.binder !== '' ? { ...c, fields: { ...c.fields, binder: e.binder } } : c,
      );
      const off =
        s.removedAt === null
          ? [change({ entity: 'surface', entityId: s.id, parent: { kind: 'job', id: 'job-1' }, op: 'remove', fields: {} })]
          : [];
      return [...off, ...added];
    }
    case 'addCheck':
      return [
        change({
          entity: 'instrumentCheck',
          entityId: `check-${(n += 1)}`,
          parent: scopeParent('instrumentCheck', 'job-1') as JobChange['parent'],
          op: 'add',
          fields: proof(e.hour, e.holds),
        }),
      ];
    case 'split': {
      const s = facts.surfaces.filter((x) => x.removedAt === null)[e.which % Math.max(1, facts.surfaces.length)];
      if (!s) return [];
      const half = s.lengthM / 2;
      return [
        change({ entity: 'surface', entityId: s.id, parent: { kind: 'job', id: 'job-1' }, op: 'set', fields: { lengthM: half } }),
        ...enteredAgain(s, `part-${(n += 1)}`, { lengthM: half, name: `${s.name} 2`.slice(0, 100) }),
      ];
    }
  }
}

/** There is something that the edit could be carried out on. */
export const applies = (facts: JobFacts, e: Edit): boolean => changesOf(facts, e).length > 0;

/** @returns the job after the edit; the same object when the product would have refused it */
export function edited(facts: JobFacts, e: Edit): JobFacts {
  let out: JobFacts | null = facts;
  for (const c of changesOf(facts, e)) {
    const next = applyChange(out, c);
    if (!next.ok) return facts;
    out = next.value;
  }
  return out === null || jobProblems(out, THIS_YEAR).length > 0 ? facts : out;
}
