<script setup lang="ts">
/** The bare field of a size, in which the keys write too. What it comes to, and what is wrong, is its owner's to show. */
import type { InputInstance } from 'element-plus';
import { onBeforeUnmount, ref } from 'vue';
import { useOwnKeys } from '../../live/own-keys.ts';
import { useHand, type FieldHandle } from '../entry/hand.ts';
import type { NamedMark } from '../entry/suggestions.ts';
import { plainHandle } from '../entry/plain-handle.ts';

const props = defineProps<{
  label: string;
  /** What it comes to. */
  reading: string | undefined;
  /** What is wrong with it. */
  problem: string | undefined;
  /** What else it may name, for the letters of the keys. */
  names?: readonly NamedMark[] | undefined;
  /** It may name nothing else. */
  isApart?: boolean;
}>();
const text = defineModel<string>({ required: true });
const emit = defineEmits<{ enter: []; focus: []; blur: [] }>();

const field = ref<InputInstance>();
const hand = useHand();
const ownKeys = useOwnKeys();
const { typed, ...keyed } = plainHandle({
  input: () => field.value?.input,
  now: () => text.value,
  write: (written) => (text.value = written),
  enter: () => emit('enter'),
});
const handle: FieldHandle = {
  ...keyed,
  words: () => props,
};
function enter(): void {
  hand.enterField(handle);
  emit('focus');
}
function leave(): void {
  hand.leaveField(handle);
  emit('blur');
}
onBeforeUnmount(() => hand.drop(handle));

defineExpose({
  focus: () => {
    handle.focus();
    // The component hears of a focus only from the tick after it was made.
    hand.enterField(handle);
  },
});
</script>

<template>
  <el-input
    ref="field"
    :model-value="text"
    autocapitalize="off"
    autocomplete="off"
    spellcheck="false"
    enterkeyhint="next"
    maxlength="500"
    data-size-input
    :inputmode="ownKeys ? 'none' : 'text'"
    :aria-invalid="problem !== undefined"
    @update:model-value="typed"
    @focus="enter"
    @blur="leave"
    @keydown.enter.prevent="emit('enter')"
  />
</template>
