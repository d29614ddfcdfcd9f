import { KIND_DEFINITIONS, type Kind } from '@red-shelf/core';
import type { RecordView, SessionBody } from '@red-shelf/contract';
import { BLANK, type SupplyForm } from '../form/model';

/** A pile that is being entered. */
export type PileSession = RecordView & { body: SessionBody & { kind: Kind } };

export const isPile = (record: RecordView): record is PileSession =>
  record.body.sort === 'session' && record.body.what === 'pile' && record.body.kind !== null;

/** What one thing of a pile is, with what the pile shares filled in. */
export function sharedForm({ body }: PileSession): SupplyForm {
  const { maker = '', range = '', finish = 'matte', ...said } = body.shared;
  return {
    ...BLANK,
    kind: body.kind,
    form: body.form ?? KIND_DEFINITIONS[body.kind].defaultForm,
    maker,
    range,
    finish: finish as SupplyForm['finish'],
    said,
  };
}
