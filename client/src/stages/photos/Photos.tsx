/** Photographs of a surface, a sample, a check, a trial square, a zone or the job: taken or picked, made smaller beside the page, captioned and marked. */
import { useEffect, useState } from 'react';
import { Image, Pressable, View } from 'react-native';
import Svg, { Circle, G, Line, Polygon, Text as SvgText } from 'react-native-svg';
import { MARK_KINDS, say, type JobFacts, type Mark, type MarkKind, type Photo } from '@roughsill/core';
import { Button, FilePick, Panel, Pick, TextField, Words } from '../../kit';
import { add, commit, keepPicture, remove, sendPictures, set, useAppDispatch, waitingPicture } from '../../store';
import type { FromPhotoWorker } from '../../workers/photo-protocol';
import { spawnPhotoWorker } from '../../workers/spawn';

type Of = Partial<
  Pick<Photo, 'ofSurfaceId' | 'ofSampleId' | 'ofCheckId' | 'ofSquareId' | 'ofZoneId' | 'ofBagId' | 'ofSignId' | 'ofDefectId'>
>;
/** Larger than any phone's camera writes: it is something else. */
const MAX_FILE = 40 * 1024 * 1024;

/** One picture, by the worker. */
function makeSmaller(file: Blob): Promise<FromPhotoWorker> {
  return new Promise((resolve) => {
    const worker = spawnPhotoWorker();
    worker.addEventListener('message', ({ data }: MessageEvent<FromPhotoWorker>) => {
      worker.terminate();
      resolve(data);
    });
    worker.addEventListener('error', () => {
      worker.terminate();
      resolve({ kind: 'wrong', says: 'The picture could not be made smaller on this phone.' });
    });
    worker.postMessage(file);
  });
}

interface PhotosProps {
  readonly facts: JobFacts;
  readonly of: Of;
  readonly title?: string;
  readonly onAdded?: (photo: Pick<Photo, 'hash' | 'width' | 'height'>) => void;
}

export function Photos({ facts, of, title = 'Photographs', onAdded }: PhotosProps) {
  const dispatch = useAppDispatch();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string>();
  const mine = facts.photos.filter(
    (p) =>
      p.removedAt === null &&
      p.ofSurfaceId === (of.ofSurfaceId ?? null) &&
      p.ofSampleId === (of.ofSampleId ?? null) &&
      p.ofCheckId === (of.ofCheckId ?? null) &&
      p.ofSquareId === (of.ofSquareId ?? null) &&
      p.ofZoneId === (of.ofZoneId ?? null) &&
      p.ofBagId === (of.ofBagId ?? null) &&
      p.ofSignId === (of.ofSignId ?? null) &&
      p.ofDefectId === (of.ofDefectId ?? null),
  );
  const take = async (files: readonly File[]) => {
    setProblem(undefined);
    for (const file of Array.from(files ?? [])) {
      if (file.size > MAX_FILE) {
        setProblem(`${file.name} is over 40 MB: that is no photograph.`);
        continue;
      }
      setBusy(true);
      const made = await makeSmaller(file);
      setBusy(false);
      if (made.kind === 'wrong') {
        setProblem(`${file.name}: ${made.says}`);
        continue;
      }
      await keepPicture(made.hash, made.blob);
      const fields = {
        hash: made.hash,
        width: made.width,
        height: made.height,
        ofSurfaceId: null,
        ofSampleId: null,
        ofCheckId: null,
        ofSquareId: null,
        ofZoneId: null,
        ofBagId: null,
        ofSignId: null,
        ofDefectId: null,
        ...of,
        caption: '',
        marks: [],
        takenAt: new Date().toISOString(),
      };
      const wrong = dispatch(commit(facts.job.id, [add('photo', fields)], 'photograph added'));
      if (wrong[0]) setProblem(wrong[0].message);
      else onAdded?.(fields);
      void dispatch(sendPictures(setProblem));
    }
  };
  return (
    <Panel title={title} aside={String(mine.length)} testID="photos">
      {mine.map((p) => (
        <PhotoCard key={p.id} jobId={facts.job.id} photo={p} />
      ))}
      <FilePick
        label={busy ? 'Making it smaller …' : 'Take or pick a photograph'}
        accept="image/*"
        testID="photo-input"
        photographs
        onFiles={(files) => void take(files)}
      />
      {problem ? (
        <Words alert look="strong" tone="oxide">
          {problem}
        </Words>
      ) : null}
    </Panel>
  );
}

/** Where the picture is: on this phone while it waits, else with the server. */
function usePicture(hash: string): { readonly url: string; readonly waiting: boolean } {
  const [local, setLocal] = useState<string>();
  useEffect(() => {
    let url: string | undefined;
    let gone = false;
    void waitingPicture(hash).then((blob) => {
      if (!blob || gone) return;
      url = URL.createObjectURL(blob);
      setLocal(url);
    });
    return () => {
      gone = true;
      if (url) URL.revokeObjectURL(url);
    };
  }, [hash]);
  return { url: local ?? `/api/photos/${hash}`, waiting: local !== undefined };
}

