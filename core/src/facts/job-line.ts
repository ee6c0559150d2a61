import { z } from 'zod';
import { Id, Instant } from './schema';
import { JOB_STATES } from './vocabulary';

/** A job in the list of the firm's jobs. What an older server or app wrote of it lacks what came later. */
export const JobLine = z.object({
  id: Id,
  name: z.string(),
  place: z.string(),
  yearBuilt: z.number().nullable(),
  rulebook: z.enum(['us', 'uk']),
  sample: z.boolean(),
  createdAt: Instant,
  surfaces: z.number().int(),
  cursor: z.number().int(),
  siteId: Id.nullable().default(null),
  clientId: Id.nullable().default(null),
  clientName: z.string().default(''),
  jobState: z.enum(JOB_STATES).default('open'),
  startOn: z.string().nullable().default(null),
});
export type JobLine = z.infer<typeof JobLine>;
