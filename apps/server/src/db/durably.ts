import { open, rename, rm } from 'node:fs/promises';
import { dirname } from 'node:path';

/** Writes a file so that it is on disk, whole, once this ends: under another name first, so that a full disk leaves nothing. */
export async function writeDurably(path: string, bytes: Uint8Array, mode = 0o666): Promise<void> {
  const beside = `${path}.part`;
  try {
    const file = await open(beside, 'w', mode);
    try {
      await file.writeFile(bytes);
      await file.sync();
    } finally {
      await file.close();
    }
    await rename(beside, path);
  } catch (error) {
    await rm(beside, { force: true });
    throw error;
  }
  // The name is on disk only once its folder is; systems that cannot sync a folder do it by themselves.
  const folder = await open(dirname(path), 'r').catch(() => null);
  await folder?.sync().catch(() => undefined);
  await folder?.close();
}
