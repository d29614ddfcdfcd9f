/**
 * The server as it is built, in a process that opens one stash after another: reading the program costs more than opening a
 * stash. It is told `{ open: settings }` and answers `{ url }` or `{ failed }`; told `{ close: true }` it answers `{ closed: true }`.
 */
import pino from 'pino';
import { serve } from '../apps/server/dist/serve.js';

const log = pino({ level: 'warn' });
process.on('unhandledRejection', (reason) => log.error({ err: reason }, 'unhandled'));
process.on('disconnect', () => process.exit(0));

let served;
process.on('message', async ({ open, close }) => {
  try {
    if (open) process.send({ url: (served = await serve(open, log)).url });
    if (close) {
      await served.close();
      process.send({ closed: true });
    }
  } catch (error) {
    process.send({ failed: error.message });
  }
});
