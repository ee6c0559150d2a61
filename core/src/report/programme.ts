/** The written programme of a job: what is done to whom and where, by which equipment, in which order, and what happens when it goes wrong. */
import { airDuties, limitSetOf, type DayOfLead } from '../air';
import { noticesOf } from '../calendar';
import type { FirmFacts, JobFacts } from '../facts';
import type { JobPlan } from '../job/plan';
import { taskWears, withCartridges } from '../protect';
import { standingText } from '../probe';
import { say } from '../reasons';
import { bookOf, certificatesOut, certificateSays, type FirmSettings } from '../rulebook';
import { formatMeasure, formatRange, formatWeight, formatWork, many, measure } from '../units/units';
import { STREAMS, wasteOf } from '../waste';
import { sentence, SOURCES } from '../words';
import { emergencies, inTheHouse, licensedNeeds, zoneDay, zoneSigns } from '../zone-day';
import type { ZonePlan } from '../zone';
import { declinedSays } from './declined';
import { shiftReports } from './shifts';

export interface ProgrammeSection {
  readonly title: string;
  readonly lines: readonly string[];
}
export interface ProgrammeZone {
  readonly name: string;
  readonly about: string;
  readonly sections: readonly ProgrammeSection[];
}
export interface Programme {
  readonly edition: string;
  /** Of the whole job. */
  readonly sections: readonly ProgrammeSection[];
  /** Those in which anything is disturbed. */
  readonly zones: readonly ProgrammeZone[];
}

function containment(zone: ZonePlan, facts: JobFacts): string[] {
  const { protection: p } = zone;
  const { units } = facts.job;
  const area = (m2: number) => formatMeasure(measure(m2, 'm2'), units);
  const opened = facts.surfaces.filter((s) => zone.surfaceIds.includes(s.id) && s.removedAt === null);
  const named = (use: string) => opened.filter((s) => s.opening === use && s.opening !== 'sealed').map((s) => s.name);
  return [
    p.sheetLaidM2.value > 0
      ? `${zone.kind === 'elevation' ? 'Ground' : 'Floor'} sheet: ${area(p.sheetLaidM2.value)} laid, ${formatMeasure(measure(p.beyondM, 'm'), units)} beyond the work or as far as debris goes.`
      : 'No sheet is called for.',
    ...p.sheetLaidM2.because.slice(1).map((r) => `${sentence(r, units)}`),
    ...(p.verticalScreen.value ? ['An upright screen of sheet on a rigid frame towards the boundary.'] : []),
    ...(p.openings.value === 'closeAndSeal'
      ? ['Doors, windows and ducts of the room are closed and sealed; the working door has a double flap.']
      : []),
    ...(p.openings.value === 'closeNear' ? [p.openings.because.map((r) => sentence(r, units)).join(' ')] : []),
    ...(named('wayIn').length > 0 ? [`In and out: ${named('wayIn').join(', ')}.`] : []),
    ...(named('airOut').length > 0 ? [`Air goes out by: ${named('airOut').join(', ')}.`] : []),
    ...(zone.setup.workingDoor ? [`Working door: ${zone.setup.workingDoor}.`] : []),
    ...(zone.air ? zone.air.because.map((r) => sentence(r, units)) : []),
    ...(zone.setup.airMachine ? [`Air machine: ${zone.setup.airMachine}.`] : []),
    ...(zone.kind === 'elevation' && p.needed.value
      ? [`Work stops at a wind of ${formatMeasure(bookOf(facts.job).windStop.is, units)}, and is cleaned up before rain.`]
      : []),
  ];
}

function averageSays(lead: DayOfLead | null, air: (ug: number) => string): string {
  if (lead === null) return 'No average can be made: a task has no upper end. Supplied air, until air was sampled.';
  if (lead.average === 0) return 'None of it puts lead in the air.';
  return `Over ${lead.shiftH > 8 ? 'the shift' : 'eight hours'}: ${air(lead.average)}, limit ${air(lead.limit)}.`;
}

