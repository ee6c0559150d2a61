/** The closed vocabularies of what a painter records. Words for the screen live in reasons/en.ts. */

/** Every edition of a rulebook on which a job may stand; what each says: rulebook/rulebook.ts. */
export const EDITION_IDS = ['us-2021', 'us-2026', 'uk-2012'] as const;
export type EditionId = (typeof EDITION_IDS)[number];

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
  'brass',
  'fibreglass',
  'laminate',
] as const;
export type Material = (typeof MATERIALS)[number];

export const TIMBER: readonly Material[] = ['softwood', 'tanninWood', 'oilyWood', 'plywood'];
export const PLASTER: readonly Material[] = ['limePlaster', 'gypsumPlaster', 'board'];
export const MASONRY: readonly Material[] = ['concrete', 'brick', 'stone'];
export const METAL: readonly Material[] = ['mildSteel', 'castIron', 'galvanised', 'aluminium', 'brass'];
export const PLASTIC: readonly Material[] = ['fibreglass', 'laminate'];

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
  'factory',
  'antifouling',
] as const;
export type Binder = (typeof BINDERS)[number];

/** What a coat may hold beside lead that poisons whoever breathes or eats its dust. */
export const POISONS = ['chromate', 'cadmium', 'arsenic', 'coalTar', 'copper'] as const;
export type Poison = (typeof POISONS)[number];

export const PART_KINDS = ['flat', 'moulded', 'turned', 'carved', 'tight', 'besideGlass', 'threads', 'underside', 'arris'] as const;
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
  'waterStain',
  'smokeStain',
  'salty',
  'rubbing',
  'chewable',
] as const;
export type Condition = (typeof CONDITIONS)[number];

/** What a check can be entered as a number of, each in the one unit that work/judge.ts names. */
export const CHECK_NUMBERS = [
  'moisturePct',
  'ph',
  'aboveDewC',
  'windMs',
  'waitedMin',
  'waitedH',
  'dustFloor',
  'dustSill',
  'dustTrough',
  'leadPpm',
  'faceRhPct',
  'faceC',
  'adhesionClass',
  'chalkClass',
  'rinsePh',
  'dropS',
  'filmS',
  'saltMgM2',
  'profileUm',
] as const;
export type CheckNumber = (typeof CHECK_NUMBERS)[number];

export const CERTIFICATES = ['renovator', 'inspector', 'asbestosTrained', 'firstAid', 'other'] as const;
export const MACHINE_KINDS = ['vacuum', 'airMachine', 'shroudedSander', 'airSupply', 'other'] as const;
/** What stands between a machine and the room it blows into. */
export const FILTERS = ['none', 'dust', 'classM', 'classH', 'hepa'] as const;
/** What a machine was last used on, and may give off again. */
export const USED_ON = ['nothing', 'mold', 'lead', 'asbestos'] as const;
export type UsedOn = (typeof USED_ON)[number];

/** Of what gloves are made, the lightest first. */
export const GLOVE_MATERIALS = ['nitrile', 'neoprene', 'butyl', 'laminate'] as const;
export type GloveMaterial = (typeof GLOVE_MATERIALS)[number];
/** What a data sheet asks of the mask, the least first. */
export const SHEET_FILTERS = ['particle', 'organicVapour', 'suppliedAir'] as const;
export type SheetFilter = (typeof SHEET_FILTERS)[number];

export const SOUNDNESS = ['sound', 'failing', 'unknown'] as const;
export type Soundness = (typeof SOUNDNESS)[number];

export const AIMS = ['keepSound', 'bareClear', 'patina', 'fastest', 'cheapest'] as const;
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
  'antifoulingCoat',
  'silicatePaint',
  'heatEnamel',
  'floorPaint',
  'woodStain',
  'penetratingOil',
  'pasteWax',
] as const;
export type TopcoatId = (typeof TOPCOATS)[number];
/** The ground is seen through them. */
export const CLEAR_TOPCOATS: readonly TopcoatId[] = ['clearVarnish', 'woodStain', 'penetratingOil', 'pasteWax'];
/** They go into the wood and need it bare. */
export const SOAKING_TOPCOATS: readonly TopcoatId[] = ['woodStain', 'penetratingOil'];

