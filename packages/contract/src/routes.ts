import { z } from 'zod';
import { arrangePreview, arrangeRequest } from './arrange';
import { changeView } from './change';
import { importChoices, importCommit, importPreview, importProgress, uploadView } from './lists';
import { editedSupply, ledgerView, newSupply, place, stockRequest, supplyView } from './supply';
import { newUnit, unitView, wallView } from './wall';

/** One HTTP route: what goes in and what comes out, for server and client alike. */
export interface Route<Body extends z.ZodType = z.ZodType, Answer extends z.ZodType = z.ZodType> {
  readonly method: 'GET' | 'POST' | 'PUT' | 'DELETE';
  /** Express path; `:id` is filled by the client. */
  readonly path: string;
  readonly body: Body;
  readonly answer: Answer;
}
const route = <Body extends z.ZodType, Answer extends z.ZodType>(
  method: Route['method'],
  path: string,
  body: Body,
  answer: Answer,
): Route<Body, Answer> => ({ method, path, body, answer });

const nothing = z.undefined();
const changed = z.object({ change: changeView });
const changedSupply = changed.extend({ supply: supplyView });

export const routes = {
  health: route('GET', '/api/health', nothing, z.object({ ok: z.literal(true) })),
  listSupplies: route('GET', '/api/supplies', nothing, z.object({ supplies: z.array(supplyView) })),
  getSupply: route(
    'GET',
    '/api/supplies/:id',
    nothing,
    z.object({ supply: supplyView, ledger: z.array(ledgerView) }),
  ),
  addSupply: route('POST', '/api/supplies', newSupply, changedSupply),
  editSupply: route('PUT', '/api/supplies/:id', editedSupply, changedSupply),
  removeSupply: route('POST', '/api/supplies/:id/remove', z.object({ version: z.int() }), changed),
  actOnSupply: route('POST', '/api/supplies/:id/ledger', stockRequest, changedSupply),
  placeSupply: route('PUT', '/api/supplies/:id/place', z.object({ place: place.nullable() }), changedSupply),
  getWall: route('GET', '/api/wall', nothing, wallView),
  addUnit: route('POST', '/api/units', newUnit, changed.extend({ unit: unitView })),
  removeUnit: route('POST', '/api/units/:id/remove', z.object({ version: z.int() }), changed),
  previewArrange: route('POST', '/api/arrange/preview', arrangeRequest, arrangePreview),
  applyArrange: route('POST', '/api/arrange/apply', arrangeRequest.extend({ token: z.string() }), changed),
  undoChange: route('POST', '/api/changes/:id/undo', z.object({}), changed),
  previewImport: route('POST', '/api/imports/:id/preview', importChoices, importPreview),
  commitImport: route('POST', '/api/imports/:id/commit', importCommit, importProgress),
  importProgress: route('GET', '/api/imports/:id', nothing, importProgress),
  cancelImport: route('DELETE', '/api/imports/:id', nothing, importProgress),
} as const;

/** Routes whose body is a file; the client sends the bytes as they are. */
export const fileRoutes = {
  uploadList: { path: '/api/imports', answer: uploadView },
  restore: { path: '/api/restore', answer: changed },
  exportCsv: { path: '/api/export.csv' },
  exportJson: { path: '/api/export.json' },
} as const;
