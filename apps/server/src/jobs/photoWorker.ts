import { parentPort } from 'node:worker_threads';
import { preparePhoto } from './preparePhoto';

/** Prepares photos away from the thread that answers requests. */
parentPort?.on('message', ({ id, bytes }: { id: number; bytes: Uint8Array }) => {
  preparePhoto(Buffer.from(bytes)).then(
    (photo) => parentPort?.postMessage({ id, photo }),
    () => parentPort?.postMessage({ id, photo: null }),
  );
});
