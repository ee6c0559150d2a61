/** Parts and their shares of the area. The shares are written together, and only when they add to 100 %. */
import { useState } from 'react';
import { View } from 'react-native';
import { formatMeasure, liveParts, measure, PART_KINDS, say, type PartKind, type Problem, type Surface } from '@roughsill/core';
import { Button, NumberField, Panel, Problems, useUnits, Words } from '../../kit';
import { add, commit, remove, set, useAppDispatch, type Draft } from '../../store';
import { cap } from '../../kit/text';

type Shares = Readonly<Partial<Record<PartKind, number>>>;

export const sharesOf = (s: Surface): Shares => Object.fromEntries(liveParts(s).map((p) => [p.kind, p.sharePct]));
const total = (s: Shares): number => Object.values(s).reduce((a, b) => a + b, 0);

/** The changes from the recorded shares to the wanted ones. */
function draftsFor(surface: Surface, wanted: Shares): Draft[] {
  const parts = liveParts(surface);
  return PART_KINDS.flatMap((kind): Draft[] => {
    const now = parts.find((p) => p.kind === kind);
    const want = wanted[kind] ?? 0;
    if (!now)
      return want > 0
        ? [add('part', { kind, sharePct: want, methodId: null, insistedWhy: null, alsoIds: [], grits: [], toolC: null }, surface.id)]
        : [];
    if (want === 0) return [remove('part', now.id, surface.id)];
    return want === now.sharePct ? [] : [set('part', now.id, { sharePct: want }, surface.id)];
  });
}

export function PartsEditor({ jobId, surface, areaM2 }: { readonly jobId: string; readonly surface: Surface; readonly areaM2: number }) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const recorded = sharesOf(surface);
  const [shares, setShares] = useState<Shares>(recorded);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const sum = total(shares);
  const drafts = draftsFor(surface, shares);
  const right = Math.abs(sum - 100) < 0.001;
  return (
    <Panel title="Parts" aside={`${Number(sum.toFixed(1))} % of 100 %`} testID="parts">
      <View className="flex-row flex-wrap gap-3">
        {PART_KINDS.map((kind) => (
          <View key={kind} className="min-w-[11rem] flex-1">
            <NumberField
              label={cap(say(kind))}
              unit="%"
              step={5}
              value={shares[kind] ?? 0}
              testID={`share-${kind}`}
              hint={formatMeasure(measure((areaM2 * (shares[kind] ?? 0)) / 100, 'm2'), units)}
              check={(v) => (v < 0 ? 'a share cannot be negative' : v > 100 ? 'a share is at most 100 %' : undefined)}
              onCommit={(v) => setShares({ ...shares, [kind]: v ?? 0 })}
            />
          </View>
        ))}
      </View>
      {right ? null : (
        <Words
          alert
          look="strong"
          tone="oxide"
        >{`The shares add to ${Number(sum.toFixed(1))} %, not 100 %. They are not written until they do.`}</Words>
      )}
      <Problems problems={problems} />
      {drafts.length > 0 ? (
        <View className="flex-row flex-wrap gap-2">
          <Button
            look="main"
            label="Keep these shares"
            disabled={!right}
            onPress={() => setProblems(dispatch(commit(jobId, drafts, 'parts')))}
          />
          <Button label="Back to the recorded ones" onPress={() => setShares(recorded)} />
        </View>
      ) : null}
    </Panel>
  );
}
