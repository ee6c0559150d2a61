/** Every method for one part: allowed, with care, blocked, and why; ranked by what is wanted. */
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import {
  beside,
  convert,
  effortOn,
  formatHours,
  formatMeasure,
  formatRange,
  formatWork,
  measure,
  methodById,
  say,
  usesGrit,
  type Material,
  type Method,
  type MethodId,
  type MethodOption,
  type Part,
  type PartChoice,
  type Problem,
  spell,
} from '@roughsill/core';
import { sentence } from '@roughsill/core/words';
import { Button, Column, Columns, NumberField, Panel, TextField, useUnits, useWide, VerdictEdge, Words } from '../../kit';
import { AnswerRow, Reasons } from '../../kit/Why';
import { Strip, type SectionCoat } from '../../section';
import { cap } from '../../kit/text';

interface PartMethodsProps {
  readonly coats: readonly SectionCoat[];
  readonly material: Material;
  readonly part: PartChoice;
  readonly looking: MethodId | null;
  readonly onLook: (m: MethodId | null) => void;
  readonly money: (n: number) => string;
  readonly insisted: string | null;
  readonly several: boolean;
  readonly onChoose: (m: MethodId | null, insistedWhy: string | null, all: boolean) => void;
  /** What the person added before or after the main method. */
  readonly added: readonly MethodId[];
  readonly onAlso: (ids: MethodId[], what: string) => void;
  /** How the person means to work it: abrasives in order, what the tool is set to. */
  readonly how: Pick<Part, 'methodId' | 'grits' | 'toolC'>;
  readonly onHow: (how: Partial<Pick<Part, 'grits' | 'toolC'>>, what: string) => readonly Problem[];
}

/** The best stand open; the others and what is blocked behind one tap. */
const BEST = { phone: 3, desk: 6 };

export function PartMethods({
  part,
  coats,
  material,
  looking,
  onLook,
  money,
  insisted,
  several,
  onChoose,
  added,
  onAlso,
  how,
  onHow,
}: PartMethodsProps) {
  const units = useUnits();
  const wide = useWide();
  const best = wide ? BEST.desk : BEST.phone;
  const [all, setAll] = useState(false);
  const [open, setOpen] = useState<MethodId | null>(null);
  const blocked = part.options.filter((o) => o.verdict === 'blocked' && !beside(o));
  const others = part.options.filter(beside).length;
  // What the plan has stands first; the others in their rank.
  const inPlan = (o: MethodOption) => o.methodId === part.selected.value;
  const allowed = part.options.filter((o) => o.verdict !== 'blocked').sort((a, b) => Number(inPlan(b)) - Number(inPlan(a)));
  const shown = all
    ? [...allowed, ...blocked]
    : [...allowed.slice(0, best), ...blocked.filter((o) => o.methodId === how.methodId || o.methodId === part.selected.value)];
  const more = Math.max(0, allowed.length - best);
  // At a desk the reasons stand beside the list: of what is looked at, else of what the plan has.
  const seen = shown.find((o) => o.methodId === open) ?? shown.find(inPlan) ?? shown[0];
  const rowOf = (o: MethodOption) => ({
    option: o,
    part,
    money,
    coats,
    material,
    chosen: part.chosenByPerson && part.selected.value === o.methodId,
    first: !part.chosenByPerson && part.selected.value === o.methodId,
    beside: wide,
    insisted,
    several,
    onToggle: () => {
      setOpen(open === o.methodId ? null : o.methodId);
      onLook(looking === o.methodId ? null : o.methodId);
    },
    onChoose: (why: string | null, everywhere: boolean) => onChoose(o.methodId, why, everywhere),
    onUndo: () => onChoose(null, null, false),
    planned: part.selected.value === o.methodId || how.methodId === o.methodId,
    how,
    onHow,
  });
  return (
    <Panel title={cap(say(part.kind))} aside={formatMeasure(measure(part.areaM2, 'm2'), units)} testID={`part-${part.kind}`}>
      {part.selected.because.some((r) => r.effect === 'block' || r.rule === 'choice.insisted') ? (
        <Reasons because={part.selected.because} />
      ) : null}
      <Columns>
        <Column>
          <View className="gap-2">
            {shown.map((o) => (
              <MethodRow key={o.methodId} {...rowOf(o)} open={open === o.methodId || (wide && seen === o)} />
            ))}
            {allowed.length === 0 ? (
              <Words look="row" tone="oxide">
                Every method is blocked here. Stop and ask.
              </Words>
            ) : null}
          </View>
          {blocked.length + more > 0 ? (
            <Button
              look="quiet"
              label={
                all
                  ? 'Only the best'
                  : `Show ${[more > 0 ? `${more} more` : '', blocked.length > 0 ? `the ${blocked.length} that are blocked, and why` : ''].filter(Boolean).join(', and ')}`
              }
              expanded={all}
              onPress={() => setAll(!all)}
              flush
              testID={`blocked-${part.kind}`}
            />
          ) : null}
          {all && others > 0 ? (
            <Words look="note">{`${others} more are not for this material, or have nothing here to take off.`}</Words>
          ) : null}
        </Column>
        {wide && seen ? (
          <Column>
            <View className="gap-2 border-l-4 border-line pl-4">
              <Words look="row">{`${cap(say(seen.methodId))}: ${say(seen.verdict)}`}</Words>
              <MethodDetail {...rowOf(seen)} />
            </View>
          </Column>
        ) : null}
      </Columns>
      <Helpers part={part} added={added} money={money} onAlso={onAlso} />
    </Panel>
  );
}

