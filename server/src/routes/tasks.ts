/** Work beside the requests, asked after and stopped by the id that its asker gave it. */
import type { Response } from 'express';
import { z } from 'zod';
import { Id } from '@roughsill/core';
import type { Crew } from '../beside/crew';
import type { Task } from '../beside/tasks';
import { HttpProblem } from '../problem';
import { route, type Route } from './route';

/** `task`: an id made by the asker, by which the work can be asked after and stopped while it runs. */
export const TaskQuery = z.strictObject({ task: Id.optional() });

/** Ends when nobody is there for the answer any more. */
function whileWaiting(res: Response): AbortSignal {
  const gone = new AbortController();
  res.on('close', () => {
    if (!res.writableFinished) gone.abort();
  });
  return gone.signal;
}

/** Runs a task that makes bytes. @returns nothing when the asker has left */
export async function runOf(crew: Crew, res: Response, taskId: string | undefined, task: Task): Promise<Buffer | undefined> {
  const done = await runWhole(crew, res, taskId, task);
  return done && 'bytes' in done ? Buffer.from(done.bytes.buffer, done.bytes.byteOffset, done.bytes.byteLength) : undefined;
}

export async function runWhole(crew: Crew, res: Response, taskId: string | undefined, task: Task) {
  const signal = whileWaiting(res);
  try {
    return await crew.run(task, { taskId, signal });
  } catch (e) {
    if (signal.aborted) return undefined;
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
        problems: ['bad-request', 'not-found'],
      },
      ({ params: { taskId } }) => {
        if (!crew.stop(taskId)) throw gone();
        return { stopped: true };
      },
    ),
  ];
}
