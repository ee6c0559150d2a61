/** A room unfolded, or a side on its ground, as one stage sees it; with what its textures mean, and a file of it to take along. */
import { useMemo } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import { formatMeasure, measure, type JobDigest, type JobFacts, type Rect, type Space, type ZoneDigest } from '@roughsill/core';
import {
  damageMarks,
  marksOf,
  scene,
  sceneSvg,
  TEXTURES,
  unfold,
  type MarkKind,
  type PlanPiece,
  type SetUpDrawn,
  type Tone,
} from '@roughsill/core/unfold';
import { Button, Empty, useUnits, Words } from '../kit';
import { saveFile } from '../stages/save-file';
import type { StageId } from '../stages/stages';
import { inSpace, legendOf, pieceFor, planWords } from './pieces';
import { SceneView } from './SceneView';
import { cap } from '../kit/text';

const MOST_HIGH = 360;
/** Of a file: as wide as a page. */
const PAGE = 1000;

/** What a zone lays there: of the whole floor, or these places seen from above. */
export interface Laid {
  readonly m2: number;
  readonly beyondM: number;
  readonly rects: readonly Rect[];
  /** It takes in this room or side alone. */
  readonly alone: boolean;
  readonly working: readonly string[];
  readonly setUp: Omit<SetUpDrawn, 'sheet' | 'wayIn'>;
  readonly surfaceIds: readonly string[];
}

export const laidIn = (z: ZoneDigest): Laid => ({
  m2: z.sheetM2,
  beyondM: z.beyondM,
  rects: z.sheet,
  alone: z.spaceIds.length === 1,
  working: z.order,
  surfaceIds: z.surfaceIds,
  setUp: { openings: z.openings, screen: z.screen, part: z.partOf !== null },
});

interface Props {
  readonly facts: JobFacts;
  readonly digest: JobDigest;
  readonly space: Space;
  readonly stage: StageId;
  readonly laid?: Laid;
  readonly currentId?: string;
  /** On paper nothing is pressed. */
  readonly paper?: boolean;
}

function Legend({ pieces }: { readonly pieces: readonly PlanPiece[] }) {
  return (
    <View className="flex-row flex-wrap gap-x-4 gap-y-1">
      {legendOf(pieces).map(({ tone, says }) => (
        <View key={tone} className="flex-row items-center gap-1.5">
          <Swatch tone={tone} />
          <Words look="note">{says}</Words>
        </View>
      ))}
    </View>
  );
}

/** What each mark means, by how it looks. */
const MARK_WORDS: Readonly<Record<MarkKind, string>> = {
  seal: 'thick outline: closed and sealed',
  flap: 'thick and dashed: under a flap',
  way: 'arrow: the way in and out',
  air: 'box with an arrow: the air machine, and where it blows out',
  screen: 'heavy line: an upright screen',
  keepOut: 'dashed red: nobody but the crew goes past it',
  scaffold: 'thin uprights: scaffold',
  near: 'named boxes: what lies near, covered or cleared first',
  damage: 'crosses: damage to the ground',
};

/** A chip of the texture itself. */
function Swatch({ tone }: { readonly tone: Tone }) {
  const chip = { x: 0, y: 0, w: 22, h: 14 };
  return (
    <View aria-hidden style={{ width: 22 }}>
      <SceneView
        says=""
        onOpen={() => undefined}
        at={() => ({
          width: 22,
          height: 14,
          behind: [{ kind: 'rect', ...chip, paint: tone, textured: TEXTURES[tone] !== undefined, ink: 'ink', wide: 1 }],
          pieces: [],
          before: [],
        })}
      />
    </View>
  );
}