/** How much of the ground a wanted color has to hide, and of the sun it takes up. */
export const TINTS = ['white', 'pale', 'mid', 'strong', 'dark'] as const;
export type Tint = (typeof TINTS)[number];
/** The way a side of a house looks, by the compass. */
export const FACINGS = ['n', 'ne', 'e', 'se', 's', 'sw', 'w', 'nw'] as const;
export type Facing = (typeof FACINGS)[number];

/** Coats that are laid in a way of somebody's choice; knots are dabbed with a brush. */
export const COAT_USES = ['primer', 'topcoat'] as const;
export type CoatUse = (typeof COAT_USES)[number];
/** Ways of laying a coat. */
export const LAYINGS = ['brush', 'roller', 'pad', 'wipe', 'can', 'lowPressure', 'airless'] as const;
export type LayingId = (typeof LAYINGS)[number];

/** Degrees of decay by eye, 0 (none) to 5. ISO 4628-2 to -5 and -6. */
export const GRADES = ['blisterGrade', 'flakeGrade', 'crackGrade', 'chalkGrade', 'rustGrade'] as const;
export type GradeId = (typeof GRADES)[number];

/** What a drop of alcohol, of alkali or of water, or a breath of warm air, did to a coat. */
export const RESPONSES = ['untried', 'none', 'softens', 'dissolves'] as const;
export type Response = (typeof RESPONSES)[number];
export const TRIALS = ['alcohol', 'alkali', 'water', 'heat'] as const;
export type Trial = (typeof TRIALS)[number];

/** Walls of a room as one stands in its door and turns to the right, sides of a house as one walks round it. */
export const WALLS = ['A', 'B', 'C', 'D'] as const;
export type WallId = (typeof WALLS)[number];
export const SERVICES = ['gasPipe', 'liveHeater', 'wiring', 'duct', 'alarm'] as const;
export type Service = (typeof SERVICES)[number];

/** What lies round a house, before one of its sides. */
export const NEARBY = ['neighbourWindow', 'path', 'playArea', 'vegetables', 'pond', 'drain', 'scaffold'] as const;
export type NearbyKind = (typeof NEARBY)[number];
/** What leaves a job, by what made it. */
export const WASTE_STREAMS = [
  'clean',
  'sheetAndChips',
  'solventSludge',
  'causticSludge',
  'acidRinse',
  'solventRags',
  'oilyRags',
  'washWater',
  'filters',
  'media',
  'moldDebris',
  'biocideDebris',
  'suspectAsbestos',
] as const;
export type WasteStreamId = (typeof WASTE_STREAMS)[number];

/** Rules of a state that are stricter than the federal ones, laid over them. */
export const STATE_LAYERS = ['none', 'california'] as const;
export type StateLayer = (typeof STATE_LAYERS)[number];

/** What a door or window is to the zone round it. */
export const OPENING_USES = ['sealed', 'wayIn', 'airOut'] as const;

/** Named sizes beside length and width; which of them a piece has stands with its element (walk/elements.ts). */
export const MEASURES = [
  'openingsM2',
  'panesAcross',
  'panesDown',
  'stileM',
  'muntinM',
  'edgeM',
  'panels',
  'mouldingM',
  'pieces',
  'pieceGirthM',
  'railGirthM',
  'steps',
  'riseM',
  'goingM',
  'sections',
  'columns',
  'factor',
  'pieceM',
] as const;
export type MeasureId = (typeof MEASURES)[number];

/** Methods that are left to work by themselves: a trial of them has a dwell. The catalogue is held to this list by a test. */
export const SOAKS: readonly MethodId[] = [
  'solventGel',
  'neutralStripper',
  'causticPoultice',
  'causticReady',
  'causticBath',
  'milkPowder',
  'masonryStripper',
  'masonryKit',
  'textureSoak',
  'moldBiocide',
  'moldBleach',
  'rustGel',
];

/**
 * What dissolves or swells in a bought stripper; it stands on the tin or the data sheet. It decides gloves, fire and what is not used at all.
 */
