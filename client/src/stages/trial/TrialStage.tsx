/** Trial squares on one surface: whether the film holds, what takes it off, how long it needs, and which square to try next. */
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  beside,
  BLANK_SQUARE,
  BOUGHT,
  CHEMISTRIES,
  convert,
  formatMeasure,
  formatRange,
  formatWork,
  lastFaceC,
  measure,
  methodById,
  say,
  stoodMin,
  type Chemistry,
  type Conclusion,
  type MethodId,
  type Problem,
  type Proposal,
  type Square,
  type UnitSystem,
} from '@roughsill/core';
import { wearToTry } from '@roughsill/core/compare';
import { carriedSquare, carryable, firstSquares, type Carried } from '@roughsill/core/trial';
import { Button, Column, Columns, Empty, Panel, Problems, Select, TextField, useUnits, Words } from '../../kit';
import { AnswerRow, Reasons } from '../../kit/Why';
import { add, commit, loadOtherJobs, useAppDispatch, useAppSelector, useSettings } from '../../store';
import type { StageProps } from '../props';
import { cap } from '../../kit/text';
import { Bracket } from './Bracket';
import { FilmPanel } from './FilmPanel';
import { SquareCard } from './SquareCard';
import { SquarePlan } from './SquarePlan';
import { minutesText } from './words';

/** Where the next square goes: side by side, from the left. */
const spotFor = (n: number) => ({ atX: 0.15 + (n % 5) * 0.175, atY: 0.2 + Math.floor(n / 5) * 0.25 });

export function TrialStage({ facts, surface, plan }: StageProps) {
  const dispatch = useAppDispatch();
  const settings = useSettings();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const jobId = facts.job.id;
  const faceC = lastFaceC(surface);
  const squares = surface.squares.filter((q) => q.removedAt === null);
  const lay = (proposals: readonly Proposal[], of: Product, what: string) =>
    setProblems(
      dispatch(
        commit(
          jobId,
          proposals.map((p, i) =>
            add(
              'square',
              {
                ...BLANK_SQUARE,
                methodId: p.methodId,
                ...of,
                coating: p.coating,
                covered: p.covered,
                dwellMin: p.dwellMin === null ? null : Math.max(1, p.dwellMin),
                surfaceC: faceC,
                ...spotFor(squares.length + i),
              },
              surface.id,
            ),
          ),
          what,
        ),
      ),
    );
  const starting = (
    <>
      {squares.length === 0 ? (
        <Empty says="Three small squares side by side, short, middle and long, save a facade. Pick what to try." />
      ) : null}
      <StartPanel
        plan={plan}
        first={squares.length === 0}
        onStart={(id, of, coating) =>
          lay(firstSquares(methodById(id), coating, faceC, settings.rates[id]), of, `${say(id)}: squares marked out`)
        }
      />
    </>
  );
  return (
    <Columns>
      <Column>
        {!plan.issue.value ? (
          <View testID="draft">
            <Panel title="The plan stays a draft">
              <Reasons because={plan.issue.because} />
            </Panel>
          </View>
        ) : null}
        <Problems problems={problems} />
        <FilmPanel jobId={jobId} surface={surface} hold={plan.hold} />
        {squares.length > 0 ? <SquarePlan surface={surface} squares={squares} /> : null}
        {squares.length === 0 ? starting : null}
      </Column>
      <Column>
        {plan.trials.map((t) => (
          <GroupPanel
            key={`${t.methodId}|${t.coating}|${t.product}|${t.chemistry}`}
            group={t}
            squares={squares.filter(
              (q) =>
                q.methodId === t.methodId &&
                q.chemistry === t.chemistry &&
                q.coating.trim().toLowerCase() === t.coating.toLowerCase() &&
                q.product.trim().toLowerCase() === t.product.toLowerCase(),
            )}
            all={squares}
            facts={facts}
            surface={surface}
            onLay={(p) => lay([p], { product: t.product, chemistry: t.chemistry }, 'square marked out')}
          />
        ))}
        {squares.length > 0 ? starting : null}
        <CarryPanel
          facts={facts}
          surface={surface}
          onCarry={(c) =>
            setProblems(
              dispatch(commit(jobId, [add('square', carriedSquare(c, c.fromJob.id === jobId), surface.id)], 'trial carried over')),
            )
          }
        />
      </Column>
    </Columns>
  );
}

