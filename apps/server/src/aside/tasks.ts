import { createWriteStream } from 'node:fs';
import type { Report, TaskName, Tasks } from '../services/aside';
import { applyArrange, previewHere, startArrange } from '../services/arrange/arrange';
import { stripsHere } from '../services/arrange/strips';
import { runCommand } from '../services/commands';
import type { Context } from '../services/context';
import { copyInto } from '../services/copies';
import { writeCsvTo } from '../services/csv';
import { writeDocumentTo } from '../services/document';
import { importList } from '../services/importCommit';
import { previewList, readList } from '../services/imports';
import { restoreFile } from '../services/restoreFile';
import { sweepPhotos } from '../services/sweep';
import { undoChange } from '../services/undo';

type Work<N extends TaskName> = (
  context: Context,
  task: Tasks[N]['task'],
  report: Report,
) => Promise<Tasks[N]['answer']>;

/** How each piece of long work is done. */
export const TASKS: { readonly [N in TaskName]: Work<N> } = {
  restore: (context, { file }, report) => restoreFile(context, file, report),
  undo: (context, { id, command }) => runCommand(context, command, (inner) => undoChange(inner, id)),
  document: (context, { file }) => writeDocumentTo(context, createWriteStream(file)),
  copy: (context, { file }) => copyInto(context, file),
  csv: (context, { file }) => writeCsvTo(context, file),
  sweep: (context, { db }) => sweepPhotos(context, db),
  readList: (_, { bytes }) => Promise.resolve(readList(bytes)),
  previewList,
  importList,
  arrange: previewHere,
  startArrange: (context, { command, request, token }) =>
    runCommand(context, command, (inner) => startArrange(inner, request, token)),
  applyArrange: (context, { command, request, token }) =>
    runCommand(context, command, async (inner) => ({ change: await applyArrange(inner, request, token) })),
  strips: stripsHere,
};
