/** Cost against harm to the old material: a bar for the spread of the price, filled where nothing else costs less and harms less. */
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { say } from '@roughsill/core';
import type { Alternative } from '@roughsill/core/compare';

const ROW = 38;
const HEAD = 24;
const BOTTOM = 40;
const SIDE = 14;
const LEVELS = ['no harm to the old material', 'slight harm', 'some harm', 'hard on it'] as const;

interface ChartProps {
  readonly alternatives: readonly Alternative[];
  readonly focus: string | null;
  readonly money: (n: number) => string;
}

export function CostHarmChart({ alternatives, focus, money }: ChartProps) {
  const [width, setWidth] = useState(0);
  if (alternatives.length === 0) return null;
  const most = Math.max(...alternatives.map((a) => a.money.high));
  const x = (m: number) => SIDE + (m / most) * (width - 2 * SIDE);
  const best = alternatives.filter((a) => !a.dominated).map((a) => say(a.methodId));
  // The gentlest on top; within a level the cheapest first.
  const levels = LEVELS.map((name, i) => ({ name, rows: alternatives.filter((a) => Math.round(a.harm) === i) })).filter(
    (l) => l.rows.length > 0,
  );
  const starts = levels.reduce<number[]>((tops, l) => [...tops, tops.at(-1)! + HEAD + l.rows.length * ROW + 8], [0]);
  const height = starts.at(-1)! + BOTTOM;
  return (
    <View
      role="img"
      aria-label={`Cost against harm. Nothing costs less and harms less than: ${best.join(', ')}`}
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
      className="bg-panel"
    >
      {width > 0 ? (
        <Svg width={width} height={height} aria-hidden>
          {levels.map((l, n) => {
            const top = starts[n]!;
            return (
              <G key={l.name}>
                <Rect x={0} y={top} width={width} height={HEAD - 4} fill="rgb(var(--shelf))" />
                <SvgText x={SIDE} y={top + 15} fontSize={12.5} fontWeight="bold" fill="rgb(var(--soot))">
                  {l.name}
                </SvgText>
                {l.rows.map((a, i) => {
                  const y = top + HEAD + i * ROW;
                  const on = a.methodId === focus;
                  const ink = on ? 'rgb(var(--slate))' : 'rgb(var(--soot))';
                  return (
                    <G key={a.methodId}>
                      <SvgText x={SIDE} y={y + 12} fontSize={13} fontWeight={on ? 'bold' : 'normal'} fill={ink}>
                        {say(a.methodId)}
                      </SvgText>
                      <Line x1={SIDE} x2={width - SIDE} y1={y + 25} y2={y + 25} stroke="rgb(var(--line))" strokeWidth={1} />
                      <Line x1={x(a.money.low)} x2={x(a.money.high)} y1={y + 25} y2={y + 25} stroke={ink} strokeWidth={on ? 6 : 3} />
                      <Circle
                        cx={x((a.money.low + a.money.high) / 2)}
                        cy={y + 25}
                        r={6.5}
                        fill={a.dominated ? 'rgb(var(--panel))' : ink}
                        stroke={ink}
                        strokeWidth={2}
                      />
                    </G>
                  );
                })}
              </G>
            );
          })}
          {[0, 0.5, 1].map((s) => (
            <SvgText
              key={s}
              x={x(most * s)}
              y={height - 14}
              fontSize={12}
              textAnchor={s === 0 ? 'start' : s === 1 ? 'end' : 'middle'}
              fill="rgb(var(--ash))"
            >
              {money(most * s)}
            </SvgText>
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
