/** The best for all parts at once, three of them; part by part stands below. */
import { View } from 'react-native';
import { bestTogether, formatRange, formatWork, say, type MethodId, type PartChoice } from '@roughsill/core';
import { Button, Panel, VerdictEdge, Words } from '../../kit';

const BEST = 3;

interface Props {
  readonly parts: readonly PartChoice[];
  readonly money: (n: number) => string;
  readonly onChoose: (picks: readonly { readonly partId: string; readonly methodId: MethodId }[], what: string) => void;
}

export function AllParts({ parts, money, onChoose }: Props) {
  const worked = parts.filter((p) => p.areaM2 > 0);
  if (worked.length < 2) return null;
  const best = bestTogether(worked).slice(0, BEST);
  const mixed = new Set(worked.map((p) => p.selected.value)).size > 1 && worked.every((p) => p.selected.value !== null);
  const settled = worked.every((p) => p.chosenByPerson);
  return (
    <Panel title="All parts at once" aside={`${worked.length} parts`} testID="all-parts">
      {mixed ? (
        <View className="flex-row bg-panel">
          <VerdictEdge verdict="go" />
          <View className="min-w-0 flex-1 gap-1 px-3 py-2">
            <Words look="row">Each part its own</Words>
            <Words look="note">{worked.map((p) => `${say(p.kind)}: ${say(p.selected.value!)}`).join(' · ')}</Words>
            {settled ? (
              <Words look="strong">Chosen</Words>
            ) : (
              <Button
                label="Choose these"
                className="self-start"
                onPress={() =>
                  onChoose(
                    worked.map((p) => ({ partId: p.partId, methodId: p.selected.value! })),
                    'each part its own',
                  )
                }
              />
            )}
          </View>
        </View>
      ) : null}
      {best.map((t) => (
        <View key={t.methodId} className="flex-row bg-panel">
          <VerdictEdge verdict={t.verdict} />
          <View className="min-w-0 flex-1 gap-1 px-3 py-2">
            <Words look="row">{say(t.methodId).charAt(0).toUpperCase() + say(t.methodId).slice(1)}</Words>
            <Words look="note">{`${say(t.verdict)} · ${formatRange(t.personHours, formatWork)} · ${formatRange(t.total, money)} before set-up`}</Words>
            {t.inPlan && settled ? (
              <Words look="strong">Chosen for all parts</Words>
            ) : (
              <Button
                label="Choose for all parts"
                says={`Choose ${say(t.methodId)} for all parts`}
                className="self-start"
                onPress={() =>
                  onChoose(
                    worked.map((p) => ({ partId: p.partId, methodId: t.methodId })),
                    say(t.methodId),
                  )
                }
              />
            )}
          </View>
        </View>
      ))}
      {best.length === 0 ? <Words>No one method is allowed on every part: choose part by part.</Words> : null}
    </Panel>
  );
}
