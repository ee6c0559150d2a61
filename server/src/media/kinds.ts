/** What a file is, by its own first bytes; its name and what a sender calls it prove nothing. */
export const PICTURE_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const;
export type PictureType = (typeof PICTURE_TYPES)[number];
export const SOUND_TYPES = ['audio/webm', 'audio/ogg', 'audio/mp4', 'audio/wav', 'audio/mpeg'] as const;
export type SoundType = (typeof SOUND_TYPES)[number];
export type MediaType = PictureType | SoundType;

const ascii = (b: Buffer, from: number, to: number): string => b.subarray(from, to).toString('latin1');
/** Brands of the ISO base media format: the same box holds phone pictures, films and sound. */
const SOUND_BRANDS = /^(M4A |M4B |mp41|mp42|isom|iso[2-6]|dash)/;

/** The kind of a file that is kept; or what it is instead, in words; or nothing that is known. */
export function kindOf(b: Buffer): { readonly type: MediaType } | { readonly other: string } {
  if (b.length >= 3 && b[0] === 0xff && b[1] === 0xd8 && b[2] === 0xff) return { type: 'image/jpeg' };
  if (b.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]))) return { type: 'image/png' };
  if (ascii(b, 0, 4) === 'RIFF') {
    if (ascii(b, 8, 12) === 'WEBP') return { type: 'image/webp' };
    if (ascii(b, 8, 12) === 'WAVE') return { type: 'audio/wav' };
  }
  if (b.length >= 4 && b.readUInt32BE(0) === 0x1a45dfa3) return { type: 'audio/webm' };
  if (ascii(b, 0, 4) === 'OggS') return { type: 'audio/ogg' };
  if (ascii(b, 0, 3) === 'ID3' || (b.length >= 2 && b[0] === 0xff && (b[1]! & 0xe6) === 0xe2)) return { type: 'audio/mpeg' };
  if (ascii(b, 4, 8) === 'ftyp') {
    const brand = ascii(b, 8, 12);
    if (/^(heic|heix|hevc|heim|heis|mif1|msf1)/.test(brand)) return { other: 'a HEIC picture' };
    if (/^avi[fs]/.test(brand)) return { other: 'an AVIF picture' };
    if (/^qt/.test(brand)) return { other: 'a film' };
    if (SOUND_BRANDS.test(brand)) return { type: 'audio/mp4' };
    return { other: 'a film' };
  }
  if (/^GIF8/.test(ascii(b, 0, 4))) return { other: 'a GIF picture' };
  if (/^(II\*\0|MM\0\*)/.test(ascii(b, 0, 4))) return { other: 'a TIFF or raw camera picture' };
  if (ascii(b, 0, 2) === 'BM') return { other: 'a BMP picture' };
  if (ascii(b, 0, 5) === '%PDF-') return { other: 'a PDF' };
  if (/^\s*(<\?xml|<svg)/i.test(ascii(b, 0, 200))) return { other: 'a drawing' };
  return { other: 'no kind of picture or sound that is known here' };
}
export const isPicture = (type: MediaType): type is PictureType => (PICTURE_TYPES as readonly string[]).includes(type);
