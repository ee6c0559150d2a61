/** What a file is, by its own first bytes; its name and what a sender calls it prove nothing. */
export const PICTURE_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const;
export type PictureType = (typeof PICTURE_TYPES)[number];

const ascii = (b: Buffer, from: number, to: number): string => b.subarray(from, to).toString('latin1');
const PNG = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
/** How much of a file tells its kind. */
export const HEAD_BYTES = 256;

/** The kind of a file that is kept; or what it is instead, in words; or nothing that is known. */
export function kindOf(b: Buffer): { readonly type: PictureType } | { readonly other: string } {
  if (b.length >= 3 && b[0] === 0xff && b[1] === 0xd8 && b[2] === 0xff) return { type: 'image/jpeg' };
  if (b.subarray(0, 8).equals(PNG)) return { type: 'image/png' };
  if (ascii(b, 0, 4) === 'RIFF' && ascii(b, 8, 12) === 'WEBP') return { type: 'image/webp' };
  if (ascii(b, 4, 8) === 'ftyp') {
    const brand = ascii(b, 8, 12);
    if (/^(heic|heix|hevc|heim|heis|mif1|msf1)/.test(brand)) return { other: 'a HEIC picture' };
    if (/^avi[fs]/.test(brand)) return { other: 'an AVIF picture' };
    return { other: 'a film or a sound' };
  }
  if (/^(RIFF|OggS|ID3)/.test(ascii(b, 0, 4))) return { other: 'a sound' };
  if (/^GIF8/.test(ascii(b, 0, 4))) return { other: 'a GIF picture' };
  if (/^(II\*\0|MM\0\*)/.test(ascii(b, 0, 4))) return { other: 'a TIFF or raw camera picture' };
  if (ascii(b, 0, 2) === 'BM') return { other: 'a BMP picture' };
  if (ascii(b, 0, 5) === '%PDF-') return { other: 'a PDF' };
  if (/^\s*(<\?xml|<svg)/i.test(ascii(b, 0, 200))) return { other: 'a drawing' };
  return { other: 'no kind of picture that is known here' };
}
