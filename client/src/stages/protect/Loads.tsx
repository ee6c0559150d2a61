/** What left together, held against its ticket. */
import { useState } from 'react';
import { View } from 'react-native';
import { convert, many, type JobFacts } from '@roughsill/core';
import type { HaulTold } from '@roughsill/core/waste';
import { Button, NumberField, Panel, Problems, TextField, useUnits, useWhen, Words } from '../../kit';
import { cap } from '../../kit/text';
import { add, commit, newId, remove, set, useAppDispatch, type Draft } from '../../store';
import { DayField, dayOf, onDay } from '../DayField';
import { kgIn, weightUnit } from './weights';

export function Loads({
  facts,
  hauls,
  standing,
  balances,
}: {
  readonly facts: JobFacts;
  readonly hauls: readonly HaulTold[];
  readonly standing: number;
  readonly balances: boolean;
}) {
  const [adding, setAdding] = useState(false);
  return (
    <Panel title="Loads" aside={hauls.length === 0 ? 'none left yet' : balances ? 'balanced' : 'not balanced'} testID="loads">
      {hauls.map((told) => (
        <Load key={told.haulId} facts={facts} told={told} />
      ))}
      {adding ? (
        <NewLoad facts={facts} standing={standing} onDone={() => setAdding(false)} />
      ) : (
        <Button
          look={standing > 0 ? 'main' : undefined}
          className="self-start"
          label={standing > 0 ? (standing === 1 ? '1 bag leaves' : `${standing} bags leave`) : 'A load without bags here'}
          onPress={() => setAdding(true)}
          testID="new-load"
        />
      )}
    </Panel>
  );
}

function Load({ facts, told }: { readonly facts: JobFacts; readonly told: HaulTold }) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const when = useWhen();
  const haul = facts.hauls.find((h) => h.id === told.haulId)!;
  const [open, setOpen] = useState(false);
  const [problem, setProblem] = useState<string>();
  const run = (drafts: Draft[], what: string) => setProblem(dispatch(commit(facts.job.id, drafts, what))[0]?.message);
  const put = (fields: object) => run([set('haul', haul.id, fields)], `load ${haul.number}`);
  const mine = facts.bags.filter((b) => b.removedAt === null && b.haulId === haul.id);
  const here = facts.bags.filter((b) => b.removedAt === null && b.haulId === null);
  return (
    <View
      role="group"
      aria-label={`Load ${haul.number}`}
      className={`gap-1 border-l-4 bg-panel px-3 py-2 ${told.says.length > 0 ? 'border-oxide' : 'border-verdigris'}`}
    >
      <Words look="row">{`${haul.number}: ${many(told.bags, 'bag')}, ${kgIn(units, told.kg)}${told.unweighed > 0 ? `, ${told.unweighed} not weighed` : ''}`}</Words>
      <Words look="note">{[when(haul.leftAt), haul.carrier, haul.to].filter(Boolean).join(' · ')}</Words>
      {told.says.map((s) => (
        <Words key={s} look="strong" tone="oxide">
          {`${cap(s)}.`}
        </Words>
      ))}
      {told.says.length === 0 ? <Words look="note">Balances.</Words> : null}
      <Button
        look="quiet"
        flush
        expanded={open}
        label={open ? 'Close' : 'Put right'}
        says={`Load ${haul.number}: ${open ? 'close' : 'put right'}`}
        onPress={() => setOpen(!open)}
      />
      {problem ? (
        <Words alert tone="oxide">
          {cap(problem)}
        </Words>
      ) : null}
      {open ? (
        <View className="gap-3">
          <TicketFields bags={haul.bags} kg={haul.kg} onChange={put} />
          <DayField
            label="Left on"
            value={dayOf(haul.leftAt, facts.job.timeZone)}
            onCommit={(day) => put({ leftAt: onDay(day, haul.leftAt, facts.job.timeZone) })}
          />
          <View className="flex-row flex-wrap gap-2">
            {mine.map((b) => (
              <Button
                key={b.id}
                label={`${b.number} stayed here`}
                onPress={() => run([set('bag', b.id, { haulId: null })], `${b.number} stayed`)}
              />
            ))}
            {here.map((b) => (
              <Button
                key={b.id}
                look="quiet"
                label={`${b.number} went along`}
                onPress={() => run([set('bag', b.id, { haulId: haul.id })], `${b.number} went along`)}
              />
            ))}
          </View>
          <Button
            look="quiet"
            flush
            label="Take this load off; its bags stand here again"
            onPress={() =>
              run([...mine.map((b) => set('bag', b.id, { haulId: null })), remove('haul', haul.id)], `load ${haul.number} taken off`)
            }
          />
        </View>
      ) : null}
    </View>
  );
}