export const CHEMISTRIES = ['unsaid', 'benzylAlcohol', 'nmp', 'limonene', 'mineralSpirits', 'methyleneChloride'] as const;
export type Chemistry = (typeof CHEMISTRIES)[number];
/** Methods whose product is bought and may be any of these. */
export const BOUGHT: readonly MethodId[] = ['solventGel', 'neutralStripper', 'masonryStripper', 'masonryKit'];

/** Whose hands: the firm's for pay, or the owner's own in their own home. The law binds paid work. */
export const WORKERS = ['firm', 'owner'] as const;

/** What is mixed and keeps for hours only. */
export const POT_IDS = ['bleach', 'biocide', 'paste', 'powderPaste', 'thinnedPaint', 'twoPart', 'filler', 'pva'] as const;
export type PotId = (typeof POT_IDS)[number];

/** In which language a client reads, and a contract is written. */
export const CLIENT_LANGUAGES = ['en', 'es', 'other'] as const;
export type ClientLanguage = (typeof CLIENT_LANGUAGES)[number];

/** What a job that is begun from another takes over. */
export const COPY_WAYS = ['alike', 'sameHouse'] as const;
export type CopyWay = (typeof COPY_WAYS)[number];

/** Where a job stands among the firm's: in hand, put away, or a pattern from which others are begun. */
export const JOB_STATES = ['open', 'archived', 'template'] as const;
export type JobState = (typeof JOB_STATES)[number];

/** What a painter sees at the stroke and decides by. What each means stands in sign/signs.ts. */
export const SIGNS = [
  'gelBubbles',
  'gelRubber',
  'gelTacky',
  'gelThirsty',
  'gelDry',
  'gelRuns',
  'gelRibbon',
  'gelStillWet',
  'gelGrain',
  'gelCloth',
  'causticClay',
  'causticSoap',
  'causticWhite',
  'causticSkin',
  'causticDark',
  'causticFizz',
  'causticFur',
  'causticBloom',
  'milkSlick',
  'milkDry',
  'milkLeft',
  'stoneRubber',
  'stoneClay',
  'stoneBeads',
  'stoneDrawn',
  'stoneSand',
  'stoneJoint',
  'stoneStain',
  'heatWrinkles',
  'heatSmoke',
  'heatBlister',
  'heatGum',
  'heatScorch',
  'heatOil',
  'heatResin',
  'heatGlass',
  'steamSheets',
  'steamBare',
  'steamVeneer',
  'edgeLifts',
  'edgeHeld',
  'oldColour',
  'gouge',
  'dustRises',
  'dustEscapes',
  'chalkUnder',
  'hollow',
  'sandClogs',
  'sandDull',
  'sandShiny',
  'sandRidge',
  'sandSwirl',
  'soakDark',
  'soakRunsOff',
  'soakPaper',
  'soakChalk',
  'soakClean',
  'washDirty',
  'washClean',
  'washColour',
  'moldStain',
  'moldSmears',
  'moldBehind',
  'puttyCrumbs',
  'puttyHard',
  'paneMoves',
  'paneTicks',
  'rustBright',
  'rustPolished',
  'rustPits',
  'rustThin',
  'rustGrey',
  'rustGelDry',
  'rustFlash',
  'blastTight',
  'blastLoose',
  'blastFurrow',
  'blastFrost',
  'blastCloud',
  'sealClosed',
  'sealHoles',
  'sealLifts',
  'coatThirsty',
  'coatRun',
  'coatRidge',
  'coatLump',
  'coatBleeds',
  'coatTacky',
  'coatGrain',
  'coatCraters',
  'coatWrinkles',
  'coatSkips',
  'coatBloom',
  'coatNail',
  'coatDry',
  'coatEven',
  'tapeSand',
  'tapeFilm',
  'dropBeads',
] as const;
export type SignId = (typeof SIGNS)[number];
/** How much of a part shows it: a spot of a hand's breadth, half of it, all of it. */
export const EXTENTS = ['spot', 'half', 'whole'] as const;
export type Extent = (typeof EXTENTS)[number];

