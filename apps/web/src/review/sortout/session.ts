import type { RecordView, SessionBody } from '@red-shelf/contract';

/** A pile or a rack that is being sorted out. */
export type Session = RecordView & { body: SessionBody };
