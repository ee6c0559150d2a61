/** When a coat may go on: each one that a chain begins is held against the weather itself, hour by hour, without the bands. Law C3. */
import { specsOf } from '../../../../core/src/coat';
import {
  bodyOf,
  insideHours,
  outlookOf,
  outsideHours,
  REGION_IDS,
  simulatedWeather,
  summerH,
  USUAL_HOURS,
  type CoatedFace,
} from '../../../../core/src/weather';
import type { Run } from '../run';
import type { Law } from './law';

const HOURS = 120;
const HOUR_MS = 3_600_000;
/** WMO, over water: what stands in ISO 8502-4. */
function dewC(airC: number, rhPct: number): number {
  const g = Math.log(Math.max(1, rhPct) / 100) + (17.62 * airC) / (243.12 + airC);
  return (243.12 * g) / (17.62 - g);
}

/** Of the first zone of a job that is coated: another zone is another draw. */
function begunWrong(run: Run): string[] {
  const zone = run.job.zones.find((z) => z.surfaceIds.some((id) => (run.plans.get(id)?.coating.lines.length ?? 0) > 0));
  if (zone === undefined) return [];
  const faces = zone.surfaceIds.flatMap((id): CoatedFace[] => {
    const { name, material } = run.facts.surfaces.find((s) => s.id === id)!;
    const specs = specsOf(run.plans.get(id)!.coating.lines);
    return specs.length === 0 ? [] : [{ surfaceId: id, name, material, specs, shade: 'mid', bareMostH: null }];
  });
  const { job } = run.facts;
  const draw = zone.zoneId.length + run.facts.surfaces.length + faces.length;
  const w = simulatedWeather(
    `${job.samplingSeed}${draw}`,
    REGION_IDS[draw % REGION_IDS.length]!,
    Date.UTC(2026, (draw * 5) % 12, 3),
    HOURS,
  );
  const room = { heatedC: draw % 2 === 0 ? 16 : null, airChangesH: 2, volumeM3: 40, waterGH: 100, driedGH: 0 };
  const side = { facing: 's', shade: 'mid', shaded: [] } as const;
  const kind = zone.kind === 'elevation' ? 'elevation' : 'room';
  const working = { ...USUAL_HOURS, timeZone: job.timeZone };
  const { chain, coats } = outlookOf(w, kind, faces, { outside: side, room, fRsi: 0.7 }, working);
  const out: string[] = [];
  if (chain.stopped === null && chain.coats.length !== Math.max(...faces.map((f) => f.specs.length))) out.push('the chain forgets a coat');
  if (coats.length !== Math.max(...faces.map((f) => f.specs.length))) out.push('a coat has no bands');
  for (const [i, c] of chain.coats.entries()) {
    const below = chain.coats[i - 1];
    if (below && c.startH < below.readyH) out.push(`coat ${i + 1} begins in hour ${c.startH}, the one below is ready in ${below.readyH}`);
    for (const f of faces) {
      const spec = f.specs[i];
      if (spec === undefined) continue;
      const hours = kind === 'room' ? insideHours(w, room, 0.7, working) : outsideHours(w, { ...side, body: bodyOf(f.material) }, working);
      for (let h = c.startH; h < Math.min(HOURS, c.startH + Math.ceil(spec.strokeH)); h += 1) {
        const at = w.startMs + h * HOUR_MS;
        const wall = (((Math.floor(at / HOUR_MS) + Math.round(w.longitude / 15) + Math.round(summerH(at, job.timeZone))) % 24) + 24) % 24;
        const where = `${f.name}, coat ${i + 1}, hour ${h}`;
        const face = hours.faceC[h]!;
        if (wall < USUAL_HOURS.from || wall >= USUAL_HOURS.to) out.push(`${where}: laid at ${wall} o’clock`);
        if (face < spec.faceC.least - 1e-9 || face > spec.faceC.most + 1e-9) out.push(`${where}: a face of ${face} C`);
        if (face - dewC(hours.airC[h]!, hours.rhPct[h]!) < 3 - 0.05) out.push(`${where}: too near the dew point`);
        if (kind === 'elevation' && w.rainMm[h]! > 0) out.push(`${where}: in the rain`);
      }
    }
  }
  return out;
}

export const WINDOW_LAWS: readonly Law[] = [
  { id: 'C3y', says: 'no coat begins in an hour that one of its limits bars, or before the one below is ready', check: begunWrong },
];
