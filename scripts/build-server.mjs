/** Bundles the server: workspaces inlined, packages left outside. Plain `node apps/server/dist/main.js` runs it. */
import { build } from 'esbuild';
import { at, ROOT } from './lib.mjs';

await build({
  absWorkingDir: ROOT,
  entryPoints: {
    main: at('apps/server/src/main.ts'),
    seed: at('apps/server/src/demo/seed.ts'),
    backup: at('apps/server/src/backup.ts'),
    photoWorker: at('apps/server/src/jobs/photoWorker.ts'),
    worker: at('apps/server/src/aside/worker.ts'),
    readerProcess: at('apps/server/src/aside/readerProcess.ts'),
  },
  outdir: at('apps/server/dist'),
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  splitting: true,
  sourcemap: true,
  logLevel: 'warning',
  plugins: [
    {
      name: 'packages-outside',
      setup({ onResolve }) {
        onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
          kind === 'entry-point' || path.startsWith('@red-shelf/') ? undefined : { path, external: true },
        );
      },
    },
  ],
});
