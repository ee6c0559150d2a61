/** Labels for bottles that are filled here. */
import { useState } from 'react';
import { View } from 'react-native';
import { SvgXml } from 'react-native-svg';
import {
  benchWords,
  CONTENT_IDS,
  contentOf,
  CONTENTS,
  hazardsOf,
  pictogramSvg,
  type BySheet,
  type ContentId,
  type Language,
} from '@roughsill/core/prepare';
import { Button, Panel, Select, TextField, useUnits, Words } from '../../kit';
import { useKept } from '../../kit/drafts';
import { cap } from '../../kit/text';
import { api, useAppSelector, useFirm } from '../../store';
import { saveBlob } from '../save-file';
import { Amount, Cell, Row, Told } from './parts';

interface Kept {
  readonly content: ContentId;
  readonly pct: number;
  readonly ratio: string;
  readonly by: string;
  readonly count: number;
  /** What was taken from the shelf; null: nothing. */
  readonly shelfId?: string | null;
}
/** Of the firm's own products, those of which their sheet says what is in them. */
function useFilled() {
  const { products } = useFirm();
  return products.flatMap((product) => {
    const content = product.removedAt === null ? contentOf(product) : null;
    return content === null ? [] : [{ product, content }];
  });
}
/** The day where the bottle stands. */
const today = (): string => new Date().toLocaleDateString('sv-SE');

export function LabelBench({ language }: { readonly language: Language }) {
  const units = useUnits();
  const person = useAppSelector((s) => s.session.person);
  const [it, put] = useKept<Kept>('bench-label', { content: 'caustic', pct: 17, ratio: '', by: person, count: 2 });
  const set = (over: Partial<Kept>) => put({ ...it, ...over });
  const [says, setSays] = useState<string | null>(null);
  const words = benchWords(language);
  const filled = useFilled();
  const picked = filled.find(({ product, content }) => product.id === it.shelfId && content === it.content)?.product ?? null;
  const neat = picked?.strengthPct ?? (picked === null ? null : CONTENTS[it.content].strongest);
  // Thinned, it catches less easily than its sheet says, and nobody measured how much less.
  const sheet: BySheet = { gloves: picked?.gloves ?? null, flashC: neat !== null && it.pct >= neat ? (picked?.flashC ?? null) : null };
  const named = picked?.name ?? '';
  const pctUnsaid = picked !== null && picked.strengthPct === null && it.pct === neat;
  const print = async () => {
    setSays(null);
    const { content, pct, ratio, by, count } = it;
    const r = await api.bottleLabels({
      units,
      languages: language === 'es' ? ['es', 'en'] : ['en', 'es'],
      bottles: [{ content, named, pct, pctUnsaid, ...sheet, ratio, by, count, madeOn: today() }],
    });
    if (r.ok) saveBlob('bottle-labels.pdf', r.value);
    else setSays(r.error.says);
  };
  return (
    <Panel title="Labels" aside="every bottle that is filled here" testID="label-bench">
      {filled.length > 0 ? (
        <Select
          label="From the shelf"
          value={picked?.id ?? ''}
          options={[
            { value: '', label: 'none of these' },
            ...filled.map(({ product }) => ({
              value: product.id,
              label: product.strengthPct === null ? product.name : `${product.name}, ${product.strengthPct} %`,
            })),
          ]}
          onChange={(id) => {
            const found = filled.find(({ product }) => product.id === id);
            if (found)
              set({ shelfId: id, content: found.content, pct: found.product.strengthPct ?? CONTENTS[found.content].strongest, ratio: '' });
            else set({ shelfId: null });
          }}
          testID="label-shelf"
        />
      ) : null}
      <Row>
        <Cell>
          <Select
            label="In it"
            value={it.content}
            options={CONTENT_IDS.map((value) => ({ value, label: words.content[value] }))}
            onChange={(content) => set({ content })}
            testID="label-content"
          />
        </Cell>
        <Amount label="Strength, by weight" unit="%" value={it.pct} onCommit={(pct) => pct !== null && set({ pct })} testID="label-pct" />
        <Cell>
          <TextField label="Mixed as" value={it.ratio} placeholder="1 to 16" onCommit={(ratio) => set({ ratio })} />
        </Cell>
        <Cell>
          <TextField label="Made by" value={it.by} onCommit={(by) => set({ by })} testID="label-by" />
        </Cell>
        <Amount
          label="Labels"
          value={it.count}
          onCommit={(count) => count !== null && set({ count: Math.round(count) })}
          testID="label-count"
        />
      </Row>
      <Told
        testID="label-answer"
        language={language}
        of={() => {
          const h = hazardsOf(it.content, it.pct, sheet);
          return [
            h.signal === null ? words.content[it.content] : `${words.signal[h.signal]}: ${words.content[it.content]}`,
            ...(h.codes.length > 0 ? [h.codes.map((c) => words.hazard[c]).join(' ')] : []),
            `${words.label.wear}: ${words.gloves[h.gloves]}, ${words.eyes[h.eyes]}. ${words.label.eyesFirst} ${words.label.childrenOut}`,
            ...(pctUnsaid ? [words.label.noStrength] : []),
            ...(h.never.length > 0 ? [`${words.label.never}: ${h.never.map((a) => words.agent[a]).join('; ')}.`] : []),
          ];
        }}
      />
      <Pictograms content={it.content} pct={it.pct} sheet={sheet} />
      <Button look="main" label="Print the labels" onPress={() => void print()} testID="label-print" />
      {says ? (
        <Words alert tone="oxide">
          {cap(says)}
        </Words>
      ) : null}
      <Words look="note">
        Pictograms and sentences of the UN’s Globally Harmonized System, limits of strength from memory: the product’s own sheet outranks
        them. Both languages stand on every label.
      </Words>
    </Panel>
  );
}

function Pictograms({ content, pct, sheet }: { readonly content: ContentId; readonly pct: number; readonly sheet: BySheet }) {
  let ids;
  try {
    ids = hazardsOf(content, pct, sheet).pictograms;
  } catch {
    return null;
  }
  return (
    <View className="flex-row gap-3">
      {ids.map((id) => (
        <View key={id} role="img" aria-label={PICTOGRAM_WORDS[id]}>
          <SvgXml xml={pictogramSvg(id, 76)} width={76} height={76} aria-hidden />
        </View>
      ))}
    </View>
  );
}
const PICTOGRAM_WORDS = {
  corrosion: 'Pictogram: eats skin and metal',
  flame: 'Pictogram: flame',
  exclamation: 'Pictogram: irritates',
  health: 'Pictogram: harms inside the body',
  environment: 'Pictogram: harms water life',
} as const;
