<script setup lang="ts">
/** The jigs to choose from: one's own, and those that came with Sprell; each says whether this job uses it. */
import { computed, ref } from 'vue';
import { Search } from 'lucide-vue-next';
import type { KeptJig, ShelfJig } from '../../job/index.ts';

const props = defineProps<{ jigs: readonly ShelfJig[]; inJob: readonly KeptJig[]; chosen: string }>();
const sought = ref('');
const shown = computed(() => {
  const words = sought.value.toLowerCase().split(/\s+/).filter(Boolean);
  return props.jigs.filter(({ set: { jig } }) => {
    const said = `${jig.title} ${jig.name} ${jig.about}`.toLowerCase();
    return words.every((word) => said.includes(word));
  });
});
const groups = computed(() =>
  [
    ['Your own', shown.value.filter(({ isShipped }) => !isShipped)] as const,
    ['With Sprell', shown.value.filter(({ isShipped }) => isShipped)] as const,
  ].filter(([, jigs]) => jigs.length > 0),
);
const usedAs = (id: string) => props.inJob.find(({ jig }) => jig === id)?.name;
</script>

<template>
  <nav class="list" aria-label="Jigs">
    <label class="find">
      <Search :size="18" aria-hidden="true" />
      <span class="sr-only">Find a jig</span>
      <input v-model="sought" type="search" placeholder="Find a jig" autocomplete="off" data-test="find-jig" />
    </label>
    <template v-for="[title, group] in groups" :key="title">
      <h2>{{ title }}</h2>
      <ul>
        <li v-for="{ id, set } in group" :key="id">
          <router-link :to="`/jigs/${id}`" :aria-current="id === chosen || undefined" :data-jig="set.jig.name">
            <span class="title">{{ set.jig.title }}</span>
            <span v-if="usedAs(id)" class="used">in this job as {{ usedAs(id) }}</span>
          </router-link>
        </li>
      </ul>
    </template>
    <p v-if="groups.length === 0" class="none">No jig of these words.</p>
  </nav>
</template>

<style scoped>
.find {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 8px 12px;
}
.find input {
  flex: 1;
  min-width: 0;
  min-height: 44px;
  padding: 0 10px;
  border: 1px solid var(--ink);
  border-radius: 3px;
  background: var(--board);
  color: var(--ink);
  font: inherit;
}
h2 {
  margin: 0;
  padding: 10px 16px 4px;
  color: var(--ink-soft);
  font-size: 15px;
  font-weight: 500;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
a {
  display: flex;
  flex-direction: column;
  justify-content: center;
  min-height: 48px;
  padding: 4px 16px;
  border-bottom: 1px solid var(--groove);
  border-left: 3px solid transparent;
  color: var(--ink);
  text-decoration: none;
}
a:hover {
  color: var(--chalk);
}
a[aria-current] {
  border-left-color: var(--chalk);
  background: var(--board);
}
.title {
  font-weight: 500;
}
.used,
.none {
  color: var(--ink-soft);
  font-size: 15px;
}
.none {
  padding: 10px 16px;
}
</style>
