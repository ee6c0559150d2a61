/**
 * What a painter sees at a stroke or a coat, and what it sets going. By signs, not by minutes: common practice, no published source.
 * The sentences stand with the languages (`sign.<id>`), the short names with the vocabularies.
 */
import type { SignId } from '../facts';
import type { StepKind } from '../step';

/** Where one can be seen: at a family of strokes, at a coat, at one that is sprayed, at the look before the coats. */
export const SIGN_PLACES = ['gel', 'caustic', 'stone', 'milk', 'blast', 'heat', 'putty', 'steam', 'scrape', 'sand', 'scuff', 'wash', 'soak', 'rust', 'mold', 'rustGel', 'seal', 'coat', 'mist', 'check'] as const;
export type SignPlace = (typeof SIGN_PLACES)[number];

/** go on: it works, and this comes next. stop: enough, or not so. ruined: harm is being done. */
export const SIGN_ROLES = ['goOn', 'stop', 'ruined'] as const;
export type SignRole = (typeof SIGN_ROLES)[number];

/** The next act, and what it changes. */
export type Act =
  /** It has worked: the waiting is over there. */
  | { readonly does: 'lift' }
  /** It works on, so long. */
  | { readonly does: 'wait'; readonly h: { readonly low: number; readonly high: number } }
  /** So many films of product more, there. */
  | { readonly does: 'wet'; readonly films: number }
  /** A whole pass or coat more, there. */
  | { readonly does: 'again' }
  /** A thicker or thinner film from here on. */
  | { readonly does: 'film'; readonly factor: number }
  /** What was lifted is laid again, on this piece. */
  | { readonly does: 'relay' }
  /** Reached: nothing more there. */
  | { readonly does: 'end' }
  /** Another tool by hand, h/m2. */
  | { readonly does: 'tool'; readonly h: number }
  /** Filled with the repairs, h/m2: no coat before it is. */
  | { readonly does: 'fill'; readonly h: number }
  /** Nothing goes on before somebody decided. */
  | { readonly does: 'stop' }
  /** That place goes back. */
  | { readonly does: 'back'; readonly to: StepKind }
  /** Into an older coat: that place is under its controls again. Law O6. */
  | { readonly does: 'breakThrough' };

/** What has to be there for it to be seen at all. */
export type SignNeed = 'film' | 'older' | 'timber' | 'metal' | 'plaster' | 'glass' | 'wet' | 'powered';

/** How it is drawn: on what, what happens there, with what in the hand. */
export const LOOK_GROUNDS = ['film', 'glass', 'metal', 'plaster', 'pot', 'stone', 'wet', 'wood'] as const;
export const LOOK_FIGURES = [
  'beads',
  'block',
  'bloom',
  'bubbles',
  'clay',
  'clog',
  'cloud',
  'colour',
  'crack',
  'craters',
  'crumbs',
  'crust',
  'dark',
  'edge',
  'even',
  'fizz',
  'frost',
  'furrow',
  'fuzz',
  'gap',
  'gel',
  'gouge',
  'heat',
  'held',
  'holes',
  'hollow',
  'layers',
  'lump',
  'mark',
  'oil',
  'pits',
  'powder',
  'resin',
  'ribbon',
  'ridge',
  'runs',
  'sand',
  'scorch',
  'sheets',
  'shift',
  'shiny',
  'skin',
  'skips',
  'smear',
  'smoke',
  'soak',
  'soap',
  'spots',
  'stain',
  'stretch',
  'swirl',
  'thirsty',
  'thread',
  'wrinkle',
] as const;
export const LOOK_TOOLS = ['blade', 'brush', 'cloth', 'drop', 'finger', 'gun', 'heat', 'knock', 'sheet', 'shroud', 'tape'] as const;
export interface SignLook {
  readonly ground: (typeof LOOK_GROUNDS)[number];
  readonly figure: (typeof LOOK_FIGURES)[number];
  readonly tool?: (typeof LOOK_TOOLS)[number];
}

export interface SignSpec {
  readonly at: readonly SignPlace[];
  readonly role: SignRole;
  readonly act: Act;
  readonly look: SignLook;
  readonly needs?: SignNeed;
  /** Its act rubs or cuts the coat: never where that may hold asbestos. Law H2. */
  readonly rubs?: true;
}

