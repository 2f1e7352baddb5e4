/**
 * The one check. Names on the command line choose parts of it: format, lint, imports, types, reference, core,
 * contract, server, web, simulator, build, e2e. Two are run by their names alone: stress, which kills the server 50 times and
 * simulates 2,000 runs of several devices, and mutants, which makes faults and sees whether a test notices. Ends with one
 * line, "N passed, N failed": every check counts as one, every test as one.
 */
import { mkdtempSync, readFileSync, rmSync, existsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureChromium, ensurePackages } from './lib/install.mjs';
import { ROOT } from './lib/paths.mjs';
import { Plain, report, run } from './lib/processes.mjs';

const reports = mkdtempSync(join(tmpdir(), 'sprell-report-'));
const totals = { passed: 0, failed: 0 };

async function check(command, args, options = {}) {
  await run(command, args, { cwd: ROOT, ...options });
}

const npx = (...args) => check('npx', ['--no-install', ...args]);

/** Work that is done two at a time, each as soon as one before it is done; the first failure is thrown once all are over. */
async function twoAtATime(works) {
  const waiting = [...works];
  const lane = async () => {
    for (let work = waiting.shift(); work; work = waiting.shift())
      await work().catch((error) => {
        failures.push(error);
      });
  };
  const failures = [];
  await Promise.all([lane(), lane()]);
  if (failures.length > 0) throw failures[0];
}

const tsc = (folder) => () => npx('tsc', '-p', folder);
const vueTsc = (folder) => () => npx('vue-tsc', '-p', folder);
/** One program for each configuration, the longest first. The core without its tests knows neither Node.js nor a browser. */
const TYPES = [
  vueTsc('web'),
  vueTsc('simulator'),
  ...['server', 'core', 'benchmarks', 'contract', 'e2e', 'tools', 'core/tsconfig.pure.json'].map(tsc),
];
const CACHE = ['--cache', '--cache-strategy', 'content', '--cache-location'];
const format = () =>
  npx('prettier', '--check', '--log-level', 'warn', ...CACHE, 'node_modules/.cache/prettier/.prettier-cache', '.');
const lint = () => npx('eslint', '--max-warnings', '0', ...CACHE, 'node_modules/.cache/eslint/', '.');
const PARTS = ['core', 'contract', 'server', 'web', 'simulator', 'e2e', 'tools', 'benchmarks'];
const imports = () => npx('depcruise', '--config', 'dependency-rules.cjs', ...PARTS);
const reference = () => check(process.execPath, ['tools/reference.mjs', '--check']);

/** Runs the tests of some workspaces and adds their counts to the totals. */
async function tests(...projects) {
  const file = join(reports, `${projects.join('-')}.json`);
  const args = [
    '--no-install',
    'vitest',
    'run',
    ...projects.flatMap((name) => ['--project', name]),
    '--reporter=default',
    '--reporter=json',
    `--reporter=${join(ROOT, 'tools/lib/tried-again.mjs')}`,
    `--outputFile.json=${file}`,
  ];
  let failure;
  await run('npx', args, { cwd: ROOT }).catch((error) => (failure = error));
  if (!existsSync(file)) throw failure ?? new Plain('The tests left no report.');
  const { numPassedTests, numFailedTests, testResults } = JSON.parse(readFileSync(file, 'utf8'));
  // A file that could not be loaded has no failed test of its own.
  const broken = testResults.filter(
    (result) => result.status === 'failed' && result.assertionResults.length === 0,
  ).length;
  totals.passed += numPassedTests;
  totals.failed += numFailedTests + broken || (failure ? 1 : 0);
  if (numPassedTests + numFailedTests + broken === 0) throw new Plain(`No test ran in ${projects.join(', ')}.`);
}

async function build() {
  const { buildServer, buildWeb } = await import('./lib/build.mjs');
  await buildServer();
  await buildWeb();
}

const UNITS = ['core', 'contract', 'web', 'simulator', 'server'];

/** Parts of the check. `counts` parts count their own tests, `of` says what stands for them where all is run. */
const STEPS = [
  { name: 'format', of: 'source', work: format },
  { name: 'lint', of: 'source', work: lint },
  { name: 'imports', of: 'source', work: imports },
  { name: 'types', of: 'source', work: () => twoAtATime(TYPES) },
  { name: 'reference', of: 'source', work: reference },
  ...UNITS.map((name) => ({ name, of: 'units', counts: true, work: () => tests(name) })),
  { name: 'build', work: build },
  {
    name: 'e2e',
    counts: true,
    work: async () => {
      await ensureChromium();
      await build();
      await tests('e2e');
    },
  },
];

/** What stands for several parts where everything is run: two cores are busy all the time. */
const WHOLE = {
  source: { name: 'source', work: () => twoAtATime([lint, TYPES[0], format, ...TYPES.slice(1), imports, reference]) },
  units: { name: 'units', counts: true, work: () => tests(...UNITS) },
};
/** The check, in order. */
const EVERYTHING = [...new Set(STEPS.map((step) => WHOLE[step.of] ?? step))].filter(({ name }) => name !== 'build');

/** Only where they are asked for by name. */
const ON_DEMAND = [
  {
    name: 'stress',
    counts: true,
    work: async () => {
      process.env.SPRELL_STRESS_ROUNDS ??= '50';
      process.env.SPRELL_TRIES ??= '216';
      await ensureChromium();
      await build();
      await tests('stress');
      process.env.SPRELL_SIMULATED_RUNS ??= '2000';
      await tests('simulator');
    },
  },
  { name: 'mutants', work: async () => (await import('./mutants.mjs')).mutants() },
];

async function main() {
  const asked = process.argv.slice(2);
  const all = [...STEPS, ...ON_DEMAND];
  const unknown = asked.find((name) => !all.some((step) => step.name === name));
  if (unknown)
    throw new Plain(`There is no part called ${unknown}; the parts are ${all.map((step) => step.name).join(', ')}.`);
  await ensurePackages();
  for (const step of asked.length === 0 ? EVERYTHING : all.filter(({ name }) => asked.includes(name))) {
    const started = Date.now();
    console.log(`\n── ${step.name}`);
    try {
      await step.work();
      if (!step.counts) totals.passed += 1;
    } catch (error) {
      totals.failed += 1;
      console.error(error instanceof Plain ? error.message : error);
    }
    console.log(`── ${step.name} took ${((Date.now() - started) / 1000).toFixed(1)} s`);
  }
}

main()
  .catch((error) => {
    totals.failed += 1;
    report(error);
  })
  .finally(() => {
    rmSync(reports, { recursive: true, force: true });
    console.log(`\n${totals.passed} passed, ${totals.failed} failed`);
    process.exit(totals.failed === 0 ? 0 : 1);
  });
