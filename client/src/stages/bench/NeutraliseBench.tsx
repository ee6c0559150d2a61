/** Acid for the alkali that is left, rinse water alone, and the proof in two steps. */
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Polyline, Rect, Text as SvgText } from 'react-native-svg';
import { convert, spell } from '@roughsill/core';
import {
  ACID_IDS,
  acidFor,
  carbonateFor,
  amounts,
  benchWords,
  causticGL,
  HOLDS_BACK_L,
  phOnTheWay,
  proofOf,
  rinsesFor,
  type AcidId,
  type Language,
  type RinsedFace,
} from '@roughsill/core/prepare';
import { Panel, Pick, useUnits, Words } from '../../kit';
import { useKept } from '../../kit/drafts';
import { Amount, Measured, Row, Told } from './parts';

interface Kept {
  readonly ph: number;
  readonly washL: number;
  readonly acid: AcidId;
  readonly face: RinsedFace;
  readonly eachLM2: number;
  readonly toPh: number;
  readonly waterPh: number;
  readonly first: number | null;
  readonly second: number | null;
  readonly acidG: number;
}
const A_STRIP: Kept = {
  ph: 12.5,
  washL: 10,
  acid: 'citric',
  face: 'wood',
  eachLM2: 3,
  toPh: 8.5,
  waterPh: 7.5,
  first: null,
  second: null,
  acidG: 20,
};
const ACID_WORDS: Readonly<Record<AcidId, string>> = { citric: 'citric, dry', acetic: 'vinegar, 5 %', phosphoric: 'phosphoric, 85 %' };
const FACE_WORDS: Readonly<Record<RinsedFace, string>> = { smooth: 'smooth', wood: 'wood', masonry: 'brick, stone' };

export function NeutraliseBench({ language }: { readonly language: Language }) {
  const units = useUnits();
  const [it, put] = useKept<Kept>('bench-neutralise', A_STRIP);
  const set = (over: Partial<Kept>) => put({ ...it, ...over });
  const a = amounts(units);
  const rinse = units === 'ft' ? convert(1, 'L', 'floz') / convert(1, 'm2', 'ft2') : 1;
  return (
    <Panel title={spell('Neutralise')} aside="after the rinse, never instead of it" testID="neutralise-bench">
      <Row>
        <Amount label="Wash water reads" unit="pH" value={it.ph} onCommit={(v) => v !== null && set({ ph: v })} testID="neutral-ph" />
        <Measured label="There is" unit="L" value={it.washL} onCommit={(v) => v !== null && set({ washL: v })} testID="neutral-litres" />
      </Row>
      <Pick
        label="With"
        value={it.acid}
        options={ACID_IDS.map((value) => ({ value, label: ACID_WORDS[value] }))}
        onChange={(acid) => set({ acid })}
        testID="neutral-acid"
      />
      <Told
        testID="neutral-answer"
        of={() => {
          const left = causticGL(it.ph) * it.washL;
          const n = acidFor(left, it.acid);
          return [
            `${Number(left.toPrecision(2))} g of caustic in it: ${n.soldMl === null ? `${Number(n.soldG.toPrecision(2))} g` : a.L(n.soldMl / 1000)} of acid as it is sold.`,
            `Thin it first, in at least ${a.L(Math.max(0.5, n.waterL))} of water; acid into water. Add half, stir, read the strip, then a little at a time.`,
            'A strip is right to about half a unit, and half a unit is three times the acid: the last readings decide, not the sum.',
          ];
        }}
      />
      <PhCurve ph={it.ph} litres={it.washL} acid={it.acid} />
      <Row>
        <Pick
          label="Rinsed face"
          value={it.face}
          options={(Object.keys(HOLDS_BACK_L) as RinsedFace[]).map((value) => ({ value, label: FACE_WORDS[value] }))}
          onChange={(face) => set({ face })}
        />
      </Row>
      <Row>
        <Amount
          label="Water for one rinse"
          unit={units === 'ft' ? 'fl oz/ft²' : 'L/m²'}
          decimals={1}
          value={Number((it.eachLM2 * rinse).toPrecision(3))}
          onCommit={(v) => v !== null && set({ eachLM2: v / rinse })}
        />
        <Amount label="Until it reads" unit="pH" value={it.toPh} onCommit={(v) => v !== null && set({ toPh: v })} testID="rinse-to" />
      </Row>
      <Told
        testID="rinse-answer"
        of={() => {
          const r = rinsesFor(it.ph, it.toPh, it.eachLM2, it.face);
          return [
            r.times === 0
              ? 'It reads that already.'
              : `Water alone: ${r.times} rinses, ${Number((r.litresM2 * rinse).toPrecision(2))} ${units === 'ft' ? 'US fl oz on each ft²' : 'L on each m²'}, each run off and caught before the next.`,
            ...(r.times > 5 ? ['That is much water for timber and plaster: rinse twice, then neutralize.'] : []),
          ].map(spell);
        }}
      />
      <Row>
        <Amount label="Rinse water" unit="pH" value={it.waterPh} onCommit={(v) => v !== null && set({ waterPh: v })} />
        <Amount
          label="Face, wet after the rinse"
          unit="pH"
          optional
          value={it.first}
          onCommit={(first) => set({ first })}
          testID="proof-first"
        />
        <Amount
          label="Face, dried and wetted anew"
          unit="pH"
          optional
          value={it.second}
          onCommit={(second) => set({ second })}
          testID="proof-second"
        />
      </Row>
      <Told
        testID="proof-answer"
        language={language}
        of={() => [
          benchWords(language).proof[
            proofOf(
              it.waterPh,
              [it.first, it.second].filter((p) => p !== null),
            )
          ],
        ]}
      />
      <Row>
        <Amount
          label="Acid that is too much, pure"
          unit="g"
          value={it.acidG}
          onCommit={(v) => v !== null && set({ acidG: v })}
          testID="acid-left"
        />
      </Row>
      <Told
        testID="carbonate-answer"
        of={() => {
          const soda = carbonateFor(it.acidG, it.acid, 'bicarbonate');
          const washing = carbonateFor(it.acidG, it.acid, 'washingSoda');
          return [
            `${a.g(soda.g)} of baking soda, or ${a.g(washing.g)} of washing soda, a little at a time.`,
            `It foams: up to ${a.L(soda.gasL)} of gas. A wide open pail, never a closed bottle.`,
          ];
        }}
      />
      <Words look="note">
        Face at most 1.0 below and 2.0 above its rinse water: ASTM D4262. Amounts by stoichiometry, pH by the balance of charges with ideal
        activities. What a face holds back is from memory. Where the coat asks for less, its sheet rules.
      </Words>
    </Panel>
  );
}

