/** A picture is decoded whole and written anew: what is damaged shows, and nothing of the camera's own data is left in any block. */
import sharp from 'sharp';
import { HttpProblem } from '../problem';
import { kindOf } from './kinds';

export const MOST_PIXELS = 40_000_000;
/** A strip one point high would hold a thread for as long as it is long: no camera makes one. */
const MOST_SIDE = 16_384;
const JPEG_QUALITY = 88;

// One picture at a time in a thread, and none remembered: memory is bounded by the thread's one picture.
sharp.cache(false);
sharp.concurrency(1);

const refuse = (says: string) => new HttpProblem('not-a-picture', says);

/**
 * @returns the same picture, upright, of the same kind, without anything but its pixels
 * @throws HttpProblem when it is damaged, too large or of another kind
 */
export async function redrawn(bytes: Buffer): Promise<Buffer> {
  const kind = kindOf(bytes);
  if ('other' in kind) throw refuse(`This is ${kind.other}. Send a JPEG, PNG or WebP picture. Nothing was kept.`);
  let size: { width?: number; height?: number };
  try {
    size = await sharp(bytes, { limitInputPixels: false }).metadata();
  } catch {
    throw refuse('The picture is damaged. Take it again, or send it again. Nothing was kept.');
  }
  if (Math.max(size.width ?? 0, size.height ?? 0) > MOST_SIDE)
    throw refuse(
      `The picture is ${size.width} by ${size.height} points; a side has at most ${MOST_SIDE}. Make it smaller. Nothing was kept.`,
    );
  if ((size.width ?? 0) * (size.height ?? 0) > MOST_PIXELS)
    throw refuse(
      `The picture is ${size.width} by ${size.height} points; at most 40 million points are taken. Make it smaller. Nothing was kept.`,
    );
  try {
    const picture = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' }).autoOrient();
    if (kind.type === 'image/png') return await picture.png({ compressionLevel: 7 }).toBuffer();
    if (kind.type === 'image/webp') return await picture.webp({ quality: JPEG_QUALITY }).toBuffer();
    return await picture.jpeg({ quality: JPEG_QUALITY }).toBuffer();
  } catch {
    throw refuse('The picture is damaged: it cannot be drawn to its end. Take it again, or send it again. Nothing was kept.');
  }
}

/** Points across on paper: twice what is printed. */
const PAPER_PX = 1200;

/** A kept picture as a JPEG for paper; null when it cannot be drawn. */
export async function forPaper(bytes: Buffer): Promise<Buffer | null> {
  return sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
    .autoOrient()
    .resize({ width: PAPER_PX, height: PAPER_PX, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: JPEG_QUALITY })
    .toBuffer()
    .catch(() => null);
}
