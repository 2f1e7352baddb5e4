<script setup lang="ts">
/** A job in the list: its name opens it; what else can be done with it stands behind its dots. */
import { computed } from 'vue';
import { Ellipsis } from 'lucide-vue-next';
import type { ListedJob } from '../../job/index.ts';
import SizeText from '../../ui/SizeText.vue';
import { timeWords } from '../../ui/time-words.ts';

export type JobAct = 'edit' | 'duplicate' | 'archive' | 'unarchive' | 'delete' | 'restore' | 'file';

const props = defineProps<{
  job: ListedJob;
  isOpen: boolean;
  waiting: number;
  /** Where the words that were searched for stand in it. */
  found?: readonly string[] | undefined;
}>();
const emit = defineEmits<{ open: []; act: [act: JobAct] }>();

const isOwn = computed(() => props.job.role === 'own');
const says = computed(() => {
  const { lineCount = 0, people = 1, changedAt, role } = props.job;
  return [
    `${lineCount} ${lineCount === 1 ? 'line' : 'lines'}`,
    ...(people > 1 ? [`${people} people`] : []),
    ...(role === 'own' ? [] : [role === 'read' ? 'shared with you, to read' : 'shared with you']),
    ...(changedAt === undefined ? [] : [`changed ${timeWords(Date.parse(changedAt), Date.now())}`]),
  ].join(' · ');
});
const acts = computed<readonly (readonly [JobAct, string])[]>(() => {
  const { archived, deleted, role } = props.job;
  if (deleted) return [['restore', 'Restore']];
  return [
    ...(role === 'read' ? [] : [['edit', 'Rename and set up'] as const]),
    ['duplicate', 'Duplicate'],
    ['file', 'Save as a file'],
    ...(role === 'read'
      ? []
      : [archived ? (['unarchive', 'Back to the list'] as const) : (['archive', 'Archive'] as const)]),
    ...(isOwn.value ? [['delete', 'Delete'] as const] : []),
  ];
});
</script>

<template>
  <li class="job" :class="{ open: isOpen }" :data-job="job.id">
    <button
      type="button"
      class="name"
      :disabled="job.deleted"
      :aria-current="isOpen || undefined"
      @click="emit('open')"
    >
      <b>{{ job.title }}</b>
      <span v-for="tag in job.tags" :key="tag" class="tag">{{ tag }}</span>
      <small
        >{{ isOpen ? 'Open now · ' : '' }}{{ says
        }}<span v-if="waiting" class="waiting">
          · {{ waiting }} {{ waiting === 1 ? 'change' : 'changes' }} waiting</span
        ></small
      >
      <small v-for="line in found" :key="line" class="found"><SizeText :text="line" /></small>
    </button>
    <el-dropdown trigger="click" placement="bottom-end" @command="(act: JobAct) => emit('act', act)">
      <button type="button" class="dots" :aria-label="`More for ${job.title}`" data-test="job-dots">
        <Ellipsis :size="22" aria-hidden="true" />
      </button>
      <template #dropdown>
        <el-dropdown-menu>
          <el-dropdown-item v-for="[act, words] in acts" :key="act" :command="act" :data-act="act">{{
            words
          }}</el-dropdown-item>
        </el-dropdown-menu>
      </template>
    </el-dropdown>
  </li>
</template>

<style scoped>
.job {
  display: flex;
  align-items: stretch;
  border-bottom: 1px solid var(--groove);
}
.job.open {
  box-shadow: inset 4px 0 0 var(--chalk);
}
.name {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 8px;
  min-height: 60px;
  padding: 8px 12px 10px 16px;
  border: 0;
  background: none;
  color: var(--ink);
  text-align: left;
  cursor: pointer;
}
.name:hover:not(:disabled) {
  background: var(--raised);
}
.name:disabled {
  color: var(--ink-soft);
  cursor: default;
}
b {
  font-size: calc(18px * var(--text-size));
  font-weight: 600;
  overflow-wrap: anywhere;
}
.tag {
  padding: 0 8px;
  border: 1px solid var(--groove);
  border-radius: 10px;
  font-size: 14px;
  color: var(--ink-soft);
}
small {
  flex-basis: 100%;
  color: var(--ink-soft);
  font-size: calc(15px * var(--text-size));
}
.waiting {
  color: var(--pencil);
}
.found {
  color: var(--ink);
}
.dots {
  display: grid;
  place-items: center;
  width: 52px;
  height: 100%;
  border: 0;
  background: none;
  color: var(--ink-soft);
  cursor: pointer;
}
.dots:hover {
  background: var(--raised);
}
</style>
