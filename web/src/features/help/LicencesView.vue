<script setup lang="ts">
/** What others wrote that is part of this: fonts and libraries, each with the terms it is used on. Made by the build. */
import AppHead from '../../parts/head/AppHead.vue';
import { ChevronDown } from 'lucide-vue-next';
import { onMounted, ref } from 'vue';

interface Licence {
  readonly name: string;
  readonly version: string;
  readonly identifier: string | null;
  readonly text: string | null;
}
const licences = ref<readonly Licence[]>([]);
const problem = ref<string>();
onMounted(async () => {
  try {
    const answer = await fetch('/licences.json');
    licences.value = (await answer.json()) as Licence[];
  } catch {
    problem.value = 'The list is not on this device yet, and the server cannot be reached.';
  }
});
</script>

<template>
  <div class="screen">
    <AppHead title="Help" />
    <main class="help">
      <header>
        <h2 class="title">Fonts and libraries</h2>
        <RouterLink class="back" to="/help">Back to the help</RouterLink>
      </header>
      <p>Sprell is built on what others wrote and gave away. Each is used on the terms that stand beneath its name.</p>
      <p v-if="problem" role="alert">{{ problem }}</p>
      <ul>
        <li v-for="{ name, version, identifier, text } in licences" :key="name">
          <details>
            <summary>
              <b>{{ name }}</b> {{ version }} <span>{{ identifier ?? 'its own terms' }}</span><ChevronDown
                :size="18"
                aria-hidden="true"
              />
            </summary>
            <pre>{{ text ?? 'The package brings no text of its own; the terms are those of the name beside it.' }}</pre>
          </details>
        </li>
      </ul>
    </main>
  </div>
</template>

<style scoped src="./help.css"></style>
<style scoped>
ul {
  margin: 16px 0;
  padding: 0;
  list-style: none;
}
li {
  border-bottom: 1px solid var(--groove);
}
summary {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  min-height: var(--touch);
  cursor: pointer;
}
summary span {
  margin-left: auto;
  color: var(--ink-soft);
}
pre {
  margin: 0 0 16px;
  padding: 12px;
  overflow-x: auto;
  background: var(--board);
  font-size: 14px;
  white-space: pre-wrap;
}
</style>
