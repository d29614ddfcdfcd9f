import { constants } from 'node:zlib';
import compression from 'compression';

/** Answers are packed on their way, quickly rather than well: a list of ten thousand is asked for while somebody waits. */
export const compressed = compression({
  level: 1,
  brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 1 } },
  filter: (_request, response) => /json|csv/.test(String(response.getHeader('Content-Type'))),
});
