/** The sum behind a coated area, with the element's own sizes to put right. */
import { View } from 'react-native';
import {
  convert,
  COUNTED,
  ELEMENTS,
  formatMeasure,
  measure,
  roundForReading,
  say,
  sizeOf,
  UNITS,
  type MeasureId,
  type Surface,
  type TakeOff,
} from '@roughsill/core';
import { Figure, LengthField, NumberField, useUnits, Words } from '../../kit';
import { cap } from '../../kit/text';

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
  const areaUnit = units === 'ft' ? 'ft2' : 'm2';
  const put = (id: MeasureId, v: number | null) => v !== null && onSet({ ...surface.measures, [id]: v });
  const field = (id: MeasureId) => {
    const common = {
      label: cap(say(id)),
      check: (v: number) => (v < 0 ? 'A size cannot be negative.' : undefined),
      testID: `measure-${id}`,
    };
    const v = sizeOf(surface, id);
    if (id === 'openingsM2')
      return (
        <NumberField
          {...common}
          unit={UNITS[areaUnit].label}
          value={roundForReading(convert(v, 'm2', areaUnit))}
          onCommit={(x) => put(id, x === null ? null : convert(x, areaUnit, 'm2'))}
        />
      );
    if (!COUNTED.includes(id)) return <LengthField {...common} value={v} onCommit={(m) => put(id, m)} />;
    const whole = id !== 'factor';
    return <NumberField {...common} value={v} step={whole ? 1 : undefined} decimals={whole ? 0 : 3} onCommit={(n) => put(id, n)} />;
  };
  const times = [area.faces === 2 ? '2 faces' : '', area.count > 1 ? `${area.count} pieces` : ''].filter(Boolean).join(' × ');
  return (
    <View className="gap-2">
      {ids.length > 0 ? (
        <View className="flex-row flex-wrap gap-3">
          {ids.map((id) => (
            <View key={id} className="min-w-[12rem] flex-1">
              {field(id)}
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
