/** Knots, primer, topcoat: how much, how often, how long between; and whether it may be coated now. */
import { useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import {
  convert,
  DEW_MARGIN_C,
  dewPointC,
  formatHours,
  formatMeasure,
  formatRange,
  isOutdoors,
  LAYING,
  measure,
  METAL,
  say,
  spell,
  TINTS,
  TOPCOATS,
  type LayingId,
  type LayingOf,
  type LayingOption,
  type Tint,
  type TopcoatId,
} from '@roughsill/core';
import { Button, Column, Columns, Empty, Folded, NumberField, Panel, Select, TextField, useRefused, useUnits, Words } from '../../kit';
import { AnswerRow } from '../../kit/Why';
import { commit, set, useAppDispatch } from '../../store';
import { Cell, Measured, NO_ANSWER, Row } from '../bench/parts';
import type { StageProps } from '../props';
import { finishedCoats, Section } from '../../section';
import { LaidForm } from './LaidForm';

const USE_WORDS = { knots: 'Knots', primer: 'Primer', topcoat: 'Topcoat' } as const;

export function CoatStage({ facts, surface, plan }: StageProps) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const { coating } = plan;
  const area = (m2: number) => formatMeasure(measure(m2, 'm2'), units);
  return (
    <Columns>
      <Column>
        {coating.lines.length > 0 ? <Section coats={finishedCoats(plan, surface.colour)} material={surface.material} /> : null}
        <AnswerRow label="After removal it is" value={say(coating.left.value)} because={coating.left.because} />
        <Select<TopcoatId | ''>
          label="Topcoat"
          value={surface.topcoat ?? ''}
          testID="topcoat"
          options={[
            {
              value: '',
              label:
                surface.topcoat === null && coating.topcoat.value !== null ? `usual here: ${say(coating.topcoat.value)}` : 'as usual here',
            },
            ...TOPCOATS.map((value) => ({ value, label: say(value) })),
          ]}
          onChange={(v) => dispatch(commit(facts.job.id, [set('surface', surface.id, { topcoat: v === '' ? null : v })], 'topcoat'))}
        />
        <Wanted jobId={facts.job.id} surface={surface} />
        <Panel title="Coats, in order">
          {coating.refused.length > 0 ? (
            <AnswerRow
              label="Does not fit"
              value={coating.topcoat.value === null ? '' : say(coating.topcoat.value)}
              because={coating.refused}
            />
          ) : coating.lines.length === 0 ? (
            <Empty
              says={
                plan.choice.parts.some((p) => p.selected.value === null)
                  ? 'Nothing is coated before each part has a method that is allowed.'
                  : 'Nothing is coated: the surface is left as it is.'
              }
            />
          ) : null}
          {coating.lines.map((l) => (
            <AnswerRow
              key={l.product}
              label={`${USE_WORDS[l.use]}: ${say(l.product)}, by ${say(l.way)}`}
              value={formatMeasure(measure(l.litres, 'L'), units)}
              note={`${l.coats} ${l.coats === 1 ? 'coat' : 'coats'} on ${area(l.areaM2)}, ${say(`where.${l.where}`)}, loss included; ${formatRange(l.recoatH, formatHours)} before the next`}
              because={l.because}
            />
          ))}
          <Words look="note">Solids, film and loss are usual values from memory. The product’s own data sheet rules.</Words>
        </Panel>
        {coating.lines.map((l) => (
          <LaidForm
            key={l.product}
            line={l}
            jobId={facts.job.id}
            surface={surface}
            plan={plan}
            outdoors={isOutdoors(
              surface,
              facts.spaces.find(({ id }) => id === surface.spaceId),
            )}
          />
        ))}
        {coating.layings.map((l) => (
          <LaidBy key={l.use} of={l} jobId={facts.job.id} surface={surface} />
        ))}
      </Column>
      <Column>
        <Button
          look="quiet"
          flush
          label="When it may go on: the coming ten days"
          onPress={() => router.navigate(`/windows/${facts.job.id}`)}
          testID="to-windows"
        />
        <MayCoat />
      </Column>
    </Columns>
  );
}

/** What is wanted of the finish, beside what it is made of: tone, color, coats, and the heat that it has to bear. */
function Wanted({ jobId, surface }: { readonly jobId: string; readonly surface: StageProps['surface'] }) {
  const dispatch = useAppDispatch();
  const write = (fields: Partial<StageProps['surface']>) => dispatch(commit(jobId, [set('surface', surface.id, fields)], null));
  return (
    <Row>
      <Cell>
        <Select<Tint | ''>
          label={spell('Tone of its colour')}
          value={surface.tint ?? ''}
          testID="tint"
          options={[{ value: '', label: 'nobody said' }, ...TINTS.map((value) => ({ value, label: say(`tint.${value}`) }))]}
          onChange={(v) => write({ tint: v === '' ? null : v })}
        />
      </Cell>
      <Cell>
        <TextField label={spell('Colour')} value={surface.colour} onCommit={(colour) => write({ colour })} testID="colour" />
      </Cell>
      <Cell>
        <NumberField
          label="Topcoats wanted"
          value={surface.coatsWanted}
          optional
          check={(v) => (Number.isInteger(v) && v >= 1 && v <= 6 ? undefined : 'From 1 to 6; empty: as many as it takes.')}
          onCommit={(coatsWanted) => write({ coatsWanted })}
          testID="coats-wanted"
        />
      </Cell>
      {METAL.includes(surface.material) ? (
        <Measured
          label="Gets as hot in use as"
          unit="C"
          optional
          value={surface.serviceC}
          check={(c) => (c >= 20 && c <= 600 ? undefined : 'From lukewarm to red heat: check the unit.')}
          onCommit={(serviceC) => write({ serviceC })}
          testID="service"
        />
      ) : null}
    </Row>
  );
}

