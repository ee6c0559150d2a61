/** What one surface asks of the zone in which it is worked. */
import type { SolventId } from '../air/vapour';
import {
  BOUGHT,
  type Chemistry,
  type ElementId,
  type LayingId,
  type MethodId,
  type Product,
  type RepairId,
  type Surface,
  type WallId,
} from '../facts';
import { isHelper, methodById, stirs, type Method } from '../catalogue';
import { LAYING, WIPE, type CoatingPlan, type CoatLine } from '../coat';
import { baseOf } from '../catalogue';
import { chemistryOf, coatingOf, evaporates, thinnerOf } from '../shelf/firm-sheets';
import { cuts, type Repair } from '../repair';
import { asbestosStates, HIGH_M, lowInReach, methodsOf, picksOf, poisonsReached, worksOn, type Choice } from '../choose';
import { holdsSilica, isPresent, leadDepths, type CoatPoison, type HazardState, type LeadPicture, type Standing } from '../probe';
import { isMoldy, sheetFor } from '../probe/mold';
import type { SurfaceContext } from '../views';
import { ELEMENTS, liveLayers } from '../walk';

/** What a stroke can reach or make; containment, air, clothing and checks of a zone follow from the whole list. Law H1. */
export const HAZARD_KINDS = [
  'lead',
  'leadLow',
  'asbestos',
  'mold',
  'antifoul',
  'poison',
  'silica',
  'dust',
  'vapour',
  'mist',
  'caustic',
  'acid',
  'hotWork',
  'gas',
  'liveParts',
  'noise',
  'height',
] as const;
export type HazardKind = (typeof HAZARD_KINDS)[number];

/** What closes the place, the strictest first. */
export type Care = 'lead' | 'asbestos' | 'guard' | 'growth' | 'silica' | 'leaveAlone' | 'ordinary';

export interface Needs {
  readonly surfaceId: string;
  readonly spaceId: string;
  /** Those that disturb, and those that seal or take out what may hold asbestos. */
  readonly methods: readonly MethodId[];
  readonly disturbedM2: number;
  readonly reaches: readonly HazardKind[];
  /** Window sills that are wiped to verify. */
  readonly sills: number;
  readonly lead: boolean;
  /** Those that make dust or fume of lead below the limit: the rules for whoever works bind, those for lead paint do not. */
  readonly low: readonly MethodId[];
  /** What is known of lead on it, on the ladder. */
  readonly standing: Standing;
  /** Those that meet growth: what cleans it off and what washes before that; all of them where nothing cleans it. */
  readonly meetsGrowth: readonly MethodId[];
  /** What else poisons in the coats that its strokes reach, the worst first. */
  readonly poisons: readonly CoatPoison[];
  /** Old putty is taken out, which holds lead of its own. */
  readonly putty: boolean;
  /** What may hold asbestos is cut, sealed or taken out, by trained people: nothing else lets anybody work on it. */
  readonly fibres: boolean;
  readonly care: Care;
  readonly leadState: HazardState;
  readonly asbestos: HazardState;
  /** It stays as it is, and may hold asbestos: a coat or the piece itself, not what lies below a sound one; null: it does not. */
  readonly asbestosStays: Standing | null;
  /** Coats of the plan that are thinned with solvent. */
  readonly solventCoats: readonly CoatLine['product'][];
  /** Coats whose own sheet says which gloves or mask. */
  readonly bySheet: readonly CoatLine['product'][];
  /** Coats that are sprayed. */
  readonly mists: readonly Mist[];
  /** What evaporates of what is laid, strokes and coats: by method or product. */
  readonly lays: readonly Laid[];
  /** How far each piece runs along the wall, m, and how many there are. A ceiling lies over a floor of its own size. */
  readonly runM: number;
  readonly pieces: number;
  readonly over: { readonly lengthM: number; readonly widthM: number } | null;
  readonly wall: WallId | null;
  /** From the left corner of its wall or side; null: nobody said. */
  readonly alongM: number | null;
}

