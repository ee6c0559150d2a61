/** The shelf: the firm's products by their own sheets, and what stands on the shelf, in the van, on the jobs. Works without a job. */
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import {
  apartOn,
  formatMeasure,
  GOOD_GROUPS,
  GOODS,
  GOODS_BY_GROUP,
  isGood,
  measure,
  moneyIn,
  ownOf,
  packsOf,
  ProductFields,
  say,
  type GoodGroup,
  type GoodId,
  type Product,
  type Tin,
} from '@roughsill/core';
import { benchWords } from '@roughsill/core/prepare';
import { pricesText } from '@roughsill/core/report';
import { readShelf, readShelfCsv, shelfCsv, shelfDrafts, writeShelf } from '@roughsill/core/import';
import { Button, FilePick, Folded, Panel, Select, UnitsProvider, useUnits, Words } from '../../kit';
import { useKept } from '../../kit/drafts';
import { cap } from '../../kit/text';
import { add, newId, remove, set, useFirm, useSettings } from '../../store';
import { useKeptScroll, useWayBack } from '../../trail';
import { useFirmWrite } from '../firm-write';
import { Notices } from '../Notices';
import { readText } from '../probe/table-file';
import { saveFile } from '../save-file';
import { useJobAtHand } from '../useJobAtHand';
import { ProductEditor } from './ProductEditor';
import { TinRow } from './TinRow';

type Shown = 'there' | GoodGroup;

const here = <T extends { readonly removedAt: string | null }>(all: readonly T[]): T[] => all.filter((x) => x.removedAt === null);

export function ShelfScreen() {
  const { units } = useJobAtHand();
  const way = useWayBack({ href: '/', label: 'All jobs' }, '/');
  const scroll = useKeptScroll();
  const firm = useFirm();
  const [{ shown }, put] = useKept<{ shown: Shown }>('shelf', { shown: 'there' });
  const { write, wrong, setWrong } = useFirmWrite();
  const products = here(firm.products);
  const tins = here(firm.tins);
  const groups = GOOD_GROUPS.filter((g) => shown === 'there' || shown === g);
  return (
    <UnitsProvider value={units}>
      <View className="flex-1 bg-limewash">
        <ScrollView {...scroll} testID="page" contentContainerClassName="w-full max-w-[56rem] gap-5 self-center p-4 pb-10">
          <View className="gap-1">
            <Button look="quiet" label={`‹ ${way.label}`} says={`Back to ${way.label}`} onPress={way.go} flush />
            <Words look="title" level={1}>
              Shelf
            </Words>
            <Words>Your own sheets outrank the generic values everywhere: film, waits, limits, price, gloves.</Words>
          </View>
          <Select<Shown>
            label="Show"
            value={shown}
            options={[
              { value: 'there', label: 'What you work with and what stands there' },
              ...GOOD_GROUPS.map((value) => ({ value, label: cap(say(`group.${value}`)) })),
            ]}
            onChange={(v) => put({ shown: v })}
            testID="shelf-shown"
          />
          {wrong ? (
            <View role="alert" className="border-2 border-oxide bg-panel p-3">
              <Words look="strong" tone="oxide">
                {cap(wrong)}
              </Words>
            </View>
          ) : null}
          {shown === 'there' && products.length === 0 && tins.length === 0 ? (
            <Words look="note">Nothing is written down yet. Plans take generic products until you add your own.</Words>
          ) : null}
          <Apart tins={tins} />
          {groups.map((group) => (
            <Group key={group} group={group} all={shown !== 'there'} products={products} tins={tins} />
          ))}
          <NewProduct group={shown === 'there' ? null : shown} />
          <Panel title="Files" aside="open formats, in and out">
            <View className="flex-row flex-wrap gap-2">
              <Button
                label="Save as JSON"
                onPress={() => saveFile('shelf.json', writeShelf(firm.products, firm.tins))}
                testID="shelf-json"
              />
              <Button label="Save as CSV" onPress={() => saveFile('shelf.csv', shelfCsv(firm.products), 'text/csv')} />
              <FilePick
                label="Bring a file, JSON or CSV"
                accept=".json,.csv,.txt"
                testID="shelf-file"
                onFiles={([file]) => {
                  if (!file) return;
                  if (/\.json$/i.test(file.name))
                    void readText(file, readShelf).then((r) => (r.ok ? write(...shelfDrafts(r.value, firm)) : setWrong(r.says)));
                  else
                    void file.arrayBuffer().then((bytes) => {
                      const r = readShelfCsv(new Uint8Array(bytes));
                      if (r.ok) write(...r.value.map((fields) => add('product', fields)));
                      else setWrong(r.problems.map((p) => `${p.path}: ${p.message}`).join('; '));
                    });
                }}
              />
            </View>
            <Words look="note">A CSV has the data sheets, JSON also what stands there. All of a file is taken, or nothing.</Words>
          </Panel>
          <Words look="note">What is not on the sheet stays generic. The sheet in your hand comes before what is typed here.</Words>
        </ScrollView>
        <Notices />
      </View>
    </UnitsProvider>
  );
}

/** What stands together and must not meet. */
function Apart({ tins }: { readonly tins: readonly Tin[] }) {
  const found = apartOn(useSettings(), tins);
  const words = benchWords('en');
  if (found.length === 0) return null;
  return (
    <Panel title="Keep apart" aside="on no common board, in no common pail or bin" testID="shelf-apart">
      <View className="gap-px">
        {found.map(({ at, one, other, meeting }) => (
          <View key={`${at}${one}${other}`} className="border-l-8 border-oxide bg-panel px-3 py-2">
            <Words look="row">{`${cap(say(one))} and ${say(other)}, both ${say(`stands.${at}`)}`}</Words>
            <Words tone="oxide">{`${cap(words.forms[meeting.forms])}.`}</Words>
          </View>
        ))}
      </View>
    </Panel>
  );
}

