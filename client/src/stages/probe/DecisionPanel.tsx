/** Test, or treat as positive? For the combination that this surface belongs to. */
import { useMemo } from 'react';
import { createDeriver, say, type JobFacts, type Surface, many } from '@roughsill/core';
import { assessGroup, leadGroups } from '@roughsill/core/survey';

import { Figure, Panel, Words } from '../../kit';
import { AnswerRow } from '../../kit/Why';
import { useSettings } from '../../store';
import { useMoney } from '../money';

export const percent = (x: number): string => `${Math.round(x * 100)} %`;

export function DecisionPanel({ facts, surface }: { readonly facts: JobFacts; readonly surface: Surface }) {
  const settings = useSettings();
  const money = useMoney();
  const assessed = useMemo(() => {
    const group = leadGroups(facts).find((g) => g.surfaceIds.includes(surface.id));
    if (!group) return undefined;
    const thisYear = new Date().getUTCFullYear();
    const deriver = createDeriver();
    const plans = group.surfaceIds.flatMap((id) => deriver.surface(facts, id, settings, thisYear) ?? []);
    return assessGroup(facts, group, plans, settings, thisYear);
  }, [facts, surface.id, settings]);
  if (!assessed?.decision) return null;
  const d = assessed.decision.value;
  const others = assessed.group.surfaceIds.length - 1;
  return (
    <Panel title="Test, or treat as positive?" testID="decision">
      <AnswerRow
        label={say(`decide.${d.choice}`)}
        of="test or treat as positive"
        value={`${percent(d.chance)} likely`}
        because={[...assessed.chance.because, ...assessed.decision.because, ...assessed.group.needed.because]}
      />
      <Figure
        label={`Testing, ${assessed.tests} ${assessed.tests === 1 ? 'test' : 'tests'}`}
        value={money(d.testMoney)}
        note={d.delayDays > 0 ? `answer in about ${many(d.delayDays, 'day')}` : 'answer on the spot'}
      />
      <Figure
        label="More work if it is positive"
        value={money(d.positiveMoney)}
        note={`assuming is cheaper above ${percent(d.breakEven)}`}
      />
      {others > 0 ? <Words look="note">{`One test speaks for ${others + 1} entries of the same coats here.`}</Words> : null}
    </Panel>
  );
}
