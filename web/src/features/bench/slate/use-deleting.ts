import { ref, type Ref } from 'vue';

/** What is asked before lines that others use go, and what can be done about it. */
export interface DeleteQuestion {
  readonly says: string;
  readonly takeOff: () => void;
  readonly keepValue?: () => void;
}

export interface Deleting {
  readonly asking: Ref<DeleteQuestion | undefined>;
  /** Deletes a line, or asks where others use it. */
  readonly remove: (id: string) => void;
  readonly removeAll: (count: number) => void;
  readonly removeChosen: (ids: ReadonlySet<string>, end: () => void) => void;
  readonly answer: (act?: () => void) => void;
}

/** Deleting lines, with the question that comes before it. */
export function useDeleting(on: {
  /** Sentences naming the lines that use a line; undefined when none does. */
  readonly usersOf: (id: string) => string | undefined;
  readonly canKeepValue: (id: string) => boolean;
  readonly remove: (id: string) => void;
  readonly removeKeepingValue: (id: string) => void;
  readonly removeAll: () => void;
  readonly removeChosen: (ids: ReadonlySet<string>) => void;
}): Deleting {
  const asking = ref<DeleteQuestion>();

  function remove(id: string): void {
    const users = on.usersOf(id);
    const keeps = on.canKeepValue(id);
    if (users === undefined) on.remove(id);
    else
      asking.value = {
        says: `${users} Without it ${keeps ? 'they have no result, unless its value is kept in them.' : 'they have no result.'}`,
        takeOff: () => on.remove(id),
        ...(keeps ? { keepValue: () => on.removeKeepingValue(id) } : {}),
      };
  }
  function removeAll(count: number): void {
    asking.value = { says: `All ${count} lines are deleted. Undo brings them back.`, takeOff: on.removeAll };
  }
  function removeChosen(ids: ReadonlySet<string>, end: () => void): void {
    asking.value = {
      says: `${ids.size} ${ids.size === 1 ? 'line is' : 'lines are'} deleted. Undo brings them back.`,
      takeOff: () => {
        on.removeChosen(ids);
        end();
      },
    };
  }
  function answer(act?: () => void): void {
    act?.();
    asking.value = undefined;
  }
  return { asking, remove, removeAll, removeChosen, answer };
}
