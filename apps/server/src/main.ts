import pino from 'pino';
import { routesUnderWay } from './http/underWay';
import { serve } from './serve';
import { endWith, settingsOf } from './start';

const settings = settingsOf(process.env);
const log = pino({ level: settings.LOG_LEVEL });
// One answer that went wrong ends that answer: the others, and what was acknowledged, must not suffer for it.
process.on('unhandledRejection', (reason) =>
  log.error({ err: reason, during: routesUnderWay() }, 'unhandled'),
);

const served = await serve(settings, log).catch((failure: Error) => endWith(failure.message));
const stop = (): void => void served.close().then(() => process.exit(0));
process.once('SIGINT', stop);
process.once('SIGTERM', stop);
