import { flushPromises, mount, RouterLinkStub } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { routerKey } from 'vue-router';
import { localStore } from '../../adapters/local/local-store-loader.ts';
import { forgetAll, remember, remembered } from '../../adapters/local-memory.ts';
import { FakeServer, JOB_ID, newDevice } from '../../testing/fake-server.ts';
import { useJobs } from '../../live/use-jobs.ts';
import { useAccount } from './account.store.ts';
import JobMembers from './JobMembers.vue';
import PasswordForm from './PasswordForm.vue';
import SignOut from './SignOut.vue';

let server: FakeServer;
/** What the account's own addresses answer, by the end of the path. */
let answers: Record<string, () => Response>;
const asked: { readonly path: string; readonly body: unknown }[] = [];
beforeEach(() => {
  localStorage.clear();
  newDevice();
  server = new FakeServer();
  answers = {};
  asked.length = 0;
  vi.stubGlobal('fetch', (path: string, init: { body?: string; method?: string }) => {
    const answer = Object.entries(answers).find(([end]) => path.endsWith(end))?.[1];
    if (answer === undefined) return server.fetch(path, init);
    asked.push({ path, body: init.body === undefined ? undefined : JSON.parse(init.body) });
    return Promise.resolve(answer());
  });
  setActivePinia(createPinia());
});
afterEach(() => {
  vi.unstubAllGlobals();
});
const refusal = (code: string, message: string, status: number) => () =>
  Response.json({ code, message, requestId: 'r' }, { status });
const EMAIL = 'crew@example.test';

describe('the account of this browser', () => {
  it('is entered with what was made here, and then needs its guest’s key no more', async () => {
    const accounts = useAccount();
    await (await localStore()).setNote('guest', 'the key of a guest');
    answers['/sign-in'] = () => Response.json({ id: JOB_ID, email: EMAIL });
    expect(await accounts.enterBy((one) => one.enter(EMAIL, 'plumb and square'))).toBe(true);
    expect(asked[0]?.body).toEqual({ email: EMAIL, password: 'plumb and square' });
    expect(accounts.account?.email).toBe(EMAIL);
    expect(await (await localStore()).note('guest')).toBeUndefined();
    // Known without the server as well.
    setActivePinia(createPinia());
    expect(useAccount().account?.email).toBe(EMAIL);
  });

  it('has its address at once, or once the letter was opened that went there', async () => {
    const accounts = useAccount();
    answers['/claim'] = () => Response.json({ id: JOB_ID, email: null, waitsFor: EMAIL });
    expect(await accounts.claim(EMAIL, 'plumb and square')).toBe('written');
    expect([accounts.account?.email, accounts.waitsFor]).toEqual([null, EMAIL]);
    answers['/claim'] = () => Response.json({ id: JOB_ID, email: EMAIL, waitsFor: null });
    expect(await accounts.claim(EMAIL, 'plumb and square')).toBe('kept');
    expect([accounts.account?.email, accounts.waitsFor]).toEqual([EMAIL, undefined]);
    answers['/claim'] = refusal('account.email_taken', 'This address has an account already.', 409);
    expect(await accounts.claim(EMAIL, 'plumb and square')).toBeUndefined();
    expect(accounts.problemCode).toBe('account.email_taken');
  });

  it('says in words what the server does not take', async () => {
    const accounts = useAccount();
    answers['/sign-in'] = refusal('account.wrong', 'The address or the password is not right.', 401);
    expect(await accounts.enterBy((one) => one.enter(EMAIL, 'x'))).toBe(false);
    expect(accounts.problem).toBe('The address or the password is not right.');
    server.away = true;
    await accounts.load();
    expect(accounts.problem).toBe('The server cannot be reached.');
  });

  it('is left with nothing of it on the device, and only when the server has done it', async () => {
    const accounts = useAccount();
    remember('comfort', { look: 'night' });
    remember('who', { id: JOB_ID, email: EMAIL });
    const local = await localStore();
    await local.setNote('entry', '5');
    answers['/sign-out'] = refusal('server.unavailable', 'The store of jobs is away; try again in a moment.', 503);
    expect(await accounts.leave(false)).toBe(false);
    expect(await local.note('entry')).toBe('5');
    answers['/sign-out'] = () => Response.json({ done: true });
    expect(await accounts.leave(true)).toBe(true);
    expect(asked.at(-1)?.body).toEqual({ everywhere: true });
    expect(await local.note('entry')).toBeUndefined();
    expect(remembered('who')).toBeUndefined();
    expect(remembered('comfort')).toEqual({ look: 'night' });
    forgetAll();
  });
});

describe('signing out', () => {
  it('says what would be lost, and follows what is sent while the question is shown', async () => {
    vi.useFakeTimers();
    const jobs = useJobs();
    await jobs.start();
    server.away = true;
    jobs.open.lines.land(`5'`);
    await vi.advanceTimersByTimeAsync(2_000);
    const out = mount(SignOut, { global: { provide: { [routerKey as symbol]: {} }, stubs: { teleport: true } } });
    await out.get('[data-test=sign-out]').trigger('click');
    await vi.advanceTimersByTimeAsync(0);
    expect(out.get('[data-test=would-be-lost]').text()).toContain('1 change is not on the server yet');
    expect(out.get('[data-test=leave-now]').text()).toBe('Sign out and lose it');
    server.away = false;
    await vi.advanceTimersByTimeAsync(20_000);
    expect(out.get('[data-test=would-be-lost]').text()).toContain('nothing would be lost');
    expect(out.get('[data-test=leave-now]').text()).toBe('Sign out');
    vi.useRealTimers();
  });
});

describe('the forms', () => {
  it('ask for what they need and forget passwords when they are sent', async () => {
    const form = mount(PasswordForm, {
      props: { title: 'T', about: 'A', asks: ['email', 'new'] as const, action: 'Keep', busy: false },
    });
    const [email, password] = form.findAll('input');
    expect([email, password].map((field) => field?.attributes('autocomplete'))).toEqual(['username', 'new-password']);
    await email?.setValue(EMAIL);
    await password?.setValue('plumb and square');
    await form.get('form').trigger('submit');
    expect(form.emitted('send')).toEqual([[{ email: EMAIL, current: '', new: 'plumb and square' }]]);
    expect(password?.element.value).toBe('');
    expect(email?.element.value).toBe(EMAIL);
  });

  it('make a link into the open job, and take people out of it', async () => {
    await useJobs().start();
    answers['/members'] = () => Response.json([{ accountId: JOB_ID, email: null, role: 'edit' }]);
    answers['/invitations'] = () => Response.json({ token: 'x'.repeat(43), expiresAt: '2026-01-01T00:00:00.000Z' });
    const people = mount(JobMembers, { global: { stubs: { RouterLink: RouterLinkStub } } });
    await flushPromises();
    await vi.dynamicImportSettled();
    await flushPromises();
    expect(people.get('li').text()).toContain('A guest, works on it');
    await people.get('[data-test=invite-read]').trigger('click');
    await flushPromises();
    expect(people.get<HTMLInputElement>('[data-test=link]').element.value).toMatch(/\/join#x{43}$/);
    answers[`/members/${JOB_ID}`] = () => Response.json({ done: true });
    await people.get('[data-test=take-back]').trigger('click');
    await flushPromises();
    expect(asked.some(({ path }) => path.endsWith(`/members/${JOB_ID}`))).toBe(true);
  });
});
