export { COMMAND_AT, COMMAND_ID, PREFERENCES_ID } from './fixed';
export { nameOfRecord } from './recordName';
export {
  arrangePreview,
  type ArrangePreview,
  type ArrangeProgress,
  type LeftOverView,
  type Remedy,
  type Strips,
} from './arrange/answered';
export { arrangeRequest, type ArrangeAsked, type ArrangeRequest, type StripsRequest } from './arrange/asked';
export { purposesBody } from './arrange/scheme';
export { wishBody, type HushBody, type WishBody } from './records/wish';
export { figuresView, type FiguresView } from './figures';
export { groupBody, type GroupBody } from './group';
export { GAP_QUESTIONS, gapsView, type GapQuestion, type GapsView } from './gaps';
export { planOf, spotsOf, type PlanBody } from './plan';
export { batchSet, MOST_AT_ONCE, type BatchSet } from './batch';
export { changeView, commandHead, type ChangeView, type JournalLine, type KeptView } from './change';
export { MOST_NAMES, MOST_PHOTO_BYTES, type ColourName, type PhotoView } from './devices';
export { DOCUMENT_LISTS, DOCUMENT_VERSION, type StashDocument } from './document';
export { stashDocument } from './readDocument';
export {
  MOST_BACKUP_BYTES,
  MOST_DOCUMENT_BYTES,
  MOST_LIST_BYTES,
  type ImportChoices,
  type ImportCommit,
  type ImportPreview,
  type ImportProgress,
  type RowView,
  uploadView,
  type UploadView,
} from './lists';
export { orderName, paths } from './paths';
export { problem, type Problem } from './problem';
export {
  enter,
  LEAST_PASSPHRASE,
  MOST_PASSPHRASE,
  namedDevice,
  newPassphrase,
  setPassphrase,
  type DeviceView,
  type ShareView,
} from './share';
export { MOST_RANGE_BYTES, rangeReading, type RangeReadingView } from './rangeFile';
export { needBody, type ChallengeBody, type NeedBody } from './records/need';
export { NUDGES, preferencesBody, type Nudge, type Preferences } from './records/preferences';
export { rangeBody, type RangeBody } from './records/range';
export { type DealtWith, type DoneBody, type SessionBody } from './records/sitting';
export { type DrawersBody, type OrderBody } from './records/drawers';
export { recordBody, type RecordBody, type RecordView } from './records';
export { renamed } from './renamed';
export { oldReservationsOf, projectNames, projectRow, withoutReservations } from './reservations';
export { dealtWithIn, doneRow, oldEntriesOf } from './sittings';
export { foretell, type Command } from './foretell/foretell';
export { askedFor } from './foretell/asked';
export type { Foretold, Known } from './foretell/known';
export { afterBatch, nameOfMany } from './foretell/batch';
export { inMakingOrder, joined } from './foretell/merge';
export { coloured } from './foretell/supply';
export { fullSupply, leanSupply, type LeanSupply } from './lean';
export { collectionsIn, homesIn, planDrawerOf, toSortable, type SortableSupply } from './homes';
export { afterUseFor, readHeldFor } from './heldFor';
export { viewOf } from './view';
export { fileRoutes, routes, type Route } from './routes';
export {
  newSupply,
  stockRequest,
  type EditedSupply,
  type HoldingView,
  type LedgerView,
  type NewSupply,
  type NewSupplyInput,
  type Place,
  type StockRequestBody,
  type SupplyView,
} from './supply';
export { type OldDocument, type OldUnit } from './oldDocument';
export { rootUnits, upgraded, upgradedUnit } from './upgrade';
export {
  editedUnit,
  newUnit,
  type EditedUnit,
  type LiftedView,
  type NewUnit,
  type UnitView,
  type WallView,
} from './wall';
