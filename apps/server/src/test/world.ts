import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { evenGrid, findTemplate } from '@red-shelf/core';
import {
  fullSupply,
  type HoldingView,
  type LeanSupply,
  type NewSupplyInput,
  type NewUnit,
  type Place,
  type SupplyView,
  type UnitView,
} from '@red-shelf/contract';
import pino from 'pino';
import supertest from 'supertest';
import { makeApp } from '../app';
import { openStore, type Store } from '../db/open';
import { preparePhoto } from '../jobs/preparePhoto';
import { systemPorts } from '../services/ports';

export const MIGRATIONS = resolve(__dirname, '../../drizzle');

export interface World {
  readonly store: Store;
  readonly folder: string;
  readonly http: ReturnType<typeof supertest>;
  readonly add: (more?: Partial<NewSupplyInput>) => Promise<SupplyView>;
  readonly rack: (more?: Partial<NewUnit>) => Promise<UnitView>;
  /** Sets a supply's main lot down, or lifts it. */
  readonly put: (supplyId: string, place: Place | null, status?: number) => Promise<supertest.Response>;
  readonly supply: (id: string) => Promise<SupplyView>;
  readonly close: () => void;
}

/** A server over an empty stash in a file of its own, or over a file that is there. */
export async function makeWorld(file?: string): Promise<World> {
  const folder = mkdtempSync(join(tmpdir(), 'red-shelf-'));
  const store = await openStore(file ?? join(folder, 'stash.db'), MIGRATIONS);
  const photos = { folder: join(folder, 'photos'), prepare: preparePhoto };
  // One server for all that is asked of it: by itself supertest starts another for every request.
  const server = createServer(makeApp({ store, ports: systemPorts, photos }, pino({ level: 'silent' })));
  await once(server.listen(0, '127.0.0.1'), 'listening');
  const http = supertest(server);
  const supply = async (id: string): Promise<SupplyView> =>
    ((await http.get(`/api/supplies/${id}`).expect(200)).body as { supply: SupplyView }).supply;
  return {
    store,
    folder,
    http,
    add: async (more = {}) => {
      const response = await http.post('/api/supplies').send({ ...INK, ...more });
      if (response.status !== 200) throw new Error(JSON.stringify(response.body));
      return (response.body as { supply: SupplyView }).supply;
    },
    rack: async (more = {}) => {
      const response = await http.post('/api/units').send({ ...rackOf(2, 3), ...more });
      if (response.status !== 200) throw new Error(JSON.stringify(response.body));
      return (response.body as { unit: UnitView }).unit;
    },
    put: async (supplyId, place, status = 200) => {
      const lot = mainOf(await supply(supplyId));
      return http.put(`/api/holdings/${lot.id}/place`).send({ version: lot.version, place }).expect(status);
    },
    supply,
    close: () => {
      server.close();
      server.closeAllConnections();
      store.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** Every supply a list names, in full. */
export const listedIn = ({ body }: { body: unknown }): SupplyView[] =>
  (body as { supplies: LeanSupply[] }).supplies.map(fullSupply);

/** A supply's main lot. */
export const mainOf = ({ holdings: [main] }: SupplyView): HoldingView => {
  if (!main) throw new Error('A supply without a lot');
  return main;
};

/** A pad rack of so many rows and columns, as a client asks for it. */
export function rackOf(rows: number, columns: number, more: Partial<NewUnit> = {}): NewUnit {
  const template = findTemplate('pad-rack');
  if (template?.model.model !== 'grid') throw new Error('There is no pad rack');
  const [widthUm = 0, heightUm = 0] = [template.model.columnsUm[0], template.model.rowsUm[0]];
  const { depthUm, wallUm } = template.model;
  return {
    template: 'pad-rack',
    name: 'Rack',
    model: evenGrid(rows, columns, { widthUm, heightUm, depthUm }, { wallUm }),
    rules: { kinds: ['ink'] },
    ...more,
  };
}

export const INK: NewSupplyInput = {
  kind: 'ink',
  form: 'full-pad',
  name: 'Fern Gate',
  maker: 'Hollin & Quay',
  hex: '#4c9a52',
  count: { items: 1, left: 60 },
};
