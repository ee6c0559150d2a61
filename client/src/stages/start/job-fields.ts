import { JobFields } from '@roughsill/core';

/** As the core has it, with today's calendar for "in the future". */
export const JobForm = JobFields.extend({
  yearBuilt: JobFields.shape.yearBuilt.refine((y) => y === null || y <= new Date().getFullYear(), {
    error: 'The year is in the future: check it.',
  }),
});

/** What is wrong with one fact of a job; undefined: nothing. */
export function jobProblem(field: string, value: unknown): string | undefined {
  const r = JobForm.shape[field as keyof typeof JobForm.shape].safeParse(value);
  return r.success ? undefined : r.error.issues[0]?.message;
}
