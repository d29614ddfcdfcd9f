import {
  COMMAND_AT,
  COMMAND_ID,
  paths,
  type Command,
  type Problem,
  type Route,
  type routes as contract,
} from '@red-shelf/contract';
import { v7 } from 'uuid';
import type { z } from 'zod';
import { words } from '../copy/words';
import { fetchOrTake } from './ahead';
import { shutDoor } from './door';
import { schemas } from './later';

/** The contract's routes as a client names them; their schemas are read when an answer comes. */
export const routes = paths as unknown as typeof contract;

/** What the server refused, and why; `problem.title` is a sentence for people. */
export class ApiError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.title);
    this.name = 'ApiError';
  }
  /** Whether nobody answered, so that what was asked may have been done or not, or the disk took nothing: it is asked again. */
  get isLost(): boolean {
    const { code, status } = this.problem;
    return code === 'offline' || this.isFull || [SIGNED_OUT, 502, 503, 504].includes(status);
  }
  /** Whether the server answers, and its disk takes nothing. */
  get isFull(): boolean {
    return this.problem.status === 507;
  }
}
/** This device was not let in, or not any more: nothing was done, and is asked again once it is. */
const SIGNED_OUT = 401;
export const failure = (status: number, code: string, title: string): ApiError =>
  new ApiError({ type: 'about:blank', status, code, title });

/** Nobody answers. */
export const lost = (): ApiError => failure(0, 'offline', words.offline);

export async function answerOf(send: () => Promise<Response>): Promise<unknown> {
  const response = await send().catch(() => undefined);
  if (!response) throw lost();
  if (response.status === SIGNED_OUT) shutDoor();
  const body: unknown = await response.json().catch(() => undefined);
  // An answer that broke off is none: what was asked may have been done.
  if (response.ok && body === undefined) throw lost();
  if (response.ok) return body;
  const { problem } = await schemas();
  const refusal = problem.safeParse(body);
  throw refusal.success ? new ApiError(refusal.data) : failure(response.status, 'unreadable', words.offline);
}

type Key = Command['route'];
const keyOf = new Map<unknown, Key>(Object.entries(paths).map(([key, path]) => [path, key as Key]));
function nameOf(route: object): Key {
  const key = keyOf.get(route);
  if (!key) throw new Error('The contract has no such route');
  return key;
}

/** Reads an answer by the contract: what this app does not understand is said, and never shown as true. */
export function understood<A extends z.ZodType>(schema: A, body: unknown): z.output<A> {
  const read = schema.safeParse(body);
  if (read.success) return read.data;
  throw failure(200, 'not_understood', words.notUnderstood);
}

interface Given<B> {
  readonly id?: string;
  readonly body?: B;
  /** Ends what is asked for when nobody waits for it any more. */
  readonly signal?: AbortSignal;
}

/** A change as it is asked for; it gets its name and its time when it is done. */
export interface Order<Answer> extends Pick<Command, 'route' | 'of' | 'body'> {
  /** Only for the type: what it is answered with. */
  readonly answer?: Answer;
}

/** A change to be asked for, as data. */
export function order<B extends z.ZodType, A extends z.ZodType>(
  route: Route<B, A>,
  { id = '', body }: Given<z.input<B>> = {},
): Order<z.output<A>> {
  return { route: nameOf(route), of: id, body: body ?? {} };
}

const pathOf = (path: string, id: string): string => path.replace(':id', encodeURIComponent(id));

/** Sends a command under its name; sent again, it is not done again. */
export async function sendCommand({ route, of, body, id, at }: Command): Promise<unknown> {
  const { path, method } = paths[route];
  const headers = { 'Content-Type': 'application/json', [COMMAND_ID]: id, [COMMAND_AT]: at };
  const init = { method, headers, body: JSON.stringify(body) };
  const answer = await answerOf(() => fetch(pathOf(path, of), init));
  return understood((await schemas()).routes[route].answer, answer);
}

/** Reads a route whose answer is shown at once and checked by the contract when there is time (`checkSoon`). */
export const glance = async <B extends z.ZodType, A extends z.ZodType>(
  route: Route<B, A>,
  id = '',
): Promise<z.output<A>> => (await answerOf(() => fetchOrTake(pathOf(route.path, id)))) as z.output<A>;

/** The same, as the text it came as. */
export async function glanceText({ path }: { readonly path: string }): Promise<string> {
  let text = '';
  await answerOf(async () => {
    const response = await fetchOrTake(path);
    if (!response.ok) return response;
    text = await response.text();
    return { ok: true, json: () => Promise.resolve(null) } as Response;
  });
  return text;
}

/** Asks a route of the contract; its answer is read by the contract. */
export async function call<B extends z.ZodType, A extends z.ZodType>(
  route: Route<B, A>,
  { id = '', body, signal }: Given<z.input<B>> = {},
): Promise<z.output<A>> {
  const init: RequestInit = { method: route.method, ...(signal ? { signal } : {}) };
  if (route.method === 'POST' || route.method === 'PUT') {
    init.headers = { 'Content-Type': 'application/json', [COMMAND_ID]: v7() };
    init.body = JSON.stringify(body ?? {});
  }
  const answer = await answerOf(() => fetch(pathOf(route.path, id), init));
  return understood((await schemas()).routes[nameOf(route)].answer, answer) as z.output<A>;
}
