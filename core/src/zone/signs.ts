/** What hangs at every way into a zone, in the words that law fixes and in the firm's own beside them; in English and in Spanish. */
import { spell, type SourceId } from '../reasons';
import type { Rulebook } from '../rulebook';
import type { ZonePlan } from './plan';

export interface Sign {
  readonly about: 'lead' | 'asbestos' | 'mold' | 'silica' | 'antifoul' | 'poison' | 'vapour' | 'mist' | 'caustic' | 'hotWork' | 'keepOut';
  /** The first line is the signal word. */
  readonly en: readonly string[];
  readonly es: readonly string[];
  /** The words are the law's own, and stay as they are. */
  readonly fixed: boolean;
  readonly source: SourceId;
}

/** 29 CFR 1926.62(m) names the English words; the Spanish ones are a translation, from memory. */
const LEAD_ES = [
  'PELIGRO',
  'ÁREA DE TRABAJO CON PLOMO',
  'PUEDE PERJUDICAR LA FERTILIDAD O AL FETO',
  'CAUSA DAÑO AL SISTEMA NERVIOSO CENTRAL',
  'NO COMA, BEBA NI FUME EN ESTA ÁREA',
];
const LEAD_UK_ES = ['TRABAJO CON PINTURA DE PLOMO', 'PROHIBIDO EL PASO', 'NO COMER, BEBER NI FUMAR', 'MÁSCARA Y MONO DESDE AQUÍ'];

/** 29 CFR 1926.1101(k)(7); the Spanish words are a translation, from memory. */
const ASBESTOS_WORK = {
  en: [
    'DANGER',
    'ASBESTOS',
    'MAY CAUSE CANCER',
    'CAUSES DAMAGE TO LUNGS',
    'WEAR RESPIRATORY PROTECTION AND PROTECTIVE CLOTHING IN THIS AREA',
    'AUTHORIZED PERSONNEL ONLY',
  ],
  es: [
    'PELIGRO',
    'ASBESTO',
    'PUEDE CAUSAR CÁNCER',
    'CAUSA DAÑO A LOS PULMONES',
    'USE PROTECCIÓN RESPIRATORIA Y ROPA PROTECTORA EN ESTA ÁREA',
    'SÓLO PERSONAL AUTORIZADO',
  ],
} as const;

const OWN: readonly (Omit<Sign, 'fixed' | 'source'> & { readonly source: SourceId })[] = [
  {
    about: 'asbestos',
    en: [
      'CAUTION',
      'MATERIAL HERE MAY HOLD ASBESTOS',
      'DO NOT DRILL, SCRAPE, SAND OR HANG ANYTHING ON IT',
      'IF IT BREAKS: LEAVE, CLOSE THE DOOR, TELL US',
    ],
    es: [
      'PRECAUCIÓN',
      'ESTE MATERIAL PUEDE CONTENER ASBESTO',
      'NO TALADRE, RASPE, LIJE NI CUELGUE NADA EN ÉL',
      'SI SE ROMPE: SALGA, CIERRE LA PUERTA, AVÍSENOS',
    ],
    source: 'trade-contain',
  },
  {
    about: 'mold',
    en: ['CAUTION', 'MOLD IS BEING CLEANED', 'KEEP OUT WITHOUT MASK AND SUIT', 'KEEP THIS SHEET CLOSED'],
    es: ['PRECAUCIÓN', 'LIMPIEZA DE MOHO', 'NO ENTRE SIN MÁSCARA Y TRAJE', 'MANTENGA CERRADO EL PLÁSTICO'],
    source: 'trade-mold',
  },
  {
    about: 'silica',
    en: ['CAUTION', 'FINE DUST OF STONE AND PLASTER', 'MASK FROM HERE', 'KEEP THIS DOOR CLOSED'],
    es: ['PRECAUCIÓN', 'POLVO FINO DE PIEDRA Y YESO', 'MÁSCARA DESDE AQUÍ', 'MANTENGA CERRADA ESTA PUERTA'],
    source: 'trade-sand',
  },
  {
    about: 'vapour',
    en: ['CAUTION', 'SOLVENT VAPOR', 'NO SMOKING, NO FLAMES, NO SPARKS', 'KEEP WINDOWS OPEN'],
    es: ['PRECAUCIÓN', 'VAPORES DE DISOLVENTE', 'NO FUME, SIN LLAMAS NI CHISPAS', 'MANTENGA LAS VENTANAS ABIERTAS'],
    source: 'trade-strip',
  },
  {
    about: 'mist',
    en: ['CAUTION', 'PAINT IS BEING SPRAYED', 'KEEP OUT UNTIL THE AIR IS CLEAR', 'NO SMOKING, NO FLAMES, NO SPARKS'],
    es: ['PRECAUCIÓN', 'SE ESTÁ PULVERIZANDO PINTURA', 'NO ENTRE HASTA QUE EL AIRE ESTÉ LIMPIO', 'NO FUME, SIN LLAMAS NI CHISPAS'],
    source: 'trade-lay',
  },
  {
    about: 'antifoul',
    en: ['DANGER', 'POISON OF OLD BOAT PAINT', 'MASK, SUIT AND GLOVES FROM HERE', 'NOTHING GOES INTO SOIL, DRAIN OR WATER'],
    es: [
      'PELIGRO',
      'VENENO DE PINTURA VIEJA DE BARCO',
      'MÁSCARA, TRAJE Y GUANTES DESDE AQUÍ',
      'NADA DEBE LLEGAR AL SUELO, AL DESAGÜE NI AL AGUA',
    ],
    source: 'mem-antifoul',
  },
  {
    about: 'poison',
    en: ['DANGER', 'POISON IN OLD PAINT', 'MASK, SUIT AND GLOVES FROM HERE', 'NOTHING GOES INTO SOIL, DRAIN OR WATER'],
    es: [
      'PELIGRO',
      'VENENO EN LA PINTURA VIEJA',
      'MÁSCARA, TRAJE Y GUANTES DESDE AQUÍ',
      'NADA DEBE LLEGAR AL SUELO, AL DESAGÜE NI AL AGUA',
    ],
    source: 'mem-poison',
  },
  {
    about: 'caustic',
    en: [
      'DANGER',
      'CAUSTIC ON THE SURFACE: IT BURNS SKIN AND EYES',
      'GLOVES, GOGGLES AND SHIELD FROM HERE',
      'EYES: RINSE 15 MINUTES, THEN CALL',
    ],
    es: [
      'PELIGRO',
      'CÁUSTICO EN LA SUPERFICIE: QUEMA LA PIEL Y LOS OJOS',
      'GUANTES, GAFAS Y CARETA DESDE AQUÍ',
      'OJOS: ENJUAGUE 15 MINUTOS Y LLAME',
    ],
    source: 'ansi-z358',
  },
  {
    about: 'hotWork',
    en: ['CAUTION', 'HOT WORK', 'KEEP CLEAR OF THE TOOL AND OF WHAT LIES BELOW IT', 'FIRE WATCH FOR AN HOUR AFTER THE LAST HEAT'],
    es: [
      'PRECAUCIÓN',
      'TRABAJO EN CALIENTE',
      'ALÉJESE DE LA HERRAMIENTA Y DE LO QUE HAY DEBAJO',
      'VIGILANCIA DE INCENDIO UNA HORA DESPUÉS',
    ],
    source: 'nfpa-51b',
  },
];

