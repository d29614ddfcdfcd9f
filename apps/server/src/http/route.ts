import type { IncomingMessage, ServerResponse } from 'node:http';
import { Readable } from 'node:stream';
import { COMMAND_AT, COMMAND_ID, commandHead, type Route } from '@red-shelf/contract';
import { json, type Request, type Response, type Router } from 'express';
import type { z } from 'zod';
import { breatheIfLong } from '../db/tx';
import type { Context } from '../services/context';
import type { Command } from '../services/command';
import { runCommand } from '../services/commands';
import { parsed } from '../services/refusal';
import { sendJson } from './sendJson';

const readJson = json({ limit: '1mb' });

/** Reads a body once, so that the first person who writes waits for nothing that reading one loads. */
export const readOnce = (): Promise<void> =>
  new Promise((read) => {
    const headers = { 'content-type': 'application/json', 'content-length': '2' };
    const body = Object.assign(Readable.from([Buffer.from('{}')]), { headers, method: 'POST' });
    readJson(body as unknown as IncomingMessage, {} as ServerResponse, () => read());
  });

export interface Input<B extends z.ZodType> {
  readonly params: Readonly<Record<string, string>>;
  readonly body: z.output<B>;
  /** Ended when who asked is there no more. */
  readonly signal: AbortSignal;
}

/** Ended when the other side hangs up before its answer is out. */
export function goneSignal(response: Response): AbortSignal {
  const gone = new AbortController();
  response.once('close', () => gone.abort(new Error('Nobody waits for the answer any more')));
  return gone.signal;
}

function listen<A>(
  router: Router,
  { method, path }: Route,
  work: (request: Request, signal: AbortSignal) => Promise<A>,
): void {
  const verb = method.toLowerCase() as 'get' | 'post' | 'put' | 'delete';
  const withBody = verb === 'post' || verb === 'put';
  router[verb](path, ...(withBody ? [readJson] : []), async (request, response) => {
    const gone = goneSignal(response);
    // What reads and checks the body counts as work, too.
    void breatheIfLong();
    const answer = await work(request, gone).catch((error: unknown) => {
      // Nobody is there to hear why it was broken off.
      if (!gone.aborted) throw error;
    });
    if (!response.destroyed) await sendJson(response, answer);
  });
}

function inputOf<B extends z.ZodType>(
  { method, body }: Route<B>,
  request: Request,
  signal: AbortSignal,
): Input<B> {
  const given: unknown =
    method === 'POST' || method === 'PUT' ? ((request.body as unknown) ?? {}) : undefined;
  return { params: request.params as Record<string, string>, body: parsed(body, given), signal };
}

/** Mounts a contract route that only reads: the body is parsed on the way in, the answer is typed on the way out. */
export function mount<B extends z.ZodType, A extends z.ZodType>(
  router: Router,
  route: Route<B, A>,
  handle: (input: Input<B>) => Promise<z.output<A>>,
): void {
  listen(router, route, (request, signal) => handle(inputOf(route, request, signal)));
}

/** Mounts a contract route that changes something, with the command as the client named it. */
export function mountAsked<B extends z.ZodType, A extends z.ZodType>(
  router: Router,
  route: Route<B, A>,
  handle: (command: Command, input: Input<B>) => Promise<z.output<A>>,
): void {
  listen(router, route, async (request, signal) => {
    const input = inputOf(route, request, signal);
    const head = parsed(commandHead, { id: request.get(COMMAND_ID), at: request.get(COMMAND_AT) });
    await breatheIfLong();
    return handle({ name: `${route.method} ${request.path}`, ...head }, input);
  });
}

/**
 * Mounts a contract route that changes something. What the client named is done once: asked again, it answers what it
 * answered. All of it is one transaction, the answer kept with it.
 */
export function mountCommand<B extends z.ZodType, A extends z.ZodType>(
  router: Router,
  context: Context,
  route: Route<B, A>,
  handle: (context: Context, input: Input<B>) => Promise<z.output<A>>,
): void {
  mountAsked(router, route, (command, input) =>
    runCommand(context, command, (inner) => handle(inner, input)),
  );
}
