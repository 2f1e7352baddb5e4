import { describe, expect, it } from 'vitest';
import { refuseWeak } from './weak-password.ts';

const isRefused = (password: string, email?: string) =>
  refuseWeak(password, email).then(
    () => false,
    () => true,
  );

describe('a password', () => {
  it.each(['password1', 'qwertyuiop', '1234567890', 'sprell2026', 'carpenter'])('%s is refused', async (password) => {
    expect(await isRefused(password)).toBe(true);
  });
  it('made of the person’s own address is refused, and taken from somebody else', async () => {
    expect(await isRefused('tolliver.marsh', 'tolliver.marsh@example.org')).toBe(true);
    expect(await isRefused('tolliver.marsh', 'other@example.org')).toBe(false);
  });
  it.each(['oak gutter 7', 'ridgeplank', 'trowel91'])('that just holds is taken: %s', async (password) => {
    expect(await isRefused(password)).toBe(false);
  });
});
