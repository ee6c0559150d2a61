/**
 * The section: the coating cut through, each coat chipped back to show the one below, the material hatched underneath,
 * and the bite line that shows how deep a method goes. Doubt is a dashed outline; a hazard is texture, chip and letter code.
 */
import { useState } from 'react';
import { View, type LayoutChangeEvent } from 'react-native';
import Svg, { Defs, G, Line, Path, Pattern, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import { METAL, MASONRY, PLASTER, say, UNCOUNTED, type Material } from '@roughsill/core/records';
import type { SurfacePlan } from '@roughsill/core';
import { StateChip, type Shown } from '../kit';

export interface SectionCoat {
  readonly id: string;
  readonly binder: string;
  readonly colour: string;
  readonly state: Shown;
  readonly counted: boolean;
  /** Not there yet: laid by this plan, in these words. */
  readonly fresh?: string;
}

/** What is laid, on what stays: the new coats from the top down, then the old ones, which stay in places where some lies bare. */
export function finishedCoats(plan: SurfacePlan, colour: string): SectionCoat[] {
  const fresh = plan.coating.lines.map((l): SectionCoat => {
    const where = l.use === 'knots' ? 'on knots' : l.use === 'primer' && plan.coating.left.value === 'partly' ? 'where bare' : '';
    const own = l.own?.name ?? say(l.product);
    return {
      id: `new-${l.product}`,
      binder: l.product,
      colour: l.use === 'topcoat' ? colour : '',
      state: 'notFound',
      counted: true,
      fresh: [`${l.coats} × ${own}`, where].filter(Boolean).join(', '),
    };
  });
  const old = plan.coating.left.value === 'bare' ? [] : sectionCoats(plan);
  return [...fresh.reverse(), ...old];
}

/** The coats of a plan, as the section draws them. */
export const sectionCoats = (plan: SurfacePlan): SectionCoat[] =>
  plan.lead.coats.map(({ coat, standing }) => ({
    id: coat.id,
    binder: coat.binder,
    colour: coat.colour,
    state: standing.word,
    counted: coat.id !== UNCOUNTED,
  }));

interface SectionProps {
  /** From the top down. */
  readonly coats: readonly SectionCoat[];
  readonly material: Material;
  /** Coats reached by the method, and its name; none: no bite line. */
  readonly bite?: { readonly coats: number; readonly label: string; readonly toBare: boolean };
}

const INK = 'rgb(var(--soot))';
const BAND = 36;
const GROUND = 60;
const TOP = 4;

/** Words of common paint colours to a tint for the band; anything else stays limewash. */
const TINTS: readonly (readonly [RegExp, string])[] = [
  [/green/i, '#cfdcc6'],
  [/red|brown|tar|buff|stone|primer/i, '#e4d0be'],
  [/grey|gray|black|alumin/i, '#c6cbc6'],
  [/blue/i, '#c8d4df'],
  [/cream|ochre|yellow/i, '#efe3c2'],
];
const tint = (colour: string): string => TINTS.find(([r]) => r.test(colour))?.[1] ?? '#f4f2ea';

/** A chipped left edge, the same for a place every time. */
function chip(x: number, y: number, h: number, i: number): string {
  const j = [3, -2, 4, -1, 2][i % 5] ?? 0;
  return `M ${x + j} ${y + h} L ${x - 2} ${y + h * 0.62} L ${x + 4 - j} ${y + h * 0.34} L ${x} ${y}`;
}

function label(c: SectionCoat): string {
  if (c.fresh !== undefined) return [c.fresh, c.colour].filter(Boolean).join(', ');
  if (!c.counted) return 'older coats, not counted';
  return [say(c.binder), c.colour].filter(Boolean).join(', ');
}

function MaterialPattern({ material }: { readonly material: Material }) {
  const line = 'rgb(var(--woodline))';
  if (METAL.includes(material))
    return (
      <Pattern id={`material-${material}`} width={12} height={12} patternUnits="userSpaceOnUse">
        <Rect width={12} height={12} fill="#c3c8c8" />
        <Line x1={0} y1={12} x2={12} y2={0} stroke="#6d7676" strokeWidth={1.5} />
      </Pattern>
    );
  if (MASONRY.includes(material))
    return (
      <Pattern id={`material-${material}`} width={44} height={22} patternUnits="userSpaceOnUse">
        <Rect width={44} height={22} fill="#d9b7a4" />
        <Path d="M0 11H44M0 0H44M12 0V11M34 11V22" stroke="#8b6a58" strokeWidth={1.4} fill="none" />
      </Pattern>
    );
  if (PLASTER.includes(material))
    return (
      <Pattern id={`material-${material}`} width={18} height={18} patternUnits="userSpaceOnUse">
        <Rect width={18} height={18} fill="#e2ddcf" />
        <Rect x={3} y={4} width={2} height={2} fill="#9a9484" />
        <Rect x={12} y={11} width={2} height={2} fill="#9a9484" />
      </Pattern>
    );
  return (
    <Pattern id={`material-${material}`} width={120} height={22} patternUnits="userSpaceOnUse">
      <Rect width={120} height={22} fill="rgb(var(--wood))" />
      <Path d="M0 8 C30 2 60 14 120 8 M0 18 C40 12 80 22 120 18" stroke={line} strokeWidth={1.4} fill="none" />
    </Pattern>
  );
}

/** Says in words what the drawing shows. */
export function sectionWords({ coats, material, bite }: SectionProps): string {
  const stack = coats
    .map((c) =>
      c.fresh === undefined ? `${label(c)}, lead ${c.state === 'notFound' ? say(c.state) : say(`rung.${c.state}`)}` : `new: ${label(c)}`,
    )
    .join('; ');
  const line = bite ? `. ${bite.label} goes through ${bite.coats} of ${coats.length}${bite.toBare ? ', to the bare material' : ''}` : '';
  return `From the top: ${stack || 'no coats'}; then ${say(material)}${line}.`;
}

export function Section(props: SectionProps) {
  const { coats, material, bite } = props;
  const [width, setWidth] = useState(360);
  const steps = coats.some((c) => c.fresh !== undefined) ? 60 : 120;
  const inset = Math.min(30, coats.length > 1 ? steps / (coats.length - 1) : 30);
  const height = TOP + coats.length * BAND + GROUND;
  const floor = TOP + coats.length * BAND;
  const biteY = bite ? TOP + bite.coats * BAND : 0;
  return (
    <View
      role="img"
      aria-label={sectionWords(props)}
      testID="section"
      onLayout={(e: LayoutChangeEvent) => setWidth(Math.round(e.nativeEvent.layout.width))}
      style={{ height }}
    >
      <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
        <Defs>
          <MaterialPattern material={material} />
          <Pattern id="hazard" width={14} height={14} patternUnits="userSpaceOnUse">
            <Line x1={0} y1={14} x2={14} y2={0} stroke="rgb(142 47 32)" strokeWidth={2.2} />
          </Pattern>
          <Pattern id="waiting" width={12} height={12} patternUnits="userSpaceOnUse">
            <Rect x={4} y={4} width={2.6} height={2.6} fill="rgb(168 112 18)" />
          </Pattern>
        </Defs>
        {coats.map((c, i) => {
          const x = 8 + (coats.length - 1 - i) * inset;
          const y = TOP + i * BAND;
          const edge = chip(x, y, BAND, i);
          const text = label(c);
          // A new coat has no chip of a hazard before its name.
          const at = c.fresh === undefined ? 38 : 10;
          const room = width - x - at - (c.fresh === undefined ? 14 : 22);
          const shown = text.length * 8.4 > room ? `${text.slice(0, Math.max(6, Math.floor(room / 8.4) - 1))}…` : text;
          return (
            <G key={c.id}>
              <Path
                d={`${edge} L ${width} ${y} L ${width} ${y + BAND} Z`}
                fill={c.state === 'found' ? '#dfa79c' : c.fresh === undefined || c.colour !== '' ? tint(c.colour) : 'rgb(var(--panel))'}
              />
              {c.state === 'found' || c.state === 'assumed' ? (
                <Path
                  d={`${edge} L ${width} ${y} L ${width} ${y + BAND} Z`}
                  fill="url(#hazard)"
                  opacity={c.state === 'found' ? 0.9 : 0.55}
                />
              ) : null}
              {c.state === 'waiting' ? <Path d={`${edge} L ${width} ${y} L ${width} ${y + BAND} Z`} fill="url(#waiting)" /> : null}
              <Path
                d={`${edge} L ${width} ${y}`}
                fill="none"
                stroke={INK}
                strokeWidth={2}
                strokeDasharray={c.counted ? undefined : '7 5'}
              />
              {c.fresh === undefined ? null : <Rect x={width - 8} y={y + 2} width={8} height={BAND - 4} fill="rgb(var(--verdigris))" />}
              <Rect x={x + at} y={y + 7} width={Math.min(room + 6, shown.length * 8.4 + 12)} height={BAND - 14} fill="#f9f9f7" />
              <SvgText x={x + at + 6} y={y + BAND / 2 + 5.5} fontSize={15.5} fontFamily="HyperlegibleBold, sans-serif" fill="#21201c">
                {shown}
              </SvgText>
              {c.state === 'found' ? (
                <SvgText
                  x={width - 16}
                  y={y + BAND / 2 + 6}
                  fontSize={16}
                  textAnchor="end"
                  fontFamily="HyperlegibleBold, sans-serif"
                  fill="#5c1409"
                >
                  Pb
                </SvgText>
              ) : null}
            </G>
          );
        })}
        <Rect x={0} y={floor} width={width} height={GROUND} fill={`url(#material-${material})`} />
        <Line x1={0} y1={floor} x2={width} y2={floor} stroke={INK} strokeWidth={2} />
        <Rect x={10} y={floor + 22} width={say(material).length * 8.6 + 16} height={26} fill="#f9f9f7" />
        <SvgText x={18} y={floor + 40} fontSize={15.5} fontFamily="HyperlegibleBold, sans-serif" fill="#21201c">
          {say(material)}
        </SvgText>
        {bite ? <BiteLine y={biteY} width={width} label={bite.label} floor={floor} /> : null}
      </Svg>
      {coats.map((c, i) =>
        c.fresh !== undefined ? null : (
          <View key={c.id} style={{ position: 'absolute', left: 8 + (coats.length - 1 - i) * inset + 9, top: TOP + i * BAND + 7 }}>
            <StateChip state={c.state} />
          </View>
        ),
      )}
    </View>
  );
}

/** The line across the coats, led down to a flag on the material, where it hides no coat's name. */
function BiteLine({
  y,
  width,
  label: text,
  floor,
}: {
  readonly y: number;
  readonly width: number;
  readonly label: string;
  readonly floor: number;
}) {
  const wide = Math.min(width - 120, text.length * 7.9 + 22);
  const x = width - wide - 4;
  const top = floor + 24;
  const shown = text.length * 7.9 > wide - 14 ? `${text.slice(0, Math.floor((wide - 22) / 7.9))}…` : text;
  return (
    <G>
      <Line x1={0} y1={y} x2={width} y2={y} stroke="rgb(58 80 104)" strokeWidth={4} strokeDasharray="9 5" />
      <Line x1={width - 4} y1={y} x2={width - 4} y2={top + 12} stroke="rgb(58 80 104)" strokeWidth={4} />
      <Polygon
        points={`${x},${top} ${width - 4},${top} ${width - 4},${top + 24} ${x},${top + 24} ${x + 8},${top + 12}`}
        fill="rgb(58 80 104)"
      />
      <SvgText x={x + 14} y={top + 17} fontSize={14} fontFamily="HyperlegibleBold, sans-serif" fill="#ffffff">
        {shown}
      </SvgText>
    </G>
  );
}

/** The section as a slim strip for a list row. */
export function Strip({
  coats,
  material,
  bite,
  scale = 1,
}: {
  readonly scale?: number;
  readonly coats: readonly { readonly state: Shown; readonly counted: boolean }[];
  readonly material: Material;
  readonly bite: number;
}) {
  const height = 44;
  const band = coats.length > 0 ? Math.min(9, 32 / coats.length) : 0;
  const floor = 4 + coats.length * band;
  const fill = (s: Shown) =>
    s === 'found'
      ? 'rgb(var(--oxide))'
      : s === 'assumed'
        ? 'url(#strip-hazard)'
        : s === 'waiting'
          ? 'url(#strip-waiting)'
          : s === 'trace' || s === 'below'
            ? '#f0ddb3'
            : 'rgb(var(--panel))';
  return (
    <Svg width={48 * scale} height={height * scale} viewBox={`0 0 48 ${height}`} aria-hidden>
      <Defs>
        <MaterialPattern material={material} />
        <Pattern id="strip-hazard" width={6} height={6} patternUnits="userSpaceOnUse">
          <Rect width={6} height={6} fill="#f4e6e2" />
          <Line x1={0} y1={6} x2={6} y2={0} stroke="rgb(var(--oxide))" strokeWidth={1.8} />
        </Pattern>
        <Pattern id="strip-waiting" width={5} height={5} patternUnits="userSpaceOnUse">
          <Rect width={5} height={5} fill="#f9f3e2" />
          <Rect x={1} y={1} width={1.8} height={1.8} fill="rgb(var(--ochre))" />
        </Pattern>
      </Defs>
      <Rect x={0} y={floor} width={48} height={height - floor} fill={`url(#material-${material})`} />
      {coats.map((c, i) => (
        <Rect
          key={i}
          x={(coats.length - 1 - i) * 3}
          y={4 + i * band}
          width={48}
          height={band}
          fill={fill(c.state)}
          stroke={INK}
          strokeWidth={1}
          strokeDasharray={c.counted ? undefined : '3 2'}
        />
      ))}
      {bite > 0 ? (
        <Line x1={0} y1={4 + bite * band} x2={48} y2={4 + bite * band} stroke="rgb(var(--slate))" strokeWidth={2.5} strokeDasharray="5 3" />
      ) : null}
    </Svg>
  );
}
