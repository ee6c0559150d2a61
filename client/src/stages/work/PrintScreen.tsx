/**
 * The plan on paper: one page that says what it comes to, then zones and surfaces in two columns, then every reason once, as a numbered
 * note. Plain elements, so that a browser breaks them over columns and pages.
 */
import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { router, useLocalSearchParams } from 'expo-router';
import {
  createDeriver,
  digestOf,
  formatHours,
  formatMeasure,
  formatRange,
  formatWork,
  headOf,
  measure,
  say,
  todayOf,
  todaySurface,
  sampleRegister,
  withCartridges,
  type JobFacts,
  type JobDigest,
  many,
  type RuleId,
} from '@roughsill/core';
import {
  blanks,
  damageLine,
  finishLine,
  protectLines,
  signLine,
  declinedSays,
  jobReport,
  NOTICE,
  type JobReport,
  type ReasonReport,
  type SurfaceReport,
  type ZoneReport,
} from '@roughsill/core/report';
import { Button, UnitsProvider } from '../../kit';
import { cap } from '../../kit/text';
import { useJob, useSettings } from '../../store';
import { Section, sectionCoats, Strip, type SectionCoat } from '../../section';
import { laidIn, RoomPicture } from '../../plan/RoomPicture';
import { useMoney } from '../money';
import { ACT_WORDS } from '../stages';

const noprint = { dataSet: { noprint: 'yes' } } as object;

export function PrintScreen() {
  const { jobId, surface } = useLocalSearchParams<{ jobId: string; surface?: string }>();
  const { facts } = useJob(jobId);
  if (!facts) return null;
  return (
    <UnitsProvider value={facts.job.units}>
      <Paper facts={facts} only={surface} />
    </UnitsProvider>
  );
}

/** The number of a reason's note: in the order in which the paper first names it. */
type Numbered = (r: ReasonReport) => number;
const Notes = createContext<Numbered>(() => 0);

/** Numbers of notes, as raised figures. */
function Refs({ of }: { readonly of: readonly ReasonReport[] }) {
  const number = useContext(Notes);
  const all = [...new Set(of.map(number))].sort((a, b) => a - b);
  return all.length === 0 ? null : <sup>{all.join(', ')}</sup>;
}

const sourceSays = (r: ReasonReport): string => `${r.source.title}; ${r.source.kind.toLowerCase()}.`;

