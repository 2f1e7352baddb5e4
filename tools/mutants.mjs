/**
 * `bin/test mutants`: whether the tests notice when the code is wrong. Takes places at random, by a seed, makes one small
 * fault at a time there, in a copy, and runs the tests that import that file. What no test notices survives, and is printed
 * with its place. Faults that change nothing anybody can see are listed in `mutants-equivalent.json`, and do not count.
 *
 *   SPRELL_SEED=2 SPRELL_MUTANTS=80 SPRELL_ONLY=web bin/test mutants
 */
import { execFileSync, spawn } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import ts from 'typescript';
import { ROOT } from './lib/paths.mjs';
import { Plain } from './lib/processes.mjs';

/** How many of all mutants a part gets, which share of them its tests are to catch, and where its logic is. */
const PARTS = {
  core: { weight: 4, wanted: 0.9, files: ['core/src'] },
  contract: { weight: 1, wanted: 0.9, files: ['contract/src'] },
  server: { weight: 2, wanted: 0.9, files: ['server/src'] },
  // Its drawings and looks are for the eye and the browser tests: here it is what is worked out.
  web: {
    weight: 3,
    wanted: 0.75,
    files: ['job', 'adapters', 'parts', 'features', 'live'].map((one) => `web/src/${one}`),
  },
};
const NO_LOGIC =
  /\.test\.ts$|\/testing\/|\.d\.ts$|\/index\.ts$|(messages|issues)\.ts$|-about\.ts$|accepted-forms\.ts$|demo-jobs\.ts$|-worker\.ts$|\/main\.ts$/;

const K = ts.SyntaxKind;
const OTHER_SIGN = new Map([
  [K.LessThanToken, '<='],
  [K.LessThanEqualsToken, '<'],
  [K.GreaterThanToken, '>='],
  [K.GreaterThanEqualsToken, '>'],
  [K.EqualsEqualsEqualsToken, '!=='],
  [K.ExclamationEqualsEqualsToken, '==='],
  [K.PlusToken, '-'],
  [K.MinusToken, '+'],
  [K.AsteriskToken, '/'],
  [K.SlashToken, '*'],
  [K.AmpersandAmpersandToken, '||'],
  [K.BarBarToken, '&&'],
  [K.QuestionQuestionToken, '&&'],
]);

/** Larger numbers are waits, rooms and allowances, of which one more is not to be noticed. */
const LARGEST_STEP = 20;

/** Numbers that look like chance, the same for a seed (mulberry32). */
function random(seed) {
  let state = seed >>> 0;
  return (below) => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) % below;
  };
}

/** Every fault that can be made in a file: the place, and the faulty text. */
function faultsIn(file) {
  const text = readFileSync(join(ROOT, file), 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const faults = [];
  const add = (node, written, what) => {
    const start = node.getStart(source);
    const { line, character } = source.getLineAndCharacterOfPosition(start);
    faults.push({ file, start, end: node.getEnd(), written, what, place: `${file}:${line + 1}:${character + 1}` });
  };
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const sign = node.operatorToken;
      const other = OTHER_SIGN.get(sign.kind);
      if (other !== undefined) add(sign, other, `${sign.getText(source)} to ${other}`);
    } else if (ts.isNumericLiteral(node) && /^\d+$/.test(node.text) && Number(node.text) <= LARGEST_STEP)
      add(node, String(Number(node.text.replaceAll('_', '')) + 1), `${node.text} to one more`);
    else if (node.kind === K.TrueKeyword || node.kind === K.FalseKeyword)
      add(node, node.kind === K.TrueKeyword ? 'false' : 'true', `${node.getText(source)} turned round`);
    else if (ts.isIfStatement(node)) add(node.expression, `!(${node.expression.getText(source)})`, 'if turned round');
    else if (ts.isConditionalExpression(node))
      add(node.condition, `!(${node.condition.getText(source)})`, 'condition turned round');
    else if (ts.isExpressionStatement(node) && !ts.isStringLiteral(node.expression))
      add(node, ';', `${node.getText(source).slice(0, 40).replace(/\s+/g, ' ')} left out`);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return faults;
}

/** A copy of the sources that faults can be made in. */
function copyOfSources() {
  const folder = mkdtempSync(join(tmpdir(), 'sprell-mutants-'));
  const skip = /(^|\/)(node_modules|dist|\.git|\.data)(\/|$)/;
  cpSync(ROOT, folder, { recursive: true, filter: (from) => !skip.test(from.slice(ROOT.length)) });
  symlinkSync(join(ROOT, 'node_modules'), join(folder, 'node_modules'));
  return folder;
}

