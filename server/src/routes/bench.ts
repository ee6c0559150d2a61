/** The bench over HTTP: nothing is recorded, no job is needed. Reckoned beside the requests, for a simulation takes its time. */
import { z } from 'zod';
import { LabelSheet, QUESTION_IDS, QUESTIONS } from '@roughsill/core/prepare';
import type { Crew } from '../pool/worker-pool';
import { route, type Route } from './route';
import { runOf } from './tasks';

export function benchRoutes(crew: Crew): Route[] {
  return [
    ...QUESTION_IDS.map((id) =>
      route(
        {
          method: 'post',
          path: `/api/bench/${id}`,
          summary: QUESTIONS[id].summary,
          body: QUESTIONS[id].asks,
          reply: z.looseObject({ says: z.array(z.string()) }),
          problems: ['bad-request', 'does-not-fit', 'busy'],
        },
        async (call) => {
          const done = await runOf(crew, call, { kind: 'bench', question: id, asked: call.body });
          if (done) call.res.type('json').send(done);
        },
      ),
    ),
    route(
      {
        method: 'post',
        path: '/api/bench/labels.pdf',
        summary: 'A sheet of labels for bottles that were filled here, in English and Spanish',
        body: LabelSheet,
        reply: z.unknown(),
        produces: 'application/pdf',
        problems: ['bad-request', 'does-not-fit', 'too-heavy', 'busy'],
      },
      async (call) => {
        const done = await runOf(crew, call, { kind: 'bottleLabels', sheet: call.body });
        if (done) call.res.setHeader('content-disposition', 'inline; filename="bottle-labels.pdf"').type('application/pdf').send(done);
      },
    ),
  ];
}
