/** Text in the product's type scale. Headings carry their level; numbers are tabular. */
import type { ReactNode } from 'react';
import { Text } from 'react-native';

type Look = 'title' | 'head' | 'row' | 'body' | 'strong' | 'note' | 'label';

const LOOKS: Record<Look, string> = {
  title: 'font-name text-title',
  head: 'font-name text-head',
  row: 'font-strong text-row',
  body: 'font-read text-body',
  strong: 'font-strong text-body',
  note: 'font-read text-note',
  label: 'font-strong text-note',
};

/** Colour stands apart from the look, so that no two colours ever meet on one text. */
const TONES = {
  soot: 'text-soot',
  ash: 'text-ash',
  oxide: 'text-oxide',
  onSoot: 'text-onsoot',
  ink: 'text-[#21201c]',
  paper: 'text-[#f9f9f7]',
} as const;

interface WordsProps {
  readonly look?: Look;
  readonly tone?: keyof typeof TONES;
  /** Heading level; a heading is announced as one. */
  readonly level?: 1 | 2 | 3;
  readonly className?: string;
  readonly children: ReactNode;
  readonly nativeID?: string;
  readonly testID?: string;
  readonly alert?: boolean;
  readonly lines?: number;
}

export function Words({
  look = 'body',
  tone = look === 'note' ? 'ash' : 'soot',
  level,
  className = '',
  children,
  nativeID,
  testID,
  alert,
  lines,
}: WordsProps) {
  return (
    <Text
      role={level ? 'heading' : alert ? 'alert' : undefined}
      aria-level={level}
      // A name may be in a script that runs the other way.
      {...({ dir: 'auto' } as object)}
      nativeID={nativeID}
      testID={testID}
      numberOfLines={lines}
      className={`${LOOKS[look]} ${TONES[tone]} ${look === 'title' || look === 'head' ? '' : '[font-variant-numeric:tabular-nums]'} ${className}`}
    >
      {children}
    </Text>
  );
}
