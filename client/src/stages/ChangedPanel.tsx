/** What a switch of rules, of a rate or of a school has changed on a job since this screen was opened, as a list. */
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { FirmSettings, JobFacts } from '@roughsill/core';
import { Button, Words } from '../kit';
import { cap } from '../kit/text';
import { useAsked } from './useAsked';

interface Props {
  readonly title: string;
  /** As it stood; the same objects until it stands otherwise. */
  readonly was: { readonly facts: JobFacts; readonly settings: FirmSettings };
  readonly facts: JobFacts;
  readonly settings: FirmSettings;
  readonly aside?: string;
}
/** Longer lists are folded: the first lines say what kind of change it is. */
const FIRST = 8;

export function ChangedPanel({ title, was, facts, settings, aside = 'since this screen was opened' }: Props) {
  const { facts: wasFacts, settings: wasSettings } = was;
  const same = wasFacts === facts && wasSettings === settings;
  const changed = useAsked(
    useMemo(
      () => (same ? null : { kind: 'changed' as const, was: { facts: wasFacts, settings: wasSettings }, is: { facts, settings } }),
      [same, wasFacts, wasSettings, facts, settings],
    ),
  );
  const [all, setAll] = useState(false);
  if (same) return null;
  const nothing = changed && changed.whole.length === 0 && changed.lines.length === 0 && changed.priceOnly === 0;
  return (
    <View role="status" aria-live="polite" testID="changed" className="gap-2 border-l-8 border-slate bg-panel px-3 py-2">
      <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
        <Words look="head" level={2}>
          {title}
        </Words>
        <Words look="note">{aside}</Words>
      </View>
      {changed === null ? <Words look="note">Reckoning what that changes.</Words> : null}
      {nothing ? <Words>Nothing on this job hangs on it.</Words> : null}
      {changed?.whole.map((says) => (
        <Words key={says} look="strong">
          {says}
        </Words>
      ))}
      {(all ? changed?.lines : changed?.lines.slice(0, FIRST))?.map(({ says, names }) => (
        <View key={says}>
          <Words>{cap(says)}</Words>
          <Words look="note">{names.join(', ')}</Words>
        </View>
      ))}
      {changed && changed.lines.length > FIRST ? (
        <Button
          look="quiet"
          flush
          label={all ? 'Only the first' : `and ${changed.lines.length - FIRST} more changes`}
          expanded={all}
          onPress={() => setAll(!all)}
        />
      ) : null}
      {changed && changed.priceOnly > 0 ? (
        <Words look="note">{`On ${changed.priceOnly} ${changed.priceOnly === 1 ? 'surface' : 'surfaces'} the price alone is another.`}</Words>
      ) : null}
    </View>
  );
}
