/** What the job comes to, at its head: range, days, sheet and mask, what is not in it, and what moves it most. */
import { View } from 'react-native';
import { router } from 'expo-router';
import { formatMeasure, formatRange, formatWork, headOf, measure, say, type JobDigest, type JobFacts } from '@roughsill/core';
import { Button, useUnits, Words } from '../kit';
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
  if (head.surfaces === 0) return null;
  const widest = facts.surfaces.find((s) => s.id === head.widest?.surfaceId);
  return (
    <View testID="job-sums" role="region" aria-label="What the job comes to" className="gap-1 border-l-8 border-soot pl-3">
      <Words look="row">{`${formatRange(head.money, money)} · ${formatRange(head.days, day)} days`}</Words>
      <Words>
        {[
          formatRange(head.personHours, formatWork),
          head.sheetM2 > 0 ? `${formatMeasure(measure(head.sheetM2, 'm2'), units)} of sheet` : 'no sheet',
          head.mask
            ? `${cap(say(head.mask.id))}${head.mask.zones < head.zones ? ` in ${head.mask.zones} of ${head.zones} zones` : ''}`
            : 'no mask',
        ].join(' · ')}
      </Words>
      {head.unpriced > 0 ? <Words look="note">{`${head.unpriced} of ${head.surfaces} surfaces not priced, in no sum`}</Words> : null}
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
