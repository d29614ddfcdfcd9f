import { z } from 'zod';

/** Pages may not make code out of text (the server's content security policy); schemas must not even try. */
export const noEval = (): unknown => z.config({ jitless: true });
