/** Moisture, air and surface temperature: a number, its scale, and where on the face. */
import { useState } from 'react';
import { View } from 'react-native';
import {
  BLANK_READING,
  convert,
  MASONRY,
  MOISTURE_UNITS,
  PLASTER,
  TIMBER,
  type MoistureUnit,
  type Problem,
  type Surface,
} from '@roughsill/core';
import { Button, NumberField, Panel, Pick, Problems, Select, TextField, useUnits } from '../../kit';
import { add, commit, useAppDispatch } from '../../store';

export type MeasureKind = 'moisture' | 'air' | 'surfaceTemp';
const TITLES = { moisture: 'A moisture reading', air: 'The air in the room', surfaceTemp: 'The temperature of the face' } as const;
const SCALES: Record<MoistureUnit, string> = {
  '%MC': '% in wood',
  '%gypsum': 'gypsum scale',
  '%rel': 'relative scale',
  '%RH': '% RH at the face',
};

/** Nine places, as on a slip of paper: where the reading was taken. */
const PLACES = [
  { value: '0.15,0.85', label: 'top left' },
  { value: '0.5,0.85', label: 'top' },
  { value: '0.85,0.85', label: 'top right' },
  { value: '0.15,0.5', label: 'left' },
  { value: '0.5,0.5', label: 'middle' },
  { value: '0.85,0.5', label: 'right' },
  { value: '0.15,0.15', label: 'low left' },
  { value: '0.5,0.15', label: 'low' },
  { value: '0.85,0.15', label: 'low right' },
] as const;

const scaleFor = (m: Surface['material']): MoistureUnit =>
  TIMBER.includes(m) ? '%MC' : PLASTER.includes(m) ? '%gypsum' : MASONRY.includes(m) ? '%rel' : '%RH';

export function MeasureForm({
  jobId,
  surface,
  kind,
  onDone,
}: {
  readonly jobId: string;
  readonly surface: Surface;
  readonly kind: MeasureKind;
  readonly onDone: () => void;
}) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const [value, setValue] = useState<number | null>(null);
  const [humidity, setHumidity] = useState<number | null>(null);
  const [unit, setUnit] = useState<MoistureUnit>(scaleFor(surface.material));
  const [place, setPlace] = useState<string | null>(null);
  const [note, setNote] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const degrees = units === 'ft' ? '°F' : '°C';
  const problem = (field: string) => problems.find((p) => p.path.endsWith(field))?.message;
  const save = () => {
    const stored = value !== null && kind !== 'moisture' && units === 'ft' ? convert(value, 'F', 'C') : value;
    const [atX, atY] = place === null ? [null, null] : place.split(',').map(Number);
    const fields = {
      ...BLANK_READING,
      kind,
      takenAt: new Date().toISOString(),
      value: stored,
      unit: kind === 'moisture' ? unit : 'C',
      humidityPct: kind === 'air' ? humidity : null,
      atX,
      atY,
      note,
    };
    const found = dispatch(commit(jobId, [add('reading', fields, surface.id)], null));
    setProblems(found);
    if (found.length === 0) onDone();
  };
  return (
    <Panel title={TITLES[kind]} testID="measure-form">
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-[9rem] flex-1">
          <NumberField
            label={kind === 'moisture' ? 'Reading' : 'Temperature'}
            unit={kind === 'moisture' ? undefined : degrees}
            value={value}
            optional
            decimals={1}
            onCommit={setValue}
            problem={problem('value')}
            testID="measure-value"
          />
        </View>
        {kind === 'moisture' ? (
          <View className="min-w-[9rem] flex-1">
            <Select
              label="Scale"
              value={unit}
              options={MOISTURE_UNITS.map((u) => ({ value: u, label: SCALES[u] }))}
              onChange={setUnit}
              testID="measure-scale"
            />
          </View>
        ) : null}
        {kind === 'air' ? (
          <View className="min-w-[9rem] flex-1">
            <NumberField
              label="Humidity"
              unit="%"
              value={humidity}
              optional
              decimals={0}
              onCommit={setHumidity}
              problem={problem('humidityPct')}
              testID="measure-humidity"
            />
          </View>
        ) : null}
      </View>
      {kind === 'air' ? null : <Pick label="Where on it" value={place} options={PLACES} onChange={setPlace} />}
      <TextField label="Note" value={note} onChange={setNote} onCommit={setNote} />
      <Problems problems={problems.filter((p) => !/value|humidityPct/.test(p.path))} />
      <View className="flex-row flex-wrap gap-2">
        <Button look="main" label="Record it" onPress={save} testID="save-measure" />
        <Button label="Leave it" onPress={onDone} />
      </View>
    </Panel>
  );
}
