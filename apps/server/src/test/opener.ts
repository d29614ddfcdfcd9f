import { openStore } from '../db/open';

/** Opens a stash as a program's first start does, saying when it begins and when it is there. */
const [, , file = '', migrations = ''] = process.argv;
process.stdout.write('begins\n');
await openStore(file, migrations);
process.stdout.write('is there\n');
setInterval(() => undefined, 1000);
