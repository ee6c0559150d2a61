/** May I dry-sand this? One tap, answered for the whole job or one surface: what is forbidden apart from what would only do too little. */
import { useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { ASKED, MAY, say, type AskedMethod, type JobDigest, type JobFacts, type May, type MayI, many } from '@roughsill/core';
import { remedy, sentence } from '@roughsill/core/words';
import { Button, useUnits, Words } from '../kit';
import { cap } from '../kit/text';

const ANSWER: Readonly<Record<May, string>> = {
  forbidden: 'No',
  tooLittle: 'It would not do enough',
  care: 'With care',
  go: 'Yes',
  beside: 'Nothing here for it',
};
const EDGE: Readonly<Record<May, string>> = {
  forbidden: 'border-oxide',
  tooLittle: 'border-line',
  care: 'border-ochre',
  go: 'border-verdigris',
  beside: 'border-line',
};

interface MayIPanelProps {
  readonly facts: JobFacts;
  readonly digest: JobDigest;
  /** Only this one; none: all of the job. */
  readonly surfaceId?: string;
}

interface Group {
  readonly is: May;
  readonly says: string;
  /** What would lift a no: the way out. */
  readonly wayOut: string | undefined;
  readonly ids: readonly string[];
}

export function MayIPanel({ facts, digest, surfaceId }: MayIPanelProps) {
  const units = useUnits();
  const [asked, setAsked] = useState<AskedMethod | null>(null);
  const about = digest.surfaces.filter((s) => surfaceId === undefined || s.surfaceId === surfaceId);
  if (about.length === 0) return null;
  const groups = new Map<string, Group>();
  if (asked !== null) {
    const reasonOf = (m: MayI) => (m.reason === null ? '' : sentence(m.reason, units));
    for (const s of about) {
      const m = s.may[asked];
      const key = `${m.is}|${m.reason?.rule ?? ''}`;
      const was = groups.get(key);
      groups.set(key, {
        is: m.is,
        says: was?.says ?? reasonOf(m),
        wayOut: m.is === 'forbidden' && m.reason !== null ? remedy(m.reason, units) : undefined,
        ids: [...(was?.ids ?? []), s.surfaceId],
      });
    }
  }
  const shown = [...groups.values()].sort((a, b) => MAY.indexOf(a.is) - MAY.indexOf(b.is) || b.ids.length - a.ids.length);
  const nameOf = (id: string) => facts.surfaces.find((s) => s.id === id)?.name ?? id;
  return (
    <View testID="may-i" className="gap-1">
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        role="radiogroup"
        aria-label="May I"
        contentContainerClassName="items-center gap-1"
      >
        <Words look="strong">May I</Words>
        {ASKED.map((m) => (
          <Pressable
            key={m}
            role="radio"
            aria-checked={asked === m}
            testID={`may-${m}`}
            onPress={() => setAsked(asked === m ? null : m)}
            className={`min-h-touch justify-center border-2 px-2 ${asked === m ? 'border-soot bg-shelf' : 'border-line bg-panel'}`}
          >
            <Words look={asked === m ? 'strong' : 'note'}>{`${cap(say(`may.${m}`))}?`}</Words>
          </Pressable>
        ))}
      </ScrollView>
      {asked === null ? null : (
        <View role="status" testID="may-answer" className="gap-2 pt-1">
          {shown.map((g) => (
            <View key={`${g.is}${g.says}`} className={`gap-0.5 border-l-8 bg-panel py-1 pl-3 ${EDGE[g.is]}`}>
              <Words look="row">
                {surfaceId === undefined ? `${ANSWER[g.is]}: ${g.ids.length} of ${many(about.length, 'surface')}` : ANSWER[g.is]}
              </Words>
              {g.says ? <Words>{g.says}</Words> : null}
              {g.wayOut ? <Words look="note">{`What would lift it: ${g.wayOut}`}</Words> : null}
              {surfaceId === undefined ? <Names ids={g.ids} nameOf={nameOf} jobId={facts.job.id} /> : null}
            </View>
          ))}
        </View>
      )}
    </View>
  );
}

const FIRST = 3;
function Names({
  ids,
  nameOf,
  jobId,
}: {
  readonly ids: readonly string[];
  readonly nameOf: (id: string) => string;
  readonly jobId: string;
}) {
  const [all, setAll] = useState(false);
  return (
    <View className="flex-row flex-wrap gap-x-2">
      {(all ? ids : ids.slice(0, FIRST)).map((id) => (
        <Button key={id} look="quiet" flush label={nameOf(id)} onPress={() => router.navigate(`/job/${jobId}/choose/${id}`)} />
      ))}
      {ids.length > FIRST && !all ? (
        <Button look="quiet" flush label={`and ${ids.length - FIRST} more`} onPress={() => setAll(true)} />
      ) : null}
    </View>
  );
}
