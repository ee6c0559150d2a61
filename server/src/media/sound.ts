/** Sounds are kept as they were spoken, without what a device writes beside: titles, places, names. */
import { HttpProblem } from '../problem';
import { isPicture, kindOf, type SoundType } from './kinds';

const refuse = (says: string) => new HttpProblem('not-a-picture', says);
const broken = () => refuse('The sound is damaged: it breaks off. Nothing was kept.');

/** RIFF: the format and the samples stay, all other chunks go. */
function plainWav(b: Buffer): Buffer {
  const kept: Buffer[] = [];
  for (let at = 12; at + 8 <= b.length;) {
    const id = b.subarray(at, at + 4).toString('latin1');
    const end = at + 8 + b.readUInt32LE(at + 4);
    if (end > b.length) throw broken();
    if (['fmt ', 'fact', 'data'].includes(id)) kept.push(b.subarray(at, Math.min(b.length, end + (end % 2))));
    at = end + (end % 2);
  }
  if (kept.length < 2) throw broken();
  const body = Buffer.concat(kept);
  const head = Buffer.from(b.subarray(0, 12));
  head.writeUInt32LE(body.length + 4, 4);
  return Buffer.concat([head, body]);
}

const BOXES_WITH_BOXES = new Set(['moov', 'trak', 'mdia', 'minf', 'stbl']);
/** ISO boxes: `udta` and `meta` hold titles and places. They become free space of the same length, so that no offset moves. */
function plainMp4(b: Buffer): Buffer {
  const out = Buffer.from(b);
  let samples = false;
  const walk = (from: number, to: number): void => {
    for (let at = from; at + 8 <= to;) {
      let size = out.readUInt32BE(at);
      const type = out.subarray(at + 4, at + 8).toString('latin1');
      const head = size === 1 ? 16 : 8;
      if (size === 1) size = at + 16 <= to ? Number(out.readBigUInt64BE(at + 8)) : 0;
      if (size === 0) size = to - at;
      if (size < head || at + size > to) throw broken();
      if (type === 'mdat') samples = true;
      if (type === 'udta' || type === 'meta') {
        out.write('free', at + 4, 'latin1');
        out.fill(0, at + head, at + size);
      } else if (BOXES_WITH_BOXES.has(type)) walk(at + head, at + size);
      at += size;
    }
  };
  walk(0, out.length);
  if (!samples) throw broken();
  return out;
}

/** MPEG audio: the tags before and after the frames go. */
function plainMp3(b: Buffer): Buffer {
  let from = 0;
  while (b.subarray(from, from + 3).toString('latin1') === 'ID3' && from + 10 <= b.length) {
    const [w, x, y, z] = b.subarray(from + 6, from + 10);
    from += 10 + ((w! << 21) | (x! << 14) | (y! << 7) | z!);
  }
  const to = b.subarray(-128).subarray(0, 3).toString('latin1') === 'TAG' ? b.length - 128 : b.length;
  if (to - from < 4 || b[from] !== 0xff) throw broken();
  return b.subarray(from, to);
}

const PLAIN: Readonly<Record<SoundType, (b: Buffer) => Buffer>> = {
  'audio/wav': plainWav,
  'audio/mp4': plainMp4,
  'audio/mpeg': plainMp3,
  // What a browser records in these holds the name of its encoder and nothing else.
  'audio/webm': (b) => b,
  'audio/ogg': (b) => b,
};

/** @throws HttpProblem when it is damaged or no sound */
export function plainSound(bytes: Buffer): Buffer {
  const kind = kindOf(bytes);
  if ('other' in kind) throw refuse(`This is ${kind.other}. Send WebM, Ogg, MP4, WAV or MP3 sound. Nothing was kept.`);
  if (isPicture(kind.type)) throw refuse('This is a picture, not a sound. Nothing was kept.');
  return PLAIN[kind.type](bytes);
}
