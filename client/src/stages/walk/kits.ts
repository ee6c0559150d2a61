/** Rooms from kits, as one batch of changes. */
import { partDrafts, say, type ElementId, type JobFacts } from '@roughsill/core';
import { unfoldKit, type KitId } from '@roughsill/core/survey';
import { add, newId, type Draft } from '../../store';
import { cap } from '../../kit/text';
import { live, nextPosition } from './drafts';

/** "Bedroom", then "Bedroom 2": the first name that is free. */
function freeName(facts: JobFacts, name: string, taken: readonly string[]): string {
  const used = new Set([...live(facts.spaces).map((s) => s.name), ...taken]);
  if (!used.has(name)) return name;
  let n = 2;
  while (used.has(`${name} ${n}`)) n += 1;
  return `${name} ${n}`;
}

/** Rooms from a kit, as many as wanted. @returns the batch and the id of the first room */
export function kitDrafts(
  facts: JobFacts,
  kit: KitId,
  times: number,
): { readonly first: string; readonly names: readonly string[]; readonly drafts: Draft[] } {
  const names: string[] = [];
  const drafts: Draft[] = [];
  let first = '';
  for (let i = 0; i < times; i += 1) {
    const name = freeName(facts, say(kit) === 'elevation' ? 'Side of the house' : cap(say(kit)), names);
    names.push(name);
    const spaceId = newId();
    first ||= spaceId;
    const made = unfoldKit(kit, name, nextPosition(facts.spaces) + i, (e: ElementId) => cap(say(e)), facts.job.units);
    drafts.push(add('space', made.space, undefined, spaceId));
    for (const s of made.surfaces) {
      const surfaceId = newId();
      drafts.push(add('surface', { ...s, spaceId }, undefined, surfaceId), ...partDrafts(s.element).map((p) => add('part', p, surfaceId)));
    }
  }
  return { first, names, drafts };
}