type LaidByProps = { readonly of: LayingOf; readonly jobId: string; readonly surface: StageProps['surface'] };

/** In which way it is laid: the usual one or another, and what every way would cost here. */
function LaidBy({ of: { use, selected, options }, jobId, surface }: LaidByProps) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const chosen = surface.layings[use];
  const verdict = (o: LayingOption) => (!o.fits ? 'not here' : o.because.some((r) => r.effect === 'care') ? 'with care' : '');
  const label = `${USE_WORDS[use]} laid by`;
  return (
    <View className="gap-3">
      <Select<LayingId | ''>
        label={label}
        value={chosen ?? ''}
        testID={`laid-${use}`}
        options={[
          { value: '', label: chosen === undefined ? `usual here: ${say(selected.value)}` : 'as usual here' },
          ...options.map((o) => ({ value: o.way, label: [say(o.way), verdict(o)].filter(Boolean).join(': ') })),
        ]}
        onChange={(v) => {
          const { [use]: _was, ...rest } = surface.layings;
          const layings = v === '' ? rest : { ...rest, [use]: v };
          dispatch(commit(jobId, [set('surface', surface.id, { layings })], `${label} ${v === '' ? 'what is usual' : say(v)}`));
        }}
      />
      <Folded
        title={`Ways of laying the ${use}`}
        says={`${options.filter((o) => o.fits).length} of ${options.length} fit here: paint, hours and look of each`}
        testID={`ways-${use}`}
      >
        <View className="gap-px">
          {[...options]
            .sort((a, b) => Number(b.fits) - Number(a.fits))
            .map((o) => (
              <AnswerRow
                key={o.way}
                label={say(o.way)}
                value={o.fits ? `${formatMeasure(measure(o.litres, 'L'), units)} · ${formatRange(o.hours, formatHours)}` : verdict(o)}
                note={o.fits ? [verdict(o), say(LAYING[o.way].look)].filter(Boolean).join(' · ') : undefined}
                because={o.because}
              />
            ))}
        </View>
      </Folded>
    </View>
  );
}

/** What was right for other numbers is not said of these. */
function MayCoatSays({ says }: { readonly says: string }) {
  const refused = useRefused();
  return (
    <Words look="row" testID="may-coat-answer">
      {refused ? NO_ANSWER : says}
    </Words>
  );
}

/** Surface at least 3 C (5 F) above the dew point. */
function MayCoat() {
  const units = useUnits();
  const t = units === 'ft' ? ('F' as const) : ('C' as const);
  const label = units === 'ft' ? '°F' : '°C';
  const [air, setAir] = useState<number | null>(null);
  const [rh, setRh] = useState<number | null>(null);
  const [surface, setSurface] = useState<number | null>(null);
  const toC = (v: number) => convert(v, t, 'C');
  const inRange = (low: number, high: number) => (v: number) =>
    toC(v) >= low && toC(v) <= high
      ? undefined
      : `between ${Math.round(convert(low, 'C', t))} and ${Math.round(convert(high, 'C', t))} ${label}`;
  let said = 'Give air, humidity and surface to know.';
  if (air !== null && rh !== null) {
    const dew = dewPointC(toC(air), rh);
    const dewText = formatMeasure(measure(dew, 'C'), units);
    const need = formatMeasure(measure(dew + DEW_MARGIN_C, 'C'), units);
    if (surface === null) said = `Dew point ${dewText}. The surface must be at least ${need}.`;
    else
      said =
        toC(surface) - dew >= DEW_MARGIN_C
          ? `Go: dew point ${dewText}, and the surface is far enough above it.`
          : `Wait: dew point ${dewText}. The surface must be at least ${need}.`;
  }
  return (
    <Panel title="May it be coated now" testID="may-coat">
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-[8rem] flex-1">
          <NumberField label="Air" unit={label} value={air} optional check={inRange(-20, 55)} onCommit={setAir} testID="air" />
        </View>
        <View className="min-w-[8rem] flex-1">
          <NumberField
            label="Humidity"
            unit="%"
            value={rh}
            optional
            check={(v) => (v > 0 && v <= 100 ? undefined : 'above 0 and at most 100 %')}
            onCommit={setRh}
            testID="humidity"
          />
        </View>
        <View className="min-w-[8rem] flex-1">
          <NumberField
            label="Surface"
            unit={label}
            value={surface}
            optional
            check={inRange(-20, 90)}
            onCommit={setSurface}
            testID="surface-temperature"
          />
        </View>
      </View>
      <MayCoatSays says={said} />
      <Words look="note">{`Surface at least ${formatMeasure(measure(DEW_MARGIN_C, 'deltaC'), units)} above the dew point: ISO 8502-4, ASTM D3276.`}</Words>
    </Panel>
  );
}
