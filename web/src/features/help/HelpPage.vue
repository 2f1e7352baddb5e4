<script setup lang="ts">
/** One page of the help. */
import { computed, defineAsyncComponent } from 'vue';
import SizeText from '../../ui/SizeText.vue';
import { ROOMS } from '../../parts/head/rooms.ts';
import type { HelpPage } from './help-pages.ts';
import TryEntry from './TryEntry.vue';

// It has as many examples as all the rest.
const SpokenHelp = defineAsyncComponent(() => import('./SpokenHelp.vue'));
const props = defineProps<{ page: HelpPage }>();
const room = computed(() => ROOMS.find(({ path }) => path === props.page.room));
</script>

<template>
  <article class="page" :aria-label="page.title">
    <h1>{{ page.title }}</h1>
    <template v-for="(section, at) in page.sections" :key="at">
      <h2 v-if="section.title">{{ section.title }}</h2>
      <p v-if="section.text">{{ section.text }}</p>
      <ol v-if="section.steps" class="steps">
        <li v-for="step in section.steps" :key="step">{{ step }}</li>
      </ol>
      <ul v-if="section.forms" class="forms" :class="{ plain: !section.forms[0]?.readBack }">
        <li v-for="form in section.forms" :key="form.entry">
          <TryEntry :entry="form.entry" />
          <span class="what">
            <SizeText v-if="form.readBack" class="understood" :text="form.readBack" />
            <small v-if="form.about">{{ form.about }}</small>
          </span>
          <SizeText class="reads" :text="form.reads" />
        </li>
      </ul>
      <dl v-if="section.rows">
        <div v-for="[what, says] in section.rows" :key="what">
          <dt>
            <kbd v-if="section.isTyped">{{ what }}</kbd>
            <template v-else>{{ what }}</template>
          </dt>
          <dd>
            <kbd v-if="section.isTyped && page.id === 'bare-numbers'">{{ says }}</kbd>
            <template v-else>{{ says }}</template>
          </dd>
        </div>
      </dl>
      <SpokenHelp v-if="section.isSpoken" />
    </template>
    <p v-if="room">
      <RouterLink class="back-link" :to="room.path">Go to: {{ room.word }}</RouterLink>
    </p>
  </article>
</template>

<style scoped src="./help.css"></style>
<style scoped>
h1 {
  margin: 0 0 8px;
  font-size: 26px;
  font-weight: 600;
}
h2 {
  margin: 22px 0 4px;
  font-size: 19px;
}
.steps {
  max-width: 68ch;
  margin: 8px 0;
  padding-left: 24px;
}
.steps li {
  padding: 4px 0;
}
.forms {
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
.forms li {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 4fr) minmax(0, 3fr);
  align-items: center;
  gap: 4px 14px;
  padding: 6px 0;
  border-bottom: 1px solid var(--groove);
}
.plain li {
  grid-template-columns: minmax(0, 5fr) minmax(0, 7fr);
}
.plain .what:not(:has(*)) {
  display: none;
}
.understood {
  margin-right: 8px;
}
.what small {
  display: inline;
}
.back-link {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  color: var(--chalk);
  font-weight: 500;
}
.reads {
  font: 600 18px/1.2 var(--figures);
}
dl {
  margin: 0;
}
dl div {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
  gap: 12px;
  padding: 8px 0;
  border-bottom: 1px solid var(--groove);
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
}
@media (max-width: 560px) {
  .forms li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .what {
    grid-row: 2;
    grid-column: 1 / -1;
  }
  .what:not(:has(*)) {
    display: none;
  }
}
</style>
