/** What stands mixed, on the clock of every phone of the firm: stirred in time, used in time. */
import { useEffect, useEffectEvent, useState } from 'react';
import { View } from 'react-native';
import { formatHours, GOODS_BY_GROUP, POT_IDS, type PotId, type PotRecord } from '@roughsill/core';
import { benchWords, potLifeH, potSays, potStood, type Language, type PotState } from '@roughsill/core/prepare';
import { Button, NumberField, Panel, Select, TextField, Words } from '../../kit';
import { useKept } from '../../kit/drafts';
import { cap } from '../../kit/text';
import { add, remove, set, useFirm, useSettings } from '../../store';
import { useFirmWrite } from '../firm-write';
import { Cell, Measured, Row } from './parts';

interface Draft {
  readonly kind: PotId;
  readonly name: string;
  readonly airC: number;
  readonly ownH: number | null;
}
const NEW: Draft = { kind: 'thinnedPaint', name: '', airC: 20, ownH: null };
const LOOKS: Readonly<Record<PotState, { readonly edge: string; readonly tone: 'oxide' | undefined }>> = {
  fresh: { edge: 'border-slate', tone: undefined },
  stir: { edge: 'border-oxide', tone: 'oxide' },
  soon: { edge: 'border-oxide', tone: 'oxide' },
  over: { edge: 'border-oxide', tone: 'oxide' },
};

function useClock(everyMs: number): number {
  const [now, setNow] = useState(() => new Date().getTime());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date().getTime()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}

const usePots = (): PotRecord[] =>
  useFirm()
    .pots.filter((p) => p.removedAt === null)
    .sort((a, b) => a.mixedAt.localeCompare(b.mixedAt));

/** Until December 2026 they stood on one device alone: those become records, each with the time that it stood. */
interface OldPots {
  readonly pots?: readonly (Pick<PotRecord, 'id' | 'kind' | 'name' | 'airC' | 'ownH'> & {
    readonly mixedAt: number;
    readonly stirredAt: number;
  })[];
}
const NO_OLD: OldPots = {};
function useOldPots(): void {
  const [{ pots = [] }, keep] = useKept<OldPots>('bench-pots', NO_OLD);
  const { write } = useFirmWrite();
  const waits = pots.length > 0;
  const bring = useEffectEvent(() => {
    const at = (ms: number) => new Date(ms).toISOString();
    const drafts = pots.map(({ id: _old, mixedAt, stirredAt, ...p }) =>
      add('pot', { ...p, mixedAt: at(mixedAt), stirredAt: at(stirredAt) }),
    );
    if (write(...drafts)) keep(NO_OLD);
  });
  useEffect(() => {
    if (waits) bring();
  }, [waits]);
}

/** What is due, told over every other tool of the bench; a phone in a pocket shakes. */
export function PotsDue({ language }: { readonly language: Language }) {
  const now = useClock(15_000);
  useOldPots();
  const pots = usePots();
  const { pot } = benchWords(language);
  const due = pots.map((p) => ({ p, it: potStood(p, now) })).filter(({ it }) => it.state === 'stir' || it.state === 'over');
  useShake(due.length);
  if (due.length === 0) return null;
  return (
    <View role="alert" testID="pots-due" className="border-l-8 border-oxide bg-panel px-3 py-2">
      {due.map(({ p, it }) => (
        <Words key={p.id} tone="oxide">{`${p.name}: ${pot.doThen[it.state]}`}</Words>
      ))}
    </View>
  );
}
function useShake(due: number): void {
  useEffect(() => {
    if (due > 0 && typeof navigator.vibrate === 'function') navigator.vibrate([200, 100, 200]);
  }, [due]);
}

