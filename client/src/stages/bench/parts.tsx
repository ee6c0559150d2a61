/** What the calculators at the bench share: rows of numbers, and the answer under them. */
import type { ComponentProps, ReactNode } from 'react';
import { View } from 'react-native';
import { convert, roundForReading, spell, UNITS, unitFor, type Unit } from '@roughsill/core';
import { RangedError } from '@roughsill/core/air';
import { Refused, refusalSays, type Language } from '@roughsill/core/prepare';
import { NumberField, useRefused, useUnits, Words } from '../../kit';
import { cap } from '../../kit/text';

export const Row = ({ children }: { readonly children: ReactNode }) => (
  <View className="flex-row flex-wrap items-end gap-3">{children}</View>
);
export const Cell = ({ children }: { readonly children: ReactNode }) => <View className="min-w-[9rem] flex-1">{children}</View>;

/** A number in a cell of its own. */
export const Amount = (of: ComponentProps<typeof NumberField>) => (
  <Cell>
    <NumberField {...of} />
  </Cell>
);

interface MeasuredProps {
  readonly label: string;
  /** The unit of `value`; it is shown and entered in that of the job. */
  readonly unit: Unit;
  readonly value: number | null;
  readonly onCommit: (value: number | null) => void;
  readonly optional?: boolean;
  /** What is wrong with it, in the core's unit. */
  readonly check?: (value: number) => string | undefined;
  readonly testID?: string;
}
/** A number in the job's units over a value in the core's. */
export function Measured({ label, unit, value, onCommit, optional, check, testID }: MeasuredProps) {
  const units = useUnits();
  const shown = unitFor(UNITS[unit].dimension, units) ?? unit;
  return (
    <Amount
      label={label}
      unit={UNITS[shown].label}
      value={
        value === null
          ? null
          : UNITS[shown].dimension === 'temperature'
            ? Math.round(convert(value, unit, shown))
            : roundForReading(convert(value, unit, shown))
      }
      optional={optional}
      check={check && ((v) => check(convert(v, shown, unit)))}
      onCommit={(v) => (v === null ? optional && onCommit(null) : onCommit(convert(v, shown, unit)))}
      testID={testID}
    />
  );
}

/** Where a field above refused what was typed. */
export const NO_ANSWER = 'No answer until the marked number is right.';

interface ToldProps {
  readonly testID: string;
  readonly of: () => readonly string[];
  readonly language?: Language;
}
/** What is wrong is told in place of the answer. */
export function Told({ testID, of, language = 'en' }: ToldProps) {
  const units = useUnits();
  const refused = useRefused();
  let says: readonly string[];
  let wrong = false;
  try {
    says = refused ? [NO_ANSWER] : of();
  } catch (e) {
    if (!(e instanceof RangedError)) throw e;
    says = [e instanceof Refused ? refusalSays(e.refusal, language, units) : cap(`${e.message}.`)];
    wrong = true;
  }
  return (
    <View testID={testID} role="status" className={`gap-1 border-l-8 bg-panel px-3 py-2 ${wrong ? 'border-oxide' : 'border-slate'}`}>
      {says.map((s, i) => (
        <Words key={s} look={i === 0 ? 'row' : 'body'} tone={wrong ? 'oxide' : undefined}>
          {spell(s)}
        </Words>
      ))}
    </View>
  );
}
