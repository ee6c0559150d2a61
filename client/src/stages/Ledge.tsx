/** The stages: a bottom ledge under the thumb, or a side column on a wide screen; each with what is still open in it. */
import { spell } from '@roughsill/core/records';
import { Pressable, Text, View } from 'react-native';
import { Link, router, type Href } from 'expo-router';
import type { JobFacts } from '@roughsill/core/records';
import type { JobDigest } from '@roughsill/core';
import { Button, Words } from '../kit';
import { sessionSlice, useAppDispatch, useAppSelector } from '../store';
import { openIn } from './stage';
import { STAGE, STAGES, type StageId } from './stages';

interface StageNavProps {
  readonly facts: JobFacts;
  readonly stage: StageId;
  readonly digest: JobDigest | undefined;
  /** Kept while stages change, so that one surface is followed through them. */
  readonly surfaceId?: string;
}

interface StageLink {
  readonly id: StageId;
  readonly label: string;
  readonly open: number;
  readonly on: boolean;
  readonly href: Href;
  /** What a screen reader says of it. */
  readonly says: string;
}

function stageLinks({ facts, stage, digest, surfaceId }: StageNavProps): StageLink[] {
  return STAGES.map((id) => {
    const open = digest ? openIn(STAGE[id], digest) : 0;
    const { label } = STAGE[id];
    const href = `/job/${facts.job.id}/${id}${surfaceId ? `/${surfaceId}` : ''}` as Href;
    return { id, label, open, on: id === stage, href, says: open > 0 ? `${label}, ${open} to do now` : label };
  });
}

const COUNT = 'font-strong text-note text-ash [font-variant-numeric:tabular-nums]';

export function Ledge(props: StageNavProps) {
  return (
    <View role="navigation" aria-label="Stages" className="flex-row flex-wrap border-t-2 border-soot bg-shelf pb-1">
      {stageLinks(props).map((s) => (
        <Link key={s.id} href={s.href} asChild>
          <Pressable
            aria-label={s.says}
            aria-current={s.on ? 'page' : undefined}
            className="min-h-[3.5rem] min-w-touch flex-1 items-center justify-center"
          >
            <View className={`-mt-0.5 h-1 w-10 ${s.on ? 'bg-soot' : 'bg-transparent'}`} />
            <Text className={COUNT}>{s.open > 0 ? s.open : ' '}</Text>
            <Text className={`text-note ${s.on ? 'font-strong text-soot' : 'font-read text-ash'}`}>{s.label}</Text>
          </Pressable>
        </Link>
      ))}
    </View>
  );
}

export function StageColumn(props: StageNavProps) {
  const dispatch = useAppDispatch();
  const dim = useAppSelector((s) => s.session.dim);
  return (
    <View
      role="navigation"
      aria-label="Stages"
      className="w-[9.5rem] gap-1 border-r-2 border-soot bg-shelf p-2 min-[1440px]:w-[12rem] min-[1440px]:p-3"
    >
      <Words look="head" className="px-2 pb-3 pt-2 text-row min-[1440px]:text-head">
        Rough Sill
      </Words>
      {stageLinks(props).map((s, i) => (
        <Link key={s.id} href={s.href} asChild>
          <Pressable
            aria-label={s.says}
            aria-current={s.on ? 'page' : undefined}
            className={`min-h-touch flex-row items-center gap-2 border-l-4 px-2 ${s.on ? 'border-soot bg-panel' : 'border-transparent'}`}
          >
            <Text className="w-4 font-read text-note text-ash">{i + 1}</Text>
            <Text className={`flex-1 text-row text-soot ${s.on ? 'font-strong' : 'font-read'}`}>{s.label}</Text>
            <Text className={COUNT}>{s.open > 0 ? s.open : ''}</Text>
          </Pressable>
        </Link>
      ))}
      <View className="flex-1" />
      <Button label="Print the plan" onPress={() => router.navigate(`/print/${props.facts.job.id}`)} />
      <Button
        look="quiet"
        label={dim ? spell('Daylight colours') : 'Dim for a cellar'}
        onPress={() => dispatch(sessionSlice.actions.dimmed(!dim))}
      />
    </View>
  );
}
