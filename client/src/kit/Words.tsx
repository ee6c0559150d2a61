/** Text in the product's type scale. Headings carry their level; numbers are tabular. */
import type { ReactNode } from 'react';
import { Text } from 'react-native';

type Look = 'title' | 'head' | 'row' | 'body' | 'strong' | 'note' | 'label';

const LOOKS: Record<Look, string> = {
  title: 'font-name text-title text-soot',
  head: 'font-name text-head text-soot',
  row: 'font-strong text-row text-soot',
  body: 'font-read text-body text-soot',
  strong: 'font-strong text-body text-soot',
  note: 'font-read text-note text-ash',
  label: 'font-strong text-note text-soot',
};

interface WordsProps {
  readonly look?: Look;
  /** Heading level; a heading is announced as one. */
  readonly level?: 1 | 2 | 3;
  readonly className?: string;
  readonly children: ReactNode;
  readonly nativeID?: string;
  readonly testID?: string;
  readonly alert?: boolean;
  readonly lines?: number;
}

export function Words({ look = 'body', level, className = '', children, nativeID, testID, alert, lines }: WordsProps) {
  return (
    <Text
      role={level ? 'heading' : alert ? 'alert' : undefined}
      aria-level={level}
      // A name may be in a script that runs the other way.
      {...({ dir: 'auto' } as object)}
      nativeID={nativeID}
      testID={testID}
      numberOfLines={lines}
      className={`${LOOKS[look]} [font-variant-numeric:tabular-nums] ${className}`}
    >
      {children}
    </Text>
  );
}
