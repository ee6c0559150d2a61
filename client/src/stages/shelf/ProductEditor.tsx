/** A data sheet: only what matters for this kind of product is asked for. What the sheet does not say stays empty. */
import { useState } from 'react';
import { View } from 'react-native';
import {
  FILLERS,
  GLOVE_MATERIALS,
  YES_NO,
  GOODS,
  GOODS_BY_GROUP,
  isCoat,
  say,
  SHEET_FILTERS,
  STUFFS,
  TOPCOATS,
  UNITS,
  type Product,
} from '@roughsill/core';
import { packText } from '@roughsill/core/report';
import { Button, NumberField, Select, TextField, Toggle, useUnits, Words } from '../../kit';
import { cap } from '../../kit/text';
import { useSettings } from '../../store';
import { Cell, Measured, Row } from '../bench/parts';

type Fields = Omit<Product, 'id' | 'removedAt'>;

interface EditorProps {
  readonly product: Product;
  /** Each field as it is given. */
  readonly onPut?: (fields: Partial<Fields>) => void;
  readonly onRemove?: () => void;
  /** All of it at once. */
  readonly onAdd?: (fields: Fields) => void;
}

export function ProductEditor({ product, onPut, onRemove, onAdd }: EditorProps) {
  const [draft, setDraft] = useState<Product>(product);
  const [asked, setAsked] = useState(false);
  const p = onAdd ? draft : product;
  const put = (fields: Partial<Fields>) => (onAdd ? setDraft({ ...draft, ...fields }) : onPut?.(fields));
  const coat = isCoat(p.good);
  const filler = (FILLERS as readonly string[]).includes(p.good);
  const stripper = (GOODS_BY_GROUP.strippers as readonly string[]).includes(p.good);
  const finish = TOPCOATS.some((t) => t === p.good);
  const { unit } = GOODS[p.good];
  const liquid = unit === 'L' || unit === 'kg';
  const least = (from: number, what: string) => (v: number) => (v > from ? undefined : `${what} is more than ${from}.`);
  const pct = (v: number) => (v > 0 && v <= 100 ? undefined : 'More than 0 and at most 100 %.');
  return (
    <View className="gap-3 border-t-2 border-line pt-2" testID="product-editor">
      <TextField
        label="Name on the tin"
        value={p.name}
        onChange={onAdd ? (name) => put({ name }) : undefined}
        onCommit={(name) => put({ name })}
        problem={asked && p.name.trim() === '' ? 'It needs a name.' : undefined}
        testID="product-name"
      />
      {liquid ? (
        <Select
          label="What is in it"
          value={p.chemistry}
          options={STUFFS.map((value) => ({ value, label: cap(say(`stuff.${value}`)) }))}
          onChange={(chemistry) => put({ chemistry })}
          testID="product-chemistry"
        />
      ) : null}
      {coat ? (
        <>
          <Row>
            <Cell>
              <NumberField
                label="Volume solids"
                unit="%"
                value={p.solidsPct}
                optional
                check={pct}
                onCommit={(solidsPct) => put({ solidsPct })}
                testID="product-solids"
              />
            </Cell>
            <Measured
              label="Dry film of one coat"
              unit="um"
              value={p.dryFilmUm}
              optional
              check={least(0, 'A film')}
              onCommit={(dryFilmUm) => put({ dryFilmUm })}
              testID="product-film"
            />
            <Cell>
              <NumberField
                label="Coats"
                value={p.coats}
                optional
                decimals={0}
                check={(v) => (v >= 1 && v <= 6 ? undefined : 'One to six.')}
                onCommit={(coats) => put({ coats })}
              />
            </Cell>
          </Row>
          <Row>
            <Cell>
              <NumberField
                label="Next coat from"
                unit="h"
                value={p.recoatLeastH}
                optional
                check={least(0, 'A wait')}
                onCommit={(recoatLeastH) => put({ recoatLeastH })}
                testID="product-least"
              />
            </Cell>
            <Cell>
              <NumberField
                label="Next coat until"
                unit="h"
                value={p.recoatMostH}
                optional
                check={least(0, 'A wait')}
                onCommit={(recoatMostH) => put({ recoatMostH })}
                testID="product-most"
              />
            </Cell>
            <Measured label="At" unit="C" value={p.atC} optional onCommit={(atC) => put({ atC })} />
            <Cell>
              <NumberField
                label="And humidity"
                unit="%"
                value={p.atRhPct}
                optional
                check={(v) => (v >= 0 && v <= 100 ? undefined : '0 to 100 %.')}
                onCommit={(atRhPct) => put({ atRhPct })}
              />
            </Cell>
          </Row>
          <Row>
            <Cell>
              <NumberField
                label="Thinned by at most"
                unit="%"
                value={p.thinMostPct}
                optional
                check={(v) => (v >= 0 && v <= 100 ? undefined : '0 to 100 %.')}
                onCommit={(thinMostPct) => put({ thinMostPct })}
              />
            </Cell>
          </Row>
          <Row>
            <Measured label="The sheet’s other temperature" unit="C" value={p.coldC} optional onCommit={(coldC) => put({ coldC })} />
            <Cell>
              <NumberField
                label="Next coat from, there"
                unit="h"
                value={p.coldLeastH}
                optional
                check={least(0, 'A wait')}
                onCommit={(coldLeastH) => put({ coldLeastH })}
              />
            </Cell>
          </Row>
          <Row>
            <Measured label="Coldest air" unit="C" value={p.leastAirC} optional onCommit={(leastAirC) => put({ leastAirC })} />
            <Measured label="Coldest face" unit="C" value={p.leastFaceC} optional onCommit={(leastFaceC) => put({ leastFaceC })} />
            <Cell>
              <NumberField
                label="Highest humidity"
                unit="%"
                value={p.mostRhPct}
                optional
                check={pct}
                onCommit={(mostRhPct) => put({ mostRhPct })}
              />
            </Cell>
          </Row>
        </>
      ) : null}
      {liquid ? (
        <Row>
          {coat ? null : (
            <Cell>
              <NumberField
                label="Strength"
                unit="%"
                value={p.strengthPct}
                optional
                check={pct}
                onCommit={(strengthPct) => put({ strengthPct })}
                testID="product-strength"
              />
            </Cell>
          )}
          <Cell>
            <NumberField
              label="Keeps open"
              unit="h"
              value={p.openLifeH}
              optional
              check={least(0, 'An open life')}
              onCommit={(openLifeH) => put({ openLifeH })}
            />
          </Cell>
          <Measured label="Flash point" unit="C" value={p.flashC} optional onCommit={(flashC) => put({ flashC })} />
          <Cell>
            <NumberField
              label="Density"
              unit="kg/L"
              value={p.densityKgL}
              optional
              check={(v) => (v >= 0.3 && v <= 4 ? undefined : '0.3 to 4 kg/L.')}
              onCommit={(densityKgL) => put({ densityKgL })}
              testID="product-density"
            />
          </Cell>
        </Row>
      ) : null}
      {filler ? (
        <Row>
          <Cell>
            <NumberField
              label="Next layer or coat from"
              unit="h"
              value={p.recoatLeastH}
              optional
              check={least(0, 'A wait')}
              onCommit={(recoatLeastH) => put({ recoatLeastH })}
              testID="product-least"
            />
          </Cell>
        </Row>
      ) : null}
      {coat || stripper ? (
        <Row>
          <Cell>
            <Select
              label="Gloves by its sheet"
              value={p.gloves ?? ''}
              options={[
                { value: '', label: 'by what is in it' },
                ...GLOVE_MATERIALS.map((value) => ({ value: value as string, label: cap(say(value)) })),
              ]}
              onChange={(v) => put({ gloves: GLOVE_MATERIALS.find((g) => g === v) ?? null })}
              testID="product-gloves"
            />
          </Cell>
          {coat && p.chemistry === 'twoPart' ? (
            <Cell>
              <Select
                label="Isocyanate in it"
                value={p.isocyanate}
                options={[
                  { value: 'unknown', label: 'Its sheet does not say' },
                  { value: 'no', label: 'Its sheet says no' },
                  { value: 'yes', label: 'Its sheet names it' },
                ]}
                onChange={(v) => put({ isocyanate: YES_NO.find((x) => x === v) ?? 'unknown' })}
                testID="product-isocyanate"
              />
            </Cell>
          ) : null}
          {coat ? (
            <Cell>
              <Select
                label="Mask by its sheet"
                value={p.filter ?? ''}
                options={[
                  { value: '', label: 'by what is in it' },
                  ...SHEET_FILTERS.map((value) => ({ value: value as string, label: cap(say(`filter.${value}`)) })),
                ]}
                onChange={(v) => put({ filter: SHEET_FILTERS.find((f) => f === v) ?? null })}
                testID="product-filter"
              />
            </Cell>
          ) : null}
        </Row>
      ) : null}
      {finish ? (
        <Row>
          <Cell>
            <NumberField
              label="Its maker stands for"
              unit="years"
              value={p.guaranteeYears}
              optional
              check={(v) => (v >= 0.5 && v <= 50 ? undefined : 'Half a year to fifty.')}
              onCommit={(guaranteeYears) => put({ guaranteeYears })}
              testID="product-guarantee"
            />
          </Cell>
          <Cell>
            <TextField
              label="On these terms"
              value={p.guaranteeTerms}
              onChange={onAdd ? (guaranteeTerms) => put({ guaranteeTerms }) : undefined}
              onCommit={(guaranteeTerms) => put({ guaranteeTerms })}
            />
          </Cell>
        </Row>
      ) : null}
      <Packs product={p} onPut={(packs) => put({ packs })} />
      <TextField
        label="Which sheet says so"
        hint="its name and date"
        value={p.sheet}
        onChange={onAdd ? (sheet) => put({ sheet }) : undefined}
        onCommit={(sheet) => put({ sheet })}
      />
      {onAdd ? (
        <Button
          look="main"
          label="Add it to the shelf"
          testID="product-add"
          className="self-start"
          onPress={() => {
            if (p.name.trim() === '') return setAsked(true);
            const { id: _id, removedAt: _gone, ...fields } = draft;
            onAdd({ ...fields, name: fields.name.trim() });
          }}
        />
      ) : (
        <View className="gap-2">
          <Toggle label="We work with it" value={p.inUse} onChange={(inUse) => put({ inUse })} />
          <Button
            look="stop"
            label="Take it off the shelf"
            says={`Take ${p.name} off the shelf`}
            onPress={() => onRemove?.()}
            className="self-start"
          />
        </View>
      )}
    </View>
  );
}

