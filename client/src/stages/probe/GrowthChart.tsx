/** The growth index over the weeks, one line for each remedy: told apart by dash and label, not by colour alone. */
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Polyline, Text as SvgText } from 'react-native-svg';
import { say } from '@roughsill/core';
import type { Outlook } from '@roughsill/core/moist';

const HEIGHT = 240;
const LEFT = 30;
const RIGHT = 12;
const TOP = 10;
const BOTTOM = 34;
/** What each line stands for; three are enough to read: as it is, the cheapest that is enough, all of them. */
export const CHARTED = ['now', 'least', 'all'] as const;
export type Charted = (typeof CHARTED)[number];
const LOOKS: Readonly<Record<Charted, { readonly stroke: string; readonly dash?: string; readonly width: number }>> = {
  now: { stroke: 'rgb(var(--oxide))', width: 3.5 },
  least: { stroke: 'rgb(var(--slate))', dash: '9 5', width: 3 },
  all: { stroke: 'rgb(var(--verdigris))', width: 2.5 },
};
export interface ChartLine {
  readonly as: Charted;
  readonly outlook: Outlook;
}

export function GrowthChart({ lines, says }: { readonly lines: readonly ChartLine[]; readonly says: string }) {
  const [width, setWidth] = useState(0);
  const weeks = Math.max(1, ...lines.map((l) => l.outlook.weekly.length - 1));
  const x = (week: number) => LEFT + (week / weeks) * (width - LEFT - RIGHT);
  const y = (index: number) => TOP + (1 - index / 6) * (HEIGHT - TOP - BOTTOM);
  const ticks = Array.from({ length: 5 }, (_, i) => Math.round((i * weeks) / 4));
  return (
    <View role="img" aria-label={says} onLayout={(e) => setWidth(e.nativeEvent.layout.width)} className="bg-panel py-2">
      {width > 0 ? (
        <Svg width={width} height={HEIGHT} aria-hidden>
          {[0, 1, 2, 3, 4, 5, 6].map((i) => (
            <G key={i}>
              <Line
                x1={LEFT}
                x2={width - RIGHT}
                y1={y(i)}
                y2={y(i)}
                stroke={i === 1 || i === 3 ? 'rgb(var(--ash))' : 'rgb(var(--line))'}
                strokeWidth={1}
                strokeDasharray={i === 1 || i === 3 ? '3 3' : undefined}
              />
              <SvgText x={LEFT - 8} y={y(i) + 4} fontSize={12} textAnchor="end" fill="rgb(var(--ash))">
                {i}
              </SvgText>
            </G>
          ))}
          <SvgText x={LEFT + 6} y={y(3) - 5} fontSize={12} fill="rgb(var(--ash))">
            seen by eye
          </SvgText>
          <SvgText x={LEFT + 6} y={y(1) - 5} fontSize={12} fill="rgb(var(--ash))">
            first growth
          </SvgText>
          {ticks.map((t) => (
            <SvgText
              key={t}
              x={x(t)}
              y={HEIGHT - 16}
              fontSize={12}
              textAnchor={t === 0 ? 'start' : t === weeks ? 'end' : 'middle'}
              fill="rgb(var(--ash))"
            >
              {t === 0 ? 'week 0' : t}
            </SvgText>
          ))}
          {lines.map((l) => {
            const look = LOOKS[l.as];
            return (
              <Polyline
                key={l.as}
                points={l.outlook.weekly.map((v, i) => `${x(i).toFixed(1)},${y(v).toFixed(1)}`).join(' ')}
                fill="none"
                stroke={look.stroke}
                strokeWidth={look.width}
                strokeDasharray={look.dash}
              />
            );
          })}
        </Svg>
      ) : null}
    </View>
  );
}

/** A piece of the line, for the list below the chart. */
export function RemedyLine({ as }: { readonly as: Charted }) {
  const look = LOOKS[as];
  return (
    <Svg width={44} height={14} aria-label={say(`remedy.${as}`)}>
      <Line x1={2} x2={42} y1={7} y2={7} stroke={look.stroke} strokeWidth={look.width} strokeDasharray={look.dash} />
    </Svg>
  );
}
