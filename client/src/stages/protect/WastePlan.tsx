/** What the plan makes of waste, stream by stream with its class, and what binds whoever makes it, by the month. */
import { useState } from 'react';
import { View } from 'react-native';
import { formatMeasure, formatRange, formatWeight, measure, bookOf, say, WASTE_STREAMS, type JobFacts } from '@roughsill/core';
import { classFor, daysItMayStand, monthsOf, STREAMS, type WasteLine } from '@roughsill/core/waste';
import { Button, Panel, useUnits, Words } from '../../kit';
import { cap } from '../../kit/text';
import { Reasons } from '../../kit/Why';
import { WasteTestFields } from './WasteTestFields';
import { kgIn } from './weights';

const CLASS_EDGE = {
  ordinary: 'border-line',
  household: 'border-line',
  hazardous: 'border-oxide',
  test: 'border-ochre',
  asbestos: 'border-oxide',
} as const;

/** What the plan makes, stream by stream, with its class. */
export function Planned({ facts, lines }: { readonly facts: JobFacts; readonly lines: readonly WasteLine[] | null }) {
  return (
    <Panel title="What this job makes" aside="by the plan as it stands" testID="waste-plan">
      {lines === null ? <Words look="note">Reckoning it.</Words> : null}
      {lines?.length === 0 ? <Words>Nothing is disturbed: nothing leaves but what you brought.</Words> : null}
      {lines?.map((l) => (
        <Stream key={l.stream} facts={facts} line={l} />
      ))}
    </Panel>
  );
}

function Stream({ facts, line }: { readonly facts: JobFacts; readonly line: WasteLine }) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const { container, stands } = STREAMS[line.stream];
  const amount =
    line.kg.high === 0
      ? 'none planned'
      : [
          formatRange(line.kg, (kg) => formatWeight(kg, units)),
          line.litres ? formatRange(line.litres, (l) => formatMeasure(measure(l, 'L'), units)) : '',
        ]
          .filter(Boolean)
          .join(', ');
  const filled = facts.bags.filter((b) => b.removedAt === null && b.stream === line.stream).length;
  return (
    <View className={`gap-0.5 border-l-4 bg-panel px-3 py-2 ${CLASS_EDGE[line.classed.value.class]}`} testID={`stream-${line.stream}`}>
      <Words look="row">{`${cap(say(`stream.${line.stream}`))}: ${amount}`}</Words>
      <Words look="strong">{[say(`wasteClass.${line.classed.value.class}`), ...line.classed.value.codes].join(', ')}</Words>
      <Words look="note">
        {[
          `${say(`container.${container}`)}${line.containers && line.containers.high > 0 ? ` (${formatRange(line.containers, (n) => String(n))})` : ''}`,
          say(`stands.${stands}`),
          filled > 0 ? `${filled} logged` : '',
        ]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      <Button
        look="quiet"
        flush
        expanded={open}
        label={open ? 'Close' : 'Why, and its test'}
        says={`${say(`stream.${line.stream}`)}: ${open ? 'close' : 'why, and its test'}`}
        onPress={() => setOpen(!open)}
      />
      {open ? (
        <>
          <Reasons because={[...line.classed.because, ...line.because]} />
          <WasteTestFields facts={facts} stream={line.stream} />
        </>
      ) : null}
    </View>
  );
}

/** What binds whoever makes hazardous waste, by the month. */
export function Months({ facts, lines }: { readonly facts: JobFacts; readonly lines: readonly WasteLine[] | null }) {
  const units = useUnits();
  const hazardous = new Set(
    WASTE_STREAMS.filter((stream) => ['hazardous', 'test'].includes(classFor(stream, lines ?? [], facts).value.class)),
  );
  const months = bookOf(facts.job).id === 'us' && lines !== null ? monthsOf(facts, hazardous) : [];
  if (months.length === 0) return null;
  return (
    <Panel title="Hazardous waste made here, by the month" aside="40 CFR 260.10" testID="months">
      {months.map((m) => {
        const days = daysItMayStand(m.generator);
        return (
          <View key={m.month} className="bg-panel px-3 py-2">
            <Words look="row">{`${m.month}: ${kgIn(units, m.kg)}${m.unweighed > 0 ? `, ${m.unweighed} not weighed` : ''}`}</Words>
            <Words look="note">{`${cap(say(`generator.${m.generator}`))}: ${m.generator === 'verySmall' ? '100 kg and less' : m.generator === 'small' ? 'over 100 kg, below 1,000' : '1,000 kg and more'}${days ? `; it may stand ${days} days` : ''}.${m.unweighed > 0 ? ' What was not weighed is not in it.' : ''}`}</Words>
          </View>
        );
      })}
    </Panel>
  );
}
