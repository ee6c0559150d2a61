/** Methods of one surface side by side, each with its whole plan: money, days, harm, what it would take to change one's mind. */
import { useMemo, useState } from 'react';
import { ActivityIndicator, Pressable, View } from 'react-native';
import { router, useLocalSearchParams, type Href } from 'expo-router';
import { formatHours, formatRange, formatWork, methodById, say, type JobFacts, type MethodId, type Surface } from '@roughsill/core';
import { tell } from '@roughsill/core/words';
import { ALWAYS, compareStrippers, type Alternative, type Compared, type WhatIf } from '@roughsill/core/compare';
import { Button, Column, Columns, Empty, Panel, useWide, VerdictEdge, Words } from '../../kit';
import { Reasons } from '../../kit/Why';
import { Section, sectionCoats } from '../../section';
import { useSettings } from '../../store';
import { useSurfacePlan } from '../../store/derived';
import { JobPage } from '../JobPage';
import { useMoney } from '../money';
import { useAsked } from '../useAsked';
import { cap } from '../../kit/text';
import { CostHarmChart } from './CostHarmChart';

export const CompareScreen = () => (
  <JobPage full title="Compare" hint="Each method with its whole plan: set-up, sheet, waste, drying and coats are in it." back="choose">
    {(facts) => <ForSurface facts={facts} />}
  </JobPage>
);

function ForSurface({ facts }: { readonly facts: JobFacts }) {
  const { surface: id } = useLocalSearchParams<{ surface?: string }>();
  const surface = facts.surfaces.find((s) => s.id === id && s.removedAt === null);
  if (!surface) return <Empty says="Open Compare from a surface, in Choose." />;
  return <Compare key={surface.id} facts={facts} surface={surface} />;
}

/** A part without a method has no price, and makes none of the whole. */
const priceOfOne = (a: Alternative, money: (n: number) => string): string => (a.unpriced ? 'not priced' : formatRange(a.money, money));
const daysSay = (a: Alternative): string => (a.unpriced ? 'a part has no method' : `${formatRange(a.days, days)} days with drying`);
const days = (n: number): string => (n < 10 ? n.toFixed(1) : String(Math.round(n)));
const HARM = ['none', 'slight', 'some', 'hard'] as const;

function Compare({ facts, surface }: { readonly facts: JobFacts; readonly surface: Surface }) {
  const plan = useSurfacePlan(facts, surface.id);
  const main = plan && [...plan.choice.parts].sort((a, b) => b.areaM2 - a.areaM2)[0]?.selected.value;
  const [picked, setPicked] = useState<readonly MethodId[] | null>(null);
  const side = picked ?? (main ? [main] : []);
  const focus = side.at(-1) ?? null;
  const settings = useSettings();
  const answer = useAsked(
    useMemo(() => ({ kind: 'compare' as const, facts, surfaceId: surface.id, settings, focus }), [facts, surface.id, settings, focus]),
  );
  const money = useMoney();
  if (!plan) return null;
  const toggle = (id: MethodId) => setPicked(side.includes(id) ? side.filter((x) => x !== id) : [...side, id].slice(-3));
  const focused = answer?.compared.open.find((o) => o.methodId === focus);
  return (
    <>
      <Words look="head" level={2}>
        {surface.name}
      </Words>
      {answer === null ? (
        <ActivityIndicator aria-label="Planning with every method" />
      ) : answer.compared.open.length === 0 ? (
        <Empty says="Every method is blocked here. Stop and ask." />
      ) : (
        <Columns>
          <Column>
            <Section
              coats={sectionCoats(plan)}
              material={surface.material}
              bite={
                focused
                  ? { coats: focused.coatsReached, label: say(focused.methodId), toBare: methodById(focused.methodId).bite === 'bare' }
                  : undefined
              }
            />
            <Panel title="Cost against harm" aside="filled: nothing costs less and harms less" testID="cost-harm">
              <CostHarmChart alternatives={answer.compared.open} focus={focus} money={money} />
            </Panel>
            <Panel title="Pick what to compare" aside={`${answer.compared.open.length} may be used here`}>
              {answer.compared.open.map((o) => (
                <AlternativeRow
                  key={o.methodId}
                  option={o}
                  on={side.includes(o.methodId)}
                  money={money}
                  onPress={() => toggle(o.methodId)}
                />
              ))}
            </Panel>
          </Column>
          <Column>
            <Panel title="Side by side" aside="up to three" testID="side-by-side">
              <SideBySide shown={side.flatMap((id) => answer.compared.open.filter((o) => o.methodId === id))} money={money} />
            </Panel>
            {focus ? <WhatIfs focus={focus} cases={answer.whatIf} money={money} /> : null}
            <AlwaysCompared compared={answer.compared} money={money} />
          </Column>
        </Columns>
      )}
      <Strippers areaM2={plan.area.totalM2} money={money} />
      <Button label="Back to the choice" onPress={() => router.navigate(`/job/${facts.job.id}/choose/${surface.id}` as Href)} />
    </>
  );
}

