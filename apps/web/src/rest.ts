/**
 * All that the first screen does without, in one piece that is fetched while the first screen is looked at: screens that are
 * not the wall or the stash, what opens on these, and the contract's schemas.
 */
import { naturally } from '@red-shelf/core';
import {
  arrangePreview,
  arrangeRequest,
  batchSet,
  groupBody,
  newSupply,
  preferencesBody,
  purposesBody,
  recordBody,
  routes,
} from '@red-shelf/contract';
import { noEval } from './frame/noEval';

/** Run in turn, others' turns between, before anything here is drawn: schemas are much for a phone at once. */
export const inTurn: readonly (() => unknown)[] = [
  noEval,
  () => purposesBody,
  () => arrangeRequest,
  () => arrangePreview,
  () => groupBody,
  () => preferencesBody,
  () => recordBody,
  () => newSupply,
  () => batchSet,
  () => routes,
  // What orders words takes a tenth of a second to make.
  () => naturally('', ''),
];

export { ArrangeScreen } from './arrange/ArrangeScreen';
export { FamiliesScreen } from './arrange/families/FamiliesScreen';
export { PlanScreen } from './arrange/plan/PlanScreen';
export { OrderScreen } from './arrange/order/OrderScreen';
export { BenchScreen } from './bench/BenchScreen';
export { CutScreen } from './bench/cut/CutScreen';
export { KitsScreen } from './bench/KitsScreen';
export { ScrapsScreen } from './bench/ScrapsScreen';
export { DataScreen } from './data/DataScreen';
export { ImportScreen } from './data/ImportScreen';
export { GapsScreen } from './gaps/GapsScreen';
export { FiguresScreen } from './gaps/figures/FiguresScreen';
export { LeavingScreen } from './gaps/leaving/LeavingScreen';
export { ShoppingScreen } from './gaps/ShoppingScreen';
export { PaperScreen } from './guide/PaperScreen';
export { AddScreen } from './intake/AddScreen';
export { PackScreen } from './intake/PackScreen';
export { PileScreen } from './intake/PileScreen';
export { RangesScreen } from './intake/RangesScreen';
export { OwnScreen } from './own/OwnScreen';
export { LatelyScreen } from './review/LatelyScreen';
export { TagsScreen } from './review/TagsScreen';
export { LookScreen } from './review/look/LookScreen';
export { SortOutScreen } from './review/sortout/SortOutScreen';
export { SettingsScreen } from './settings/SettingsScreen';
export { PhoneScreen } from './share/PhoneScreen';
export { ElsewhereScreen } from './wall/storage/ElsewhereScreen';
export { StorageScreen } from './wall/storage/StorageScreen';
export { NewRackScreen } from './wall/unit/NewRackScreen';
export { DoorScreen } from './share/DoorScreen';
export { BatchBar } from './stash/BatchBar';
export { SupplyPanel } from './supply/SupplyPanel';
export { CarryPanel } from './wall/carry/CarryPanel';
export { FoundWays } from './wall/FoundWays';
export { RoomView } from './wall/room/RoomView';
export { SlotPanel } from './wall/SlotPanel';
export { askedFor, foretell, keptCommand, problem, routes } from './api/schemas';