export function PotBench({ language }: { readonly language: Language }) {
  const now = useClock(5000);
  const pots = usePots();
  const [draft, put] = useKept<Draft>('bench-pot', NEW);
  const { write, wrong } = useFirmWrite();
  const { pot } = benchWords(language);
  const { products = [] } = useSettings();
  const fill = (over: Partial<Draft>) => put({ ...draft, ...over });
  // Of the firm's own sheets, those that say how long it keeps.
  const sheets = products.filter(
    (p) => p.removedAt === null && p.openLifeH !== null && !(GOODS_BY_GROUP.sheets as readonly string[]).includes(p.good),
  );
  const begin = () => {
    const at = new Date().toISOString();
    const name = draft.name.trim() === '' ? cap(pot.kind[draft.kind]) : draft.name.trim();
    if (write(add('pot', { ...draft, name, mixedAt: at, stirredAt: at }))) put(NEW);
  };
  return (
    <Panel title="On the clock" aside="on every phone of the firm" testID="pot-bench">
      {pots.map((p) => {
        const it = potStood(p, now);
        const look = LOOKS[it.state];
        return (
          <View key={p.id} testID={`pot-${p.id}`} className={`gap-2 border-l-8 bg-panel px-3 py-2 ${look.edge}`}>
            <View role="status" className="gap-1">
              <Words look="title" tone={look.tone}>{`${p.name}: ${pot.state[it.state]}`}</Words>
              {potSays(it, pot).map((line) => (
                <Words key={line}>{line}</Words>
              ))}
            </View>
            <View className="flex-row flex-wrap gap-3">
              {it.stirInH !== null && it.state !== 'over' ? (
                <Button
                  label="Stirred"
                  says={`Stirred: ${p.name}`}
                  onPress={() => write(set('pot', p.id, { stirredAt: new Date().toISOString() }))}
                />
              ) : null}
              <Button
                look="quiet"
                label="Used up or thrown out"
                says={`Used up or thrown out: ${p.name}`}
                onPress={() => write(remove('pot', p.id))}
              />
            </View>
          </View>
        );
      })}
      <Row>
        <Cell>
          <Select
            label="Mixed now"
            value={draft.kind}
            options={POT_IDS.map((value) => ({ value, label: cap(pot.kind[value]) }))}
            onChange={(kind) => fill({ kind })}
            testID="pot-kind"
          />
        </Cell>
        {sheets.length > 0 ? (
          <Cell>
            <Select
              label="Which, on the shelf"
              value={sheets.find((p) => p.name === draft.name && p.openLifeH === draft.ownH)?.id ?? ''}
              options={[{ value: '', label: 'none of these' }, ...sheets.map((p) => ({ value: p.id, label: p.name }))]}
              onChange={(id) => {
                const own = sheets.find((p) => p.id === id);
                fill(own ? { name: own.name, ownH: own.openLifeH } : { name: '', ownH: null });
              }}
            />
          </Cell>
        ) : null}
        <Cell>
          <TextField label="Written on it" value={draft.name} onCommit={(name) => fill({ name })} testID="pot-name" />
        </Cell>
        <Measured label="The air" unit="C" value={draft.airC} onCommit={(airC) => airC !== null && fill({ airC })} />
        <Cell>
          <NumberField
            label="Keeps, by its sheet"
            unit="h"
            optional
            value={draft.ownH}
            check={(v) => (v >= 0.05 && v <= 8760 ? undefined : 'From three minutes to a year.')}
            onCommit={(ownH) => fill({ ownH })}
            testID="pot-own"
          />
        </Cell>
      </Row>
      <Words>{`Usable for ${formatHours(potLifeH(draft.kind, draft.airC, draft.ownH))}.`}</Words>
      {wrong ? <Words tone="oxide">{cap(wrong)}</Words> : null}
      <Button look="main" label="Mixed: start its clock" onPress={begin} className="self-start" testID="pot-begin" />
      <Words look="note">
        Thinned bleach is made fresh each day (CDC). What has stood half an hour is stirred: common practice. What cures does so in half the
        time when it is 10 °C (18 °F) warmer: a rule of thumb. The other lives are from memory; the sheet outranks them.
      </Words>
    </Panel>
  );
}
