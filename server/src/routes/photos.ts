import { z } from 'zod';
import { PhotoFields } from '@roughsill/core';
import type { FirmStore } from '../db/firm-store';
import { PHOTO_TYPES, type PhotoStore } from '../photos/photo-store';
import { HttpProblem } from '../problem';
import { route, type Route } from './route';

const Named = z.strictObject({ hash: PhotoFields.shape.hash });

export function photoRoutes(store: FirmStore, photos: PhotoStore): Route[] {
  return [
    route(
      {
        method: 'put',
        path: '/api/photos/{hash}',
        summary: 'Keeps a picture under the hash of its bytes; sent twice, it changes nothing',
        params: Named,
        takes: PHOTO_TYPES,
        reply: z.object({ hash: z.string() }),
        problems: ['too-large', 'wrong-type', 'not-a-picture'],
      },
      async ({ params, req }) => {
        await photos.put(store.firmId, params.hash, req.body as Buffer);
        return { hash: params.hash };
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
        problems: ['not-found', 'database-away'],
      },
      async ({ params, res }) => {
        const known = await store.hasPhoto(params.hash);
        const picture = known ? await photos.get(store.firmId, params.hash) : null;
        if (!picture) throw new HttpProblem('not-found', 'There is no such picture on this firm’s jobs.');
        // The name is the content: it never changes. Private, for it is the firm's own.
        res.setHeader('cache-control', 'private, max-age=31536000, immutable').type(picture.type).send(picture.bytes);
      },
    ),
  ];
}
