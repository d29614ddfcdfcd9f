import type { Route } from '@red-shelf/contract';
import { json, type Request, type Router } from 'express';
import type { z } from 'zod';
import { parsed } from './problem';

const readJson = json({ limit: '1mb' });

/** Mounts a contract route: the body is parsed on the way in, the answer is typed on the way out. */
export function mount<B extends z.ZodType, A extends z.ZodType>(
  router: Router,
  route: Route<B, A>,
  handle: (input: { params: Readonly<Record<string, string>>; body: z.output<B> }) => Promise<z.output<A>>,
): void {
  const method = route.method.toLowerCase() as 'get' | 'post' | 'put' | 'delete';
  const withBody = method === 'post' || method === 'put';
  const work = async (request: Request): Promise<z.output<A>> => {
    const body = parsed(route.body, withBody ? ((request.body as unknown) ?? {}) : undefined);
    return handle({ params: request.params as Record<string, string>, body });
  };
  router[method](route.path, ...(withBody ? [readJson] : []), async (request, response) => {
    response.json(await work(request));
  });
}