export function RoomPicture({ facts, digest, space, stage, laid, currentId, paper }: Props) {
  const units = useUnits();
  const here = useMemo(() => inSpace(facts, space.id), [facts, space.id]);
  const drawing = useMemo(() => unfold(space, here), [space, here]);
  const pieces = useMemo(() => {
    const byId = new Map(digest.surfaces.map((d) => [d.surfaceId, d]));
    return new Map(
      here.flatMap((s) => {
        const d = byId.get(s.id);
        return d ? [[s.id, pieceFor(stage, s, d)] as const] : [];
      }),
    );
  }, [here, digest.surfaces, stage]);
  if (!drawing && paper) return null;
  if (!drawing)
    return (
      <Empty
        says={`${space.name} has no size yet. With its length${space.kind === 'room' ? ' and width' : ''} it is drawn to scale, and its sheet ends at the walls.`}
      >
        <Button
          label={`Measure ${space.name}`}
          onPress={() => router.navigate(`/add/${facts.job.id}?edit=${space.id}`)}
          className="self-start"
        />
      </Empty>
    );
  const floor = space.lengthM !== null && space.widthM !== null ? space.lengthM * space.widthM : null;
  const whole = laid !== undefined && space.kind === 'room' && laid.alone && floor !== null && laid.m2 > floor - 0.01;
  const guessed = drawing.pieces.filter((d) => d.guessed && pieces.has(d.surfaceId));
  // Before a side that nobody placed, its sheet lies where it is drawn.
  const out = Math.min(laid?.beyondM ?? 0, space.boundaryM ?? Infinity);
  const guesses: Rect[] =
    space.kind === 'room' || !laid || laid.m2 === 0
      ? []
      : guessed
          .filter((d) => laid.working.includes(d.surfaceId) && d.rects.length > 0)
          .map((d) => ({
            x0: Math.min(...d.rects.map((x) => x.x0)) - laid.beyondM,
            x1: Math.max(...d.rects.map((x) => x.x1)) + laid.beyondM,
            y0: -out,
            y1: 0,
          }));
  const sheetSays = laid && laid.m2 > 0 ? `sheet ${formatMeasure(measure(laid.m2, 'm2'), units)}` : null;
  const says = planWords(space.name, pieces.values(), sheetSays);
  const sheet = whole ? [] : [...(laid?.rects ?? []), ...guesses];
  const floorFace = drawing.faces.find((f) => f.id === 'floor' || f.id === 'ground')!.rect;
  const setUp = laid
    ? marksOf(drawing, space, facts.surfaces, {
        ...laid.setUp,
        wayIn: facts.surfaces.some((s) => s.opening === 'wayIn' && !s.bench && laid.surfaceIds.includes(s.id)),
        sheet: whole ? [floorFace] : sheet.map(drawing.onFloor),
      })
    : [];
  const marks = stage === 'walk' || stage === 'work' ? [...setUp, ...damageMarks(drawing, here)] : setUp;
  const at = (width: number, maxHeight = MOST_HIGH) =>
    scene(drawing, pieces, {
      width,
      maxHeight,
      currentId,
      sheet: whole ? 'whole' : sheet,
      marks,
      sheetSays,
    });
  return (
    <View className="gap-1">
      <SceneView at={at} says={says} onOpen={(id) => router.navigate(`/job/${facts.job.id}/${stage}/${id}`)} />
      <Legend pieces={[...pieces.values()]} />
      {marks.length > 0 ? <Words look="note">{cap(`${[...new Set(marks.map((m) => MARK_WORDS[m.kind]))].join('; ')}.`)}</Words> : null}
      <Words look="note">
        {[
          space.kind === 'room' ? 'Walls folded out round the floor.' : 'Seen from outside, the ground in front.',
          guessed.length > 0 ? 'Dashed: nobody said where it stands.' : '',
        ]
          .filter(Boolean)
          .join(' ')}
      </Words>
      {paper ? null : (
        <Button
          look="quiet"
          flush
          label="Save the drawing"
          says={`Save the drawing of ${space.name} as SVG`}
          onPress={() => saveFile(`${facts.job.name} ${space.name}.svg`, sceneSvg(at(PAGE, PAGE), says), 'image/svg+xml')}
          className="self-start"
        />
      )}
    </View>
  );
}
