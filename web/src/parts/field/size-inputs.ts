/** The fields of a screen that take a size, in the order in which they stand. */
const inputs = (): HTMLInputElement[] =>
  [...document.querySelectorAll<HTMLInputElement>('input[data-size-input]')].filter((input) => input.checkVisibility());

/** Goes to the next field of the screen, or the one before. @returns whether there was one */
export function goToInput(by: 1 | -1): boolean {
  const all = inputs();
  const at = all.indexOf(document.activeElement as HTMLInputElement);
  const next = at < 0 ? undefined : all[at + by];
  next?.focus();
  return next !== undefined;
}

/** Goes to the first field of the screen that is empty, or else the first one. */
export function goToEmptyInput(): void {
  const all = inputs();
  (all.find(({ value }) => value === '') ?? all[0])?.focus();
}
