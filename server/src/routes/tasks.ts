/** Work beside the requests, asked after and stopped by the id that its asker gave it. */
import { z } from 'zod';
import { Id } from '@roughsill/core';
import type { Crew } from '../pool/worker-pool';
import type { Task } from '../pool/tasks';
import { HttpProblem } from '../problem';
import { route, type Call, type Route } from './route';

/** `task`: an id made by the asker, by which the work can be asked after and stopped while it runs. */
export const TaskQuery = z.strictObject({ task: Id.optional() });

type Asker = Pick<Call<unknown, unknown, unknown>, 'query' | 'gone' | 'client'>;

/** Runs a task that makes bytes. @returns nothing when the asker has left */
export async function runOf(crew: Crew, asker: Asker, task: Task): Promise<Buffer | undefined> {
  const done = await runWhole(crew, asker, task);
  return done && 'bytes' in done ? Buffer.from(done.bytes.buffer, done.bytes.byteOffset, done.bytes.byteLength) : undefined;
}

export async function runWhole(crew: Crew, { query, gone, client }: Asker, task: Task) {
  try {
    return await crew.run(task, { taskId: (query as { task?: string } | undefined)?.task, signal: gone, client });
  } catch (e) {
    if (gone.aborted) return undefined;
    throw e;
  }
}

export function taskRoutes(crew: Crew): Route[] {
  const params = z.strictObject({ taskId: Id });
  const gone = () => new HttpProblem('not-found', 'No such work is under way: it is done, or was never begun.');
  return [
    route(
      {
        method: 'get',
        path: '/api/tasks/{taskId}',
        summary: 'How far a plan, a paper or an import is',
        params,
        reply: z.object({ state: z.enum(['waiting', 'running']), share: z.number() }),
        problems: ['bad-request', 'not-found'],
      },
      ({ params: { taskId } }) => {
        const progress = crew.progress(taskId);
        if (!progress) throw gone();
        return progress;
      },
    ),
    route(
      {
        method: 'delete',
        path: '/api/tasks/{taskId}',
        summary: 'Stops a plan, a paper or an import; nothing of it stays',
        params,
        reply: z.object({ stopped: z.literal(true) }),
        problems: ['bad-request', 'not-found', 'too-late'],
      },
      ({ params: { taskId } }) => {
        const stopped = crew.stop(taskId);
        if (stopped === undefined) throw gone();
        if (!stopped) throw new HttpProblem('too-late', 'It is being written just now. Look at what comes of it.');
        return { stopped: true };
      },
    ),
  ];
}
