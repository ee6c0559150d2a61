/**
 * A sign drawn: what it lies on, what happens there, what is in the hand. A drawing says which sign is meant without its words; the firm's own
 * picture stands in for it once there is one.
 */
import Svg, { G, Path, Rect } from 'react-native-svg';
import { MASONRY, METAL, PLASTER, SIGN_DATA, type Material, type SignId, type SignLook } from '@roughsill/core';

const INK = 'rgb(var(--soot))';
const RED = 'rgb(var(--oxide))';
const WHITE = 'rgb(var(--panel))';
const FILM = 'rgb(var(--shelf))';

/** The face on which it happens: y 34 of 54. */
const GROUNDS: Readonly<Record<SignLook['ground'], { readonly fill: string; readonly lines: string; readonly film: string | null }>> = {
  wood: { fill: 'rgb(var(--wood))', lines: 'M0 42C20 38 44 46 72 41M0 50C24 46 46 52 72 48', film: null },
  stone: { fill: '#d9b7a4', lines: 'M0 44H72M18 34V44M50 34V44M34 44V54M62 44V54', film: null },
  metal: { fill: '#c3c8c8', lines: 'M4 54L24 34M24 54L44 34M44 54L64 34', film: null },
  plaster: { fill: '#e2ddcf', lines: 'M8 42h2M26 48h2M44 41h2M60 49h2M16 51h2M52 45h2', film: null },
  glass: { fill: '#c8d4df', lines: 'M10 50L22 38M16 52L32 36M46 50L58 38', film: null },
  film: { fill: 'rgb(var(--wood))', lines: 'M0 48C20 45 44 51 72 47', film: FILM },
  wet: { fill: 'rgb(var(--wood))', lines: 'M0 48C20 45 44 51 72 47', film: 'rgb(var(--verdigris))' },
  pot: { fill: 'rgb(var(--shelf))', lines: 'M0 44H72', film: null },
};

