import type { Browser, KeyInput } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DESKTOP, launchBrowser, openBench, PHONE, TABLET, type Bench } from '../fixtures/browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
});

/** Sets a look and other comforts as the panel would, and shows the bench so. */
async function withComfort(bench: Bench, comfort: object): Promise<void> {
  await bench.page.evaluate((wanted) => localStorage.setItem('sprell.comfort', JSON.stringify(wanted)), comfort);
  await bench.goto();
}

describe('axe finds nothing', () => {
  it.each([
    ['timber', DESKTOP],
    ['night', DESKTOP],
    ['sun', DESKTOP],
    ['timber', PHONE],
    ['night', TABLET],
  ] as const)('in the look of %s at %o', async (look, size) => {
    const bench = await openBench(browser, size);
    const of = look === 'timber' ? 'everything' : 'colours';
    await withComfort(bench, { look });
    expect(await bench.complaints(of)).toEqual([]);
    await bench.type(`182' 4" / 6 + rail * (#1`);
    expect(await bench.complaints(of)).toEqual([]);
    await bench.clear();
    await bench.type(`5' + 3`);
    await bench.page.waitForSelector('.message');
    expect(await bench.complaints(of)).toEqual([]);
    await bench.clear();
  });

  it('in panels, sheets, the rest of a line, words and sums', async () => {
    const bench = await openBench(browser);
    await bench.show(1);
    await bench.click('[data-line="1"] [data-test=dots]');
    await bench.page.waitForSelector('[data-line="1"] [data-test=note]');
    expect(await bench.complaints()).toEqual([]);
    await bench.click('[data-line="1"] [data-test=note]');
    await bench.click('[data-test=add-words]');
    await bench.click('[data-test=search]');
    await bench.click('[data-test=select]');
    await bench.page.waitForSelector('[data-test=sums]');
    expect(await bench.complaints()).toEqual([]);
    for (const look of ['timber', 'night', 'sun']) {
      await withComfort(bench, { look });
      await bench.click('[data-test=comfort]');
      await bench.page.waitForSelector('.el-drawer [data-test=comfort-gloves]');
      // The drawer slides in; half way it is see-through.
      await bench.still();
      expect(await bench.complaints(look === 'timber' ? 'everything' : 'colours')).toEqual([]);
    }
    expect(bench.errors).toEqual([]);
  });
});

describe('room', () => {
  it.each([
    ['a phone of 320 pixels', { width: 320, height: 640, hasTouch: true, isMobile: true }, {}],
    ['a phone', PHONE, {}],
    ['a phone with the largest text and gloves', PHONE, { textSize: 'largest', gloves: true }],
    ['a tablet', TABLET, {}],
    ['a desk at 200 %', { width: 640, height: 400, deviceScaleFactor: 2 }, {}],
    ['a desk', DESKTOP, { leftHanded: true, textSize: 'large' }],
  ])('%s needs no sideways scrolling, and its keys can be reached', async (_, size, comfort) => {
    const bench = await openBench(browser, size);
    await withComfort(bench, comfort);
    await bench.type(`12' 7 31/32" + 2' 9 3/64"`);
    await bench.page.waitForSelector('[data-test=also]');
    expect(await bench.overflow()).toBeLessThanOrEqual(0);
    await bench.page.$eval('[data-key=enter]', (key) => key.scrollIntoView());
    const box = await (await bench.page.$('[data-key=enter]'))?.boundingBox();
    expect(box && box.x + box.width).toBeLessThanOrEqual(size.width);
    expect(box?.height).toBeGreaterThanOrEqual(44);
    const figures = await bench.page.$eval(
      '[data-test=reading]',
      (element) => element.scrollWidth - element.clientWidth,
    );
    expect(figures).toBeLessThanOrEqual(0);
    await bench.clear();
  });
});

describe('every room', () => {
  const ROOMS = ['/setting-out', '/scales', '/stick', '/quantities', '/jobs', '/help'];
  it.each([
    ['a phone of 320 pixels', { width: 320, height: 640, hasTouch: true, isMobile: true }, {}],
    ['a phone with the largest text', PHONE, { textSize: 'largest' }],
    ['a desk at 200 %', { width: 640, height: 400, deviceScaleFactor: 2 }, {}],
    ['a tablet', TABLET, {}],
  ])('needs no sideways scrolling on %s', async (_, size, comfort) => {
    const bench = await openBench(browser, size);
    await withComfort(bench, comfort);
    const over: string[] = [];
    for (const room of ROOMS) {
      await bench.room(room);
      await bench.still();
      if ((await bench.overflow()) > 0) over.push(`${room}: ${await bench.overflow()}`);
    }
    expect(over).toEqual([]);
    expect(bench.errors).toEqual([]);
  });
});