function SideBySide({ shown, money }: { readonly shown: readonly Alternative[]; readonly money: (n: number) => string }) {
  const wide = useWide();
  if (shown.length === 0) return <Words>Pick up to three.</Words>;
  const lines: readonly (readonly [string, (a: Alternative) => string])[] = [
    ['Cost', (a) => priceOfOne(a, money)],
    ['Days with drying', (a) => (a.unpriced ? 'not known' : formatRange(a.days, days))],
    ['Work', (a) => formatRange(a.personHours, formatWork)],
    ['Waiting', (a) => formatRange(a.waitHours, formatHours)],
    ['Harm', (a) => HARM[Math.round(a.harm)]!],
    ['Makes', (a) => (a.makes.length === 0 ? 'nothing' : a.makes.map((m) => tell(`makes.${m}`)).join(', '))],
    ['Proof', (a) => (a.proof === 'trial' ? 'trial squares here' : a.proof === 'carried' ? 'a trial carried over' : 'none: a guess')],
    [
      'Beside it',
      (a) =>
        a.beside.length === 0
          ? 'alone on every part'
          : a.beside.map((b) => `${say(b.part)}: ${b.methodId ? say(b.methodId) : 'stop and ask'}`).join('; '),
    ],
    ['Plan', (a) => (a.draft ? 'a draft until a square is done' : 'may go out')],
  ];
  const rows = lines.length + 1;
  // Rows stand in line across the methods; on a phone the methods stand under each other.
  return (
    <div
      style={{
        display: 'grid',
        gap: wide ? '0 8px' : '8px',
        ...(wide
          ? {
              gridTemplateColumns: `repeat(${shown.length}, minmax(0, 1fr))`,
              gridTemplateRows: `repeat(${rows}, auto)`,
              gridAutoFlow: 'column',
            }
          : {}),
      }}
    >
      {shown.map((a) => (
        <div
          key={a.methodId}
          data-testid={`side-${a.methodId}`}
          style={{
            background: 'rgb(var(--panel))',
            display: 'grid',
            ...(wide ? { gridRow: `span ${rows}`, gridTemplateRows: 'subgrid' } : {}),
          }}
        >
          <View className="flex-row">
            <VerdictEdge verdict={a.verdict} />
            <View className="min-w-0 flex-1 p-3 pb-1">
              <Words look="row">{cap(say(a.methodId))}</Words>
              <Words look="note">{say(a.verdict)}</Words>
            </View>
          </View>
          {lines.map(([label, value]) => (
            <View key={label} className={`border-t border-line px-3 py-1.5 ${wide ? '' : 'flex-row gap-3'}`}>
              <Words look="note" className={wide ? '' : 'w-16 shrink-0'}>
                {label}
              </Words>
              <Words look={label === 'Cost' || label === 'Days' ? 'strong' : 'body'} className="min-w-0 flex-1">
                {value(a)}
              </Words>
            </View>
          ))}
        </div>
      ))}
    </div>
  );
}

