/** The hazard survey of a job in plain data: what stands where, what was sampled, what each answer allows. Print, PDF and command line read this. */
import { assessArea, assessGroups } from '../job/assess';
import type { JobFacts, Surface } from '../facts';
import { comesBack, fanVerdict, loggedSays, outlook, PINE, simulatedClimate, spotClimate, wantedFan } from '../moist';
import { digestOf, todaySurface } from '../job/digest';
import type { JobPlan } from '../job/plan';
import { blockedMethods, sampleRegister, todayOf, type AsbestosArea } from '../probe';
import { samplePoints } from '../probe/asbestos';
import { moldPicture } from '../probe/mold';
import { builtClass, drawDwellings, dwellingsToTest } from '../probe/multifamily';
import { say } from '../reasons';
import { bookOf, type FirmSettings } from '../rulebook';
import { answerText, resultText, standingText } from '../probe';
import { formatMeasure, measure } from '../units/units';
import { siteDuties } from '../walk/duties';
import type { Reporter } from './reporter';

/** A place on a face in words a person can find with a tape: along from the left, up from the bottom. */
export function placeText(s: Surface, x: number, y: number, units: 'ft' | 'm'): string {
  const len = (m: number) => formatMeasure(measure(Number(m.toFixed(2)), 'm'), units);
  return `${len(s.lengthM * x)} along, ${len(s.widthM * y)} up`;
}

