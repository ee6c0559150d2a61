/** Asbestos in coatings, by element and age. Sampling comes with the lab register; until then untested means present. */
import type { SurfaceContext } from '../context';
import { answer, why, type Answer } from '../reasons';
import { measure } from '../units/units';
import type { StackCoat } from './stack';
import type { HazardState } from './state';

/** 29 CFR 1926.1101(b): surfacing material installed no later than 1980 is presumed; UK: all uses banned from 1999-11-24. */
export function asbestosPicture(stack: readonly StackCoat[], ctx: SurfaceContext): Answer<HazardState> {
  const { is: limit, source } = ctx.rulebook.asbestosPresumedThrough;
  const textured = stack.find((c) => c.binder === 'textured');
  if (!textured) return answer('notFound', why('asbestos.notSuspect', source));
  const year = textured.yearApplied ?? ctx.builtYear;
  if (year === null) return answer('unknown', why('asbestos.ageUnknown', source, { limit }));
  if (year <= limit.value) return answer('assumed', why('asbestos.presumed', source, { built: [measure(year, 'year'), limit] }));
  return answer('notFound', why('asbestos.afterBan', source, { built: [measure(year, 'year'), limit] }));
}
