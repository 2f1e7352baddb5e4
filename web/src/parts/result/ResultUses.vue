<script setup lang="ts">
/** What can be done with the result of any room in one touch: on the slate, on the story stick, copied. */
import { useClipboard } from '@vueuse/core';
import { ArrowLeftToLine, Bookmark, Copy } from 'lucide-vue-next';
import { nameFromLabel } from '@sprell/core';
import { say } from '../../ui/say.ts';
import { useJob } from '../../live/use-jobs.ts';

const props = defineProps<{
  /** What it is called: the label of its line, the name of its mark. */
  name: string;
  /** The entry that comes to it, made when it is wanted; undefined where there is none now. */
  entry: () => string | undefined;
  /** As `entry`, for a mark: without a reading of its own. */
  mark?: () => string | undefined;
  /** What is copied. */
  plain: string | undefined;
}>();

const job = useJob();
const clipboard = useClipboard({ legacy: true });

function toSlate(): void {
  const entry = props.entry();
  if (entry === undefined) return;
  const number = job.lines.land(`${props.name.toLowerCase()}: ${entry}`);
  if (number !== undefined) void say(`${props.name} is on the slate as #${number}`);
}
function toStick(): void {
  const entry = (props.mark ?? props.entry)();
  const names = job.marks.list.map(({ name }) => name);
  const name = nameFromLabel(props.name.toLowerCase(), names);
  if (entry === undefined || name === undefined) return;
  if (job.lines.land(`${name} = ${entry}`) !== undefined) void say(`Stored as ${name}`);
}
async function copy(): Promise<void> {
  if (props.plain === undefined) return;
  await clipboard.copy(props.plain);
  void say(`Copied ${props.plain}`);
}
</script>

<template>
  <span class="uses" role="group" :aria-label="name">
    <button type="button" :title="`Put ${name} on the slate`" data-test="to-slate" @click.stop="toSlate">
      <ArrowLeftToLine :size="18" aria-hidden="true" /><span class="sr-only">Put {{ name }} on the slate</span>
    </button>
    <button type="button" :title="`Store ${name} on the story stick`" data-test="to-stick" @click.stop="toStick">
      <Bookmark :size="18" aria-hidden="true" /><span class="sr-only">Store {{ name }} on the story stick</span>
    </button>
    <button type="button" :title="`Copy ${name}`" data-test="copy-result" @click.stop="copy">
      <Copy :size="18" aria-hidden="true" /><span class="sr-only">Copy {{ name }}</span>
    </button>
  </span>
</template>

<style scoped>
.uses {
  display: flex;
  flex: none;
}
button {
  position: relative;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  width: 44px;
  height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  cursor: pointer;
}
button:hover {
  color: var(--chalk);
}
</style>
