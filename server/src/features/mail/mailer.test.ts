import { describe, expect, it } from 'vitest';
import { smtpMailer } from './mailer.ts';

describe('a mailer for real use', () => {
  it('says that what it is given is sent: a person is told to look for it', () => {
    expect(smtpMailer('smtp://127.0.0.1:1', 'sprell@example.org').sends).toBe(true);
  });
});