/** What is on the tin, and what is in it. */
interface Product {
  readonly product: string;
  readonly chemistry: Chemistry;
}

interface CarryPanelProps {
  readonly facts: StageProps['facts'];
  readonly surface: StageProps['surface'];
  readonly onCarry: (c: Carried) => void;
}

/** Jobs that are looked through for a trial on the same coating: the newest, so that a slow phone is not kept waiting. */
const LOOK_IN = 12;

/** What was tried on the same coating elsewhere, in this job and in others; the others are fetched when they are asked for. */
function CarryPanel({ facts, surface, onCarry }: CarryPanelProps) {
  const dispatch = useAppDispatch();
  const { byId, list } = useAppSelector((s) => s.jobs);
  const [looking, setLooking] = useState(false);
  const squares = surface.squares.filter((q) => q.removedAt === null);
  const here = (c: Carried) =>
    squares.some((q) => q.carriedFrom !== '' && q.methodId === c.square.methodId && q.dwellMin === stoodMin(c.square));
  const others = carryable(
    surface,
    Object.values(byId).map((j) => j.facts),
  ).filter((c) => !here(c));
  const unread = (list ?? []).some((j) => !byId[j.id]);
  const look = async () => {
    setLooking(true);
    await dispatch(loadOtherJobs(LOOK_IN));
    setLooking(false);
  };
  if (others.length === 0 && list !== null && !unread) return null;
  return (
    <Panel title="Tried elsewhere on the same coating" aside={others.length === 0 ? 'nothing yet' : String(others.length)} testID="carry">
      {others.slice(0, 6).map((c) => (
        <View key={c.square.id} className="flex-row flex-wrap items-center gap-3 bg-panel px-3 py-2">
          <View className="min-w-[10rem] flex-1">
            <Words look="row">{cap(say(c.square.methodId))}</Words>
            <Words look="note">
              {[
                c.from.name,
                c.fromJob.id === facts.job.id ? '' : c.fromJob.name,
                c.square.dwellMin === null ? '' : minutesText(stoodMin(c.square) ?? c.square.dwellMin),
                c.square.lifted ? say(c.square.lifted) : '',
              ]
                .filter(Boolean)
                .join(' · ')}
            </Words>
          </View>
          <Button label="Carry it over" says={`Carry over ${say(c.square.methodId)} from ${c.from.name}`} onPress={() => onCarry(c)} />
        </View>
      ))}
      {list === null || unread ? (
        <Button
          label={looking ? 'Looking …' : 'Look in other jobs'}
          disabled={looking}
          onPress={() => void look()}
          testID="look-elsewhere"
        />
      ) : null}
    </Panel>
  );
}

interface GroupProps {
  readonly group: Conclusion;
  readonly squares: readonly Square[];
  readonly all: readonly Square[];
  readonly facts: StageProps['facts'];
  readonly surface: StageProps['surface'];
  readonly onLay: (p: Proposal) => void;
}

function GroupPanel({ group, squares, all, facts, surface, onLay }: GroupProps) {
  const units = useUnits();
  const settings = useSettings();
  const waits = squares.some((q) => q.lifted === null && q.startedAt === null);
  const wear = useMemo(
    () => (waits ? wearToTry(facts, surface.id, group.methodId, settings, new Date().getUTCFullYear()) : null),
    [waits, facts, surface.id, group.methodId, settings],
  );
  const name = [cap(say(group.methodId)), group.product, group.coating && `on ${group.coating}`].filter(Boolean).join(', ');
  return (
    <Panel title={name} aside={`${group.squares} with an answer`} testID={`trial-${group.methodId}`}>
      <AnswerRow
        label={conclusionText(group, formatMeasure(measure(20, 'C'), units))}
        value={STATE_WORDS[group.state.value]}
        of={`the trial of ${say(group.methodId)}`}
        because={group.state.because}
      />
      {measured(group, units) ? <Words look="note">{measured(group, units)}</Words> : null}
      <Bracket group={group} squares={squares} surface={surface} />
      {squares.map((q) => (
        <SquareCard key={q.id} facts={facts} surface={surface} square={q} number={all.indexOf(q) + 1} wear={wear} />
      ))}
      {group.next.map((p) => (
        <View key={p.dwellMin ?? 0} className="gap-1">
          <Button
            label={p.dwellMin === null ? 'Mark out one more' : `Mark out ${minutesText(p.dwellMin)}`}
            says={`Mark out a square of ${say(p.methodId)}${p.dwellMin === null ? '' : ` for ${minutesText(p.dwellMin)}`}`}
            onPress={() => onLay(p)}
            testID={`next-square-${p.methodId}`}
          />
          <Reasons because={p.because} />
        </View>
      ))}
    </Panel>
  );
}

