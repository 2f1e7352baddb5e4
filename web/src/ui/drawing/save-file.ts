/** Hands a file to the browser to be saved. */
export function saveFile(name: string, content: BlobPart, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser reads it after the click.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A title as the name of a file: letters, digits and hyphens. */
export function fileName(title: string, ending: string): string {
  const words = title
    .normalize('NFC')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '');
  return `${words === '' ? 'sprell' : words}.${ending}`;
}
