/** In which order the parts are worked. What is entered is checked and put right, with the reason. */
import { useState } from 'react';
import { View } from 'react-native';
import { formatMeasure, measure, say, type Choice, type Stroke } from '@roughsill/core';
import { Button, Panel, useUnits, Words } from '../../kit';
import { Reasons } from '../../kit/Why';
import { cap } from '../../kit/text';

const token = (x: Stroke): string => `${x.partId}/${x.methodId}`;
const HALF = { coarse: ', coarse', final: ', final' } as const;

interface SequencePanelProps {
  readonly choice: Choice;
  readonly entered: boolean;
  readonly onOrder: (order: string[]) => void;
}

export function SequencePanel({ choice, entered, onOrder }: SequencePanelProps) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const { strokes, moved, apart } = choice.sequence;
  if (strokes.length < 2) return null;
  // The coarse half goes where the work puts it: only whole strokes can be asked for in another order.
  const named = strokes.filter((x) => x.half !== 'coarse');
  const earlier = (i: number) => {
    const order = named.map(token);
    [order[i - 1], order[i]] = [order[i]!, order[i - 1]!];
    onOrder(order);
  };
  return (
    <Panel title="In this order" aside={entered ? 'yours, checked' : 'as the work asks'} testID="sequence">
      <View className="gap-1">
        {strokes.map((x, i) => {
          const at = named.indexOf(x);
          return (
            <View
              key={`${token(x)}${x.half}`}
              className="min-h-touch flex-row items-center gap-3 bg-panel px-3 py-1.5"
              testID={`stroke-${i + 1}`}
            >
              <Words look="row">{String(i + 1)}</Words>
              <View className="min-w-0 flex-1">
                <Words look="strong">{`${cap(say(x.kind))}: ${say(x.methodId)}${x.half ? HALF[x.half] : ''}`}</Words>
                <Words look="note">{formatMeasure(measure(x.areaM2, 'm2'), units)}</Words>
              </View>
              {open && at > 0 ? (
                <Button label="Earlier" says={`${say(x.kind)}, ${say(x.methodId)}: earlier`} onPress={() => earlier(at)} />
              ) : null}
            </View>
          );
        })}
      </View>
      {moved.length > 0 ? (
        <View className="gap-1" testID="moved">
          <Words look="strong">Your order was put right:</Words>
          <Reasons because={moved} />
        </View>
      ) : null}
      {apart.length > 0 ? <Reasons because={apart} /> : null}
      <View className="flex-row flex-wrap gap-2">
        <Button
          look="quiet"
          flush
          label={open ? 'Leave the order' : 'Another order'}
          expanded={open}
          onPress={() => setOpen(!open)}
          testID="reorder"
        />
        {entered ? <Button look="quiet" label="Back to the work’s own" onPress={() => onOrder([])} /> : null}
      </View>
    </Panel>
  );
}
