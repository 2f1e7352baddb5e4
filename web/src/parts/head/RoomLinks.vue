<script setup lang="ts">
/** The way round: the rooms by their names where there is width for it, else under one button that names this one. */
import { computed, defineAsyncComponent, ref } from 'vue';
import { ChevronDown } from 'lucide-vue-next';
import { useRoute } from 'vue-router';
import { isIn, ROOMS } from './rooms.ts';

// It comes when it is first asked for; from then on it opens by its button.
const RoomMenu = defineAsyncComponent(() => import('./RoomMenu.vue'));

defineProps<{ /** The room that this is. */ title: string }>();
const emit = defineEmits<{ settings: [] }>();
const route = useRoute();
/** In another tab the same job, too. */
const query = computed(() => (route.query['job'] === undefined ? {} : { job: route.query['job'] }));
const button = ref<HTMLButtonElement>();
const isWanted = ref(false);
</script>

<template>
  <nav class="ways" aria-label="Rooms">
    <RouterLink
      v-for="{ path, word, about } in ROOMS"
      :key="path"
      class="way"
      :class="{ now: isIn(path, route.path) }"
      :aria-current="isIn(path, route.path) ? 'page' : undefined"
      :to="{ path, query }"
      :title="about"
      :data-room="path"
      >{{ word }}</RouterLink
    >
  </nav>
  <div class="place">
    <button
      ref="button"
      type="button"
      class="here"
      aria-haspopup="menu"
      :aria-label="`${title}. Other rooms`"
      data-test="rooms"
      @pointerdown.prevent
      @click="isWanted = true"
    >
      <span>{{ title }}</span><ChevronDown class="sign" :size="16" aria-hidden="true" />
    </button>
    <RoomMenu v-if="isWanted && button" :anchor="button" :query @settings="emit('settings')" />
  </div>
</template>

<style scoped>
.ways {
  display: flex;
  flex: none;
  align-items: stretch;
  gap: 2px;
}
.way {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
  padding: 0 9px;
  border-bottom: 3px solid transparent;
  color: var(--ink);
  text-decoration: none;
  white-space: nowrap;
}
.way:hover {
  color: var(--chalk);
}
.way.now {
  border-bottom-color: var(--chalk);
  font-weight: 600;
}
.place {
  display: none;
}
/* The list lies over the page; what anchors it takes no room. */
.place > :deep(.el-dropdown) {
  display: none;
}
.here {
  display: flex;
  align-items: center;
  gap: 4px;
  min-width: var(--touch);
  min-height: var(--touch);
  padding: 0;
  border: 0;
  background: none;
  font-weight: 600;
  line-height: 1.15;
  text-align: left;
  cursor: pointer;
}
.sign {
  flex: none;
}
@media (max-width: 1179px) {
  .ways {
    display: none;
  }
  .place {
    display: block;
  }
}
@media (max-width: 760px) {
  .here {
    max-width: 94px;
    font-size: 15px;
  }
}
</style>