/** Milliseconds that the tests of one fault may take, and how long they have to end by themselves then, with their database. */
const [LONGEST, TO_END] = [240_000, 15_000];

/** Runs the tests that import a file. @returns what came of it; `late` where they took too long to say */
function tried(folder, { file }) {
  const project = file.split('/')[0];
  const projects =
    project === 'web' ? ['web', 'simulator'] : project === 'contract' ? ['contract', 'server', 'web'] : [project];
  const args = ['--no-install', 'vitest', 'related', '--run', '--bail', '1', '--reporter', 'dot'];
  const child = spawn('npx', [...args, ...projects.flatMap((name) => ['--project', name]), join(folder, file)], {
    cwd: folder,
    stdio: 'ignore',
    detached: true,
    env: { ...process.env, SPRELL_SIMULATED_RUNS: '10' },
  });
  return new Promise((resolve) => {
    let isLate = false;
    const end = (signal) => {
      if (child.pid !== undefined) process.kill(-child.pid, signal);
    };
    const timers = [];
    timers.push(
      setTimeout(() => {
        isLate = true;
        end('SIGTERM');
        timers.push(setTimeout(() => end('SIGKILL'), TO_END));
      }, LONGEST),
    );
    child.on('close', (code) => {
      for (const timer of timers) clearTimeout(timer);
      resolve(isLate ? 'late' : code === 0 ? 'survived' : 'caught');
    });
  });
}

/** The faults that are made: as many of each part as its weight says, by the seed. */
function chosen(parts, most, below) {
  const weights = parts.reduce((sum, name) => sum + PARTS[name].weight, 0);
  return parts.flatMap((name) => {
    const faults = PARTS[name].files
      .flatMap((folder) =>
        execFileSync('git', ['ls-files', folder], { cwd: ROOT, encoding: 'utf8' }).trim().split('\n'),
      )
      .filter((file) => file.endsWith('.ts') && !NO_LOGIC.test(file))
      .sort()
      .flatMap(faultsIn);
    const count = Math.round((most * PARTS[name].weight) / weights);
    return Array.from({ length: count }, () => ({ part: name, ...faults.splice(below(faults.length), 1)[0] }));
  });
}

export async function mutants() {
  const seed = Number(process.env.SPRELL_SEED ?? 1);
  const only = process.env.SPRELL_ONLY;
  const parts = Object.keys(PARTS).filter((name) => only === undefined || only.split(',').includes(name));
  const equivalent = JSON.parse(readFileSync(join(ROOT, 'tools/mutants-equivalent.json'), 'utf8'));
  const faults = chosen(parts, Number(process.env.SPRELL_MUTANTS ?? 90), random(seed));
  const waiting = [...faults];
  const counts = Object.fromEntries(parts.map((name) => [name, { caught: 0, survived: 0, equivalent: 0 }]));
  /** @returns {{ caught: number; survived: number; equivalent: number }} */
  const tally = (part) => (counts[part] ??= { caught: 0, survived: 0, equivalent: 0 });
  const lane = async () => {
    const folder = copyOfSources();
    try {
      for (let fault = waiting.shift(); fault; fault = waiting.shift()) {
        const path = join(folder, fault.file);
        const text = readFileSync(path, 'utf8');
        writeFileSync(path, text.slice(0, fault.start) + fault.written + text.slice(fault.end));
        let outcome = await tried(folder, fault);
        // A busy machine, or an endless loop: the second time it is taken for that.
        if (outcome === 'late') outcome = await tried(folder, fault);
        writeFileSync(path, text);
        const caught = outcome !== 'survived';
        if (outcome === 'late') console.log(`ENDLESS   ${fault.place}  ${fault.what}: counted as caught`);
        const line = text.slice(0, fault.start).split('\n').length;
        const reason = equivalent[`${fault.file}: ${text.split('\n')[line - 1]?.trim()} (${fault.what})`];
        tally(fault.part)[caught ? 'caught' : reason ? 'equivalent' : 'survived'] += 1;
        if (!caught) console.log(`${reason ? 'no difference' : 'SURVIVED'}  ${fault.place}  ${fault.what}`);
      }
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  };
  await Promise.all([lane(), lane()]);
  const missed = [];
  for (const [name, { caught, survived, equivalent: same }] of Object.entries(counts)) {
    const rate = caught / Math.max(caught + survived, 1);
    console.log(
      `${name}: ${caught} of ${caught + survived} caught (${(100 * rate).toFixed(0)} %), ${same} without a difference`,
    );
    if (rate < PARTS[name].wanted) missed.push(name);
  }
  if (missed.length > 0) throw new Plain(`Too many faults go unnoticed in ${missed.join(', ')} (seed ${seed}).`);
}
