/** Unfolds the reasons and sources under any answer. Not in the kit's index: the sentences are loaded with the screens that show them. */
import { useState, type ReactNode } from 'react';
import { Pressable, Text, View } from 'react-native';
import type { Reason } from '@roughsill/core/records';
import { remedy, sentence, sourceKnown, SOURCES } from '@roughsill/core/words';
import { useSourceChecks, useUnits } from './Units';
import { Words } from './Words';

export function ReasonLine({ reason }: { readonly reason: Reason }) {
  const units = useUnits();
  const source = SOURCES[reason.source];
  const known = sourceKnown(reason.source, useSourceChecks());
  const lifts = remedy(reason, units);
  const edge =
    reason.effect === 'block'
      ? 'border-l-8 border-oxide'
      : reason.effect === 'care'
        ? 'border-l-4 border-double border-ochre'
        : 'border-l-2 border-line';
  return (
    <View className={`gap-1 py-1 pl-3 ${edge}`}>
      <Words>{sentence(reason, units)}</Words>
      {lifts && reason.effect !== 'note' ? <Words look="note">{`What would lift it: ${lifts}`}</Words> : null}
      <Words look="note">{`${source.title}, ${source.at}. ${known}.`}</Words>
    </View>
  );
}

export function Reasons({ because }: { readonly because: readonly Reason[] }) {
  return (
    <View className="gap-3 pt-2">
      {because.map((r, i) => (
        <ReasonLine key={`${r.rule}-${i}`} reason={r} />
      ))}
    </View>
  );
}

interface WhyProps {
  readonly because: readonly Reason[];
  /** What the reasons are for: "why: sheet". */
  readonly of: string;
  readonly children?: ReactNode;
}

export function Why({ because, of, children }: WhyProps) {
  const [open, setOpen] = useState(false);
  if (because.length === 0) return null;
  return (
    <View>
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`why: ${of}`}
        onPress={() => setOpen(!open)}
        {...({ dataSet: { why: 'yes' } } as object)}
        className="min-h-touch min-w-touch flex-row items-center self-start pr-4"
      >
        <Text className="font-strong text-note text-slate underline decoration-line decoration-[3px] underline-offset-4">
          {open ? 'why, close' : because.length > 1 ? `why, ${because.length} reasons` : 'why'}
        </Text>
      </Pressable>
      {open ? <Reasons because={because} /> : null}
      {open ? children : null}
    </View>
  );
}

interface AnswerRowProps {
  readonly label: string;
  readonly value?: ReactNode;
  readonly note?: string;
  readonly because: readonly Reason[];
  /** What the reasons are for, when the label alone says too little. */
  readonly of?: string;
}

/** An answer on one row; the whole row unfolds its reasons. */
export function AnswerRow({ label, value, note, because, of = label }: AnswerRowProps) {
  const [open, setOpen] = useState(false);
  return (
    <View className="bg-panel px-3">
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`why: ${of}${typeof value === 'string' ? `, ${value}` : ''}`}
        onPress={() => setOpen(!open)}
        {...({ dataSet: { why: 'yes' } } as object)}
        className="min-h-touch justify-center py-1.5"
      >
        <View className="flex-row flex-wrap items-center justify-between gap-x-3">
          <Words look="body" className="min-w-[8rem] flex-1">
            {label}
          </Words>
          {typeof value === 'string' ? <Words look="row">{value}</Words> : value}
          <Text className="font-strong text-note text-slate underline decoration-line decoration-[3px] underline-offset-4">
            {open ? 'close' : 'why'}
          </Text>
        </View>
        {note ? <Words look="note">{note}</Words> : null}
      </Pressable>
      {open ? (
        <View className="pb-3">
          <Reasons because={because} />
        </View>
      ) : null}
    </View>
  );
}
