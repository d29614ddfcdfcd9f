import { routes } from '@red-shelf/contract';
import { Router } from 'express';
import { mount } from '../http/route';
import { applyArrange, previewArrange } from '../services/arrange';
import { readColour } from '../devices/reader';
import { scannables } from '../devices/scanner';
import { addMany, batchEdit } from '../services/batch';
import { coloursCalled, suggestColours } from '../services/colourNames';
import { stashList, type Context } from '../services/context';
import { journal } from '../services/journal';
import { mergeSupplies } from '../services/merge';
import { addRecord, editRecord, listRecords, removeRecord } from '../services/records';
import { decideSupply } from '../services/verdict';
import { cancelImport, commitImport } from '../services/importCommit';
import { previewImport, type Uploads } from '../services/imports';
import { actOnSupply, addSupply, editSupply, getSupply, removeSupply } from '../services/supplies';
import { undoChange } from '../services/undo';
import { addUnit, editUnit, getWall, placeSupply, removeUnit } from '../services/wall';

const idOf = (params: Readonly<Record<string, string>>): string => params.id ?? '';

/** The JSON routes of the contract, each a thin line to its use case. */
export function apiRoutes(context: Context, uploads: Uploads): Router {
  const router = Router();
  mount(router, routes.health, () => Promise.resolve({ ok: true }));
  router.get(routes.listSupplies.path, async (request, response) => {
    const { json, tag } = await stashList(context).asJson();
    response.set({ ETag: tag, 'Cache-Control': 'no-cache' });
    if (request.headers['if-none-match'] === tag) response.status(304).end();
    else response.type('application/json').send(json);
  });
  mount(router, routes.getSupply, ({ params }) => getSupply(context, idOf(params)));
  mount(router, routes.addSupply, ({ body }) => addSupply(context, body));
  mount(router, routes.editSupply, ({ params, body }) => editSupply(context, idOf(params), body));
  mount(router, routes.removeSupply, async ({ params, body }) => ({
    change: await removeSupply(context, idOf(params), body.version),
  }));
  mount(router, routes.actOnSupply, ({ params, body }) => actOnSupply(context, idOf(params), body));
  mount(router, routes.placeSupply, ({ params, body }) => placeSupply(context, idOf(params), body.place));
  mount(router, routes.getWall, () => getWall(context));
  mount(router, routes.addUnit, ({ body }) => addUnit(context, body));
  mount(router, routes.editUnit, ({ params, body }) => editUnit(context, idOf(params), body));
  mount(router, routes.removeUnit, async ({ params, body }) => ({
    change: await removeUnit(context, idOf(params), body.version),
  }));
  mount(router, routes.previewArrange, ({ body }) => previewArrange(context, body));
  mount(router, routes.applyArrange, async ({ body: { token, ...request } }) => ({
    change: await applyArrange(context, request, token),
  }));
  mount(router, routes.undoChange, async ({ params }) => ({
    change: await undoChange(context, idOf(params)),
  }));
  mount(router, routes.previewImport, ({ params, body }) =>
    previewImport(context, uploads, idOf(params), body),
  );
  mount(router, routes.commitImport, ({ params, body }) =>
    commitImport(context, uploads, idOf(params), body),
  );
  mount(router, routes.importProgress, ({ params }) => Promise.resolve(uploads.get(idOf(params)).progress));
  mount(router, routes.cancelImport, ({ params }) => Promise.resolve(cancelImport(uploads, idOf(params))));
  mountMany(router, context);
  return router;
}

/** Routes that touch many supplies, or things beside them. */
function mountMany(router: Router, context: Context): void {
  mount(router, routes.addSupplies, ({ body }) => addMany(context, body));
  mount(router, routes.batchEdit, async ({ body }) => ({ change: await batchEdit(context, body) }));
  mount(router, routes.mergeSupplies, ({ body }) => mergeSupplies(context, body));
  mount(router, routes.decideSupply, ({ params, body }) => decideSupply(context, idOf(params), body));
  mount(router, routes.listRecords, async () => ({ records: await listRecords(context) }));
  mount(router, routes.addRecord, ({ body }) => addRecord(context, body.body));
  mount(router, routes.editRecord, ({ params, body }) => editRecord(context, idOf(params), body));
  mount(router, routes.removeRecord, async ({ params, body }) => ({
    change: await removeRecord(context, idOf(params), body.version),
  }));
  mount(router, routes.journal, async () => ({ changes: await journal(context) }));
  mount(router, routes.colourNames, ({ body }) => Promise.resolve({ names: suggestColours(body.query) }));
  mount(router, routes.coloursCalled, ({ body }) => Promise.resolve({ names: coloursCalled(body.names) }));
  mount(router, routes.readColour, ({ body }) => Promise.resolve(readColour(body.on)));
  mount(router, routes.scannables, async () => ({ things: await scannables(context) }));
}
