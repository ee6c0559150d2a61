/** The closed vocabularies of what a painter records. Words for the screen live in reasons/en.ts. */

export const MATERIALS = [
  'softwood',
  'tanninWood',
  'oilyWood',
  'plywood',
  'limePlaster',
  'gypsumPlaster',
  'board',
  'concrete',
  'brick',
  'stone',
  'mildSteel',
  'castIron',
  'galvanised',
  'aluminium',
] as const;
export type Material = (typeof MATERIALS)[number];

export const TIMBER: readonly Material[] = ['softwood', 'tanninWood', 'oilyWood', 'plywood'];
export const PLASTER: readonly Material[] = ['limePlaster', 'gypsumPlaster', 'board'];
export const MASONRY: readonly Material[] = ['concrete', 'brick', 'stone'];
export const METAL: readonly Material[] = ['mildSteel', 'castIron', 'galvanised', 'aluminium'];

export const BINDERS = [
  'unknown',
  'oil',
  'alkyd',
  'acrylic',
  'distemper',
  'limewash',
  'casein',
  'shellac',
  'lacquer',
  'polyurethane',
  'epoxy',
  'bitumen',
  'textured',
] as const;
export type Binder = (typeof BINDERS)[number];

export const PART_KINDS = ['flat', 'moulded', 'turned', 'tight', 'besideGlass'] as const;
export type PartKind = (typeof PART_KINDS)[number];

export const CONDITIONS = [
  'blistered',
  'flaking',
  'checked',
  'powdery',
  'runs',
  'oilSoaked',
  'moldy',
  'wet',
  'openJoints',
  'rubbing',
] as const;
export type Condition = (typeof CONDITIONS)[number];

export const SOUNDNESS = ['sound', 'failing', 'unknown'] as const;
export type Soundness = (typeof SOUNDNESS)[number];

export const AIMS = ['keepSound', 'bareClear', 'fastest', 'cheapest'] as const;
export type Aim = (typeof AIMS)[number];

export const TOPCOATS = [
  'waterborneEggshell',
  'waterborneGloss',
  'alkydGloss',
  'exteriorAcrylic',
  'matEmulsion',
  'limewash',
  'clearVarnish',
  'metalEnamel',
] as const;
export type TopcoatId = (typeof TOPCOATS)[number];

export const READING_KINDS = ['spot', 'lab', 'xrf', 'withdrawn'] as const;
export type ReadingKind = (typeof READING_KINDS)[number];

export const SPOT_RESULTS = ['changed', 'unchanged', 'unclear'] as const;
export type SpotResult = (typeof SPOT_RESULTS)[number];

export const LAB_UNITS = ['mass%', 'ppm', 'mg/cm2'] as const;
export type LabUnit = (typeof LAB_UNITS)[number];

export const YES_NO = ['yes', 'no', 'unknown'] as const;
export type YesNo = (typeof YES_NO)[number];

export const ELEMENT_IDS = [
  'doubleHungSash',
  'casing',
  'sill',
  'door',
  'baseboard',
  'wainscot',
  'wall',
  'ceiling',
  'railing',
  'siding',
  'heater',
  'plinth',
] as const;
export type ElementId = (typeof ELEMENT_IDS)[number];

export const METHOD_IDS = [
  'leave',
  'overcoat',
  'encapsulate',
  'wetScrapeLoose',
  'dryScrapeLoose',
  'wetSand',
  'drySand',
  'hepaSand',
  'powerSand',
  'solventGel',
  'causticPoultice',
  'milkPowder',
  'infrared',
  'heatGun',
  'steam',
  'torch',
  'softBlast',
  'hardBlast',
  'replacePart',
] as const;
export type MethodId = (typeof METHOD_IDS)[number];
