import { routes, type Route } from '@red-shelf/contract';
import type { Router } from 'express';
import type { z } from 'zod';
import { mount, mountAsked, mountCommand, type Input } from '../http/route';
import { strictRouter } from '../http/strict';
import { asideOf } from '../services/aside';
import { actOnSupply } from '../services/acts';
import { previewArrange, progressOf } from '../services/arrange/arrange';
import { arrangeBack } from '../services/arrange/back';
import { stripsOf } from '../services/arrange/strips';
import { readColour } from '../devices/reader';
import { scannables } from '../devices/scanner';
import { addMany, batchEdit } from '../services/batch';
import { outLots } from '../db/outRepository';
import { runCommand } from '../services/commands';
import { colourNames } from '../services/colourNames';
import { stashList, type Context } from '../services/context';
import { readHere } from '../services/reader';
import { journal } from '../services/journal';
import { mergeSupplies } from '../services/merge';
import { addRecord, editRecord, removeRecord } from '../services/records';
import { decideSupply } from '../services/verdict';
import { cancelImport, commitImport } from '../services/importCommit';
import { previewImport, type Uploads } from '../services/imports';
import { moveHoldings } from '../services/moves';
import { placeHolding, sizeHolding } from '../services/placing';
import { changedSince, recordsNow, wallNow } from '../services/since';
import { addSupply, editSupply, getSupply, removeSupply } from '../services/supplies';
import { isRestore, undoChange } from '../services/undo';
import { addUnit, editUnit, removeUnit } from '../services/wall';

const idOf = (params: Readonly<Record<string, string>>): string => params.id ?? '';

/** The JSON routes of the contract, each a thin line to its use case. */
export function apiRoutes(context: Context, uploads: Uploads): Router {
  const router = strictRouter();
  mount(router, routes.health, () => Promise.resolve({ ok: true }));
  router.get(routes.listSupplies.path, async (request, response) => {
    const list = stashList(context);
    const known = await list.tag();
    response.set({ ETag: known, 'Cache-Control': 'no-cache' });
    if (request.headers['if-none-match'] === known) return void response.status(304).end();
    const { json, tag } = await list.asJson();
    return void response.set('ETag', tag).type('application/json').send(json);
  });
  mount(router, routes.since, ({ params }) => changedSince(context, idOf(params)));
  mount(router, routes.getSupply, ({ params }) => getSupply(context, idOf(params)));
  mount(router, routes.listRecords, async () => ({ records: await recordsNow(context) }));
  mount(router, routes.journal, async () => ({ changes: await journal(context) }));
  for (const what of ['figures', 'gaps'] as const)
    router.get(routes[what].path, async (_request, response) => {
      const json = await (context.reader ? context.reader(what) : readHere(context, what));
      response.type('application/json').send(json);
    });
  mount(router, routes.outNow, async () => ({ out: await outLots(context.store.read) }));
  mount(router, routes.getWall, async () => wallNow(context));
  mount(router, routes.previewArrange, ({ body, signal }) => previewArrange(context, body, signal));
  mount(router, routes.arrangeProgress, ({ params }) => Promise.resolve(progressOf(idOf(params))));
  mount(router, routes.strips, ({ body, signal }) => stripsOf(context, body, signal));
  mountAsked(router, routes.startArrange, (command, { body: { token, ...request } }) =>
    asideOf(context)('startArrange', { command, request, token }),
  );
  mountAsked(router, routes.applyArrange, (command, { body: { token, ...request } }) =>
    asideOf(context)('applyArrange', { command, request, token }),
  );
  mount(router, routes.colourNames, async ({ body }) => ({
    names: (await colourNames()).suggest(body.query),
  }));
  mount(router, routes.coloursCalled, async ({ body }) => ({
    names: (await colourNames()).called(body.names),
  }));
  mount(router, routes.readColour, ({ body }) => Promise.resolve(readColour(body.on)));
  mount(router, routes.scannables, async () => ({ things: await scannables(context) }));
  mount(router, routes.previewImport, ({ params, body, signal }) =>
    previewImport(context, uploads, idOf(params), body, signal),
  );
  mount(router, routes.commitImport, ({ params, body, signal }) =>
    commitImport(context, uploads, idOf(params), body, signal),
  );
  mount(router, routes.importProgress, ({ params }) => Promise.resolve(uploads.get(idOf(params)).progress));
  mount(router, routes.cancelImport, ({ params }) => Promise.resolve(cancelImport(uploads, idOf(params))));
  mountCommands(router, context);
  mountUndo(router, context);
  return router;
}

/** Everything that changes the stash. */
function mountCommands(router: Router, outer: Context): void {
  const command: Mount = (route, handle) => mountCommand(router, outer, route, handle);
  command(routes.addSupply, (context, { body }) => addSupply(context, body));
  command(routes.editSupply, (context, { params, body }) => editSupply(context, idOf(params), body));
  command(routes.removeSupply, async (context, { params, body }) => ({
    change: await removeSupply(context, idOf(params), body.version),
  }));
  command(routes.actOnSupply, (context, { params, body }) => actOnSupply(context, idOf(params), body));
  command(routes.placeHolding, (context, { params, body }) => placeHolding(context, idOf(params), body));
  command(routes.moveHoldings, async (context, { body }) => ({ change: await moveHoldings(context, body) }));
  command(routes.sizeHolding, (context, { params, body }) => sizeHolding(context, idOf(params), body));
  command(routes.addSupplies, (context, { body }) => addMany(context, body));
  command(routes.batchEdit, async (context, { body }) => ({ change: await batchEdit(context, body) }));
  command(routes.mergeSupplies, (context, { body }) => mergeSupplies(context, body));
  command(routes.decideSupply, (context, { params, body }) => decideSupply(context, idOf(params), body));
  command(routes.addRecord, (context, { body }) => addRecord(context, body.body));
  command(routes.editRecord, (context, { params, body }) => editRecord(context, idOf(params), body));
  command(routes.removeRecord, async (context, { params, body }) => ({
    change: await removeRecord(context, idOf(params), body.version),
  }));
  command(routes.addUnit, (context, { body }) => addUnit(context, body));
  command(routes.editUnit, (context, { params, body }) => editUnit(context, idOf(params), body));
  command(routes.removeUnit, async (context, { params, body }) => ({
    change: await removeUnit(context, idOf(params), body.version),
  }));
  command(routes.arrangeBack, (context, { body }) => arrangeBack(context, body));
}

/** Undo: of a whole stash that was replaced it is done aside, since it replaces a whole stash. */
function mountUndo(router: Router, context: Context): void {
  mountAsked(router, routes.undoChange, async (command, { params }) => {
    const id = idOf(params);
    if (await isRestore(context.store.read, id)) return asideOf(context)('undo', { id, command });
    return runCommand(context, command, (inner) => undoChange(inner, id));
  });
}

type Mount = <B extends z.ZodType, A extends z.ZodType>(
  route: Route<B, A>,
  handle: (context: Context, input: Input<B>) => Promise<z.output<A>>,
) => void;
