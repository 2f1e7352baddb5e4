<script setup lang="ts">
/** The help: by what somebody wants to do, by what people call things, and everything to look up. It is there with no signal. */
import { computed, nextTick, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { Search } from 'lucide-vue-next';
import golden from '../../../../core/golden/issues.tsv?raw';
import { isIn, ROOMS } from '../../parts/head/rooms.ts';
import AppHead from '../../parts/head/AppHead.vue';
import FirstStepsLink from '../../parts/head/FirstStepsLink.vue';
import { helpGroups } from './help-pages.ts';
import { helpSearch } from './help-search.ts';
import HelpPage from './HelpPage.vue';

const props = defineProps<{ page: string }>();
const router = useRouter();
const groups = helpGroups(golden);
const search = helpSearch(groups);
const pages = groups.flatMap((group) => group.pages);
const shown = computed(() => pages.find(({ id }) => id === props.page));

/** The room that one came from: what is done there stands first. */
const { back } = window.history.state as { readonly back?: string | null };
const cameFrom = ROOMS.find(
  ({ path }) => path !== '/help' && typeof back === 'string' && isIn(path, back.split('?')[0] ?? ''),
);
/** Most is done on the bench: that is the list itself. */
const here = cameFrom && cameFrom.path !== '/' ? pages.filter(({ room }) => room === cameFrom.path) : [];

const sought = ref('');
const found = computed(() => (sought.value.trim() === '' ? undefined : search(sought.value)));
const body = shallowRef<HTMLElement>();
watch(
  () => props.page,
  async () => {
    await nextTick();
    body.value?.scrollTo({ top: 0 });
    window.scrollTo({ top: 0 });
  },
);
function showAll(): void {
  sought.value = '';
  void router.push('/help');
}
</script>

<template>
  <div class="screen">
    <AppHead title="Help" />
    <main class="help" :class="{ reading: shown !== undefined }">
      <nav class="contents" aria-label="Contents of the help">
        <label class="search">
          <Search :size="20" aria-hidden="true" />
          <span class="sr-only">Look for something in the help</span>
          <el-input
            v-model="sought"
            size="large"
            clearable
            placeholder="What do you want to do?"
            data-test="find-help"
          />
        </label>
        <template v-if="found">
          <h2 role="status">{{ found.length === 0 ? 'Nothing was found; try another word.' : 'Found' }}</h2>
          <ul data-test="found-help">
            <li v-for="one in found" :key="one.id">
              <RouterLink :to="`/help/${one.id}`" :aria-current="one.id === page || undefined"
                >{{ one.title }} <small>{{ one.line }}</small></RouterLink
              >
            </li>
          </ul>
        </template>
        <template v-else>
          <p class="begin"><FirstStepsLink /></p>
          <template v-if="here.length > 0 && cameFrom">
            <h2>In the room you came from: {{ cameFrom.word }}</h2>
            <ul>
              <li v-for="one in here" :key="one.id">
                <RouterLink :to="`/help/${one.id}`">{{ one.title }}</RouterLink>
              </li>
            </ul>
          </template>
          <template v-for="group in groups" :key="group.title">
            <h2>{{ group.title }}</h2>
            <ul>
              <li v-for="one in group.pages" :key="one.id">
                <RouterLink :to="`/help/${one.id}`" :aria-current="one.id === page || undefined" :data-page="one.id">{{
                  one.title
                }}</RouterLink>
              </li>
            </ul>
          </template>
          <p>
            <RouterLink class="back" to="/licences"
              >Fonts and libraries that Sprell is built on, with their terms</RouterLink
            >
          </p>
        </template>
      </nav>
      <div ref="body" class="body">
        <button v-if="shown" type="button" class="all" data-test="all-help" @click="showAll">All of the help</button>
        <HelpPage v-if="shown" :key="shown.id" :page="shown" />
        <div v-else class="first">
          <h1>Write sizes as you would on a board</h1>
          <p>
            Capitals and spaces never matter. Beside each entry stands how it was read, with every grouping shown, and
            what it comes to on your tape. Choose on the side what you want to do, or look for it by your own word.
          </p>
          <p>A touch on an example puts it into the entry of the bench.</p>
        </div>
      </div>
    </main>
  </div>
</template>

<style scoped>
.help {
  display: grid;
  grid-template-columns: 330px minmax(0, 1fr);
  max-width: 1240px;
  margin: 0 auto;
}
.contents {
  padding: 12px 12px 40px;
  border-right: 1px solid var(--groove);
}
.search {
  display: flex;
  align-items: center;
  gap: 8px;
}
.begin {
  margin: 12px 0 0;
}
h2 {
  margin: 18px 0 4px;
  color: var(--ink-soft);
  font-size: 16px;
  font-weight: 500;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
.contents li a {
  display: flex;
  flex-direction: column;
  justify-content: center;
  min-height: 44px;
  padding: 4px 10px;
  border-left: 3px solid transparent;
  border-bottom: 1px solid var(--groove);
  color: var(--ink);
  font-weight: 500;
  text-decoration: none;
}
.contents li a:hover {
  color: var(--chalk);
}
.contents li a[aria-current] {
  border-left-color: var(--chalk);
  background: var(--board);
}
.contents small {
  overflow: hidden;
  max-width: 100%;
  color: var(--ink-soft);
  font-weight: 400;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.back {
  color: var(--chalk);
}
.body {
  min-width: 0;
  padding: 16px 24px 48px;
}
.first {
  max-width: 60ch;
}
.first h1 {
  margin: 0;
  font-size: 26px;
  font-weight: 600;
}
.all {
  display: none;
}
@media (max-width: 820px) {
  .help {
    display: block;
  }
  .contents {
    border-right: 0;
  }
  .help.reading .contents {
    display: none;
  }
  .help:not(.reading) .body {
    display: none;
  }
  .body {
    padding: 4px 14px 40px;
  }
  .all {
    display: inline-flex;
    align-items: center;
    min-height: 48px;
    padding: 0;
    border: 0;
    background: none;
    color: var(--chalk);
    font: inherit;
    text-decoration: underline;
    cursor: pointer;
  }
}
</style>
