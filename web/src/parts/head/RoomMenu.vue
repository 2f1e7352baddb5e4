<script setup lang="ts">
/** The rooms one under the other, each with what it is for. */
import type { Component } from 'vue';
import {
  Blocks,
  BookOpen,
  Calculator,
  Folders,
  ListChecks,
  Mic,
  PencilRuler,
  Printer,
  Ruler,
  RulerDimensionLine,
  Settings2,
  Table2,
  TriangleRight,
  Users,
} from 'lucide-vue-next';
import { useRoute, useRouter, type LocationQueryRaw } from 'vue-router';
import { useMeter } from '../../live/meter.store.ts';
import { useSpokenPanel } from '../../live/spoken.store.ts';
import HeadMenu from './HeadMenu.vue';
import { isIn, ROOMS, type Room } from './rooms.ts';

/** In the menu alone: seldom wanted, and one touch away by the words that say where changes are kept. */
const PEOPLE: Room = {
  path: '/account',
  word: 'Devices and people',
  about: 'Your other devices, and who sees this job',
};

/** The slate leads there as well. */
const SHEET: Room = {
  path: '/paper',
  word: 'Job sheet',
  about: 'The job on paper, to print or save',
};

/** Here alone: the first screen has the words of the rooms, and no picture of them. */
const ICONS: Readonly<Record<string, Component>> = {
  '/': Calculator,
  '/setting-out': TriangleRight,
  '/stick': Ruler,
  '/scales': PencilRuler,
  '/quantities': ListChecks,
  '/jigs': Blocks,
  '/tables': Table2,
  '/jobs': Folders,
  '/help': BookOpen,
  '/paper': Printer,
  '/account': Users,
};
const props = defineProps<{ anchor: HTMLElement; query: LocationQueryRaw }>();
const emit = defineEmits<{ settings: [] }>();
const router = useRouter();
const route = useRoute();

const spoken = useSpokenPanel();
const meter = useMeter();
const [SETTINGS, SPEAK, MEASURED] = ['settings', 'speak', 'measured'];
function go(path: string): void {
  if (path === SETTINGS) emit('settings');
  else if (path === SPEAK) spoken.open = true;
  else if (path === MEASURED) meter.open = true;
  else void router.push({ path, query: props.query });
}
</script>

<template>
  <HeadMenu :anchor label="Rooms" @choose="go">
    <el-dropdown-item
      v-for="{ path, word, about } in [...ROOMS, SHEET, PEOPLE]"
      :key="path"
      :command="path"
      :divided="path === '/jobs'"
      :aria-current="isIn(path, route.path)"
      :data-room="path"
    >
      <component :is="ICONS[path]" :size="20" aria-hidden="true" />
      <span class="said"
        ><b>{{ word }}</b
        ><small>{{ about }}</small></span
      >
    </el-dropdown-item>
    <el-dropdown-item :command="SPEAK" divided data-room="speak">
      <Mic :size="20" aria-hidden="true" />
      <span class="said"><b>Speak</b><small>Say sizes, hear answers</small></span>
    </el-dropdown-item>
    <el-dropdown-item :command="MEASURED" data-room="measured">
      <RulerDimensionLine :size="20" aria-hidden="true" />
      <span class="said"><b>Measured</b><small>What your distance meter sent</small></span>
    </el-dropdown-item>
    <el-dropdown-item :command="SETTINGS" data-room="settings">
      <Settings2 :size="20" aria-hidden="true" />
      <span class="said"><b>Settings</b><small>Looks, text size, keys</small></span>
    </el-dropdown-item>
  </HeadMenu>
</template>

<style scoped>
.said {
  display: flex;
  flex-direction: column;
  margin-left: 10px;
}
b {
  font-weight: 600;
}
small {
  color: var(--ink-soft);
  font-size: 14px;
}
</style>
