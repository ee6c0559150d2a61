/** One bounded pool of worker threads for everything that would hold up the others: plans, papers, files, pictures. */
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { HttpProblem } from '../problem';
import type { Answer, Task, WorkerPlace } from './tasks';

const THREADS = 3;
/** Whole-job work holds at most so many threads, so that a picture is never behind it. */
const LONG_THREADS = 2;
const LINE = 40;
const HEAP_MB = 1536;
/** A plan makes many short-lived objects: with room for them they are gone before they are looked at. */
const YOUNG_MB = 96;
const IDLE_MS = 60_000;
const MOST_MS: Readonly<Record<Task['kind'], number>> = {
  plan: 90_000,
  methods: 30_000,
  planFile: 90_000,
  paper: 90_000,
  register: 30_000,
  shopping: 30_000,
  file: 60_000,
  import: 120_000,
  picture: 20_000,
};

export interface Progress {
  readonly state: 'waiting' | 'running';
  /** How much is done, 0 to 1. */
  readonly share: number;
}

interface Named {
  progress: Progress;
  readonly stop: AbortController;
}

export interface RunOptions {
  /** By which it can be asked after and stopped. */
  readonly taskId?: string;
  /** Ends it when nobody waits for the answer any more. */
  readonly signal?: AbortSignal;
}

export class Crew {
  private readonly pool: Piscina<{ task: Task; port: unknown }, Answer>;
  private readonly named = new Map<string, Named>();
  private long = 0;
  private readonly line: (() => void)[] = [];

  constructor(workerFile: string, place: WorkerPlace) {
    this.pool = new Piscina({
      filename: workerFile,
      workerData: place,
      minThreads: 1,
      maxThreads: THREADS,
      idleTimeout: IDLE_MS,
      maxQueue: LINE,
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

  /** @returns false when there is no such work */
  stop(taskId: string): boolean {
    const found = this.named.get(taskId);
    found?.stop.abort();
    return found !== undefined;
  }

  /** @throws HttpProblem: what the worker found wrong, or that it was too much, too long, or stopped */
  async run(task: Task, { taskId, signal }: RunOptions = {}): Promise<Extract<Answer, { ok: true }>> {
    const stop = new AbortController();
    const named: Named = { progress: { state: 'waiting', share: 0 }, stop };
    if (taskId !== undefined) {
      if (this.named.has(taskId)) throw new HttpProblem('bad-request', 'This task id is in use.');
      this.named.set(taskId, named);
    }
    const end = () => stop.abort();
    signal?.addEventListener('abort', end);
    const isLong = task.kind !== 'picture';
    try {
      if (isLong) await this.turn(stop.signal);
      try {
        return await this.runNow(task, named);
      } finally {
        if (isLong) this.next();
      }
    } finally {
      signal?.removeEventListener('abort', end);
      if (taskId !== undefined) this.named.delete(taskId);
    }
  }

  private async turn(stopped: AbortSignal): Promise<void> {
    if (this.long < LONG_THREADS) {
      this.long += 1;
      return;
    }
    if (this.line.length >= LINE) throw new HttpProblem('busy', 'Too many papers are being made. Try again in a minute.');
    await new Promise<void>((resolve, reject) => {
      const go = () => (stopped.removeEventListener('abort', leave), resolve());
      const leave = () => {
        this.line.splice(this.line.indexOf(go), 1);
        reject(new HttpProblem('stopped', 'It was stopped before it began.'));
      };
      stopped.addEventListener('abort', leave, { once: true });
      this.line.push(go);
    });
  }

  private next(): void {
    const go = this.line.shift();
    if (go) go();
    else this.long -= 1;
  }

  private async runNow(task: Task, named: Named): Promise<Extract<Answer, { ok: true }>> {
    const { port1, port2 } = new MessageChannel();
    port1.on('message', (share: number) => (named.progress = { state: 'running', share }));
    port1.unref();
    let late = false;
    const limit = setTimeout(() => {
      late = true;
      named.stop.abort();
    }, MOST_MS[task.kind]);
    try {
      const answer = await this.pool.run({ task, port: port2 }, { transferList: [port2], signal: named.stop.signal });
      if (!answer.ok) throw new HttpProblem(answer.code, answer.detail, answer.errors);
      return answer;
    } catch (e) {
      if (e instanceof HttpProblem) throw e;
      if (late) throw new HttpProblem('too-heavy', 'It took longer than it may. Ask for less at once.');
      if (named.stop.signal.aborted) throw new HttpProblem('stopped', 'Nothing was changed.');
      const { code, message = '' } = e as { code?: string; message?: string };
      if (code === 'ERR_WORKER_OUT_OF_MEMORY')
        throw new HttpProblem('too-heavy', 'It needs more memory than it may. Ask for less at once.');
      if (/queue limit|Task queue is at/i.test(message)) throw new HttpProblem('busy', 'Too much is under way. Try again in a minute.');
      throw e;
    } finally {
      clearTimeout(limit);
      port1.close();
    }
  }

  close(): Promise<void> {
    return this.pool.destroy();
  }
}