/** What the clean squares took and how long they took, where that was measured. */
function measured(c: Conclusion, units: UnitSystem): string {
  const area = (perM2: number, unit: 'L' | 'h') => {
    const each = units === 'ft' ? convert(100, 'ft2', 'm2') : 1;
    return unit === 'L' ? formatMeasure(measure(perM2 * each, 'L'), units) : formatWork(perM2 * each);
  };
  const per = units === 'ft' ? '100 ft²' : 'm²';
  return [
    c.coverageLPerM2 ? `${formatRange(c.coverageLPerM2, (v) => area(v, 'L'))} of product for ${per}` : '',
    c.workHPerM2 ? `${formatRange(c.workHPerM2, (v) => area(v, 'h'))} of work for ${per}` : '',
  ]
    .filter(Boolean)
    .join(' · ');
}

const STATE_WORDS = { works: 'works', open: 'not yet', failed: 'does not work' } as const;

function conclusionText(c: Conclusion, at: string): string {
  if (c.dwellH) {
    const low = minutesText(c.dwellH.low * 60);
    const high = minutesText(c.dwellH.high * 60);
    return `Plan with ${low === high ? low : `${low} to ${high}`} at ${at}`;
  }
  return c.state.value === 'works' ? 'It comes off' : c.state.value === 'failed' ? 'Another product here' : 'More squares tell';
}

function StartPanel({
  plan,
  first,
  onStart,
}: {
  readonly plan: StageProps['plan'];
  /** Nothing was tried here yet. */
  readonly first: boolean;
  readonly onStart: (id: MethodId, of: Product, coating: string) => void;
}) {
  const worth = (id: MethodId) => methodById(id).dwellH !== null || methodById(id).trialFirst || methodById(id).infrared;
  const ids = [
    ...new Set(
      plan.choice.parts.flatMap((p) =>
        [...p.options, ...p.helpers]
          .filter((o) => (o.verdict !== 'blocked' || o.canInsist) && worth(o.methodId) && !beside(o))
          .map((o) => o.methodId),
      ),
    ),
  ];
  const [picked, setPicked] = useState<MethodId | null>(null);
  const [product, setProduct] = useState('');
  const [chemistry, setChemistry] = useState<Chemistry>('unsaid');
  const [coating, setCoating] = useState('');
  const id = picked ?? ids[0];
  if (!id) return null;
  return (
    <Panel title={first ? 'Try a method' : 'Try another'} testID="start-trial">
      <Select
        label="What to try"
        value={id}
        options={ids.map((value) => ({ value, label: cap(say(value)) }))}
        onChange={setPicked}
        testID="try-method"
      />
      <View className="flex-row flex-wrap items-end gap-3">
        <View className="min-w-[10rem] flex-1">
          <TextField label="Product, as on the tin" value={product} onChange={setProduct} onCommit={setProduct} />
        </View>
        {BOUGHT.includes(id) ? (
          <View className="min-w-[10rem] flex-1">
            <Select
              label="What is in it"
              value={chemistry}
              options={CHEMISTRIES.map((value) => ({ value, label: cap(say(value)) }))}
              onChange={setChemistry}
              testID="chemistry"
            />
          </View>
        ) : null}
        <View className="min-w-[10rem] flex-1">
          <TextField
            label="Coating at the spot, if it differs"
            value={coating}
            onChange={setCoating}
            onCommit={setCoating}
            placeholder="as recorded"
          />
        </View>
      </View>
      <Button
        look="main"
        label={methodById(id).dwellH ? 'Mark out short, middle, long' : 'Mark out a patch'}
        onPress={() => onStart(id, { product: product.trim(), chemistry: BOUGHT.includes(id) ? chemistry : 'unsaid' }, coating.trim())}
        testID="start-squares"
      />
    </Panel>
  );
}
