import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';

const COMMAND = fileURLToPath(new URL('../../bin/reckon', import.meta.url));

function run(args: readonly string[], input = '') {
  const { stdout, stderr, status } = spawnSync(COMMAND, args, { input, encoding: 'utf8' });
  return { stdout, stderr, status };
}

const json = (args: readonly string[], input = '') =>
  run(['--json', ...args], input)
    .stdout.trimEnd()
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, unknown>);

describe('bin/reckon', () => {
  it('answers entries from its arguments with the read-back and the reading', () => {
    expect(run([`9'-7 1/4" + 2' 9 3/8"`, '5+6*4'])).toEqual({
      stdout: '9′ 7 1⁄4″ + 2′ 9 3⁄8″ = 12′ 4 5⁄8″\n5 + (6 × 4) = 29\n',
      stderr: '',
      status: 0,
    });
  });

  it('says everything about an entry as JSON', () => {
    const [answer] = json([`(12' 3 5/8" - 2 * 3 1/2") / 7`]);
    expect(answer).toEqual({
      entry: `(12' 3 5/8" - 2 * 3 1/2") / 7`,
      readBack: '(12′ 3 5⁄8″ − (2 × 3 1⁄2″)) ÷ 7',
      kind: 'length',
      reading: '1′ 8 1⁄16″',
      plain: `1' 8 1/16"`,
      // 140 5/8 in over 7: 1125/56 in, times 127/5000 m.
      exact: [{ numerator: '1143', denominator: '2240', radicand: '1', piPower: 0 }],
      approx: 1143 / 2240,
      rounding: 'full',
      difference: null,
      error: null,
    });
  });

  it('gives exact terms in SI units for roots and π, nothing for zero, and null for an approximation', () => {
    const [root, turn, zero, near, yes] = json([`hyp(3'; 3')`, '30°', `0"`, 'ln 2', `5' > 4'`]);
    expect(root?.['exact']).toEqual([{ numerator: '1143', denominator: '1250', radicand: '2', piPower: 0 }]);
    expect(turn?.['exact']).toEqual([{ numerator: '1', denominator: '6', radicand: '1', piPower: 1 }]);
    expect(zero).toMatchObject({ exact: [], approx: 0, reading: '0″' });
    expect(near).toMatchObject({ exact: null, approx: Math.LN2, kind: 'number' });
    expect(yes).toMatchObject({ kind: 'answer', reading: 'yes', exact: null });
  });

  it('carries lines and marks over, from standard input as from arguments', () => {
    const answers = json([], `rail = 4' 2"\r\n\nrail += 2"\nrail * 8\n#1 + last\n`);
    expect(answers.map((answer) => answer['plain'])).toEqual([`4' 2"`, `4' 4"`, `34' 8"`, `38' 10"`]);
  });

  it('draws a caret under the spot, goes on, and ends with status 1', () => {
    const { stdout, stderr, status } = run([], `(4' + 3') * oops\n2 * 3\n`);
    expect(stdout).toBe('2 × 3 = 6\n');
    expect(stderr.split('\n').slice(0, 2)).toEqual([`(4' + 3') * oops`, `            ^^^^`]);
    expect(status).toBe(1);
    const [answer] = json([`5' + 3`]);
    expect(answer).toMatchObject({
      reading: null,
      error: { code: 'kind.add_plain', from: 5, to: 6, fixes: [{ label: '3″', entry: `5' + 3"` }, {}, {}] },
    });
  });

  it('takes phrases as they are said, with corrections, and counts nothing that it did not understand', () => {
    const said = [
      'nine foot seven and a quarter plus two foot nine and three eighths',
      'take three and a half off that',
      'no, four and a half',
      'store that as rail',
      'banana plus two',
      'rail times eight',
      'not times, divided by',
    ];
    const { stdout, stderr, status } = run(['--spoken'], `${said.join('\n')}\n`);
    expect(stdout.split('\n')).toEqual([
      '9′ 7 1⁄4″ + 2′ 9 3⁄8″ = 12′ 4 5⁄8″',
      'last − 3 1⁄2″ = 12′ 1 1⁄8″',
      'last − 4 1⁄2″ = 12′ 1⁄8″',
      'rail = last = 12′ 1⁄8″',
      'rail × 8 = 96′ 1″',
      'rail ÷ 8 = 1′ 6″',
      '',
    ]);
    expect([stderr, status]).toEqual([
      'banana plus two\n“banana” says nothing here. Did you mean last + 2″? Say yes to take it.\n',
      1,
    ]);
    // What was not understood is no line: a correction is of the phrase before it.
    const corrected = run(['--spoken', 'nine foot', 'banana', 'no, eight', 'line one']).stdout.split('\n');
    expect(corrected).toEqual(['9′ = 9′', '8′ = 8′', '#1 = 8′', '']);
    const asked = run(['--spoken', 'nine foot', 'clear the slate', 'yes', 'undo', 'what was the last one']);
    expect(asked.stdout.split('\n').slice(1)).toEqual([
      'Clear 1 line: are you sure?',
      'The slate is clear; say undo to bring it back.',
      'Done: bring the line back.',
      'Line 1: 9′',
      '',
    ]);
    expect(json(['--spoken', 'half an inch plus an inch'])).toMatchObject([
      { heard: 'half an inch plus an inch', entry: '1/2" + 1"', reading: '1 1⁄2″' },
    ]);
  });

  it('heeds style, finest division and direction', () => {
    expect(run(['--style', 'mm', `9' 7 1/4"`]).stdout).toContain('= 2927 mm');
    expect(run(['--style=mm', '--finest', '0.5 mm', '--round', 'up', `9' 7 1/4"`]).stdout).toContain('= 2927.5 mm');
    expect(run(['--finest', '1/64', '--round', 'down', `1' / 7`]).stdout).toContain('= 1 45⁄64″');
    expect(run(['--finest', '3/16', `1'`])).toMatchObject({ status: 2, stdout: '' });
    expect(run(['--nonsense'])).toMatchObject({ status: 2 });
    expect(run(['-9"']).stdout).toBe('−9″ = −9″\n');
  });

  it('answers every line of a stream, whatever stands between', () => {
    const odd = [
      '5 to 2/3',
      '5 to 3/7',
      `1' to 1e-308`,
      '1 kg to 1e-400 kg',
      '7.3 up to 2/3',
      '\u0000\uD800',
      '((((',
      '@',
    ];
    const answers = json([], odd.flatMap((entry) => [`5'`, entry]).join('\n'));
    expect(answers).toHaveLength(2 * odd.length);
    expect(answers.filter((_, index) => index % 2 === 0).every(({ plain }) => plain === `5'`)).toBe(true);
    expect(answers.every(({ error }) => error === null || (error as { code: string }).code !== 'internal')).toBe(true);
  });

  it('says by how much two sizes differ', () => {
    expect(run([`5' > 4'`, `5' == 60"`, '25 mm < 1"']).stdout).toBe(
      '5′ > 4′ = yes, by 1′\n5′ == 60″ = yes\n25 mm < 1″ = yes, by 0.4 mm\n',
    );
  });

  it('takes a long stream', () => {
    const { stdout, status } = run([], `2' 3 1/2" * 7\n`.repeat(20_000));
    expect(status).toBe(0);
    expect(stdout.length).toBe('2′ 3 1⁄2″ × 7 = 16′ 1⁄2″\n'.length * 20_000);
  });
});
