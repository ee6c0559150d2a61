/** The stages: a bottom ledge under the thumb, or a side column on a wide screen; each with what is still open in it. */
import { Pressable, Text, View } from 'react-native';
import { router } from 'expo-router';
import type { JobDigest, JobFacts } from '@roughsill/core';
import { Button, Words } from '../kit';
import { sessionSlice, useAppDispatch, useAppSelector } from '../store';
import { openCount, STAGES, STAGE_WORDS, type StageId } from './stages';

interface StageNavProps {
  readonly stage: StageId;
  readonly digest: JobDigest | undefined;
  readonly surfaceId?: string;
  readonly go: (s: StageId, id?: string) => void;
}

const spoken = (s: StageId, open: number): string => `${STAGE_WORDS[s].label}${open > 0 ? `, ${open} open` : ''}`;

export function Ledge({ stage, digest, surfaceId, go }: StageNavProps) {
  return (
    <View role="navigation" aria-label="Stages" className="flex-row flex-wrap border-t-2 border-soot bg-shelf pb-1">
      {STAGES.map((s) => {
        const open = digest ? openCount(s, digest) : 0;
        const on = s === stage;
        return (
          <Pressable
            key={s}
            role="link"
            aria-label={spoken(s, open)}
            aria-current={on ? 'page' : undefined}
            onPress={() => go(s, surfaceId)}
            className="min-h-[3.5rem] min-w-[3.75rem] flex-1 items-center justify-center"
          >
            <View className={`-mt-0.5 h-1 w-10 ${on ? 'bg-soot' : 'bg-transparent'}`} />
            <Text className="font-strong text-note text-oxide [font-variant-numeric:tabular-nums]">{open > 0 ? open : ' '}</Text>
            <Text className={`text-note ${on ? 'font-strong text-soot' : 'font-read text-ash'}`}>{STAGE_WORDS[s].label}</Text>
          </Pressable>
        );
      })}
    </View>
  );
}

export function StageColumn({ facts, stage, digest, surfaceId, go }: StageNavProps & { readonly facts: JobFacts }) {
  const dispatch = useAppDispatch();
  const dim = useAppSelector((s) => s.session.dim);
  return (
    <View role="navigation" aria-label="Stages" className="w-[13rem] gap-1 border-r-2 border-soot bg-shelf p-3">
      <Words look="head" className="px-2 pb-3 pt-2">
        Rough Sill
      </Words>
      {STAGES.map((s, i) => {
        const open = digest ? openCount(s, digest) : 0;
        const on = s === stage;
        return (
          <Pressable
            key={s}
            role="link"
            aria-label={spoken(s, open)}
            aria-current={on ? 'page' : undefined}
            onPress={() => go(s, surfaceId)}
            className={`min-h-touch flex-row items-center gap-2 border-l-4 px-3 ${on ? 'border-soot bg-panel' : 'border-transparent'}`}
          >
            <Text className="w-4 font-read text-note text-ash">{i + 1}</Text>
            <Text className={`flex-1 text-row ${on ? 'font-strong text-soot' : 'font-read text-soot'}`}>{STAGE_WORDS[s].label}</Text>
            <Text className="font-strong text-note text-oxide [font-variant-numeric:tabular-nums]">{open > 0 ? open : ''}</Text>
          </Pressable>
        );
      })}
      <View className="flex-1" />
      <Button label="Print the plan" onPress={() => router.navigate(`/job/${facts.job.id}/print`)} />
      <Button
        look="quiet"
        label={dim ? 'Daylight colours' : 'Dim for a cellar'}
        onPress={() => dispatch(sessionSlice.actions.dimmed(!dim))}
      />
    </View>
  );
}
