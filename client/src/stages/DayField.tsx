/** A day as it is written on a ticket: 2026-05-04. */
import { useState } from 'react';
import { TextField } from '../kit';

const DAY = /^\d{4}-\d\d-\d\d$/;
/** The thirty-first of a month that has none is no day. */
const isDay = (v: string): boolean => DAY.test(v) && !Number.isNaN(Date.parse(v)) && new Date(v).toISOString().startsWith(v);
export const dayProblem = (v: string): string | undefined => (v === '' || isDay(v) ? undefined : 'Write the day as 2026-05-04.');

/** Of an instant, by the clock of the job. */
export const dayOf = (instant: string, timeZone: string): string => new Date(instant).toLocaleDateString('sv-SE', { timeZone });
/** That day; the same instant where it is on it already. Noon by the world's clock is that day in nearly every zone. */
export const onDay = (day: string, instant: string, timeZone: string): string =>
  dayOf(instant, timeZone) === day ? instant : `${day}T12:00:00.000Z`;

interface DayFieldProps {
  readonly label: string;
  /** Empty: not set. */
  readonly value: string;
  /** It may be left empty. */
  readonly optional?: boolean;
  readonly hint?: string;
  readonly problem?: string;
  readonly onCommit: (day: string) => void;
  readonly testID?: string;
}

export function DayField({ optional, problem, onCommit, ...field }: DayFieldProps) {
  const [wrong, setWrong] = useState<string>();
  return (
    <TextField
      {...field}
      problem={wrong ?? problem}
      onCommit={(typed) => {
        const day = typed.trim();
        const no = day === '' && !optional ? 'A day is needed here, as 2026-05-04.' : dayProblem(day);
        setWrong(no);
        if (no === undefined) onCommit(day);
      }}
    />
  );
}