const HEIGHT = 150;
function PhCurve({ ph, litres, acid }: { readonly ph: number; readonly litres: number; readonly acid: AcidId }) {
  const [width, setWidth] = useState(0);
  let way: readonly { readonly share: number; readonly ph: number }[];
  try {
    way = phOnTheWay(causticGL(ph) * litres, litres, acid);
  } catch {
    return null;
  }
  const x = (share: number) => 40 + (share / 2) * (width - 52);
  const y = (p: number) => 10 + (1 - p / 14) * (HEIGHT - 38);
  return (
    <View
      role="img"
      aria-label={`pH while the acid goes in: from ${way[0]!.ph.toFixed(1)}, ${way[10]!.ph.toFixed(1)} with all that is reckoned, ${way[20]!.ph.toFixed(1)} with twice as much`}
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
      className="bg-panel py-2"
    >
      {width > 0 ? (
        <Svg width={width} height={HEIGHT} aria-hidden>
          <Rect x={40} y={y(8.5)} width={width - 52} height={y(6) - y(8.5)} fill="rgb(var(--verdigris))" opacity={0.18} />
          {[2, 7, 12].map((p) => (
            <SvgText key={p} x={34} y={y(p) + 4} fontSize={12} textAnchor="end" fill="rgb(var(--ash))">{`pH ${p}`}</SvgText>
          ))}
          <Line x1={x(1)} x2={x(1)} y1={10} y2={HEIGHT - 28} stroke="rgb(var(--soot))" strokeWidth={1.5} strokeDasharray="4 4" />
          <Polyline points={way.map((p) => `${x(p.share)},${y(p.ph)}`).join(' ')} fill="none" stroke="rgb(var(--soot))" strokeWidth={3} />
          <SvgText x={x(1)} y={HEIGHT - 8} fontSize={12} textAnchor="middle" fill="rgb(var(--ash))">
            all that is reckoned
          </SvgText>
          <SvgText x={x(0)} y={HEIGHT - 8} fontSize={12} fill="rgb(var(--ash))">
            none
          </SvgText>
        </Svg>
      ) : null}
    </View>
  );
}
