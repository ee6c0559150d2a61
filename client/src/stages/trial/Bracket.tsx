/** The squares of one product on a line of time: not clean on the left, clean on the right, and the dwell that lies between. */
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { outcomeOf, say, stoodMin, toReference, type Conclusion, type Square, type Surface } from '@roughsill/core';
import { minutesText } from './words';

const H = 74;
const PAD = 22;

interface BracketProps {
  readonly group: Conclusion;
  readonly squares: readonly Square[];
  readonly surface: Surface;
}

/** Half as long again to either side, on a scale where twice as long is always as far. */
export function Bracket({ group, squares, surface }: BracketProps) {
  const [width, setWidth] = useState(0);
  const told = squares.flatMap((q) => {
    const stood = stoodMin(q) ?? q.dwellMin;
    return stood === null ? [] : [{ min: Math.max(0.5, toReference(stood, q.surfaceC)), says: outcomeOf(q, surface) }];
  });
  if (told.length === 0) return null;
  const mins = told.map((t) => t.min);
  const from = Math.log(Math.min(...mins) / 1.5);
  const to = Math.log(Math.max(...mins) * 1.5);
  const x = (min: number) => PAD + ((Math.log(min) - from) / (to - from)) * (width - 2 * PAD);
  const { clean, notClean } = group.bracketMin;
  const summary = told
    .map(
      (t) =>
        `${minutesText(t.min)} ${t.says === 'clean' ? 'clean' : t.says === 'open' ? 'no answer yet' : t.says === 'harmed' ? 'harmed' : 'not clean'}`,
    )
    .join(', ');
  return (
    <View
      role="img"
      aria-label={`${say(group.methodId)}, at 20 °C: ${summary}`}
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
      className="bg-panel"
    >
      {width > 0 ? (
        <Svg width={width} height={H} aria-hidden>
          {clean !== null ? (
            <Rect
              x={x(notClean ?? Math.exp(from))}
              y={22}
              width={Math.max(2, x(clean) - x(notClean ?? Math.exp(from)))}
              height={20}
              fill="rgb(var(--shelf))"
            />
          ) : null}
          <Line x1={PAD / 2} x2={width - PAD / 2} y1={32} y2={32} stroke="rgb(var(--ash))" strokeWidth={1.5} />
          {told.map((t, i) => (
            <G key={i}>
              {t.says === 'clean' ? (
                <Circle cx={x(t.min)} cy={32} r={8} fill="rgb(var(--verdigris))" />
              ) : t.says === 'open' ? (
                <Circle
                  cx={x(t.min)}
                  cy={32}
                  r={8}
                  fill="rgb(var(--panel))"
                  stroke="rgb(var(--soot))"
                  strokeWidth={2}
                  strokeDasharray="3 3"
                />
              ) : (
                <G>
                  <Line x1={x(t.min) - 7} x2={x(t.min) + 7} y1={25} y2={39} stroke="rgb(var(--oxide))" strokeWidth={4} />
                  <Line x1={x(t.min) - 7} x2={x(t.min) + 7} y1={39} y2={25} stroke="rgb(var(--oxide))" strokeWidth={4} />
                </G>
              )}
              <SvgText x={x(t.min)} y={i % 2 === 0 ? 60 : 16} fontSize={12} textAnchor="middle" fill="rgb(var(--soot))">
                {minutesText(t.min)}
              </SvgText>
            </G>
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
