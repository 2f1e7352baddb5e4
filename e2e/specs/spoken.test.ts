import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DESKTOP, launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
});

const WORDS = '[data-test=written] li:last-child';

/** A device whose ear and voice are those for practice: nothing of it needs a microphone. */
async function speaking(size: typeof DESKTOP = DESKTOP, manner: object = {}): Promise<Bench> {
  const bench = await openBench(browser, size);
  await bench.page.evaluate((wanted) => {
    localStorage.setItem('sprell.spoken', JSON.stringify({ ear: 'practice', ...wanted }));
  }, manner);
  await bench.goto();
  return bench;
}
async function open(bench: Bench): Promise<void> {
  const isInView = await bench.page.$eval('[data-test=speak]', (button) => button.checkVisibility());
  if (isInView) await bench.click('[data-test=speak]');
  else {
    await bench.tap('[data-test=rooms]');
    await bench.tap('[role=menuitem][data-room=speak]');
  }
  await bench.page.waitForSelector('[data-test=talk]');
}
/** Something is typed in place of being said. */
async function say(bench: Bench, ...phrases: readonly string[]): Promise<void> {
  for (const phrase of phrases) {
    await bench.fill('[data-test=say]', phrase);
    await bench.press('Enter');
    await bench.page.waitForFunction(() => document.querySelector<HTMLInputElement>('[data-test=say]')?.value === '');
  }
}
async function choose(bench: Bench, script: string): Promise<void> {
  await bench.click('[data-test=speaking] .scripts .el-select__wrapper');
  const [option] = await bench.page.$$(`xpath///li[@role="option"][normalize-space()="${script}"]`);
  await bench.still();
  await option?.click();
  await bench.click('[data-test=play]');
}