/** Sizes in which it is sold, each with its price; empty: the usual sizes at the usual price. */
function Packs({ product: p, onPut }: { readonly product: Product; readonly onPut: (packs: Product['packs']) => void }) {
  const { pricesIn } = useSettings();
  const units = useUnits();
  const { unit } = GOODS[p.good];
  const [size, setSize] = useState<number | null>(null);
  const [price, setPrice] = useState<number | null>(null);
  const [turn, setTurn] = useState(0);
  return (
    <View role="group" aria-label="Packs" className="gap-2 border-t-2 border-line pt-2">
      <Words look="strong">Packs in which you buy it</Words>
      {p.packs.map((k) => (
        <View key={k.size} className="flex-row items-center justify-between gap-3">
          <Words>{`${packText(k, 1, unit, units)}: ${UNITS[pricesIn].label}${k.price}`}</Words>
          <Button
            look="quiet"
            label="Not any more"
            says={`${packText(k, 1, unit, units)}: not any more`}
            onPress={() => onPut(p.packs.filter((x) => x !== k))}
          />
        </View>
      ))}
      <Row key={turn}>
        <Measured
          label="Size"
          unit={unit}
          value={size}
          optional
          check={(v) => (v > 0 ? undefined : 'A pack holds something.')}
          onCommit={setSize}
          testID="pack-size"
        />
        <Cell>
          <NumberField
            label="Price"
            unit={UNITS[pricesIn].label}
            value={price}
            optional
            check={(v) => (v >= 0 ? undefined : 'A price cannot be negative.')}
            onCommit={setPrice}
            testID="pack-price"
          />
        </Cell>
        <Button
          label="Add the pack"
          disabled={size === null || price === null}
          onPress={() => {
            if (size === null || price === null) return;
            onPut([...p.packs, { size, price }]);
            setSize(null);
            setPrice(null);
            setTurn(turn + 1);
          }}
        />
      </Row>
    </View>
  );
}