/** A coat that is sprayed. */
export interface Mist {
  readonly product: CoatLine['product'];
  readonly way: LayingId;
  readonly solvent: boolean;
}

/** How many times its width a casing runs round an opening: two jambs and a head. Common practice, no published source. */
export const ROUND_OPENING = 4.5;

/** What evaporates of one thing that is laid. */
export interface Laid {
  readonly what: string;
  /** Laid while the zone is sealed; a coat is laid once it was given back. */
  readonly stroke: boolean;
  readonly solvent: SolventId;
  /** L of solvent on a square metre that go into the air. */
  readonly litresPerM2: number;
  /** h over which they do. */
  readonly hours: number;
  readonly areaM2: number;
}

/** Of a covered gel, what is in the air before it is lifted; of a coat, nearly all of its thinner within the first hours. Common practice, no published source. */
const GEL_SHARE = 0.05;
const COAT_SHARE = 0.8;
/** Of what a residue is wiped off with, before the cloth is in its closed can. Common practice, no published source. */
const WIPE_SHARE = 0.3;
const WIPE_H = 1;
const COAT_DRIES_H = 4;
/** Of a waterborne coat that flashes all the same, what is solvent, by volume. From memory of data sheets. */
const IN_WATERBORNE = 0.1;
/** What is sprayed gives off nearly all of it on the way and at once. Common practice, no published source. */
const MIST_SHARE = 1;
const MIST_DRIES_H = 1;
/** A litre of gel is about half solvent. From memory of data sheets. */
const GEL_SOLVENT = 0.5;
const IN_STRIPPER = {
  unsaid: 'benzylAlcohol',
  benzylAlcohol: 'benzylAlcohol',
  nmp: 'nmp',
  limonene: 'limonene',
  mineralSpirits: 'mineralSpirits',
  // Refused by chemistry elsewhere; held here against the strictest that is known.
  methyleneChloride: 'benzylAlcohol',
} as const satisfies Record<Chemistry, SolventId>;
/** What is laid on, of all that the plan says of coats. */
type CoatsOn = Pick<CoatingPlan, 'lines' | 'wipe'>;
const wipesWithAlcohol = ({ lines, wipe }: CoatsOn): boolean => wipe === 'alcohol' && lines.length > 0;
function laidOn(ctx: SurfaceContext, choice: Choice, { lines, wipe }: CoatsOn): Laid[] {
  const strokes = choice.parts.flatMap((p) =>
    picksOf(p).flatMap(({ option }): Laid[] => {
      const m = methodById(option.methodId);
      const litres = m.consumables.find((c) => c.perM2.unit === 'L')?.perM2.value ?? 0;
      if (!BOUGHT.includes(m.id) || litres === 0 || p.areaM2 === 0) return [];
      const solvent = IN_STRIPPER[chemistryOf(ctx.settings, m.id)];
      return [
        {
          what: m.id,
          stroke: true,
          solvent,
          litresPerM2: litres * GEL_SOLVENT * GEL_SHARE,
          hours: Math.max(0.5, m.dwellH?.high ?? 1),
          areaM2: p.areaM2,
        },
      ];
    }),
  );
  const coats = lines.flatMap((l): Laid[] => {
    if (!evaporates(ctx.settings, l.product) || l.areaM2 === 0 || l.coats === 0) return [];
    const wet = l.litres / l.coats / l.areaM2;
    const { sprays } = LAYING[l.way];
    const gone = 1 - coatingOf(ctx.settings, l.product).volumeSolidsPct / 100;
    const thinner = wet * Math.min(gone, baseOf(l.product) === 'water' ? IN_WATERBORNE : 1) * (sprays ? MIST_SHARE : COAT_SHARE);
    return [
      {
        what: l.product,
        stroke: false,
        solvent: thinnerOf(ctx.settings, l.product),
        litresPerM2: thinner,
        hours: sprays ? MIST_DRIES_H : COAT_DRIES_H,
        areaM2: l.areaM2,
      },
    ];
  });
  const wiped = choice.parts.flatMap((p) =>
    picksOf(p).flatMap(({ option }): Laid[] => {
      const litres = methodById(option.methodId).consumables.find((c) => c.id === 'whiteSpirit')?.perM2.value ?? 0;
      if (litres === 0 || p.areaM2 === 0) return [];
      return [
        { what: 'whiteSpirit', stroke: true, solvent: 'mineralSpirits', litresPerM2: litres * WIPE_SHARE, hours: WIPE_H, areaM2: p.areaM2 },
      ];
    }),
  );
  const areaM2 = choice.parts.reduce((sum, p) => sum + p.areaM2, 0);
  const lastWipe: Laid[] =
    !wipesWithAlcohol({ lines, wipe }) || areaM2 === 0
      ? []
      : [
          {
            what: 'alcohol',
            stroke: false,
            solvent: 'isopropanol',
            litresPerM2: WIPE.litresPerM2 * WIPE.alcoholShare,
            hours: WIPE.driesH,
            areaM2,
          },
        ];
  return [...strokes, ...wiped, ...lastWipe, ...coats];
}