/** What is wrong with the ground of a piece, beside its paint. */
export const DEFECTS = [
  'hole',
  'dent',
  'crack',
  'gap',
  'loosePlaster',
  'openJoint',
  'rot',
  'missing',
  'blastDamage',
  'causticDamage',
  'sealant',
  'silicone',
  'nail',
  'rustJacking',
  'loosePutty',
  'brokenPane',
  'pastSaving',
  'badEnd',
] as const;
export type DefectKind = (typeof DEFECTS)[number];
/** What is done about one. */
export const REPAIRS = [
  'leave',
  'skim',
  'fill',
  'patch',
  'flexible',
  'consolidate',
  'splice',
  'replacePiece',
  'rakeAndPoint',
  'refix',
  'reseal',
  'siliconeOff',
  'treatRust',
  'rePutty',
  'reglaze',
  'ask',
] as const;
export type RepairId = (typeof REPAIRS)[number];
/** How good it has to look. */
export const FINISHES = ['utility', 'tidy', 'smooth', 'restored', 'museum'] as const;
export type FinishId = (typeof FINISHES)[number];

/** How far a trial square came off. */
export const LIFTED = ['nothing', 'some', 'toCoat', 'bare'] as const;
export type Lifted = (typeof LIFTED)[number];
/** What a square left behind, and what it did to the old material. */
/** What a stroke leaves behind, each of which must be proved gone before a primer. */
export const RESIDUES = ['dust', 'solvent', 'alkali', 'acid', 'water', 'grit', 'char', 'grain', 'bleach', 'alcohol'] as const;
export type Residue = (typeof RESIDUES)[number];
export const LEFT_BEHIND = ['softFilm', 'ghost', 'alkali', 'wax', 'solvent', 'slurry'] as const;
export type LeftBehind = (typeof LEFT_BEHIND)[number];
export const HARMS = ['grainRaised', 'darkened', 'scorched', 'etched', 'softened', 'bleached'] as const;
export type Harm = (typeof HARMS)[number];

export const HAZARDS = ['lead', 'asbestos', 'mold'] as const;
export type Hazard = (typeof HAZARDS)[number];

export const SAMPLE_KINDS = ['chip', 'bulk', 'duplicate', 'blank'] as const;
export type SampleKind = (typeof SAMPLE_KINDS)[number];

/** What in or beside a coating may hold asbestos. */
export const SUSPECT_KINDS = ['texturedCoat', 'plaster', 'jointCompound', 'bitumenCoat', 'putty', 'lagging', 'heaterBoard'] as const;
export type SuspectKind = (typeof SUSPECT_KINDS)[number];

/** How a lab looked for asbestos: by eye under polarised light, by counted points, by electron microscope. */
export const ANALYSES = ['plm', 'pointCount', 'tem'] as const;
export type Analysis = (typeof ANALYSES)[number];

export const READING_KINDS = [
  'spot',
  'lab',
  'xrf',
  'report',
  'bulk',
  'moisture',
  'air',
  'surfaceTemp',
  'crossCut',
  'knife',
  'drop',
  'withdrawn',
] as const;
export type ReadingKind = (typeof READING_KINDS)[number];

export const SPOT_RESULTS = ['changed', 'unchanged', 'unclear'] as const;
export type SpotResult = (typeof SPOT_RESULTS)[number];

/** What a kit's own control showed: without it a swab that stays unchanged proves nothing. */
export const KIT_CONTROLS = ['unsaid', 'worked', 'dead'] as const;
/** Who stands behind a reading: the law lets some decide and others not. */
export const DECIDERS = ['unsaid', 'renovator', 'inspector'] as const;
/** What a signed report determines. */
export const FINDINGS = ['lead', 'noLead'] as const;
/** What became of a piece on which something was found: as before, stripped with proof, or a new piece. */
export const PASTS = ['asBefore', 'stripped', 'replaced'] as const;

