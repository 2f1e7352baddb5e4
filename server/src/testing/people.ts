import type { Response } from 'supertest';
import type { Browser, Guest, TestApp } from './test-app.ts';

/** What a test needs of people with an account, where it does not care who they are. */
export const PASSWORD = 'plumb and square';

let made = 0;
export const anAddress = () => `carpenter${(made += 1)}@example.test`;

export const signIn = (browser: Browser, email: string, password = PASSWORD) =>
  browser.post('/api/account/sign-in').send({ email, password });

/** A guest whose account has an address. */
export async function claimed(test: TestApp): Promise<Guest & { readonly email: string }> {
  const guest = await test.guest();
  const email = anAddress();
  await test.claim(guest.browser, email, PASSWORD);
  return { ...guest, email };
}

/** The code of a refusal. */
export const codeOf = ({ body }: Pick<Response, 'body'>) => (body as { code?: string }).code;