const asksWear = (own: Product | null): boolean => own !== null && (own.gloves !== null || own.filter !== null);

/** A sill belongs to every window, whichever way it opens. */
const HAS_SILL: readonly ElementId[] = ['doubleHungSash', 'casementSash', 'metalCasement', 'sill'];

/** The wall face that a piece takes up, m. */
function runOf(s: Surface): number {
  const [first] = ELEMENTS[s.element].sides;
  // A casing is as long as it runs round its opening; along the wall it takes up the opening.
  if (s.element === 'casing') return s.lengthM / ROUND_OPENING;
  return first === 'height' ? s.widthM : s.lengthM;
}

/** Repairs that take old putty out: it is worked as a method that does. */
const TAKES_PUTTY: readonly RepairId[] = ['rePutty', 'reglaze'];

export function needsOf(
  s: Surface,
  ctx: SurfaceContext,
  choice: Choice,
  picture: LeadPicture,
  coating: CoatsOn,
  repairs: readonly Repair[] = [],
): Needs {
  const { rulebook } = ctx;
  const { overall, standing } = picture;
  // What seals a suspect or takes it out is worked like what cuts into it.
  const states = asbestosStates(ctx.asbestos);
  const works = (m: Method): boolean => m.disturbs || worksOn(m, states);
  const disturbs = (p: Choice['parts'][number]) => picksOf(p).some((x) => works(methodById(x.option.methodId)));
  const methods = methodsOf(choice).filter(works);
  // Once its question is answered a repair is made in this zone: it is set up for what that sets free. Not knowing makes nothing less.
  const meant = methods.length > 0 ? repairs.map((r) => r.meant) : [];
  // Old putty holds lead of its own, whatever the paint on it is.
  const putty =
    (methods.some((m) => m.takes.includes('putty')) || meant.some((r) => TAKES_PUTTY.includes(r))) &&
    (ctx.builtYear === null || ctx.builtYear < rulebook.leadPresumedBefore.is.value);
  const lead = methods.some((m) => m.disturbs) && (putty || isPresent(overall.value));
  const cutting = meant.some(cuts);
  const depths = leadDepths(picture);
  const low = lead ? [] : methods.filter((m) => stirs(m) && (cutting ? depths.low.all : lowInReach(m, depths))).map((m) => m.id);
  // No stroke goes into what may hold asbestos; the sheet and the vacuum stand ready where one could break through.
  const guarded = methods.length > 0 && isPresent(ctx.asbestos.overall.value);
  const any = (f: (m: Method) => boolean) => methods.some(f);
  const near = ctx.space.services;
  const hot = any((m) => m.heatC !== null && m.heatC > 150);
  const dusty = any((m) => m.dust === 'high' || m.powered || m.handDry || m.blast !== 'no');
  const lines = coating.lines;
  const poisons = poisonsReached(methods, picture, cutting);
  const solventCoats = lines.filter((l) => evaporates(ctx.settings, l.product) && l.areaM2 > 0 && l.coats > 0).map((l) => l.product);
  const mists = lines
    .filter((l) => LAYING[l.way].sprays && l.areaM2 > 0 && l.coats > 0)
    .map((l): Mist => ({ product: l.product, way: l.way, solvent: evaporates(ctx.settings, l.product) }));
  const reaches: Record<HazardKind, boolean> = {
    lead,
    leadLow: low.length > 0,
    asbestos: guarded,
    mold: isMoldy(s) && methods.length > 0,
    // Copper and tin of an old antifouling.
    poison: poisons.length > 0,
    antifoul: methods.length > 0 && liveLayers(s).some((l) => l.binder === 'antifouling'),
    silica: holdsSilica(s) && (dusty || cutting),
    dust: dusty,
    vapour: any((m) => m.vapour) || solventCoats.length > 0 || wipesWithAlcohol(coating),
    mist: mists.length > 0,
    caustic: any((m) => m.caustic),
    acid: any((m) => m.acid),
    hotWork: hot,
    gas: near.includes('gasPipe') && (hot || any((m) => m.vapour || m.powered)),
    liveParts:
      (near.includes('wiring') && any((m) => m.wet)) ||
      (near.includes('liveHeater') && any((m) => m.wet || m.vapour)) ||
      (near.includes('alarm') && any((m) => m.dust === 'high' || (m.heatC !== null && m.heatC > 90))),
    noise: any((m) => m.noisy) || mists.some((m) => LAYING[m.way].db !== null),
    height: (methods.length > 0 || lines.some((l) => l.areaM2 * l.coats > 0)) && ctx.space.accessM > HIGH_M,
  };
  const cleansGrowth = methods.some((m) => m.takes.includes('mold'));
  const fibres = methods.some((m) => worksOn(m, states));
  const kit = ctx.space.moldKit;
  // Outdoors there is no room to close.
  const closed = ctx.place !== 'outside';
  const grown = closed && reaches.mold && kit !== null && sheetFor(kit.value) !== 'none';
  const cares: readonly (readonly [Care, boolean])[] = [
    ['lead', lead],
    ['asbestos', fibres],
    ['guard', guarded],
    ['growth', grown],
    ['silica', closed && reaches.silica],
    ['leaveAlone', isPresent(ctx.asbestos.coat.value)],
  ];
  const care = cares.find(([, is]) => is)?.[0] ?? 'ordinary';
  return {
    surfaceId: s.id,
    spaceId: s.spaceId,
    methods: methods.map((m) => m.id),
    reaches: HAZARD_KINDS.filter((k) => reaches[k]),
    solventCoats,
    bySheet: lines.filter((l) => l.areaM2 > 0 && l.coats > 0 && asksWear(l.own)).map((l) => l.product),
    mists,
    lays: laidOn(ctx, choice, coating),
    sills: HAS_SILL.includes(s.element) ? s.count : 0,
    disturbedM2: choice.parts.reduce((sum, p) => sum + (disturbs(p) ? p.areaM2 : 0), 0),
    lead,
    low,
    meetsGrowth: !reaches.mold ? [] : methods.filter((m) => !cleansGrowth || m.takes.includes('mold') || isHelper(m)).map((m) => m.id),
    standing,
    putty,
    poisons,
    fibres,
    care,
    leadState: overall.value,
    asbestos: ctx.asbestos.overall.value,
    asbestosStays: !fibres && isPresent(ctx.asbestos.coat.value) && !s.bench ? ctx.asbestos.standing : null,
    runM: runOf(s),
    pieces: s.count,
    over: s.element === 'ceiling' ? { lengthM: s.lengthM, widthM: s.widthM } : null,
    wall: s.wall,
    alongM: s.alongM,
  };
}
