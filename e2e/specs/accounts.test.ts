import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, inject, it, vi } from 'vitest';
import type { Bench } from '../fixtures/browser.ts';
import { DESKTOP, launchBrowser, openBench, PHONE } from '../fixtures/browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
});

const PASSWORD = 'plumb and square';
let made = 0;
const anAddress = () => `e2e${Date.now()}x${(made += 1)}@example.test`;

async function toAccount(bench: Bench): Promise<void> {
  await bench.click('[data-test=keep-state]');
  await bench.page.waitForSelector('[data-test=whose]');
}
async function send(bench: Bench, form: string, values: Readonly<Record<string, string>>): Promise<void> {
  for (const [name, value] of Object.entries(values))
    await bench.fill(`[data-test=${form}] input[data-field=${name}]`, value);
  await bench.click(`[data-test=${form}] button[type=submit]`);
}
/** The link in the last letter to an address. Letters go behind the answer. */
const linkFor = (email: string): Promise<string> =>
  vi.waitFor(async () => {
    const letters = (await (await fetch(`${inject('address')}/outbox`)).text()).split('<article>');
    const link = /href="([^"]+#[^"]+)"/.exec(letters.find((letter) => letter.includes(email)) ?? '')?.[1];
    if (link === undefined) throw new Error(`No letter went to ${email}.`);
    return link;
  });
async function claimed(bench: Bench, email: string): Promise<void> {
  await toAccount(bench);
  await send(bench, 'claim', { email, new: PASSWORD });
  await bench.page.waitForSelector('[data-test=waits-for]');
  await bench.page.goto(await linkFor(email));
  await bench.click('[data-test=confirm]');
  await bench.says('[data-test=whose]', `Signed in as ${email}.`);
}

describe('a guest', () => {
  it('is at the bench at once, takes an address later, and finds everything from anywhere', async () => {
    const bench = await openBench(browser);
    await bench.type(`gate: 3' 7"`);
    await bench.press('Enter');
    await bench.kept();
    const email = anAddress();
    await claimed(bench, email);
    expect(await bench.complaints()).toEqual([]);

    // Another device that has made something as well.
    const phone = await openBench(browser, PHONE);
    await phone.chooseJob('Chapel porch');
    await phone.type(`shelf: 2' 1"`);
    await phone.press('Enter');
    await phone.kept();
    await toAccount(phone);
    await send(phone, 'sign-in', { email, current: 'not this one' });
    await phone.page.waitForSelector('[role=alert]');
    expect(await phone.text('.problem')).toContain('The address or the password is not right.');
    await send(phone, 'sign-in', { email, current: PASSWORD });
    await phone.says('[data-test=whose]', `Signed in as ${email}.`);
    expect(await phone.overflow()).toBeLessThanOrEqual(0);
    const jobs = await phone.ask<{ title: string; lines: number }[]>('/api/jobs');
    // Both had the demo jobs: what each wrote is in its own.
    expect(jobs.map(({ title, lines }) => `${title} ${lines}`).sort()).toEqual(
      [
        'Allotment tool store 10',
        'Allotment tool store 10',
        'Bandstand, Quill Park 46',
        'Bandstand, Quill Park 47',
        'Chapel porch 8',
        'Chapel porch 9',
      ].sort(),
    );
    expect(phone.errors.filter((error) => !error.includes('401'))).toEqual([]);
  });

  it('keeps its address with the password alone where the letter is opened elsewhere', async () => {
    const bench = await openBench(browser);
    const email = anAddress();
    await toAccount(bench);
    await send(bench, 'claim', { email, new: '1234567890' });
    await bench.page.waitForSelector('[role=alert]');
    expect(await bench.text('.problem')).toContain('among the first that anybody would try');
    await send(bench, 'claim', { email, new: PASSWORD });
    const link = await linkFor(email);
    const phone = await openBench(browser, PHONE);
    await phone.page.goto(link);
    await phone.click('[data-test=confirm]');
    await phone.page.waitForSelector('[data-test=confirm-elsewhere]');
    expect(await phone.complaints()).toEqual([]);
    await send(phone, 'confirm-elsewhere', { current: 'not this one' });
    await phone.page.waitForSelector('[role=alert]');
    await send(phone, 'confirm-elsewhere', { current: PASSWORD });
    await phone.says('[data-test=whose]', `Signed in as ${email}.`);
    await bench.page.reload();
    await bench.says('[data-test=whose]', `Signed in as ${email}.`);
  });

  it('signs out with a word on what would be lost, and leaves nothing on the device', async () => {
    const bench = await openBench(browser);
    const email = anAddress();
    await claimed(bench, email);
    await bench.room('/');
    await bench.page.waitForSelector('[data-line]');
    await bench.page.setOfflineMode(true);
    await bench.type(`9' 9"`);
    await bench.press('Enter');
    await bench.page.waitForFunction(
      () => document.querySelector('[data-test=keep-state]')?.textContent === '1 change waiting',
    );
    await toAccount(bench);
    await bench.click('[data-test=sign-out]');
    await bench.says('[data-test=would-be-lost]', '1 change is not on the server yet, and would be lost.');
    await bench.page.setOfflineMode(false);
    // The question is still shown, and follows.
    await bench.says('[data-test=would-be-lost]', 'Everything is on the server; nothing would be lost.');
    await Promise.all([bench.page.waitForNavigation(), bench.click('[data-test=leave-now]')]);
    await bench.page.waitForSelector('[data-line]');
    await bench.kept();
    // A guest again, with nothing of what was there.
    expect(await bench.lineNumbers()).not.toContain(47);
    const waiting = await bench.ask<{ email: string | null }>('/api/account');
    expect(waiting.email).toBeNull();
  });

  it('brings another device along by a code, typed as people type', async () => {
    const bench = await openBench(browser);
    await bench.type(`lintel: 4' 2"`);
    await bench.press('Enter');
    await bench.kept();
    await toAccount(bench);
    await bench.click('[data-test=make-code]');
    await bench.page.waitForSelector('[data-test=device-code]');
    const code = await bench.text('[data-test=device-code]');
    const phone = await openBench(browser, PHONE);
    await toAccount(phone);
    await phone.fill('input[data-field=code]', code.toLowerCase().replace('-', ' '));
    await phone.click('[data-test=use-code]');
    await phone.page.waitForSelector('.device [role=status]');
    const jobs = await phone.ask<{ lines: number }[]>('/api/jobs');
    expect(jobs.map(({ lines }) => lines)).toContain(47);
  });
});

