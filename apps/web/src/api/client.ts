import {
  COMMAND_AT,
  COMMAND_ID,
  fileRoutes,
  MOST_DOCUMENT_BYTES,
  MOST_LIST_BYTES,
  MOST_PHOTO_BYTES,
  MOST_RANGE_BYTES,
  paths,
  problem,
  type PhotoView,
  type Problem,
  type RangeReadingView,
  type Route,
  type routes as contractRoutes,
  type UploadView,
} from '@red-shelf/contract';
import { v7 } from 'uuid';
import type { z } from 'zod';
import { words } from '../copy/words';

/** The contract's routes as a client needs them: where they are; the schemas stay with the types. */
export const routes = paths as unknown as typeof contractRoutes;

/** What the server refused, and why; `problem.title` is a sentence for people. */
export class ApiError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.title);
    this.name = 'ApiError';
  }
}

/** A request whose answer was lost is sent again under its own name: done once, it is not done again. */
const AGAIN_AFTER_MS = [250, 1000] as const;
const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

async function answerOf(send: () => Promise<Response>, again: readonly number[] = []): Promise<unknown> {
  let response: Response | undefined;
  for (const after of [...again, null]) {
    response = await send().catch(() => undefined);
    if (response || after === null) break;
    await wait(after);
  }
  if (!response)
    throw new ApiError({ type: 'about:blank', status: 0, code: 'offline', title: words.offline });
  const body: unknown = await response.json().catch(() => undefined);
  if (response.ok) return body;
  const refusal = problem.safeParse(body);
  throw new ApiError(
    refusal.success
      ? refusal.data
      : { type: 'about:blank', status: response.status, code: 'unreadable', title: words.offline },
  );
}

interface Given<B> {
  readonly id?: string;
  readonly body?: B;
}

/** Calls a route of the contract. The server is the same program, so its answers are trusted as typed. */
export async function call<B extends z.ZodType, A extends z.ZodType>(
  route: Route<B, A>,
  { id = '', body }: Given<z.input<B>> = {},
): Promise<z.output<A>> {
  const path = route.path.replace(':id', encodeURIComponent(id));
  const init: RequestInit = { method: route.method };
  if (route.method !== 'POST' && route.method !== 'PUT')
    return (await answerOf(() => fetch(path, init))) as z.output<A>;
  init.headers = {
    'Content-Type': 'application/json',
    [COMMAND_ID]: v7(),
    [COMMAND_AT]: new Date().toISOString(),
  };
  init.body = JSON.stringify(body ?? {});
  return (await answerOf(() => fetch(path, init), AGAIN_AFTER_MS)) as z.output<A>;
}

const MB = 1024 * 1024;

/** Sends a file's bytes as they are; one that the server would refuse for its size is not sent at all. */
async function send(path: string, file: Blob, type: string, mostBytes: number): Promise<unknown> {
  if (file.size > mostBytes) {
    const title = `${Math.round(file.size / MB)} MB is too large: at most ${mostBytes / MB} MB at once. Split it, and bring it in piece by piece.`;
    throw new ApiError({ type: 'about:blank', status: 413, code: 'too_large', title });
  }
  return answerOf(() => fetch(path, { method: 'POST', body: file, headers: { 'Content-Type': type } }));
}

export const uploadList = (file: Blob): Promise<UploadView> =>
  send(fileRoutes.uploadList.path, file, 'application/octet-stream', MOST_LIST_BYTES) as Promise<UploadView>;

export const uploadPhoto = (file: Blob): Promise<PhotoView> =>
  send(fileRoutes.photo.path, file, 'application/octet-stream', MOST_PHOTO_BYTES) as Promise<PhotoView>;

export const readRangeFile = (file: Blob): Promise<RangeReadingView> =>
  send(
    fileRoutes.readRange.path,
    file,
    'application/octet-stream',
    MOST_RANGE_BYTES,
  ) as Promise<RangeReadingView>;

export const restoreDocument = (file: Blob): Promise<z.output<typeof fileRoutes.restore.answer>> =>
  send(fileRoutes.restore.path, file, 'application/json', MOST_DOCUMENT_BYTES) as Promise<
    z.output<typeof fileRoutes.restore.answer>
  >;
