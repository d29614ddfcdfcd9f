import { readRange } from '@red-shelf/core';
import {
  fileRoutes,
  MOST_BACKUP_BYTES,
  MOST_LIST_BYTES,
  MOST_PHOTO_BYTES,
  MOST_RANGE_BYTES,
} from '@red-shelf/contract';
import { raw, type Router } from 'express';
import { withReceived } from '../http/receive';
import { goneSignal } from '../http/route';
import { sendFile } from '../services/sendStream';
import { strictRouter } from '../http/strict';
import { asideOf, type Progress } from '../services/aside';
import { sendBackup, withWritten } from '../services/backup';
import { notFound, Refusal } from '../services/refusal';
import type { Context } from '../services/context';
import { receiveList, type Uploads } from '../services/imports';
import { keepPhoto, photoFile } from '../services/photos';

const RANGE_REFUSALS = {
  not_a_list:
    'This is neither a list nor a palette. Choose a CSV file with name and hex columns, or a .gpl palette.',
  no_columns: 'The list needs a column “name” and a column “hex”.',
  nothing_in_it: 'There is no colour with a name in this file.',
} as const;

/** Whoever hung up hears nothing of what was broken off then. */
const unlessGone =
  (gone: AbortSignal) =>
  (error: unknown): void => {
    if (!gone.aborted) throw error;
  };

/** Files in and out: lists as CSV, the whole stash as JSON. */
export function fileApi(context: Context, uploads: Uploads): Router {
  const router = strictRouter();
  router.post(
    fileRoutes.uploadList.path,
    raw({ type: () => true, limit: MOST_LIST_BYTES }),
    async (request, response) => {
      if (!Buffer.isBuffer(request.body)) throw new Refusal(422, 'csv_empty', 'The file is empty.');
      const list = await receiveList(context, uploads, request.body, goneSignal(response));
      response.json(list);
    },
  );
  let restoring: Progress | null = null;
  router.post(fileRoutes.restore.path, async (request, response) => {
    const report = (progress: Progress): void => void (restoring = progress);
    try {
      const change = await withReceived(request, MOST_BACKUP_BYTES, (file) =>
        asideOf(context)('restore', { file }, { report }),
      );
      response.json({ change });
    } finally {
      restoring = null;
    }
  });
  router.get(fileRoutes.restoring.path, (_request, response) => {
    response.json({ progress: restoring });
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
    response
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .type('image/jpeg')
      // The folder may lie below one whose name begins with a dot.
      .sendFile(file, { dotfiles: 'allow' });
  });
  const written = (path: string, what: 'csv' | 'document', name: string, type: string): void =>
    void router.get(path, async (_request, response) => {
      const gone = goneSignal(response);
      await withWritten(context, what, gone, async (file) => {
        response.attachment(name).type(type);
        await sendFile(file, response);
      }).catch(unlessGone(gone));
    });
  written(fileRoutes.exportCsv.path, 'csv', 'red-shelf-stash.csv', 'text/csv');
  written(fileRoutes.exportJson.path, 'document', 'red-shelf-stash.json', 'application/json');
  router.get(fileRoutes.backup.path, async (_request, response) => {
    const gone = goneSignal(response);
    await withWritten(context, 'document', gone, async (document) => {
      response.attachment(`red-shelf-${context.ports.now().slice(0, 10)}.zip`).type('application/zip');
      await sendBackup(context, document, response);
    }).catch(unlessGone(gone));
  });
  return router;
}