describe('speaking', () => {
  it('shows what was heard before it counts, and reads it aloud', async () => {
    const bench = await speaking();
    await open(bench);
    await say(bench, 'nine foot seven and a quarter plus two foot nine and three eighths');
    await bench.says('[data-test=heard-entry]', '9′ 7 1⁄4″ + 2′ 9 3⁄8″');
    await bench.says('[data-test=heard-reading]', '12′ 4 5⁄8″');
    await bench.says(WORDS, 'twelve feet, four and five eighths');
    expect(await bench.page.$('[data-line="47"]')).toBeNull();
    // Going on counts; what was said last is put right by voice.
    await say(bench, 'take three and a half off that', 'no, four and a half');
    await bench.says('[data-test=heard-reading]', '12′ 1⁄8″');
    await bench.click('[data-test=heard-enter]');
    await bench.page.waitForSelector('[data-line="48"]');
    expect([await bench.result(47), await bench.result(48)]).toEqual(['12′ 4 5⁄8″', '12′ 1⁄8″']);
    // And what has landed already, in its place.
    await say(bench, 'no, five and a half', 'yes');
    await bench.page.waitForFunction(() =>
      document.querySelector('[data-line="48"] [data-test=result]')?.textContent.startsWith('11′ 11'),
    );
    await bench.undo();
    await bench.kept();
    expect(await bench.result(48)).toBe('12′ 1⁄8″');
    expect(await bench.complaints()).toEqual([]);
    await bench.press('Escape');
    await bench.page.waitForSelector('[data-test=speaking]', { hidden: true });
    expect(bench.errors).toEqual([]);
  });

  it('keeps what it does not understand, with the words that say nothing marked', async () => {
    const bench = await speaking();
    await open(bench);
    await say(bench, 'ten foot', 'banana plus two');
    await bench.says('[data-test=missed-word]', 'banana');
    expect(await bench.text('[data-test=missed] .phrase')).toBe('banana plus two');
    await bench.click('[data-test=missed-offer]');
    await bench.says('[data-test=heard-reading]', '10′ 2″');
    // As it was heard it can be looked up.
    expect(await bench.text('[data-test=said-log]')).toContain('“banana plus two” “banana” says nothing here.');
    await say(bench, 'nine foot in pounds');
    await bench.says('[data-test=heard-problem]', 'A length cannot be read in “lb”; name a unit of its own kind.');
    await bench.click('[data-test=question-yes]');
    await bench.says('[data-test=heard-reading]', '9′');
    expect(await bench.complaints()).toEqual([]);
    expect(bench.errors).toEqual([]);
  });

  it('asks before the slate is cleared, and hears yes and no', async () => {
    const bench = await speaking();
    await open(bench);
    await say(bench, 'clear the slate');
    await bench.says('[data-test=question] p', 'Clear 54 lines: are you sure?');
    await bench.says(WORDS, 'Clear fifty-four lines: are you sure?');
    await say(bench, 'no');
    await bench.says('[data-test=answer]', 'Nothing is changed.');
    expect((await bench.lineNumbers()).length).toBe(46);
    await say(bench, 'clear the slate', 'yes');
    await bench.page.waitForFunction(() => document.querySelectorAll('[data-line]').length === 0);
    await say(bench, 'undo');
    await bench.page.waitForSelector('[data-line="46"]');
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('listens while Space is held, with the words so far, and tells by ear what was misheard', async () => {
    const bench = await speaking();
    await open(bench);
    await choose(bench, 'Misheard, and put right');
    await bench.page.focus('[data-test=talk]');
    await bench.page.keyboard.down('Space');
    await bench.page.waitForSelector('[data-test=talk].held');
    await bench.page.waitForSelector('[data-test=partial]');
    await bench.says('[data-test=heard-reading]', '9′ 7 3⁄8″');
    await bench.page.keyboard.up('Space');
    await bench.page.waitForSelector('[data-test=talk].off');
    await bench.says(
      '[data-test=heard-phrase]',
      '“nine food seven and three eights” taken as “nine foot seven and three eighths”',
    );
    expect(bench.errors).toEqual([]);
  });

  it('hands-free waits for its word, and says what to do about noise', async () => {
    const bench = await speaking(DESKTOP, { wake: 'bench' });
    await open(bench);
    await bench.click('[data-test=hands-free]');
    await bench.page.waitForSelector('[data-test=talk].asleep');
    await bench.says('[data-test=talk]', 'Say “bench”, or touch here');
    await bench.click('[data-test=talk]');
    await bench.page.waitForSelector('[data-test=talk].awake');
    await choose(bench, 'Noise from the saw');
    await bench.says('[data-test=heard-reading]', '1′ 5 1⁄8″');
    await bench.says('[data-test=heard-rounding]', 'full by 1⁄64″');
    await bench.says('[data-test=trouble]', 'Too much noise to make words out. Come closer, or wait for the saw.');
    await say(bench, 'stop');
    await bench.page.waitForSelector('[data-test=talk].asleep');
    await bench.click('[data-test=hands-free]');
    await bench.page.waitForSelector('[data-test=talk].off');
    expect(bench.errors).toEqual([]);
  });

  it('says plainly that a browser may send sound, and what a browser without a recogniser can do', async () => {
    const bench = await openBench(browser);
    await bench.page.evaluateOnNewDocument(() => {
      for (const name of ['SpeechRecognition', 'webkitSpeechRecognition'])
        Object.defineProperty(window, name, { value: undefined });
    });
    await bench.goto();
    await bench.click('[data-test=speak]');
    await bench.says('[data-test=trouble]', 'This browser cannot listen. Type what you would say, or use the keys.');
    await say(bench, 'nine foot');
    await bench.says('[data-test=heard-reading]', '9′');
    await bench.click('[data-test=spoken-how]');
    expect(await bench.text('[data-test=spoken-settings]')).toContain(
      'may send what it hears to the maker of the browser',
    );
    expect(await bench.complaints()).toEqual([]);
    expect(bench.errors).toEqual([]);
  });

  it('fills the fields of a setting-out and the cells of a row by their names', async () => {
    const bench = await speaking();
    await bench.room('/setting-out');
    await bench.click('[data-shape=right-triangle]');
    await open(bench);
    await say(bench, 'run fourteen foot eight', 'the pitch is six in twelve', 'enter');
    await bench.says(':is([data-field=rise], [data-answer=rise]) .size', '7′ 4″');
    await bench.room('/quantities');
    await bench.page.waitForSelector('[data-test=add-row]');
    await say(bench, 'new row joist hangers', 'count twenty four', 'length two foot six', 'enter');
    const cells = () =>
      bench.page.$$eval('[role=row]', (rows) =>
        rows.map((row) => row.textContent.replace(/\s+/g, ' ')).filter((text) => text.includes('joist hangers')),
      );
    await bench.page.waitForFunction(() =>
      [...document.querySelectorAll('[role=row]')].some(
        (row) => row.textContent.includes('joist hangers') && row.textContent.includes('2′ 6″'),
      ),
    );
    expect((await cells())[0]).toContain('24');
    expect(bench.errors).toEqual([]);
  });

  it('on a phone: by touch, by hand, and all of it in view', async () => {
    const bench = await speaking(PHONE);
    await open(bench);
    await choose(bench, 'Two sizes and what is left');
    await bench.page.$eval('[data-test=talk]', (key) =>
      key.dispatchEvent(new PointerEvent('pointerdown', { pointerId: 1, bubbles: true })),
    );
    await bench.page.waitForSelector('[data-test=talk].held');
    await bench.says('[data-test=heard-reading]', '12′ 4 5⁄8″');
    await bench.page.$eval('[data-test=talk]', (key) =>
      key.dispatchEvent(new PointerEvent('pointerup', { pointerId: 1, bubbles: true })),
    );
    await bench.page.waitForSelector('[data-test=talk].off');
    const small = await bench.page.$$eval('[data-test=speaking] :is(button, summary, input, label)', (all) =>
      all
        .filter((one) => one.checkVisibility() && one.getBoundingClientRect().height < 44)
        // What is drawn in a larger target.
        .filter((one) => one.closest('label, .el-select, .el-input') === null)
        .map((one) => one.outerHTML.slice(0, 80)),
    );
    expect(small).toEqual([]);
    expect(await bench.complaints()).toEqual([]);
    await bench.tap('[data-test=heard-change]');
    await bench.page.waitForSelector('[data-test=dock]');
    await bench.touchKeys('+', '1', '′');
    await bench.tap('[data-test=heard-enter]');
    await bench.tap('[data-test=spoken-close]');
    expect(await bench.result(47)).toBe('13′ 4 5⁄8″');
    expect(await bench.overflow()).toBeLessThanOrEqual(0);
    expect(bench.errors).toEqual([]);
  });
});
