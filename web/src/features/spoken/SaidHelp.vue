<script setup lang="ts">
/** What can be said, in short; all of it is in the help. */
import { RouterLink } from 'vue-router';
import { SAID_IN_SHORT } from '@sprell/core/said';

const emit = defineEmits<{ close: [] }>();
</script>

<template>
  <section class="said" aria-label="What can be said" data-test="said-list">
    <dl>
      <template v-for="[what, phrases] in SAID_IN_SHORT" :key="what">
        <dt>{{ what }}</dt>
        <dd>
          <span v-for="phrase in phrases" :key="phrase">“{{ phrase }}”</span>
        </dd>
      </template>
    </dl>
    <RouterLink to="/help/speaking" @click="emit('close')">All of it, with examples</RouterLink>
  </section>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: minmax(110px, auto) 1fr;
  gap: 4px 16px;
  margin: 0 0 6px;
}
dt {
  font-weight: 600;
}
dd {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  margin: 0;
}
a {
  color: var(--chalk);
}
</style>
