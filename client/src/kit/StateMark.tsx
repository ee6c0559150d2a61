/** The state of a hazard as a paint chip: broken outline, hatched, dotted, solid, half full, plain outline. Never by colour alone. */
import { View } from 'react-native';
import Svg, { Circle, ClipPath, Defs, G, Line, Polygon, Rect } from 'react-native-svg';
import { say } from '@roughsill/core/records';
import type { HazardState, HazardWord } from '@roughsill/core';
import { Words } from './Words';

const CHIP = '5,3 19,2 25,9 22,22 8,25 2,14';
/** A state, or for what is not found its place on the ladder. */
export type Shown = HazardState | HazardWord;
const COLOUR: Readonly<Record<Shown, string>> = {
  found: 'rgb(var(--oxide))',
  assumed: 'rgb(var(--oxide))',
  waiting: 'rgb(var(--ochre))',
  trace: 'rgb(var(--ochre))',
  below: 'rgb(var(--ochre))',
  noneFound: 'rgb(var(--verdigris))',
  notFound: 'rgb(var(--verdigris))',
  notSuspected: 'rgb(var(--verdigris))',
  unknown: 'rgb(var(--ash))',
};
/** How full the chip stands of what was measured, from its foot. */
const FULL: Readonly<Partial<Record<Shown, number>>> = { trace: 7, below: 13 };

export function StateChip({ state, size = 24 }: { readonly state: Shown; readonly size?: number }) {
  const c = COLOUR[state];
  const full = FULL[state];
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
        {full === undefined ? null : <Rect x={0} y={27 - full} width={27} height={full} fill={c} />}
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
  readonly state: Shown;
  /** Its number, where there is room for it. */
  readonly number?: string | null;
  /** The hazard, where it does not stand beside. */
  readonly what?: string;
  /** What "not found" is called where nobody looks for it with a test. */
  readonly none?: string;
}
export function StateMark({ state, number = null, what, none }: StateMarkProps) {
  const named = state === 'notFound' ? (none ?? say(state)) : say(`rung.${state}`);
  const word = number === null ? named : `${named}, ${number}`;
  return (
    <View className="flex-row items-center gap-2">
      <StateChip state={state} />
      <Words look="strong">{what ? `${what} ${word}` : word}</Words>
    </View>
  );
}
