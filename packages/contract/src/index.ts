export { arrangePreview, type ArrangePreview, type ArrangeRequest, type LeftOverView } from './arrange';
export { changeView, type ChangeView } from './change';
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
export { problem, type Problem } from './problem';
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
export { newUnit, type NewUnit, type UnitView, type WallView } from './wall';
