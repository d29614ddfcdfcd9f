import { z } from 'zod';
import { arrangePreview, arrangeRequest } from './arrange';
import { addMany, batchEdit, merge, verdictBody } from './batch';
import { changeView, journalLine } from './change';
import { colourName, photoView, readerRequest, reading, scannable } from './devices';
import { importChoices, importCommit, importPreview, importProgress, uploadView } from './lists';
import { editedRecord, newRecord, recordView } from './records';
import { rangeReading } from './rangeFile';
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
const changedRecord = changed.extend({ record: recordView });

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
  addSupplies: route('POST', '/api/supplies/many', addMany, changed.extend({ ids: z.array(z.string()) })),
  batchEdit: route('POST', '/api/supplies/batch', batchEdit, changed),
  mergeSupplies: route('POST', '/api/supplies/merge', merge, changedSupply),
  decideSupply: route('POST', '/api/supplies/:id/verdict', verdictBody, changedSupply),
  listRecords: route('GET', '/api/records', nothing, z.object({ records: z.array(recordView) })),
  addRecord: route('POST', '/api/records', newRecord, changedRecord),
  editRecord: route('PUT', '/api/records/:id', editedRecord, changedRecord),
  removeRecord: route('POST', '/api/records/:id/remove', z.object({ version: z.int() }), changed),
  journal: route('GET', '/api/changes', nothing, z.object({ changes: z.array(journalLine) })),
  colourNames: route(
    'POST',
    '/api/colour-names',
    z.object({ query: z.string().max(60) }),
    z.object({ names: z.array(colourName) }),
  ),
  readColour: route('POST', '/api/devices/reader', readerRequest, reading),
  scannables: route('GET', '/api/devices/scanner', nothing, z.object({ things: z.array(scannable) })),
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
  photo: { path: '/api/photos', answer: photoView },
  readRange: { path: '/api/ranges/read', answer: rangeReading },
  exportCsv: { path: '/api/export.csv' },
  exportJson: { path: '/api/export.json' },
} as const;
