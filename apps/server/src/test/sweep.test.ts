import { existsSync, linkSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { systemPorts } from '../services/ports';
import { sweepPhotos } from '../services/sweep';
import { makeWorld, type World } from './world';

let world: World;
beforeEach(async () => {
  world = await makeWorld();
});
afterEach(() => world.close());

// What is locked can only be read where the system tells it.
(existsSync('/proc/locks') ? test : test.skip)(
  'looking for what is left over lets go none of the locks a stash is held by',
  async () => {
    const db = join(world.folder, 'stash.db');
    linkSync(`${db}-shm`, join(world.folder, 'the same by another name'));
    const held = (): string[] => {
      const inodes = [db, `${db}-shm`].map((file) => statSync(file).ino);
      return readFileSync('/proc/locks', 'utf8')
        .split('\n')
        .map((line) => line.trim().split(/\s+/))
        .filter(
          ([, , , , pid, at = '']) =>
            pid === String(process.pid) && inodes.includes(Number(at.split(':')[2])),
        )
        .map(([, , , how, , at, from]) => `${how} ${at} ${from}`)
        .sort();
    };
    const before = held();
    expect(before.length).toBeGreaterThanOrEqual(2);
    const photos = {
      folder: join(world.folder, 'photos'),
      prepare: () => Promise.resolve('unreadable' as const),
    };
    await sweepPhotos({ store: world.store, ports: systemPorts, photos }, db);
    expect(held()).toEqual(before);
  },
);