function Paper({ facts, only }: { readonly facts: JobFacts; readonly only?: string }) {
  const settings = useSettings();
  const plan = useMemo(() => createDeriver().derive(facts, settings, new Date().getUTCFullYear()), [facts, settings]);
  const report = useMemo(() => jobReport(facts, plan, settings, new Date().toISOString()), [facts, plan, settings]);
  const digest = useMemo(() => digestOf(facts, plan), [facts, plan]);
  const money = useMoney();
  const zones = report.zones.filter((z) => only === undefined || z.surfaces.includes(only));
  const spaces = report.spaces
    .map((s) => ({ ...s, surfaces: s.surfaces.filter((x) => only === undefined || x.id === only) }))
    .filter((s) => s.surfaces.length > 0);
  const noted = useMemo(() => notesOf(report, only), [report, only]);
  // Each source once: hundreds of notes stand on a few dozen of them.
  const sources = useMemo(() => [...new Set(noted.list.map(sourceSays))], [noted]);
  const coatsOf = (id: string) => sectionCoats(plan.surfaces.find((p) => p.surfaceId === id)!);
  const zoneOf = (spaceId: string) => digest.zones.find((z) => z.spaceIds.includes(spaceId));
  return (
    <ScrollView
      testID="paper"
      className="flex-1 bg-white"
      contentContainerClassName="w-full max-w-[56rem] self-center p-6"
      {...({ dataSet: { 'print-root': 'yes' } } as object)}
    >
      <View {...noprint} className="flex-row flex-wrap gap-2 pb-4">
        <Button look="main" label="Print" onPress={() => window.print()} />
        <Button
          label="Back to the job"
          onPress={() => router.navigate(only ? `/job/${facts.job.id}/work/${only}` : `/job/${facts.job.id}/work`)}
        />
      </View>
      <Notes.Provider value={noted.number}>
        <div className="paper">
          {only === undefined ? <Summary facts={facts} report={report} digest={digest} money={money} /> : <Head report={report} />}
          <div className="paper-columns">
            {only === undefined && report.steps.length > 0 ? (
              <section>
                <h2>Once for the whole job</h2>
                <StepLines steps={report.steps} />
              </section>
            ) : null}
            {only === undefined && report.waste.length > 0 ? (
              <section>
                <h2>Waste</h2>
                {report.waste.map((w) => (
                  <p key={w.stream}>
                    {`${cap(w.name)}: ${w.weight}, ${[w.className, ...w.classed.value.codes].join(', ')}; ${w.container}; ${w.stands}.`}
                    <Refs of={w.classed.because} />
                  </p>
                ))}
              </section>
            ) : null}
            {zones.map((z) => (
              <ZonePaper key={z.id} z={z} money={money} />
            ))}
            {spaces.map((space) => (
              <section key={space.id}>
                <h2>{space.name}</h2>
                {space.minorWork ? (
                  <p>
                    {`May be disturbed: ${space.disturbed.text}${space.minorWork.value === null ? '' : space.minorWork.value ? ', minor work' : ', more than minor work'}`}
                    <Refs of={space.minorWork.because} />
                  </p>
                ) : null}
                <div className="paper-picture">
                  <RoomPicture
                    facts={facts}
                    digest={digest}
                    space={facts.spaces.find((x) => x.id === space.id)!}
                    stage="protect"
                    laid={zoneOf(space.id) && laidIn(zoneOf(space.id)!)}
                    paper
                  />
                </div>
                {space.surfaces.map((s) => (
                  <SurfacePaper
                    key={s.id}
                    s={s}
                    money={money}
                    coats={coatsOf(s.id)}
                    bite={digest.surfaces.find((d) => d.surfaceId === s.id)?.bite ?? 0}
                    material={facts.surfaces.find((x) => x.id === s.id)!.material}
                    whole={only !== undefined}
                  />
                ))}
              </section>
            ))}
          </div>
          <section className="paper-notes">
            <h2>Notes</h2>
            <ol>
              {noted.list.map((r, i) => (
                <li key={i}>{`${r.says} (S${sources.indexOf(sourceSays(r)) + 1})`}</li>
              ))}
            </ol>
            <h2>Sources</h2>
            <p>{sources.map((says, i) => `S${i + 1} ${says}`).join(' ')}</p>
          </section>
        </div>
      </Notes.Provider>
    </ScrollView>
  );
}

/** The craft of a stroke and a coat: on the paper of one surface, which goes to the wall; what asks for care stands on every paper. */
const AT_THE_WALL: readonly string[] = [
  'coat.recesses',
  'coat.topEdge',
  'coat.wetEdge',
  'coat.arris',
  'coat.stripe',
  'coat.denib',
  'coat.interval',
  'lay.usual',
  'lay.usualRoller',
  'lay.nap',
  'lift.plasticBlade',
  'lift.contourPad',
  'lift.narrowScraper',
  'mask.beforeStrokes',
  'mask.beforeCoats',
  'mask.stands',
  'mask.tapeLasts',
  'order.scuffGrit',
  'order.soaksTogether',
  'seen.film.range',
  'unmask.when',
  'unmask.glass',
] satisfies readonly RuleId[];
const stepReasons = (st: SurfaceReport['steps'][number], whole: boolean): readonly ReasonReport[] =>
  whole ? st.because : st.because.filter((r) => !AT_THE_WALL.includes(r.rule));

