/**
 * Bundles the server with the packages it uses: one file is read several times quicker than hundreds, by every process that
 * starts. Packages with a part in machine code stay outside. Plain `node apps/server/dist/main.js` runs it.
 */
import { rmSync } from 'node:fs';
import { build } from 'esbuild';
import { at, ROOT } from './lib.mjs';

const dist = at('apps/server/dist');
rmSync(dist, { recursive: true, force: true });
await build({
  absWorkingDir: ROOT,
  entryPoints: {
    main: at('apps/server/src/main.ts'),
    serve: at('apps/server/src/serve.ts'),
    seed: at('apps/server/src/demo/seed.ts'),
    backup: at('apps/server/src/backup.ts'),
    photoWorker: at('apps/server/src/jobs/photoWorker.ts'),
    worker: at('apps/server/src/aside/worker.ts'),
    readerProcess: at('apps/server/src/aside/readerProcess.ts'),
  },
  outdir: dist,
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  splitting: true,
  sourcemap: true,
  sourcesContent: false,
  logLevel: 'warning',
  external: ['sharp', 'libsql', 'color-name-list'],
  // Packages written for require find it.
  banner: {
    js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
  },
});
