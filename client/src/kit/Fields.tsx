/** Fields: a label above, the unit beside, steppers where a thumb helps, the problem underneath. What was typed is never thrown away. */
import { createElement, useEffect, useId, useState, type ReactNode } from 'react';
import { Pressable, Text, TextInput, View } from 'react-native';
import { lengthText, readLength, readNumber, type Read, type UnitSystem } from '@roughsill/core/records';
import { useDraft } from './drafts';
import { useTellRefused } from './refusals';
import { useUnits } from './Units';
import { Words } from './Words';

export function FieldFrame({
  label,
  problem,
  hint,
  id,
  children,
}: {
  readonly label: string;
  readonly problem?: string;
  readonly hint?: string;
  readonly id: string;
  readonly children: ReactNode;
}) {
  useEffect(() => {
    if (problem === undefined) return;
    // The first of several is brought into view: a press that was refused far below never looks dead.
    const mine = document.getElementById(`${id}-problem`);
    if (mine !== null && document.querySelector('[id$="-problem"]') === mine) mine.scrollIntoView?.({ block: 'nearest' });
  }, [problem, id]);
  return (
    <View className="gap-1">
      {createElement('label', { htmlFor: id, style: { display: 'block' } }, <Words look="label">{label}</Words>)}
      {children}
      {hint && !problem ? <Words look="note">{hint}</Words> : null}
      {problem ? (
        <Words alert nativeID={`${id}-problem`} look="strong" tone="oxide">
          {problem}
        </Words>
      ) : null}
    </View>
  );
}

const inputLook = (bad: boolean) =>
  `min-h-touch border-2 bg-panel px-3 font-read text-row text-soot ${bad ? 'border-oxide' : 'border-line'}`;

/** Under a field that holds what was typed before the page went away. */
const FOUND = 'Typed before, not entered yet: leave the field to enter it.';

interface TextFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onCommit: (value: string) => void;
  readonly onChange?: (value: string) => void;
  readonly problem?: string;
  readonly hint?: string;
  readonly placeholder?: string;
  readonly testID?: string;
  readonly multiline?: boolean;
}

/** Commits on leaving the field or on Enter. */
export function TextField({ label, value, onCommit, onChange, problem, hint, placeholder, testID, multiline }: TextFieldProps) {
  const id = useId();
  const [ref, draft] = useDraft(value, testID ?? label, onChange);
  const commit = () => {
    draft.done();
    if (draft.text !== value) onCommit(draft.text);
  };
  return (
    <FieldFrame label={label} problem={problem} hint={draft.found ? FOUND : hint} id={id}>
      <TextInput
        ref={ref}
        nativeID={id}
        testID={testID}
        value={draft.text}
        placeholder={placeholder}
        multiline={multiline}
        {...({ dir: 'auto' } as object)}
        aria-invalid={problem !== undefined}
        aria-describedby={problem ? `${id}-problem` : undefined}
        onChangeText={(t) => {
          draft.type(t);
          onChange?.(t);
        }}
        onBlur={commit}
        onSubmitEditing={commit}
        className={`${inputLook(problem !== undefined)} ${multiline ? 'py-2' : ''}`}
      />
    </FieldFrame>
  );
}

interface NumberFieldProps {
  readonly label: string;
  readonly value: number | null;
  /** Called with a number, or null when emptied and `optional`. */
  readonly onCommit: (value: number | null) => void;
  readonly unit?: string;
  readonly step?: number;
  readonly optional?: boolean;
  readonly problem?: string;
  readonly hint?: string;
  /** Refuses before anything is written; the words stand under the field. */
  readonly check?: (value: number) => string | undefined;
  readonly testID?: string;
  readonly decimals?: number;
}

/** How a number is read and shown in its field. */
interface Notation {
  readonly read: (text: string) => Read;
  readonly show: (value: number) => string;
  /** Marks that a phone's number pad has not, put in by a button while the field is typed in. */
  readonly marks: readonly string[];
}

const STEPPER = 'min-h-touch min-w-touch items-center justify-center border-2 border-line bg-shelf active:opacity-80';

const NO_MARKS: readonly string[] = [];
const FEET_MARKS = ["'", '"', ' 1/2', ' 1/4'] as const;

/** A number with its unit, or a small sum; a comma counts as a decimal point. */
export function NumberField({ decimals = 2, ...props }: NumberFieldProps) {
  const show = (v: number) => String(Number(v.toFixed(decimals)));
  return <Entry {...props} notation={{ read: readNumber, show, marks: NO_MARKS }} />;
}

/** Steps of a tape: 3 in, or 5 cm. */
const LENGTH_STEP_M: Readonly<Record<UnitSystem, number>> = { ft: 0.0762, m: 0.05 };