function zoneProgramme(zone: ZonePlan, facts: JobFacts, plan: JobPlan, settings: FirmSettings): ProgrammeZone {
  const licensed = licensedNeeds(
    zone,
    plan.zones,
    plan.surfaces.map((p) => ({ surfaceId: p.surfaceId, asbestos: p.asbestos.overall.value, areaM2: p.area.totalM2 })),
    facts,
  );
  const { protection: p } = zone;
  const { job } = facts;
  const { units } = job;
  const rulebook = bookOf(job);
  const set = limitSetOf(job.rulebook, job.stateLayer);
  const names = new Map(facts.surfaces.map((s) => [s.id, s.name]));
  const nameOf = (id: string) => names.get(id) ?? '';
  const day = zoneDay(zone, plan.surfaces, settings, set);
  const air = (ug: number | null) => (ug === null ? 'no upper end known' : formatMeasure(measure(ug, 'ug/m3'), units));
  const own = facts.airSamples.filter((a) => a.removedAt === null && zone.surfaceIds.includes(a.onSurfaceId) && a.massUg !== null);
  const last =
    own
      .map((a) => a.startedAt.slice(0, 10))
      .sort()
      .at(-1) ?? null;
  const duties = day?.lead
    ? airDuties({
        day: day.lead,
        set,
        presumed: own.length === 0,
        masked: p.respirator.value !== null,
        startOn: job.startOn,
        lastSampleOn: last,
      })
    : [];
  const gates = zone.steps.flatMap((st) => st.gates.map((g) => `${sentence(g.because, units)}.`));
  return {
    name: zone.name,
    about: [
      many(zone.working.length, 'surface'),
      many(day?.people ?? zone.setup.crew ?? settings.crew, 'person', 'people'),
      day ? many(day.days, 'day') : '',
      `${formatWork(zone.handsOnH.high)} of set-up and clean-up at the most`,
    ]
      .filter(Boolean)
      .join(' · '),
    sections: [
      { title: 'What is worked, from above down', lines: zone.order.map(nameOf) },
      {
        title: 'What the strokes reach',
        lines: zone.hazards.map((h) => `${say(`reach.${h.kind}`)}: ${h.surfaceIds.map(nameOf).join(', ')}`),
      },
      {
        title: 'Asbestos that stays in the room',
        lines: zone.asbestosBeside.map((b) => `${b.name}: ${standingText(b.standing, units)}. Do not touch, lean on or knock.`),
      },
      { title: 'Containment', lines: containment(zone, facts) },
      {
        title: 'What to wear',
        lines: [
          `All at once: ${p.respirator.value ? say(p.respirator.value) : 'no respirator'}${withCartridges(p.cartridges)}${p.kit.length > 0 ? `, ${p.kit.map((k) => say(k.value)).join(', ')}` : ''}.`,
          ...(p.tasks.length > 1 ? p.tasks.map((t) => `${say(t.methodId)} alone: ${taskWears(t, p.tasks)}.`) : []),
          ...p.respirator.because.map((r) => sentence(r, units)),
          ...(p.coat ? [...p.coat.respirator.because, ...p.coat.kit.flatMap((k) => k.because)].map((r) => sentence(r, units)) : []),
          ...zone.vapour.flatMap((v) => v.because).map((r) => sentence(r, units)),
        ],
      },
      ...(day
        ? [
            {
              title: 'A person’s day, the longer case',
              lines: [
                ...day.parts.map(
                  (x) =>
                    `${x.what === 'setUp' || x.what === 'cleanUp' ? say(`day.${x.what}`) : say(x.what)}: ${formatWork(x.hours)}, ${x.ugM3 === 0 ? 'none in the air' : air(x.ugM3)}`,
                ),
                averageSays(day.lead, air),
              ],
            },
            { title: 'What that sets going', lines: duties.map((d) => `${sentence(d.because, units)}${d.by ? ` By ${d.by}.` : ''}`) },
          ]
        : []),
      {
        title: 'Height, and tools that shake',
        lines: [...(zone.access?.because ?? []), ...p.vibration.flatMap((v) => v.because)].map((r) => sentence(r, units)),
      },
      { title: 'Signs', lines: zoneSigns(zone, rulebook).map((s) => `${s.en.join('. ')}.`) },
      {
        title: 'Hygiene',
        lines: [
          ...(p.needed.value || p.kit.some((k) => k.value === 'washStation')
            ? ['No eating, drinking, smoking or phones inside. Suit off, then vacuumed, then hands and face washed at every way out.']
            : []),
          ...(zone.setup.washPlace ? [`Wash place: ${zone.setup.washPlace}.`] : []),
          ...(zone.setup.cleanWay ? [`Clean way: ${zone.setup.cleanWay}.`] : []),
        ],
      },
      { title: 'People in the house', lines: inTheHouse(zone, facts).map((r) => sentence(r, units)) },
      { title: 'What a licensed firm will need', lines: licensed.map((r) => sentence(r, units)) },
      { title: 'Checks, in this order', lines: gates },
      {
        title: 'When it goes wrong',
        lines: emergencies(zone, job.rulebook).map((r) => sentence(r, units)),
      },
    ].filter((s) => s.lines.length > 0),
  };
}

