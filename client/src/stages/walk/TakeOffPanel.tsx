/** The sum behind a coated area, with the element's own sizes to put right. */
import { View } from 'react-native';
import {
  COUNTED,
  ELEMENTS,
  formatMeasure,
  measure,
  roundForReading,
  say,
  sizeOf,
  type MeasureId,
  type Surface,
  type TakeOff,
} from '@roughsill/core';
import { convert } from '@roughsill/core';
import { Figure, NumberField, useUnits, Words } from '../../kit';
import { cap } from '../../kit/text';
import { fromMetres, toMetres } from './lengths';

interface TakeOffPanelProps {
  readonly surface: Surface;
  readonly area: TakeOff;
  readonly onSet: (measures: Surface['measures']) => void;
}

export function TakeOffPanel({ surface, area, onSet }: TakeOffPanelProps) {
  const units = useUnits();
  const ids = Object.keys(ELEMENTS[surface.element].measures) as MeasureId[];
  const len = (m: number) => formatMeasure(measure(m, 'm'), units);
  const m2 = (v: number) => formatMeasure(measure(v, 'm2'), units);
  const unitOf = (id: MeasureId) => (COUNTED.includes(id) ? undefined : id === 'openingsM2' ? (units === 'ft' ? 'ft²' : 'm²') : units);
  const shown = (id: MeasureId) => {
    const v = sizeOf(surface, id);
    return roundForReading(
      COUNTED.includes(id) ? v : id === 'openingsM2' ? convert(v, 'm2', units === 'ft' ? 'ft2' : 'm2') : fromMetres(v, units),
    );
  };
  const stored = (id: MeasureId, v: number) =>
    COUNTED.includes(id) ? v : id === 'openingsM2' ? convert(v, units === 'ft' ? 'ft2' : 'm2', 'm2') : toMetres(v, units);
  const times = [area.faces === 2 ? '2 faces' : '', area.count > 1 ? `${area.count} pieces` : ''].filter(Boolean).join(' × ');
  return (
    <View className="gap-2">
      {ids.length > 0 ? (
        <View className="flex-row flex-wrap gap-3">
          {ids.map((id) => (
            <View key={id} className="min-w-[12rem] flex-1">
              <NumberField
                label={cap(say(id))}
                unit={unitOf(id)}
                value={shown(id)}
                step={COUNTED.includes(id) && id !== 'factor' ? 1 : undefined}
                decimals={COUNTED.includes(id) && id !== 'factor' ? 0 : 3}
                check={(v) => (v < 0 ? 'a size cannot be negative' : undefined)}
                testID={`measure-${id}`}
                onCommit={(v) => v !== null && onSet({ ...surface.measures, [id]: stored(id, v) })}
              />
            </View>
          ))}
        </View>
      ) : null}
      <View testID="take-off" className="gap-0.5">
        {area.lines.map((l) => (
          <View key={l.what} className="flex-row flex-wrap items-baseline justify-between gap-x-3 px-3">
            <Words look="note">{`${cap(say(l.what))}: ${[...l.metres.map(len), ...l.times.map((t) => String(roundForReading(t)))].join(' × ')}`}</Words>
            <Words look="note">{m2(l.m2)}</Words>
          </View>
        ))}
        <Figure label={times ? `Coated area, ${times}` : 'Coated area'} value={m2(area.totalM2)} />
      </View>
    </View>
  );
}