/** Every reason that the paper refers to, in the order of reading. */
function notesOf(report: JobReport, only: string | undefined): { readonly list: readonly ReasonReport[]; readonly number: Numbered } {
  const list: ReasonReport[] = [];
  const at = new Map<string, number>();
  // What reads the same is one note, whatever it was weighed for.
  const key = (r: ReasonReport) => `${r.says}|${r.source.title}`;
  const note = (rs: readonly ReasonReport[]) =>
    rs.forEach((r) => {
      if (!at.has(key(r))) at.set(key(r), list.push(r));
    });
  const steps = (all: SurfaceReport['steps']) => all.forEach((st) => note(stepReasons(st, only !== undefined)));
  if (only === undefined) {
    steps(report.steps);
    report.waste.forEach((w) => note(w.classed.because));
  }
  for (const z of report.zones) {
    if (only !== undefined && !z.surfaces.includes(only)) continue;
    note(zoneReasons(z));
    note(z.protection.air?.because ?? []);
    note(handReasons(z));
    steps(z.steps);
  }
  for (const space of report.spaces) {
    const surfaces = space.surfaces.filter((s) => only === undefined || s.id === only);
    if (surfaces.length === 0) continue;
    if (space.minorWork) note(space.minorWork.because);
    for (const s of surfaces) {
      note(surfaceReasons(s));
      s.repairs.forEach((r) => note(r.because));
      steps(s.steps);
    }
  }
  return { list, number: (r) => at.get(key(r)) ?? 0 };
}

const zoneReasons = (z: ZoneReport): readonly ReasonReport[] => [
  ...z.orderChanged,
  ...z.protection.needed.because,
  ...(z.protection.needed.value ? z.protection.exposure.because : []),
  ...(z.protection.respirator.value === null && !z.protection.needed.value ? [] : z.protection.respirator.because),
];
/** What is climbed, laid and held: said in the zone by its notes. */
const handReasons = ({ protection: p }: ZoneReport): readonly ReasonReport[] => [
  ...(p.access?.because ?? []),
  ...p.vapour.flatMap((v) => v.because),
  ...p.vibration.flatMap((v) => v.because),
  ...(p.coat ? p.coat.equipment.flatMap((k) => k.because) : []),
];
const surfaceReasons = (s: SurfaceReport): readonly ReasonReport[] => [
  ...s.lead.overall.because,
  ...(s.mayBeIssued.value ? [] : s.mayBeIssued.because),
  ...s.trials.flatMap((t) => t.state.because),
  ...s.orderChanged,
];

const Head = ({ report }: { readonly report: JobReport }) => (
  <header>
    <h1>{report.job.name}</h1>
    <p>{report.job.about}</p>
    <p className="paper-small">{`${NOTICE} ${report.job.edition}.`}</p>
  </header>
);

interface SummaryProps {
  readonly facts: JobFacts;
  readonly report: JobReport;
  readonly digest: JobDigest;
  readonly money: (n: number) => string;
}
const day = (n: number): string => (n < 10 ? n.toFixed(1) : String(Math.round(n)));

