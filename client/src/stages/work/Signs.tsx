/** What is seen at a step: one tap tells it, and what follows changes at once. The firm's own pictures stand in for the drawings. */
import { useState } from 'react';
import { Image, Pressable, View } from 'react-native';
import {
  EXTENTS,
  extentM2,
  formatMeasure,
  measure,
  offersAt,
  say,
  seenAt,
  SIGN_ROLES,
  type Extent,
  type JobFacts,
  type Material,
  type Offer,
  type Photo,
  type Seen,
  type SeenAt,
  type SeenTold,
  type SignId,
  type Surface,
} from '@roughsill/core';
import { sentence } from '@roughsill/core/words';
import { Button, Pick, useUnits, useWhen, Words } from '../../kit';
import { cap } from '../../kit/text';
import { add, commit, commitToFirm, set, useAppDispatch, useFirm } from '../../store';
import { Photos } from '../photos/Photos';
import { SignPicture } from './SignPicture';

const ROLE_EDGE = { goOn: 'border-verdigris', stop: 'border-ochre', ruined: 'border-oxide' } as const;

/** The firm's own picture, else the drawing. */
function Picture({ sign, material }: { readonly sign: SignId; readonly material: Material }) {
  const own = useFirm().signPictures.find((p) => p.removedAt === null && p.sign === sign);
  return (
    <View className="relative" style={{ width: 72, height: 54 }}>
      <SignPicture sign={sign} material={material} />
      {/* Without a signal it does not come, and the drawing stands. */}
      {own ? (
        <Image
          source={{ uri: `/api/photos/${own.hash}` }}
          style={{ position: 'absolute', left: 0, top: 0, width: 72, height: 54 }}
          resizeMode="cover"
          aria-hidden
        />
      ) : null}
    </View>
  );
}

interface TileProps {
  readonly offer: Offer;
  readonly material: Material;
  readonly onTell: () => void;
}
function Tile({ offer, material, onTell }: TileProps) {
  const units = useUnits();
  const { sign, spec, says, refused } = offer;
  return (
    <Pressable
      role="button"
      aria-disabled={refused !== null}
      disabled={refused !== null}
      onPress={onTell}
      testID={`sign-${sign}`}
      className={`min-h-touch w-full max-w-[34rem] flex-row gap-3 border-l-8 bg-limewash p-2 active:opacity-80 ${ROLE_EDGE[spec.role]}`}
    >
      <View aria-hidden className={refused ? 'opacity-60' : ''}>
        <Picture sign={sign} material={material} />
      </View>
      <View className="min-w-0 flex-1">
        <Words look="strong">{cap(say(sign))}</Words>
        <Words look="note">{sentence(refused ?? says, units)}</Words>
      </View>
    </Pressable>
  );
}

interface SignsProps {
  readonly facts: JobFacts;
  readonly surface: Surface;
  readonly at: SeenAt;
  readonly told: SeenTold;
  /** The work stands at this step: it is asked without a tap. */
  readonly here: boolean;
}

