export { arrangePreview, type ArrangePreview, type ArrangeRequest, type LeftOverView } from './arrange';
export { MOST_AT_ONCE, type BatchSet } from './batch';
export { changeView, type ChangeView, type JournalLine } from './change';
export { MOST_NAMES, MOST_PHOTO_BYTES, type ColourName, type PhotoView } from './devices';
export { stashDocument, type StashDocument } from './document';
export {
  MOST_DOCUMENT_BYTES,
  MOST_LIST_BYTES,
  type ImportChoices,
  type ImportCommit,
  type ImportPreview,
  type ImportProgress,
  type RowView,
  type UploadView,
} from './lists';
export { orderName, paths } from './paths';
export { problem, type Problem } from './problem';
export { MOST_RANGE_BYTES, type RangeReadingView } from './rangeFile';
export {
  PREFERENCES_ID,
  preferencesBody,
  NUDGES,
  recordBody,
  type ChallengeBody,
  type DrawersBody,
  type GroupBody,
  type NeedBody,
  type Nudge,
  type Preferences,
  type RangeBody,
  type RecordBody,
  type RecordView,
  type SessionBody,
} from './records';
export { fileRoutes, routes, type Route } from './routes';
export {
  newSupply,
  type EditedSupply,
  type LedgerView,
  type NewSupply,
  type NewSupplyInput,
  type Place,
  type StockRequestBody,
  type SupplyView,
} from './supply';
export { newUnit, type EditedUnit, type NewUnit, type UnitView, type WallView } from './wall';
