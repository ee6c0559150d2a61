/** Simple trials on a coat, and the binder that they point to. */
import { useState } from 'react';
import { View } from 'react-native';
import { RESPONSES, say, TRIALS, type Layer } from '@roughsill/core';
import { BINDER_SURE, guessBinder } from '@roughsill/core/survey';
import { Button, Select, Words } from '../../kit';
import { Why } from '../../kit/Why';
import { cap } from '../../kit/text';

interface TrialsProps {
  readonly coat: Layer;
  readonly onSet: (fields: Partial<Layer>, what: string) => void;
}

export function Trials({ coat, onSet }: TrialsProps) {
  const tried = TRIALS.some((t) => coat[t] !== 'untried');
  const [open, setOpen] = useState(tried);
  if (!open)
    return (
      <Button
        look="quiet"
        flush
        label="Which binder? Try a drop"
        says={`Try what dissolves the coat ${say(coat.binder)}`}
        onPress={() => setOpen(true)}
      />
    );
  const guess = guessBinder(coat);
  const { binder, confidence } = guess.value;
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        {TRIALS.map((t) => (
          <View key={t} className="min-w-[7rem] flex-1">
            <Select
              label={say(`trial.${t}`)}
              value={coat[t]}
              options={RESPONSES.map((value) => ({ value, label: value === 'none' ? 'no effect' : say(value) }))}
              onChange={(v) => onSet({ [t]: v }, `${say(`trial.${t}`).toLowerCase()} tried`)}
            />
          </View>
        ))}
      </View>
      {tried ? (
        <View className="gap-1">
          <Words look="strong">{`Points to ${say(binder)}, ${Math.round(confidence * 100)} % of the weight${confidence < BINDER_SURE ? ': not sure' : ''}`}</Words>
          <Why of={`binder of the coat`} because={guess.because} />
          {confidence >= BINDER_SURE && binder !== coat.binder ? (
            <Button label={`${cap(say(binder))}: take it over`} onPress={() => onSet({ binder }, 'binder')} />
          ) : null}
        </View>
      ) : null}
    </View>
  );
}
