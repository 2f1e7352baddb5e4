/** Reading aloud, whoever does it: the browser's own service, or the one that ships and writes down what it said. */
export interface Voice {
  readonly isThere: boolean;
  /** Voices to choose from, by name. */
  names(): readonly string[];
  /** @returns when it was said, or broken off */
  speak(words: string, manner: { readonly speed: number; readonly name: string }): Promise<void>;
  /** Breaks off what is being said. */
  hush(): void;
}

/** The browser's own voice, of the device where there is one: then it speaks with no signal. */
export function browserVoice(language: string): Voice {
  const { speechSynthesis: service } = globalThis as { speechSynthesis?: SpeechSynthesis };
  const all = () => {
    const voices = service?.getVoices() ?? [];
    const spoken = voices.filter(({ lang }) => lang.slice(0, 2) === language.slice(0, 2));
    return [...spoken].sort((a, b) => Number(b.localService) - Number(a.localService));
  };
  return {
    isThere: service !== undefined,
    names: () => all().map(({ name }) => name),
    speak: (words, { speed, name }) =>
      new Promise((resolve) => {
        if (service === undefined) {
          resolve();
          return;
        }
        const said = new SpeechSynthesisUtterance(words);
        const voice = all().find((one) => one.name === name) ?? all()[0];
        if (voice !== undefined) said.voice = voice;
        said.lang = voice?.lang ?? language;
        said.rate = speed;
        said.onend = () => {
          resolve();
        };
        said.onerror = () => {
          resolve();
        };
        service.speak(said);
      }),
    hush: () => service?.cancel(),
  };
}

/** A voice without sound: it writes down what it said. For practice, for demonstrations and for tests. */
export class WritingVoice implements Voice {
  readonly isThere = true;
  readonly #wrote: (words: string) => void;
  constructor(wrote: (words: string) => void) {
    this.#wrote = wrote;
  }
  names(): readonly string[] {
    return [];
  }
  speak(words: string): Promise<void> {
    this.#wrote(words);
    return Promise.resolve();
  }
  hush(): void {
    // What is written cannot be taken back.
  }
}