export const LAB_UNITS = ['mass%', 'ppm', 'mg/cm2'] as const;
export type LabUnit = (typeof LAB_UNITS)[number];
/** Moisture: a pin meter in wood, the gypsum scale, a meter's relative scale on masonry, equilibrium humidity. */
export const MOISTURE_UNITS = ['%MC', '%gypsum', '%rel', '%RH'] as const;
export type MoistureUnit = (typeof MOISTURE_UNITS)[number];
/** Adhesion is a class: cross-cut 0 to 5 (ASTM D3359 B), knife 0 to 10 (ASTM D6677); a drop of water is timed. */
export const READING_UNITS = [...LAB_UNITS, ...MOISTURE_UNITS, 'C', 'class', 's'] as const;
export type ReadingUnit = (typeof READING_UNITS)[number];

export const MARK_KINDS = ['arrow', 'circle', 'number'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

export const INSTRUMENT_CHECKS = ['calibration', 'substrate'] as const;

export const YES_NO = ['yes', 'no', 'unknown'] as const;
export type YesNo = (typeof YES_NO)[number];

/** What a room's fan is for; each has a flow of its own. */
export const FAN_ROOMS = ['bath', 'wc', 'utilityRoom', 'kitchenHood', 'kitchen', 'cellar'] as const;
/** Where a fan blows; into the roof is not outdoors, and one that is turned round blows in. */
export const FAN_BLOWS = ['yes', 'no', 'blowsIn', 'unknown'] as const;
/** When a room is heated. */
export const HEATINGS = ['steady', 'night', 'twice', 'off'] as const;
export type Heating = (typeof HEATINGS)[number];
/** What stands before the coldest face. */
export const COLD_FACES = ['plain', 'corner', 'curtain', 'furniture', 'builtIn'] as const;
export type ColdFace = (typeof COLD_FACES)[number];
/** What the walls and ceiling of a room are lined with. */
export const LININGS = ['plaster', 'board', 'timber', 'lime', 'tiles'] as const;
export type LiningId = (typeof LININGS)[number];
export type FanRoom = (typeof FAN_ROOMS)[number];

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
  'casementSash',
  'cornice',
  'stairFlight',
  'newelPost',
  'shutter',
  'floorBoards',
  'panelling',
  'pipe',
  'pipeLagging',
  'heaterBoard',
  'ironRailing',
  'gutter',
  'corrugatedSheet',
  'soffit',
  'column',
  'handrail',
  'post',
  'furniture',
  'chair',
  'cot',
  'toy',
  'panelRadiator',
  'windowFrame',
  'metalCasement',
  'corbel',
  'stringCourse',
  'downpipe',
  'gasPipe',
  'machineHousing',
  'hull',
] as const;
export type ElementId = (typeof ELEMENT_IDS)[number];

export const METHOD_IDS = [
  'leave',
  'overcoat',
  'thickPrimer',
  'encapsulate',
  'cover',
  'replacePart',
  'wetScrapeLoose',
  'dryScrapeLoose',
  'wetScrapeBare',
  'wetSand',
  'drySand',
  'padSand',
  'hepaSand',
  'powerSand',
  'solventGel',
  'neutralStripper',
  'causticPoultice',
  'causticReady',
  'causticBath',
  'milkPowder',
  'masonryStripper',
  'masonryKit',
  'infrared',
  'heatGun',
  'steam',
  'torch',
  'distemperWash',
  'textureSoak',
  'washDegrease',
  'moldWash',
  'moldBiocide',
  'moldBleach',
  'puttyCut',
  'puttyWarm',
  'wireBrush',
  'drillBrush',
  'nylonWheel',
  'rustGel',
  'flapDisc',
  'needleGun',
  'softBlast',
  'sodaBlast',
  'spongeBlast',
  'hardBlast',
  'sweepBlast',
  'vacuumBlast',
] as const;
export type MethodId = (typeof METHOD_IDS)[number];

/** In what a caustic is stirred; which of them may hold it, the bench says. */
export const VESSEL_IDS = ['polyethylene', 'polypropylene', 'stainless', 'glass', 'aluminium', 'galvanised'] as const;
export type VesselId = (typeof VESSEL_IDS)[number];
/** The others give off hydrogen, dissolve, or crack. */
export const CAUSTIC_VESSELS = ['polyethylene', 'polypropylene', 'stainless'] as const satisfies readonly VesselId[];

/** Stands for the coats that nobody has counted yet. */
export const UNCOUNTED = 'uncounted';
