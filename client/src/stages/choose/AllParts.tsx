/** The best for all parts at once, three of them; part by part stands below. */
import { View } from 'react-native';
import { bestTogether, eachItsOwn, formatRange, formatWork, say, type MethodId, type PartChoice, type Summed } from '@roughsill/core';
import { Button, Panel, VerdictEdge, Words } from '../../kit';
import { Why } from '../../kit/Why';
import { cap } from '../../kit/text';

const BEST = 3;

interface Props {
  readonly parts: readonly PartChoice[];
  readonly money: (n: number) => string;
  readonly onChoose: (picks: readonly { readonly partId: string; readonly methodId: MethodId }[], what: string) => void;
}

interface WayProps {
  readonly name: string;
  /** Part by part, where they differ. */
  readonly says?: string;
  readonly sum: Summed;
  readonly money: Props['money'];
  readonly chosen: string | null;
  readonly onChoose: () => void;
}

/** One way of working all parts: what it comes to, what asks for care, and the tap that chooses it. */
function Way({ name, says, sum, money, chosen, onChoose }: WayProps) {
  return (
    <View className="flex-row bg-panel">
      <VerdictEdge verdict={sum.verdict} />
      <View className="min-w-0 flex-1 gap-1 px-3 py-2">
        <Words look="row">{name}</Words>
        {says ? <Words look="note">{says}</Words> : null}
        <Words look="note">{`${say(sum.verdict)} · ${formatRange(sum.personHours, formatWork)} · ${formatRange(sum.total, money)} before set-up`}</Words>
        <View className="flex-row flex-wrap items-center gap-3">
          {chosen === null ? (
            <Button label="Choose for all parts" says={`Choose for all parts: ${name.toLowerCase()}`} onPress={onChoose} />
          ) : (
            <Words look="strong">{chosen}</Words>
          )}
          <Why of={name.toLowerCase()} because={sum.because} />
        </View>
      </View>
    </View>
  );
}

export function AllParts({ parts, money, onChoose }: Props) {
  const worked = parts.filter((p) => p.areaM2 > 0);
  if (worked.length < 2) return null;
  const own = new Set(worked.map((p) => p.selected.value)).size > 1 ? eachItsOwn(worked) : null;
  const best = bestTogether(worked).slice(0, BEST);
  const settled = worked.every((p) => p.chosenByPerson);
  const choose = (method: (p: PartChoice) => MethodId, what: string) =>
    onChoose(
      worked.flatMap((p) => (p.chosenByPerson && p.selected.value === method(p) ? [] : [{ partId: p.partId, methodId: method(p) }])),
      what,
    );
  return (
    <Panel title="All parts at once" aside={`${worked.length} parts`} testID="all-parts">
      {own ? (
        <Way
          name="Each part its own"
          says={worked.map((p) => `${say(p.kind)}: ${say(p.selected.value!)}`).join(' · ')}
          sum={own}
          money={money}
          chosen={settled ? 'Chosen' : null}
          onChoose={() => choose((p) => p.selected.value!, 'each part its own')}
        />
      ) : null}
      {best.map((t) => (
        <Way
          key={t.methodId}
          name={cap(say(t.methodId))}
          sum={t}
          money={money}
          chosen={t.inPlan && settled ? 'Chosen for all parts' : null}
          onChoose={() => choose(() => t.methodId, say(t.methodId))}
        />
      ))}
      {best.length === 0 ? <Words>No one method is allowed on every part: choose part by part.</Words> : null}
    </Panel>
  );
}