interface GroupProps {
  readonly group: GoodGroup;
  /** Generic goods too. */
  readonly all: boolean;
  readonly products: readonly Product[];
  readonly tins: readonly Tin[];
}

function Group({ group, all, products, tins }: GroupProps) {
  const goods = (GOODS_BY_GROUP[group] as readonly GoodId[]).filter(
    (g) => all || products.some((p) => p.good === g) || tins.some((t) => t.good === g),
  );
  if (goods.length === 0) return null;
  return (
    <Panel title={cap(say(`group.${group}`))} testID={`group-${group}`}>
      {goods.map((good) => (
        <GoodBlock key={good} good={good} products={products.filter((p) => p.good === good)} tins={tins.filter((t) => t.good === good)} />
      ))}
    </Panel>
  );
}

function GoodBlock({
  good,
  products,
  tins,
}: {
  readonly good: GoodId;
  readonly products: readonly Product[];
  readonly tins: readonly Tin[];
}) {
  const units = useUnits();
  const settings = useSettings();
  const { write } = useFirmWrite();
  const used = ownOf(settings, good);
  const amount = (v: number) => formatMeasure(measure(v, GOODS[good].unit), units);
  const stock = tins.reduce((sum, t) => sum + t.amount, 0);
  const money = moneyIn(settings.pricesIn);
  // Sold in gallons where rooms are measured in feet.
  const rules = units === 'ft' ? 'us' : 'uk';
  return (
    <View className={`gap-2 border-l-8 py-1 pl-3 ${stock > 0 ? 'border-verdigris' : 'border-line'}`} testID={`good-${good}`}>
      <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
        <Words look="row" level={3}>
          {cap(say(good))}
        </Words>
        <Words look="strong">{stock > 0 ? `${amount(stock)} there` : 'none there'}</Words>
      </View>
      <Words look="note">
        {used === null
          ? `Generic: ${pricesText(packsOf(settings, good, rules), GOODS[good].unit, units, money)}`
          : `By your own sheet: ${used.name}`}
      </Words>
      {products.map((p) => (
        <ProductRow key={p.id} product={p} used={used?.id === p.id} />
      ))}
      {tins.map((t) => (
        <TinRow key={t.id} tin={t} product={products.find((p) => p.id === t.productId) ?? null} />
      ))}
      <Button
        look="quiet"
        flush
        label="Add what stands there"
        says={`${cap(say(good))}: add what stands there`}
        testID={`stands-${good}`}
        onPress={() =>
          write(
            add('tin', {
              good,
              productId: used?.id ?? null,
              amount: packsOf(settings, good, rules)[0]!.size,
              at: 'shelf',
              forJobId: null,
              batch: '',
              colour: '',
              openedOn: null,
            }),
          )
        }
      />
    </View>
  );
}

function ProductRow({ product: p, used }: { readonly product: Product; readonly used: boolean }) {
  const { write, wrong } = useFirmWrite();
  const [open, setOpen] = useState(false);
  const units = useUnits();
  const says = [
    p.chemistry === 'unsaid' ? '' : say(`stuff.${p.chemistry}`),
    p.solidsPct === null ? '' : `${p.solidsPct} % solids`,
    p.dryFilmUm === null ? '' : `${formatMeasure(measure(p.dryFilmUm, 'um'), units)} dry`,
    p.recoatLeastH === null ? '' : `next coat from ${formatMeasure(measure(p.recoatLeastH, 'h'), units)}`,
    p.recoatMostH === null ? '' : `to ${formatMeasure(measure(p.recoatMostH, 'h'), units)}`,
    p.sheet,
  ].filter(Boolean);
  return (
    <View className="gap-1" testID={`product-${p.id}`}>
      <Words look="strong">{p.name}</Words>
      <Words look="note">
        {[used ? 'in use: it outranks the generic values' : p.inUse ? 'in use, after another' : 'not in use', ...says].join(' · ')}
      </Words>
      <Button
        look="quiet"
        flush
        label={open ? 'Close' : 'Data sheet'}
        says={`${open ? 'Close' : 'Data sheet of'} ${p.name}`}
        expanded={open}
        onPress={() => setOpen(!open)}
      />
      {open ? (
        <ProductEditor
          product={p}
          onPut={(fields) => write(set('product', p.id, fields))}
          onRemove={() => write(remove('product', p.id))}
        />
      ) : null}
      {wrong ? (
        <Words alert tone="oxide">
          {cap(wrong)}
        </Words>
      ) : null}
    </View>
  );
}

function NewProduct({ group }: { readonly group: GoodGroup | null }) {
  const { write, wrong } = useFirmWrite();
  const [good, setGood] = useState<GoodId | ''>('');
  const choices = (group === null ? GOOD_GROUPS : [group]).flatMap((g) => GOODS_BY_GROUP[g] as readonly GoodId[]);
  return (
    <Folded title="Add a product by its own sheet" says="what it is, then what its sheet says" testID="new-product">
      <Select<GoodId | ''>
        label="What it is"
        value={good}
        options={[{ value: '', label: 'choose' }, ...choices.map((value) => ({ value, label: cap(say(value)) }))]}
        onChange={setGood}
        testID="new-product-good"
      />
      {good === '' || !isGood(good) ? null : (
        <ProductEditor
          key={good}
          product={{ ...ProductFields.parse({ name: 'New', good }), name: '', id: newId(), removedAt: null }}
          onAdd={(fields) => {
            if (write(add('product', fields))) setGood('');
          }}
        />
      )}
      {wrong ? (
        <Words alert tone="oxide">
          {cap(wrong)}
        </Words>
      ) : null}
    </Folded>
  );
}
