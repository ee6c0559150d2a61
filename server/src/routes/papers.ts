import { z } from 'zod';
import { createDeriver, Id, sampleRegister } from '@roughsill/core';
import { registerCsv } from '@roughsill/core/import';
import type { FirmStore } from '../db/firm-store';
import { custodyPdf, labelsPdf, surveyPdf, type PaperInput } from '../pdf/papers';
import type { PhotoStore } from '../photos/photo-store';
import { HttpProblem } from '../problem';
import { route, type Route } from './route';

const JobId = z.strictObject({ jobId: Id });

export function paperRoutes(store: FirmStore, photos: PhotoStore, clock: () => Date): Route[] {
  const input = async (jobId: string): Promise<PaperInput> => {
    const facts = await store.load(jobId);
    if (!facts) throw new HttpProblem('not-found', `There is no job ${jobId}.`);
    const settings = await store.settings();
    const now = clock();
    return { facts, settings, now, plan: createDeriver().derive(facts, settings, now.getUTCFullYear()) };
  };
  const pdf = (name: string, summary: string, make: (i: PaperInput) => Promise<Buffer>): Route =>
    route(
      {
        method: 'get',
        path: `/api/jobs/{jobId}/${name}.pdf`,
        summary,
        params: JobId,
        reply: z.unknown(),
        produces: 'application/pdf',
        problems: ['not-found', 'database-away'],
      },
      async ({ params, res }) => {
        const bytes = await make(await input(params.jobId));
        res.setHeader('content-disposition', `inline; filename="${params.jobId}-${name}.pdf"`).type('application/pdf').send(bytes);
      },
    );
  return [
    pdf('survey', 'The hazard survey', (i) => surveyPdf(i, photos, store.firmId)),
    pdf('custody', 'The chain-of-custody sheet of samples that are taken and not answered', custodyPdf),
    pdf('labels', 'Labels for sample bags', labelsPdf),
    route(
      {
        method: 'get',
        path: '/api/jobs/{jobId}/samples.csv',
        summary: 'The sample register',
        params: JobId,
        reply: z.unknown(),
        produces: 'text/csv',
        problems: ['not-found', 'database-away'],
      },
      async ({ params, res }) => {
        const { facts, settings, now } = await input(params.jobId);
        res
          .setHeader('content-disposition', `attachment; filename="${params.jobId}-samples.csv"`)
          .type('text/csv')
          .send(registerCsv(sampleRegister(facts, settings, now.toISOString())));
      },
    ),
  ];
}
