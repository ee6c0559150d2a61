/** What was found at this place before, and what does not go together: asked of the person, never decided for them. */
import { useState } from 'react';
import { PASTS, say, saysSomething, type Surface, type SurfacePlan } from '@roughsill/core';
import { sentence } from '@roughsill/core/words';
import { Panel, Pick, TextField, useUnits, Words } from '../../kit';
import { commit, set, useAppDispatch } from '../../store';

const REMEMBERED = new Set([
  'lead.foundBefore',
  'lead.foundOnGoneCoat',
  'lead.findTakenBack',
  'mold.foundBefore',
  'asbestos.onePositive',
  'asbestos.waiting',
]);

export function PastPanel({ jobId, surface, plan }: { readonly jobId: string; readonly surface: Surface; readonly plan: SurfacePlan }) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const [problem, setProblem] = useState<string>();
  const reasons = [...plan.lead.coats.flatMap((c) => c.because), ...plan.mold.because, ...plan.asbestos.overall.because];
  const remembered = reasons.some((r) => REMEMBERED.has(r.rule));
  const write = (fields: Partial<Surface>) => dispatch(commit(jobId, [set('surface', surface.id, fields)], 'what became of it'));
  if (plan.lead.asks.length === 0 && !remembered && surface.past === 'asBefore') return null;
  return (
    <Panel title="To be settled" testID="past">
      {plan.lead.asks.map((a) => (
        <Words key={a.rule} look="strong">
          {sentence(a, units)}
        </Words>
      ))}
      {remembered || surface.past !== 'asBefore' ? (
        <>
          <Pick
            label="What was found belongs to the place. What is it now"
            value={surface.past}
            options={PASTS.map((value) => ({ value, label: say(value) }))}
            onChange={(past) => void write({ past })}
            testID="past-is"
          />
          {surface.past === 'asBefore' ? null : (
            <TextField
              label="How that is known: who saw it, which bill or test"
              value={surface.pastWhy}
              problem={problem}
              testID="past-why"
              onCommit={(pastWhy) => {
                setProblem(saysSomething(pastWhy) ? undefined : 'Say in a word or two how it is known: until then what was found stands.');
                write({ pastWhy });
              }}
            />
          )}
        </>
      ) : null}
    </Panel>
  );
}
