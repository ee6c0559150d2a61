/** A paper is made beside the requests: how far it is, a way to stop it, and then the file. */
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { fileName } from '@roughsill/core/records';
import { Button, Words } from '../kit';
import { api, newId } from '../store';
import { saveBlob } from './save-file';

const ASK_MS = 400;

/** Asks after work on the server while it runs. @returns how much is done, 0 to 1 */
export function useTaskShare(task: string | null): number {
  const [told, setTold] = useState<{ readonly task: string; readonly share: number } | null>(null);
  useEffect(() => {
    if (task === null) return undefined;
    const timer = setInterval(() => void api.task(task).then((r) => r.ok && setTold({ task, share: r.value.share })), ASK_MS);
    return () => clearInterval(timer);
  }, [task]);
  return told?.task === task ? told!.share : 0;
}

export function Making({ what, share, onStop }: { readonly what: string; readonly share: number; readonly onStop: () => void }) {
  const pct = Math.round(share * 100);
  return (
    <View className="min-h-touch flex-row flex-wrap items-center gap-3 border-2 border-line bg-panel px-3">
      <Words look="strong" alert>{`${what} … ${pct > 0 ? `${pct} %` : ''}`}</Words>
      <View aria-hidden className="h-2 w-24 bg-shelf">
        <View className="h-2 bg-verdigris" style={{ width: `${Math.max(4, pct)}%` }} />
      </View>
      <Button look="quiet" label="Stop" says={`Stop: ${what}`} onPress={onStop} />
    </View>
  );
}

interface PaperButtonProps {
  /** Whose paper it is: the file is called after it. */
  readonly job: string;
  readonly path: string;
  readonly label: string;
  readonly main?: boolean;
  readonly testID?: string;
}

export function PaperButton({ job, path, label, main, testID }: PaperButtonProps) {
  const [task, setTask] = useState<string | null>(null);
  const [says, setSays] = useState<string | null>(null);
  const stop = useRef<AbortController>(null);
  const share = useTaskShare(task);
  useEffect(() => () => stop.current?.abort(), []);
  const make = async () => {
    const id = newId();
    stop.current = new AbortController();
    setSays(null);
    setTask(id);
    const r = await api.paper(path, id, stop.current.signal);
    setTask(null);
    // As a file: a window that opens by itself, long after the press, is held back by browsers.
    if (r.ok) saveBlob(fileName(job, path.split('?')[0]!.split('/').at(-1)!), r.value);
    else setSays(r.error.says);
  };
  if (task !== null) return <Making what={label} share={share} onStop={() => stop.current?.abort()} />;
  return (
    <View className="gap-1">
      <Button look={main ? 'main' : undefined} label={label} onPress={() => void make()} testID={testID} />
      {says ? (
        <Words alert tone="oxide">
          {says}
        </Words>
      ) : null}
    </View>
  );
}
