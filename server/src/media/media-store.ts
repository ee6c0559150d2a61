/**
 * Pictures outside the database, in their firm's own folder, each under the hash of the bytes that were sent: by that name
 * the phone and the records know it. What is kept is what was made of them at the door.
 */
import { createHash, randomUUID } from 'node:crypto';
import { mkdir, open, readdir, readFile, rename, rm, stat, utimes } from 'node:fs/promises';
import path from 'node:path';
import { HttpProblem } from '../problem';
import { HEAD_BYTES, kindOf, type PictureType } from './kinds';

const HASH = /^[0-9a-f]{64}$/;
/** A firm's pictures together. */
const QUOTA_BYTES = 20 * 1024 ** 3;
/** What no record names may still be on its way: its record is in some phone's outbox. */
const SWEEP_AFTER_MS = 30 * 24 * 3600 * 1000;
const PART_AFTER_MS = 3600 * 1000;

interface Kept {
  readonly file: string;
  readonly name: string;
  readonly bytes: number;
  readonly at: number;
}

export class MediaStore {
  private readonly used = new Map<string, number>();

  constructor(
    private readonly dir: string,
    private readonly quotaBytes = QUOTA_BYTES,
  ) {}

  private fileOf(firmId: string, hash: string): string {
    return path.join(this.dir, firmId, hash.slice(0, 2), hash);
  }

  private async *files(firmId: string): AsyncGenerator<Kept> {
    const root = path.join(this.dir, firmId);
    for (const folder of await readdir(root).catch(() => [])) {
      for (const name of await readdir(path.join(root, folder)).catch(() => [])) {
        const file = path.join(root, folder, name);
        const s = await stat(file).catch(() => null);
        if (s?.isFile()) yield { file, name, bytes: s.size, at: s.mtimeMs };
      }
    }
  }

  private async usedBytes(firmId: string): Promise<number> {
    const known = this.used.get(firmId);
    if (known !== undefined) return known;
    let sum = 0;
    for await (const f of this.files(firmId)) sum += f.bytes;
    this.used.set(firmId, sum);
    return sum;
  }

  /**
   * Whether the picture is here. A file of no length was left by a machine that stopped while writing, and what is no picture is none
   * under any name: both count as missing.
   */
  async has(firmId: string, hash: string): Promise<boolean> {
    const file = await open(this.fileOf(firmId, hash), 'r').catch(() => null);
    if (file === null) return false;
    try {
      const { buffer, bytesRead } = await file.read(Buffer.alloc(HEAD_BYTES), 0, HEAD_BYTES, 0);
      return 'type' in kindOf(buffer.subarray(0, bytesRead));
    } finally {
      await file.close();
    }
  }

  /**
   * Keeps what `make` makes of the bytes. Sent twice, it changes nothing but its time, for somebody still wants it; a broken copy is made good.
   * @throws HttpProblem when the bytes are not what the name says, when they are refused, or when there is no room
   */
  async put(firmId: string, hash: string, bytes: Buffer, make: (bytes: Buffer) => Promise<Buffer> | Buffer): Promise<void> {
    if (createHash('sha256').update(bytes).digest('hex') !== hash)
      throw new HttpProblem('not-a-picture', 'It was damaged on the way: its bytes are not what its name says. Nothing was kept.');
    if (await this.has(firmId, hash)) {
      const now = new Date();
      return utimes(this.fileOf(firmId, hash), now, now);
    }
    const made = await make(bytes);
    const used = await this.usedBytes(firmId);
    if (used + made.length > this.quotaBytes)
      throw new HttpProblem('store-full', 'The room for pictures is used up. It stays on the phone. Make room, then it is sent again.');
    const file = this.fileOf(firmId, hash);
    await mkdir(path.dirname(file), { recursive: true, mode: 0o700 });
    const part = `${file}.${randomUUID()}`;
    try {
      const handle = await open(part, 'wx', 0o600);
      try {
        await handle.writeFile(made);
        // On the disk before it has its name: the phone throws its own copy away when this is answered.
        await handle.sync();
      } finally {
        await handle.close();
      }
      await rename(part, file);
    } catch (e) {
      await rm(part, { force: true });
      if (['ENOSPC', 'EDQUOT'].includes((e as { code?: string }).code ?? ''))
        throw new HttpProblem('store-full', 'The disk is full. It stays on the phone and is sent again.');
      throw e;
    }
    const folder = await open(path.dirname(file), 'r').catch(() => null);
    await folder?.sync().catch(() => undefined);
    await folder?.close();
    this.used.set(firmId, (this.used.get(firmId) ?? 0) + made.length);
  }

  async get(firmId: string, hash: string): Promise<{ readonly type: PictureType; readonly bytes: Buffer } | null> {
    const bytes = await readFile(this.fileOf(firmId, hash)).catch(() => null);
    const kind = bytes && bytes.length > 0 ? kindOf(bytes) : null;
    return bytes && kind && 'type' in kind ? { type: kind.type, bytes } : null;
  }

  /**
   * Clears away what no record names for a month, pieces of broken writes, and files of no length.
   * @returns how many went
   */
  async sweep(firmId: string, named: ReadonlySet<string>, now: number): Promise<number> {
    let gone = 0;
    for await (const f of this.files(firmId)) {
      const isOwn = HASH.test(f.name);
      const old = now - f.at;
      const goes = !isOwn ? old > PART_AFTER_MS : f.bytes === 0 || (!named.has(f.name) && old > SWEEP_AFTER_MS);
      if (!goes) continue;
      await rm(f.file, { force: true });
      gone += 1;
    }
    this.used.delete(firmId);
    return gone;
  }
}
