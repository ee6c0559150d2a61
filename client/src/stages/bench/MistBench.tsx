/** Water on a textured ceiling: mist by mist, with a test scrape that says what comes next. */
import { View } from 'react-native';
import {
  amounts,
  benchWords,
  CEILING_GROUNDS,
  mistFor,
  mistSays,
  SCRAPES,
  type CeilingGround,
  type Language,
  type Mist,
} from '@roughsill/core/prepare';
import { Button, Panel, Pick, Toggle, useUnits, Words } from '../../kit';
import { useKept } from '../../kit/drafts';
import { Measured, Row, Told } from './parts';

const GROUND_WORDS: Readonly<Record<CeilingGround, string>> = { board: 'board', lath: 'plaster on lath' };

export function MistBench({ language }: { readonly language: Language }) {
  const units = useUnits();
  const [it, put] = useKept<Mist>('bench-mist', { areaM2: 12, painted: false, ground: 'board', mistsDone: 0, scrape: 'none' });
  const set = (over: Partial<Mist>) => put({ ...it, ...over });
  const { mist } = benchWords(language);
  return (
    <Panel title="Water on a textured ceiling" aside="asbestos shown absent first" testID="mist-bench">
      <Row>
        <Measured label="Ceiling" unit="m2" value={it.areaM2} onCommit={(v) => v !== null && set({ areaM2: v })} testID="mist-area" />
      </Row>
      <Pick
        label="It hangs on"
        value={it.ground}
        options={CEILING_GROUNDS.map((value) => ({ value, label: GROUND_WORDS[value] }))}
        onChange={(ground) => set({ ground })}
      />
      <Toggle label="Painted over" value={it.painted} onChange={(painted) => set({ painted })} />
      {it.mistsDone === 0 ? (
        <View className="gap-1" testID="mist-before">
          {mist.before.map((line, i) => (
            <Words key={line}>{`${i + 1}. ${line}`}</Words>
          ))}
        </View>
      ) : (
        <Pick
          label={`Test scrape after mist ${it.mistsDone}`}
          value={it.scrape}
          options={SCRAPES.map((value) => ({ value, label: mist.scrape[value] }))}
          onChange={(scrape) => set({ scrape })}
          testID="mist-scrape"
        />
      )}
      <Told testID="mist-answer" language={language} of={() => mistSays(mistFor(it), mist, amounts(units))} />
      <View className="flex-row flex-wrap gap-3">
        <Button label="One mist is on" onPress={() => set({ mistsDone: it.mistsDone + 1, scrape: 'none' })} testID="mist-on" />
        {it.mistsDone > 0 ? <Button look="quiet" flush label="Begin anew" onPress={() => set({ mistsDone: 0, scrape: 'none' })} /> : null}
      </View>
      <Words look="note">
        Water, waits and what a ceiling carries are common practice, from memory: the scrape and the look of the ceiling outrank them.
      </Words>
    </Panel>
  );
}
