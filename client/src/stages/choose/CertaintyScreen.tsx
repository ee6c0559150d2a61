/** Buy certainty: each open test or trial with its price, and by how much its answer closes the price of the job; best first. */
import { useMemo, useState } from 'react';
import { ActivityIndicator, View } from 'react-native';
import { router, type Href } from 'expo-router';
import { formatRange, say, type JobFacts, many } from '@roughsill/core';
import type { Certainty } from '@roughsill/core/compare';
import { Button, Empty, Panel, useWide, Words } from '../../kit';
import { Sheet, SheetName } from '../../kit/Sheet';
import { Plain } from '../../kit/sheet-look';
import { cap } from '../../kit/text';
import { Reasons, Why } from '../../kit/Why';
import { useSettings } from '../../store';
import { useDigest } from '../../store/derived';
import { JobPage } from '../JobPage';
import { useMoney } from '../money';
import { useAsked } from '../useAsked';

export const CertaintyScreen = () => (
  <JobPage
    full
    title="Buy certainty"
    hint="What each open test or trial square costs, and by how much its answer closes the price. Best first."
    back="walk"
  >
    {(facts) => <Offers facts={facts} />}
  </JobPage>
);

const COUNTED: Readonly<Record<Certainty['kind'], readonly [one: string, many: string]>> = {
  lead: ['lead test', 'lead tests'],
  asbestos: ['asbestos sample', 'asbestos samples'],
  squares: ['trial square', 'trial squares'],
};
const countOf = (c: Certainty): string => `${c.count} ${COUNTED[c.kind][c.count === 1 ? 0 : 1]}`;

function Offers({ facts }: { readonly facts: JobFacts }) {
  const settings = useSettings();
  const money = useMoney();
  const wide = useWide();
  const [open, setOpen] = useState<string | null>(null);
  const { digest } = useDigest(facts);
  const offers = useAsked(useMemo(() => ({ kind: 'certainty' as const, facts, settings }), [facts, settings]));
  if (offers === null) return <ActivityIndicator aria-label="Reckoning what each answer would change" />;
  const asked = offers.filter((c) => c.asked);
  const free = offers.filter((c) => !c.asked);
  const most = Math.max(1, ...offers.map((c) => c.closes));
  return (
    <>
      {digest ? <Words look="row">{`The job stands at ${formatRange(digest.totals.money, money)}.`}</Words> : null}
      {offers.length === 0 ? <Empty says="No open test or trial would close more of the price than it costs." /> : null}
      {wide ? (
        <Sheet<Certainty>
          testID="certainty-table"
          label="What can be found out"
          rows={offers}
          keyOf={keyOf}
          groupOf={(c) => (c.asked ? ASKED : FREE)}
          columns={[
            {
              head: 'Where',
              cell: (c) => (
                <SheetName
                  label={whereOf(c, facts)}
                  says={`${whereOf(c, facts)}, ${countOf(c)}: why`}
                  open={open === keyOf(c)}
                  onPress={() => setOpen(open === keyOf(c) ? null : keyOf(c))}
                />
              ),
            },
            { head: 'What', cell: (c) => <Plain>{`${countOf(c)}${whatOf(c) ? `, ${whatOf(c)}` : ''}`}</Plain> },
            { head: 'Costs', right: true, cell: (c) => <Plain strong>{money(c.costs)}</Plain> },
            {
              head: 'Closes',
              right: true,
              cell: (c) => (
                <View className="flex-row items-center justify-end gap-2">
                  <View aria-hidden className="h-1.5 bg-slate" style={{ width: Math.max(2, (c.closes / most) * 80) }} />
                  <Plain strong>{money(c.closes)}</Plain>
                </View>
              ),
            },
            { head: 'Saves on average', right: true, cell: (c) => <Plain>{c.saves === null ? '' : money(c.saves)}</Plain> },
            { head: 'Wait', cell: (c) => <Plain>{c.delayDays > 0 ? many(c.delayDays, 'day') : 'none'}</Plain> },
          ]}
          detailOf={(c) => (open === keyOf(c) ? <Behind c={c} facts={facts} money={money} /> : null)}
        />
      ) : null}
      {!wide && asked.length > 0 ? (
        <Panel title={ASKED} aside={String(asked.length)} testID="certainty-asked">
          {asked.map((c) => (
            <Offer key={keyOf(c)} c={c} facts={facts} money={money} most={most} />
          ))}
        </Panel>
      ) : null}
      {!wide && free.length > 0 ? (
        <Panel title={FREE} aside="best first" testID="certainty-free">
          {free.map((c) => (
            <Offer key={keyOf(c)} c={c} facts={facts} money={money} most={most} />
          ))}
        </Panel>
      ) : null}
    </>
  );
}

