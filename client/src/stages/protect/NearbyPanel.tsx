/** What lies before a side of the house: where it is, so that it is drawn, and covered or cleared before the first stroke. */
import { View } from 'react-native';
import { NEARBY, say, type JobFacts, type Nearby, type NearbyKind, type Space } from '@roughsill/core';
import { Button, LengthField, Panel, Select, Words } from '../../kit';
import { commit, set, useAppDispatch } from '../../store';
import { cap } from '../../kit/text';

const KINDS = NEARBY.map((value) => ({ value, label: cap(say(`near.${value}`)) }));
const SIZES = [
  ['outM', 'Out from the wall', 'empty: counts as near'],
  ['alongM', 'Along from the left', 'empty: at the corner'],
  ['lengthM', 'Long', 'empty: as is usual'],
] as const;

export function NearbyPanel({ facts, space }: { readonly facts: JobFacts; readonly space: Space }) {
  const dispatch = useAppDispatch();
  const write = (nearby: readonly Nearby[], says: string) =>
    dispatch(commit(facts.job.id, [set('space', space.id, { nearby: [...nearby] })], `${space.name}: ${says}`));
  const put = (i: number, over: Partial<Nearby>) =>
    write(
      space.nearby.map((n, k) => (k === i ? { ...n, ...over } : n)),
      `${say(`near.${(over.what ?? space.nearby[i]!.what) as NearbyKind}`)} placed`,
    );
  return (
    <Panel
      title={`What lies before ${space.name}`}
      aside={space.nearby.length > 0 ? String(space.nearby.length) : undefined}
      testID="nearby"
    >
      {space.nearby.length === 0 ? (
        <Words look="note">
          A neighbour’s window, a path, a play area, beds, a pond, a drain, the scaffold: each has its own check before the first stroke,
          and is drawn.
        </Words>
      ) : null}
      {space.nearby.map((n, i) => (
        <View key={i} role="group" aria-label={`${say(`near.${n.what}`)} ${i + 1}`} className="gap-2 border-l-4 border-line pl-3">
          <Select label="What it is" value={n.what} options={KINDS} onChange={(what) => put(i, { what })} />
          <View className="flex-row flex-wrap items-end gap-3">
            {SIZES.filter(([field]) => n.what !== 'scaffold' || field !== 'outM').map(([field, label, hint]) => (
              <View key={field} className="min-w-[9rem] flex-1">
                <LengthField
                  label={label}
                  optional
                  hint={hint}
                  value={n[field]}
                  testID={`near-${i}-${field}`}
                  check={(m) =>
                    m < 0 || (field === 'lengthM' && m === 0)
                      ? field === 'lengthM'
                        ? 'A length is more than 0.'
                        : 'A distance cannot be negative.'
                      : m > 200
                        ? 'Check the unit: that is very far.'
                        : undefined
                  }
                  onCommit={(m) => put(i, { [field]: m })}
                />
              </View>
            ))}
            <Button
              look="quiet"
              label="Not there"
              says={`Not there: ${say(`near.${n.what}`)}`}
              onPress={() =>
                write(
                  space.nearby.filter((_, k) => k !== i),
                  `${say(`near.${n.what}`)} taken off`,
                )
              }
            />
          </View>
        </View>
      ))}
      <View className="flex-row flex-wrap gap-2">
        {KINDS.map(({ value, label }) => (
          <Button
            key={value}
            look="quiet"
            label={label}
            says={`Add ${label.toLowerCase()}`}
            onPress={() =>
              write(
                [...space.nearby, { what: value, outM: value === 'scaffold' ? 0 : null, alongM: null, lengthM: null }],
                label.toLowerCase(),
              )
            }
          />
        ))}
      </View>
    </Panel>
  );
}
