/** What the job comes to, at its head: range with its lines, days, sheet and mask, what is not in it, and what moves it most. */
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { router } from 'expo-router';
import { formatMeasure, formatRange, formatWork, headOf, measure, say, type JobDigest, type JobFacts, many } from '@roughsill/core';
import { Button, useUnits, useWide, Words } from '../kit';
import { cap } from '../kit/text';
import { useSettings } from '../store';
import { useMoney } from './money';
import type { StageId } from './stages';

const day = (n: number): string => (n < 10 ? n.toFixed(1) : String(Math.round(n)));

interface JobSumsProps {
  readonly facts: JobFacts;
  readonly digest: JobDigest;
  readonly stage: StageId;
}

export function JobSums({ facts, digest, stage }: JobSumsProps) {
  const settings = useSettings();
  const units = useUnits();
  const head = headOf(facts, digest, settings);
  const money = useMoney();
  const [open, setOpen] = useState(false);
  const wide = useWide();
  // What was tested on a piece that is gone is still paid.
  if (head.surfaces === 0 && head.money.high === 0) return null;
  const total = `${formatRange(head.money, money)} · ${formatRange(head.days, day)} crew days`;
  const widest = facts.surfaces.find((s) => s.id === head.widest?.surfaceId);
  return (
    <View testID="job-sums" role="region" aria-label="What the job comes to" className="gap-1 border-l-8 border-soot pl-3">
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`${total}: what is in it`}
        testID="money-lines"
        onPress={() => setOpen(!open)}
        className="min-h-touch flex-row items-center justify-between gap-2"
      >
        <Words look="row" className="min-w-0 flex-1">
          {total}
        </Words>
        <Words look="note">{open ? 'close' : 'what is in it'}</Words>
      </Pressable>
      {open ? (
        <View className="gap-1 pb-2">
          {head.lines.map(({ line, money: range }) => (
            <View key={line} className="max-w-[24rem] flex-row justify-between gap-3">
              <Words>{cap(say(`money.${line}`))}</Words>
              <Words look="strong">{formatRange(range, money)}</Words>
            </View>
          ))}
        </View>
      ) : null}
      <Words>
        {[
          formatRange(head.personHours, formatWork),
          head.sheetM2 > 0 ? `${formatMeasure(measure(head.sheetM2, 'm2'), units)} of sheet` : 'no sheet',
          head.mask
            ? `${cap(say(head.mask.id))}${head.mask.zones < head.zones ? ` in ${head.mask.zones} of ${many(head.zones, 'zone')}` : ''}`
            : 'no mask',
          head.unpriced > 0 ? `${head.unpriced} of ${many(head.surfaces, 'surface')} not priced, in no sum` : '',
        ]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      {open || wide ? (
        <Button
          look="quiet"
          flush
          label="Buy certainty"
          testID="open-certainty"
          onPress={() => router.navigate(`/certainty/${facts.job.id}`)}
        />
      ) : null}
      {head.widest && widest ? (
        <Button
          look="quiet"
          flush
          label={`Moves it most: ${widest.name}, ${formatRange(head.widest.money, money)}`}
          onPress={() => router.navigate(`/job/${facts.job.id}/${stage}/${widest.id}`)}
        />
      ) : null}
    </View>
  );
}
