/** C and W: the default is what a careful tradesman would do first, a coat fits what it lies on, and words are whole. */
import type { Binder, Surface, TopcoatId } from '../../../../core/src/facts';
import { moldPicture } from '../../../../core/src/probe/mold';
import type { Reason } from '../../../../core/src/reasons';
import { RULEBOOKS } from '../../../../core/src/rulebook';
import { RULE_WORDS, remedy, sentence, SOURCES } from '../../../../core/src/words';
import { coatsOf, DOES, meets } from '../oracle/methods';
import type { SurfacePlan } from '../../../../core/src/zone/surface-plan';
import type { Run } from '../run';
import type { Law } from './law';

/** Nothing was seen, measured or wanted that asks for more than a scuff. */
const isSoundAndPlain = (s: Surface): boolean =>
  s.conditions.length === 0 &&
  (['blisterGrade', 'flakeGrade', 'crackGrade', 'chalkGrade', 'rustGrade'] as const).every((g) => (s[g] ?? 0) === 0) &&
  (s.moldM2 ?? 0) === 0 &&
  s.readings.length === 0 &&
  s.squares.length === 0 &&
  s.aim === 'keepSound' &&
  !s.scrapped &&
  !(s.topcoat !== null && SEEN_THROUGH.includes(s.topcoat)) &&
  coatsOf(s).length > 0 &&
  coatsOf(s).every((l) => l !== null && l.soundness === 'sound' && l.water !== 'dissolves' && l.binder !== 'distemper');

/** Which film refuses which topcoat, as the trade has it (no published source). */
function refusedBy(film: Binder, top: TopcoatId): boolean {
  if (film === 'distemper') return true;
  if (top === 'limewash') return film !== 'limewash';
  if (top === 'silicatePaint') return film !== 'limewash';
  if (film === 'limewash') return true;
  if (top === 'woodStain' || top === 'penetratingOil') return true;
  return SEEN_THROUGH.includes(top) && !['shellac', 'lacquer', 'polyurethane'].includes(film);
}
const SOLVENT: readonly TopcoatId[] = [
  'alkydGloss',
  'metalEnamel',
  'clearVarnish',
  'antifoulingCoat',
  'heatEnamel',
  'woodStain',
  'penetratingOil',
  'pasteWax',
];
const WOODS = ['softwood', 'tanninWood', 'oilyWood', 'plywood'];
const SEEN_THROUGH: readonly TopcoatId[] = ['clearVarnish', 'woodStain', 'penetratingOil', 'pasteWax'];

function coatBreaches(s: Surface, run: Run): string[] {
  const plan = run.plans.get(s.id);
  const top = plan?.coating.lines.find((l) => l.use === 'topcoat')?.product as TopcoatId | undefined;
  if (!plan || !top) return [];
  const out: string[] = [];
  const add = (bad: boolean, what: string) => void (bad && out.push(`${s.name}: ${top} ${what}`));
  const outdoors = !s.bench && run.facts.spaces.find((x) => x.id === s.spaceId)?.kind === 'elevation';
  add(outdoors && ['matEmulsion', 'waterborneEggshell', 'pasteWax'].includes(top), 'outdoors');
  add(top === 'silicatePaint' && !['limePlaster', 'concrete', 'brick', 'stone'].includes(s.material), `on ${s.material}`);
  add(['woodStain', 'penetratingOil', 'pasteWax'].includes(top) && !WOODS.includes(s.material), `on ${s.material}`);
  add((s.serviceC ?? 0) > 90 && top !== 'heatEnamel', `at ${s.serviceC} C`);
  add((s.serviceC ?? 0) > 200, 'on a stove that only its maker knows');
  add(top === 'limewash' && !['limePlaster', 'brick', 'stone'].includes(s.material), `on ${s.material}`);
  add(
    s.material === 'limePlaster' &&
      ['alkydGloss', 'waterborneGloss', 'metalEnamel', 'clearVarnish', 'antifoulingCoat', 'heatEnamel', 'floorPaint'].includes(top),
    'closes lime plaster',
  );
  add(
    ['heater', 'panelRadiator'].includes(s.element) &&
      ['matEmulsion', 'limewash', 'clearVarnish', 'antifoulingCoat', 'silicatePaint', 'floorPaint', ...SEEN_THROUGH].includes(top),
    'on a heater',
  );
  add(top === 'antifoulingCoat' && s.element !== 'hull', 'poison where nothing lies in water');
  const renewed = plan.choice.parts.every((p) => p.selected.value !== null && DOES[p.selected.value].to === 'out');
  add(
    s.conditions.includes('oilSoaked') && !renewed && s.boards.every((b) => b.removedAt !== null || b.oilSoaked !== 'no'),
    'on oil-soaked material',
  );
  const worked = plan.choice.parts.filter((p) => p.areaM2 > 0 && p.selected.value !== null);
  const bare = worked.some((p) => DOES[p.selected.value!].to === 'bare');
  add(s.material === 'galvanised' && bare && SOLVENT.includes(top), 'on bare zinc');
  const keeps = worked.some((p) => ['nothing', 'skin'].includes(DOES[p.selected.value!].to));
  const film = coatsOf(s)[0];
  add(keeps && (s.serviceC ?? 0) > 90 && film !== null && film !== undefined, 'hot over an old film');
  add(keeps && film !== null && film !== undefined && refusedBy(film.binder, top), `over ${film?.binder ?? ''}`);
  return out;
}

