/** Pictures at the door: drawn anew, nothing of the camera's own data, the damaged and the foreign told in a sentence. */
import { createHash } from 'node:crypto';
import { mkdirSync, readdirSync, readFileSync, truncateSync, utimesSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import sharp, { type Sharp } from 'sharp';
import { quillPoint } from '@roughsill/demo';
import { writeJobFile } from '@roughsill/core';
import { NOW, startTestServer, type TestServer } from '../testing';
import { DEMO_FIRM } from '../db/seed';
import { MediaStore } from './media-store';
import { forPaper, redrawn } from './picture';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer();
  expect((await s.call('POST', '/api/jobs/import', undefined, writeJobFile(quillPoint()))).status).toBe(201);
}, 60_000);
afterAll(() => s.stop());

const hashOf = (b: Buffer) => createHash('sha256').update(b).digest('hex');
const put = (body: Buffer, type = 'image/jpeg', hash = hashOf(body)) =>
  fetch(`${s.address}/api/photos/${hash}`, { method: 'PUT', body: new Uint8Array(body), headers: { 'content-type': type } });
const detail = async (r: Response) => ((await r.json()) as { detail: string }).detail;
const fileOf = (hash: string) => path.join(s.photosDir, DEMO_FIRM.firmId, hash.slice(0, 2), hash);
const bricks = (n: number, width = 90) => sharp({ create: { width, height: 60, channels: 3, background: { r: 120 + n, g: 60, b: 40 } } });
const onJob = (hash: string, id: string) =>
  s.call('POST', '/api/changes', {
    changes: [
      {
        id: `photo-${id}`,
        jobId: 'quill-point',
        entity: 'photo',
        entityId: id,
        surfaceId: null,
        op: 'add',
        fields: {
          ...quillPoint().photos[0]!,
          hash,
          ofSurfaceId: 'qp-wainscot',
          ofSampleId: null,
          ofCheckId: null,
          id: undefined,
          removedAt: undefined,
        },
        at: NOW.toISOString(),
        by: 'Tester',
      },
    ],
  });

const SECRET = 'Quill Point slipway 51.4 N';
const withMetadata = (p: Sharp) =>
  p
    .withExif({ IFD0: { ImageDescription: SECRET }, IFD3: { GPSLatitudeRef: 'N' } })
    .withXmp(`<x:xmpmeta xmlns:x="adobe:ns:meta/">${SECRET}</x:xmpmeta>`);
/** A PNG text chunk and a JPEG comment: blocks that are no EXIF. */
const pngText = (png: Buffer) => {
  const data = Buffer.from(`Comment\0${SECRET}`, 'latin1');
  const chunk = Buffer.concat([Buffer.alloc(4), Buffer.from('tEXt'), data, Buffer.alloc(4)]);
  chunk.writeUInt32BE(data.length, 0);
  return Buffer.concat([png.subarray(0, 33), chunk, png.subarray(33)]);
};
const jpegComment = (jpeg: Buffer) => {
  const text = Buffer.from(SECRET);
  return Buffer.concat([jpeg.subarray(0, 2), Buffer.from([0xff, 0xfe, 0, text.length + 2]), text, jpeg.subarray(2)]);
};

test.each([
  ['JPEG', async () => jpegComment(await withMetadata(bricks(1)).jpeg().toBuffer()), 'image/jpeg'],
  ['PNG', async () => pngText(await withMetadata(bricks(2)).png().toBuffer()), 'image/png'],
  ['WebP', async () => withMetadata(bricks(3)).webp().toBuffer(), 'image/webp'],
] as const)(
  'a %s is kept under the hash of what was sent, without any block of metadata, and served once it is on a job',
  async (_k, make, type) => {
    const sent = await make();
    const hash = hashOf(sent);
    expect(sent.includes(Buffer.from(SECRET))).toBe(true);
    expect((await put(sent, type)).status).toBe(200);
    expect((await put(sent, type)).status).toBe(200);
    expect((await fetch(`${s.address}/api/photos/${hash}`)).status).toBe(404);
    expect((await onJob(hash, `on-${hash.slice(0, 8)}`)).status).toBe(200);
    const got = await fetch(`${s.address}/api/photos/${hash}`);
    expect([got.status, got.headers.get('content-type'), got.headers.get('cache-control')]).toEqual([
      200,
      type,
      expect.stringContaining('private'),
    ]);
    const kept = Buffer.from(await got.arrayBuffer());
    expect(kept.includes(Buffer.from('Quill Point'))).toBe(false);
    const meta = await sharp(kept).metadata();
    expect([meta.width, meta.height, meta.exif, meta.xmp, meta.iptc, meta.comments]).toEqual([
      90,
      60,
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
  },
);

test('a picture that was taken lying down is kept upright', async () => {
  const turned = await bricks(4).withMetadata({ orientation: 6 }).jpeg().toBuffer();
  expect(await sharp(await redrawn(turned)).metadata()).toMatchObject({ width: 60, height: 90 });
});

test('what is damaged, foreign, too large or misnamed is told in a sentence, and nothing stops', async () => {
  const whole = await sharp({
    create: { width: 900, height: 900, channels: 3, background: 'red', noise: { type: 'gaussian', mean: 128, sigma: 60 } },
  })
    .jpeg()
    .toBuffer();
  const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(40)]);
  const says: [Buffer, RegExp][] = [
    [whole.subarray(0, 600), /damaged/],
    [whole.subarray(0, whole.length / 2), /damaged/],
    [Buffer.from([0xff, 0xd8, 0xff, 0xd9]), /damaged/],
    // Seventy bytes that call themselves a picture: these once ended the process when the survey was printed.
    [Buffer.concat([Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]), Buffer.alloc(62)]), /damaged/],
    [heic, /This is a HEIC picture. Send a JPEG, PNG or WebP/],
    [Buffer.from('GIF89a0000'), /This is a GIF picture/],
    [Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'), /This is a drawing/],
    [Buffer.from('hello'), /no kind of picture/],
    [
      await sharp({ create: { width: 8000, height: 5001, channels: 3, background: 'red' } })
        .png()
        .toBuffer(),
      /8000 by 5001 points; at most 40 million/,
    ],
    [
      // A strip of few points that once held a thread for twenty seconds.
      await sharp({ create: { width: 30_000, height: 1, channels: 3, background: 'red' } })
        .png()
        .toBuffer(),
      /30000 by 1 points; a side has at most 16384/,
    ],
    [Buffer.concat([Buffer.from('RIFF\x10\0\0\0WAVEfmt ', 'latin1'), Buffer.alloc(40)]), /This is a sound/],
  ];
  for (const [bytes, message] of says) {
    const r = await put(bytes, 'application/octet-stream');
    expect([r.status, await detail(r)]).toEqual([422, expect.stringMatching(message)]);
  }
  expect(await detail(await put(whole, 'image/jpeg', '0'.repeat(64)))).toMatch(/damaged on the way/);
  expect((await put(whole, 'text/plain')).status).toBe(415);
  expect((await put(Buffer.alloc(17 * 1024 * 1024), 'image/jpeg', '0'.repeat(64))).status).toBe(413);
  expect((await fetch(`${s.address}/api/photos/..%2f..%2fetc`)).status).toBe(400);
  expect((await s.call('GET', '/api/health')).status).toBe(200);
}, 30_000);

