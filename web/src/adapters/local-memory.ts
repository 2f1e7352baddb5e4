/** Small things this browser remembers by itself. A browser that forbids it forgets them, and nothing else. */
export interface Memory {
  remembered<T>(key: string): T | undefined;
  remember(key: string, value: unknown): void;
  /** @param changed is called when another page of this browser remembers something else under the key */
  follow(changed: (key: string) => void): void;
}

export function remembered<T>(key: string): T | undefined {
  try {
    const text = localStorage.getItem(`sprell.${key}`);
    return text === null ? undefined : (JSON.parse(text) as T);
  } catch {
    return undefined;
  }
}

export function remember(key: string, value: unknown): void {
  try {
    if (value === undefined) localStorage.removeItem(`sprell.${key}`);
    else localStorage.setItem(`sprell.${key}`, JSON.stringify(value));
  } catch {
    // A full or forbidden store: the page goes on without.
  }
}

export const thisBrowsersMemory: Memory = {
  remembered,
  remember,
  follow: (changed) => {
    window.addEventListener('storage', ({ key }) => {
      if (key?.startsWith('sprell.')) changed(key.slice('sprell.'.length));
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