interface LengthFieldProps extends Omit<NumberFieldProps, 'unit' | 'decimals' | 'step'> {
  /** With buttons for less and more. */
  readonly steps?: boolean;
}

/** A length in metres, entered and shown as people say it: 4' 6", or 1.37 m. */
export function LengthField({ steps, ...props }: LengthFieldProps) {
  const units = useUnits();
  return (
    <Entry
      {...props}
      unit={units === 'ft' ? 'ft, in' : 'm'}
      step={steps ? LENGTH_STEP_M[units] : undefined}
      notation={{
        read: (text) => readLength(text, units),
        show: (m) => lengthText(m, units),
        marks: units === 'ft' ? FEET_MARKS : NO_MARKS,
      }}
    />
  );
}

function Entry({
  label,
  value,
  onCommit,
  unit,
  step,
  optional,
  problem,
  hint,
  check,
  testID,
  notation,
}: Omit<NumberFieldProps, 'decimals'> & { readonly notation: Notation }) {
  const id = useId();
  const shown = value === null ? '' : notation.show(value);
  const [ref, draft] = useDraft(shown, testID ?? label);
  const [refused, setRefused] = useState<string>();
  const [typing, setTyping] = useState(false);
  const offer = (n: number) => {
    const no = check?.(n);
    setRefused(no);
    if (no === undefined) onCommit(n);
  };
  const commit = () => {
    draft.done();
    setTyping(false);
    const text = draft.text.trim();
    if (text === shown) return setRefused(undefined);
    if (text === '') {
      if (optional) onCommit(null);
      return setRefused(optional ? undefined : 'A number is needed here.');
    }
    const read = notation.read(text);
    if (!read.ok) return setRefused(read.says);
    // What stands in the field is what was understood: a sum is worked out, 4'6 is 4' 6".
    draft.show(notation.show(read.value));
    offer(read.value);
  };
  const move = (by: number) => {
    const next = Number(((value ?? 0) + by).toFixed(6));
    draft.done();
    draft.show(notation.show(next));
    offer(next);
  };
  const said = refused ?? problem;
  useTellRefused(id, refused !== undefined);
  return (
    <FieldFrame label={unit ? `${label} (${unit})` : label} problem={said} hint={draft.found ? FOUND : hint} id={id}>
      <View className="flex-row gap-1">
        {step ? (
          <Pressable role="button" aria-label={`${label}: less`} onPress={() => move(-step)} className={STEPPER}>
            <Text className="font-strong text-head text-soot">−</Text>
          </Pressable>
        ) : null}
        <TextInput
          ref={ref}
          nativeID={id}
          testID={testID}
          value={draft.text}
          inputMode="decimal"
          onFocus={() => setTyping(true)}
          aria-invalid={said !== undefined}
          aria-describedby={said ? `${id}-problem` : undefined}
          onChangeText={draft.type}
          onBlur={commit}
          onSubmitEditing={commit}
          className={`${inputLook(said !== undefined)} min-w-0 flex-1 [font-variant-numeric:tabular-nums]`}
        />
        {step ? (
          <Pressable role="button" aria-label={`${label}: more`} onPress={() => move(step)} className={STEPPER}>
            <Text className="font-strong text-head text-soot">+</Text>
          </Pressable>
        ) : null}
      </View>
      {typing && notation.marks.length > 0 ? (
        <View className="flex-row gap-1">
          {notation.marks.map((mark) => (
            <Pressable
              key={mark}
              role="button"
              aria-label={`Put in ${MARK_WORDS[mark] ?? mark}`}
              // The field keeps the caret: it is not left by reaching for its own mark.
              {...({ onMouseDown: (e: Event) => e.preventDefault() } as object)}
              onPress={() => draft.type(draft.text + mark)}
              className="min-h-touch min-w-touch items-center justify-center border-2 border-line bg-shelf active:opacity-80"
            >
              <Text className="font-strong text-body text-soot">{mark.trim()}</Text>
            </Pressable>
          ))}
        </View>
      ) : null}
    </FieldFrame>
  );
}

const MARK_WORDS: Readonly<Record<string, string>> = { "'": 'feet', '"': 'inches', ' 1/2': 'a half', ' 1/4': 'a quarter' };

export interface Option<T extends string> {
  readonly value: T;
  readonly label: string;
}

interface SelectProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly Option<T>[];
  readonly onChange: (value: T) => void;
  readonly problem?: string;
  readonly testID?: string;
}

