import { routes } from '@red-shelf/contract';
import { Router } from 'express';
import { mount } from '../http/route';
import { applyArrange, previewArrange } from '../services/arrange';
import type { Context } from '../services/context';
import { cancelImport, commitImport } from '../services/importCommit';
import { previewImport, type Uploads } from '../services/imports';
import {
  actOnSupply,
  addSupply,
  editSupply,
  getSupply,
  listSupplies,
  removeSupply,
} from '../services/supplies';
import { undoChange } from '../services/undo';
import { addUnit, getWall, placeSupply, removeUnit } from '../services/wall';

const idOf = (params: Readonly<Record<string, string>>): string => params.id ?? '';

/** The JSON routes of the contract, each a thin line to its use case. */
export function apiRoutes(context: Context, uploads: Uploads): Router {
  const router = Router();
  mount(router, routes.health, () => Promise.resolve({ ok: true }));
  mount(router, routes.listSupplies, async () => ({ supplies: await listSupplies(context) }));
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
  return router;
}
