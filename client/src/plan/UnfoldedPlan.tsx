/**
 * The unfolded room: floor in the middle, walls folded out, ceiling beside; a side of the house flat on its ground. To scale, each piece in
 * its state's texture and letter, what lies on the floor over it. The same drawing in every stage.
 */
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Defs, G, Line, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import { say, type HazardState, type Rect as Area } from '@roughsill/core';
import type { Face, Unfolded } from '@roughsill/core/unfold';

export interface PlanPiece {
  readonly name: string;
  readonly state: HazardState;
}

interface Props {
  readonly of: Unfolded;
  readonly pieces: ReadonlyMap<string, PlanPiece>;
  /** Sheet as it lies, seen from above; `whole`: all of the floor. */
  readonly sheet: readonly Area[] | 'whole';
  readonly sheetSays: string | null;
  readonly currentId?: string;
  readonly onOpen: (surfaceId: string) => void;
  readonly says: string;
}

const INK = 'rgb(var(--soot))';
const MOST_HIGH = 360;
const FACE_FILL: Record<Face['id'], string> = {
  A: '#f4f2ea',
  B: '#f4f2ea',
  C: '#f4f2ea',
  D: '#f4f2ea',
  ceiling: '#f4f2ea',
  side: '#f4f2ea',
  floor: '#ffffff',
  ground: '#e7e4d4',
};
const FILL: Record<HazardState, string> = {
  found: '#dfa79c',
  assumed: '#f4e6e2',
  waiting: '#f9f3e2',
  unknown: '#f9f9f7',
  notFound: '#dfe9e2',
};
const TEXTURE: Partial<Record<HazardState, string>> = { found: 'plan-found', assumed: 'plan-assumed', waiting: 'plan-waiting' };

/** One square is a metre; of a large room five. */
const gridOf = (of: Unfolded): number => (Math.max(of.widthM, of.heightM) > 30 ? 5 : 1);

export function UnfoldedPlan({ of, pieces, sheet, sheetSays, currentId, onOpen, says }: Props) {
  const [width, setWidth] = useState(0);
  const k = width > 0 ? Math.min(width / of.widthM, MOST_HIGH / of.heightM) : 0;
  const left = (width - of.widthM * k) / 2;
  const box = (r: Area) => ({
    x: left + r.x0 * k,
    y: r.y0 * k,
    width: Math.max(1, (r.x1 - r.x0) * k),
    height: Math.max(1, (r.y1 - r.y0) * k),
  });
  const ground = of.faces.find((f) => f.id === 'floor' || f.id === 'ground')!;
  const step = gridOf(of);
  const laid = sheet === 'whole' ? [ground.rect] : sheet.map(of.onFloor);
  const inside = (r: Area): Area => ({
    x0: Math.max(r.x0, ground.rect.x0),
    x1: Math.min(r.x1, ground.rect.x1),
    y0: Math.max(r.y0, ground.rect.y0),
    y1: Math.min(r.y1, ground.rect.y1),
  });
  const lines = (from: number, to: number) =>
    Array.from({ length: Math.max(0, Math.ceil((to - from) / step) - 1) }, (_, i) => from + (i + 1) * step);
  return (
    <View testID="unfolded" role="img" aria-label={says} onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
      {k > 0 ? (
        <Svg width={width} height={of.heightM * k + 2} aria-hidden>
          <Defs>
            <Pattern id="plan-found" width={8} height={8} patternUnits="userSpaceOnUse">
              <Line x1={0} y1={8} x2={8} y2={0} stroke="rgb(142 47 32)" strokeWidth={2} />
            </Pattern>
            <Pattern id="plan-assumed" width={9} height={9} patternUnits="userSpaceOnUse">
              <Line x1={0} y1={9} x2={9} y2={0} stroke="rgb(142 47 32)" strokeWidth={1} />
            </Pattern>
            <Pattern id="plan-waiting" width={7} height={7} patternUnits="userSpaceOnUse">
              <Rect x={2} y={2} width={1.8} height={1.8} fill="rgb(168 112 18)" />
            </Pattern>
            <Pattern id="plan-sheet" width={7} height={7} patternUnits="userSpaceOnUse">
              <Rect width={7} height={7} fill="#c3cfdb" />
              <Line x1={0} y1={3.5} x2={7} y2={3.5} stroke="rgb(58 80 104)" strokeWidth={0.9} />
            </Pattern>
          </Defs>
          {of.faces.map((f) => (
            <Rect key={f.id} {...box(f.rect)} fill={FACE_FILL[f.id]} stroke={INK} strokeWidth={1} />
          ))}
          {lines(ground.rect.x0, ground.rect.x1).map((x) => (
            <Line
              key={`x${x}`}
              x1={left + x * k}
              x2={left + x * k}
              y1={ground.rect.y0 * k}
              y2={ground.rect.y1 * k}
              stroke="rgb(var(--line))"
              strokeWidth={1}
            />
          ))}
          {lines(ground.rect.y0, ground.rect.y1).map((y) => (
            <Line
              key={`y${y}`}
              y1={y * k}
              y2={y * k}
              x1={left + ground.rect.x0 * k}
              x2={left + ground.rect.x1 * k}
              stroke="rgb(var(--line))"
              strokeWidth={1}
            />
          ))}
          {laid.map((r, i) => (
            <Rect key={`sheet${i}`} {...box(inside(r))} fill="url(#plan-sheet)" stroke="rgb(58 80 104)" strokeWidth={1.5} />
          ))}
          {of.pieces.map((p) => {
            const piece = pieces.get(p.surfaceId);
            if (!piece) return null;
            const texture = TEXTURE[piece.state];
            const at = p.surfaceId === currentId;
            return (
              <G key={p.surfaceId} onPress={() => onOpen(p.surfaceId)}>
                {p.rects.map((r, i) => (
                  <G key={i}>
                    <Rect {...box(r)} fill={FILL[piece.state]} fillOpacity={0.92} />
                    {texture ? <Rect {...box(r)} fill={`url(#${texture})`} /> : null}
                    <Rect
                      {...box(r)}
                      fill="none"
                      stroke={INK}
                      strokeWidth={at ? 3.5 : 1.3}
                      strokeDasharray={p.guessed ? '4 3' : undefined}
                    />
                  </G>
                ))}
              </G>
            );
          })}
          {namesOf(of, pieces, k, left).map((n) => (
            <G key={`name${n.id}`}>
              <Rect x={n.x} y={n.y} width={n.w} height={14} fill="#f9f9f7" />
              <SvgText
                x={n.x + 3}
                y={n.y + 11}
                fontSize={11.5}
                fontFamily="HyperlegibleBold, sans-serif"
                fill={n.found ? '#5c1409' : '#21201c'}
              >
                {n.text}
              </SvgText>
            </G>
          ))}
          {of.faces
            .filter((f) => /^[ABCD]$/.test(f.id))
            .map((f) => {
              const b = box(f.rect);
              const corner =
                f.id === 'B' ? { x: b.x + 3, y: b.y + 3 } : { x: b.x + b.width - 19, y: f.id === 'A' ? b.y + b.height - 19 : b.y + 3 };
              return (
                <G key={`letter${f.id}`}>
                  <Rect {...corner} width={16} height={16} fill="#f9f9f7" />
                  <SvgText
                    x={corner.x + 8}
                    y={corner.y + 13}
                    fontSize={13}
                    textAnchor="middle"
                    fontFamily="HyperlegibleBold, sans-serif"
                    fill="#21201c"
                  >
                    {f.id}
                  </SvgText>
                </G>
              );
            })}
          {sheetSays && laid.length > 0 ? <SheetName r={box(inside(laid[0]!))} says={sheetSays} /> : null}
        </Svg>
      ) : null}
    </View>
  );
}