/** What goes before or after: washing, mold, rust gel, putty. Only what has something to do here. */
function Helpers({ part, added, money, onAlso }: Pick<PartMethodsProps, 'part' | 'added' | 'money' | 'onAlso'>) {
  const [open, setOpen] = useState(false);
  const useful = part.helpers.filter((o) => !beside(o) && o.verdict !== 'blocked' && methodById(o.methodId).reach[part.kind] !== undefined);
  const on = part.also;
  if (useful.length === 0 && on.length === 0) return null;
  return (
    <View className="gap-2">
      {on.map((a) => (
        <AnswerRow key={a.value} label={`Also: ${say(a.value)}`} of={`${say(a.value)} in the plan`} because={a.because} />
      ))}
      <Button
        look="quiet"
        flush
        label={open ? 'Close' : spell('Wash, mold, rust, putty')}
        expanded={open}
        onPress={() => setOpen(!open)}
        testID={`helpers-${part.kind}`}
      />
      {open
        ? useful.map((o) => {
            const has = added.includes(o.methodId);
            const cost = effortOn(part.areaM2, o.perM2, methodById(o.methodId)).total;
            return (
              <View key={o.methodId} className="gap-1 bg-panel">
                <AnswerRow
                  label={cap(say(o.methodId))}
                  value={formatRange(cost, money)}
                  note={say(o.verdict)}
                  of={say(o.methodId)}
                  because={o.because}
                />
                <View className="px-3 pb-2">
                  <Button
                    label={has ? 'Take it out' : 'Add it'}
                    says={`${has ? 'Take out' : 'Add'} ${say(o.methodId)}`}
                    testID={`also-${o.methodId}`}
                    onPress={() =>
                      onAlso(
                        has ? added.filter((x) => x !== o.methodId) : [...added, o.methodId],
                        has ? `${say(o.methodId)} taken out` : `${say(o.methodId)} added`,
                      )
                    }
                  />
                </View>
              </View>
            );
          })
        : null}
    </View>
  );
}