function AlternativeRow({
  option: o,
  on,
  money,
  onPress,
}: {
  readonly option: Alternative;
  readonly on: boolean;
  readonly money: (n: number) => string;
  readonly onPress: () => void;
}) {
  return (
    <View className={`flex-row bg-panel border-2 ${on ? 'border-soot' : 'border-panel'}`}>
      <VerdictEdge verdict={o.verdict} />
      <Pressable
        role="checkbox"
        aria-checked={on}
        aria-label={`${say(o.methodId)}, ${say(o.verdict)}, ${priceOfOne(o, money)}`}
        testID={`compare-${o.methodId}`}
        onPress={onPress}
        className="min-h-touch min-w-0 flex-1 px-3 py-2"
      >
        <View className="flex-row items-baseline justify-between gap-3">
          <Words look="row" className="min-w-0 flex-1">{`${on ? '✓ ' : ''}${cap(say(o.methodId))}`}</Words>
          <Words look="strong">{priceOfOne(o, money)}</Words>
        </View>
        <Words look="note">{`${daysSay(o)} · harm ${HARM[Math.round(o.harm)]}${o.dominated ? '' : ' · nothing costs less and harms less'}${o.proof === 'none' ? ' · a guess' : ''}`}</Words>
      </Pressable>
    </View>
  );
}

function WhatIfs({
  focus,
  cases,
  money,
}: {
  readonly focus: MethodId;
  readonly cases: readonly WhatIf[];
  readonly money: (n: number) => string;
}) {
  if (cases.length === 0) return null;
  const most = Math.max(1, ...cases.map((c) => Math.abs(c.moneyThen - c.money)));
  return (
    <Panel title="What if" aside={say(focus)} testID="what-if">
      {cases.map((c) => {
        const more = c.moneyThen - c.money;
        return (
          <View key={c.what} className="gap-1 bg-panel px-3 py-2">
            <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
              <Words>{cap(tell(`whatIf.${c.what}`))}</Words>
              <Words look="row">{`${more >= 0.5 ? '+' : ''}${money(more)}${Math.abs(c.daysThen - c.days) >= 0.05 ? `, ${days(c.daysThen)} days with drying for ${days(c.days)}` : ''}`}</Words>
            </View>
            <View aria-hidden className="h-1.5 bg-slate" style={{ width: `${Math.max(1, (Math.abs(more) / most) * 100)}%` }} />
          </View>
        );
      })}
    </Panel>
  );
}

function AlwaysCompared({ compared, money }: { readonly compared: Compared; readonly money: (n: number) => string }) {
  return (
    <Panel title="Or not strip at all" aside="always asked" testID="always">
      {ALWAYS.map((id) => {
        const open = compared.open.find((o) => o.methodId === id);
        const shut = compared.blocked.find((b) => b.methodId === id);
        return (
          <View key={id} className="gap-1 bg-panel px-3 py-2">
            <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
              <Words look="row">{cap(say(id))}</Words>
              <Words look="strong">{open ? priceOfOne(open, money) : 'blocked'}</Words>
            </View>
            {open ? <Words look="note">{`${daysSay(open)} · harm ${HARM[Math.round(open.harm)]}`}</Words> : null}
            {shut ? <Reasons because={shut.because} /> : null}
          </View>
        );
      })}
    </Panel>
  );
}

/** Own caustic mix, ready-made, infrared: on this area, whatever the rules say of them here. */
function Strippers({ areaM2, money }: { readonly areaM2: number; readonly money: (n: number) => string }) {
  const settings = useSettings();
  const lines = useMemo(() => compareStrippers(areaM2, settings), [areaM2, settings]);
  return (
    <Panel title="Own caustic, ready-made, or infrared" aside="on this area" testID="strippers">
      {lines.map((l) => (
        <View key={l.methodId} className="gap-0.5 bg-panel px-3 py-2">
          <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
            <Words look="row">{cap(say(l.methodId))}</Words>
            <Words look="row">{formatRange(l.total, money)}</Words>
          </View>
          <Words look="note">{`product ${formatRange(l.product, money)} · labour ${formatRange(l.labour, money)} · rinse ${l.rinse.high === 0 ? 'none' : formatRange(l.rinse, money)}`}</Words>
          <Words look="note">{`${l.dwellHours ? `soaks ${formatRange(l.dwellHours, formatHours)}` : 'no soak, two people'} · makes ${l.risks.map((r) => tell(`makes.${r}`)).join(', ')}${l.trialFirst ? ' · trial square first' : ''}`}</Words>
        </View>
      ))}
    </Panel>
  );
}
