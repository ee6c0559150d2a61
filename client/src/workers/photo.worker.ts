/** Makes a photograph smaller beside the page. Drawing it anew leaves nothing of the camera's own data: not where, not when, not with what. */
import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex } from '@noble/hashes/utils';
import type { FromPhotoWorker } from './photo-protocol';

const LONGEST_PX = 1600;
const QUALITY = 0.82;
const post = (m: FromPhotoWorker): void => globalThis.postMessage(m);

globalThis.addEventListener('message', ({ data: file }: MessageEvent<Blob>) => {
  void (async () => {
    let picture: ImageBitmap;
    try {
      picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
    } catch {
      return post({ kind: 'wrong', says: 'This file is broken, or no picture that this phone can read.' });
    }
    const scale = Math.min(1, LONGEST_PX / Math.max(picture.width, picture.height));
    const width = Math.max(1, Math.round(picture.width * scale));
    const height = Math.max(1, Math.round(picture.height * scale));
    const canvas = new OffscreenCanvas(width, height);
    canvas.getContext('2d')!.drawImage(picture, 0, 0, width, height);
    picture.close();
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
    const hash = bytesToHex(sha256(new Uint8Array(await blob.arrayBuffer())));
    post({ kind: 'made', hash, width, height, blob });
  })();
});
