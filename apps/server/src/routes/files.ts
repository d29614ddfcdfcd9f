import { writeCsv } from '@red-shelf/core';
import { fileRoutes, MOST_DOCUMENT_BYTES, MOST_LIST_BYTES } from '@red-shelf/contract';
import { json, raw, Router } from 'express';
import { allSupplies } from '../db/supplyRepository';
import { Refusal } from '../http/problem';
import type { Context } from '../services/context';
import { writeDocument } from '../services/document';
import { receiveList, type Uploads } from '../services/imports';
import { restoreDocument } from '../services/restore';

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
  router.get(fileRoutes.exportCsv.path, async (_request, response) => {
    const rows = await allSupplies(context.store.read);
    const list = rows.map(({ supply, stock }) => ({
      ...supply,
      items: stock?.items ?? 0,
      left: stock?.left ?? 0,
    }));
    response.attachment('red-shelf-stash.csv').type('text/csv').send(writeCsv(list));
  });
  router.get(fileRoutes.exportJson.path, async (_request, response) => {
    // Inside the queue of writes, so that no change falls between two of its tables.
    const document = await context.store.write((tx) => writeDocument(tx, context.ports.now()));
    response.attachment('red-shelf-stash.json').type('application/json').send(JSON.stringify(document));
  });
  return router;
}
