/** Where a piece stands: the wall, and how far along it. */
import { View } from 'react-native';
import { formatMeasure, isOpening, measure, OPENING_USES, say, WALLS, type Surface, type WallId } from '@roughsill/core';
import { LengthField, Panel, Pick, useUnits, Words } from '../../kit';
import { commit, set, useAppDispatch } from '../../store';
import type { StageProps } from '../props';
import { cap } from '../../kit/text';

const USES = OPENING_USES.map((value) => ({ value, label: cap(say(`opening.${value}`)) }));
const WALL_OPTIONS = WALLS.map((w) => ({ value: w, label: w }));

export function PlacePanel({ facts, surface }: Pick<StageProps, 'facts' | 'surface'>) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const space = facts.spaces.find((s) => s.id === surface.spaceId);
  if (!space || surface.bench || surface.element === 'ceiling' || surface.element === 'floorBoards') return null;
  const room = space.kind === 'room';
  const long = !room
    ? space.lengthM
    : surface.wall === null
      ? null
      : surface.wall === 'A' || surface.wall === 'C'
        ? space.lengthM
        : space.widthM;
  const write = (fields: { wall?: WallId; alongM?: number | null; opening?: Surface['opening'] }) =>
    dispatch(commit(facts.job.id, [set('surface', surface.id, fields)], `${surface.name} placed`));
  return (
    <Panel title="Where it stands" testID="place">
      <Words look="note">
        {room
          ? 'Wall A is the one with the door; B, C and D follow to the right as you come in. Where sheets meet they are one.'
          : 'From the left corner, as you look at it. Where sheets meet they are one.'}
      </Words>
      <View className="flex-row flex-wrap items-end gap-4">
        {room ? <Pick label="Wall" value={surface.wall} options={WALL_OPTIONS} onChange={(wall) => write({ wall })} testID="wall" /> : null}
        {!room || surface.wall !== null ? (
          <View className="min-w-[11rem] flex-1">
            <LengthField
              label={room ? 'From its left corner' : 'From the left corner'}
              value={surface.alongM}
              steps
              optional
              testID="along"
              check={(m) =>
                m < 0
                  ? 'A distance cannot be negative.'
                  : long !== null && m > long + 0.005
                    ? `The ${room ? 'wall' : 'side'} is ${formatMeasure(measure(long, 'm'), units)} long.`
                    : undefined
              }
              onCommit={(alongM) => write({ alongM })}
            />
          </View>
        ) : null}
      </View>
      {room && isOpening(surface.element) ? (
        <Pick
          label="While the room is worked it is"
          value={surface.opening}
          options={USES}
          onChange={(opening) => write({ opening })}
          testID="opening"
        />
      ) : null}
    </Panel>
  );
}
