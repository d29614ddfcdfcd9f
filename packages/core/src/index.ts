/** The public face of the core: what programs may call. */
export {
  FAMILIES,
  FAMILY_GROUP_INFO,
  FAMILY_GROUPS,
  groupOf,
  isFamily,
  type Family,
  type FamilyGroup,
} from './colour/families';
export { familyOf, FINISHES, type FamilyOpinion, type Finish } from './colour/family';
export { ciede2000, colourDifference, inkOn, labOf, type Lab } from './colour/lab';
export { NotAColourError, parseColour, type ColourRefusal, type ParsedColour } from './colour/parse';
export { parseLength, printLength, type LengthRefusal, type LengthUnit } from './measure/length';
export { KINDS, type EnvelopeMm, type FormDefinition, type Kind, type VisibleEnd } from './kinds/definition';
export { findForm, formOf, formsOfKind, KIND_DEFINITIONS, UnknownFormError } from './kinds/registry';
export { fitInSlot, slotAddress, slotCount, type FitRefusal, type GridUnit } from './storage/unit';
export { findTemplate, UNIT_TEMPLATES, type UnitTemplate } from './storage/templates';
export { DEFAULT_SCHEME, type Scheme } from './arrange/scheme';
export { familyGroupOf, keyed, makeRainbowOrder, rainbowOrder, type ColouredItem } from './arrange/order';
export { shelfFigures, type ShelfFigures } from './arrange/figures';
export {
  placeInGrid,
  type Arrangement,
  type LeftOverReason,
  type PlaceItem,
  type PlaceUnit,
} from './arrange/place';
export {
  ACTS,
  stockFromLedger,
  type Act,
  type LedgerEntry,
  type Stock,
  type StockState,
} from './stock/ledger';
export { checkStockRequest, type StockRefusal, type StockRequest } from './stock/act';
export { LEVELS, levelOf, sayLeft, usesAtLevel, type Level } from './stock/level';
export { findGaps, type Gaps, type GapSubject } from './gaps/running';
export { fold } from './search/fold';
export { makeMatcher, searchText, type SearchText } from './search/match';
export { MOST_CSV_ROWS, readCsv, type CsvRefusal, type CsvTable } from './formats/csvRead';
export { writeCsv } from './formats/csvWrite';
export {
  guessMapping,
  LIST_FIELD_NAMES,
  LIST_FIELDS,
  type ColumnMapping,
  type ListField,
} from './formats/fields';
export { planImport, type KnownSupply, type RowVerdict } from './formats/importPlan';
export { readQuantity } from './formats/quantity';
export type { CellRefusal } from './formats/refusal';
export { MOST_CHARACTERS, type OpeningCount, type SupplyDraft } from './formats/supplyDraft';