test('a picture that went bad on the disk costs the survey one line, not the survey', async () => {
  const picture = await bricks(5).png().toBuffer();
  const hash = hashOf(picture);
  await put(picture, 'image/png');
  await onJob(hash, 'went-bad');
  writeFileSync(fileOf(hash), readFileSync(fileOf(hash)).subarray(0, 70));
  expect(await forPaper(readFileSync(fileOf(hash)))).toBeNull();
  const pdf = await fetch(`${s.address}/api/jobs/quill-point/survey.pdf`);
  expect([
    pdf.status,
    Buffer.from(await pdf.arrayBuffer())
      .subarray(0, 5)
      .toString(),
  ]).toEqual([200, '%PDF-']);
}, 60_000);

test('a file of no length counts as missing and is made good when it is sent again', async () => {
  const picture = await bricks(6).jpeg().toBuffer();
  const hash = hashOf(picture);
  await put(picture);
  truncateSync(fileOf(hash));
  expect(await s.media.has(DEMO_FIRM.firmId, hash)).toBe(false);
  expect((await put(picture)).status).toBe(200);
  expect(await s.media.has(DEMO_FIRM.firmId, hash)).toBe(true);
});

test('what is no picture is none under any name; a picture that is sent again stays for another month', async () => {
  const picture = await bricks(8).png().toBuffer();
  const hash = hashOf(picture);
  await put(picture);
  const longAgo = new Date(Date.now() - 29 * 24 * 3600 * 1000);
  utimesSync(fileOf(hash), longAgo, longAgo);
  expect((await put(picture)).status).toBe(200);
  expect(await s.media.sweep(DEMO_FIRM.firmId, new Set(), Date.now() + 2 * 24 * 3600 * 1000)).toBe(0);
  writeFileSync(fileOf(hash), 'OggS and what follows');
  expect(await s.media.has(DEMO_FIRM.firmId, hash)).toBe(false);
  await put(picture);
  expect(await s.media.has(DEMO_FIRM.firmId, hash)).toBe(true);
});

test('the room of a firm is bounded, and what no record names goes after a month', async () => {
  const dir = path.join(s.photosDir, 'quota');
  const store = new MediaStore(dir, 1000);
  const [a, b] = [1, 2].map((n) => Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.alloc(697, n)])) as [Buffer, Buffer];
  await store.put('firm', hashOf(a), a, (x) => x);
  await expect(store.put('firm', hashOf(b), b, (x) => x)).rejects.toMatchObject({ code: 'store-full' });
  const folder = path.join(dir, 'firm', hashOf(a).slice(0, 2));
  mkdirSync(folder, { recursive: true });
  writeFileSync(path.join(folder, `${hashOf(a)}.half`), 'x');
  const longAgo = new Date(Date.now() - 40 * 24 * 3600 * 1000);
  readdirSync(folder).forEach((f) => utimesSync(path.join(folder, f), longAgo, longAgo));
  expect(await store.sweep('firm', new Set([hashOf(a)]), Date.now())).toBe(1);
  expect(await store.has('firm', hashOf(a))).toBe(true);
  expect(await store.sweep('firm', new Set(), Date.now())).toBe(1);
  await store.put('firm', hashOf(b), b, (x) => x);
});
