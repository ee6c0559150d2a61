/**
 * Who waits for a thread. So many are inside; the others stand in a line for each client, and the clients take turns: however much one asks
 * for, another is behind no more than what is under way.
 */
import { HttpProblem } from '../problem';

interface Waiting {
  readonly client: string;
  readonly go: () => void;
}

export interface Room {
  /** Inside at once. */
  readonly places: number;
  /** Of those for one client. */
  readonly placesEach: number;
  /** Waiting at once. */
  readonly line: number;
  /** Of those for one client. */
  readonly lineEach: number;
  /** Who waits longer is told to come again, ms. */
  readonly waitMs: number;
}

const busy = () => new HttpProblem('busy', 'Too much is being made just now. Try again in a minute.');

export class Line {
  private readonly inside = new Map<string, number>();
  private all = 0;
  /** In the order in which their clients come next. */
  private waiting: Waiting[] = [];

  constructor(private readonly room: Room) {}

  private mayEnter(client: string): boolean {
    return this.all < this.room.places && (this.inside.get(client) ?? 0) < this.room.placesEach;
  }

  private enterNow(client: string): void {
    this.all += 1;
    this.inside.set(client, (this.inside.get(client) ?? 0) + 1);
  }

  /**
   * @returns what is called when the place is free again, once
   * @throws HttpProblem `busy` when the line is full or stands too long, `stopped` when nobody waits any more
   */
  async enter(client: string, stopped: AbortSignal): Promise<() => void> {
    const stop = () => new HttpProblem('stopped', 'It was stopped before it began. Nothing was changed.');
    if (stopped.aborted) throw stop();
    if (this.mayEnter(client)) this.enterNow(client);
    else {
      const { line, lineEach, waitMs } = this.room;
      if (this.waiting.length >= line || this.waiting.filter((w) => w.client === client).length >= lineEach) throw busy();
      await new Promise<void>((resolve, reject) => {
        const leave = (why: HttpProblem) => {
          this.waiting = this.waiting.filter((w) => w !== place);
          done();
          reject(why);
        };
        const onStop = () => leave(stop());
        const timer = setTimeout(() => leave(busy()), waitMs);
        const done = () => {
          clearTimeout(timer);
          stopped.removeEventListener('abort', onStop);
        };
        const place: Waiting = { client, go: () => (done(), resolve()) };
        stopped.addEventListener('abort', onStop, { once: true });
        this.waiting.push(place);
      });
    }
    let left = false;
    return () => {
      if (left) return;
      left = true;
      this.leave(client);
    };
  }

  private leave(client: string): void {
    this.all -= 1;
    const rest = this.inside.get(client)! - 1;
    if (rest === 0) this.inside.delete(client);
    else this.inside.set(client, rest);
    // Whoever had a place goes behind those who had none.
    this.goBehind(client);
    const next = this.waiting.find((w) => this.mayEnter(w.client));
    if (!next) return;
    this.waiting = this.waiting.filter((w) => w !== next);
    this.goBehind(next.client);
    this.enterNow(next.client);
    next.go();
  }

  private goBehind(client: string): void {
    const own = this.waiting.filter((w) => w.client === client);
    this.waiting = [...this.waiting.filter((w) => w.client !== client), ...own];
  }
}