describe('what comes and goes on a phone', () => {
  /** Whether the middle of an element is that element's on the screen, and not covered or below its edge. */
  const isSeen = (bench: Bench, selector: string) =>
    bench.page.$eval(selector, (element) => {
      const { left, top, width, height } = element.getBoundingClientRect();
      const there = document.elementFromPoint(left + width / 2, top + height / 2);
      return there !== null && element.contains(there);
    });

  it('leaves the keys on the screen while another reading of the entry is offered', async () => {
    const bench = await openBench(browser, PHONE);
    await bench.type(`9'-7`);
    await bench.page.waitForSelector('.taken');
    for (const key of ['1', '0', '(', 'enter']) expect(await isSeen(bench, `[data-key="${key}"]`)).toBe(true);
    expect(await isSeen(bench, '.taken button')).toBe(true);
    await bench.clear();
  });

  it('stands still once the lines are there: nothing moves under a thumb', async () => {
    const bench = await openBench(browser, PHONE);
    const { page } = bench;
    await page.evaluateOnNewDocument(() => {
      const places = new Set<string>();
      Object.assign(window, { places });
      const look = () => {
        if (document.querySelector('[data-line]') !== null) {
          const tops = ['.tools-toggle', '.hand', '.keys'].map((part) =>
            Math.round(document.querySelector(part)?.getBoundingClientRect().top ?? -1),
          );
          places.add(tops.join(' '));
        }
        requestAnimationFrame(look);
      };
      requestAnimationFrame(look);
    });
    await page.emulateCPUThrottling(4);
    await bench.goto();
    await page.waitForSelector('[data-test=also]');
    await bench.drawn();
    await page.emulateCPUThrottling(1);
    expect(await page.evaluate(() => [...(window as unknown as { places: Set<string> }).places])).toHaveLength(1);
  });

  it('lies over its neighbours: suggestions, and the way to the tools of the slate', async () => {
    const bench = await openBench(browser, PHONE);
    await bench.type('hy');
    await bench.page.waitForSelector('.cm-tooltip-autocomplete li');
    // It is made out of sight, measured, and then put in its place.
    await expect.poll(() => isSeen(bench, '.cm-tooltip-autocomplete li')).toBe(true);
    await bench.press('Escape');
    await bench.clear();
    await bench.type(`9'-7`);
    await bench.page.waitForSelector('.taken');
    expect(await isSeen(bench, '[data-test=slate-tools]')).toBe(true);
    await bench.clear();
    // What is said beneath the entry later pushes it up, and the suggestions go along.
    await bench.type(`9'-7" + last`);
    await bench.page.waitForSelector('.taken');
    const top = (selector: string) => bench.page.$eval(selector, (part) => part.getBoundingClientRect().bottom);
    await expect
      .poll(async () => Math.abs((await top('.cm-tooltip-autocomplete')) - (await top('.hand .cm-line'))))
      .toBeLessThan(60);
    await bench.clear();
    expect(bench.errors).toEqual([]);
  });
});

describe('the slate on a phone', () => {
  it('has the room while it is worked on, and gives it back', async () => {
    const bench = await openBench(browser, PHONE);
    const { page } = bench;
    const height = () => page.$eval('.lines', (list) => list.clientHeight);
    const areKeysShown = () => page.$eval('[data-key="5"]', (key) => (key as HTMLElement).offsetParent !== null);
    const atRest = await height();
    await bench.tap('[data-test=slate-tools]');
    await page.waitForSelector('[data-test=select]', { visible: true });
    await bench.tap('[data-test=select]');
    await page.waitForSelector('[data-test=sums]');
    expect(await height()).toBeGreaterThan(atRest * 1.5);
    expect(await areKeysShown()).toBe(false);
    await bench.tap('[data-test=done-selecting]');
    expect(await areKeysShown()).toBe(true);
    await bench.tap('[data-test=search]');
    await page.waitForSelector('[data-test=sought]');
    await page.type('[data-test=sought]', 'rafter');
    await page.waitForFunction(() => document.querySelectorAll('[data-line]').length < 6);
    await bench.tap('[data-test=search]');
    await bench.tap('[data-test=slate-tools]');
    await bench.show(20);
    await bench.tap('[data-line="20"] [data-test=dots]');
    await page.waitForSelector('[data-line="20"] [data-test=use-entry]');
    await bench.tap('[data-line="20"] [data-test=use-entry]');
    expect(await areKeysShown()).toBe(true);
    expect(await bench.readBack()).toContain('#18 − #19');
    await bench.clear();
    expect(await bench.overflow()).toBeLessThanOrEqual(0);
    expect(bench.errors).toEqual([]);
  });
});

