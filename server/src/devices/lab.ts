/** A simulated laboratory: answers some days after a sample was sent, as the CSV that a lab would send. */
import { seeded, type FirmSettings, type JobFacts } from '@roughsill/core';
import { writeTable } from '@roughsill/core/import';
import { truthOf } from '@roughsill/demo';

export const LAB_NAME = 'Simulated laboratory';

export interface Lab {
  readonly name: string;
  readonly simulated: boolean;
  /** CSV of every answer that is ready, and how many samples are still on the bench. */
  answers(
    facts: JobFacts,
    settings: FirmSettings,
    now: Date,
  ): Promise<{ readonly csv: string; readonly ready: number; readonly waiting: number }>;
}

/** @param daySeconds how long a day of the lab takes here: 86,400 is true time, less is speeded up for the demo */
export function simulatedLab(daySeconds: number): Lab {
  return {
    name: LAB_NAME,
    simulated: true,
    async answers(facts, settings, now) {
      const rows: (string | number)[][] = [];
      let waiting = 0;
      for (const s of facts.surfaces) {
        for (const x of s.samples) {
          if (x.removedAt !== null || x.sentAt === null || x.lab !== LAB_NAME) continue;
          const readyAt = Date.parse(x.sentAt) + settings.labDays[x.hazard] * daySeconds * 1000;
          if (readyAt > now.getTime()) {
            waiting += 1;
            continue;
          }
          const random = seeded(`lab/${x.id}`);
          const t = truthOf(facts, s);
          const day = new Date(Math.min(readyAt, now.getTime())).toISOString();
          if (x.hazard === 'asbestos') {
            const pct = x.kind === 'blank' ? 0 : t.asbestosPct * (0.85 + 0.3 * random());
            rows.push([x.number, pct === 0 ? 'None detected' : pct < 0.5 ? 'trace' : pct.toFixed(1), '%', 'PLM', day, 'simulated']);
          } else {
            const reached = s.layers.filter((l) => x.reachedLayerIds.includes(l.id));
            const lead = reached.map((l) => t.coats[s.layers.indexOf(l)]?.leadPct ?? 0);
            // A chip of all coats is a mixture: the mean, weighed as if each coat were as thick.
            const pct = x.kind === 'blank' || lead.length === 0 ? 0 : lead.reduce((a, b) => a + b, 0) / lead.length;
            const measured = pct * (0.92 + 0.16 * random());
            rows.push([x.number, measured < 0.004 ? '<40' : (measured * 10_000).toFixed(0), 'ppm', 'AAS', day, 'simulated']);
          }
        }
      }
      return { csv: writeTable(['Sample', 'Result', 'Unit', 'Analysis', 'Date', 'Remark'], rows), ready: rows.length, waiting };
    },
  };
}