/** The platform's own list: a thumb, a keyboard and a screen reader know it already. */
export function Select<T extends string>({ label, value, options, onChange, problem, testID }: SelectProps<T>) {
  const id = useId();
  return (
    <FieldFrame label={label} problem={problem} id={id}>
      {createElement(
        'select',
        {
          id,
          value,
          'data-testid': testID,
          'aria-invalid': problem !== undefined,
          onChange: (e: { target: { value: string } }) => onChange(e.target.value as T),
          style: {
            minHeight: '3rem',
            border: '2px solid rgb(var(--line))',
            background: 'rgb(var(--panel))',
            color: 'rgb(var(--soot))',
            fontSize: '1.0625rem',
            padding: '0 0.5rem',
            borderRadius: 0,
            width: '100%',
          },
        },
        options.map((o) => createElement('option', { key: o.value, value: o.value }, o.label)),
      )}
    </FieldFrame>
  );
}

interface PickProps<T extends string> {
  readonly label: string;
  readonly value: T | null;
  readonly options: readonly Option<T>[];
  readonly onChange: (value: T) => void;
  readonly testID?: string;
}

/** Two to five answers side by side; the given one under a bar, as the stage is where one stands. */
export function Pick<T extends string>({ label, value, options, onChange, testID }: PickProps<T>) {
  const chosen = options.findIndex((o) => o.value === value);
  /** One stop for the Tab key; arrows go on to the next answer and give it, as in any group of its kind. */
  const arrows = (e: { key: string; preventDefault: () => void; currentTarget: HTMLElement }) => {
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[e.key];
    if (by === undefined) return;
    e.preventDefault();
    const all = [...(e.currentTarget.parentElement?.children ?? [])] as HTMLElement[];
    const next = (all.indexOf(e.currentTarget) + by + options.length) % options.length;
    all[next]?.focus();
    onChange(options[next]!.value);
  };
  return (
    <View role="radiogroup" aria-label={label} testID={testID} className="gap-1">
      <Words look="label">{label}</Words>
      <View className="flex-row flex-wrap gap-x-px gap-y-1 self-start">
        {options.map((o, i) => {
          const on = o.value === value;
          return (
            <Pressable
              key={o.value}
              role="radio"
              aria-checked={on}
              tabIndex={i === Math.max(0, chosen) ? 0 : -1}
              {...({ onKeyDown: arrows } as object)}
              onPress={() => onChange(o.value)}
              className={`min-h-touch min-w-touch justify-center border-b-2 border-line px-3 ${on ? 'bg-shelf' : 'bg-panel'}`}
            >
              {on ? <View aria-hidden className="absolute inset-x-0 top-0 h-1 bg-soot" /> : null}
              <Text className={`text-center text-body ${on ? 'font-strong text-soot' : 'font-read text-soot'}`}>{o.label}</Text>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}

interface TicksProps<T extends string> {
  readonly label: string;
  readonly values: readonly T[];
  readonly options: readonly Option<T>[];
  readonly onChange: (values: T[]) => void;
}

/** Any number of answers. */
export function Ticks<T extends string>({ label, values, options, onChange }: TicksProps<T>) {
  return (
    <View role="group" aria-label={label} className="gap-1">
      <Words look="label">{label}</Words>
      <View className="flex-row flex-wrap gap-1">
        {options.map((o) => {
          const on = values.includes(o.value);
          return (
            <Pressable
              key={o.value}
              role="checkbox"
              aria-checked={on}
              onPress={() => onChange(on ? values.filter((v) => v !== o.value) : [...values, o.value])}
              className={`min-h-touch max-w-full flex-row items-center gap-2 border-2 px-3 py-1 ${on ? 'border-soot bg-shelf' : 'border-line bg-panel'}`}
            >
              <Text aria-hidden className="font-strong text-body text-soot">
                {on ? '✓' : '·'}
              </Text>
              <Text className="shrink font-read text-body text-soot">{o.label}</Text>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}

export function Toggle({
  label,
  value,
  onChange,
  hint,
  testID,
}: {
  readonly label: string;
  readonly value: boolean;
  readonly onChange: (v: boolean) => void;
  readonly hint?: string;
  readonly testID?: string;
}) {
  return (
    <Pressable
      role="switch"
      aria-checked={value}
      testID={testID}
      onPress={() => onChange(!value)}
      className="min-h-touch flex-row items-center gap-3 py-1"
    >
      <View
        aria-hidden
        className={`h-7 w-12 justify-center border-2 border-soot px-0.5 ${value ? 'items-end bg-verdigris' : 'items-start bg-panel'}`}
      >
        <View className={`h-5 w-5 ${value ? 'bg-panel' : 'bg-soot'}`} />
      </View>
      <View className="flex-1">
        <Words look="strong">{label}</Words>
        {hint ? <Words look="note">{hint}</Words> : null}
      </View>
    </Pressable>
  );
}