type Stroke = readonly [d: string, fill?: 'ink' | 'red' | 'white' | 'film'];
/** Above and into the face at y 34. */
const FIGURES: Readonly<Record<SignLook['figure'], readonly Stroke[]>> = {
  bubbles: [
    ['M8 34a6 6 0 0 1 12 0z', 'film'],
    ['M22 34a8 8 0 0 1 16 0z', 'film'],
    ['M42 34a5 5 0 0 1 10 0z', 'film'],
    ['M54 34a7 7 0 0 1 14 0z', 'film'],
  ],
  stretch: [
    ['M6 34C10 20 18 12 30 10', undefined],
    ['M14 34C18 24 24 18 32 16', undefined],
    ['M30 8h12v10H30z', 'film'],
    ['M4 34h16v4H4z', 'film'],
  ],
  thread: [['M6 28h60v6H6z', 'film'], ['M34 28C34 18 36 14 36 8M28 28C30 20 32 14 33 8M42 28C40 20 39 14 39 8']],
  thirsty: [['M4 28h18v6H4zM48 28h20v6H48z', 'film'], ['M22 33C28 36 42 36 48 33', undefined], ['M30 38v8M35 38v10M40 38v8']],
  crust: [['M4 26h14l2 8H4zM22 26h12l-2 8H20zM38 26h14l2 8H36zM56 26h12v8H54z', 'white']],
  runs: [
    ['M4 16h64v8H4z', 'film'],
    ['M14 24v10a3 3 0 0 0 6 0V24zM34 24v16a3 3 0 0 0 6 0V24zM54 24v8a3 3 0 0 0 6 0v-8z', 'film'],
  ],
  ribbon: [
    ['M4 34h24', undefined],
    ['M66 34H40C34 34 30 30 30 24s6-10 12-8 6 10 0 10', undefined],
    ['M40 30h28v4H40z', 'film'],
  ],
  gel: [
    ['M16 14h40l-4 30H20z', 'white'],
    ['M18 24C26 20 32 28 40 24s10 0 14 0l-2 18H21z', 'film'],
  ],
  fuzz: [['M8 34l-2-8M14 34l1-10M20 34l-3-7M26 34l2-9M32 34l-1-8M38 34l3-9M44 34l-2-10M50 34l2-7M56 34l-1-10M62 34l3-8']],
  stain: [['M18 34c-4-8 4-14 14-12s20-2 22 6-8 6-14 6z', 'red'], ['M10 34h54']],
  clay: [['M4 34c4-10 10-4 16-8s10-2 16 0 14-6 20 2 8 2 12 6z', 'red']],
  soap: [
    ['M4 34C20 34 30 30 40 24s18-4 28 0', undefined],
    ['M14 26a4 4 0 1 0 8 0 4 4 0 1 0-8 0zM26 18a3 3 0 1 0 6 0 3 3 0 1 0-6 0zM38 14a2 2 0 1 0 4 0 2 2 0 1 0-4 0z', 'white'],
  ],
  skin: [
    ['M4 30h64v4H4z', 'red'],
    ['M10 24c8-6 18-2 24-8', undefined],
  ],
  dark: [['M4 34h64v12H4z', 'ink'], ['M10 28h52']],
  fizz: [
    [
      'M12 30a2 2 0 1 0 4 0 2 2 0 1 0-4 0zM22 22a3 3 0 1 0 6 0 3 3 0 1 0-6 0zM34 14a2 2 0 1 0 4 0 2 2 0 1 0-4 0zM40 28a3 3 0 1 0 6 0 3 3 0 1 0-6 0zM54 20a2 2 0 1 0 4 0 2 2 0 1 0-4 0zM30 31a2 2 0 1 0 4 0 2 2 0 1 0-4 0z',
      'white',
    ],
  ],
  bloom: [
    ['M8 34c2-6 8-6 10-2 4-8 10-6 12 0 4-6 10-6 12 0 4-6 10-4 12 0 3-4 8-2 10 2z', 'white'],
    ['M16 24v-4M30 22v-5M44 24v-4M58 24v-4'],
  ],
  spots: [
    [
      'M12 36a2 2 0 1 0 4 0 2 2 0 1 0-4 0zM26 40a2 2 0 1 0 4 0 2 2 0 1 0-4 0zM38 35a2 2 0 1 0 4 0 2 2 0 1 0-4 0zM50 41a2 2 0 1 0 4 0 2 2 0 1 0-4 0zM60 36a2 2 0 1 0 4 0 2 2 0 1 0-4 0zM20 46a2 2 0 1 0 4 0 2 2 0 1 0-4 0z',
      'ink',
    ],
  ],
  beads: [['M10 34a6 5 0 0 1 12 0zM30 34a7 6 0 0 1 14 0zM52 34a6 5 0 0 1 12 0z', 'white']],
  soak: [['M8 34h56l-6 14c-8 4-36 4-44 0z', 'film'], ['M22 38v6M36 38v8M50 38v6']],
  sand: [
    ['M10 32h2M18 29h2M26 32h2M32 27h2M40 31h2M46 28h2M54 32h2M60 29h2M22 24h2M36 22h2M50 23h2', undefined],
    ['M8 34l4-3 6 3 5-2 6 2 7-4 6 4 6-2 6 2 8-3'],
  ],
  gap: [['M30 34v14h10V34z', 'ink'], ['M36 30c2-6-2-8 2-14M30 28c-2-6 2-8-2-12']],
  wrinkle: [['M4 32c4-8 6 2 10-4s6 4 10-3 6 4 10-4 6 5 10-3 6 4 10-4 6 4 10-2 4 4 4 6H4z', 'film']],
  smoke: [['M24 34c-6-8 6-10 0-18M36 34c-6-10 8-12 0-24M48 34c-6-8 6-10 0-18']],
  scorch: [['M14 34c0-4 8-8 20-8s22 4 22 8c0 8-6 12-22 12s-20-4-20-12z', 'ink'], ['M26 20c-3-4 3-5 0-9M42 20c-3-4 3-5 0-9']],
  oil: [['M16 34a4 6 0 0 1 8 0zM32 34a5 9 0 0 1 10 0zM52 34a4 6 0 0 1 8 0z', 'ink'], ['M20 22v-6M37 18v-7M56 22v-6']],
  resin: [
    ['M26 42a10 5 0 1 0 20 0 10 5 0 1 0-20 0z', undefined],
    ['M33 42a3 2 0 1 0 6 0 3 2 0 1 0-6 0z', 'ink'],
    ['M32 34a4 6 0 0 1 8 0z', 'red'],
  ],
  heat: [
    ['M18 28c-6-8 6-10 0-18M36 28c-6-8 6-10 0-18M54 28c-6-8 6-10 0-18', undefined],
    ['M8 31h56', undefined],
  ],
  sheets: [['M8 34C10 20 22 14 34 16l-4 18z', 'film'], ['M34 34c2-10 10-14 20-12']],
  layers: [['M6 34h60M8 38c16-6 40-6 56 0M6 42c18-8 42-8 60 0', undefined], ['M12 34C20 24 30 26 36 22']],
  edge: [
    ['M6 34h24', undefined],
    ['M30 34C36 32 42 26 50 24l16 10z', 'film'],
  ],
  held: [['M20 30h46v4H20z', 'film'], ['M6 22l10 8M6 30l10 2']],
  colour: [
    ['M6 28h18l4 6H6zM46 28h20v6H42z', 'film'],
    ['M26 31h18l-2 3H28z', 'red'],
  ],
  gouge: [['M20 34l14 12 16-12z', 'white'], ['M22 30l-6-10']],
  cloud: [['M10 30c-4-8 4-12 8-8 2-10 16-10 18-2 6-6 16-2 14 4 8-2 12 6 6 8z', 'white'], ['M16 34v-2M30 34v-2M46 34v-2M58 34v-2']],
  powder: [
    ['M6 26h60v4H6z', 'film'],
    ['M8 33h1M14 33h1M20 33h1M26 33h1M32 33h1M38 33h1M44 33h1M50 33h1M56 33h1M62 33h1M11 36h1M23 36h1M35 36h1M47 36h1M59 36h1'],
  ],
  hollow: [['M12 42c8-8 40-8 48 0-8 6-40 6-48 0z', 'ink'], ['M26 26a12 8 0 0 1 20 0M30 22a8 6 0 0 1 12 0']],
  clog: [
    ['M14 26h44v8H14z', 'white'],
    ['M18 34c2-4 6-4 8 0zM32 34c2-5 8-5 10 0zM46 34c2-4 6-4 8 0z', 'red'],
  ],
  even: [['M4 31h64v3H4z', 'film'], ['M12 24l4 4 8-10M34 24l4 4 8-10M56 24l3 3 6-8']],
  shiny: [['M4 30h64v4H4z', 'film'], ['M36 8v10M36 22v4M26 17h6M40 17h6M29 10l4 4M43 10l-4 4']],
  ridge: [['M4 34V28h28l4 6z', 'film'], ['M30 24l6 8']],
  swirl: [['M14 42c8-6 18-6 26 0M22 46c8-6 18-6 26 0M30 40c8-6 18-6 26 0M10 38c6-4 12-4 18 0']],
  smear: [
    ['M8 34c12-6 18-2 26-6s20-2 30 0', undefined],
    ['M12 38c12-4 22 0 34-4', undefined],
    ['M18 34c6-4 14-2 20-4l-4 4z', 'ink'],
  ],
  crumbs: [['M12 32l4-6 6 4-2 4zM30 30l5-4 5 6-6 2zM48 32l4-7 6 5-3 4zM24 22l3-3 4 3-3 3z', 'film']],
  block: [['M14 16h44v18H14z', 'film'], ['M20 22l6 6M32 20l6 8M46 22l6 6']],
  shift: [['M16 18h36v22H16z', 'white'], ['M24 14h36v22', undefined], ['M6 26l8 0M10 22l4 4-4 4']],
  crack: [['M36 34l-4-6 6-4-5-6 6-4-3-6M36 34l8-8M36 34l-10-4']],
  pits: [['M12 34a3 4 0 0 0 6 0zM26 34a4 5 0 0 0 8 0zM42 34a3 4 0 0 0 6 0zM54 34a4 5 0 0 0 8 0z', 'ink']],
  furrow: [['M4 34c3 8 6 8 9 0s6 8 9 0 6 8 9 0 6 8 9 0 6 8 9 0 6 8 9 0 5 6 8 0', undefined]],
  frost: [['M20 14v20M12 18l16 12M28 18L12 30M48 10v20M40 14l16 12M56 14L40 26']],
  holes: [['M4 30h64v4H4z', 'white'], ['M14 32h1M26 31h1M38 33h1M50 31h1M60 32h1M15 34v4M27 34v5M39 34v4M51 34v5']],
  lump: [['M4 31h24c2-10 14-10 16 0h24v3H4z', 'film']],
  craters: [['M4 30h10c2 4 6 4 8 0h10c3 5 9 5 12 0h8c2 4 6 4 8 0h8v4H4z', 'film']],
  skips: [['M4 30h16v4H4zM30 30h14v4H30zM54 30h14v4H54z', 'film'], ['M22 36h6M46 36h6']],
  mark: [['M4 30h26l6 4 6-4h26v4H4z', 'film']],
};