export const SIGN_DATA: Readonly<Record<SignId, SignSpec>> = {
  gelBubbles: { at: ['gel'], role: 'goOn', act: { does: 'lift' }, look: { ground: 'wood', figure: 'bubbles' }, needs: 'film' },
  gelRubber: { at: ['gel'], role: 'goOn', act: { does: 'lift' }, look: { ground: 'wood', figure: 'stretch' }, needs: 'film' },
  gelTacky: {
    at: ['gel'],
    role: 'goOn',
    act: { does: 'wait', h: { low: 0.25, high: 0.5 } },
    look: { ground: 'wood', figure: 'thread', tool: 'finger' },
    needs: 'film',
  },
  gelThirsty: { at: ['gel'], role: 'goOn', act: { does: 'wet', films: 0.4 }, look: { ground: 'wood', figure: 'thirsty' } },
  gelDry: { at: ['gel'], role: 'ruined', act: { does: 'wet', films: 1 }, look: { ground: 'wood', figure: 'crust' } },
  gelRuns: { at: ['gel'], role: 'stop', act: { does: 'film', factor: 0.7 }, look: { ground: 'wood', figure: 'runs' } },
  gelRibbon: { at: ['gel'], role: 'stop', act: { does: 'end' }, look: { ground: 'wood', figure: 'ribbon', tool: 'blade' }, needs: 'film' },
  gelStillWet: { at: ['gel'], role: 'goOn', act: { does: 'relay' }, look: { ground: 'pot', figure: 'gel' } },
  gelGrain: {
    at: ['gel'],
    role: 'ruined',
    act: { does: 'tool', h: 0.15 },
    look: { ground: 'wood', figure: 'fuzz' },
    needs: 'timber',
    rubs: true,
  },
  gelCloth: { at: ['gel'], role: 'goOn', act: { does: 'back', to: 'rinse' }, look: { ground: 'wood', figure: 'stain', tool: 'cloth' } },
  causticClay: {
    at: ['caustic', 'stone'],
    role: 'goOn',
    act: { does: 'lift' },
    look: { ground: 'wood', figure: 'clay', tool: 'blade' },
    needs: 'film',
  },
  causticSoap: { at: ['caustic'], role: 'stop', act: { does: 'end' }, look: { ground: 'wood', figure: 'soap' }, needs: 'film' },
  causticWhite: {
    at: ['caustic'],
    role: 'ruined',
    act: { does: 'wet', films: 1 },
    look: { ground: 'wood', figure: 'crust', tool: 'sheet' },
  },
  causticSkin: {
    at: ['caustic'],
    role: 'goOn',
    act: { does: 'again' },
    look: { ground: 'wood', figure: 'skin', tool: 'blade' },
    needs: 'film',
  },
  causticDark: { at: ['caustic'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'wood', figure: 'dark' }, needs: 'timber' },
  causticFizz: { at: ['caustic'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'metal', figure: 'fizz' } },
  causticFur: {
    at: ['caustic'],
    role: 'ruined',
    act: { does: 'stop' },
    look: { ground: 'wood', figure: 'fuzz', tool: 'drop' },
    needs: 'timber',
  },
  causticBloom: { at: ['caustic'], role: 'stop', act: { does: 'back', to: 'rinse' }, look: { ground: 'wood', figure: 'bloom' } },
  milkSlick: { at: ['milk'], role: 'goOn', act: { does: 'lift' }, look: { ground: 'wood', figure: 'soap', tool: 'finger' }, needs: 'film' },
  milkDry: { at: ['milk'], role: 'ruined', act: { does: 'wet', films: 1 }, look: { ground: 'wood', figure: 'runs', tool: 'drop' } },
  milkLeft: { at: ['milk'], role: 'goOn', act: { does: 'again' }, look: { ground: 'wood', figure: 'spots' }, needs: 'film' },
  stoneRubber: { at: ['stone'], role: 'goOn', act: { does: 'lift' }, look: { ground: 'stone', figure: 'stretch' }, needs: 'film' },
  stoneClay: { at: ['stone'], role: 'goOn', act: { does: 'lift' }, look: { ground: 'stone', figure: 'clay' }, needs: 'film' },
  stoneBeads: { at: ['stone'], role: 'goOn', act: { does: 'again' }, look: { ground: 'stone', figure: 'beads', tool: 'drop' } },
  stoneDrawn: { at: ['stone'], role: 'stop', act: { does: 'end' }, look: { ground: 'stone', figure: 'soak', tool: 'drop' } },
  stoneSand: { at: ['stone', 'blast'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'stone', figure: 'sand', tool: 'brush' } },
  stoneJoint: { at: ['stone', 'blast'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'stone', figure: 'gap' } },
  stoneStain: { at: ['stone'], role: 'stop', act: { does: 'back', to: 'rinse' }, look: { ground: 'stone', figure: 'stain' } },
  heatWrinkles: {
    at: ['heat'],
    role: 'goOn',
    act: { does: 'lift' },
    look: { ground: 'wood', figure: 'wrinkle', tool: 'heat' },
    needs: 'film',
  },
  heatSmoke: { at: ['heat'], role: 'stop', act: { does: 'tool', h: 0.05 }, look: { ground: 'wood', figure: 'smoke', tool: 'heat' } },
  heatBlister: {
    at: ['heat'],
    role: 'goOn',
    act: { does: 'lift' },
    look: { ground: 'wood', figure: 'bubbles', tool: 'heat' },
    needs: 'film',
  },
  heatGum: { at: ['heat'], role: 'goOn', act: { does: 'again' }, look: { ground: 'wood', figure: 'thread', tool: 'blade' }, needs: 'film' },
  heatScorch: { at: ['heat'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'wood', figure: 'scorch', tool: 'heat' } },
  heatOil: { at: ['heat'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'wood', figure: 'oil', tool: 'heat' }, needs: 'timber' },
  heatResin: { at: ['heat'], role: 'goOn', act: { does: 'tool', h: 0.1 }, look: { ground: 'wood', figure: 'resin' }, needs: 'timber' },
  heatGlass: { at: ['heat', 'putty'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'glass', figure: 'heat' }, needs: 'glass' },
  steamSheets: {
    at: ['steam'],
    role: 'goOn',
    act: { does: 'lift' },
    look: { ground: 'plaster', figure: 'sheets', tool: 'blade' },
    needs: 'film',
  },
  steamBare: {
    at: ['steam'],
    role: 'stop',
    act: { does: 'end' },
    look: { ground: 'plaster', figure: 'even', tool: 'blade' },
    needs: 'film',
  },
  steamVeneer: { at: ['steam'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'wood', figure: 'layers' } },
  edgeLifts: { at: ['scrape', 'steam'], role: 'goOn', act: { does: 'again' }, look: { ground: 'plaster', figure: 'edge', tool: 'blade' } },
  edgeHeld: { at: ['scrape'], role: 'stop', act: { does: 'end' }, look: { ground: 'plaster', figure: 'held', tool: 'blade' } },
  oldColour: {
    at: ['gel', 'caustic', 'milk', 'heat', 'scrape', 'sand', 'scuff', 'wash', 'soak', 'stone', 'rust', 'blast', 'coat'],
    role: 'stop',
    act: { does: 'breakThrough' },
    look: { ground: 'film', figure: 'colour' },
    needs: 'older',
  },
  gouge: {
    at: ['scrape', 'rust', 'sand'],
    role: 'ruined',
    act: { does: 'fill', h: 0.3 },
    look: { ground: 'wood', figure: 'gouge', tool: 'blade' },
  },
  dustRises: {
    at: ['scrape', 'sand', 'rust'],
    role: 'ruined',
    act: { does: 'wet', films: 0.5 },
    look: { ground: 'wood', figure: 'cloud' },
    needs: 'wet',
  },
  dustEscapes: {
    at: ['sand', 'rust'],
    role: 'stop',
    act: { does: 'stop' },
    look: { ground: 'wood', figure: 'cloud', tool: 'shroud' },
    needs: 'powered',
  },
  chalkUnder: { at: ['scrape'], role: 'stop', act: { does: 'back', to: 'check' }, look: { ground: 'plaster', figure: 'powder' } },
  hollow: {
    at: ['scrape', 'soak'],
    role: 'stop',
    act: { does: 'stop' },
    look: { ground: 'plaster', figure: 'hollow', tool: 'knock' },
    needs: 'plaster',
  },
  sandClogs: { at: ['sand'], role: 'stop', act: { does: 'stop' }, look: { ground: 'wood', figure: 'clog', tool: 'sheet' } },
  sandDull: { at: ['sand', 'scuff'], role: 'stop', act: { does: 'end' }, look: { ground: 'film', figure: 'even', tool: 'sheet' } },
  sandShiny: { at: ['sand', 'scuff'], role: 'goOn', act: { does: 'again' }, look: { ground: 'film', figure: 'shiny', tool: 'sheet' } },
  sandRidge: { at: ['sand', 'scuff'], role: 'goOn', act: { does: 'again' }, look: { ground: 'film', figure: 'ridge', tool: 'finger' } },
  sandSwirl: {
    at: ['sand', 'scuff'],
    role: 'ruined',
    act: { does: 'again' },
    look: { ground: 'wood', figure: 'swirl', tool: 'sheet' },
    rubs: true,
  },
  soakDark: { at: ['soak'], role: 'goOn', act: { does: 'lift' }, look: { ground: 'plaster', figure: 'soak', tool: 'blade' } },
  soakRunsOff: { at: ['soak'], role: 'goOn', act: { does: 'again' }, look: { ground: 'plaster', figure: 'beads', tool: 'drop' } },
  soakPaper: { at: ['soak'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'plaster', figure: 'layers' } },
  soakChalk: { at: ['soak'], role: 'goOn', act: { does: 'again' }, look: { ground: 'plaster', figure: 'powder', tool: 'cloth' } },
  soakClean: { at: ['soak'], role: 'stop', act: { does: 'end' }, look: { ground: 'plaster', figure: 'even', tool: 'cloth' } },
  washDirty: { at: ['wash'], role: 'goOn', act: { does: 'again' }, look: { ground: 'film', figure: 'stain', tool: 'cloth' } },
  washClean: { at: ['wash'], role: 'stop', act: { does: 'end' }, look: { ground: 'film', figure: 'even', tool: 'cloth' } },
  washColour: { at: ['wash'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'film', figure: 'colour', tool: 'cloth' } },
  moldStain: { at: ['mold'], role: 'stop', act: { does: 'end' }, look: { ground: 'plaster', figure: 'spots', tool: 'cloth' } },
  moldSmears: { at: ['mold'], role: 'goOn', act: { does: 'again' }, look: { ground: 'plaster', figure: 'smear', tool: 'cloth' } },
  moldBehind: { at: ['mold'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'plaster', figure: 'edge', tool: 'drop' } },
  puttyCrumbs: {
    at: ['putty'],
    role: 'goOn',
    act: { does: 'lift' },
    look: { ground: 'glass', figure: 'crumbs', tool: 'blade' },
    needs: 'glass',
  },
  puttyHard: { at: ['putty'], role: 'stop', act: { does: 'tool', h: 0.3 }, look: { ground: 'glass', figure: 'block' }, needs: 'glass' },
  paneMoves: { at: ['putty'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'glass', figure: 'shift' }, needs: 'glass' },
  paneTicks: { at: ['putty'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'glass', figure: 'crack' }, needs: 'glass' },
  rustBright: { at: ['rust'], role: 'stop', act: { does: 'end' }, look: { ground: 'metal', figure: 'even', tool: 'brush' } },
  rustPolished: { at: ['rust'], role: 'goOn', act: { does: 'again' }, look: { ground: 'metal', figure: 'shiny', tool: 'brush' } },
  rustPits: { at: ['rust', 'rustGel'], role: 'goOn', act: { does: 'again' }, look: { ground: 'metal', figure: 'pits' } },
  rustThin: { at: ['rust', 'rustGel'], role: 'stop', act: { does: 'stop' }, look: { ground: 'metal', figure: 'layers', tool: 'knock' } },
  rustGrey: { at: ['rustGel'], role: 'stop', act: { does: 'end' }, look: { ground: 'metal', figure: 'dark', tool: 'drop' } },
  rustGelDry: { at: ['rustGel'], role: 'ruined', act: { does: 'wet', films: 1 }, look: { ground: 'metal', figure: 'crust' } },
  rustFlash: { at: ['rust', 'rustGel'], role: 'ruined', act: { does: 'back', to: 'rinse' }, look: { ground: 'metal', figure: 'bloom' } },
  blastTight: { at: ['blast'], role: 'goOn', act: { does: 'end' }, look: { ground: 'metal', figure: 'held', tool: 'gun' } },
  blastLoose: {
    at: ['blast'],
    role: 'goOn',
    act: { does: 'again' },
    look: { ground: 'metal', figure: 'edge', tool: 'gun' },
    needs: 'film',
  },
  blastFurrow: {
    at: ['blast'],
    role: 'ruined',
    act: { does: 'stop' },
    look: { ground: 'wood', figure: 'furrow', tool: 'gun' },
    needs: 'timber',
  },
  blastFrost: {
    at: ['blast'],
    role: 'ruined',
    act: { does: 'stop' },
    look: { ground: 'glass', figure: 'frost', tool: 'gun' },
    needs: 'glass',
  },
  blastCloud: { at: ['blast'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'metal', figure: 'cloud', tool: 'gun' } },
  sealClosed: { at: ['seal'], role: 'stop', act: { does: 'end' }, look: { ground: 'wet', figure: 'held', tool: 'brush' } },
  sealHoles: { at: ['seal'], role: 'goOn', act: { does: 'again' }, look: { ground: 'plaster', figure: 'holes' } },
  sealLifts: { at: ['seal'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'plaster', figure: 'edge' } },
  coatThirsty: { at: ['coat'], role: 'goOn', act: { does: 'wet', films: 0.5 }, look: { ground: 'wet', figure: 'thirsty', tool: 'brush' } },
  coatRun: { at: ['coat'], role: 'stop', act: { does: 'tool', h: 0.1 }, look: { ground: 'wet', figure: 'runs' }, rubs: true },
  coatRidge: { at: ['coat'], role: 'stop', act: { does: 'tool', h: 0.1 }, look: { ground: 'wet', figure: 'ridge' }, rubs: true },
  coatLump: { at: ['coat'], role: 'goOn', act: { does: 'tool', h: 0.05 }, look: { ground: 'wet', figure: 'lump' }, rubs: true },
  coatBleeds: { at: ['coat'], role: 'stop', act: { does: 'back', to: 'prime' }, look: { ground: 'wet', figure: 'stain' } },
  coatTacky: {
    at: ['coat'],
    role: 'goOn',
    act: { does: 'wait', h: { low: 4, high: 24 } },
    look: { ground: 'wet', figure: 'thread', tool: 'finger' },
  },
  coatGrain: {
    at: ['coat'],
    role: 'goOn',
    act: { does: 'tool', h: 0.1 },
    look: { ground: 'wet', figure: 'fuzz' },
    needs: 'timber',
    rubs: true,
  },
  coatCraters: { at: ['coat'], role: 'ruined', act: { does: 'back', to: 'rinse' }, look: { ground: 'wet', figure: 'craters' } },
  coatWrinkles: { at: ['coat'], role: 'ruined', act: { does: 'stop' }, look: { ground: 'wet', figure: 'wrinkle' } },
  coatSkips: { at: ['coat'], role: 'goOn', act: { does: 'again' }, look: { ground: 'wet', figure: 'skips' } },
  coatBloom: { at: ['coat'], role: 'ruined', act: { does: 'again' }, look: { ground: 'wet', figure: 'bloom' }, rubs: true },
  coatNail: {
    at: ['coat'],
    role: 'goOn',
    act: { does: 'wait', h: { low: 12, high: 48 } },
    look: { ground: 'wet', figure: 'mark', tool: 'finger' },
  },
  coatDry: {
    at: ['mist'],
    role: 'ruined',
    act: { does: 'film', factor: 1.2 },
    look: { ground: 'wet', figure: 'sand', tool: 'gun' },
    rubs: true,
  },
  coatEven: { at: ['coat'], role: 'stop', act: { does: 'end' }, look: { ground: 'wet', figure: 'even', tool: 'brush' } },
  tapeSand: {
    at: ['check'],
    role: 'ruined',
    act: { does: 'back', to: 'check' },
    look: { ground: 'plaster', figure: 'sand', tool: 'tape' },
  },
  tapeFilm: {
    at: ['check'],
    role: 'ruined',
    act: { does: 'back', to: 'remove' },
    look: { ground: 'film', figure: 'layers', tool: 'tape' },
  },
  dropBeads: { at: ['check'], role: 'stop', act: { does: 'back', to: 'rinse' }, look: { ground: 'wood', figure: 'beads', tool: 'drop' } },
};
