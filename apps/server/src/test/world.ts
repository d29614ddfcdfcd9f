import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import type { NewSupplyInput, SupplyView } from '@red-shelf/contract';
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
  readonly close: () => void;
}

/** A server over an empty stash in a file of its own. */
export async function makeWorld(): Promise<World> {
  const folder = mkdtempSync(join(tmpdir(), 'red-shelf-'));
  const store = await openStore(join(folder, 'stash.db'), MIGRATIONS);
  const photos = { folder: join(folder, 'photos'), prepare: preparePhoto };
  const http = supertest(makeApp({ store, ports: systemPorts, photos }, pino({ level: 'silent' })));
  return {
    store,
    folder,
    http,
    add: async (more = {}) => {
      const response = await http.post('/api/supplies').send({ ...INK, ...more });
      if (response.status !== 200) throw new Error(JSON.stringify(response.body));
      return (response.body as { supply: SupplyView }).supply;
    },
    close: () => {
      store.close();
      rmSync(folder, { recursive: true, force: true });
    },
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
