/** Between two keys of a meter, in milliseconds. */
const APART = 8;

const press = (key: string) =>
  (document.activeElement ?? document.body).dispatchEvent(
    new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }),
  );

/** Types a text and Enter as a coupled keyboard would: every key is heard by the page, and goes into the field with the cursor. */
export async function typeAsKeyboard(text: string): Promise<void> {
  for (const sign of text) {
    // There is no other way to write into whatever has the cursor as a keyboard does; every browser has this one.

    if (press(sign)) document.execCommand('insertText', false, sign);
    await new Promise((resolve) => setTimeout(resolve, APART));
  }
  press('Enter');
}
