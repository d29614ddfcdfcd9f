/** The public face of the core: what programs may call. One list, long as it is, so that it is seen what is public. */
export {
  FAMILIES,
  FAMILY_GROUP_INFO,
  FAMILY_GROUPS,
  groupOf,
  hasColour,
  isFamily,
  STRETCHES,
  type Family,
  type FamilyGroup,
  type Stretch,
} from './colour/families';
export { familyOf, FINISHES, type FamilyOpinion, type Finish } from './colour/family';
export { chromaOf, ciede2000, colourDifference, hexOfLab, hueOf, inkOn, labOf, type Lab } from './colour/lab';
export { NotAColourError } from './colour/notAColour';
export { parseColour, plainColour, type ColourRefusal, type ParsedColour } from './colour/parse';
export { sayDifference, type SaidDifference } from './colour/sayDifference';
export {
  lightFrom,
  NO_CORRECTION,
  sampleSpot,
  type Light,
  type Picture,
  type Sample,
  type Spot,
  type WhiteRefusal,
} from './colour/photo';
export { averageReadings } from './colour/average';
export { dominantColours, proposeHome, type Dominant } from './colour/dominant';
export { hexOnWheel, onWheel, type WheelColour } from './colour/wheel';
export type { MeasureRefusal } from './measure/said';
export { parseLength, printLength, type LengthRefusal, type LengthUnit } from './measure/length';
export { parseSize, type SizeReading } from './measure/size';
export { parseMass, printMass, type MassUnit } from './measure/mass';
export { parseVolume, printVolume, type VolumeUnit } from './measure/volume';
export {
  gsmOfPounds,
  parsePaperWeight,
  poundsOfGsm,
  printPaperWeight,
  type PaperBasis,
  type PaperWeight,
} from './measure/paperWeight';
export type { Estimate } from './measure/estimate';
export { sheetsFromMass, sheetsFromStack, sheetsFromWeighed } from './measure/sheets';
export {
  RIBBON_THICKNESS_UM,
  ribbonFromMass,
  ribbonFromTurns,
  ribbonFromWound,
  USUAL_RIBBON_THICKNESS_UM,
} from './measure/wound';
export { fillFromMass, type Fill } from './measure/fill';
export type { AttributeDefinition, Attributes, AttributeValue } from './kinds/attributes';
export { sheetSizeOf } from './stash/sheetSize';
export {
  GRADES,
  inStash,
  CONDITIONS,
  STATUSES,
  UNUSED_WHY,
  type Grade,
  type Status,
  type UnusedWhy,
} from './stash/standing';
export { factsSchema } from './stash/factsSchema';
export { effectiveHex, sparse, statusOf, type Facts } from './stash/facts';
export { bodyOf, type Bodied, type Body } from './stash/body';
export { formFor } from './stash/formFor';
export { isThere, mainLot, placedLots, type FlatSize, type Holding, type Tally } from './stash/holding';
export { checkFacts, fittingAttributes, type FactRefusal } from './stash/check';
export { GROUNDS, MADE, TAKEN, type Ground, type Made, type SupplySwatch } from './stash/swatchSchema';
export {
  KINDS,
  LOTS,
  PARTS,
  type FormDefinition,
  type Kind,
  type LotAs,
  type Part,
  type Size,
  type VisibleEnd,
} from './kinds/definition';
export {
  attributesOf,
  findForm,
  formOf,
  formsOfKind,
  KIND_DEFINITIONS,
  UnknownFormError,
} from './kinds/registry';
export { fitInSpace, type FitRefusal } from './fit/inSpace';
export { turned, TURNS, turnsFor, type Turn } from './fit/turns';
export { fitCount, type FitCount, type FitOptions } from './fit/fitCount';
export { gridIn, type CellCount } from './fit/cells';
export { runCount, type RunCount, type RunOptions } from './fit/run';
export { stackCount, stackHeight, type StackOptions } from './fit/stack';
export { pocketFit, smallestPocket, type PocketFit, type PocketOptions } from './fit/pocket';
export { pagesFor, woundAcross, woundOnCard } from './fit/winding';
export { comesOff, rodFit, type Rod, type RodFit, type RodRefusal, type RodSpool } from './fit/rod';
export { MODULUS_MPA, sag, wantsBrace, type BeamMaterial, type BeamSection } from './fit/beam';
export { loadOn, type Load } from './fit/load';
export { getIn, type GetIn, type Opening } from './fit/getIn';
export { openingPlan, type OpeningLayer, type OpeningPlan, type OpeningUnit } from './fit/openingPlan';
export type { Shared } from './storage/models/definition';
export {
  compareHomes,
  type Candidate,
  type Compared,
  type CompareReason,
  type Comparison,
} from './storage/compare';
export { cellAfter, stayIn } from './storage/stayIn';
export { busyIn, type Busy } from './storage/room/busy';
export { nestIn } from './storage/room/nest';
export { trimFor } from './storage/trimFor';
export { moreLike, type MoreOf } from './storage/room/more';
export { onTopOf } from './storage/room/onTop';
export { signsIn, type Inside } from './storage/signs';
export { lookFor, type LookOptions } from './storage/lookFor';
export { poolFit, type LeftOver, type Pooled, type PoolFit } from './storage/pool';
export { sameSpot, type Spot as PlaceSpot } from './stash/spot';
export {
  staysAt,
  withSpotStaying,
  addressIn,
  endOf,
  HAND_ID,
  isOnWall,
  isTallAndFree,
  unitFromTemplate,
  pathTo,
  placesIn,
  ROOM_ID,
  roomIn,
  UNIT_SORTS,
  type Unit,
} from './storage/unit';
export {
  isRefusal,
  mayLive,
  suits,
  unfitIn,
  type Lodger,
  type Refusal,
  type RoomNow,
  type Warning,
} from './storage/mayLive';
export { holdsOf, isSpotOf, type Model } from './storage/models/models';
export { modelSchema } from './storage/models/modelSchema';
export { cellAt, cellsBefore, evenGrid } from './storage/models/grid';
export { FILLINGS, MOST_COLUMNS, MOST_LAYERS, MOST_ROWS, type GridModel } from './storage/models/gridSchema';
export type { Box } from './storage/models/definition';
export type { LooseModel } from './storage/models/looseSchema';
export { placeAt, settledRanks, type Ranked } from './storage/placeAt';
export { offerSlots, racksFor, type Offer, type OfferUnit } from './storage/offer';
export { findTemplate, UNIT_TEMPLATES, type UnitTemplate } from './storage/templates';
export {
  FACES,
  FIXINGS,
  OPENINGS,
  REACHES,
  STANDINGS,
  TOLERANCES,
  unitFactsSchema,
  unitRulesSchema,
  type Pose,
  type UnitFacts,
  type UnitRules,
} from './storage/unitFacts';
export {
  changedLabels,
  labelPrint,
  labelPrints,
  slotLabels,
  type Labelled,
  type SlotLabel,
} from './storage/labels';
export { misfits, type Misfit } from './storage/misfit';
export { isTooMany, sparesOf } from './stock/spares';
export { isLow, isUnused, useOf } from './stock/usage';
export {
  CARE_IDS,
  careFor,
  careOfPlace,
  careRule,
  isLiquid,
  isOfPaper,
  PLACE_MARKS,
  type CareId,
  type PlaceMark,
  type PlaceSign,
} from './storage/care';
export { HAZARDS, hazardsOf } from './stash/hazards';
export type { Trait } from './kinds/definition';
export { familyWithout, NO_COLOUR } from './stash/colourless';
export { isFamilyUnsettled, isSure } from './colour/family';
export { colourNameOf } from './find/colourName';
export { beginningOf, cleanLine, cleanText } from './text/clean';
export { lineOf, paragraphsOf } from './text/schema';
export { guessByContent } from './formats/guessContent';
export { decimalsOf, parseMoney, printMoney, type Money } from './measure/money';
export { spotCalled } from './storage/unit';
export { sheetsIn, type Sheets } from './storage/sheetsIn';
export { sceneOf, type Scene, type Standing } from './storage/room/scene';
export { gapFills, type GapFill } from './storage/room/gap';
export { PIECE_STARTS, type PieceStart } from './storage/room/pieces';
export { reachesIn, reachSwaps, type Reach, type Reached, type ReachSwap } from './storage/room/reach';
export { companionsApart, type Apart, type Housed } from './storage/room/companions';
export { wayTo, type WayStep } from './storage/room/way';
export { setDownFrom, type SetDown, type SetDownPlan } from './storage/setDown';
export { painOf, type Pain } from './storage/pain';
export { freeLabel, mayStandIn, MOST_DEEP, movedBehind, unitLettered } from './storage/tree';
export { DEFAULT_RECIPE, SORT_KEYS, type Recipe, type Sortable, type SortKey } from './arrange/headings';
export { makeRecipeOrder, makeRecipesOrder, recipeOf, type Recipes } from './arrange/recipe';
export { drawerKey, keepDrawers, makeDrawerOf, makeGroupOf, type KeptDrawer } from './arrange/keptDrawers';
export { pairSubjects, shareIntoDrawers, type Drawer, type DrawerGroup } from './arrange/drawers';
export {
  areNeutralsApart,
  DEFAULT_SCHEME,
  stretchesOf,
  stretchOf,
  withNeutrals,
  type Scheme,
} from './arrange/scheme';
export { familyGroupOf, keyed, makeRainbowOrder, type ColouredItem } from './arrange/order';
export {
  planMoves,
  type Lift,
  type MoveOptions,
  type MovePlan,
  type NoPlan,
} from './arrange/moves/planMoves';
export { doublesIn } from './arrange/moves/doubles';
export { asSingleLifts, goesOf } from './arrange/moves/goes';
export { sharedRoom } from './arrange/moves/sharedRoom';
export { inWalkingOrder, type SharedRoom } from './arrange/moves/walk';
export { isNowhere, stillToDo, type StillToDo } from './arrange/moves/stillToDo';
export { lookUp, type LookUp, type Sought } from './arrange/lookUp';
export { paceOf, type Pace, type Carried } from './arrange/pace';
export { fullWhen, type FullWhen } from './arrange/full';
export { seasonSwaps, type SeasonSwap } from './arrange/seasonSwaps';
export { oneMore, type OneMore, type Settled } from './arrange/oneMore';
export { insertOne, type InsertOptions, type Insertion } from './arrange/insertOne';
export { twoWay, type TwoWayOptions } from './arrange/twoWay';
export { spreadRoom, type Rates } from './arrange/spreadRoom';
export { rainbowOrder, type RainbowScheme, type Within } from './arrange/rainbow';
export { SCHOOLS, type School } from './arrange/schools';
export { keepTogether } from './arrange/together';
export { remediesFor, type RemedyFor } from './arrange/remedies';
export { inOrder, inOrders, type Ordering } from './arrange/inOrder';
export { besideStep, shelfFigures, type ShelfFigures } from './arrange/figures';
export { makeGrouping, type Grouping } from './arrange/groups';
export { shareOut } from './arrange/spread';
export { forecastRunOut, type RunOut, type RunOutOptions, type RunsOut } from './stock/forecast';
export type { Use } from './stock/rate';
export { usesIn, type Told } from './stock/uses';
export { byMonthAndKind, lastMonths, valueLeft, type Bought, type MonthOfKind } from './stock/lookBack';
export { poolsOf, rateOfPool, type PooledRate } from './stock/pooled';
export { usesLearned, type UsesLearned } from './stock/usesLearned';
export {
  densityOf,
  needsTare,
  roomByMass,
  settledAt,
  type RoomByMass,
  type ScaleReading,
} from './stock/weigh';
export { colourHoles, type Hole, type HoleOptions } from './gaps/holes';
export { growthOf, SETTLING_MS, withGaps } from './arrange/growth';
export { allocate } from './arrange/place/allocate';
export type { AllocateOptions, Allocation, Continued } from './arrange/place/allocation';
export {
  zonesOf,
  type LeftOverReason,
  type PathUnit,
  type PathZone,
  type Placing,
} from './arrange/place/zones';
export {
  ACTS,
  type Act,
  type Happening,
  type Posting,
  type Price,
  type Shift,
  type StashEvent,
} from './stock/event';
export {
  brokenShift,
  countRuleOf,
  FOLD_VERSION,
  foldEvents,
  foldSpots,
  type CountRule,
  type Folded,
  standing,
} from './stock/fold';
export { stockOf, type Stock, type StockState } from './stock/stock';
export {
  planPosting,
  type NewLot,
  type Posted,
  type RefillFrom,
  type StockRefusal,
  type StockRequest,
} from './stock/post';
export { refillRequest } from './stock/refill';
export { becomesOne, countOfLot, emptiedShifts, splitPostings } from './stock/split';
export { eventOfEntry, OLD_ACTS, OLD_PARTS, oldLotId, oldLots, type OldEntry } from './stock/fromLedger';
export { LEVELS, levelOf, sayLeft, usesAtLevel, type Level } from './stock/level';
export { lettersMissing, parseLetters, printLetters, shortVowels, type LetterCounts } from './stock/letters';
export { freeOf, heldByGroups, holdsBack, lessHeld, moreHeld, takenBy, type Held } from './stock/free';
export { capVerdict, type CapVerdict } from './review/caps';
export { forgottenTen, outOfSight } from './review/forgotten';
export { dueOnes, type Due } from './review/due';
export {
  missingPartners,
  partnerCounts,
  partnersOf,
  type MissingPartner,
  type PartnerCount,
  type PartnerHabit,
} from './gaps/partners';
export {
  HEMISPHERES,
  outOfSeason,
  seasonOf,
  SEASONS,
  seasonState,
  type Hemisphere,
  type Season,
} from './stash/seasons';
export { neverUsed, type Unused } from './review/unused';
export { breakUpAdvice } from './review/breakUp';
export { MEDIA, paperFor, whyPaper, type Medium } from './guide/paperFor';
export { findGaps, type Gaps, type GapSubject } from './gaps/running';
export { fold } from './text/fold';
export { searchable, type Searchable, type SearchSubject } from './find/subject';
export { makeStashSearch, type StashSearch } from './find/stashSearch';
export { colourNameAsked, doIOwn, hexAsked, type OwnOptions, type OwnVerdict } from './find/doIOwn';
export { leftInAll } from './stock/leftInAll';
export { packSizeOf } from './stash/packSize';
export { restockOf, type Restock } from './stock/restock';
export { isOwned, isSame, type Owned, type OwnAnswer, type OwnReason } from './find/ownAnswer';
export { type Manner } from './find/nearColours';
export { readBarcode, withCheckDigit, type BarcodeReading } from './find/barcode';
export { sortOutOrder, VERDICTS, type Doubt, type SortSubject, type Verdict } from './review/candidates';
export { said, SUPPLY_FIELDS, type SaidSupply, type Supply, type SupplyField } from './stash/supply';
export { factsAfter, farewell } from './review/verdict';
export { NEEDED_AS, salvageFor, type StorageNeed } from './review/salvage';
export { spaceFreed, spaceOf, type Space } from './review/space';
export { zoneProgress, type ZoneProgress } from './review/zones';
export { ownedOfRange, readRange, type RangeEntry, type RangeReading } from './gaps/range';
export { meaningsOf, purposeSections, purposesOf, splitWords, type Purpose } from './find/purposes';
export { tagCounts, tagTwins, type TagCount } from './find/tags';
export { kindSpreads, type KindSpread } from './find/spread';
export { MOST_CSV_ROWS, readCsv, type CsvRefusal, type CsvTable } from './formats/csvRead';
export { writeAside, type Aside } from './formats/asideCell';
export { writeCsv, writeTable } from './formats/csvWrite';
export { writeLots, type LotSaid } from './formats/lotsCell';
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
export { planCuts } from './bench/cut/planCuts';
export type {
  Cut,
  CutOptions,
  CutPanel,
  CutPlan,
  CutSheet,
  CuttingStock,
  Part as CutPart,
  WantedPanel,
} from './bench/cut/types';
export { readySizes, type ReadySize, type ReadyWhat } from './bench/readySizes';
export { cutAlready, madeFor } from './bench/made';
export { isCutToSize, isWorthKeeping, nearScraps, toCut, type ToCut } from './bench/toCut';
export { pocketsFor } from './bench/pocket';
export { doubles, doublesTogether, type DoubleRow } from './gaps/doubles';
export {
  kindsTogether,
  missingOfKind,
  type HoleRow,
  type KnownRange,
  type RangeRow,
} from './gaps/missingColours';
export { familyRoom, type FamilyRoom, type InCell } from './gaps/familyRoom';
export { halfLiked, idleFormats, type IdleFormat } from './gaps/idleFormats';
export { roomLeft, type RoomRow } from './gaps/roomLeft';
export { runningOut, runningRow, soonestFirst, type RunningAdvice, type RunningRow } from './gaps/runningOut';
export { idleDays } from './stash/idle';
export { conflictsIn, type Conflict, type ConflictId } from './bench/conflicts';
export { backTo, type BackTo } from './bench/putBack';
export {
  answersTo,
  isScarce,
  nearestOfEach,
  totalNeed,
  type ColourNeed,
  type NeedAnswer,
} from './bench/needs';
export {
  clearing,
  SCRAP_CLASSES,
  scrapClass,
  scrapsFor,
  piecesFrom,
  remainsOf,
  scrapsIn,
  type ScrapClass,
  type ScrapLimits,
  type ScrapLot,
} from './bench/scraps';
export { KIT_TOOLS, usualKit, type KitNeed, type KitTool } from './bench/usualKit';
export { carriedWhole, pullList, type PullList, type PullRow, type PullTray } from './bench/pullList';
export { byText } from './text/byText';
export { naturally } from './text/natural';