describe('a forgotten password', () => {
  it('is reset by the link that was sent', async () => {
    const bench = await openBench(browser);
    const email = anAddress();
    await claimed(bench, email);
    const other = await openBench(browser, DESKTOP);
    await toAccount(other);
    await other.fill('[data-test=sign-in] input[data-field=email]', email);
    await other.click('[data-test=forgot]');
    await other.says('[data-test=said]', 'If there is an account with this address, a link is on its way to it.');
    await vi.waitFor(async () => expect(await linkFor(email)).toContain('/new-password#'));
    await other.page.goto(await linkFor(email));
    await other.fill('input[data-field=new]', 'sharp as a chisel');
    await other.click('button[type=submit]');
    await other.says('[data-test=whose]', `Signed in as ${email}.`);
  });
});

describe('others at a job', () => {
  it('are let in by a link, see it change, and are out at once when that is taken back', async () => {
    const owner = await openBench(browser);
    await toAccount(owner);
    await owner.click('[data-test=invite-edit]');
    await owner.page.waitForSelector('[data-test=link]');
    const link = await owner.page.$eval('[data-test=link]', (field) => (field as HTMLInputElement).value);
    const mate = await openBench(browser, PHONE);
    await mate.page.goto(link);
    await mate.click('[data-test=join]');
    await mate.page.waitForSelector('[data-line]');
    await mate.kept();
    await mate.type(`from the mate: 6'`);
    await mate.press('Enter');
    await mate.kept();
    await owner.room('/');
    await owner.page.waitForSelector('[data-line="47"]');
    expect(await owner.result(47)).toBe('6′');

    await toAccount(owner);
    await owner.click('[data-test=take-back]');
    await owner.page.waitForFunction(() => document.querySelector('[data-test=take-back]') === null);
    await mate.type(`7'`);
    await mate.press('Enter');
    await mate.page.waitForFunction(
      () => document.querySelector('[data-test=keep-state]')?.textContent === '1 change waiting',
    );
    // What was written is not lost: it is still there.
    await mate.page.reload();
    await mate.page.waitForSelector('[data-line="48"]');
    await mate.says('[data-test=keep-state]', '1 change waiting');
  });
});
