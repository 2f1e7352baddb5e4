<script setup lang="ts">
/** The marks of the job within reach: one touch puts a mark in the entry, two keep a result as a new one. */
import { computed, ref } from 'vue';
import { isTaken } from '@sprell/core';
import SizeText from '../../../ui/SizeText.vue';
import type { NamedMark } from '../entry/suggestions.ts';

const props = defineProps<{
  marks: readonly NamedMark[];
  /** Names of marks that the entry uses, in lower case: they light up. */
  used: ReadonlySet<string>;
  /** There is something to keep: an entry that is whole, or a last result. */
  canKeep: boolean;
}>();
const emit = defineEmits<{ use: [name: string]; keep: [name: string] }>();

const isNaming = ref(false);
const typed = ref('');
const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
const SUGGESTED = 3;

/** Letters that are free: no mark has them, and they are no unit. */
const suggested = computed(() => {
  const taken = new Set(props.marks.map(({ name }) => name.toLowerCase()));
  return [...LETTERS].filter((letter) => !taken.has(letter.toLowerCase()) && !isTaken(letter)).slice(0, SUGGESTED);
});
const problem = computed(() => {
  const name = typed.value.trim();
  if (name === '') return undefined;
  if (!/^\p{L}[\p{L}\p{N}_]*$/u.test(name)) return 'A name is letters, digits and _, a letter first.';
  return isTaken(name) ? `${name} means something else already.` : undefined;
});

function keep(name: string): void {
  // The entry may have been written on since the name was asked for.
  if (name === '' || problem.value || !props.canKeep) return;
  isNaming.value = false;
  typed.value = '';
  emit('keep', name);
}
</script>

<template>
  <section class="stick" aria-label="Story stick">
    <div class="keep">
      <button
        type="button"
        class="button"
        :disabled="!canKeep"
        :aria-expanded="isNaming"
        data-test="keep"
        @pointerdown.prevent
        @click="isNaming = !isNaming"
      >
        keep
      </button>
      <form v-if="isNaming" class="naming" @submit.prevent="keep(typed.trim())">
        <button
          v-for="name in suggested"
          :key="name"
          type="button"
          class="button name"
          :disabled="!canKeep"
          :aria-label="`Keep as ${name}`"
          data-test="keep-as"
          @pointerdown.prevent
          @click="keep(name)"
        >
          {{ name }}
        </button>
        <input
          v-model="typed"
          class="typed"
          aria-label="Name of the mark"
          placeholder="name"
          autocapitalize="off"
          autocomplete="off"
          maxlength="40"
        />
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      </form>
    </div>
    <ul v-if="marks.length > 0" class="marks">
      <li v-for="mark in marks" :key="mark.name">
        <button
          type="button"
          class="mark"
          :class="{ used: used.has(mark.name.toLowerCase()) }"
          :data-mark="mark.name"
          @pointerdown.prevent
          @click="emit('use', mark.name)"
        >
          <span class="name">{{ mark.name }}</span> <span class="size"><SizeText :text="mark.reading" /></span>
        </button>
      </li>
    </ul>
    <p v-else class="none">Sizes you keep stand here, one touch from the entry.</p>
  </section>
</template>

<style scoped>
.stick {
  display: flex;
  flex-direction: column;
  min-height: 0;
  padding: 10px 10px 10px 0;
}
.marks {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
  border: 1px solid var(--ink);
  border-radius: 2px;
  background: var(--tape);
}
.mark {
  width: 100%;
  min-height: var(--touch);
  padding: 4px 10px;
  border: 0;
  border-bottom: 1px solid var(--ink);
  background: none;
  text-align: left;
  cursor: pointer;
}
.mark:hover {
  background: var(--raised);
}
.used {
  box-shadow: inset 5px 0 0 var(--chalk);
  background: var(--chalk-wash);
}
.mark .name {
  display: block;
  overflow-wrap: anywhere;
}
.size {
  font-family: var(--figures);
  font-weight: 600;
  font-size: 18px;
  white-space: nowrap;
}
.button {
  min-height: var(--touch);
  min-width: var(--touch);
  padding: 0 14px;
  border: 1px solid var(--ink);
  border-radius: 3px;
  background: var(--board);
  font-weight: 600;
  cursor: pointer;
}
.keep > .button {
  width: 100%;
}
.button:disabled {
  border-color: var(--groove);
  color: var(--ink-soft);
  background: none;
}
.naming {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 6px;
  margin-top: 6px;
}
.naming .name {
  padding: 0;
}
.typed {
  grid-column: 1 / -1;
  min-width: 0;
  min-height: var(--touch);
  padding: 0 8px;
  border: 1px solid var(--groove);
  border-radius: 3px;
  background: var(--board);
}
.problem {
  grid-column: 1 / -1;
  margin: 0;
  color: var(--pencil);
}
.none {
  color: var(--ink-soft);
  margin: 8px 0;
}
@media (max-width: 760px) {
  .stick {
    flex-direction: row;
    align-items: stretch;
    min-height: var(--touch);
    padding: 0;
    gap: 6px;
  }
  .keep {
    display: flex;
    gap: 6px;
  }
  .keep > .button {
    width: auto;
  }
  .naming {
    margin: 0;
    display: flex;
  }
  .naming .button {
    min-width: 44px;
  }
  .typed {
    width: 5.5em;
  }
  .marks {
    display: flex;
    overflow-x: auto;
    margin: 0;
  }
  li {
    flex: none;
  }
  .mark {
    border-bottom: 0;
    border-right: 1px solid var(--ink);
    padding: 2px 10px;
    line-height: 1.15;
  }
  .mark .name {
    font-size: 14px;
  }
  .none {
    margin: auto 0;
  }
}
</style>