/** @returns in the order of the hazards; a keep-out sign where anything is worked and nothing else asks for one */
export function zoneSigns(zone: ZonePlan, rulebook: Rulebook): Sign[] {
  const reaches = zone.hazards.map((h) => h.kind);
  const out: Sign[] = [];
  if (zone.protection.sign.value.length > 0)
    out.push({
      about: 'lead',
      en: zone.protection.sign.value,
      es: rulebook.id === 'us' ? LEAD_ES : LEAD_UK_ES,
      fixed: rulebook.id === 'us',
      source: rulebook.signSource,
    });
  if (zone.protection.fibres)
    out.push({ about: 'asbestos', ...ASBESTOS_WORK, fixed: rulebook.id === 'us', source: rulebook.sources.asbestosWork });
  for (const sign of OWN) {
    if (sign.about === 'asbestos' && zone.protection.fibres) continue;
    const there =
      sign.about === 'asbestos'
        ? zone.asbestosBeside.length > 0 ||
          zone.protection.care === 'guard' ||
          zone.protection.care === 'leaveAlone' ||
          reaches.includes('asbestos')
        : sign.about === 'silica'
          ? zone.protection.care === 'silica'
          : reaches.includes(sign.about as never);
    // A sealed room has no window to open: who goes in there is masked.
    const shut = sign.about === 'vapour' && zone.protection.openings.value === 'closeAndSeal';
    const open = sign.about === 'vapour' && zone.kind === 'elevation';
    const last = (lines: readonly string[], masked: string, upwind: string) =>
      shut || open ? [...lines.slice(0, -1), shut ? masked : upwind] : lines;
    if (there)
      out.push({
        ...sign,
        en: last(sign.en, 'NOBODY IN HERE WITHOUT THE MASK THAT IS LISTED', 'STAY UPWIND').map(spell),
        es: last(sign.es, 'NADIE ENTRE SIN LA MÁSCARA INDICADA', 'QUÉDESE DEL LADO DEL VIENTO'),
        fixed: false,
      });
  }
  if (out.length === 0 && zone.working.length > 0)
    out.push({
      about: 'keepOut',
      en: ['CAUTION', 'PAINTERS AT WORK', 'PLEASE KEEP OUT UNTIL THIS SIGN IS TAKEN DOWN'],
      es: ['PRECAUCIÓN', 'PINTORES TRABAJANDO', 'NO ENTRE HASTA QUE SE RETIRE ESTE AVISO'],
      fixed: false,
      source: 'trade-contain',
    });
  return out;
}