const TOOLS: Readonly<Record<NonNullable<SignLook['tool']>, readonly Stroke[]>> = {
  blade: [
    ['M44 30L58 8l8 4-14 20z', 'white'],
    ['M58 8l4-6 8 4-4 6z', 'ink'],
  ],
  brush: [
    ['M50 26h14l2-10H48z', 'white'],
    ['M54 16V4h6v12z', 'ink'],
  ],
  cloth: [['M44 20c4-8 20-8 22 0-2 4 2 6-2 10-6-2-12 2-18 0 0-4-4-6-2-10z', 'white']],
  drop: [['M58 4c6 8 8 10 8 14a8 8 0 0 1-16 0c0-4 2-6 8-14z', 'white']],
  finger: [['M50 28l8-22 8 3-7 22c-2 3-8 2-9-3z', 'white']],
  gun: [['M46 12h18v6H52l-2 10h-6z', 'ink'], ['M44 14l-8 2M44 17l-8 3']],
  heat: [['M46 4h20v8H46z', 'red'], ['M50 15v4M56 15v4M62 15v4']],
  knock: [['M50 24a6 6 0 1 1 12 0M58 18l8-12', undefined], ['M48 28l-4-3M62 28l5-2']],
  sheet: [
    ['M44 24h22v6H44z', 'white'],
    ['M48 22V12h14v10', undefined],
  ],
  shroud: [['M44 18h22l-3 12H47z', 'ink'], ['M55 18V6h10']],
  tape: [
    ['M42 30C52 30 58 24 64 10', undefined],
    ['M62 4h8v8h-8z', 'white'],
  ],
};

