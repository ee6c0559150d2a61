/** The state of a hazard as a paint chip: broken outline, hatched, dotted, solid, plain outline. Never by colour alone. */
import { View } from 'react-native';
import Svg, { Circle, ClipPath, Defs, G, Line, Polygon } from 'react-native-svg';
import { say } from '@roughsill/core/records';
import type { HazardState } from '@roughsill/core';
import { Words } from './Words';

const CHIP = '5,3 19,2 25,9 22,22 8,25 2,14';
const colour = (state: HazardState): string =>
  state === 'found' || state === 'assumed'
    ? 'rgb(var(--oxide))'
    : state === 'waiting'
      ? 'rgb(var(--ochre))'
      : state === 'notFound'
        ? 'rgb(var(--verdigris))'
        : 'rgb(var(--ash))';

export function StateChip({ state, size = 24 }: { readonly state: HazardState; readonly size?: number }) {
  const c = colour(state);
  const clip = `chip-${state}`;
  return (
    <Svg width={size} height={size} viewBox="0 0 27 27" aria-hidden>
      <Defs>
        <ClipPath id={clip}>
          <Polygon points={CHIP} />
        </ClipPath>
      </Defs>
      <Polygon points={CHIP} fill={state === 'found' ? c : 'rgb(var(--panel))'} />
      <G clipPath={`url(#${clip})`}>
        {state === 'assumed'
          ? [-12, -5, 2, 9, 16, 23].map((x) => <Line key={x} x1={x} y1={27} x2={x + 14} y2={0} stroke={c} strokeWidth={2.4} />)
          : null}
        {state === 'waiting'
          ? [9, 14, 19].flatMap((x) => [9, 14, 19].map((y) => <Circle key={`${x}-${y}`} cx={x} cy={y} r={1.4} fill={c} />))
          : null}
      </G>
      <Polygon points={CHIP} fill="none" stroke={c} strokeWidth={2.4} strokeDasharray={state === 'unknown' ? '4 3' : undefined} />
    </Svg>
  );
}

/** Chip and word together. */
interface StateMarkProps {
  readonly state: HazardState;
  /** The hazard, where it does not stand beside. */
  readonly what?: string;
  /** What "not found" is called where nobody looks for it with a test. */
  readonly none?: string;
}
export function StateMark({ state, what, none }: StateMarkProps) {
  const word = state === 'notFound' && none ? none : say(state);
  return (
    <View className="flex-row items-center gap-2">
      <StateChip state={state} />
      <Words look="strong">{what ? `${what} ${word}` : word}</Words>
    </View>
  );
}
