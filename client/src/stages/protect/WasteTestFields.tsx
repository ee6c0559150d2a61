/** What a lab or a strip said of one stream of waste. */
import { View } from 'react-native';
import { convert, type JobFacts, type WasteStreamId, type WasteTest } from '@roughsill/core';
import { NumberField, TextField, useUnits } from '../../kit';
import { commit, set, useAppDispatch } from '../../store';

const NONE: Omit<WasteTest, 'stream'> = { leachMgL: null, totalMgKg: null, ph: null, flashC: null, lab: '' };

export function WasteTestFields({ facts, stream }: { readonly facts: JobFacts; readonly stream: WasteStreamId }) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const { job } = facts;
  const test = job.wasteTests.find((t) => t.stream === stream) ?? { stream, ...NONE };
  const put = (fields: Partial<WasteTest>) =>
    dispatch(
      commit(
        job.id,
        [set('job', job.id, { wasteTests: [...job.wasteTests.filter((t) => t.stream !== stream), { ...test, ...fields }] })],
        'waste tested',
      ),
    );
  const number = (label: string, unit: string, value: number | null, most: number, of: (v: number | null) => Partial<WasteTest>) => (
    <View className="min-w-[8rem] flex-1">
      <NumberField
        label={label}
        unit={unit}
        value={value}
        optional
        check={(v) => (v < 0 || v > most ? `0 to ${most}.` : undefined)}
        onCommit={(v) => put(of(v))}
      />
    </View>
  );
  const heat = units === 'ft' ? ('F' as const) : ('C' as const);
  return (
    <View className="gap-3 py-2">
      <View className="flex-row flex-wrap gap-3">
        {number('Lead that leaches out', 'mg/L', test.leachMgL, 100_000, (leachMgL) => ({ leachMgL }))}
        {number('Lead in it', 'mg/kg', test.totalMgKg, 1_000_000, (totalMgKg) => ({ totalMgKg }))}
        {number('pH', '', test.ph, 14, (ph) => ({ ph }))}
        {number('Flash point', heat === 'F' ? '°F' : '°C', test.flashC === null ? null : convert(test.flashC, 'C', heat), 600, (v) => ({
          flashC: v === null ? null : convert(v, heat, 'C'),
        }))}
      </View>
      <TextField label="Lab" value={test.lab} onCommit={(lab) => put({ lab })} />
    </View>
  );
}