/** The first page: what the job comes to, what may not be touched, and every surface in one line. */
function Summary({ facts, report, digest, money }: SummaryProps) {
  const settings = useSettings();
  const { units } = facts.job;
  const head = headOf(facts, digest, settings);
  const register = sampleRegister(facts, settings, report.at);
  const today = todayOf(digest.surfaces.map(todaySurface), register);
  const byId = new Map(facts.surfaces.map((s) => [s.id, s]));
  const nameOf = (id: string | null) => (id === null ? '' : (byId.get(id)?.name ?? ''));
  const next = ACT_WORDS[digest.next.act].says;
  return (
    <div className="paper-summary" data-testid="paper-summary">
      <Head report={report} />
      {facts.job.note.trim() === '' ? null : <p>{`Note: “${facts.job.note.trim()}”`}</p>}
      <h2>{`${formatRange(head.money, money)} · ${formatRange(head.days, day)} crew days`}</h2>
      <p>
        {[
          `${formatRange(head.personHours, formatWork)} of work`,
          head.sheetM2 > 0 ? `${formatMeasure(measure(head.sheetM2, 'm2'), units)} of sheet` : 'no sheet',
          head.mask ? `${cap(say(head.mask.id))} in ${head.mask.zones} of ${many(head.zones, 'zone')}` : 'no mask',
          head.unpriced > 0 ? `${head.unpriced} of ${many(head.surfaces, 'surface')} not priced, in no sum` : '',
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      <p>{`${head.lines.map((l) => `${cap(say(`money.${l.line}`))} ${formatRange(l.money, money)}`).join('; ')}. ${say(`proof.${report.totals.proof}`)}`}</p>
      <p>
        <b>{`Surfaces: ${today.clear} clear, ${today.low} low, ${today.assumed} assumed, ${today.waiting} waiting, ${today.found} found. `}</b>
        {today.stopped.length > 0 ? `Do not touch: ${today.stopped.map(nameOf).join(', ')}.` : ''}
      </p>
      <p>{`Next: ${[nameOf(digest.next.surfaceId), next].filter(Boolean).join(': ')}`}</p>
      <table>
        <thead>
          <tr>
            {['Surface', 'Area', 'Lead', 'Asbestos', 'Way', 'Work', 'Cost'].map((h) => (
              <th key={h} scope="col">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {digest.surfaces.map((d) => {
            const s = byId.get(d.surfaceId)!;
            const ways = [...new Set(d.picks.map((p) => (p.methodId ? say(p.methodId) : 'stop and ask')))].join(', ');
            return (
              <tr key={d.surfaceId}>
                <td>{s.count > 1 ? `${s.count} × ${s.name}` : s.name}</td>
                <td className="paper-figure">{formatMeasure(measure(d.areaM2, 'm2'), units)}</td>
                <td>{say(`rung.${d.leadIs}`)}</td>
                <td>{say(`rung.${d.asbestosIs}`)}</td>
                <td>{ways}</td>
                <td className="paper-figure">{formatRange(d.handsOnH, formatWork)}</td>
                <td className="paper-figure">{d.unpriced ? 'not priced' : formatRange(d.money, money)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <h2>Work zones</h2>
      <table>
        <thead>
          <tr>
            {['Zone', 'Reaches', 'Mask', 'Sheet', 'Work for all', 'Cost for all'].map((h) => (
              <th key={h} scope="col">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {digest.zones.map((z) => (
            <tr key={z.zoneId}>
              <td>{z.name}</td>
              <td>{z.hazards.map((h) => say(`reach.${h}`)).join(', ') || 'nothing'}</td>
              <td>{z.respirator ? say(z.respirator) : 'none'}</td>
              <td className="paper-figure">{z.sheetM2 > 0 ? formatMeasure(measure(z.sheetM2, 'm2'), units) : 'none'}</td>
              <td className="paper-figure">{formatRange(z.handsOnH, formatWork)}</td>
              <td>{formatRange(z.money, money)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** @param signs what is looked for at each stroke, too: on the paper of one surface, which goes to the wall */
function StepLines({ steps, signs = false }: { readonly steps: SurfaceReport['steps']; readonly signs?: boolean }) {
  return (
    <>
      {steps.map((st) => {
        const about = [
          st.personHours.high > 0 ? `${formatRange(st.personHours, formatWork)} of work` : '',
          st.waitHours.high > 0 ? `wait ${formatRange(st.waitHours, formatHours)}` : '',
          ...st.quantities.map((q) => `${q.what} ${q.text}`),
        ].filter(Boolean);
        return (
          <div key={st.number} className="paper-step">
            <b>{`${st.number}. ${st.title}`}</b>
            {about.length > 0 ? ` (${about.join(' · ')})` : ''}
            <Refs of={stepReasons(st, signs)} />
            {signs && st.signs ? <span>{` ${signLine(st.signs)}`}</span> : null}
            {st.checks.map((c) => (
              <span key={c.id}>{` ${c.state === 'passed' ? '☑' : '☐'} ${c.mustBeTrue.says}${blanks(c.numbers)}.`}</span>
            ))}
          </div>
        );
      })}
    </>
  );
}

/** What a zone does and wears once for all its surfaces. */
function ZonePaper({ z, money }: { readonly z: ZoneReport; readonly money: (n: number) => string }) {
  const pr = z.protection;
  const protects = protectLines(z);
  return (
    <section>
      <h2>{`Work zone: ${z.name}`}</h2>
      <p>
        {z.reachesNothing !== null
          ? `${z.reachesNothing}.`
          : `Reaches ${z.hazards.map((h) => `${h.name} (${h.surfaces.join(', ')})`).join('; ')}.`}
        <Refs of={zoneReasons(z)} />
      </p>
      {z.asSaid.note.trim() === '' ? null : <p>{`Note: “${z.asSaid.note.trim()}”`}</p>}
      {z.order.length > 1 ? <p>{`Worked in this order: ${z.order.join('; ')}.`}</p> : null}
      {protects.length > 0 ? <p>{`${protects.join('; ')}.`}</p> : null}
      {pr.tasks.length > 1 ? pr.tasks.map((t) => <p key={t.method}>{`${t.name}, alone in the zone: ${t.wears}.`}</p>) : null}
      {pr.air ? (
        <p>
          {`Suction: ${pr.air.flow ? pr.air.flow.text : 'the room was not measured'}, ${many(pr.air.value.machines, 'air machine')}, blowing outdoors.`}
          <Refs of={pr.air.because} />
        </p>
      ) : null}
      {pr.coat ? (
        <p>{`While it is coated (${pr.coat.products.join(', ')}): ${pr.coat.respirator.value ? say(pr.coat.respirator.value) : 'no respirator'}${withCartridges(pr.coat.cartridges)}, ${pr.coat.equipment.map((k) => say(k.value)).join(', ')}.`}</p>
      ) : null}
      {handReasons(z).length > 0 ? (
        <p>
          {[
            pr.access ? `Worked from ${say(pr.access.value.by)}` : '',
            pr.vapour.length > 0 ? 'how much is laid at once' : '',
            pr.vibration.length > 0 ? 'minutes of tools that shake' : '',
          ]
            .filter(Boolean)
            .join('; ') || 'Gloves and eyes while it is coated'}
          <Refs of={handReasons(z)} />
        </p>
      ) : null}
      <StepLines steps={z.steps} />
      {z.steps.length > 0 ? (
        <p className="paper-small">{`${formatRange(z.hours.handsOn, formatWork)} of work, ${formatRange(z.money, money)}.`}</p>
      ) : null}
    </section>
  );
}

interface SurfacePaperProps {
  readonly s: SurfaceReport;
  readonly money: (n: number) => string;
  readonly coats: readonly SectionCoat[];
  readonly bite: number;
  readonly material: Parameters<typeof Strip>[0]['material'];
  /** On its own paper its coats are drawn large. */
  readonly whole: boolean;
}
function SurfacePaper({ s, money, coats, bite, material, whole }: SurfacePaperProps) {
  const line: ReactNode = (
    <p>
      <b>{`Lead: ${s.lead.known}. Depth: ${say(s.requiredDepth.value)}.`}</b>
      {` Coats from the top: ${s.lead.coats.map((c) => `${c.coat} (${c.known})`).join('; ') || 'none'}.`}
      <Refs of={surfaceReasons(s)} />
    </p>
  );
  return (
    <section>
      <div className="paper-head">
        {whole ? null : (
          <div className="paper-strip">
            <Strip coats={coats} material={material} bite={bite} />
          </div>
        )}
        <h3>{`${s.count} × ${s.name}: ${s.material}, ${s.area.text}`}</h3>
        {line}
      </div>
      {whole ? (
        <div className="paper-picture">
          <Section coats={coats} material={material} />
        </div>
      ) : null}
      {s.declined ? <p className="paper-stop">{declinedSays(s.declined.on, s.declined.note)}</p> : null}
      {s.mayBeIssued.value ? null : <p className="paper-stop">Draft: not to be issued.</p>}
      {s.trials.map((t) => (
        <p key={`${t.method}${t.coating}`}>
          <b>{`Trial, ${t.name} on ${t.coating}: ${say(t.state.value)}`}</b>
          <Refs of={t.state.because} />
        </p>
      ))}
      {whole || s.finish.agreed ? <p>{finishLine(s)}</p> : null}
      {s.repairs.map((r, i) => (
        <p key={i}>
          {damageLine(r)}
          <Refs of={r.because} />
        </p>
      ))}
      <StepLines steps={s.steps} signs={whole} />
      <p className="paper-small">
        {s.proof === 'unpriced'
          ? say('proof.unpriced')
          : `${formatRange(s.hours.handsOn, formatWork)} of work${s.hours.ofZone.high > 0 ? ` (${formatRange(s.hours.ofZone, formatWork)} of it its share of the zone’s)` : ''}, ${formatRange(s.hours.waiting, formatHours)} of waiting, ${formatRange(s.money, money)}. ${say(`proof.${s.proof}`)}`}
      </p>
    </section>
  );
}