describe('by the keyboard alone', () => {
  const chord = async (bench: Bench, modifier: KeyInput, key: KeyInput) => {
    await bench.page.keyboard.down(modifier);
    await bench.page.keyboard.press(key);
    await bench.page.keyboard.up(modifier);
  };

  it('entries are written, gone on from, repeated, recalled, cleared and taken back', async () => {
    const bench = await openBench(browser);
    const before = await bench.lineNumbers();
    const { keyboard } = bench.page;
    await keyboard.type(`5' * 3`);
    await bench.press('Enter');
    expect(await bench.text('[data-test=announced]')).toMatch(/^line [a-z-]+ on the slate, fifteen feet$/);
    await keyboard.type('/');
    await keyboard.type('2');
    expect(await bench.reading()).toBe('7′ 6″');
    await bench.press('Enter');
    await chord(bench, 'Alt', 'a');
    const [first, second, third] = (await bench.lineNumbers()).slice(before.length);
    expect([await bench.result(first as number), await bench.result(second as number)]).toEqual(['15′', '7′ 6″']);
    expect(await bench.result(third as number)).toBe('3′ 9″');
    for (let n = 0; n < 3; n += 1) await keyboard.press('ArrowUp');
    expect(await bench.reading()).toBe('15′');
    await keyboard.press('ArrowDown');
    expect(await bench.reading()).toBe('7′ 6″');
    await bench.clear();
    await chord(bench, 'Control', 'z');
    expect(await bench.reading()).toBe('7′ 6″');
    await bench.clear();
    await keyboard.type('0');
    await keyboard.press('Backspace');
    for (let n = 0; n < 3; n += 1) await chord(bench, 'Control', 'z');
    await chord(bench, 'Control', 'z');
    await bench.kept();
    expect(await bench.lineNumbers()).toEqual(before);
  });

  it('a line is found, edited, moved, noted, used and deleted', async () => {
    const bench = await openBench(browser);
    const { keyboard } = bench.page;
    const before = await bench.lineNumbers();
    await bench.page.focus('[data-test=search]');
    await bench.press('Enter');
    await bench.page.focus('[data-test=sought]');
    await keyboard.type('king block');
    await bench.page.waitForFunction(() => document.querySelectorAll('[data-line]').length === 1);
    await bench.page.focus('[data-line="19"] .body');
    await bench.press('Enter');
    await bench.page.waitForSelector('[data-line="19"] [data-test=entry]');
    await bench.press('Escape');
    await bench.page.waitForSelector('[data-line="19"] .body');
    await bench.page.focus('[data-line="19"] [data-test=dots]');
    await bench.press('Enter');
    await bench.page.waitForSelector('[data-line="19"] [data-test=note]');
    await bench.page.focus('[data-line="19"] [data-test=note]');
    await bench.press('Enter');
    await bench.page.waitForSelector('[data-test=note-field]');
    await keyboard.type('cut from the offcut');
    await bench.press('Enter');
    expect(await bench.text('[data-line="19"] .note')).toBe('cut from the offcut');
    await bench.page.focus('[data-line="19"] [data-test=down]');
    await bench.press('Enter');
    await bench.page.focus('[data-test=search]');
    await bench.press('Enter');
    const order = await bench.lineNumbers();
    expect(order.indexOf(19)).toBe(order.indexOf(20) + 1);
    await bench.show(19);
    await bench.page.focus('[data-line="19"] .body');
    await chord(bench, 'Alt', 'ArrowUp');
    await chord(bench, 'Alt', 'ArrowUp');
    expect((await bench.lineNumbers()).filter((number) => [18, 19, 20].includes(number))).toEqual([19, 18, 20]);
    for (let n = 0; n < 4; n += 1) await bench.undo();
    expect(await bench.lineNumbers()).toEqual(before);
    await bench.kept();
    await bench.show(20);
    await bench.page.focus('[data-line="20"] [data-test=result]');
    await bench.press('Enter');
    await keyboard.type(' * 2');
    await bench.page.waitForFunction(() =>
      document.querySelector('[data-test=read-back]')?.textContent.includes('#20 × 2'),
    );
    await bench.clear();
  });

  it('a line that is used is written on behind, however soon or late', async () => {
    const bench = await openBench(browser);
    await bench.show(20);
    for (const pause of [0, 30, 60, 100, 150]) {
      await bench.page.focus('[data-line="20"] [data-test=result]');
      await bench.press('Enter');
      await new Promise((resolve) => setTimeout(resolve, pause));
      await bench.page.keyboard.type(' * 2');
      expect(await bench.text('[data-test=entry]')).toBe('#20 * 2');
      await bench.clear();
    }
  });

  it('the drawn inch, the shortcut sheet and the suggestions answer to keys', async () => {
    const bench = await openBench(browser);
    const { keyboard } = bench.page;
    await bench.page.focus('[data-test=inch]');
    for (let n = 0; n < 5; n += 1) await keyboard.press('ArrowRight');
    await bench.press('Enter');
    expect(await bench.reading()).toBe('5⁄16″');
    await bench.page.focus('[data-test=inch]');
    await keyboard.type('?');
    await bench.page.waitForSelector('.sheet');
    expect(await bench.text('.sheet')).toContain('brings earlier entries back');
    await bench.press('Escape');
    await bench.page.waitForFunction(() => document.querySelector('.sheet') === null);
    await bench.clear();
    await bench.type('raf');
    await bench.page.waitForSelector('.cm-tooltip-autocomplete');
    expect(await bench.text('.cm-tooltip-autocomplete')).toContain('rafter');
    await keyboard.press('Tab');
    expect(await bench.readBack()).toBe('rafter');
    await bench.clear();
  });
});

