/** One tin, roll or bag that stands somewhere: how much is left, where, of which batch. */
import { useState } from 'react';
import { View } from 'react-native';
import { formatMeasure, GOODS, isCoat, measure, say, STANDS_AT, type Product, type Tin } from '@roughsill/core';
import { Button, Pick, TextField, useUnits, Words } from '../../kit';
import { cap } from '../../kit/text';
import { remove, set } from '../../store';
import { Measured, Row, Cell } from '../bench/parts';
import { dayProblem } from '../DayField';
import { useFirmWrite } from '../firm-write';

const STAND_OPTIONS = STANDS_AT.map((value) => ({ value, label: cap(say(`stands.${value}`)) }));

export function TinRow({ tin: t, product }: { readonly tin: Tin; readonly product: Product | null }) {
  const { write, wrong } = useFirmWrite();
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const put = (fields: Partial<Tin>) => write(set('tin', t.id, fields));
  const left = formatMeasure(measure(t.amount, GOODS[t.good].unit), units);
  const says = [
    say(`stands.${t.at}`),
    product?.name ?? '',
    t.batch ? `batch ${t.batch}` : '',
    t.colour,
    t.openedOn === null ? '' : `open since ${t.openedOn}`,
    t.forJobId === null ? '' : 'bought for one job',
  ]
    .filter(Boolean)
    .join(' · ');
  return (
    <View className="gap-1" testID={`tin-${t.id}`}>
      <View className="flex-row flex-wrap items-center justify-between gap-x-3">
        <Words className="min-w-0 flex-1">{`${left} ${says}`}</Words>
        <Button
          look="quiet"
          label={open ? 'Close' : 'Change'}
          says={`${open ? 'Close' : 'Change'} ${left} of ${say(t.good)}`}
          expanded={open}
          onPress={() => setOpen(!open)}
        />
      </View>
      {open ? (
        <View className="gap-3 border-t-2 border-line pt-2">
          <Row>
            <Measured
              label="Left in it"
              unit={GOODS[t.good].unit}
              value={t.amount}
              check={(v) => (v < 0 ? 'Less than nothing is not left.' : undefined)}
              onCommit={(v) => v !== null && put({ amount: v })}
              testID="tin-left"
            />
            <Cell>
              <TextField label="Batch" value={t.batch} onCommit={(batch) => put({ batch: batch.trim() })} testID="tin-batch" />
            </Cell>
            {isCoat(t.good) ? (
              <Cell>
                <TextField
                  label="Colour"
                  hint="empty: white or untinted"
                  value={t.colour}
                  onCommit={(colour) => put({ colour: colour.trim() })}
                />
              </Cell>
            ) : null}
            <Cell>
              <TextField
                label="Opened on"
                hint="as 2026-05-04; empty: closed"
                value={t.openedOn ?? ''}
                problem={dayProblem(t.openedOn ?? '')}
                onCommit={(d) => put({ openedOn: d.trim() === '' ? null : d.trim() })}
              />
            </Cell>
          </Row>
          <Pick label="Where it stands" value={t.at} options={STAND_OPTIONS} onChange={(at) => put({ at })} />
          <View className="flex-row flex-wrap gap-2">
            {t.forJobId === null ? null : <Button label="Free for any job" onPress={() => put({ forJobId: null })} />}
            <Button look="stop" label="It is gone" says={`${left} of ${say(t.good)} is gone`} onPress={() => write(remove('tin', t.id))} />
          </View>
        </View>
      ) : null}
      {wrong ? (
        <Words alert tone="oxide">
          {wrong}
        </Words>
      ) : null}
    </View>
  );
}