const METALS = ['mildSteel', 'castIron', 'galvanised', 'aluminium', 'brass'];
const said = (plan: SurfacePlan): ReadonlySet<string> =>
  new Set(plan.work.steps.flatMap((st) => [st.title, ...st.because, ...st.gates.map((g) => g.because)].map((r) => r.rule)));

/** ISO 4628-3: degree 4 is 8 % and more of the face. */
function rustLeft(s: Surface, plan: SurfacePlan): string[] {
  if (!['mildSteel', 'castIron'].includes(s.material) || (s.rustGrade ?? 0) < 4) return [];
  return plan.choice.parts.flatMap((p) => {
    const id = p.selected.value;
    if (id === null || !['skin', 'loose', 'bare'].includes(DOES[id].to) || p.areaM2 <= 0) return [];
    const has = [id, ...p.also.map((a) => a.value)].some((x) => DOES[x].rust || DOES[x].blast);
    const can = p.helpers.some((o) => o.methodId === 'rustGel' && o.verdict !== 'blocked');
    return has || !can ? [] : [`${s.name}, ${p.kind}: a face of rust, and nothing takes it`];
  });
}

/** MPI, BS 8201: gypsum scale 1 %, relative scale 12, 80 % at the face; plaster and masonry only, where no gate of its own stands for wood. */
function filmOverWet(s: Surface, plan: SurfacePlan): string[] {
  if (METALS.includes(s.material) || WOODS.includes(s.material) || s.readings.some((r) => r.supersedesId !== null)) return [];
  const plaster = ['limePlaster', 'gypsumPlaster', 'board'].includes(s.material);
  const all = s.readings.filter((r) => r.kind === 'moisture' && r.value !== null);
  const last = all.reduce((t, r) => (r.takenAt > t ? r.takenAt : t), '');
  const wet = all.some(
    (r) =>
      r.takenAt === last &&
      ((r.unit === '%gypsum' && plaster && r.value! > 1) || (r.unit === '%rel' && r.value! > 12) || (r.unit === '%RH' && r.value! >= 80)),
  );
  const top = plan.coating.lines.find((l) => l.use === 'topcoat')?.product;
  return wet && top !== undefined && top !== 'limewash' ? [`${s.name}: ${top} on what was read wet`] : [];
}

function silentlyDropped(s: Surface, plan: SurfacePlan): string[] {
  return s.parts.flatMap((part) => {
    const p = plan.choice.parts.find((x) => x.partId === part.id);
    if (part.removedAt !== null || !p) return [];
    const told = p.selected.because.flatMap((r) => r.weighed).map((w) => w.found);
    return part.alsoIds
      .filter((id) => p.helpers.some((o) => o.methodId === id) && !p.also.some((a) => a.value === id) && !told.includes(id))
      .map((id) => `${s.name}, ${p.kind}: ${id} was added and is not in the plan, without a word`);
  });
}

function senseless(s: Surface, plan: SurfacePlan | undefined): string[] {
  if (!plan) return [];
  const rules = said(plan);
  const glass = s.parts.some((p) => p.removedAt === null && p.kind === 'besideGlass');
  const wrong: readonly (readonly [boolean, string])[] = [
    [METALS.includes(s.material) && rules.has('gate.moistureMineral'), 'a taped sheet on metal'],
    [
      !WOODS.includes(s.material) && (rules.has('rinse.grain') || rules.has('rinse.char')),
      'raised or charred grain where there is no wood',
    ],
    [!glass && rules.has('step.repair'), 'putty where there is no glass'],
    [plan.coating.left.value === 'bare' && rules.has('gate.adhesion'), 'a cross-cut on what is bare'],
    [
      plan.asbestos.coat.value !== 'notFound' && (rules.has('gate.adhesionNoCut') || rules.has('prime.overHardFilm')),
      'tape or a scuff on what may hold asbestos',
    ],
  ];
  return wrong.flatMap(([is, what]) => (is ? [`${s.name}: ${what}`] : []));
}

