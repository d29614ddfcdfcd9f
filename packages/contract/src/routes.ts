import { z } from 'zod';
import { arrangePreview, arrangeProgress, strips } from './arrange/answered';
import { arrangeRequest, previewRequest, stripsRequest } from './arrange/asked';
import { addMany, batchEdit, merge, verdictBody } from './batch';
import { changeView, journalLine, keptView } from './change';
import { colourName, MOST_NAMES, photoView, readerRequest, reading, scannable } from './devices';
import { importChoices, importCommit, importPreview, importProgress, restoring, uploadView } from './lists';
import { figuresView } from './figures';
import { gapsView } from './gaps';
import { fullSupply, type LeanSupply } from './lean';
import { editedRecord, newRecord, recordView } from './records';
import { paths, type RoutePath } from './paths';
import { rangeReading } from './rangeFile';
import { enter, namedDevice, setPassphrase, shareView } from './share';
import {
  editedSupply,
  ledgerView,
  movedHoldings,
  newSupply,
  placedHolding,
  sizedHolding,
  spot,
  stockRequest,
  supplyView,
} from './supply';
import { editedUnit, liftedView, newUnit, unitView, wallView } from './wall';

/** One HTTP route: what goes in and what comes out, for server and client alike. */
export interface Route<
  Body extends z.ZodType = z.ZodType,
  Answer extends z.ZodType = z.ZodType,
> extends RoutePath {
  readonly body: Body;
  readonly answer: Answer;
}
const route = <Body extends z.ZodType, Answer extends z.ZodType>(
  at: RoutePath,
  body: Body,
  answer: Answer,
): Route<Body, Answer> => ({ ...at, body, answer });

const nothing = z.undefined();
const changed = z.object({ change: changeView });
const changedSupply = changed.extend({ supply: supplyView });
const changedRecord = changed.extend({ record: recordView });
const changedUnit = changed.extend({ unit: unitView, lifted: liftedView });
/** A supply that no longer fits where it was says so. */
const editedAnswer = changedSupply.extend({ lifted: liftedView });
/** A supply of a list: what is usual of it is left out on the wire, and put back here. */
const listed = z.preprocess((row) => fullSupply(row as LeanSupply), supplyView);
const whole = z.object({ order: z.string(), seq: z.int(), supplies: z.array(listed) });

export const routes = {
  health: route(paths.health, nothing, z.object({ ok: z.literal(true) })),
  listSupplies: route(paths.listSupplies, nothing, whole),
  getSupply: route(paths.getSupply, nothing, z.object({ supply: supplyView, ledger: z.array(ledgerView) })),
  addSupply: route(paths.addSupply, newSupply, changedSupply),
  editSupply: route(paths.editSupply, editedSupply, editedAnswer),
  removeSupply: route(paths.removeSupply, z.object({ version: z.int() }), changed),
  actOnSupply: route(paths.actOnSupply, stockRequest, changedSupply),
  placeHolding: route(paths.placeHolding, placedHolding, changedSupply),
  moveHoldings: route(paths.moveHoldings, movedHoldings, changed),
  sizeHolding: route(paths.sizeHolding, sizedHolding, editedAnswer),
  /** What changed after a number that is known; everything where too much did. */
  since: route(
    paths.since,
    nothing,
    z.object({
      seq: z.int(),
      order: z.string(),
      /** The list holds all there is; what it does not name is gone. */
      all: z.boolean(),
      supplies: z.array(listed),
      gone: z.array(z.string()),
      wall: wallView,
      /** Records that are new or changed, and those that are there no more. */
      changedRecords: z.array(recordView),
      goneRecords: z.array(z.string()),
    }),
  ),
  addSupplies: route(paths.addSupplies, addMany, changed.extend({ ids: z.array(z.string()) })),
  batchEdit: route(paths.batchEdit, batchEdit, changed),
  mergeSupplies: route(paths.mergeSupplies, merge, changedSupply),
  decideSupply: route(paths.decideSupply, verdictBody, changedSupply),
  listRecords: route(paths.listRecords, nothing, z.object({ records: z.array(recordView) })),
  addRecord: route(paths.addRecord, newRecord, changedRecord),
  editRecord: route(paths.editRecord, editedRecord, changedRecord),
  removeRecord: route(paths.removeRecord, z.object({ version: z.int() }), changed),
  journal: route(paths.journal, nothing, z.object({ changes: z.array(journalLine) })),
  /** Running out, missing, forgotten, doubled, room. */
  gaps: route(paths.gaps, nothing, gapsView),
  figures: route(paths.figures, nothing, figuresView),
  /** What is on the bench: since when, and where it stood. */
  outNow: route(
    paths.outNow,
    nothing,
    z.object({ out: z.array(z.object({ holdingId: z.string(), since: z.string(), from: spot.nullable() })) }),
  ),
  colourNames: route(
    paths.colourNames,
    z.object({ query: z.string().max(60) }),
    z.object({ names: z.array(colourName) }),
  ),
  coloursCalled: route(
    paths.coloursCalled,
    z.object({ names: z.array(z.string().max(60)).max(MOST_NAMES) }),
    z.object({ names: z.array(colourName) }),
  ),
  readColour: route(paths.readColour, readerRequest, reading),
  scannables: route(paths.scannables, nothing, z.object({ things: z.array(scannable) })),
  getWall: route(paths.getWall, nothing, wallView),
  addUnit: route(paths.addUnit, newUnit, changedUnit),
  editUnit: route(paths.editUnit, editedUnit, changedUnit),
  removeUnit: route(paths.removeUnit, z.object({ version: z.int() }), changed),
  previewArrange: route(paths.previewArrange, previewRequest, arrangePreview),
  arrangeProgress: route(paths.arrangeProgress, nothing, arrangeProgress),
  strips: route(paths.strips, stripsRequest, strips),
  /** Begins a plan that is carried out lift by lift. */
  startArrange: route(paths.startArrange, arrangeRequest.extend({ token: z.string() }), changedRecord),
  /** Begins a plan back to how everything stood before a change. */
  arrangeBack: route(paths.arrangeBack, z.object({ changeId: z.string().min(1).max(80) }), changedRecord),
  applyArrange: route(paths.applyArrange, arrangeRequest.extend({ token: z.string() }), changed),
  undoChange: route(paths.undoChange, z.object({}), changed.extend({ kept: keptView })),
  previewImport: route(paths.previewImport, importChoices, importPreview),
  commitImport: route(paths.commitImport, importCommit, importProgress),
  importProgress: route(paths.importProgress, nothing, importProgress),
  cancelImport: route(paths.cancelImport, nothing, importProgress),
  /** Who may reach the stash from the house's network. */
  share: route(paths.share, nothing, shareView),
  setPassphrase: route(paths.setPassphrase, setPassphrase, shareView),
  enter: route(paths.enter, enter, shareView),
  nameDevice: route(paths.nameDevice, namedDevice, shareView),
  shutOut: route(paths.shutOut, nothing, shareView),
} as const;

/** Routes whose body is a file; the client sends the bytes as they are. */
export const fileRoutes = {
  uploadList: { path: '/api/imports', answer: uploadView },
  restore: { path: '/api/restore', answer: changed },
  photo: { path: '/api/photos', answer: photoView },
  readRange: { path: '/api/ranges/read', answer: rangeReading },
  exportCsv: { path: '/api/export.csv' },
  restoring: { path: '/api/restoring', answer: restoring },
  exportJson: { path: '/api/export.json' },
  backup: { path: '/api/backup.zip' },
  authority: { path: '/api/share/authority.crt' },
} as const;