/** What the ticket says, against which the bags are held. */
function TicketFields({
  bags,
  kg,
  onChange,
}: {
  readonly bags: number | null;
  readonly kg: number | null;
  readonly onChange: (fields: { bags?: number | null; kg?: number | null }) => void;
}) {
  const units = useUnits();
  return (
    <View className="flex-row flex-wrap gap-3">
      <View className="min-w-[8rem] flex-1">
        <NumberField
          label="Bags, as the ticket has it"
          value={bags}
          optional
          decimals={0}
          step={1}
          check={(v) => (v < 0 || !Number.isInteger(v) ? 'A whole number.' : undefined)}
          onCommit={(v) => onChange({ bags: v })}
          testID="ticket-bags"
        />
      </View>
      <View className="min-w-[8rem] flex-1">
        <NumberField
          label="Weight, as the ticket has it"
          unit={weightUnit(units)}
          value={kg === null ? null : convert(kg, 'kg', weightUnit(units))}
          optional
          decimals={1}
          check={(v) => (v > 0 ? undefined : 'A weight is more than 0.')}
          onCommit={(v) => onChange({ kg: v === null ? null : convert(v, weightUnit(units), 'kg') })}
          testID="ticket-kg"
        />
      </View>
    </View>
  );
}

function NewLoad({ facts, standing, onDone }: { readonly facts: JobFacts; readonly standing: number; readonly onDone: () => void }) {
  const dispatch = useAppDispatch();
  const [ticket, setTicket] = useState({ number: '', carrier: '', to: '', bags: null as number | null, kg: null as number | null });
  const [problems, setProblems] = useState<readonly { path: string; message: string }[]>([]);
  const over = (fields: Partial<typeof ticket>) => setTicket((t) => ({ ...t, ...fields }));
  const send = () => {
    const id = newId();
    const here = facts.bags.filter((b) => b.removedAt === null && b.haulId === null);
    const load = { ...add('haul', { ...ticket, number: ticket.number.trim(), leftAt: new Date().toISOString(), note: '' }), entityId: id };
    const found = dispatch(
      commit(facts.job.id, [load, ...here.map((b) => set('bag', b.id, { haulId: id }))], `load ${ticket.number} left`),
    );
    setProblems(found);
    if (found.length === 0) onDone();
  };
  const at = (field: string) => problems.find((p) => p.path.endsWith(field))?.message;
  return (
    <View className="gap-3" testID="load-form">
      <TextField
        label="Number of the ticket or note"
        value={ticket.number}
        problem={at('number')}
        onChange={(number) => over({ number })}
        onCommit={(number) => over({ number })}
        testID="ticket-number"
      />
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-[9rem] flex-1">
          <TextField
            label="Carrier"
            value={ticket.carrier}
            onChange={(carrier) => over({ carrier })}
            onCommit={(carrier) => over({ carrier })}
          />
        </View>
        <View className="min-w-[9rem] flex-1">
          <TextField label="To" value={ticket.to} onChange={(to) => over({ to })} onCommit={(to) => over({ to })} />
        </View>
      </View>
      <TicketFields bags={ticket.bags} kg={ticket.kg} onChange={over} />
      <Problems problems={problems.filter((p) => !p.path.endsWith('number'))} />
      <View className="flex-row flex-wrap gap-2">
        <Button look="main" label={`${many(standing, 'bag')} left now`} onPress={send} testID="load-left" />
        <Button look="quiet" label="Not yet" onPress={onDone} />
      </View>
    </View>
  );
}
