/** What each remedy does and costs, the cheapest set that is enough, and all of them together. */
import { View } from 'react-native';
import { formatMeasure, measure, say, type JobFacts } from '@roughsill/core';
import type { Forecast, Priced } from '@roughsill/core/moist';
import { Words } from '../../kit';
import { useMoney } from '../money';
import { GrowthChart, RemedyLine, type Charted, type ChartLine } from './GrowthChart';

/** In words what a set of remedies does and costs. */
function RemedyRow({ label, o, line }: { readonly label: string; readonly o: Priced; readonly line?: Charted }) {
  const money = useMoney();
  const { once, aYear } = o.cost;
  const costs = [
    once > 0 ? `${money(once)} once` : '',
    Math.abs(aYear) >= 1 ? `${money(Math.abs(aYear))} a year ${aYear > 0 ? 'more' : 'less'} heat` : '',
  ].filter(Boolean);
  return (
    <View className="flex-row flex-wrap items-center gap-3 bg-panel px-3 py-2">
      {line ? <RemedyLine as={line} /> : null}
      <Words look="row" className="min-w-[9rem]">
        {label}
      </Words>
      <Words look="note" className="min-w-[12rem] flex-1">
        {[
          o.seenWeek !== null
            ? `seen in ${Math.ceil(o.seenWeek)} weeks`
            : o.firstWeek !== null
              ? `starts in ${Math.ceil(o.firstWeek)} weeks`
              : 'does not start',
          `at most ${o.peak.toFixed(1)} of 6`,
          `dampest month ${Math.round(o.dampestMonthRhPct)} % at the face`,
          `${o.airChanges.toFixed(1)} air changes/h`,
          ...(o.takes.length === 0 ? [`${Math.round(o.heatKWh)} kWh of heat`] : costs.length > 0 ? costs : ['costs nothing']),
        ].join('; ')}
      </Words>
    </View>
  );
}

export function Remedies({ f, facts }: { readonly f: Forecast; readonly facts: JobFacts }) {
  const lines: ChartLine[] = [
    { as: 'now', outlook: f.now },
    ...(f.least ? [{ as: 'least' as const, outlook: f.least }] : []),
    { as: 'all', outlook: f.all },
  ];
  const named = (takes: Priced['takes']) => takes.map((r) => say(`remedy.${r}`).toLowerCase()).join(', ');
  return (
    <>
      <GrowthChart
        lines={lines}
        says={`Growth index by week. ${lines.map((l) => `${say(`remedy.${l.as}`)}: at most ${l.outlook.peak.toFixed(1)}`).join('; ')}`}
      />
      <View className="gap-1" testID="remedies">
        <RemedyRow label={say('remedy.now')} o={f.now} line="now" />
        {f.least ? <RemedyRow label={`${say('remedy.least')}: ${named(f.least.takes)}`} o={f.least} line="least" /> : null}
        {f.singles.map((o) => (
          <RemedyRow key={o.takes.join()} label={say(`remedy.${o.takes[0]!}`)} o={o} />
        ))}
        <RemedyRow label={say('remedy.all')} o={f.all} line="all" />
      </View>
      {f.least === null && f.all.firstWeek !== null ? (
        <Words look="strong" tone="oxide">
          Not even all of them keep it away: look for water that nobody named, and measure before anything is bought.
        </Words>
      ) : null}
      <Words look="note">
        {`Fan: the size that the rule asks for, running on 30 minutes. Heat: ${formatMeasure(measure(2, 'deltaC'), facts.job.units)} more, never let down. Insulation: to 0.4 W/m²K. Prices from memory, a tenth of what is bought counted a year. A model on wood (Hukka and Viitanen 1999): weeks are a guide, not a promise.`}
      </Words>
    </>
  );
}
