import {
  fileRoutes,
  MOST_BACKUP_BYTES,
  MOST_LIST_BYTES,
  MOST_PHOTO_BYTES,
  MOST_RANGE_BYTES,
  type PhotoView,
  type RangeReadingView,
  type UploadView,
} from '@red-shelf/contract';
import type { z } from 'zod';
import { answerOf, failure, understood } from './client';

const MB = 1024 * 1024;
type FileRoute = { readonly path: string; readonly answer: z.ZodType };

/** Sends a file's bytes as they are; one that the server would refuse for its size is not sent at all. */
async function send<R extends FileRoute>(
  { path, answer }: R,
  file: Blob,
  mostBytes: number,
  type = 'application/octet-stream',
): Promise<z.output<R['answer']>> {
  if (file.size > mostBytes)
    throw failure(
      413,
      'too_large',
      `${Math.round(file.size / MB)} MB is too large: at most ${mostBytes / MB} MB at once. Split it, and bring it in piece by piece.`,
    );
  const body = await answerOf(() =>
    fetch(path, { method: 'POST', body: file, headers: { 'Content-Type': type } }),
  );
  return understood(answer, body) as z.output<R['answer']>;
}

export const uploadList = (file: Blob): Promise<UploadView> =>
  send(fileRoutes.uploadList, file, MOST_LIST_BYTES);
export const uploadPhoto = (file: Blob): Promise<PhotoView> => send(fileRoutes.photo, file, MOST_PHOTO_BYTES);
export const readRangeFile = (file: Blob): Promise<RangeReadingView> =>
  send(fileRoutes.readRange, file, MOST_RANGE_BYTES);
export const restoreStash = (file: Blob) => send(fileRoutes.restore, file, MOST_BACKUP_BYTES);
/** How far bringing a stash back has come. */
export const restoringNow = async () =>
  understood(fileRoutes.restoring.answer, await answerOf(() => fetch(fileRoutes.restoring.path))).progress;
