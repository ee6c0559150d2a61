/** What to buy for a job, a zone or a day: net of shelf and van, in whole packs, with one tap for what was bought. */
import { useMemo, useState } from 'react';
import { ActivityIndicator, View } from 'react-native';
import { router } from 'expo-router';
import { fileName, isCoat, many, moneyIn, type BuyScope, type JobFacts } from '@roughsill/core';
import { shoppingCsv, shoppingText, type BuyRow, type ShoppingPaper } from '@roughsill/core/report';
import { Button, Empty, Panel, Select, TextField, Words } from '../../kit';
import { add, remove, useFirm, useSettings } from '../../store';
import { JobPage } from '../JobPage';
import { PaperButton } from '../PaperButton';
import { saveFile } from '../save-file';
import { useAsked } from '../useAsked';
import { useFirmWrite } from '../firm-write';

export const BuyScreen = () => (
  <JobPage title="What to buy" hint="What the steps still ask for, less what stands on the shelf and in the van." back="work">
    {(facts) => <Buy facts={facts} />}
  </JobPage>
);

const JOB = 'job';

function scopeOf(value: string): BuyScope {
  if (value.startsWith('zone:')) return { kind: 'zone', zoneId: value.slice(5) };
  return value.startsWith('on:') ? { kind: 'day', on: value.slice(3) } : { kind: 'job' };
}
const queryOf = (s: BuyScope): string =>
  s.kind === 'zone' ? `?zone=${encodeURIComponent(s.zoneId)}` : s.kind === 'day' ? `?on=${s.on}` : '';

function Buy({ facts }: { readonly facts: JobFacts }) {
  const settings = useSettings();
  const { tins } = useFirm();
  const [chosen, choose] = useState(JOB);
  const scope = useMemo(() => scopeOf(chosen), [chosen]);
  const answer = useAsked(useMemo(() => ({ kind: 'shopping' as const, facts, settings, tins, scope }), [facts, settings, tins, scope]));
  const [copied, setCopied] = useState<string | null>(null);
  const days = [...new Set(facts.stints.filter((s) => s.removedAt === null).map((s) => s.on))].sort();
  if (answer === null) return <ActivityIndicator aria-label="Adding up" />;
  const { paper, zones } = answer;
  const money = moneyIn(settings.pricesIn);
  const open = paper.sections.flatMap((s) => s.rows).filter((r) => r.buy !== '').length;
  const text = () => shoppingText(paper, `To buy: ${facts.job.name}`);
  return (
    <>
      <Select
        label="For"
        value={chosen}
        options={[
          { value: JOB, label: 'the whole job' },
          ...zones.map((z) => ({ value: `zone:${z.zoneId}`, label: z.name })),
          ...days.map((d) => ({ value: `on:${d}`, label: `the zones in which somebody works on ${d}` })),
        ]}
        onChange={choose}
        testID="buy-scope"
      />
      {paper.empty ? (
        <Empty says={paper.nothing} />
      ) : (
        <View className="border-l-8 border-slate bg-panel px-3 py-2" role="status" testID="buy-total">
          <Words look="head">{`${open === 0 ? 'Nothing left to buy' : `${many(open, 'line')} to buy`}, about ${paper.total}`}</Words>
          <Words look="note">
            Generic goods at usual prices, your own products at their own. The job pays for whole tins of what it opens.
          </Words>
        </View>
      )}
      <View className="flex-row flex-wrap gap-2">
        <Button
          label="Copy as text"
          testID="buy-copy"
          onPress={() =>
            void navigator.clipboard
              .writeText(text())
              .then(() => setCopied('Copied.'))
              .catch(() => setCopied('This browser does not let it be copied: save it instead.'))
          }
        />
        <Button label="Save as text" onPress={() => saveFile(fileName(facts.job.name, 'shopping.txt'), text(), 'text/plain')} />
        <Button
          label="Save as CSV"
          onPress={() => saveFile(fileName(facts.job.name, 'shopping.csv'), shoppingCsv(paper, settings), 'text/csv')}
          testID="buy-csv"
        />
        <PaperButton
          job={facts.job.name}
          path={`/api/jobs/${facts.job.id}/shopping.pdf${queryOf(scope)}`}
          label="Print, PDF"
          testID="buy-pdf"
        />
        <Button label="Shelf" onPress={() => router.navigate('/shelf')} />
      </View>
      {copied ? <Words alert>{copied}</Words> : null}
      {paper.sections.map((s) => (
        <Panel key={s.title} title={s.title}>
          <View className="gap-px">
            {s.rows.map((r) => (
              <LineRow key={`${r.good}/${r.line.colour}`} row={r} jobId={facts.job.id} price={money(r.money)} />
            ))}
          </View>
        </Panel>
      ))}
      <Beside paper={paper} money={money} />
    </>
  );
}

