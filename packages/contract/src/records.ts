import { z } from 'zod';
import { groupBody } from './group';
import { planBody } from './plan';
import { drawersBody, orderBody } from './records/drawers';
import { challengeBody, needBody } from './records/need';
import { preferencesBody } from './records/preferences';
import { rangeBody } from './records/range';
import { doneBody, sessionBody } from './records/sitting';
import { hushBody, wishBody } from './records/wish';

/** What is kept beside supplies and units, by its sort. */
export const recordBody = z.discriminatedUnion('sort', [
  groupBody,
  rangeBody,
  sessionBody,
  doneBody,
  preferencesBody,
  needBody,
  challengeBody,
  drawersBody,
  planBody,
  orderBody,
  wishBody,
  hushBody,
]);
export type RecordBody = z.infer<typeof recordBody>;

export const recordView = z.object({
  id: z.string(),
  version: z.int(),
  createdAt: z.string(),
  updatedAt: z.string(),
  body: recordBody,
});
export type RecordView = z.infer<typeof recordView>;

export const newRecord = z.object({ body: recordBody });
export const editedRecord = z.object({ version: z.int().min(0), body: recordBody });
