/** The bags that were logged: a table at the desk, cards on the phone, each with what can follow its first tap. */
import { useState } from 'react';
import { View } from 'react-native';
import { convert, say, WASTE_STREAMS, type Bag, type JobFacts } from '@roughsill/core';
import { Button, NumberField, Select, TextField, useUnits, useWhen, useWide, Words } from '../../kit';
import { Sheet, SheetName } from '../../kit/Sheet';
import { Plain } from '../../kit/sheet-look';
import { cap } from '../../kit/text';
import { commit, remove, set, useAppDispatch, type Draft } from '../../store';
import { DayField, dayOf, onDay } from '../DayField';
import { Photos } from '../photos/Photos';
import { kgIn, weightUnit } from './weights';

function useZoneNames(facts: JobFacts): readonly { readonly value: string; readonly label: string }[] {
  return [
    { value: '', label: 'not said' },
    ...facts.spaces.filter((s) => s.removedAt === null).map((s) => ({ value: s.id, label: s.name })),
    ...facts.zones.filter((z) => z.removedAt === null).map((z) => ({ value: z.id, label: z.name })),
    { value: facts.job.id, label: 'the bench' },
  ];
}

export function BagList({ facts, bags }: { readonly facts: JobFacts; readonly bags: readonly Bag[] }) {
  const wide = useWide();
  const units = useUnits();
  const when = useWhen();
  const [open, setOpen] = useState<string | null>(null);
  const zones = useZoneNames(facts);
  // The one that was just logged stands on top.
  const rows = [...bags].reverse();
  const whereOf = (b: Bag): string => zones.find((z) => z.value === b.zoneId)?.label ?? '';
  const loadOf = (b: Bag): string => facts.hauls.find((h) => h.id === b.haulId && h.removedAt === null)?.number ?? '';
  const toggle = (b: Bag) => setOpen(open === b.id ? null : b.id);
  if (wide)
    return (
      <Sheet<Bag>
        label="Bags"
        rows={rows}
        keyOf={(b) => b.id}
        columns={[
          {
            head: 'Bag',
            cell: (b) => <SheetName label={b.number} says={`Bag ${b.number}: open`} open={open === b.id} onPress={() => toggle(b)} />,
          },
          { head: 'In it', cell: (b) => <Plain>{say(`stream.${b.stream}`)}</Plain> },
          {
            head: `Weight, ${weightUnit(units)}`,
            right: true,
            cell: (b) => <Plain>{b.kg === null ? 'not weighed' : kgIn(units, b.kg).replace(/ \D+$/, '')}</Plain>,
          },
          { head: 'Filled', cell: (b) => <Plain>{when(b.filledAt)}</Plain> },
          { head: 'Where', cell: (b) => <Plain>{[whereOf(b), b.place].filter(Boolean).join(', ')}</Plain> },
          { head: 'Load', cell: (b) => <Plain strong>{loadOf(b) || 'here'}</Plain> },
        ]}
        detailOf={(b) => (open === b.id ? <BagFields facts={facts} bag={b} /> : null)}
      />
    );
  return (
    <View className="gap-2">
      {rows.map((b) => (
        <View
          key={b.id}
          role="group"
          aria-label={`Bag ${b.number}`}
          className={`gap-1 border-l-4 bg-panel px-3 py-2 ${loadOf(b) ? 'border-line' : 'border-ochre'}`}
        >
          <Button
            look="quiet"
            flush
            expanded={open === b.id}
            label={`${b.number}  ${cap(say(`stream.${b.stream}`))}`}
            says={`Bag ${b.number}: ${open === b.id ? 'close' : 'open'}`}
            onPress={() => toggle(b)}
          />
          <Words look="note">
            {[
              b.kg === null ? 'not weighed' : kgIn(units, b.kg),
              when(b.filledAt),
              whereOf(b),
              b.place,
              loadOf(b) ? `left with ${loadOf(b)}` : 'here',
            ]
              .filter((x) => x !== '' && x !== 'not said')
              .join(' · ')}
          </Words>
          {open === b.id ? <BagFields facts={facts} bag={b} /> : null}
        </View>
      ))}
    </View>
  );
}

function BagFields({ facts, bag }: { readonly facts: JobFacts; readonly bag: Bag }) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const zones = useZoneNames(facts);
  const [problems, setProblems] = useState<readonly { path: string; message: string }[]>([]);
  const of = (field: string) => problems.find((p) => p.path.endsWith(field))?.message;
  const run = (draft: Draft, what: string) => setProblems(dispatch(commit(facts.job.id, [draft], what)));
  const put = (fields: Partial<Bag>) => run(set('bag', bag.id, fields), `bag ${bag.number}`);
  return (
    <View className="gap-3 py-2">
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-[8rem] flex-1">
          <TextField
            label="Number on the bag"
            value={bag.number}
            problem={of('number')}
            onCommit={(number) => number.trim() !== '' && put({ number: number.trim() })}
          />
        </View>
        <View className="min-w-[8rem] flex-1">
          <NumberField
            label="Weight"
            unit={weightUnit(units)}
            value={bag.kg === null ? null : convert(bag.kg, 'kg', weightUnit(units))}
            optional
            decimals={1}
            problem={of('kg')}
            check={(v) => (v > 0 && v <= 2000 ? undefined : 'A weight is more than 0.')}
            onCommit={(v) => put({ kg: v === null ? null : convert(v, weightUnit(units), 'kg') })}
            testID={`kg-${bag.number}`}
          />
        </View>
      </View>
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-[11rem] flex-1">
          <Select
            label="In it"
            value={bag.stream}
            options={WASTE_STREAMS.map((value) => ({ value, label: cap(say(`stream.${value}`)) }))}
            onChange={(stream) => put({ stream })}
          />
        </View>
        <View className="min-w-[11rem] flex-1">
          <Select label="Filled in" value={bag.zoneId ?? ''} options={zones} onChange={(v) => put({ zoneId: v === '' ? null : v })} />
        </View>
      </View>
      <DayField
        label="Filled on"
        value={dayOf(bag.filledAt, facts.job.timeZone)}
        problem={of('filledAt') ?? of('haulId')}
        onCommit={(day) => put({ filledAt: onDay(day, bag.filledAt, facts.job.timeZone) })}
        testID={`filled-${bag.number}`}
      />
      <TextField label="Stands" hint="until it leaves: the shed, the trailer" value={bag.place} onCommit={(place) => put({ place })} />
      <TextField label="Note" value={bag.note} onCommit={(note) => put({ note })} />
      <Photos facts={facts} of={{ ofBagId: bag.id }} title={`Photographs of ${bag.number}`} />
      <Button
        look="quiet"
        flush
        label="Take it off the register"
        says={`Take bag ${bag.number} off the register`}
        onPress={() => run(remove('bag', bag.id), `bag ${bag.number} taken off`)}
      />
    </View>
  );
}