/** Harm that no coat mends, at the product or another: no plan goes out with that method. */
const RUINS = ['scorched', 'etched', 'softened'];

function reasonsIn(x: unknown, out: Set<Reason> = new Set(), seen: Set<object> = new Set()): Set<Reason> {
  if (typeof x !== 'object' || x === null || seen.has(x)) return out;
  seen.add(x);
  if ('rule' in x && 'weighed' in x) out.add(x as Reason);
  else for (const v of x instanceof Map ? x.values() : Object.values(x)) reasonsIn(v, out, seen);
  return out;
}

/** Words and units of the other rulebook. A published limit may stand in brackets behind the job's own unit. */
const FOREIGN = {
  us: /\b(FFP[23]|H-class|HSE|HSG\d|CAR 2012|COSHH)\b/,
  uk: /\b(HEPA-shrouded|EPA|HUD|CFR|OSHA|N95|P100|HVI)\b/,
} as const;
const FOREIGN_UNITS = { ft: /\d\s?(m²|m2|mm|°C|L\b|mL|m\/s)/, m: /\d\s?(ft²|ft2|ft\b|°F|gal\b|fl oz|mph|cfm|mil\b)/ } as const;
const RAW = /\{|\}|undefined|NaN|\[object|\bnull\b/;
const CAMEL = /\b[a-z]+[A-Z][a-zA-Z]*\b/;
const DOUBLED = /\b(\w+) \1\b/i;
const OWN_WORD = /\b(pH|mL|kPa|dB)\b/g;

const asked = new Map<string, readonly string[]>();
/** 3' 3 3/8" is one length, in feet: no word stands twice in it. */
const FEET = /(?:\d+' )?\d+(?: \d+\/\d+)?"|\d+'(?: \d+(?: \d+\/\d+)?")?/g;
function wrongWords(r: Reason, system: 'ft' | 'm', rules: 'us' | 'uk'): readonly string[] {
  let key = `${system}|${rules}|${r.source}|${r.rule}`;
  for (const { asked: name, found } of r.weighed) key += `|${name}=${typeof found === 'object' ? JSON.stringify(found) : String(found)}`;
  const known = asked.get(key);
  if (known) return known;
  const out: string[] = [];
  if (!(r.rule in RULE_WORDS)) out.push(`${r.rule} has no words`);
  else
    for (const text of [sentence(r, system), remedy(r, system) ?? '']) {
      // What a person typed stands between quotes and is shown as typed.
      const said = text
        .replace(/“[^”]*”/g, 'x')
        .replace(FEET, 'x')
        .replace(OWN_WORD, 'x');
      const plain = said.replace(/\([^)]*\)/g, '');
      if (RAW.test(said) || CAMEL.test(said)) out.push(`${r.rule}: "${text}" shows a raw id`);
      if (/ {2}|\s[.,;:]/.test(said) || (DOUBLED.test(said) && !/that that|had had/.test(said))) out.push(`${r.rule}: "${text}" is broken`);
      if (FOREIGN[rules].test(said)) out.push(`${r.rule}: "${text}" has words of the other rulebook`);
      if (FOREIGN_UNITS[system].test(plain)) out.push(`${r.rule}: "${text}" has the other units`);
    }
  const { where } = SOURCES[r.source];
  if (where !== 'any' && where.toLowerCase() !== rules) out.push(`${r.rule}: source ${r.source} binds in ${where}`);
  // Bounded, so that a long hunt fits in memory.
  if (asked.size > 20_000) asked.clear();
  asked.set(key, out);
  return out;
}

export const CHOICE_LAWS: readonly Law[] = [
  {
    id: 'C1',
    says: 'on sound, clean paint the default is wash, scuff, overcoat; nothing is sealed, covered or replaced by default where less will do',
    check: (run) =>
      run.facts.surfaces.flatMap((s) => {
        const plan = run.plans.get(s.id);
        if (!plan) return [];
        return plan.choice.parts.flatMap((p) => {
          const id = p.selected.value;
          if (p.chosenByPerson || id === null) return [];
          const can = p.options.filter((o) => o.verdict !== 'blocked').map((o) => o.methodId);
          if (id === 'cover') return [`${s.name}: covered by default`];
          if ((id === 'encapsulate' || id === 'thickPrimer') && plan.asbestos.coat.value !== 'notFound')
            return [`${s.name}: ${id} over asbestos ${plan.asbestos.coat.value} by default`];
          const rubs = run.facts.job.childUnder6 !== 'no' || run.facts.job.pregnancy !== 'no';
          // What trained people may do to a suspect coat is a person's decision.
          const suspect = plan.asbestos.coat.value !== 'notFound';
          if (isSoundAndPlain(s) && !rubs && !suspect && can.includes('overcoat') && id !== 'overcoat')
            return [`${s.name}: ${id} by default on sound paint`];
          const lesser = can.some((x) => !['leave', 'cover', 'encapsulate', 'thickPrimer', 'replacePart'].includes(x));
          // Where some of its pieces hold no oil, only the others go.
          const soaked = s.conditions.includes('oilSoaked') && s.boards.every((b) => b.removedAt !== null || b.oilSoaked !== 'no');
          if (id === 'replacePart' && !s.scrapped && !soaked) return [`${s.name}: a piece that could be saved is replaced by default`];
          return lesser && id === 'encapsulate' ? [`${s.name}: ${id} by default where less will do`] : [];
        });
      }),
  },
  {
    id: 'C2',
    says: 'harm on a square holds the plan',
    check: ({ facts, plans }) =>
      facts.surfaces.flatMap((s) => {
        const plan = plans.get(s.id);
        if (!plan || !plan.issue.value) return [];
        const picked = new Set(plan.choice.parts.flatMap((p) => [p.selected.value, ...p.also.map((a) => a.value)]));
        return s.squares
          .filter((q) => q.removedAt === null && q.lifted !== null && picked.has(q.methodId) && q.harms.some((h) => RUINS.includes(h)))
          .filter(
            (q) =>
              !s.squares.some(
                (x) => x.removedAt === null && x.id !== q.id && x.methodId === q.methodId && (x.lifted === 'bare' || x.lifted === 'toCoat'),
              ),
          )
          .map((q) => `${s.name}: the plan goes out with ${q.methodId}, which ${q.harms.join()} a square`);
      }),
  },
  {
    id: 'C4',
    says: 'a face of rust is derusted, a film never goes on what was last read wet, a helper that is refused is told',
    check: (run) =>
      run.facts.surfaces.flatMap((s) => {
        const plan = run.plans.get(s.id);
        if (!plan || plan.work.standsAt === 'ask') return [];
        return [...rustLeft(s, plan), ...filmOverWet(s, plan), ...silentlyDropped(s, plan)];
      }),
  },
  {
    id: 'O8',
    says: 'no step that makes no sense on what it stands on',
    check: (run) => run.facts.surfaces.flatMap((s) => senseless(s, run.plans.get(s.id))),
  },
  {
    id: 'P5b',
    says: 'a piece on which nothing is allowed is said to be without a price',
    check: ({ facts, plans }) =>
      facts.surfaces.flatMap((s) => {
        const plan = plans.get(s.id);
        return plan && plan.choice.parts.some((p) => p.selected.value === null) !== (plan.proof === 'unpriced')
          ? [`${s.name}: ${plan.proof} is said of its price`]
          : [];
      }),
  },
  { id: 'C3', says: 'every coat fits what it lies on', check: (run) => run.facts.surfaces.flatMap((s) => coatBreaches(s, run)) },
  {
    id: 'W1',
    says: 'every sentence is whole, in the job’s units, of its own rulebook, with a source that binds there',
    // Every option is walked, which is slow: once for each job.
    check: ({ facts, job, before }) => {
      if (before !== null) return [];
      const { units, rulebook } = facts.job;
      const mold = facts.spaces.map((x) =>
        moldPicture(
          x,
          facts.surfaces.filter((s) => s.spaceId === x.id && s.removedAt === null),
          RULEBOOKS[rulebook],
        ),
      );
      return [...reasonsIn([job, mold])].flatMap((r) => wrongWords(r, units, rulebook));
    },
  },
  {
    id: 'W2',
    says: 'free is only said where nothing stands against dry work at that depth',
    check: ({ facts, job, plans }) =>
      facts.surfaces.flatMap((s) => {
        const plan = plans.get(s.id);
        if (!plan) return [];
        return plan.touch.flatMap((t) => {
          const byTrained = job.zones.some((z) => z.fibreIds.includes(s.id));
          const into = plan.asbestos.below.value !== 'notFound' && meets(t.depth, s);
          if (into && t.answer.value !== 'stop' && !(t.answer.value === 'controlled' && byTrained))
            return [`${s.name}: "${t.answer.value}" to ${t.depth}, into what may hold asbestos`];
          if (t.answer.value !== 'free') return [];
          const dry = plan.choice.parts
            .flatMap((p) => p.options)
            .filter((o) => o.verdict === 'blocked' && DOES[o.methodId].dryHand && DOES[o.methodId].to === t.depth);
          const hazard = dry.flatMap((o) => o.because.filter((r) => r.effect === 'block' && /^(lead|asbestos|mold)\./.test(r.rule)));
          return hazard.length > 0 ? [`${s.name}: "free" to ${t.depth}, and ${hazard[0]!.rule} stands`] : [];
        });
      }),
  },
];
