/**
 * `npm test`: installs what tests need (packages, Chromium), builds, runs the unit and the browser tests,
 * and ends with one line that counts every test that ran.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { at, build, install, QUIET_EXPO, ROOT } from './lib.mjs';

const CHROMIUM = '/usr/bin/chromium';

/** Chromium from Debian's packages, when it is not there yet. */
function installChromium() {
  if (existsSync(CHROMIUM)) return;
  console.log('Installing Chromium from Debian’s packages…');
  const root = process.getuid?.() === 0;
  const apt = (...args) =>
    spawnSync(root ? 'apt-get' : 'sudo', root ? args : ['apt-get', ...args], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', 'chromium');
  if (!existsSync(CHROMIUM)) {
    console.error('Chromium could not be installed; the browser tests need Debian’s package “chromium”.');
    process.exit(1);
  }
}

/** Runs a test tool to its end whatever it finds; what it found is in its report. */
const tool = (args) =>
  spawnSync('npx', args, {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...QUIET_EXPO },
  }).status;

/** Every script that prints a figure, in its smallest form: how many still run, and how many do not. */
function measuring() {
  const { stdout } = spawnSync('npx', ['tsx', 'scripts/figures.mts', '--small'], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
    encoding: 'utf8',
  });
  console.log(stdout);
  const [, passed, failed] = /(\d+) passed, (\d+) failed\s*$/.exec(stdout) ?? [];
  return passed === undefined ? { passed: 0, failed: 1 } : { passed: Number(passed), failed: Number(failed) };
}

const readReport = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null);

install();
installChromium();
build();

const results = at('test-results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
const unitReport = at('test-results-unit.json');
rmSync(unitReport, { force: true });
const unitStatus = tool(['jest', '--maxWorkers=2', '--json', `--outputFile=${unitReport}`]);
const browserStatus = tool(['playwright', 'test']);
const figures = measuring();

const unit = readReport(unitReport);
const browser = readReport(at('test-results/e2e.json'));
// A tool that left no report, or failed without a failed test, counts as one failure: silence is not success.
const counts = (passed, failed, status) => ({ passed, failed: failed > 0 || status === 0 ? failed : 1 });
const units = unit ? counts(unit.numPassedTests, unit.numFailedTests, unitStatus) : { passed: 0, failed: 1 };
const browsers = browser
  ? counts(browser.stats.expected + browser.stats.flaky, browser.stats.unexpected, browserStatus)
  : { passed: 0, failed: 1 };
const failed = units.failed + browsers.failed + figures.failed;
console.log(
  `unit: ${units.passed} passed, ${units.failed} failed; browser: ${browsers.passed} passed, ${browsers.failed} failed; figures: ${figures.passed} passed, ${figures.failed} failed`,
);
console.log(`${units.passed + browsers.passed + figures.passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
