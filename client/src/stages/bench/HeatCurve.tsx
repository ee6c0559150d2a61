/** How warm the pail was and will be: what was, unbroken; what will be, dashed; each portion a mark; the ceiling a bar across. */
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Polyline, Rect, Text as SvgText } from 'react-native-svg';
import { convert, type UnitSystem } from '@roughsill/core';
import type { HeatPoint } from '@roughsill/core/prepare';

const HEIGHT = 210;
const LEFT = 52;
const RIGHT = 12;
const TOP = 16;
const BOTTOM = 30;

interface HeatCurveProps {
  readonly past: readonly HeatPoint[];
  readonly ahead: readonly HeatPoint[];
  readonly putsS: readonly number[];
  readonly ceilingC: number;
  readonly nowS: number;
  readonly units: UnitSystem;
}

const clock = (s: number): string => (s < 5400 ? `${Math.round(s / 60)} min` : `${Number((s / 3600).toFixed(1))} h`);

export function HeatCurve({ past, ahead, putsS, ceilingC, nowS, units }: HeatCurveProps) {
  const [width, setWidth] = useState(0);
  const all = [...past, ...ahead];
  const endS = Math.max(600, ...all.map((p) => p.atS));
  const topC = Math.max(ceilingC + 8, ...all.map((p) => p.c + 4));
  const lowC = Math.min(0, ...all.map((p) => p.c));
  const x = (s: number) => LEFT + (s / endS) * (width - LEFT - RIGHT);
  const y = (c: number) => TOP + (1 - (c - lowC) / (topC - lowC)) * (HEIGHT - TOP - BOTTOM);
  const line = (points: readonly HeatPoint[]) => points.map((p) => `${x(p.atS).toFixed(1)},${y(p.c).toFixed(1)}`).join(' ');
  const degrees = (c: number) => (units === 'ft' ? `${Math.round(convert(c, 'C', 'F'))} °F` : `${Math.round(c)} °C`);
  const peak = Math.max(...all.map((p) => p.c));
  const now = past.at(-1) ?? all[0]!;
  return (
    <View
      role="img"
      aria-label={`Heat of the mix over time: now ${degrees(now.c)}, at most ${degrees(peak)}, ceiling ${degrees(ceilingC)}, over ${clock(endS)}; ${putsS.length} portions`}
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
      className="bg-panel py-2"
    >
      {width > 0 ? (
        <Svg width={width} height={HEIGHT} aria-hidden>
          {Array.from({ length: 5 }, (_, i) => Math.ceil(topC / 20) * i * 5).map((c) =>
            c > topC ? null : (
              <G key={c}>
                <Line x1={LEFT} x2={width - RIGHT} y1={y(c)} y2={y(c)} stroke="rgb(var(--line))" strokeWidth={1} />
                <SvgText x={LEFT - 6} y={y(c) + 4} fontSize={12} textAnchor="end" fill="rgb(var(--ash))">
                  {degrees(c)}
                </SvgText>
              </G>
            ),
          )}
          <Rect
            x={LEFT}
            y={TOP}
            width={width - LEFT - RIGHT}
            height={Math.max(0, y(ceilingC) - TOP)}
            fill="rgb(var(--oxide))"
            opacity={0.12}
          />
          <Line x1={LEFT} x2={width - RIGHT} y1={y(ceilingC)} y2={y(ceilingC)} stroke="rgb(var(--oxide))" strokeWidth={3} />
          <SvgText x={width - RIGHT - 4} y={y(ceilingC) - 6} fontSize={12} textAnchor="end" fill="rgb(var(--oxide))">
            {`stop at ${degrees(ceilingC)}`}
          </SvgText>
          {putsS.map((s) => (
            <Rect key={s} x={x(s) - 2} y={HEIGHT - BOTTOM - 12} width={4} height={12} fill="rgb(var(--soot))" />
          ))}
          <Polyline points={line(ahead)} fill="none" stroke="rgb(var(--slate))" strokeWidth={2.5} strokeDasharray="6 5" />
          <Polyline points={line(past)} fill="none" stroke="rgb(var(--soot))" strokeWidth={3.5} />
          {nowS > 0 ? <Line x1={x(nowS)} x2={x(nowS)} y1={TOP} y2={HEIGHT - BOTTOM} stroke="rgb(var(--soot))" strokeWidth={1.5} /> : null}
          {[0, 0.5, 1].map((share) => (
            <SvgText
              key={share}
              x={x(share * endS)}
              y={HEIGHT - 10}
              fontSize={12}
              textAnchor={share === 0 ? 'start' : share === 1 ? 'end' : 'middle'}
              fill="rgb(var(--ash))"
            >
              {share === 0 ? '0' : clock(share * endS)}
            </SvgText>
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
