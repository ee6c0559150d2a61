/** The coming days as bands: one for each limit, shut where it bars; below them the common window, and the coats that go through it. */
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { say } from '@roughsill/core';
import type { Chain, LimitId, Windows } from '@roughsill/core';

const BANDS: readonly { readonly label: string; readonly of: readonly LimitId[] }[] = [
  { label: 'hours, light', of: ['hours', 'light'] },
  { label: 'air', of: ['air'] },
  { label: 'face', of: ['face', 'frost'] },
  { label: 'humidity', of: ['humidity'] },
  { label: 'dew', of: ['dew'] },
  { label: 'rain', of: ['rain'] },
  { label: 'wind', of: ['wind'] },
];
const LEFT = 92;
const RIGHT = 6;
const TALL = 18;
const GAP = 4;
const TOP = 22;

/** Runs of 1 in a row of hours. */
function runs(open: (h: number) => boolean, n: number): (readonly [from: number, to: number])[] {
  const out: [number, number][] = [];
  for (let h = 0; h < n; h += 1) {
    if (!open(h)) continue;
    const last = out.at(-1);
    if (last && last[1] === h) last[1] = h + 1;
    else out.push([h, h + 1]);
  }
  return out;
}

interface WindowBandsProps {
  readonly windows: Windows;
  readonly chain: Chain;
  /** Which of the chain’s coats these bands are of. */
  readonly coat: number;
  /** First hour of each day, and its name. */
  readonly days: readonly { readonly h: number; readonly name: string }[];
  readonly says: string;
}
export function WindowBands({ windows, chain, coat, days, says }: WindowBandsProps) {
  const [width, setWidth] = useState(0);
  const n = windows.may.length;
  const x = (h: number) => LEFT + (h / n) * (width - LEFT - RIGHT);
  const shown = BANDS.filter((b) => b.of.some((id) => windows.bands[id].includes(0)));
  const y = (row: number) => TOP + row * (TALL + GAP);
  const commonY = y(shown.length) + 4;
  const height = commonY + TALL + 8 + 34;
  const bar = (row: number, from: number, to: number, fill: string, opacity = 1, tall = TALL) => (
    <Rect key={`${row}/${from}`} x={x(from)} y={row} width={Math.max(1, x(to) - x(from))} height={tall} fill={fill} opacity={opacity} />
  );
  return (
    <View role="img" aria-label={says} onLayout={(e) => setWidth(e.nativeEvent.layout.width)} className="bg-panel py-2">
      {width > 0 ? (
        <Svg width={width} height={height} aria-hidden>
          {days.map((d, i) => (
            <G key={d.h}>
              <Line x1={x(d.h)} x2={x(d.h)} y1={TOP - 6} y2={height - 4} stroke="rgb(var(--line))" strokeWidth={1} />
              {width > 600 || i % 2 === 0 ? (
                <SvgText x={x(d.h) + 3} y={13} fontSize={12} fill="rgb(var(--ash))">
                  {d.name}
                </SvgText>
              ) : null}
            </G>
          ))}
          {shown.map((b, row) => (
            <G key={b.label}>
              <SvgText x={4} y={y(row) + 13} fontSize={13} fill="rgb(var(--soot))">
                {b.label}
              </SvgText>
              {bar(y(row), 0, n, 'rgb(var(--shelf))')}
              {runs((h) => b.of.some((id) => windows.bands[id][h] === 0), n).map(([from, to]) =>
                bar(y(row), from, to, 'rgb(var(--ash))', b.of[0] === 'hours' ? 0.35 : 0.85),
              )}
            </G>
          ))}
          <SvgText x={4} y={commonY + 13} fontSize={13} fontWeight="bold" fill="rgb(var(--soot))">
            may go on
          </SvgText>
          {bar(commonY, 0, n, 'rgb(var(--shelf))')}
          {runs((h) => windows.may[h] === 1, n).map(([from, to]) => bar(commonY, from, to, 'rgb(var(--verdigris))'))}
          <SvgText x={4} y={commonY + TALL + 24} fontSize={13} fill="rgb(var(--soot))">
            the coats
          </SvgText>
          {chain.coats.map((l, i) => (
            <G key={l.startH}>
              {bar(commonY + TALL + 12, l.startH, Math.min(l.readyH, n), i === coat ? 'rgb(var(--slate))' : 'rgb(var(--ash))', 0.35, 16)}
              <Rect
                x={x(l.startH)}
                y={commonY + TALL + 8}
                width={18}
                height={24}
                fill={i === coat ? 'rgb(var(--soot))' : 'rgb(var(--ash))'}
              />
              <SvgText
                x={x(l.startH) + 9}
                y={commonY + TALL + 25}
                fontSize={13}
                textAnchor="middle"
                fontWeight="bold"
                fill="rgb(var(--onsoot))"
              >
                {`${i + 1}`}
              </SvgText>
            </G>
          ))}
        </Svg>
      ) : null}
    </View>
  );
}

/** What a limit is called where it bars. */
export const limitSays = (id: LimitId): string => say(`window.${id}`);