const fillOf = (f: Stroke[1]): string => (f === 'ink' ? INK : f === 'red' ? RED : f === 'white' ? WHITE : f === 'film' ? FILM : 'none');
const draw = (strokes: readonly Stroke[], key: string) =>
  strokes.map(([d, f], i) => (
    <Path key={`${key}${i}`} d={d} fill={fillOf(f)} stroke={INK} strokeWidth={1.6} strokeLinejoin="round" strokeLinecap="round" />
  ));

/** What it is drawn on is what is there, where it can lie on any ground. */
function groundOf(drawn: SignLook['ground'], material: Material): SignLook['ground'] {
  if (drawn === 'film' || drawn === 'wet' || drawn === 'glass' || drawn === 'pot') return drawn;
  return METAL.includes(material) ? 'metal' : MASONRY.includes(material) ? 'stone' : PLASTER.includes(material) ? 'plaster' : 'wood';
}

interface SignPictureProps {
  readonly sign: SignId;
  readonly material: Material;
  readonly width?: number;
}

export function SignPicture({ sign, material, width = 72 }: SignPictureProps) {
  const { ground, figure, tool } = SIGN_DATA[sign].look;
  const g = GROUNDS[groundOf(ground, material)];
  return (
    <Svg width={width} height={width * 0.75} viewBox="0 0 72 54" aria-hidden>
      <Rect x={0} y={0} width={72} height={54} fill={WHITE} />
      <Rect x={0} y={34} width={72} height={20} fill={g.fill} />
      <Path d={g.lines} stroke="rgb(var(--woodline))" strokeWidth={1.2} fill="none" />
      {g.film ? <Rect x={0} y={30} width={72} height={4} fill={g.film} opacity={ground === 'wet' ? 0.55 : 1} /> : null}
      <Path d="M0 34H72" stroke={INK} strokeWidth={1.6} />
      <G>{draw(FIGURES[figure], 'f')}</G>
      {tool ? <G>{draw(TOOLS[tool], 't')}</G> : null}
    </Svg>
  );
}
