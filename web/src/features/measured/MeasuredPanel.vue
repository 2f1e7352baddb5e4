<script setup lang="ts">
/** The last ten sizes that a measuring tool sent: each as a line, as a mark or in the entry, or all of them as lines. */
import { computed, ref } from 'vue';
import { Ruler } from 'lucide-vue-next';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import { timeWords } from '../../ui/time-words.ts';
import { useMeter, type Measured } from '../../live/meter.store.ts';
import { readBackOf } from '../../job/index.ts';
import { useJob } from '../../live/use-jobs.ts';
import { useMeasured } from './use-measured.ts';

const meter = useMeter();
const job = useJob();
const measured = useMeasured();
const list = computed(() => meter.held.list);
const now = Date.now();
/** With its fractions as fractions. */
const said = ({ size }: Measured) => readBackOf(size, job.style);

/** The one that is to be a mark, by when it was measured, and its name. */
const naming = ref<number>();
const name = ref('');
const refused = ref(false);
/** What was done last, said beside the list. */
const done = ref('');
function ask(one: Measured): void {
  naming.value = naming.value === one.at ? undefined : one.at;
  name.value = measured.freeName();
  refused.value = false;
}
function store(one: Measured): void {
  const kept = measured.asMark(one, name.value);
  refused.value = kept === undefined;
  if (kept === undefined) return;
  naming.value = undefined;
  done.value = `${said(one)} is ${kept} now.`;
}
function land(one: Measured): void {
  measured.toSlate(one);
  done.value = `${said(one)} is on the slate.`;
}
function landAll(): void {
  measured.allToSlate(list.value);
  done.value = `${list.value.length} lines are on the slate.`;
}
async function use(one: Measured): Promise<void> {
  meter.open = false;
  await measured.intoEntry(one);
}
function simulate(): void {
  meter.open = false;
  meter.isSimulated = true;
}
</script>

<template>
  <el-drawer :model-value="true" title="Measured" size="min(440px, 100vw)" append-to-body @close="meter.open = false">
    <p class="about">
      A distance meter that is coupled as a keyboard types its size where the cursor stands, in any room. The last ten
      are held here, on this device.
    </p>
    <p v-if="list.length === 0" class="none" data-test="none-measured">Nothing was measured yet.</p>
    <ul class="list">
      <li v-for="one in list" :key="one.at" :data-measured="one.size">
        <div class="row">
          <SizeText class="size" :text="said(one)" />
          <small>{{ timeWords(one.at, now) }}</small>
        </div>
        <div class="row">
          <template v-if="measured.canWrite()">
            <PlainButton data-test="measured-land" @click="land(one)">To the slate</PlainButton>
            <PlainButton data-test="measured-mark" :aria-expanded="naming === one.at" @click="ask(one)"
              >Store</PlainButton
            >
          </template>
          <PlainButton data-test="measured-use" @click="use(one)">Use</PlainButton>
        </div>
        <form v-if="naming === one.at" class="naming" @submit.prevent="store(one)">
          <el-input
            v-model="name"
            aria-label="Name of the mark"
            placeholder="name"
            autocapitalize="off"
            autocomplete="off"
            maxlength="60"
            data-test="measured-name"
          />
          <PlainButton leading type="submit" data-test="measured-store">Store</PlainButton>
          <p v-if="refused" role="alert">A name begins with a letter and has letters and figures: rail, post2.</p>
        </form>
      </li>
    </ul>
    <p class="done" role="status"><SizeText :text="done" /></p>
    <div class="acts">
      <PlainButton v-if="list.length > 1 && measured.canWrite()" data-test="measured-all" @click="landAll"
        >All to the slate</PlainButton
      >
      <PlainButton v-if="list.length > 0" data-test="clear-measured" @click="meter.clear()">Delete all</PlainButton>
      <PlainButton data-test="simulate-meter" @click="simulate"
        ><Ruler :size="18" aria-hidden="true" />Try it without a meter</PlainButton
      >
    </div>
  </el-drawer>
</template>

<style scoped>
.about {
  margin: 0 0 10px;
  color: var(--ink-soft);
}
.list {
  margin: 0;
  padding: 0;
  list-style: none;
}
.list li {
  padding: 4px 0;
  border-bottom: 1px solid var(--groove);
}
.row,
.naming,
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}
.size {
  flex: 1;
  min-width: 110px;
  font-family: var(--figures);
  font-size: 22px;
  font-weight: 600;
}
small {
  color: var(--ink-soft);
}
.naming {
  padding: 6px 0;
}
.naming .el-input {
  flex: 1;
  min-width: 120px;
}
.naming p {
  flex: 1 1 100%;
  margin: 0;
}
.done {
  min-height: 1.4em;
  margin: 8px 0;
}
</style>
