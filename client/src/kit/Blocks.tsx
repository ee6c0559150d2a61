/** Blocks that every screen is laid out of. */
import { startTransition, useEffect, useState, type ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { Link, type Href } from 'expo-router';
import type { Verdict } from '@roughsill/core';
import { Button } from './Button';
import { useKept } from './drafts';
import { RefusalsProvider } from './refusals';
import { Words } from './Words';

let opened = false;
const LATER_MS = 50;
/**
 * What lies below the first screenful: drawn a moment after the rest while the page opens, so that a slow phone answers sooner; at once
 * from then on.
 */
export function Later({ children }: { readonly children: ReactNode }) {
  const [on, setOn] = useState(opened);
  useEffect(() => {
    if (on) return undefined;
    const timer = setTimeout(() => {
      opened = true;
      startTransition(() => setOn(true));
    }, LATER_MS);
    return () => clearTimeout(timer);
  }, [on]);
  return on ? children : null;
}

export function Panel({
  title,
  aside,
  children,
  level = 2,
  testID,
}: {
  readonly title?: string;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
  readonly level?: 2 | 3;
  readonly testID?: string;
}) {
  return (
    <View testID={testID} className="gap-3">
      {title ? (
        <View className="flex-row flex-wrap items-end justify-between gap-2">
          <Words look="head" level={level}>
            {title}
          </Words>
          {typeof aside === 'string' ? <Words look="note">{aside}</Words> : aside}
        </View>
      ) : null}
      <RefusalsProvider>{children}</RefusalsProvider>
    </View>
  );
}

/** Blocks beside each other where there is room for two, else one under the other: by the room that they have, not by the window's. */
export const Columns = ({ children, testID }: { readonly children: ReactNode; readonly testID?: string }) => (
  <View testID={testID} className="flex-row flex-wrap items-start gap-x-8 gap-y-6">
    {children}
  </View>
);
export const Column = ({ children, testID }: { readonly children: ReactNode; readonly testID?: string }) => (
  <View testID={testID} className="min-w-[min(21rem,100%)] flex-1 gap-6">
    {children}
  </View>
);

/** What is seldom changed: its answer in one line until it is opened. It stays as it was left: what was typed in it is seen again. */
export function Folded({
  title,
  says,
  testID,
  children,
}: {
  readonly title: string;
  readonly says: string;
  readonly testID: string;
  readonly children: ReactNode;
}) {
  const [{ open = false }, keep] = useKept<{ open?: true }>(`fold-${testID}`, CLOSED);
  return (
    <View className="gap-3">
      <Pressable
        role="button"
        aria-expanded={open}
        testID={testID}
        onPress={() => keep(open ? CLOSED : { open: true })}
        className="min-h-touch flex-row items-center gap-3 border-t-2 border-line pt-2"
      >
        <View className="min-w-0 flex-1">
          <Words look="row">{title}</Words>
          {open ? null : <Words look="note">{says}</Words>}
        </View>
        <Words look="note">{open ? 'close' : 'change'}</Words>
      </Pressable>
      {open ? children : null}
    </View>
  );
}

const CLOSED = {};

/** Verdict edges: go one edge, with care a double edge, blocked a full edge. */
const EDGES: Record<Verdict, ReactNode> = {
  go: <View aria-hidden className="w-2 self-stretch bg-verdigris" />,
  care: (
    <View aria-hidden className="w-2 flex-row justify-between self-stretch">
      <View className="w-[3px] bg-ochre" />
      <View className="w-[3px] bg-ochre" />
    </View>
  ),
  blocked: <View aria-hidden className="w-4 self-stretch bg-oxide" />,
};

export function VerdictEdge({ verdict }: { readonly verdict: Verdict }) {
  return EDGES[verdict];
}

interface RowProps {
  readonly title: string;
  readonly note?: string;
  readonly aside?: ReactNode;
  readonly lead?: ReactNode;
  /** Where it leads: a real link, for the keyboard, a new tab and a screen reader. */
  readonly href: string;
  readonly current?: boolean;
  readonly testID?: string;
}

export function Row({ title, note, aside, lead, href, current, testID }: RowProps) {
  return (
    <Link href={href as Href} asChild>
      <Pressable
        aria-current={current ? 'page' : undefined}
        testID={testID}
        className={`min-h-[4rem] flex-row items-center gap-3 border-l-4 px-3 py-2 ${current ? 'border-soot bg-shelf' : 'border-transparent bg-panel'}`}
      >
        {lead}
        <View className="min-w-0 flex-1">
          <Words look="row">{title}</Words>
          {note ? <Words look="note">{note}</Words> : null}
        </View>
        {aside}
      </Pressable>
    </Link>
  );
}

/** The one next thing: a sentence and its button, on a soot bar with a chipped corner. */
export function NextBar({ says, act, onPress }: { readonly says: string; readonly act?: string; readonly onPress?: () => void }) {
  return (
    <View
      testID="next"
      role="region"
      aria-label="Next"
      className="flex-row flex-wrap items-center gap-3 bg-soot p-4 [clip-path:polygon(0_0,100%_0,100%_calc(100%-14px),calc(100%-14px)_100%,0_100%)]"
    >
      <Words look="row" tone="onSoot" className="min-w-[10rem] flex-1">
        {says}
      </Words>
      {act && onPress ? <Button look="onSoot" label={act} onPress={onPress} className="border-onsoot" /> : null}
    </View>
  );
}

export function Figure({ label, value, note }: { readonly label: string; readonly value: string; readonly note?: string }) {
  return (
    <View className="gap-0.5 bg-panel px-3 py-2">
      <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
        <Words look="body">{label}</Words>
        <Words look="row">{value}</Words>
      </View>
      {note ? <Words look="note">{note}</Words> : null}
    </View>
  );
}

export function Empty({ says, children }: { readonly says: string; readonly children?: ReactNode }) {
  return (
    <View className="gap-3 border-2 border-dashed border-line p-4">
      <Words>{says}</Words>
      {children}
    </View>
  );
}

export function Problems({ problems }: { readonly problems: readonly { readonly path: string; readonly message: string }[] }) {
  if (problems.length === 0) return null;
  return (
    <View role="alert" testID="problems" className="gap-1 border-2 border-oxide bg-panel p-3">
      {problems.map((p) => (
        <Words key={`${p.path}${p.message}`} look="strong" tone="oxide">
          {p.message}
        </Words>
      ))}
    </View>
  );
}
