import { linkSync } from 'node:fs';
import { join } from 'node:path';
import { systemPorts } from '../services/ports';
import { sweepPhotos } from '../services/sweep';
import { locksOn, whereLocksAreTold } from './locks';
import { makeWorld, type World } from './world';

let world: World;
beforeEach(async () => {
  world = await makeWorld();
});
afterEach(() => world.close());

whereLocksAreTold('looking for what is left over lets go none of the locks a stash is held by', async () => {
  const db = join(world.folder, 'stash.db');
  linkSync(`${db}-shm`, join(world.folder, 'the same by another name'));
  const before = locksOn([db, `${db}-shm`]);
  expect(before.length).toBeGreaterThanOrEqual(2);
  const photos = {
    folder: join(world.folder, 'photos'),
    prepare: () => Promise.resolve('unreadable' as const),
  };
  await sweepPhotos({ store: world.store, ports: systemPorts, photos }, db);
  expect(locksOn([db, `${db}-shm`])).toEqual(before);
});
