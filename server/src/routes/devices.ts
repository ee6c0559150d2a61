import { z } from 'zod';
import { Id, MATERIALS, ReadingFields } from '@roughsill/core';
import type { FirmStore } from '../db/firm-store';
import type { Instrument } from '../devices/instrument';
import type { Lab } from '../devices/lab';
import { HttpProblem } from '../problem';
import { route, type Route } from './route';

const InstrumentLine = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.string(),
  simulated: z.boolean(),
  sheet: z.string(),
  checks: z.boolean(),
});

export function deviceRoutes(store: FirmStore, instruments: readonly Instrument[], lab: Lab, clock: () => Date): Route[] {
  const instrument = (id: string): Instrument => {
    const found = instruments.find((i) => i.id === id);
    if (!found) throw new HttpProblem('not-found', `There is no instrument ${id}.`);
    return found;
  };
  const facts = async (jobId: string) => {
    const found = await store.load(jobId);
    if (!found) throw new HttpProblem('not-found', `There is no job ${jobId}.`);
    return found;
  };
  return [
    route(
      {
        method: 'get',
        path: '/api/instruments',
        summary: 'Instruments within reach; those that ship are simulated',
        reply: z.object({ instruments: z.array(InstrumentLine), lab: z.object({ name: z.string(), simulated: z.boolean() }) }),
        problems: [],
      },
      () => ({
        instruments: instruments.map(({ id, name, kind, simulated, sheet, check }) => ({
          id,
          name,
          kind,
          simulated,
          sheet,
          checks: check !== undefined,
        })),
        lab: { name: lab.name, simulated: lab.simulated },
      }),
    ),
    route(
      {
        method: 'post',
        path: '/api/instruments/{instrumentId}/read',
        summary: 'Reads a surface. Nothing is recorded: the reading comes back for a person to look at',
        params: z.strictObject({ instrumentId: z.string() }),
        body: z.strictObject({
          jobId: Id,
          surfaceId: Id,
          depth: z.enum(['face', 'all']).default('all'),
          seconds: z.number().min(0, 'a time cannot be negative').max(3600).default(90),
          setTo: z.string().max(60).default(''),
        }),
        reply: z.object({ reading: ReadingFields.omit({ takenAt: true }), says: z.string(), simulated: z.boolean() }),
        problems: ['bad-request', 'not-found', 'database-away'],
      },
      async ({ params, body }) => {
        const device = instrument(params.instrumentId);
        const whole = await facts(body.jobId);
        const surface = whole.surfaces.find((s) => s.id === body.surfaceId);
        if (!surface) throw new HttpProblem('not-found', 'This surface is not on the job, or has not been sent yet.');
        return {
          ...(await device.read({ facts: whole, surface, depth: body.depth, seconds: body.seconds, setTo: body.setTo })),
          simulated: device.simulated,
        };
      },
    ),
    route(
      {
        method: 'post',
        path: '/api/instruments/{instrumentId}/check',
        summary: 'Reads the calibration film, or bare material with the film over it',
        params: z.strictObject({ instrumentId: z.string() }),
        body: z.strictObject({ material: z.enum(MATERIALS).nullable() }),
        reply: z.object({ values: z.array(z.number()), filmMgCm2: z.number(), tolerance: z.number() }),
        problems: ['bad-request', 'not-found'],
      },
      async ({ params, body }) => {
        const device = instrument(params.instrumentId);
        if (!device.check) throw new HttpProblem('bad-request', `${device.name} has no calibration film.`);
        return device.check(body.material);
      },
    ),
    route(
      {
        method: 'get',
        path: '/api/jobs/{jobId}/lab-answers',
        summary: 'What the lab has ready for a job, as the CSV that it sends',
        params: z.strictObject({ jobId: Id }),
        reply: z.object({ csv: z.string(), ready: z.number(), waiting: z.number(), lab: z.string(), simulated: z.boolean() }),
        problems: ['not-found', 'database-away'],
      },
      async ({ params }) => ({
        ...(await lab.answers(await facts(params.jobId), await store.settings(), clock())),
        lab: lab.name,
        simulated: lab.simulated,
      }),
    ),
  ];
}