function PhotoCard({ jobId, photo }: { readonly jobId: string; readonly photo: Photo }) {
  const dispatch = useAppDispatch();
  const { url, waiting } = usePicture(photo.hash);
  const [width, setWidth] = useState(0);
  const [marking, setMarking] = useState<MarkKind | null>(null);
  const height = (width * photo.height) / photo.width;
  const write = (fields: Partial<Photo>, what: string) => dispatch(commit(jobId, [set('photo', photo.id, fields)], what));
  const put = (x: number, y: number) => {
    if (marking === null || width === 0) return;
    const at = { x: x / width, y: y / height };
    // A tap sets it; the tail and the rim have a usual size, so that nothing needs a precise drag.
    const toX = Math.min(1, Math.max(0, at.x + (at.x > 0.75 ? -0.14 : 0.14)));
    const toY = Math.min(1, Math.max(0, marking === 'circle' ? at.y : at.y + (at.y > 0.75 ? -0.14 : 0.14)));
    write({ marks: [...photo.marks, { kind: marking, ...at, toX, toY }] }, `${say(marking)} marked`);
  };
  return (
    <View className="gap-2 bg-panel p-3" role="group" aria-label={photo.caption || 'Photograph'}>
      <Pressable
        role={marking === null ? 'img' : 'button'}
        disabled={marking === null}
        aria-label={marking === null ? photo.caption || 'Photograph without a caption' : `Tap where the ${say(marking)} goes`}
        onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
        onPress={(e) => {
          const { clientX, clientY } = e.nativeEvent as unknown as MouseEvent;
          const box = (e.currentTarget as unknown as HTMLElement).getBoundingClientRect();
          // A key has no place: the mark goes to the middle.
          if (clientX === 0 && clientY === 0) put(width / 2, height / 2);
          else put(clientX - box.left, clientY - box.top);
        }}
        className="min-h-touch w-full"
      >
        <Image source={{ uri: url }} style={{ width: '100%', height: height || 200 }} resizeMode="contain" aria-hidden />
        {width > 0 ? <Marks marks={photo.marks} width={width} height={height} /> : null}
      </Pressable>
      {waiting ? <Words look="note">On this phone; sent when there is a signal.</Words> : null}
      <TextField label="Caption" value={photo.caption} onCommit={(caption) => write({ caption }, 'caption')} />
      <Pick
        label="Mark on it, then tap the picture"
        value={marking}
        options={MARK_KINDS.map((value) => ({ value, label: say(value) }))}
        onChange={(k) => setMarking(k === marking ? null : k)}
      />
      <View className="flex-row flex-wrap gap-2">
        {photo.marks.length > 0 ? (
          <Button
            look="quiet"
            label="Take off the last mark"
            onPress={() => write({ marks: photo.marks.slice(0, -1) }, 'mark taken off')}
          />
        ) : null}
        <Button
          look="stop"
          label="Remove"
          says={`Remove the photograph ${photo.caption}`}
          onPress={() => dispatch(commit(jobId, [remove('photo', photo.id)], 'photograph removed'))}
        />
      </View>
    </View>
  );
}

const MARK = '#f9f9f7';
const MARK_EDGE = '#21201c';

function Marks({ marks, width, height }: { readonly marks: readonly Mark[]; readonly width: number; readonly height: number }) {
  return (
    <Svg width={width} height={height} style={{ position: 'absolute', left: 0, top: 0 }} pointerEvents="none" aria-hidden>
      {marks.map((m, i) => {
        const [x, y, tx, ty] = [m.x * width, m.y * height, m.toX * width, m.toY * height];
        const twice = (draw: (stroke: string, w: number) => React.ReactNode) => (
          <G key={i}>
            {draw(MARK_EDGE, 6)}
            {draw(MARK, 3)}
          </G>
        );
        if (m.kind === 'circle')
          return twice((stroke, w) => (
            <Circle cx={x} cy={y} r={Math.max(12, Math.hypot(tx - x, ty - y))} fill="none" stroke={stroke} strokeWidth={w} />
          ));
        if (m.kind === 'arrow') {
          const a = Math.atan2(y - ty, x - tx);
          const tip = (d: number) => `${(x - 14 * Math.cos(a + d)).toFixed(1)},${(y - 14 * Math.sin(a + d)).toFixed(1)}`;
          return twice((stroke, w) => (
            <G>
              <Line x1={tx} y1={ty} x2={x} y2={y} stroke={stroke} strokeWidth={w} />
              <Polygon points={`${x},${y} ${tip(0.45)} ${tip(-0.45)}`} fill={stroke} stroke={stroke} strokeWidth={w / 2} />
            </G>
          ));
        }
        const n = marks.slice(0, i + 1).filter((k) => k.kind === 'number').length;
        return (
          <G key={i}>
            <Circle cx={x} cy={y} r={13} fill={MARK_EDGE} stroke={MARK} strokeWidth={2} />
            <SvgText x={x} y={y + 5} fontSize={15} fontWeight="bold" textAnchor="middle" fill={MARK}>
              {n}
            </SvgText>
          </G>
        );
      })}
    </Svg>
  );
}