interface MethodRowProps {
  readonly coats: readonly SectionCoat[];
  readonly material: Material;
  readonly option: MethodOption;
  readonly part: PartChoice;
  readonly money: (n: number) => string;
  readonly open: boolean;
  readonly chosen: boolean;
  readonly first: boolean;
  /** Its details stand beside the list, not under it. */
  readonly beside: boolean;
  readonly insisted: string | null;
  readonly several: boolean;
  readonly onToggle: () => void;
  readonly onChoose: (insistedWhy: string | null, all: boolean) => void;
  readonly onUndo: () => void;
  /** It is in the plan: how it is worked can be said. */
  readonly planned: boolean;
  readonly how: PartMethodsProps['how'];
  readonly onHow: PartMethodsProps['onHow'];
}

const WEIGHT = { block: 0, care: 1, note: 2 } as const;
const weightiestFirst = (rs: MethodOption['because']) => [...rs].sort((a, b) => WEIGHT[a.effect] - WEIGHT[b.effect]);

function MethodRow({ option: o, part, money, open, chosen, first, beside, onToggle, ...rest }: MethodRowProps) {
  const units = useUnits();
  const effort = effortOn(part.areaM2, o.perM2, methodById(o.methodId));
  const weighty = o.because.filter((r) => r.effect === (o.verdict === 'blocked' ? 'block' : 'care'));
  const headline = weighty[0] ?? o.because[0];
  const more = weighty.length - 1;
  return (
    <View
      testID={`method-${o.methodId}`}
      className={`flex-row border-2 ${chosen ? 'border-soot' : beside && open ? 'border-line' : 'border-panel'} ${beside && open ? 'bg-shelf' : 'bg-panel'}`}
    >
      <VerdictEdge verdict={o.verdict} />
      <View className="min-w-0 flex-1">
        <Pressable
          role="button"
          aria-expanded={open}
          aria-label={`${say(o.methodId)}, ${say(o.verdict)}: why and details`}
          onPress={onToggle}
          {...({ dataSet: { why: 'yes' } } as object)}
          className="min-h-touch gap-0.5 px-3 py-2"
        >
          <View className="flex-row items-baseline justify-between gap-3">
            <Words look="row" className="min-w-0 flex-1">
              {cap(say(o.methodId))}
            </Words>
            {o.verdict === 'blocked' ? (
              <Words look="note">why</Words>
            ) : (
              <Words look="row">{formatRange(effort.personHours, formatWork)}</Words>
            )}
          </View>
          <View className="flex-row items-start justify-between gap-3">
            <Words
              look="note"
              className="min-w-0 flex-1"
              lines={open && !beside ? undefined : 2}
            >{`${chosen ? 'chosen · ' : first ? 'ranks first · ' : ''}${say(o.verdict)}${headline && o.verdict !== 'go' ? `: ${sentence(headline, units)}` : ''}${more > 0 ? ` (+${more})` : ''}`}</Words>
            {o.verdict === 'blocked' ? null : <Words look="strong">{formatRange(effort.total, money)}</Words>}
          </View>
        </Pressable>
        {open && !beside ? (
          <View className="px-3 pb-3">
            <MethodDetail {...rest} option={o} part={part} chosen={chosen} />
          </View>
        ) : null}
      </View>
    </View>
  );
}

type DetailProps = Omit<MethodRowProps, 'money' | 'open' | 'first' | 'beside' | 'onToggle'>;

