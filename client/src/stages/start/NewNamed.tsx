/** A new record of the firm's lists, by its name. */
import { useState } from 'react';
import { View } from 'react-native';
import { Button, TextField } from '../../kit';

export function NewNamed({ label, onAdd }: { readonly label: string; readonly onAdd: (name: string) => void }) {
  const [turn, setTurn] = useState(0);
  const [name, setName] = useState('');
  const [asked, setAsked] = useState(false);
  return (
    <View className="gap-2 border-t-2 border-line pt-3">
      <TextField
        key={turn}
        label={label}
        value=""
        onChange={setName}
        onCommit={setName}
        problem={asked && name.trim() === '' ? 'It needs a name.' : undefined}
      />
      <Button
        label="Add"
        says={`Add: ${label}`}
        className="self-start"
        onPress={() => {
          if (name.trim() === '') return setAsked(true);
          onAdd(name.trim());
          setName('');
          setAsked(false);
          setTurn(turn + 1);
        }}
      />
    </View>
  );
}
