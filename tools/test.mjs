/**
 * The one check, fastest first. Names on the command line choose parts of it: format, lint, imports, types, reference, core,
 * contract, server, web, simulator, build, e2e; stress, which kills the server 50 times and simulates 2,000 runs of several
 * devices, is run by its name alone. Ends with one
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

/** One program a configuration, two at a time. The core without its tests knows neither Node.js nor a browser. */
async function typeCheck() {
  const inTurn = async (...folders) => {
    for (const folder of folders) await npx('tsc', '-p', folder);
  };
  const lanes = [
    inTurn('core/tsconfig.pure.json', 'core', 'benchmarks', 'tools'),
    npx('vue-tsc', '-p', 'web')
      .then(() => npx('vue-tsc', '-p', 'simulator'))
      .then(() => inTurn('contract', 'server', 'e2e')),
  ];
  const failed = (await Promise.allSettled(lanes)).find(({ status }) => status === 'rejected');
  if (failed) throw failed.reason;
}

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

/** The check, in order. `counts` steps count their own tests. */
const STEPS = [
  { name: 'format', work: () => npx('prettier', '--check', '--log-level', 'warn', '.') },
  { name: 'lint', work: () => npx('eslint', '--max-warnings', '0', '.') },
  {
    name: 'imports',
    work: () =>
      npx(
        'depcruise',
        '--config',
        'dependency-rules.cjs',
        'core',
        'contract',
        'server',
        'web',
        'simulator',
        'e2e',
        'tools',
        'benchmarks',
      ),
  },
  { name: 'types', work: typeCheck },
  { name: 'reference', work: () => check(process.execPath, ['tools/reference.mjs', '--check']) },
  { name: 'core', counts: true, work: () => tests('core') },
  { name: 'contract', counts: true, work: () => tests('contract') },
  { name: 'web', counts: true, work: () => tests('web') },
  { name: 'simulator', counts: true, work: () => tests('simulator') },
  { name: 'server', counts: true, work: () => tests('server') },
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
];

async function main() {
  const asked = process.argv.slice(2);
  const all = [...STEPS, ...ON_DEMAND];
  const unknown = asked.find((name) => !all.some((step) => step.name === name));
  if (unknown)
    throw new Plain(`There is no part called ${unknown}; the parts are ${all.map((step) => step.name).join(', ')}.`);
  await ensurePackages();
  for (const step of asked.length === 0 ? STEPS : all.filter(({ name }) => asked.includes(name))) {
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