interface Name {
  readonly id: string;
  readonly text: string;
  readonly found: boolean;
  readonly x: number;
  readonly y: number;
  readonly w: number;
}

/** The letter of what was found, and the name where there is room for it: none lies over another. */
function namesOf(of: Unfolded, pieces: ReadonlyMap<string, PlanPiece>, k: number, left: number): Name[] {
  const out: Name[] = [];
  // The smallest first: it has the fewest places for its name.
  for (const p of [...of.pieces].reverse()) {
    const piece = pieces.get(p.surfaceId);
    const largest = p.rects.reduce<Area | undefined>((a, r) => (a === undefined || r.x1 - r.x0 > a.x1 - a.x0 ? r : a), undefined);
    if (!piece || !largest) continue;
    const [w, h] = [(largest.x1 - largest.x0) * k, (largest.y1 - largest.y0) * k];
    const found = piece.state === 'found';
    const whole = `${piece.name}${found ? ' · Pb' : ''}`;
    const width = (text: string) => text.length * 6.4 + 6;
    const [x, y] = [left + largest.x0 * k + 4, largest.y0 * k + 3];
    const fits = [whole, ...(found ? ['Pb'] : [])].find(
      (text) => w > width(text) + 4 && h > 15 && !out.some((n) => x < n.x + n.w && n.x < x + width(text) && y < n.y + 14 && n.y < y + 14),
    );
    if (fits) out.push({ id: p.surfaceId, text: fits, found, x, y, w: width(fits) });
  }
  return out;
}

function SheetName({ r, says }: { readonly r: { x: number; y: number; width: number; height: number }; readonly says: string }) {
  const wide = says.length * 6.9 + 8;
  if (r.width < wide || r.height < 18) return null;
  const x = r.x + (r.width - wide) / 2;
  const y = r.y + r.height / 2 - 9;
  return (
    <G>
      <Rect x={x} y={y} width={wide} height={18} fill="#f9f9f7" />
      <SvgText x={x + 4} y={y + 13.5} fontSize={13} fontFamily="HyperlegibleBold, sans-serif" fill="rgb(58 80 104)">
        {says}
      </SvgText>
    </G>
  );
}

/** What the drawing shows, in words. */
export const planWords = (name: string, pieces: readonly PlanPiece[], sheetSays: string | null): string =>
  `${name}, unfolded. ${pieces.map((p) => `${p.name}: lead ${say(p.state)}`).join('; ')}.${sheetSays ? ` ${sheetSays}.` : ''}`;
