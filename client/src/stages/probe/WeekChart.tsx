/** Humidity of a room hour by hour: what a logger wrote, unbroken, over what was reckoned, dashed; its gaps stay gaps. */
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Polyline, Text as SvgText } from 'react-native-svg';

const HEIGHT = 180;
const LEFT = 48;
const RIGHT = 12;
const TOP = 10;
const BOTTOM = 30;
const LINES = [20, 40, 60, 80, 100] as const;

/** Runs of hours that have a value. */
function runsOf(values: Float64Array): number[][] {
  const out: number[][] = [];
  let run: number[] = [];
  for (let i = 0; i <= values.length; i += 1) {
    if (i < values.length && !Number.isNaN(values[i]!)) run.push(i);
    else if (run.length > 0) {
      out.push(run);
      run = [];
    }
  }
  return out;
}

export function WeekChart({ logged, reckoned }: { readonly logged: Float64Array; readonly reckoned: Float64Array }) {
  const [width, setWidth] = useState(0);
  const n = Math.max(2, logged.length);
  const x = (i: number) => LEFT + (i / (n - 1)) * (width - LEFT - RIGHT);
  const y = (rh: number) => TOP + (1 - rh / 100) * (HEIGHT - TOP - BOTTOM);
  const points = (values: Float64Array, run: readonly number[]) =>
    run.map((i) => `${x(i).toFixed(1)},${y(values[i]!).toFixed(1)}`).join(' ');
  const days = Math.floor(n / 24);
  const every = Math.max(1, Math.ceil(days / 7));
  return (
    <View
      role="img"
      aria-label="Humidity of the room in per cent, hour by hour: logged unbroken, reckoned dashed"
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
      className="bg-panel py-2"
    >
      {width > 0 ? (
        <Svg width={width} height={HEIGHT} aria-hidden>
          {LINES.map((rh) => (
            <G key={rh}>
              <Line
                x1={LEFT}
                x2={width - RIGHT}
                y1={y(rh)}
                y2={y(rh)}
                stroke="rgb(var(--line))"
                strokeWidth={1}
                strokeDasharray={rh === 80 ? '3 3' : undefined}
              />
              <SvgText x={LEFT - 6} y={y(rh) + 4} fontSize={12} textAnchor="end" fill="rgb(var(--ash))">
                {`${rh} %`}
              </SvgText>
            </G>
          ))}
          {Array.from({ length: Math.floor(days / every) + 1 }, (_, k) => k * every).map((day) => (
            <SvgText
              key={day}
              x={x(day * 24)}
              y={HEIGHT - 12}
              fontSize={12}
              textAnchor={day === 0 ? 'start' : 'middle'}
              fill="rgb(var(--ash))"
            >
              {day === 0 ? 'day 0' : day}
            </SvgText>
          ))}
          <Polyline
            points={points(
              reckoned,
              Array.from({ length: reckoned.length }, (_, i) => i),
            )}
            fill="none"
            stroke="rgb(var(--slate))"
            strokeWidth={2}
            strokeDasharray="7 4"
          />
          {runsOf(logged).map((run) => (
            <Polyline key={run[0]} points={points(logged, run)} fill="none" stroke="rgb(var(--oxide))" strokeWidth={2.5} />
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
