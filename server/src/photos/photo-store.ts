/** Pictures outside the database, each under the hash of its bytes, in its firm's own folder. */
import { createHash, randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { HttpProblem } from '../problem';

export const PHOTO_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const;
type PhotoType = (typeof PHOTO_TYPES)[number];

/** What the bytes are, by their own first bytes. */
function sniff(b: Buffer): PhotoType | null {
  if (b.length > 3 && b[0] === 0xff && b[1] === 0xd8 && b[2] === 0xff) return 'image/jpeg';
  if (b.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]))) return 'image/png';
  if (b.subarray(0, 4).toString('latin1') === 'RIFF' && b.subarray(8, 12).toString('latin1') === 'WEBP') return 'image/webp';
  return null;
}

/** The segments of a JPEG up to its picture. */
function markersOf(b: Buffer): number[] {
  const out: number[] = [];
  for (let i = 2; i + 4 < b.length && b[i] === 0xff && b[i + 1] !== 0xda; i += 2 + b.readUInt16BE(i + 2)) out.push(b[i + 1]!);
  return out;
}

/** A JPEG has a frame and its end marker, a PNG with IEND, a WebP is as long as it says: a picture that broke off on the way is refused. */
function isWhole(b: Buffer, type: PhotoType): boolean {
  if (type === 'image/jpeg') return b.subarray(-2).equals(Buffer.from([0xff, 0xd9])) && markersOf(b).some((m) => m >= 0xc0 && m <= 0xc2);
  if (type === 'image/png') return b.subarray(-12).includes(Buffer.from('IEND', 'latin1'));
  return b.readUInt32LE(4) + 8 <= b.length;
}

/** Camera data may hold where the picture was taken. The phone re-draws a picture before sending, which leaves none. */
function holdsCameraData(b: Buffer, type: PhotoType): boolean {
  if (type === 'image/png') return b.includes(Buffer.from('eXIf', 'latin1'));
  if (type === 'image/webp') return b.includes(Buffer.from('EXIF', 'latin1'));
  return markersOf(b).includes(0xe1);
}

export class PhotoStore {
  constructor(private readonly dir: string) {}

  private fileOf(firmId: string, hash: string): string {
    return path.join(this.dir, firmId, hash.slice(0, 2), hash);
  }

  /** @throws HttpProblem when it is no whole picture, holds camera data, or is not what its hash says */
  async put(firmId: string, hash: string, bytes: Buffer): Promise<void> {
    const type = sniff(bytes);
    if (type === null || !isWhole(bytes, type))
      throw new HttpProblem('not-a-picture', 'The file is broken, or no JPEG, PNG or WebP picture. Nothing was kept.');
    if (holdsCameraData(bytes, type))
      throw new HttpProblem(
        'not-a-picture',
        'The picture still holds camera data, which may say where it was taken. It is taken off before sending.',
      );
    if (createHash('sha256').update(bytes).digest('hex') !== hash)
      throw new HttpProblem('not-a-picture', 'The picture was damaged on the way: its bytes are not what its name says.');
    const file = this.fileOf(firmId, hash);
    if (existsSync(file)) return;
    await mkdir(path.dirname(file), { recursive: true });
    const part = `${file}.${randomUUID()}`;
    await writeFile(part, bytes);
    await rename(part, file);
  }

  async get(firmId: string, hash: string): Promise<{ readonly type: PhotoType; readonly bytes: Buffer } | null> {
    const bytes = await readFile(this.fileOf(firmId, hash)).catch(() => null);
    const type = bytes && sniff(bytes);
    return bytes && type ? { type, bytes } : null;
  }
}
