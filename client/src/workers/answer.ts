/** What the worker answers; apart from it, so that a test may ask without one. */
import { createDeriver, digestOf, type JobPlan, limitSetOf, moneyIn, shoppingOf, specsOf, spellAs } from '@roughsill/core';
import { airDuties } from '@roughsill/core/air';
import { readyOnDay, shiftsOf, tasksOn, zoneDay } from '@roughsill/core/zone-day';
import { certainties, changedBetween, compareMethods, sensitivity } from '@roughsill/core/compare';
import { wasteOf } from '@roughsill/core/waste';
import { bareMostH, SHADE_OF } from '@roughsill/core/weather';
import { clientPage, shoppingPaper } from '@roughsill/core/report';
import type { Answers, Ask, AskKind, Breathing, BreathingZone, CoatedZone, Standing } from './ask-protocol';

function breathingIn({ facts, settings }: Standing, thisYear: number): Breathing {
  const plan = createDeriver().derive(facts, settings, thisYear);
  return {
    zones: leadZones({ facts, settings }, plan),
    places: plan.zones.map(({ zoneId, name }) => ({ zoneId, name })),
    shifts: shiftsOf(facts, plan, settings),
  };
}

/** Zones in which lead is met; the others have no day to be held against its limit. */
function leadZones({ facts, settings }: Standing, plan: JobPlan): BreathingZone[] {
  const { job } = facts;
  const set = limitSetOf(job.rulebook, job.stateLayer);
  return plan.zones.flatMap((zone) => {
    if (zone.protection.care !== 'lead') return [];
    const day = zoneDay(zone, plan.surfaces, settings, set);
    if (day === null) return [];
    const measured = zone.protection.exposure.because.some((r) => r.rule === 'exposure.measured');
    const days = facts.airSamples
      .filter((a) => a.removedAt === null && a.massUg !== null && zone.surfaceIds.includes(a.onSurfaceId))
      .map((a) => a.startedAt.slice(0, 10))
      .sort();
    const mask = zone.protection.respirator.value;
    return [
      {
        zoneId: zone.zoneId,
        name: zone.name,
        day,
        mask,
        measured,
        duties: day.lead
          ? airDuties({
              day: day.lead,
              set,
              presumed: !measured,
              masked: mask !== null,
              startOn: job.startOn,
              lastSampleOn: days.at(-1) ?? null,
            })
          : [],
        tasks: plan.surfaces
          .filter((p) => zone.working.includes(p.surfaceId))
          .flatMap((p) =>
            tasksOn(p).map((methodId) => ({
              surfaceId: p.surfaceId,
              surface: facts.surfaces.find((s) => s.id === p.surfaceId)!.name,
              methodId,
            })),
          ),
      },
    ];
  });
}

function coatsIn({ facts, settings }: Standing, thisYear: number): readonly CoatedZone[] {
  const plan = createDeriver().derive(facts, settings, thisYear);
  const sizeOf = (ids: readonly string[]): number | null => {
    const rooms = facts.spaces.filter((s) => ids.includes(s.id));
    const volumes = rooms.map((s) =>
      s.lengthM === null || s.widthM === null || s.heightM === null ? null : s.lengthM * s.widthM * s.heightM,
    );
    return volumes.length === 0 || volumes.includes(null) ? null : volumes.reduce((sum: number, v) => sum + v!, 0);
  };
  const nameOf = (id: string) => facts.surfaces.find((x) => x.id === id)!;
  return plan.zones.flatMap((zone) => {
    const here = plan.surfaces.filter((p) => zone.surfaceIds.includes(p.surfaceId));
    const faces = here.flatMap((p) => {
      const { name, material, tint } = nameOf(p.surfaceId);
      const specs = specsOf(p.coating.lines);
      const bare = bareMostH(material, p.coating.left.value);
      const shade = tint === null ? null : SHADE_OF[tint];
      return specs.length === 0 ? [] : [{ surfaceId: p.surfaceId, name, material, specs, shade, bareMostH: bare }];
    });
    const waiting = here.filter((p) => p.coating.refused.length > 0).map((p) => nameOf(p.surfaceId).name);
    const side = facts.spaces.find((x) => zone.spaceIds.includes(x.id));
    if (faces.length === 0 && waiting.length === 0) return [];
    return [
      {
        zoneId: zone.zoneId,
        name: zone.name,
        kind: zone.kind === 'elevation' ? 'elevation' : 'room',
        spaceId: side?.id ?? null,
        facing: side?.facing ?? null,
        shaded: side?.shaded ?? [],
        volumeM3: sizeOf(zone.spaceIds),
        climate: side?.moisture ?? null,
        readyOnDay: readyOnDay(here, settings),
        waiting,
        faces,
      },
    ];
  });
}

export function answerTo(ask: Ask, thisYear: number): Answers[AskKind] {
  spellAs((ask.kind === 'changed' ? ask.is : ask).facts.job.rulebook);
  switch (ask.kind) {
    case 'compare': {
      const { facts, settings, surfaceId, focus } = ask;
      return {
        compared: compareMethods(facts, surfaceId, settings, thisYear),
        whatIf: focus === null ? [] : sensitivity(facts, surfaceId, focus, settings, thisYear),
      };
    }
    case 'certainty':
      return certainties(ask.facts, ask.settings, thisYear);
    case 'client':
      return clientPage(ask.facts, ask.surfaceId, ask.settings, thisYear);
    case 'waste':
      return wasteOf(ask.facts, createDeriver().derive(ask.facts, ask.settings, thisYear), ask.settings);
    case 'breathing':
      return breathingIn(ask, thisYear);
    case 'coats':
      return coatsIn(ask, thisYear);
    case 'shopping': {
      const { facts, settings, tins, scope } = ask;
      const plan = createDeriver().derive(facts, settings, thisYear);
      const shopping = shoppingOf(facts, plan, { settings, tins, today: new Date().toISOString().slice(0, 10) }, scope);
      return {
        paper: shoppingPaper(shopping, facts, settings),
        zones: plan.zones.map(({ zoneId, name }) => ({ zoneId, name })),
      };
    }
    case 'changed': {
      const digest = ({ facts, settings }: Standing) => digestOf(facts, createDeriver().derive(facts, settings, thisYear));
      const { facts, settings } = ask.is;
      return changedBetween(digest(ask.was), digest(ask.is), facts, facts.job.units, moneyIn(settings.pricesIn));
    }
  }
}