const ASKED = 'Asked for, whatever it costs';
const FREE = 'Worth buying';
const keyOf = (c: Certainty): string => `${c.kind}${c.methodId ?? c.suspect ?? ''}${c.surfaceIds[0]}`;

/** What the two outcomes are apart, in words. */
function closesText(c: Certainty, money: (n: number) => string): string {
  if (c.kind === 'squares') return `closes the range by ${money(c.closes)}`;
  return c.kind === 'lead' ? `lead or none: ${money(c.closes)} apart` : `asbestos or none: ${money(c.closes)} apart, with a licensed firm`;
}

function whereOf(c: Certainty, facts: JobFacts): string {
  const names = c.surfaceIds.map((id) => facts.surfaces.find((s) => s.id === id)?.name ?? '');
  return names.length > 3 ? `${names.slice(0, 3).join(', ')} and ${names.length - 3} more` : names.join(', ');
}
const whatOf = (c: Certainty): string => (c.methodId ? say(c.methodId) : c.suspect ? say(c.suspect) : '').toLowerCase();

interface BehindProps {
  readonly c: Certainty;
  readonly facts: JobFacts;
  readonly money: (n: number) => string;
}
/** The way there. */
function Go({ c, facts }: Omit<BehindProps, 'money'>) {
  const squares = c.kind === 'squares';
  return (
    <Button
      look="quiet"
      flush
      label={squares ? 'Lay the squares' : 'Take the test'}
      says={`${squares ? 'Lay the squares on' : 'Take the test on'} ${whereOf(c, facts)}`}
      onPress={() => router.navigate(`/job/${facts.job.id}/${squares ? 'trial' : 'probe'}/${c.surfaceIds[0]}` as Href)}
    />
  );
}

const Behind = ({ c, facts, money }: BehindProps) => (
  <View className="max-w-[46rem]">
    <Words>{cap(closesText(c, money))}</Words>
    <Reasons because={c.because} />
    <Go c={c} facts={facts} />
  </View>
);

function Offer({ c, facts, money, most }: BehindProps & { readonly most: number }) {
  return (
    <View testID="offer" className="gap-1 bg-panel px-3 py-2">
      <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
        <Words look="row" className="min-w-[12rem] flex-1">
          {whereOf(c, facts)}
        </Words>
        <Words look="row">{money(c.costs)}</Words>
      </View>
      <Words>{`${countOf(c)}${whatOf(c) ? `, ${whatOf(c)}` : ''}: ${closesText(c, money)}`}</Words>
      <View aria-hidden className="h-1.5 bg-slate" style={{ width: `${Math.max(1, (c.closes / most) * 100)}%` }} />
      <Words look="note">
        {[
          c.saves === null ? '' : c.saves >= 1 ? `saves ${money(c.saves)} on average` : 'saves nothing on average',
          c.delayDays > 0 ? `${many(c.delayDays, 'day')} at the lab` : 'answered on the day',
        ]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      <View className="flex-row flex-wrap gap-x-2">
        <Go c={c} facts={facts} />
        <Why of={`${whereOf(c, facts)}, ${countOf(c)}`} because={c.because} />
      </View>
    </View>
  );
}
