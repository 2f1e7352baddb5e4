/** Small things this browser remembers by itself. A browser that forbids it forgets them, and nothing else. */
export interface Memory {
  remembered<T>(key: string): T | undefined;
  remember(key: string, value: unknown): void;
  /** @param changed is called when another page of this browser remembers something else under the key */
  follow(changed: (key: string) => void): void;
}

/** Put in front of every key. */
let space = 'sprell.';
/**
 * From now on this page remembers apart from the others: nothing of theirs is read, and nothing written over.
 * @param name empty for the usual memory
 */
export function rememberApart(name: string): void {
  space = name === '' ? 'sprell.' : `sprell.${name}.`;
}

export function remembered<T>(key: string): T | undefined {
  try {
    const text = localStorage.getItem(`${space}${key}`);
    return text === null ? undefined : (JSON.parse(text) as T);
  } catch {
    return undefined;
  }
}

export function remember(key: string, value: unknown): void {
  try {
    if (value === undefined) localStorage.removeItem(`${space}${key}`);
    else localStorage.setItem(`${space}${key}`, JSON.stringify(value));
  } catch {
    // A full or forbidden store: the page goes on without.
  }
}

export const thisBrowsersMemory: Memory = {
  remembered,
  remember,
  follow: (changed) => {
    window.addEventListener('storage', ({ key }) => {
      if (key?.startsWith(space)) changed(key.slice(space.length));
    });
  },
};

/** What is of a person and not of the device goes; how the bench looks stays. */
const STAYS = new Set(['sprell.comfort']);

export function forgetAll(): void {
  try {
    for (const key of Object.keys(localStorage))
      if (key.startsWith('sprell.') && !STAYS.has(key)) localStorage.removeItem(key);
  } catch {
    // A forbidden store holds nothing.
  }
}
