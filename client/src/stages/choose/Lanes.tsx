/** A day's rounds as lanes over time: who lays, what soaks, who lifts, what is rinsed. Nothing here is dragged. */
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Rect, Text as SvgText } from 'react-native-svg';
import type { Simulated } from '@roughsill/core/rounds';

const LANE = 34;
const TOP = 22;
const LEFT = 58;
const RIGHT = 10;

const clock = (min: number): string =>
  min < 60 ? `${Math.round(min)}′` : `${Math.floor(min / 60)} h${min % 60 === 0 ? '' : ` ${Math.round(min % 60)}`}`;

export function Lanes({ day, shared, says }: { readonly day: Simulated; readonly shared: boolean; readonly says: string }) {
  const [width, setWidth] = useState(0);
  const lanes = ['lays', 'soaks', 'lifts', 'rinses'] as const;
  const end = Math.max(1, day.endsAt);
  const x = (min: number) => LEFT + (min / end) * (width - LEFT - RIGHT);
  const height = TOP + lanes.length * LANE + 26;
  const bar = (key: string, lane: number, from: number, to: number, fill: string, stroke = 'rgb(var(--soot))') => (
    <Rect
      key={key}
      x={x(from)}
      y={TOP + lane * LANE + 5}
      width={Math.max(1, x(to) - x(from) - 0.5)}
      height={LANE - 10}
      fill={fill}
      stroke={stroke}
      strokeWidth={0.75}
    />
  );
  return (
    <View role="img" aria-label={says} onLayout={(e) => setWidth(e.nativeEvent.layout.width)} className="bg-panel">
      {width > 0 ? (
        <Svg width={width} height={height} aria-hidden>
          {lanes.map((name, i) => (
            <G key={name}>
              <Line
                x1={LEFT}
                x2={width - RIGHT}
                y1={TOP + (i + 1) * LANE}
                y2={TOP + (i + 1) * LANE}
                stroke="rgb(var(--line))"
                strokeWidth={1}
              />
              <SvgText x={LEFT - 8} y={TOP + i * LANE + 22} fontSize={12.5} textAnchor="end" fill="rgb(var(--soot))">
                {name}
              </SvgText>
            </G>
          ))}
          {day.bars.map((b) => {
            const lane = b.lane === 'lay' ? 0 : b.lane === 'lift' ? 2 : 3;
            const fill = b.lane === 'lay' ? 'rgb(var(--ochre))' : b.lane === 'lift' ? 'rgb(var(--verdigris))' : 'rgb(var(--slate))';
            return bar(`${b.lane}${b.piece}`, lane, b.from, b.to, fill);
          })}
          {day.soaks.map((s) => (
            <G key={`soak${s.piece}`}>{bar(`w${s.piece}`, 1, s.from, s.to, 'rgb(var(--shelf))', 'rgb(var(--ash))')}</G>
          ))}
          {[0, 0.25, 0.5, 0.75, 1].map((t) => (
            <SvgText
              key={t}
              x={x(end * t)}
              y={height - 8}
              fontSize={12}
              textAnchor={t === 0 ? 'start' : t === 1 ? 'end' : 'middle'}
              fill="rgb(var(--ash))"
            >
              {clock(end * t)}
            </SvgText>
          ))}
          <SvgText x={LEFT} y={14} fontSize={12} fill="rgb(var(--ash))">
            {shared ? 'the same people lay and lift' : 'one lays while another lifts'}
          </SvgText>
        </Svg>
      ) : null}
    </View>
  );
}
