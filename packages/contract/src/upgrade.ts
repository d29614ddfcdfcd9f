import {
  evenGrid,
  eventOfEntry,
  findForm,
  findTemplate,
  HAND_ID,
  KINDS,
  oldLotId,
  oldLots,
  ROOM_ID,
  type Kind,
  type OldEntry,
  type PlaceSpot,
} from '@red-shelf/core';
import { DOCUMENT_VERSION, type StashDocument } from './document';
import type { OldDocument, OldUnit } from './oldDocument';

type Unit = StashDocument['units'][number];
type Event = StashDocument['events'][number];

const ROOM_NAME = 'My wall';
const ALL_KINDS = { kinds: [...KINDS] };
const root = {
  version: 1,
  position: 0,
  label: '',
  model: null,
  rules: ALL_KINDS,
  facts: {},
  removedAt: null,
};

/** The room and the hand, which every stash has. */
export const rootUnits = (roomName: string): Unit[] => [
  { ...root, id: HAND_ID, parentId: ROOM_ID, sort: 'hand', name: 'Bench' },
  { ...root, id: ROOM_ID, parentId: null, sort: 'room', name: roomName || ROOM_NAME },
];

/** A unit as it was before sizes and rules were its own: what its template knew is written down. */
export function upgradedUnit(old: OldUnit, livingHere: readonly Kind[] = []): Unit {
  const template = findTemplate(old.template);
  const { filling, skipColumns, cap, ...facts } = old.facts;
  const thickness =
    template?.model.model === 'grid'
      ? { wallUm: template.model.wallUm, frontUm: template.model.frontUm }
      : { wallUm: 3000, frontUm: 0 };
  const cell = { widthUm: old.slotWidthUm, heightUm: old.slotHeightUm, depthUm: old.slotDepthUm };
  return {
    id: old.id,
    version: old.version,
    parentId: ROOM_ID,
    sort: 'unit',
    position: old.position,
    label: old.letter,
    name: old.name,
    model: {
      ...evenGrid(old.rows, old.columns, cell, thickness),
      filling: filling ?? 'rows',
      skipColumns: skipColumns ?? [],
    },
    // What lives there already is allowed to.
    rules: {
      kinds: [...new Set([...(template?.holds ?? KINDS), ...livingHere])],
      ...(cap ? { cap } : {}),
    },
    facts: { template: old.template, ...facts },
    removedAt: old.removedAt,
  };
}

/** A document of version 1 or 2 as today's: slots become spots of lots, ledger lines events, placings moves. */
export function upgraded(old: OldDocument): StashDocument {
  const supplyById = new Map(old.supplies.map((supply) => [supply.id, supply]));
  const entries = new Map<string, OldEntry[]>(old.supplies.map(({ id }) => [id, []]));
  for (const entry of old.ledger) entries.get(entry.supplyId)?.push(entry);
  const spots = new Map<string, PlaceSpot>(
    old.placements.map(({ supplyId, unitId, slot }) => [supplyId, { unitId, cell: slot, rank: 0 }]),
  );
  const living = new Map<string, Set<Kind>>();
  for (const [supplyId, { unitId }] of spots) {
    const kind = supplyById.get(supplyId)?.kind;
    if (kind) living.set(unitId, (living.get(unitId) ?? new Set()).add(kind));
  }
  const fills = (supplyId: string): boolean => {
    const supply = supplyById.get(supplyId);
    return supply !== undefined && findForm(supply.kind, supply.form)?.counting === 'fill';
  };
  const events = old.ledger.map((entry): Event => ({
    ...eventOfEntry(entry, fills(entry.supplyId)),
    recordedAt: entry.at,
    postings: [...eventOfEntry(entry, fills(entry.supplyId)).postings],
    shifts: [],
  }));
  const moves = [...spots].map(([supplyId, to]): Event => {
    const at = supplyById.get(supplyId)?.updatedAt ?? old.exportedAt;
    return {
      id: `${supplyId}-moved`,
      supplyId,
      at,
      recordedAt: at,
      act: 'move',
      postings: [],
      shifts: [{ holdingId: oldLotId(supplyId), from: null, to }],
    };
  });
  return {
    format: 'red-shelf',
    formatVersion: DOCUMENT_VERSION,
    exportedAt: old.exportedAt,
    units: [
      ...rootUnits(old.roomName),
      ...old.units.map((unit) => upgradedUnit(unit, [...(living.get(unit.id) ?? [])])),
    ],
    supplies: old.supplies,
    holdings: old.supplies.flatMap(({ id }) =>
      (['whole', ...oldLots(entries.get(id) ?? [])] as const).map((as) => ({
        id: oldLotId(id, as),
        version: 1,
        supplyId: id,
        as,
        sizeUm: null,
        spot: as === 'whole' ? (spots.get(id) ?? null) : null,
      })),
    ),
    events: [...events, ...moves],
    records: old.records,
  };
}
