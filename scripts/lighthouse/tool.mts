import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { at, run } from '../lib.mjs';

/** The tool that scores pages, and what starts its browser: 120 MB that nothing else here needs, installed when first asked for. */
const WANTED = {
  dependencies: { 'chrome-launcher': '1.2.0', lighthouse: '12.8.2' },
  overrides: { '@paulirish/trace_engine': { 'third-party-web': '0.27.0', 'legacy-javascript': '0.0.1' } },
};
const HOME = at('.cache/lighthouse');

interface Audit {
  readonly score: number | null;
  readonly scoreDisplayMode: string;
  readonly numericValue?: number;
  readonly title: string;
  readonly details?: unknown;
}
interface Tool {
  readonly launch: (how: {
    readonly chromePath?: string;
    readonly chromeFlags: readonly string[];
  }) => Promise<{ readonly port: number; readonly kill: () => void }>;
  readonly lighthouse: (
    url: string,
    how: { readonly port: number; readonly logLevel: string; readonly output: string },
  ) => Promise<
    | {
        readonly lhr: {
          readonly categories: Readonly<
            Record<
              string,
              {
                readonly title: string;
                readonly score: number | null;
                readonly auditRefs: readonly { readonly id: string; readonly weight: number }[];
              }
            >
          >;
          readonly audits: Readonly<Record<string, Audit>>;
        };
      }
    | undefined
  >;
}

/** Has it, installing it first where it is not there yet. */
export async function scoringTool(): Promise<Tool> {
  if (!existsSync(join(HOME, 'node_modules/lighthouse'))) {
    mkdirSync(HOME, { recursive: true });
    writeFileSync(join(HOME, 'package.json'), JSON.stringify({ private: true, ...WANTED }));
    run('npm', ['install', '--no-audit', '--no-fund'], {
      cwd: HOME,
      quiet: true,
      why: 'Installing the scoring tool',
    });
  }
  const from = createRequire(join(HOME, 'package.json'));
  const load = async (name: string): Promise<Record<string, unknown>> =>
    (await import(pathToFileURL(from.resolve(name)).href)) as Record<string, unknown>;
  const [{ launch }, { default: lighthouse }] = [await load('chrome-launcher'), await load('lighthouse')];
  return { launch, lighthouse } as unknown as Tool;
}
