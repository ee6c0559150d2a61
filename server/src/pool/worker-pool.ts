/** One bounded pool of worker threads for everything that would hold up the others: plans, papers, files, pictures. */
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { HttpProblem } from '../problem';
import { Line, type Room } from './queue';
import { MAY_WRITE, type Answer, type Task, type WorkerPlace } from './tasks';

/** Whole-job work holds at most so many threads, each client half of them; what is short has one of its own and never stands behind it. */
const WHOLE: Room = { places: 2, placesEach: 1, line: 40, lineEach: 10, waitMs: 60_000 };
const SHORT: Room = { places: 1, placesEach: 1, line: 60, lineEach: 30, waitMs: 30_000 };
const HEAP_MB = 1536;
/** A plan makes many short-lived objects: with room for them they are gone before they are looked at. */
const YOUNG_MB = 96;
const IDLE_MS = 60_000;
/** How long each may work; waiting for a thread is no part of it. */
const MOST_MS: Readonly<Record<Task['kind'], number>> = {
  plan: 90_000,
  methods: 30_000,
  planFile: 90_000,
  paper: 90_000,
  bottleLabels: 60_000,
  register: 30_000,
  shopping: 30_000,
  file: 60_000,
  import: 120_000,
  shelf: 60_000,
  picture: 20_000,
  bench: 10_000,
};
const IS_SHORT: ReadonlySet<Task['kind']> = new Set(['picture', 'bench']);

export interface Progress {
  readonly state: 'waiting' | 'running';
  /** How much is done, 0 to 1. */
  readonly share: number;
}

interface Named {
  progress: Progress;
  /** It asks for it; from the moment in which it writes, nothing stops it. */
  readonly stop: AbortController;
  writing: boolean;
}

export interface RunOptions {
  /** By which it can be asked after and stopped. */
  readonly taskId?: string;
  /** Ends it when nobody waits for the answer any more. */
  readonly signal?: AbortSignal;
  /** Who asks: each has a share. */
  readonly client?: string;
}

export class Crew {
  private readonly pool: Piscina<{ task: Task; port: unknown }, Answer>;
  private readonly named = new Map<string, Named>();
  private readonly whole = new Line(WHOLE);
  private readonly short = new Line(SHORT);

  constructor(workerFile: string, place: WorkerPlace) {
    this.pool = new Piscina({
      filename: workerFile,
      workerData: place,
      minThreads: 1,
      maxThreads: WHOLE.places + SHORT.places,
      idleTimeout: IDLE_MS,
      resourceLimits: { maxOldGenerationSizeMb: HEAP_MB, maxYoungGenerationSizeMb: YOUNG_MB },
      // A worker's own warnings go nowhere that a request could see.
      recordTiming: false,
      // A thread that sleeps between tasks would not hear that its database connection has died.
      atomics: 'disabled',
    });
    this.pool.on('error', () => undefined);
  }

  progress(taskId: string): Progress | undefined {
    return this.named.get(taskId)?.progress;
  }

  /** @returns whether it is stopped; undefined when there is no such work */
  stop(taskId: string): boolean | undefined {
    const found = this.named.get(taskId);
    if (!found) return undefined;
    found.stop.abort();
    return !found.writing;
  }

  /** @throws HttpProblem: what the worker found wrong, or that it was too much, too long, or stopped */
  async run(task: Task, { taskId, signal, client = '' }: RunOptions = {}): Promise<Extract<Answer, { ok: true }>> {
    const named: Named = { progress: { state: 'waiting', share: 0 }, stop: new AbortController(), writing: false };
    if (taskId !== undefined) {
      if (this.named.has(taskId)) throw new HttpProblem('bad-request', 'This task id is in use.');
      this.named.set(taskId, named);
    }
    const end = () => named.stop.abort();
    if (signal?.aborted) end();
    signal?.addEventListener('abort', end, { once: true });
    try {
      const leave = await (IS_SHORT.has(task.kind) ? this.short : this.whole).enter(client, named.stop.signal);
      try {
        return await this.runNow(task, named);
      } finally {
        leave();
      }
    } finally {
      signal?.removeEventListener('abort', end);
      if (taskId !== undefined) this.named.delete(taskId);
    }
  }

  private async runNow(task: Task, named: Named): Promise<Extract<Answer, { ok: true }>> {
    const { port1, port2 } = new MessageChannel();
    const kill = new AbortController();
    let late = false;
    const onStop = () => {
      if (!named.writing) kill.abort();
    };
    named.stop.signal.addEventListener('abort', onStop, { once: true });
    port1.on('message', (word: number | typeof MAY_WRITE) => {
      if (word !== MAY_WRITE) return void (named.progress = { state: 'running', share: word });
      // Answered or stopped, never both: what is written is never told as if it were not.
      if (named.stop.signal.aborted || late) return;
      named.writing = true;
      port1.postMessage(MAY_WRITE);
    });
    port1.unref();
    const limit = setTimeout(() => {
      if (named.writing) return;
      late = true;
      kill.abort();
    }, MOST_MS[task.kind]);
    try {
      const answer = await this.pool.run({ task, port: port2 }, { transferList: [port2], signal: kill.signal });
      if (!answer.ok) throw new HttpProblem(answer.code, answer.detail, answer.errors, answer.more);
      return answer;
    } catch (e) {
      if (e instanceof HttpProblem) throw e;
      if (named.writing)
        throw new HttpProblem(
          'our-fault',
          'It broke off while it was written. Look whether it is there before you send it again.',
          [],
          {},
          e,
        );
      if (late) throw new HttpProblem('too-heavy', 'It took longer than it may. Ask for less at once.');
      if (kill.signal.aborted) throw new HttpProblem('stopped', 'Nothing was changed.');
      const { code } = e as { code?: string };
      if (code === 'ERR_WORKER_OUT_OF_MEMORY')
        throw new HttpProblem('too-heavy', 'It needs more memory than it may. Ask for less at once.');
      throw e;
    } finally {
      clearTimeout(limit);
      named.stop.signal.removeEventListener('abort', onStop);
      port1.close();
    }
  }

  close(): Promise<void> {
    return this.pool.destroy();
  }
}
