import { z } from 'zod';
import { PhotoFields } from '@roughsill/core';
import type { Crew } from '../pool/worker-pool';
import type { FirmStore } from '../db/firm-store';
import { PICTURE_TYPES } from '../media/kinds';
import type { MediaStore } from '../media/media-store';
import { HttpProblem } from '../problem';
import { route, type Route } from './route';

const Named = z.strictObject({ hash: PhotoFields.shape.hash });
/** Other kinds are taken in far enough to be told what they are. */
const ANY_PICTURE = [...PICTURE_TYPES, 'image/*', 'application/octet-stream'];
/** As a phone's camera makes them; the phone itself sends smaller ones. */
const LIMIT = '16mb';

export function photoRoutes(store: FirmStore, media: MediaStore, crew: Crew): Route[] {
  return [
    route(
      {
        method: 'put',
        path: '/api/photos/{hash}',
        summary: 'Keeps a picture under the hash of its bytes, drawn anew without camera data; sent twice, it changes nothing',
        params: Named,
        takes: ANY_PICTURE,
        reply: z.object({ hash: z.string() }),
        limit: LIMIT,
        problems: ['bad-request', 'too-large', 'wrong-type', 'not-a-picture', 'store-full', 'busy'],
      },
      async (call) => {
        const { hash } = call.params;
        // A phone that goes away sends it again: then it is drawn again.
        await media.put(store.firmId, hash, call.req.body as Buffer, async (bytes) => {
          const done = await crew.run({ kind: 'picture', bytes }, { signal: call.gone, client: call.client });
          return Buffer.from((done as { bytes: Uint8Array }).bytes);
        });
        return { hash };
      },
    ),
    route(
      {
        method: 'get',
        path: '/api/photos/{hash}',
        summary: 'A picture of the firm’s own jobs',
        params: Named,
        reply: z.unknown(),
        produces: 'image/*',
        problems: ['bad-request', 'not-found', 'database-away'],
      },
      async ({ params, res }) => {
        const known = await store.hasPhoto(params.hash);
        const picture = known ? await media.get(store.firmId, params.hash) : null;
        if (!picture) throw new HttpProblem('not-found', 'There is no such picture on this firm’s jobs.');
        // The name stays with the picture: it never changes. Private, for it is the firm's own.
        res.setHeader('cache-control', 'private, max-age=31536000, immutable').type(picture.type).send(picture.bytes);
      },
    ),
  ];
}
