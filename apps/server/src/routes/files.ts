import { addressIn, inStash, placedLots, readRange, writeCsv } from '@red-shelf/core';
import {
  fileRoutes,
  MOST_DOCUMENT_BYTES,
  MOST_LIST_BYTES,
  MOST_PHOTO_BYTES,
  MOST_RANGE_BYTES,
} from '@red-shelf/contract';
import { json, raw, Router } from 'express';
import { allSupplies } from '../db/supplyRepository';
import { notFound, Refusal } from '../services/refusal';
import type { Context } from '../services/context';
import { writeDocument } from '../services/document';
import { receiveList, type Uploads } from '../services/imports';
import { keepPhoto, photoFile } from '../services/photos';
import { restoreDocument } from '../services/restore';
import { supplyToView, unitToView } from '../services/views';
import { standingUnits } from '../db/unitRepository';

const RANGE_REFUSALS = {
  not_a_list:
    'This is neither a list nor a palette. Choose a CSV file with name and hex columns, or a .gpl palette.',
  no_columns: 'The list needs a column “name” and a column “hex”.',
  nothing_in_it: 'There is no colour with a name in this file.',
} as const;

/** Files in and out: lists as CSV, the whole stash as JSON. */
export function fileApi(context: Context, uploads: Uploads): Router {
  const router = Router();
  router.post(
    fileRoutes.uploadList.path,
    raw({ type: () => true, limit: MOST_LIST_BYTES }),
    (request, response) => {
      if (!Buffer.isBuffer(request.body)) throw new Refusal(422, 'csv_empty', 'The file is empty.');
      response.json(receiveList(context, uploads, request.body));
    },
  );
  router.post(fileRoutes.restore.path, json({ limit: MOST_DOCUMENT_BYTES }), async (request, response) => {
    response.json({ change: await restoreDocument(context, request.body) });
  });
  const anyFile = (limit: number) => raw({ type: () => true, limit });
  router.post(fileRoutes.readRange.path, anyFile(MOST_RANGE_BYTES), (request, response) => {
    const reading = readRange(Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0));
    if (!reading.ok) throw new Refusal(422, reading.code, RANGE_REFUSALS[reading.code]);
    response.json({ name: reading.name, entries: reading.entries, leftOut: reading.leftOut });
  });
  router.post(fileRoutes.photo.path, anyFile(MOST_PHOTO_BYTES), async (request, response) => {
    const { photos, ports } = context;
    if (!photos) throw notFound('place for photos');
    if (!Buffer.isBuffer(request.body)) throw new Refusal(422, 'not_a_photo', 'The file is empty.');
    response.json(await keepPhoto(photos, ports, request.body));
  });
  router.get(['/api/photos/:id', '/api/photos/:id/small'], (request, response) => {
    if (!context.photos) throw notFound('photo');
    const file = photoFile(context.photos, String(request.params.id), request.path.endsWith('/small'));
    // A photo never changes under its id.
    response.set('Cache-Control', 'private, max-age=31536000, immutable').type('image/jpeg').sendFile(file);
  });
  router.get(fileRoutes.exportCsv.path, async (_request, response) => {
    // The stash as it is; what was let go stays in the document.
    const rows = (await allSupplies(context.store.read)).filter(({ supply }) => inStash(supply));
    const units = new Map(
      (await standingUnits(context.store.read)).map((unit) => [unit.id, unitToView(unit)]),
    );
    const list = rows.map((row) => {
      const { items, left } = supplyToView(row).stock;
      const place = placedLots(row.lots)
        .flatMap(({ spot }) => {
          const unit = units.get(spot?.unitId ?? '');
          return unit && unit.label !== '' && spot ? [addressIn(unit, spot.cell)] : [];
        })
        .join(', ');
      return { ...row.supply, items, left, place };
    });
    response.attachment('red-shelf-stash.csv').type('text/csv').send(writeCsv(list));
  });
  router.get(fileRoutes.exportJson.path, async (_request, response) => {
    // Inside the queue of writes, so that no change falls between two of its tables.
    const document = await context.store.write((tx) => writeDocument(tx, context.ports.now()));
    response.attachment('red-shelf-stash.json').type('application/json').send(JSON.stringify(document));
  });
  return router;
}
