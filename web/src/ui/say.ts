/**
 * Says in passing that something was done: over the screen, so that nothing moves, and read aloud. What shows it is loaded
 * when it is first wanted.
 */
export async function say(words: string): Promise<void> {
  const { show } = await import('./said.ts');
  show(words);
}
