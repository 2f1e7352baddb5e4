<script setup lang="ts">
/** What a function or a jig takes, while it is written: the argument at the cursor stands out. */
import { computed } from 'vue';
import { ABOUT_FUNCTIONS, FUNCTIONS, type FunctionName } from '@sprell/core';
import type { CallAt } from '../../../parts/entry/call-now.ts';
import { jigsOffered } from '../../../live/jigs-offered.ts';

const props = defineProps<{ call: CallAt }>();

/** `a; b; …` goes on as it ends, and `or #3..#9` says what may stand there instead. */
const taken = computed(() => {
  const { name } = props.call;
  if (Object.hasOwn(FUNCTIONS, name)) {
    const known = name as FunctionName;
    return { args: FUNCTIONS[known].args.split('; '), about: ABOUT_FUNCTIONS[known] };
  }
  const jig = jigsOffered().find((one) => one.name.toLowerCase() === name);
  return jig && { args: jig.inputs, about: jig.title };
});
const at = computed(() => Math.min(props.call.argument, (taken.value?.args.length ?? 1) - 1));
</script>

<template>
  <span v-if="taken" data-test="call-help"
    >{{ call.name }}(<template v-for="(arg, n) in taken.args" :key="n"
      ><template v-if="n > 0">; </template><b v-if="n === at">{{ arg }}</b
      ><template v-else>{{ arg }}</template></template
    >) <span class="about">{{ taken.about }}</span></span
  >
</template>

<style scoped>
b {
  color: var(--chalk);
  font-weight: 700;
}
.about {
  margin-left: 6px;
}
</style>
