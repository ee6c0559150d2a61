/** The bench over HTTP: nothing is recorded, no job is needed. */
import { z } from 'zod';
import { RangedError } from '@roughsill/core/air';
import { LabelSheet, QUESTION_IDS, QUESTIONS, Refused } from '@roughsill/core/prepare';
import { labelsPdf } from '../pdf/bottle-labels';
import { HttpProblem } from '../problem';
import { route, type Route } from './route';

/** A refusal names the field that it is about, where there is one. */
function asked<T>(answer: () => T): T {
  try {
    return answer();
  } catch (e) {
    if (e instanceof RangedError && !(e instanceof Refused)) throw new HttpProblem('does-not-fit', `${e.message}.`);
    if (!(e instanceof Refused)) throw e;
    const { refusal } = e;
    throw new HttpProblem('does-not-fit', e.message, 'what' in refusal ? [{ path: refusal.what, message: e.message }] : [], {
      refusal: refusal.id,
    });
  }
}

export function benchRoutes(): Route[] {
  return [
    ...QUESTION_IDS.map((id) =>
      route(
        {
          method: 'post',
          path: `/api/bench/${id}`,
          summary: QUESTIONS[id].summary,
          body: QUESTIONS[id].asks,
          reply: z.looseObject({ says: z.array(z.string()) }),
          problems: ['bad-request', 'does-not-fit'],
        },
        ({ body }) => asked(() => QUESTIONS[id].answer(body)),
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
        problems: ['bad-request', 'does-not-fit'],
      },
      async ({ body, res }) => {
        const done = await asked(() => labelsPdf(body));
        res.setHeader('content-disposition', 'inline; filename="bottle-labels.pdf"').type('application/pdf').send(done);
      },
    ),
  ];
}