describe('in colours that somebody chose for the whole device', () => {
  it('the inch, the tape, grips and drawings are seen as words are', async () => {
    const bench = await openBench(browser);
    const { page } = bench;
    const session = await page.createCDPSession();
    await session.send('Emulation.setEmulatedMedia', { features: [{ name: 'forced-colors', value: 'active' }] });
    await bench.type(`5' 3"`);
    const words = await page.evaluate(() => getComputedStyle(document.querySelector('.read-back') as Element).color);
    const strokes = await page.$$eval('.inch .tick', (all) => [
      ...new Set(all.map((one) => getComputedStyle(one).stroke)),
    ]);
    const ground = await page.evaluate(
      () => getComputedStyle(document.querySelector('.inch') as Element).backgroundColor,
    );
    expect(strokes).toEqual([words]);
    expect(ground).not.toBe(words);
    const grip = await page.$eval('.grip', (one) => getComputedStyle(one, '::before').backgroundImage);
    expect(grip).toContain('gradient');
    await bench.clear();
    await bench.room('/setting-out');
    await bench.click('[data-shape=rafter]');
    await page.waitForSelector('.figure path');
    const drawn = await page.$$eval('.figure path.body', (all) => all.map((one) => getComputedStyle(one).stroke));
    expect(new Set(drawn)).toEqual(new Set([words]));
    expect(bench.errors).toEqual([]);
  });
});

describe('what is spoken and what moves', () => {
  it('the reading is said once typing rests, not at every key', async () => {
    const bench = await openBench(browser);
    await bench.page.evaluate(() => {
      const said: string[] = [];
      Object.assign(window, { said });
      new MutationObserver(() => said.push(document.querySelector('[data-test=spoken]')?.textContent ?? '')).observe(
        document.querySelector('[data-test=spoken]') as Element,
        { childList: true, characterData: true, subtree: true },
      );
    });
    // A slow machine may rest between two keys too: what counts is that the sum is said, and that far less is said than typed.
    const said = (words: string) =>
      bench.page.waitForFunction((last) => (window as unknown as { said: string[] }).said.at(-1) === last, {}, words);
    const [sum, more] = [`9' 7 1/4" + 2' 9 3/8"`, ` + 1'`];
    await bench.type(sum);
    await said('twelve feet, four and five eighths');
    await bench.type(more);
    await said('thirteen feet, four and five eighths');
    const times = await bench.page.evaluate(() => (window as unknown as { said: string[] }).said.length);
    expect(times).toBeLessThan((sum.length + more.length) / 2);
    await bench.clear();
  });

  it('nothing moves where that is not wanted', async () => {
    const bench = await openBench(browser);
    await bench.page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
    // The looks follow what the device says a moment later.
    const moving = () =>
      bench.page.$$eval('*', (all) =>
        all.flatMap((element) => {
          const { animationName, transitionProperty } = getComputedStyle(element);
          const isStill = animationName === 'none' && ['none', 'all'].includes(transitionProperty);
          return isStill ? [] : [`${element.tagName}.${element.className}`];
        }),
      );
    await expect.poll(moving).toEqual([]);
  });
});
