import type { BenchWords } from './words';

export const en: BenchWords = {
  quantity: {
    waterL: 'the water',
    causticG: 'the caustic',
    waterC: 'the water’s heat',
    airC: 'the air',
    bathC: 'the water around the pail',
    ceilingC: 'the ceiling',
    acrossM: 'the width of the vessel',
    deepM: 'the depth of the vessel',
    readingC: 'the thermometer',
    portionG: 'a portion',
    elapsedH: 'the time since the start',
    ph: 'the pH',
    toPh: 'the wanted pH',
    leftG: 'what is left',
    rinseL: 'the water of one rinse',
    areaM2: 'the area',
    filmMm: 'the film',
    thickenerG: 'the thickener',
    windMS: 'the wind',
    stockPct: 'the strength as bought',
    wantPct: 'the wanted strength',
    parts: 'the parts of water',
    partL: 'the part',
    wholeL: 'the whole',
    ageDays: 'the age',
    bottleL: 'a bottle',
    boreIn: 'the nozzle',
    wornIn: 'the wear of the nozzle',
    gaugePsi: 'the pressure',
    hoseM: 'the hose',
    hoseBoreMm: 'the bore of the hose',
    altitudeM: 'the height above the sea',
    machineM3H: 'the compressor',
    mistsDone: 'the number of mists',
    blastH: 'the time of blasting',
    rinses: 'the number of rinses',
    drumL: 'a drum',
    tankL: 'the tank',
    steamKw: 'the power',
    roomM3: 'the room',
  },
  refusal: (r, a) => {
    switch (r.id) {
      case 'range':
        return `${en.quantity[r.what]} must be between ${a.of(r.least)} and ${a.of(r.most)}`;
      case 'notNumber':
        return `${en.quantity[r.what]} is not a number above nothing`;
      case 'warmWater':
        return `start with cold water, at most ${a.of(r.most)}: warm water is half way to the boil`;
      case 'warmAir':
        return `air of ${a.of(r.air)} brings it there by itself: a ceiling of ${a.of(r.least)} or more, or the cool of the day`;
      case 'tooStrong':
        return `${a.of(r.found)} in each liter is stronger than the trade mixes: at most ${a.of(r.most)}`;
      case 'vesselGivesWay':
        return `this vessel gives way above ${a.of(r.limit)}: a ceiling of ${a.of(r.ceiling)} is too high for it`;
      case 'vesselSmall':
        return `the vessel holds ${a.of(r.holds)} and the mix fills ${a.of(r.fills)}: a third stays free for stirring and foam, so take one of ${a.of(r.needs)} or more`;
      case 'noPressure':
        return `so little pressure carries no media: at least ${a.of(r.least)} stay at the nozzle`;
      case 'thinStronger':
        return `water makes it weaker: ${a.of(r.want)} is stronger than the ${a.of(r.stock)} in the bottle`;
      case 'tapWater':
        return `water alone does not bring it under pH ${r.least.value}: tap water itself is about that`;
      case 'metalVessel':
        return `caustic eats aluminum and zinc: it boils over, and ${a.of(r.metal)} of the wall gives ${a.of(r.gas)} of hydrogen, which explodes: take thick plastic or stainless steel`;
      case 'waterIntoCaustic':
        return 'water on caustic boils at once and is thrown out: stop. Caustic goes into cold water, a little at a time, never the other way';
      case 'doesNotDissolve':
        return 'so much caustic does not dissolve safely: take more water';
      case 'glassVessel':
        return 'glass cracks from the heat and from the stirrer: take thick plastic or stainless steel';
      case 'neverCools':
        return 'it never cools enough for the next portion: set the pail in cold water, or mix it weaker';
      case 'moreThanRecipe':
        return 'more went in than the recipe holds: stop, and weigh what is left in the tub';
      case 'hardOnTimber':
        return 'hard grit eats wood: soft media only, low pressure, and a trial square first';
      case 'hoseThin':
        return 'the hose is too thin for this nozzle: three times the bore of the nozzle is right, under twice chokes it';
      case 'thinContradicts':
        return 'these contradict each other: leave one of them out';
      case 'thinNeeds':
        return 'give the parts of water, or both strengths, or both the part and the whole';
      case 'thinAmount':
        return 'say how much: the part, or the whole';
      case 'partMoreThanWhole':
        return 'the part is more than the whole';
    }
  },
  before: (mix, a) => [
    'Goggles, face shield, long caustic gloves, apron, boots: on before the tub is opened.',
    'Eyewash that runs for 15 min within ten steps, and a pail of clean water beside you.',
    'Outdoors or at an open window. Nobody else within two arms’ lengths, no children, no animals.',
    'No aluminum, zinc or brass: no such pail, spoon, ladder rung or ring.',
    `${a.L(mix.waterL)} of cold water first, then the caustic into it, never the other way.`,
    ...(mix.bathC === null ? [] : ['The water around the pail: at least as much as in it, changed as soon as it is no longer cold.']),
    'Weigh each portion dry into a dry plastic cup. Never touch it with the hand.',
  ],
  stage: (s, mix, a) => {
    switch (s.stage) {
      case 'put':
        return {
          head: `Portion ${s.n}: put in ${a.g(s.g)}`,
          more: [
            ...(s.n > 1 ? [`Only if the thermometer is at ${a.c(s.next.fromC)} or lower: read it, and enter it if it is not.`] : []),
            'Sprinkle it slowly, stir all the time, face turned away from the vapor.',
            `It may go up to ${a.c(s.next.toC)}. At ${a.c(mix.ceilingC)} stop, whatever the clock says.`,
          ],
        };
      case 'wait':
        return {
          head: `Wait ${a.time(s.forS)}`,
          more: [
            'Stir now and then. Nothing goes in before the time is up: what lies in it still dissolves and warms it.',
            `Then portion ${s.n}, ${a.g(s.g)}, if the thermometer is at ${a.c(s.untilC)} or lower.`,
          ],
        };
      case 'stop':
        if (s.why === 'climbing')
          return {
            head: `Stop: it climbs to ${a.c(s.c)}`,
            more: [
              'More lies in it than has dissolved. Nothing more goes in; step back.',
              `Cold water around the pail now, if that needs no lifting. Read it every few minutes; go on at ${a.c(s.untilC)} or lower.`,
            ],
          };
        return s.why === 'hot'
          ? {
              head: `Stop: ${a.c(s.c)}`,
              more: [
                'Nothing more goes in. Step back, do not stir, do not move the pail, do not add water.',
                `If it can be done without lifting it, put cold water around it. Go on only at ${a.c(s.untilC)} or lower, read on the thermometer.`,
              ],
            }
          : {
              head: `Stop: ${a.c(s.c)} is more than it can be`,
              more: [
                'Something differs: more caustic went in, or another one, or less water. Nothing more goes in.',
                'Check the scale, the tub and the water; read the thermometer again in a few minutes. If you do not find it, ask.',
              ],
            };
      case 'cool':
        return {
          head: s.forS === null ? 'All in: let it cool' : `All in: about ${a.time(s.forS)} to cool`,
          more: ['Cover it loosely, label it, and leave nobody alone with it. Thicken and lay it cold only.'],
        };
      case 'ready':
        return { head: 'Ready', more: ['Cold enough to thicken. Label it before you turn away.'] };
    }
  },
  live: {
    begin: 'All of this is in place: begin',
    isIn: (g) => `${g} are in`,
    standing: (inG, leftG, time) => `${inG} in, ${leftG} to go · ${time}`,
    onlyIn: (inG, ofG) => `${inG} of ${ofG} in`,
    weighed: 'Weighed, if it was another amount',
    thermometer: 'The thermometer says',
    thinks: (c) => `The model thinks ${c}.`,
    read: (readings, peak) => `Read: ${readings.map(([c, time]) => `${c} at ${time}`).join(', ')}. Hottest so far or ahead ${peak}.`,
    twice: (n) => `Portion ${n} was confirmed twice: it counts once.`,
    went: (n, g, time, by) => `Portion ${n}: ${g} ${time === null ? 'at the start' : `after ${time}`}${by === '' ? '' : `, ${by}`}`,
    onTheWay: 'On the way',
    open: 'Stand at it',
    back: 'All pails',
    undo: 'Take the last entry back',
    end: 'End this mix',
  },
  blast: {
    lockout: [
      'Nozzle down, handle let go: it has to stop by itself. If it does not, nobody blasts.',
      'Compressor off, and its key with whoever goes to the machine.',
      'Air valve shut, hose bled until the gauge reads nothing.',
      'Only then the lid, the valve or the hose: the valve of the hopper takes a finger.',
      'Whoever holds the key starts it again, and calls before.',
    ],
    timberFits: (most) => `On wood: under ${most} at the nozzle, as this school has it. Sweep, and keep the distance.`,
    timberOver: (most, setTo) =>
      `On wood at most ${most} at the nozzle: set ${setTo} at the machine. More eats the early wood, and that does not grow back.`,
    pass: {
      full: (area, hours, media, from) => `Full blast, ${area}, down to the ground: ${hours}, ${media}, from ${from}.`,
      sweep: (area, hours, media, from) =>
        `Sweep, ${area}, what is loose goes and tight primer stays: ${hours}, ${media}, from ${from}, never standing on one place.`,
    },
  },
  pot: {
    kind: {
      bleach: 'thinned bleach',
      biocide: 'thinned biocide',
      paste: 'caustic paste',
      powderPaste: 'paste for milk paint',
      thinnedPaint: 'thinned paint',
      twoPart: 'two-part paint',
      filler: 'filler',
      pva: 'diluted glue',
    },
    state: { fresh: 'good', stir: 'stir', soon: 'use up', over: 'past use' },
    left: (time) => `Usable for another ${time}.`,
    past: (time) => `Past its use by ${time}.`,
    stirIn: (time) => `Stir again in ${time}.`,
    doThen: {
      fresh: 'Go on with it, lid on between.',
      stir: 'Stir it now, from the bottom up: what has settled is not in what you lay.',
      soon: 'Use it up: begin nothing new with it.',
      over: 'Do not use it. It goes to its own waste, with its label on.',
    },
  },
  siteWater: {
    holds: { nothing: 'nothing', lead: 'lead', alkali: 'alkali', acid: 'acid', solvent: 'solvent', biocide: 'biocide' },
    sum: (litres, drums, kg) =>
      `${litres} in all: ${drums === 1 ? 'one drum' : `${drums} drums`}, at most ${kg} each, filled to nine tenths.`,
    ph: (low, high) => `First to pH ${low} to ${high}, read with a strip: no sewer takes what is below 5 or strongly alkaline.`,
    goes: {
      nothing: 'Clean water may run into planted ground, never into a street drain.',
      lead: 'Caught, settled and filtered; what is filtered out is lead waste. The water is kept until the sewage works allows it in writing. Never into ground or drain.',
      alkali: 'Then ask the sewage works. Until it allows it, it is kept. Never into ground or drain.',
      acid: 'Then ask the sewage works: metals may be in it. Until it allows it, it is kept. Never into ground or drain.',
      solvent: 'Never into a drain: its vapor burns. Kept closed, for the carrier.',
      biocide: 'Never into ground or water: it kills what lives there. Kept, for the carrier or the sewage works by its leave.',
    },
    steam: (kg, minutes, hours, litres) =>
      `${kg} of steam an hour, ${minutes} min from one tank. For the area ${hours} and ${litres} of water.`,
    room: (fresh, changes) =>
      `It brings its water into the room: ${fresh} of fresh air carry it off, ${changes} changes an hour. Windows open, soft plaster looked at.`,
    outdoors: 'Outdoors the wind takes it off; hold it so that nobody stands in the cloud.',
    burns: [
      'Steam burns through cloth: long gloves, face shield, hose and plate never toward anybody.',
      'Outlets beside it are off and covered. Old coats may hold lead: what drips is caught.',
    ],
  },
  mist: {
    before: [
      'A laboratory found no asbestos in it, in every sample that was asked for. If not, nobody wets or scrapes it.',
      'The circuits of the ceiling are off and locked, and a tester shows its outlets dead.',
      'Floor and walls are sheeted, the lower edge of the wall sheet turned up: the water runs down them.',
      'Painted texture is scored first, so that the water gets in.',
    ],
    next: {
      mist: (m, a) => `Mist it, ${a.L(m.eachL)}, and wait ${m.waitMin.low} to ${m.waitMin.high} min`,
      scrape: () => 'Try it: a test scrape the size of a hand',
      work: () => 'Scrape now, strip by strip, while it comes off in ribbons',
      wait: () => 'No more water: it is too wet. Wait 20 min and scrape again',
      stop: () => 'Stop wetting: more would hang on the ceiling than it may carry. Let it dry a day, or ask',
    },
    load: (hangs, most) => `The water weighs ${hangs}; at most ${most} may hang there. Sagging, a bulge or a crack: out from under it.`,
    sum: (each, mists, wait) => `${each} a mist, ${mists} of them as a rule, ${wait} apart.`,
    scrape: { none: 'not since the last mist', dust: 'dry dust', crumbs: 'damp crumbs', ribbons: 'ribbons', paste: 'paste that drips' },
  },
  proof: {
    again: 'Not yet: rinse, let it dry, wet it anew and read the strip once more.',
    acid: 'Alkali is left: neutralize with weak acid, rinse, and read again.',
    ready: 'Both readings lie beside the rinse water: it may dry for the coat.',
  },
  agent: {
    bleach: 'bleach',
    acid: 'acid (vinegar, citric, phosphoric)',
    ammonia: 'ammonia',
    alcohol: 'alcohol',
    alkali: 'strong caustic',
    peroxide: 'peroxide',
    solvent: 'solvent and its vapor',
    spark: 'flame, heat, spark',
    dryingOil: 'rags with drying oil or stain',
    closedBin: 'a closed bin',
    aluminium: 'aluminum',
    zinc: 'zinc and galvanized steel',
    iron: 'iron and steel wool',
    copper: 'copper and brass',
    tanninWood: 'oak and other tannin woods',
    lime: 'lime plaster, limestone, marble',
    wool: 'wool, silk, leather',
    dyedFabric: 'dyed fabric and carpet',
  },
  forms: {
    chlorine: 'chlorine gas: it burns the lungs',
    chloramine: 'chloramine gas: it burns the lungs',
    chloroform: 'chloroform and other poison vapor',
    peracid: 'peracid: it burns skin, eyes and lungs',
    hydrogen: 'hydrogen: it explodes, and the metal is eaten',
    boil: 'heat: it boils and spits',
    fire: 'fire',
    selfHeat: 'fire by itself, hours later',
    oxygen: 'oxygen and foam: a closed bottle bursts',
    blueStain: 'blue-black stains',
    darkens: 'a darkened face that does not come back',
    etched: 'an etched face',
    eaten: 'a face that is eaten away',
    bleached: 'a bleached patch',
  },
  parted: {
    never: 'Nothing separates them well enough: use another product.',
    rinse: 'Rinse, prove it with a strip or a clean cloth, let it dry: only then the other.',
    aired: 'Off with the heat and the power until it has dried and the air is clear.',
    waterCan: 'Into a metal can full of water with a lid, or flat outdoors until hard.',
    covered: 'Cover or take away what must not be touched; rinse a splash at once.',
    openFlat: 'Lay them flat outdoors, one deep, away from anything hot.',
  },
  content: {
    caustic: 'Caustic soda in water',
    citric: 'Citric acid in water',
    vinegar: 'Vinegar in water',
    phosphoric: 'Phosphoric acid in water',
    bleach: 'Bleach in water',
    alcohol: 'Alcohol and water',
    whiteSpirit: 'Mineral spirits',
    detergent: 'Cleaner in water',
    biocide: 'Biocide in water',
    benzylAlcohol: 'Stripper with benzyl alcohol',
    nmp: 'Stripper with NMP',
    limonene: 'Citrus solvent (limonene)',
    xylene: 'Xylene',
    acetone: 'Acetone',
    lime: 'Lime in water',
    hydrochloric: 'Hydrochloric acid in water',
    peroxide: 'Hydrogen peroxide in water',
    ammonia: 'Ammonia in water',
    quat: 'Quaternary ammonium in water',
    dryingOil: 'Drying oil with solvent',
    twoPart: 'Resin or hardener of two',
  },
  signal: { danger: 'DANGER', warning: 'WARNING' },
  hazard: {
    H225: 'Highly flammable liquid and vapor.',
    H226: 'Flammable liquid and vapor.',
    H290: 'May be corrosive to metals.',
    H302: 'Harmful if swallowed.',
    H304: 'May be fatal if swallowed and enters airways.',
    H312: 'Harmful in contact with skin.',
    H314: 'Causes severe skin burns and eye damage.',
    H315: 'Causes skin irritation.',
    H317: 'May cause an allergic skin reaction.',
    H318: 'Causes serious eye damage.',
    H319: 'Causes serious eye irritation.',
    H332: 'Harmful if inhaled.',
    H335: 'May cause respiratory irritation.',
    H336: 'May cause drowsiness or dizziness.',
    H360D: 'May damage the unborn child.',
    H411: 'Toxic to aquatic life with long lasting effects.',
    EUH031: 'Contact with acids liberates toxic gas.',
  },
  gloves: {
    causticGloves: 'long caustic gloves',
    nitrile: 'nitrile gloves',
    solventGloves: 'solvent gloves',
    neoprene: 'neoprene gloves',
    butyl: 'butyl gloves',
    laminate: 'laminate gloves',
  },
  eyes: { gogglesShield: 'goggles and face shield', goggles: 'goggles' },
  label: {
    made: 'Made',
    noStrength: 'Its sheet names no strength: labeled as if nothing else were in it.',
    by: 'by',
    strength: 'Strength',
    wear: 'Wear',
    never: 'Never with',
    eyesFirst: 'In the eyes: rinse for 15 minutes, then call.',
    childrenOut: 'Keep from children. Never into a drinks bottle.',
  },
};