/** How deep a method goes here, what speaks for and against it, and the choice. */
function MethodDetail({ option: o, part, coats, material, chosen, insisted, several, onChoose, onUndo, planned, how, onHow }: DetailProps) {
  const effort = effortOn(part.areaM2, o.perM2, methodById(o.methodId));
  return (
    <View className="gap-3" testID={`detail-${o.methodId}`}>
      <View className="flex-row items-center gap-3">
        <Strip coats={coats} material={material} bite={o.coatsReached} scale={1.6} />
        <Words look="note" className="min-w-0 flex-1">
          {`Goes ${say(o.bite)}${o.coatsReached > 0 ? `: through ${o.coatsReached} of ${coats.length} ${coats.length === 1 ? 'coat' : 'coats'}` : ''}.`}
        </Words>
      </View>
      {effort.dwellHours ? (
        <Words look="note">{`Works by itself for ${formatRange(effort.dwellHours, formatHours)} a round.`}</Words>
      ) : null}
      {o.verdict === 'blocked' ? null : (
        <Words look="note">
          {o.perM2.proof === 'trial'
            ? 'Hours from trial squares on this surface.'
            : o.perM2.proof === 'carried'
              ? 'Hours from a trial carried over from another surface.'
              : o.perM2.ownRate
                ? 'Hours from your own rates; no trial behind them.'
                : 'A guess: usual rates, from memory, no trial behind them.'}
        </Words>
      )}
      <Reasons because={weightiestFirst(o.because)} />
      {planned ? <How method={methodById(o.methodId)} how={how} onHow={onHow} /> : null}
      <Act option={o} chosen={chosen} insisted={insisted} several={several} onChoose={onChoose} onUndo={onUndo} />
    </View>
  );
}

/** Typed as on the backs of the sheets: 80 120 180, with anything between. */
const gritsOf = (typed: string): number[] => (typed.match(/[0-9]+/g) ?? []).map(Number);

/** What the plan turns on and only the person knows: the abrasives in their order, and what the hot tool is set to. */
function How({ method: m, how, onHow }: { readonly method: Method } & Pick<MethodRowProps, 'how' | 'onHow'>) {
  const unit = useUnits() === 'ft' ? 'F' : 'C';
  const [problem, setProblem] = useState<string>();
  const put = (over: Partial<PartMethodsProps['how']>, what: string) => setProblem(onHow(over, what)[0]?.message);
  if (usesGrit(m))
    return (
      <TextField
        label="Abrasives, in their order"
        hint="As on the back of the sheets, the coarsest first. Leave it empty for the usual ones"
        placeholder="120 180 220"
        value={how.grits.join(' ')}
        problem={problem}
        onCommit={(typed) => put({ grits: gritsOf(typed) }, 'abrasives')}
        testID="grits"
      />
    );
  if (m.heatC === null || m.heatC <= 150) return null;
  return (
    <NumberField
      label="The tool is set to"
      unit={`°${unit}`}
      value={how.toolC === null ? null : Math.round(convert(how.toolC, 'C', unit))}
      optional
      decimals={0}
      problem={problem}
      onCommit={(v) => put({ toolC: v === null ? null : convert(v, unit, 'C') }, 'tool’s temperature')}
      testID="tool-temperature"
    />
  );
}

function Act({
  option: o,
  chosen,
  insisted,
  several,
  onChoose,
  onUndo,
}: Omit<DetailProps, 'part' | 'coats' | 'material' | 'planned' | 'how' | 'onHow'>) {
  const [why, setWhy] = useState(insisted ?? '');
  const [problem, setProblem] = useState<string>();
  if (chosen) return <Button label="Take the choice back" onPress={onUndo} />;
  if (o.verdict !== 'blocked') {
    return (
      <View className="flex-row flex-wrap gap-2">
        <Button
          look="main"
          label="Choose"
          says={`Choose ${say(o.methodId)} for this part`}
          testID={`choose-${o.methodId}`}
          onPress={() => onChoose(null, false)}
        />
        {several ? (
          <Button label="For every part it may go on" onPress={() => onChoose(null, true)} testID={`choose-all-${o.methodId}`} />
        ) : null}
      </View>
    );
  }
  if (!o.canInsist) return <Words look="strong">The law or the hazard forbids it outright. It cannot be chosen.</Words>;
  return (
    <View className="gap-2">
      <Words look="note">Practice blocks it, not the law. You may keep it; your reason goes on record with your name.</Words>
      <TextField label="Why you keep it all the same" value={why} onChange={setWhy} onCommit={setWhy} problem={problem} />
      <Button
        look="stop"
        label="Keep it against practice"
        onPress={() => (why.trim() === '' ? setProblem('Say why: it goes on record.') : onChoose(why.trim(), false))}
      />
    </View>
  );
}