function LineRow({ row: r, jobId, price }: { readonly row: BuyRow; readonly jobId: string; readonly price: string }) {
  const { write, wrong } = useFirmWrite();
  const [batch, setBatch] = useState('');
  /** What was tapped here, to be taken back. */
  const [bought, setBought] = useState<string | null>(null);
  const { line: l } = r;
  const there = r.buy === '';
  const tap = () => {
    const draft = add('tin', {
      good: l.good,
      productId: l.product?.id ?? null,
      amount: l.packing.holds,
      at: 'van',
      // A coat is of the colour of this job; the rest goes to the next.
      forJobId: isCoat(l.good) ? jobId : null,
      batch: batch.trim(),
      colour: l.colour,
      openedOn: null,
    });
    if (write(draft)) setBought(draft.entityId);
  };
  return (
    <View
      className={`flex-row flex-wrap items-start justify-between gap-x-4 gap-y-2 border-l-8 bg-panel px-3 py-2 ${there ? 'border-verdigris' : 'border-ochre'}`}
      testID={`buy-${r.good}`}
    >
      <View className="min-w-[12rem] flex-1 gap-1">
        <Words look="row" level={3}>
          {r.named ? `${r.what}: ${r.named}` : r.what}
        </Words>
        <Words look="strong">{there ? 'All of it is there' : `${r.buy} · about ${price}`}</Words>
        <Words look="note">
          {[`${r.need} needed`, r.there ? `${r.there} from what stands there` : '', r.leftOver ? `${r.leftOver} left over` : '']
            .filter(Boolean)
            .join(' · ')}
        </Words>
        {r.notes.map((n) => (
          <Words key={n} look="note">
            {n}
          </Words>
        ))}
        {wrong ? (
          <Words alert tone="oxide">
            {wrong}
          </Words>
        ) : null}
      </View>
      {there ? (
        bought === null ? null : (
          <Button
            look="quiet"
            label="Not bought after all"
            says={`${r.what}: not bought after all`}
            onPress={() => write(remove('tin', bought)) && setBought(null)}
          />
        )
      ) : (
        <View className="flex-row items-end gap-3">
          {l.batches.length > 0 ? (
            <View className="w-32">
              <TextField label="Batch on the lid" value="" onChange={setBatch} onCommit={setBatch} testID={`batch-${r.good}`} />
            </View>
          ) : null}
          <Button label="Bought" says={`Bought: ${r.what}, ${r.buy}`} testID={`bought-${r.good}`} onPress={tap} />
        </View>
      )}
    </View>
  );
}

function Beside({ paper, money }: { readonly paper: ShoppingPaper; readonly money: (n: number) => string }) {
  return (
    <>
      {paper.masks.length > 0 ? (
        <Panel title="Masks, by person">
          {paper.masks.map((m) => (
            <View key={m.what} className="border-l-8 border-line bg-panel px-3 py-2">
              <Words look="row" level={3}>
                {m.what}
              </Words>
              <Words look="note">{`${m.need} · ${m.who} · about ${money(m.money)}`}</Words>
            </View>
          ))}
        </Panel>
      ) : null}
      {paper.brought.length > 0 ? (
        <Panel title="Brought along, not bought">
          <Words>{paper.brought.map((b) => `${b.what} ${b.amount}`).join(', ')}</Words>
        </Panel>
      ) : null}
    </>
  );
}