export function surveyReport(facts: JobFacts, plan: JobPlan, settings: FirmSettings, now: string, { stated, reasons }: Reporter) {
  const { job } = facts;
  const thisYear = new Date(now).getUTCFullYear();
  const rules = bookOf(job);
  const byId = new Map(facts.surfaces.map((s) => [s.id, s]));
  const spaceName = new Map(facts.spaces.map((s) => [s.id, s.name]));
  const nameOf = (id: string) => byId.get(id)?.name ?? id;
  const register = sampleRegister(facts, settings, now);
  const digest = digestOf(facts, plan);
  const today = todayOf(digest.surfaces.map(todaySurface), register);
  const built = builtClass(job.yearBuilt);
  const seed = job.samplingSeed.trim();

  const areaReport = (area: AsbestosArea) => {
    const { decision } = assessArea(area, facts, settings);
    return {
      material: say(area.kind),
      year: area.year,
      surfaces: area.members.map((m) => nameOf(m.surfaceId)),
      size: formatMeasure(area.runM === null ? measure(area.totalM2, 'm2') : measure(area.runM, 'm'), job.units),
      samplesNeeded: stated(area.needed),
      state: stated(area.state),
      rung: area.standing.rung,
      known: standingText(area.standing, job.units),
      places:
        seed === ''
          ? []
          : samplePoints(area, seed).map((p) => {
              const s = byId.get(p.surfaceId)!;
              return { surfaceId: p.surfaceId, surface: s.name, x: p.x, y: p.y, at: placeText(s, p.x, p.y, job.units) };
            }),
      samples: area.samples.map((x) => ({
        number: x.sample.number,
        surface: nameOf(x.surfaceId),
        answer: answerText(x.answer, x.reading, job.units),
      })),
      decision: decision && { ...decision.value, because: reasons(decision.because) },
    };
  };

  return {
    rules: rules.name,
    today: {
      clear: today.clear,
      low: today.low,
      assumed: today.assumed,
      waiting: today.waiting,
      found: today.found,
      notToBeTouched: today.stopped.map(nameOf),
      setUpFirst: today.controlled.map(nameOf),
      blockedMethods: blockedMethods(digest.surfaces).map((b) => ({ method: say(b.methodId), surfaces: b.surfaces })),
    },
    duties: reasons(siteDuties(facts)),
    seed: seed === '' ? null : seed,
    dwellings:
      job.dwellings !== null && job.dwellings > 1
        ? {
            of: job.dwellings,
            built,
            toTest: dwellingsToTest(job.dwellings, built),
            drawn: seed === '' ? [] : drawDwellings(job.dwellings, built, seed),
          }
        : null,
    lead: assessGroups(facts, plan, settings, thisYear).map((g) => ({
      space: spaceName.get(g.group.spaceId) ?? '',
      surfaces: g.group.surfaceIds.map(nameOf),
      pieces: g.group.pieces,
      testsNeeded: stated(g.group.needed),
      state: g.state,
      chance: stated(g.chance),
      decision: g.decision && { ...g.decision.value, because: reasons(g.decision.because) },
    })),
    asbestos: plan.areas.map(areaReport),
    mold: facts.spaces
      .filter((s) => s.removedAt === null)
      .flatMap((space) => {
        const surfaces = facts.surfaces.filter((s) => s.spaceId === space.id && s.removedAt === null);
        const m = moldPicture(space, surfaces, rules);
        if (m.size.value === 'none' && m.moisture.length === 0) return [];
        const facts_ = space.moisture;
        const floor = surfaces.find((s) => s.element === 'ceiling');
        const floorM2 = (space.lengthM ?? floor?.lengthM ?? 0) * (space.widthM ?? floor?.widthM ?? 0);
        const now_ = facts_ && outlook(facts_, space, simulatedClimate(seed || job.id), PINE, [], job.rulebook);
        return [
          {
            space: space.name,
            extent: formatMeasure(measure(m.extentM2, 'm2'), job.units),
            size: stated(m.size),
            condition: stated(m.condition),
            containment: stated(m.containment),
            equipment: stated(m.equipment),
            cause: stated(m.cause),
            open: m.questions.map(say),
            moisture: m.moisture.map((x) => ({ surface: nameOf(x.surfaceId), ...stated(x.verdict) })),
            spot: facts_ && { ...spotClimate(facts_), risk: stated(spotClimate(facts_).risk) },
            fan: facts_ && {
              ...stated(fanVerdict(facts_, floorM2, job.rulebook)),
              wantedM3h: wantedFan(facts_.fanRoom, floorM2, job.rulebook),
            },
            logged: facts_?.logged ? loggedSays(facts_.logged, job.units) : null,
            outlook: now_ && {
              ...stated(comesBack(now_, facts_, m.size.value !== 'none')),
              peak: now_.peak,
              firstWeek: now_.firstWeek,
              seenWeek: now_.seenWeek,
              dampestMonthRhPct: now_.dampestMonthRhPct,
              climate: 'simulated year of a temperate coast',
            },
          },
        ];
      }),
    register: {
      counts: register.counts,
      money: register.money,
      samples: register.lines.map((l) => ({
        number: l.sample.number,
        hazard: l.sample.hazard,
        kind: l.sample.kind,
        space: l.spaceName,
        surface: l.surfaceName,
        place: l.sample.place,
        state: l.state,
        takenAt: l.sample.takenAt,
        sentAt: l.sample.sentAt,
        dueAt: l.dueAt,
        verdict: l.answer,
        result: l.result ? resultText(l.result, job.units) : null,
        /** In words, against its limit. */
        answer: answerText(l.answer, l.result, job.units),
        because: l.because === null ? [] : reasons([l.because]),
        numberTwice: l.numberTwice,
        answersDiffer: l.answersDiffer,
        doubt: l.doubt,
      })),
    },
    instruments: facts.instrumentChecks.map((k) => ({
      device: k.device,
      what: say(k.what),
      material: k.material,
      mean: k.values.reduce((a, b) => a + b, 0) / k.values.length,
      film: k.filmMgCm2,
      tolerance: k.tolerance,
      at: k.takenAt,
    })),
    photographs: facts.photos
      .filter((p) => p.removedAt === null)
      .map((p) => ({
        hash: p.hash,
        caption: p.caption,
        surface: p.ofSurfaceId ? nameOf(p.ofSurfaceId) : null,
        width: p.width,
        height: p.height,
        marks: p.marks,
      })),
  };
}
export type SurveyReport = ReturnType<typeof surveyReport>;