export function Signs({ facts, surface, at, told, here }: SignsProps) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const [open, setOpen] = useState(here);
  const [extent, setExtent] = useState<Extent>('spot');
  const seen = seenAt(surface, at, told);
  const tell = (sign: SignId) =>
    dispatch(
      commit(
        facts.job.id,
        [
          add(
            'sign',
            {
              sign,
              partId: 'stroke' in at ? at.partId : null,
              methodId: 'stroke' in at ? at.stroke : null,
              product: 'coat' in at ? at.coat : null,
              extent,
              note: '',
              takenAt: new Date().toISOString(),
              supersedesId: null,
              supersedesWhy: null,
            },
            surface.id,
          ),
        ],
        `${say(sign)} seen`,
      ),
    );
  const offers = open ? offersAt(surface, at, told, new Date()) : [];
  const size = (e: Extent) => formatMeasure(measure(extentM2(e, at.areaM2), 'm2'), units);
  return (
    <View className="gap-2" testID="signs">
      {seen.map((x) => (
        <SeenRow key={x.record.id} x={x} facts={facts} surface={surface} />
      ))}
      <Button
        label={open ? 'Close the signs' : 'What do you see?'}
        expanded={open}
        look={here ? 'main' : 'plain'}
        onPress={() => setOpen(!open)}
        className="self-start"
        testID="see"
      />
      {open ? (
        <>
          <Pick
            label="Where it shows"
            value={extent}
            options={EXTENTS.map((value) => ({ value, label: `${cap(say(`extent.${value}`))}, ${size(value)}` }))}
            onChange={setExtent}
            testID="extent"
          />
          {SIGN_ROLES.map((role) => {
            const some = offers.filter((o) => o.spec.role === role);
            if (some.length === 0) return null;
            return (
              <View key={role} role="group" aria-label={say(`role.${role}`)} className="gap-1">
                <Words look="label">{cap(say(`role.${role}`))}</Words>
                {some.map((o) => (
                  <Tile key={o.sign} offer={o} material={surface.material} onTell={() => tell(o.sign)} />
                ))}
              </View>
            );
          })}
        </>
      ) : null}
    </View>
  );
}

/** One that was told: by whom, over how much, what it set going, and its picture. */
function SeenRow({ x, facts, surface }: { readonly x: Seen; readonly facts: JobFacts; readonly surface: Surface }) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const when = useWhen();
  const { signPictures } = useFirm();
  const { record, sign, spec } = x;
  const has = facts.photos.some((p) => p.removedAt === null && p.ofSignId === record.id);
  const [open, setOpen] = useState(has);
  const takeBack = () => {
    const { id, by: _by, ...fields } = record;
    dispatch(
      commit(
        facts.job.id,
        [
          add(
            'sign',
            { ...fields, sign: 'withdrawn', note: '', takenAt: new Date().toISOString(), supersedesId: id, supersedesWhy: 'taken back' },
            surface.id,
          ),
        ],
        `${say(sign)} taken back`,
      ),
    );
  };
  /** What was photographed under a sign becomes the firm's picture of it. */
  const own = ({ hash, width, height }: Pick<Photo, 'hash' | 'width' | 'height'>) => {
    const before = signPictures.find((p) => p.removedAt === null && p.sign === sign);
    dispatch(
      commitToFirm([before ? set('signPicture', before.id, { hash, width, height }) : add('signPicture', { sign, hash, width, height })]),
    );
  };
  return (
    <View
      role="group"
      aria-label={`Seen: ${say(sign)}`}
      testID={`seen-${sign}`}
      className={`gap-1 border-l-8 bg-limewash p-2 ${ROLE_EDGE[spec.role]}`}
    >
      <View className="flex-row gap-3">
        <Picture sign={sign} material={surface.material} />
        <View className="min-w-0 flex-1">
          <Words look="strong">{`Seen: ${say(sign)}`}</Words>
          <Words look="note">{`${cap(say(`extent.${record.extent}`))}, ${formatMeasure(measure(x.areaM2, 'm2'), units)}; ${record.by}, ${when(record.takenAt)}`}</Words>
          {x.held ? <Words look="note">{sentence(x.held, units)}</Words> : null}
        </View>
      </View>
      <View className="flex-row flex-wrap gap-2">
        <Button look="quiet" flush label="Take it back" says={`Take it back: ${say(sign)}`} onPress={takeBack} />
        {open ? null : (
          <Button look="quiet" flush label="Photograph it" says={`Photograph it: ${say(sign)}`} onPress={() => setOpen(true)} />
        )}
      </View>
      {open ? (
        <Photos facts={facts} of={{ ofSurfaceId: surface.id, ofSignId: record.id }} title="Photographs of this sign" onAdded={own} />
      ) : null}
    </View>
  );
}
