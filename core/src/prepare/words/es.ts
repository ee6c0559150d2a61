import type { BenchWords } from './words';

export const es: BenchWords = {
  quantity: {
    waterL: 'el agua',
    causticG: 'la sosa cáustica',
    waterC: 'la temperatura del agua',
    airC: 'el aire',
    bathC: 'el agua alrededor del cubo',
    ceilingC: 'el tope',
    acrossM: 'el ancho del recipiente',
    deepM: 'la altura del recipiente',
    readingC: 'el termómetro',
    portionG: 'una porción',
    elapsedH: 'el tiempo desde el inicio',
    ph: 'el pH',
    toPh: 'el pH deseado',
    leftG: 'lo que queda',
    rinseL: 'el agua de un enjuague',
    areaM2: 'la superficie',
    filmMm: 'la capa',
    thickenerG: 'el espesante',
    windMS: 'el viento',
    stockPct: 'la concentración comprada',
    wantPct: 'la concentración deseada',
    parts: 'las partes de agua',
    partL: 'la parte',
    wholeL: 'el total',
    ageDays: 'la edad',
    bottleL: 'una botella',
    boreIn: 'la boquilla',
    wornIn: 'el desgaste de la boquilla',
    gaugePsi: 'la presión',
    hoseM: 'la manguera',
    hoseBoreMm: 'el diámetro de la manguera',
    altitudeM: 'la altitud',
    machineM3H: 'el compresor',
    mistsDone: 'el número de rociados',
    blastH: 'el tiempo de chorro',
    rinses: 'el número de enjuagues',
    drumL: 'un bidón',
    tankL: 'el depósito',
    steamKw: 'la potencia',
    roomM3: 'el cuarto',
  },
  refusal: (r, a) => {
    switch (r.id) {
      case 'range':
        return `${es.quantity[r.what]} debe estar entre ${a.of(r.least)} y ${a.of(r.most)}`;
      case 'notNumber':
        return `${es.quantity[r.what]} no es un número mayor que nada`;
      case 'warmWater':
        return `empiece con agua fría, como máximo ${a.of(r.most)}: el agua tibia está a medio camino del hervor`;
      case 'warmAir':
        return `el aire a ${a.of(r.air)} la lleva ahí por sí solo: un tope de ${a.of(r.least)} o más, o a la hora fresca`;
      case 'tooStrong':
        return `${a.of(r.found)} por litro es más fuerte de lo que se usa en el oficio: como máximo ${a.of(r.most)}`;
      case 'vesselGivesWay':
        return `este recipiente cede por encima de ${a.of(r.limit)}: un tope de ${a.of(r.ceiling)} es demasiado alto`;
      case 'vesselSmall':
        return `en el recipiente caben ${a.of(r.holds)} y la mezcla llena ${a.of(r.fills)}: deje libre un tercio para remover y para la espuma; use uno de ${a.of(r.needs)} o más`;
      case 'noPressure':
        return `con tan poca presión no sale el abrasivo: en la boquilla quedan al menos ${a.of(r.least)}`;
      case 'thinStronger':
        return `el agua la hace más débil: ${a.of(r.want)} es más fuerte que ${a.of(r.stock)} de la botella`;
      case 'tapWater':
        return `solo con agua no baja de pH ${r.least.value}: así es el agua de la llave`;
      case 'metalVessel':
        return `la sosa se come el aluminio y el zinc: se desborda hirviendo, y ${a.of(r.metal)} de pared dan ${a.of(r.gas)} de hidrógeno, que explota: use plástico grueso o acero inoxidable`;
      case 'waterIntoCaustic':
        return 'el agua sobre la sosa hierve al instante y salta: alto. La sosa va al agua fría, poco a poco, nunca al revés';
      case 'doesNotDissolve':
        return 'tanta sosa no se disuelve sin peligro: use más agua';
      case 'glassVessel':
        return 'el vidrio se rompe por el calor y por el agitador: use plástico grueso o acero inoxidable';
      case 'neverCools':
        return 'no se enfría lo bastante para la siguiente porción: ponga el cubo en agua fría o haga la mezcla más débil';
      case 'moreThanRecipe':
        return 'entró más de lo que dice la receta: alto, y pese lo que queda en el bote';
      case 'hardOnTimber':
        return 'el grano duro se come la madera: solo medio blando, poca presión y antes un cuadro de prueba';
      case 'hoseThin':
        return 'la manguera es demasiado delgada para esta boquilla: lo correcto es tres veces su diámetro, menos de dos la ahoga';
      case 'thinContradicts':
        return 'estos datos se contradicen: quite uno';
      case 'thinNeeds':
        return 'dé las partes de agua, o las dos concentraciones, o la parte y el total';
      case 'thinAmount':
        return 'diga cuánto: la parte o el total';
      case 'partMoreThanWhole':
        return 'la parte es más que el total';
    }
  },
  before: (mix, a) => [
    'Gafas, careta, guantes largos para sosa, delantal y botas: puestos antes de abrir el bote.',
    'Lavaojos que corra 15 min a menos de diez pasos, y un cubo de agua limpia al lado.',
    'Al aire libre o junto a una ventana abierta. Nadie más a menos de dos brazos, ni niños ni animales.',
    'Nada de aluminio, zinc ni latón: ni cubo, ni cuchara, ni escalera, ni anillo.',
    `Primero ${a.L(mix.waterL)} de agua fría; después la sosa dentro, nunca al revés.`,
    ...(mix.bathC === null ? [] : ['El agua alrededor del cubo: al menos tanta como dentro, y se cambia en cuanto ya no está fría.']),
    'Pese cada porción seca en un vaso de plástico seco. No la toque nunca con la mano.',
  ],
  stage: (s, mix, a) => {
    switch (s.stage) {
      case 'put':
        return {
          head: `Porción ${s.n}: eche ${a.g(s.g)}`,
          more: [
            ...(s.n > 1 ? [`Solo si el termómetro marca ${a.c(s.next.fromC)} o menos: léalo, y anótelo si no es así.`] : []),
            'Despacio, removiendo siempre, con la cara apartada del vapor.',
            `Puede subir hasta ${a.c(s.next.toC)}. A ${a.c(mix.ceilingC)} pare, diga lo que diga el reloj.`,
          ],
        };
      case 'wait':
        return {
          head: `Espere ${a.time(s.forS)}`,
          more: [
            'Remueva de vez en cuando. No eche nada antes de tiempo: lo que hay dentro aún se disuelve y calienta.',
            `Después la porción ${s.n}, ${a.g(s.g)}, si el termómetro marca ${a.c(s.untilC)} o menos.`,
          ],
        };
      case 'stop':
        if (s.why === 'climbing')
          return {
            head: `Alto: va a subir a ${a.c(s.c)}`,
            more: [
              'Hay más dentro de lo que se ha disuelto. No eche nada más; apártese.',
              `Ponga ya agua fría alrededor, si no hay que levantarlo. Lea cada pocos minutos; siga a ${a.c(s.untilC)} o menos.`,
            ],
          };
        return s.why === 'hot'
          ? {
              head: `Alto: ${a.c(s.c)}`,
              more: [
                'No eche nada más. Apártese, no remueva, no mueva el cubo, no añada agua.',
                `Si puede hacerlo sin levantarlo, ponga agua fría alrededor. Siga solo a ${a.c(s.untilC)} o menos, leído en el termómetro.`,
              ],
            }
          : {
              head: `Alto: ${a.c(s.c)} es más de lo posible`,
              more: [
                'Algo no cuadra: entró más sosa, u otra, o hay menos agua. No eche nada más.',
                'Revise la balanza, el bote y el agua; lea otra vez el termómetro en unos minutos. Si no lo encuentra, pregunte.',
              ],
            };
      case 'cool':
        return {
          head: s.forS === null ? 'Todo dentro: deje enfriar' : `Todo dentro: enfriar unos ${a.time(s.forS)}`,
          more: ['Tápelo sin apretar, póngale etiqueta y no lo deje solo. Se espesa y se aplica solo en frío.'],
        };
      case 'ready':
        return { head: 'Listo', more: ['Ya está frío para espesar. Póngale la etiqueta antes de darse la vuelta.'] };
    }
  },
  live: {
    begin: 'Todo listo: empezar',
    isIn: (g) => `${g} dentro`,
    standing: (inG, leftG, time) => `${inG} dentro, faltan ${leftG} · ${time}`,
    onlyIn: (inG, ofG) => `${inG} de ${ofG} dentro`,
    weighed: 'Pesado, si fue otra cantidad',
    thermometer: 'El termómetro marca',
    thinks: (c) => `El modelo calcula ${c}.`,
    read: (readings, peak) =>
      `Leído: ${readings.map(([c, time]) => `${c} a los ${time}`).join(', ')}. Máximo hasta ahora o por venir: ${peak}.`,
    twice: (n) => `La porción ${n} se confirmó dos veces: cuenta una.`,
    went: (n, g, time, by) => `Porción ${n}: ${g} ${time === null ? 'al empezar' : `a los ${time}`}${by === '' ? '' : `, ${by}`}`,
    onTheWay: 'En marcha',
    open: 'Ponerse con ella',
    back: 'Todas las cubetas',
    undo: 'Deshacer la última entrada',
    end: 'Terminar esta mezcla',
  },
  blast: {
    lockout: [
      'Boquilla al suelo y suelte la manija: debe parar sola. Si no para, nadie chorrea.',
      'Compresor apagado, y su llave con quien va a la máquina.',
      'Válvula de aire cerrada y manguera purgada hasta que el manómetro marque cero.',
      'Solo entonces la tapa, la válvula o la manguera: la válvula de la tolva se lleva un dedo.',
      'Quien tiene la llave la arranca de nuevo, y avisa antes.',
    ],
    timberFits: (most) => `En madera: menos de ${most} en la boquilla, según esta escuela. Barrido y a distancia.`,
    timberOver: (most, setTo) =>
      `En madera como mucho ${most} en la boquilla: ponga ${setTo} en la máquina. Más se come la madera temprana, y no vuelve a crecer.`,
    pass: {
      full: (area, hours, media, from) => `Chorro completo, ${area}, hasta el fondo: ${hours}, ${media}, a ${from}.`,
      sweep: (area, hours, media, from) =>
        `Barrido, ${area}, sale lo suelto y la imprimación firme se queda: ${hours}, ${media}, a ${from}, sin parar nunca en un sitio.`,
    },
  },
  pot: {
    kind: {
      bleach: 'lejía diluida',
      biocide: 'biocida diluido',
      paste: 'pasta de sosa cáustica',
      powderPaste: 'pasta para pintura de leche',
      thinnedPaint: 'pintura diluida',
      twoPart: 'pintura de dos componentes',
      filler: 'masilla',
      pva: 'cola diluida',
    },
    state: { fresh: 'buena', stir: 'remover', soon: 'gastar', over: 'caducada' },
    left: (time) => `Sirve todavía ${time}.`,
    past: (time) => `Caducó hace ${time}.`,
    stirIn: (time) => `Remueva otra vez en ${time}.`,
    doThen: {
      fresh: 'Siga con ella, con la tapa puesta entre usos.',
      stir: 'Remueva ya, desde el fondo: lo que se asentó no está en lo que aplica.',
      soon: 'Gástela: no empiece nada nuevo con ella.',
      over: 'No la use. Va a su propio residuo, con su etiqueta puesta.',
    },
  },
  siteWater: {
    holds: { nothing: 'nada', lead: 'plomo', alkali: 'álcali', acid: 'ácido', solvent: 'disolvente', biocide: 'biocida' },
    sum: (litres, drums, kg) =>
      `${litres} en total: ${drums === 1 ? 'un bidón' : `${drums} bidones`}, como mucho ${kg} cada uno, llenos a nueve décimos.`,
    ph: (low, high) => `Primero a pH ${low} a ${high}, leído con tira: ningún desagüe acepta lo que baja de 5 ni lo muy alcalino.`,
    goes: {
      nothing: 'El agua limpia puede ir a tierra con plantas, nunca al desagüe de la calle.',
      lead: 'Se recoge, se deja asentar y se filtra; lo filtrado es residuo de plomo. El agua se guarda hasta que la planta la acepte por escrito. Nunca a la tierra ni al desagüe.',
      alkali: 'Luego pregunte a la planta de aguas. Hasta que la acepte, se guarda. Nunca a la tierra ni al desagüe.',
      acid: 'Luego pregunte a la planta de aguas: puede llevar metales. Hasta que la acepte, se guarda. Nunca a la tierra ni al desagüe.',
      solvent: 'Nunca al desagüe: su vapor arde. Cerrada, para el transportista.',
      biocide: 'Nunca a la tierra ni al agua: mata lo que vive allí. Se guarda, para el transportista o para la planta con su permiso.',
    },
    steam: (kg, minutes, hours, litres) =>
      `${kg} de vapor por hora, ${minutes} min con un depósito. Para la superficie ${hours} y ${litres} de agua.`,
    room: (fresh, changes) =>
      `Mete su agua en el cuarto: ${fresh} de aire fresco se la llevan, ${changes} cambios por hora. Ventanas abiertas, y ojo al yeso blando.`,
    outdoors: 'Afuera se la lleva el viento; que nadie esté dentro de la nube.',
    burns: [
      'El vapor quema a través de la ropa: guantes largos, careta, y ni manguera ni plato hacia nadie.',
      'Los enchufes de al lado, cortados y tapados. La pintura vieja puede llevar plomo: lo que gotea se recoge.',
    ],
  },
  mist: {
    before: [
      'Un laboratorio no halló amianto en ninguna de las muestras pedidas. Si no, nadie lo moja ni lo raspa.',
      'Los circuitos del techo están cortados y bloqueados, y un probador muestra las salidas sin corriente.',
      'Suelo y paredes cubiertos, con el borde de abajo doblado hacia arriba: el agua baja por ellas.',
      'La textura pintada se raya primero, para que entre el agua.',
    ],
    next: {
      mist: (m, a) => `Rocíe ${a.L(m.eachL)} y espere de ${m.waitMin.low} a ${m.waitMin.high} min`,
      scrape: () => 'Pruebe: raspe un trozo del tamaño de una mano',
      work: () => 'Raspe ya, por franjas, mientras sale en tiras',
      wait: () => 'No más agua: está demasiado mojado. Espere 20 min y raspe otra vez',
      stop: () => 'Deje de mojar: colgaría del techo más de lo que aguanta. Deje secar un día, o pregunte',
    },
    load: (hangs, most) => `El agua pesa ${hangs}; como mucho pueden colgar ${most}. Si se comba, se abomba o se agrieta: fuera de debajo.`,
    sum: (each, mists, wait) => `${each} por rociado, por lo general ${mists}, cada ${wait}.`,
    scrape: { none: 'no desde el último rociado', dust: 'polvo seco', crumbs: 'migas húmedas', ribbons: 'tiras', paste: 'pasta que gotea' },
  },
  proof: {
    again: 'Todavía no: enjuague, deje secar, moje de nuevo y lea la tira otra vez.',
    acid: 'Queda álcali: neutralice con ácido débil, enjuague y lea de nuevo.',
    ready: 'Las dos lecturas están junto a la del agua de enjuague: puede secar para la pintura.',
  },
  agent: {
    bleach: 'lejía',
    acid: 'ácido (vinagre, cítrico, fosfórico)',
    ammonia: 'amoníaco',
    alcohol: 'alcohol',
    alkali: 'sosa fuerte',
    peroxide: 'peróxido',
    solvent: 'disolvente y su vapor',
    spark: 'llama, calor, chispa',
    dryingOil: 'trapos con aceite secante o tinte',
    closedBin: 'un cubo de basura cerrado',
    aluminium: 'aluminio',
    zinc: 'zinc y acero galvanizado',
    iron: 'hierro y lana de acero',
    copper: 'cobre y latón',
    tanninWood: 'roble y otras maderas con tanino',
    lime: 'revoque de cal, piedra caliza, mármol',
    wool: 'lana, seda, cuero',
    dyedFabric: 'tela teñida y alfombra',
  },
  forms: {
    chlorine: 'gas cloro: quema los pulmones',
    chloramine: 'gas cloramina: quema los pulmones',
    chloroform: 'cloroformo y otros vapores venenosos',
    peracid: 'perácido: quema la piel, los ojos y los pulmones',
    hydrogen: 'hidrógeno: explota, y el metal se deshace',
    boil: 'calor: hierve y salta',
    fire: 'fuego',
    selfHeat: 'fuego por sí solo, horas después',
    oxygen: 'oxígeno y espuma: una botella cerrada revienta',
    blueStain: 'manchas azul negro',
    darkens: 'una cara oscurecida que no vuelve',
    etched: 'una cara grabada',
    eaten: 'una cara comida',
    bleached: 'una mancha descolorida',
  },
  parted: {
    never: 'Nada los separa lo bastante: use otro producto.',
    rinse: 'Enjuague, compruebe con tira o paño limpio, deje secar: solo entonces lo otro.',
    aired: 'Sin calor ni corriente hasta que esté seco y el aire limpio.',
    waterCan: 'En una lata de metal llena de agua y con tapa, o extendidos al aire libre hasta endurecer.',
    covered: 'Cubra o retire lo que no se debe tocar; enjuague enseguida una salpicadura.',
    openFlat: 'Extendidos al aire libre, uno a uno, lejos de todo calor.',
  },
  content: {
    caustic: 'Sosa cáustica en agua',
    citric: 'Ácido cítrico en agua',
    vinegar: 'Vinagre en agua',
    phosphoric: 'Ácido fosfórico en agua',
    bleach: 'Lejía en agua',
    alcohol: 'Alcohol y agua',
    whiteSpirit: 'Aguarrás mineral',
    detergent: 'Limpiador en agua',
    biocide: 'Biocida en agua',
    benzylAlcohol: 'Decapante con alcohol bencílico',
    nmp: 'Decapante con NMP',
    limonene: 'Disolvente cítrico (limoneno)',
    xylene: 'Xileno',
    acetone: 'Acetona',
    lime: 'Cal en agua',
    hydrochloric: 'Ácido clorhídrico en agua',
    peroxide: 'Peróxido de hidrógeno en agua',
    ammonia: 'Amoniaco en agua',
    quat: 'Amonio cuaternario en agua',
    dryingOil: 'Aceite secante con disolvente',
    twoPart: 'Resina o endurecedor de dos',
  },
  signal: { danger: 'PELIGRO', warning: 'ATENCIÓN' },
  hazard: {
    H225: 'Líquido y vapores muy inflamables.',
    H226: 'Líquidos y vapores inflamables.',
    H290: 'Puede ser corrosiva para los metales.',
    H302: 'Nocivo en caso de ingestión.',
    H304: 'Puede ser mortal en caso de ingestión y penetración en las vías respiratorias.',
    H312: 'Nocivo en contacto con la piel.',
    H314: 'Provoca quemaduras graves en la piel y lesiones oculares graves.',
    H315: 'Provoca irritación cutánea.',
    H317: 'Puede provocar una reacción alérgica en la piel.',
    H318: 'Provoca lesiones oculares graves.',
    H319: 'Provoca irritación ocular grave.',
    H332: 'Nocivo en caso de inhalación.',
    H335: 'Puede irritar las vías respiratorias.',
    H336: 'Puede provocar somnolencia o vértigo.',
    H360D: 'Puede dañar al feto.',
    H411: 'Tóxico para los organismos acuáticos, con efectos nocivos duraderos.',
    EUH031: 'En contacto con ácidos libera gases tóxicos.',
  },
  gloves: {
    causticGloves: 'guantes largos para sosa',
    nitrile: 'guantes de nitrilo',
    solventGloves: 'guantes para disolvente',
    neoprene: 'guantes de neopreno',
    butyl: 'guantes de butilo',
    laminate: 'guantes laminados',
  },
  eyes: { gogglesShield: 'gafas y careta', goggles: 'gafas' },
  label: {
    made: 'Hecho',
    noStrength: 'Su ficha no dice la concentración: etiquetado como si no llevara otra cosa.',
    by: 'por',
    strength: 'Concentración',
    wear: 'Use',
    never: 'Nunca con',
    eyesFirst: 'En los ojos: enjuague 15 minutos y llame.',
    childrenOut: 'Lejos de los niños. Nunca en una botella de bebida.',
  },
};
