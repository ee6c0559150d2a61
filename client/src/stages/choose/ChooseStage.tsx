/** What is wanted of a surface, how deep that goes, and every part with its methods, in their order. */
import { useState } from 'react';
import { View } from 'react-native';
import { router, type Href } from 'expo-router';
import { AIMS, methodById, say, type ElementId, type Problem } from '@roughsill/core';
import { Button, Problems, Select } from '../../kit';
import { AnswerRow } from '../../kit/Why';
import { sectionCoats } from '../../section';
import { commit, set, useAppDispatch } from '../../store';
import { useMoney } from '../money';
import type { StageScreenProps } from '../props';
import { AllParts } from './AllParts';
import { BoardsPanel } from './BoardsPanel';
import { Declined } from './Declined';
import { PartMethods } from './PartMethods';
import { SequencePanel } from './SequencePanel';

/** Made of pieces that may be judged one by one. */
const IN_PIECES: readonly ElementId[] = ['siding', 'floorBoards', 'railing', 'ironRailing', 'shutter', 'soffit', 'panelling', 'wainscot'];

export function ChooseStage({ facts, surface, plan, looking, onLook }: StageScreenProps) {
  const dispatch = useAppDispatch();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const coats = sectionCoats(plan);
  const write = (drafts: Parameters<typeof commit>[1], what: string) => setProblems(dispatch(commit(facts.job.id, drafts, what)));
  const money = useMoney();
  return (
    <>
      <Select
        label="What do you want of it"
        value={surface.aim}
        options={AIMS.map((value) => ({ value, label: say(value) }))}
        onChange={(aim) => write([set('surface', surface.id, { aim })], 'aim')}
        testID="aim"
      />
      <AnswerRow label="How deep it must go" value={say(plan.choice.required.value)} because={plan.choice.required.because} />
      <Problems problems={problems} />
      <AllParts
        parts={plan.choice.parts}
        money={money}
        onChoose={(picks, what) =>
          write(
            picks.map((x) => set('part', x.partId, { methodId: x.methodId, insistedWhy: null }, surface.id)),
            `${what} chosen`,
          )
        }
      />
      <View className="flex-row flex-wrap gap-2">
        <Button
          label="Compare all, with cost"
          testID="to-compare"
          onPress={() => router.navigate(`/compare/${facts.job.id}?surface=${surface.id}` as Href)}
        />
        <Button
          label="For the client"
          testID="to-client"
          onPress={() => router.navigate(`/client/${facts.job.id}?surface=${surface.id}` as Href)}
        />
        {plan.choice.sequence.strokes.some((x) => methodById(x.methodId).laying !== null) ? (
          <Button
            label="How much at once"
            testID="to-rounds"
            onPress={() => router.navigate(`/rounds/${facts.job.id}?surface=${surface.id}` as Href)}
          />
        ) : null}
      </View>
      {plan.choice.parts.map((part) => (
        <PartMethods
          key={part.partId}
          part={part}
          coats={coats}
          material={surface.material}
          looking={looking}
          onLook={onLook}
          money={money}
          insisted={surface.parts.find((p) => p.id === part.partId)?.insistedWhy ?? null}
          onChoose={(methodId, insistedWhy, all) => {
            const ids = all
              ? plan.choice.parts
                  .filter((p) => p.options.some((o) => o.methodId === methodId && o.verdict !== 'blocked'))
                  .map((p) => p.partId)
              : [part.partId];
            write(
              ids.map((id) => set('part', id, { methodId, insistedWhy }, surface.id)),
              methodId ? `${say(methodId)} chosen` : 'choice taken back',
            );
          }}
          several={plan.choice.parts.length > 1}
          how={surface.parts.find((p) => p.id === part.partId) ?? { methodId: null, grits: [], toolC: null }}
          onHow={(fields, what) => dispatch(commit(facts.job.id, [set('part', part.partId, fields, surface.id)], what))}
          onAlso={(alsoIds, what) => write([set('part', part.partId, { alsoIds }, surface.id)], what)}
          added={surface.parts.find((p) => p.id === part.partId)?.alsoIds ?? []}
        />
      ))}
      <SequencePanel
        choice={plan.choice}
        entered={surface.workOrder.length > 0}
        onOrder={(workOrder) => write([set('surface', surface.id, { workOrder })], 'order of work')}
      />
      {surface.count > 1 || surface.boards.some((b) => b.removedAt === null) || IN_PIECES.includes(surface.element) ? (
        <BoardsPanel jobId={facts.job.id} surface={surface} />
      ) : null}
      <Declined facts={facts} surface={surface} />
    </>
  );
}
