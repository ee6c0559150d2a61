/** Whose turn it is: one writer a job, and only so many writers at all, so that a job that is held up never takes the connections of the others. */
import { HttpProblem } from '../problem';

const busy = () => new HttpProblem('busy', 'Somebody else is writing to this job. It will be tried again.');

interface Waiting {
  readonly go: () => void;
  readonly timer: NodeJS.Timeout;
}

/** So many at once; the others wait in line, each at most so long. */
class Gate {
  private inside = 0;
  private readonly line: Waiting[] = [];

  constructor(private readonly most: number) {}

  get idle(): boolean {
    return this.inside === 0 && this.line.length === 0;
  }

  async enter(waitMs: number): Promise<void> {
    if (this.inside < this.most) {
      this.inside += 1;
      return;
    }
    await new Promise<void>((resolve, reject) => {
      const place: Waiting = {
        go: () => (clearTimeout(place.timer), resolve()),
        timer: setTimeout(() => {
          this.line.splice(this.line.indexOf(place), 1);
          reject(busy());
        }, waitMs),
      };
      this.line.push(place);
    });
  }

  leave(): void {
    const next = this.line.shift();
    if (next) next.go();
    else this.inside -= 1;
  }
}

export class Turns {
  private readonly jobs = new Map<string, Gate>();
  private readonly writers: Gate;

  /** @param writers writers at once over all jobs; fewer than there are connections, so that reading goes on */
  constructor(
    writers: number,
    private readonly waitMs: number,
  ) {
    this.writers = new Gate(writers);
  }

  /** @throws HttpProblem `busy` when the turn does not come in time */
  async take<T>(jobId: string, work: () => Promise<T>): Promise<T> {
    let gate = this.jobs.get(jobId);
    if (!gate) this.jobs.set(jobId, (gate = new Gate(1)));
    await gate.enter(this.waitMs);
    try {
      await this.writers.enter(this.waitMs);
      try {
        return await work();
      } finally {
        this.writers.leave();
      }
    } finally {
      gate.leave();
      if (gate.idle) this.jobs.delete(jobId);
    }
  }
}