function people(firm: Pick<FirmFacts, 'people'>, on: string): string[] {
  return firm.people
    .filter((p) => p.removedAt === null)
    .map((p) => {
      const held = p.certificates.map(
        (c) =>
          `${say(c.kind)}${c.number ? ` ${c.number}` : ''}${c.until === null ? '' : c.until < on ? `, ran out ${c.until}` : ` until ${c.until}`}`,
      );
      const fits = p.fitTests.map((f) => `${f.mask} fit tested ${f.on}`);
      const trained = p.training.map((t) => `${t.what} ${t.on}`);
      return `${p.name}: ${[...held, ...fits, ...trained].join('; ') || 'no certificate, fit test or training on record'}`;
    });
}

/** @param now an instant: the day of the paper */
export function programme(facts: JobFacts, plan: JobPlan, settings: FirmSettings, firm: Pick<FirmFacts, 'people'>, now: string): Programme {
  const { job } = facts;
  const { units } = job;
  const rulebook = bookOf(job);
  const today = now.slice(0, 10);
  const zones = plan.zones.filter((z) => z.steps.length > 0);
  const lead = zones.some((z) => z.protection.care === 'lead');
  const weight = (kg: number) => formatWeight(kg, units);
  const own = new Set(zones.flatMap((z) => z.fibreIds));
  const asbestosOut = plan.surfaces.some((x) => x.asbestos.overall.value === 'found' && !own.has(x.surfaceId));
  const notices = noticesOf({ facts, lead, asbestosOut, asbestosOwn: own.size > 0, today });
  const waste = wasteOf(facts, plan, settings);
  return {
    edition: rulebook.edition,
    sections: [
      {
        title: 'The work',
        lines: [
          `${settings.firmName}, ${job.name}, ${job.place || 'place not said'}.`,
          `First day: ${job.startOn ?? 'not set'}. ${many(zones.length, 'zone')}, ${formatRange(plan.totals.personHours, formatWork)} in all.`,
          ...(job.stateLayer === 'california' ? ['California’s limits for lead in air stand over the federal ones.'] : []),
        ],
      },
      {
        title: 'People, with what entitles them',
        lines: [
          ...certificatesOut({ ...settings, people: firm.people }, job, today).map((c) => certificateSays(c, job.startOn, today)),
          ...people(firm, job.startOn ?? today),
        ],
      },
      {
        title: 'Outside the scope',
        lines: facts.surfaces.flatMap((s) =>
          s.removedAt === null && s.declinedOn !== null ? [`${s.name}: ${declinedSays(s.declinedOn, s.declinedNote)}`] : [],
        ),
      },
      {
        title: 'Who is where',
        lines: shiftReports(facts, plan, settings).map((x) => x.says),
      },
      {
        title: 'Told to whom, by when',
        lines: notices.map((n) => `${sentence(n.because, units)}${n.by ? ` By ${n.by}${n.late ? ': that day has gone by' : ''}.` : ''}`),
      },
      {
        title: 'Waste',
        lines: waste.map((w) => {
          const amount = w.kg.high === 0 ? 'none planned' : formatRange(w.kg, weight);
          return `${say(`stream.${w.stream}`)}: ${amount}, ${say(`wasteClass.${w.classed.value.class}`)}${w.classed.value.codes.length > 0 ? ` ${w.classed.value.codes.join(', ')}` : ''}; ${say(`container.${STREAMS[w.stream].container}`)}; ${say(`stands.${STREAMS[w.stream].stands}`)}.`;
        }),
      },
      {
        title: 'Where the rules come from',
        lines: [
          ...new Set(
            zones.flatMap((z) =>
              [...z.protection.needed.because, ...z.protection.sheetLaidM2.because, ...z.protection.respirator.because].map(
                (r) => r.source,
              ),
            ),
          ),
        ].map((id) => `${SOURCES[id].title}: ${SOURCES[id].at}`),
      },
    ].filter((s) => s.lines.length > 0),
    zones: zones.map((z) => zoneProgramme(z, facts, plan, settings)),
  };
}
