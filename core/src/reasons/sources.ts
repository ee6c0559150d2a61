/**
 * Every source that a rule or a value may name. The interface and docs/sources.md read this table.
 * `pub`: a published document. `trade`: common practice, no published source. `mem`: recalled from memory, verify locally.
 * `job`: this job's own reading or choice. `firm`: a setting of the firm.
 */
export type SourceKind = 'pub' | 'trade' | 'mem' | 'job' | 'firm';

export interface Source {
  readonly kind: SourceKind;
  readonly title: string;
  /** Section, table or equation. */
  readonly at: string;
  readonly where: 'US' | 'UK' | 'any';
  readonly note?: string;
}

const pub = (where: Source['where'], title: string, at: string, note?: string): Source => ({ kind: 'pub', title, at, where, note });

export const SOURCES = {
  'cfr24-35.110': pub('US', '24 CFR 35.110; 40 CFR 745.103', 'definition of lead-based paint'),
  'cfr24-35.140': pub('US', '24 CFR 35.140', 'prohibited methods', 'Binding in assisted housing; taken here as good practice everywhere.'),
  'cfr40-745.80': pub('US', '40 CFR 745 subpart E', 'target housing, built before 1978'),
  'cfr40-745.82': pub('US', '40 CFR 745.82(a), 745.86', 'who may decide that a component holds no lead paint'),
  'cfr16-1303': pub('US', '16 CFR 1303', 'the ban of 1978 covers consumer paint', 'That coatings for iron and steel held lead into the 1990s is recalled from memory.'),
  'mem-stock': { kind: 'mem', title: 'Old stock', at: 'paint made before a ban was used up after it', where: 'any' },
  'epa-kits': { kind: 'mem', title: 'EPA recognition notices', at: 'recognised on wood, ferrous metal, drywall and plaster', where: 'US' },
  'cfr40-745.83': pub('US', '40 CFR 745.83', 'minor repair and maintenance'),
  'cfr40-745.85a1': pub('US', '40 CFR 745.85(a)(1)', 'signs'),
  'cfr40-745.85a2i': pub('US', '40 CFR 745.85(a)(2)(i)', 'interior containment'),
  'cfr40-745.85a2ii': pub('US', '40 CFR 745.85(a)(2)(ii)', 'exterior containment'),
  'cfr40-745.85a3': pub('US', '40 CFR 745.85(a)(3)', 'prohibited practices'),
  'cfr40-745.85a4': pub('US', '40 CFR 745.85(a)(4)', 'waste'),
  'cfr40-745.85a5': pub('US', '40 CFR 745.85(a)(5)', 'cleaning'),
  'cfr40-745.84': pub('US', '40 CFR 745.84, 745.86', 'information before the work, records after it'),
  'cfr40-745.85b': pub('US', '40 CFR 745.85(b)', 'cleaning verification'),
  'cfr40-745.88': pub('US', '40 CFR 745.88', 'recognised test kits: at most 5 % false negative, 10 % false positive'),
  'cfr40-745.89': pub('US', '40 CFR 745.81, 745.89, 745.90', 'certified firm and renovator'),
  'epa-etv': { kind: 'mem', title: 'EPA test-kit verification programme', at: 'no kit met the positive criterion', where: 'US' },
  nslah: pub('US', 'HUD national survey of lead and allergens in housing, 1998-2000', 'share of homes by age'),
  'cfr29-1926.62d2': pub('US', '29 CFR 1926.62(d)(2)', 'presumed exposure until air is sampled'),
  'cfr29-1926.62c': pub('US', '29 CFR 1926.62(c)', 'permissible exposure limit'),
  'cfr29-1926.62d': pub('US', '29 CFR 1926.62(d)(1)', 'any lead: exposure assessment, no lower limit'),
  'cfr29-1926.62m': pub('US', '29 CFR 1926.62(m)', 'warning sign'),
  'cfr29-1926.1153': pub('US', '29 CFR 1926.1153', 'respirable crystalline silica: action level 25, limit 50 ug/m3'),
  'uk-silica': { kind: 'mem', title: 'COSHH; HSE EH40', at: 'respirable crystalline silica, 0.1 mg/m3', where: 'UK' },
  'cfr29-1910.134': pub('US', '29 CFR 1910.134(d)(3)(i)(A), table 1', 'assigned protection factors'),
  'cfr29-1926.1101': pub('US', '29 CFR 1926.1101(b), (k)', 'presumed asbestos-containing material, installed no later than 1980'),
  'cfr40-763.83': pub('US', '40 CFR 763.83', 'asbestos-containing: more than 1 %'),
  'cfr40-763.86': pub('US', '40 CFR 763.86', 'how many samples of each homogeneous area'),
  'cfr40-763.87': pub('US', '40 CFR 763.87', 'an area is negative only when every sample is'),
  'cfr40-61.141': pub('US', '40 CFR 61.141', 'under 10 % by eye: a point count may show 1 % or less'),
  'cfr24-35.1330': pub('US', '24 CFR 35.1330; HUD Guidelines ch. 5', 'deteriorated lead paint is treated', 'Binding in assisted housing; taken here as good practice wherever a small child lives.'),
  'osha-trace': { kind: 'mem', title: '29 CFR 1926.1101, letters of interpretation', at: 'at or below 1 %: wet methods, HEPA, no dry sweeping', where: 'any' },
  'cfr24-35.1350': pub('US', '24 CFR 35.1350(d)', 'the smallest work in publicly assisted housing'),
  'epa-mold': pub('US', 'EPA 402-K-01-001, table 2', 'mold: sizes, equipment, containment'),
  s520: { kind: 'mem', title: 'ANSI/IICRC S520', at: 'conditions 1, 2 and 3', where: 'any' },
  iso13788: pub('any', 'ISO 13788', 'surface humidity of 80 %, temperature factor, vapour pressure (annex E)'),
  'bre-ip1-06': pub('any', 'BRE IP 1/06; BS 5250', 'temperature factor of at least 0.75 in dwellings', 'The British figure; elsewhere taken as good practice.'),
  'hukka-viitanen': pub('any', 'Hukka and Viitanen 1999, Wood Science and Technology 33', 'mold growth index on wood', 'The classes for other materials are recalled from memory.'),
  hvi: pub('US', 'HVI; ASHRAE 62.2', 'bathroom fan: 1 cfm for each ft², at least 50 cfm'),
  adf: pub('UK', 'Approved Document F', 'bathroom fan: 15 L/s'),
  iso4628: pub('any', 'ISO 4628-2 to -6', 'degrees of blistering, rusting, cracking, flaking, chalking'),
  'ansi-z358': pub('any', 'ANSI Z358.1', 'eyewash, 15 minutes'),
  'nfpa-51b': pub('any', 'NFPA 51B (2019)', 'fire watch, 60 minutes'),
  'nps-pb6': pub('any', 'NPS Preservation Brief 6', 'abrasive cleaning is unsuitable for historic wood and masonry'),
  'nps-pb9': pub('any', 'NPS Preservation Brief 9', 'wooden windows'),
  'nps-pb10': pub('any', 'NPS Preservation Brief 10', 'exterior paint: classes of failure and their treatment'),
  'hud-g': pub('US', 'HUD Guidelines, 2nd edition 2012', 'chapters 8 and 11', 'Guidance, not law.'),
  'iso8502-4': pub('any', 'ISO 8502-4; ASTM D3276', 'surface at least 3 C (5 F) above the dew point'),
  'wmo-magnus': pub('any', 'WMO / Sonntag Magnus coefficients 17.62, 243.12 C', 'dew point over water'),
  'film-identity': pub('any', 'unit conversion', '1 US gallon = 1604 ft2 x mil'),
  'fpl-wood': pub('any', 'USDA Forest Products Laboratory, Wood Handbook', 'finishing of wood; charring'),
  clw2002: pub('UK', 'Control of Lead at Work Regulations 2002; HSE L132', 'airborne limit, significant exposure', 'Verify locally.'),
  'si1992-31': { kind: 'mem', title: 'SI 1992/31; UK REACH Annex XVII 16/17', at: 'lead paint withdrawn from general sale', where: 'UK' },
  'uk-lead-any': { kind: 'mem', title: 'UK practice', at: 'no statutory amount below which lead paint is lead-free', where: 'UK' },
  'uk-asbestos': pub('UK', 'Control of Asbestos Regulations 2012; HSE HSG264', 'any trace counts; all uses banned from 24 November 1999'),
  hsg264: { kind: 'mem', title: 'HSE HSG264', at: 'how many bulk samples of each material', where: 'UK' },
  'mem-asbestos-stock': { kind: 'mem', title: 'After 40 CFR 61.145 and the end of stock', at: 'the ban on presumption of 1980 is not the end of use: texture, plaster, compound and putty until about 1990', where: 'US' },
  hsg53: pub('UK', 'HSE HSG53', 'assigned protection factors for RPE'),
  'nps-pb1': pub('any', 'NPS Preservation Brief 1; 36 CFR 67.7(b)(7)', 'the gentlest means possible', 'Binding in the US for rehabilitation that takes tax credit; taken here as good practice on old fabric.'),
  'astm-d3359': pub('any', 'ASTM D3359, method B', 'classes of the cross-cut', 'Where keep ends and strip begins is common practice.'),
  'astm-d6677': pub('any', 'ASTM D6677', 'knife adhesion', 'Where keep ends and strip begins is common practice.'),
  'clopper-pearson': pub('any', 'Clopper and Pearson 1934, Biometrika 26', 'exact bound on a share'),
  'mem-q10': { kind: 'mem', title: 'Rule of thumb', at: 'rate doubles for each 10 C; the product’s sheet comes first', where: 'any' },
  'mem-vibration': { kind: 'mem', title: 'Hand-arm vibration', at: 'action 2.5, limit 5 m/s2 over eight hours (EU, UK)', where: 'any' },
  'trade-trial': { kind: 'trade', title: 'Common practice', at: 'small squares side by side before the whole: short, middle, long', where: 'any' },
  'trade-round': { kind: 'trade', title: 'Common practice', at: 'how much to lay at once, so that nothing dries and nobody waits', where: 'any' },
  'trade-wash': { kind: 'trade', title: 'Common practice', at: 'washing, soaking, degreasing: the cloth comes up clean', where: 'any' },
  'trade-putty': { kind: 'trade', title: 'Common practice', at: 'putty along the sight line, panes labelled', where: 'any' },
  'trade-rust': { kind: 'trade', title: 'Common practice', at: 'machine, then hand, then wipe; acid gel 15 to 20 minutes', where: 'any' },
  'trade-board': { kind: 'trade', title: 'Common practice', at: 'piece by piece: replace, keep, split at the joint', where: 'any' },
  'trade-heat': { kind: 'trade', title: 'Common practice', at: 'infrared stays below 1000 F so that lead does not fume; glass, veneer and thin boards', where: 'any' },
  'trade-scrape': { kind: 'trade', title: 'Common practice', at: 'scrape until an edge has held two passes from two angles; wet, not dry', where: 'any' },
  'trade-sand': { kind: 'trade', title: 'Common practice', at: 'scuff for paint 220-320, never coarser than 220; bare for stain 36, then 60, rails to 100', where: 'any' },
  'trade-strip': { kind: 'trade', title: 'Common practice', at: 'strippers: dwell, cover, residue; turned parts before flats', where: 'any' },
  'trade-blast': { kind: 'trade', title: 'Common practice', at: 'soft-grit sweep: trial first, keep distance', where: 'any' },
  'trade-aim': { kind: 'trade', title: 'Common practice', at: 'how far to strip; leave, overcoat and monitor is always compared', where: 'any' },
  'trade-contain': { kind: 'trade', title: 'Common practice', at: 'sheet laps, bags, masking more than looks necessary', where: 'any' },
  'trade-prime': { kind: 'trade', title: 'Common practice', at: 'primer by material, bleed and topcoat', where: 'any' },
  'trade-interval': { kind: 'trade', title: 'Common practice', at: 'drying and recoat intervals at about 20 C', where: 'any' },
  'trade-wait-lab': { kind: 'trade', title: 'Common practice', at: 'a lab answers in about 4 days', where: 'any' },
  'trade-binder': { kind: 'trade', title: 'Common practice', at: 'what alcohol, alkali, water and heat do to each binder', where: 'any' },
  'trade-sample': { kind: 'trade', title: 'Common practice', at: 'what is suspected, and how many samples where no rule counts them', where: 'any' },
  'trade-mold': { kind: 'trade', title: 'Common practice', at: 'mold and damp: cause first', where: 'any' },
  'trade-size': { kind: 'trade', title: 'Common practice', at: 'usual sizes of joinery, share of a sash that is wood', where: 'any' },
  'mem-rates': { kind: 'mem', title: 'Estimating practice', at: 'production rates, as ranges', where: 'any', note: 'Replace with your own: the firm can edit every rate.' },
  'mem-gloves': { kind: 'mem', title: 'Glove tables', at: 'breakthrough by chemical', where: 'any', note: 'Check the glove maker’s data.' },
  'mem-film': { kind: 'mem', title: 'Maker practice', at: 'volume solids, film and loss of generic coatings', where: 'any', note: 'The product’s own data sheet rules.' },
  'mem-moisture': { kind: 'mem', title: 'Wood Handbook; painting practice', at: 'timber at most 15 % moisture before paint', where: 'any' },
  'job-record': { kind: 'job', title: 'This job’s record', at: 'what was seen, measured or chosen here', where: 'any' },
  'firm-setting': { kind: 'firm', title: 'Firm setting', at: 'a rate, a price or a school that the firm chose', where: 'any' },
} as const satisfies Record<string, Source>;

export type SourceId = keyof typeof SOURCES;

export const SOURCE_KIND_WORDS: Record<SourceKind, string> = {
  pub: 'Published',
  trade: 'Common practice, no published source',
  mem: 'From memory: verify locally',
  job: 'This job’s own record',
  firm: 'Your firm’s setting',
};
