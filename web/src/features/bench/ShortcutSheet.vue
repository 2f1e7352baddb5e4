<script setup lang="ts">
/** What the physical keyboard does on the bench. */
const emit = defineEmits<{ close: [] }>();
const SHORTCUTS: readonly (readonly [string, string])[] = [
  ['Enter', 'puts the entry on the slate'],
  ['↑ ↓', 'brings earlier entries back, to be changed and run again'],
  ['Tab', 'takes the first suggestion'],
  ['+ − × ÷ ^', 'in an empty entry: goes on from the last result'],
  ['Alt A', 'does the last step again on its result'],
  ['Ctrl Z', 'takes a change of the entry back; with an empty entry, the last change of the slate'],
  ['Esc', 'closes the suggestions; leaves a line that is being written anew'],
  ['← →', 'on the drawn inch: the next division; Enter puts it in'],
  ['?', 'this sheet, while nothing is being written'],
];
</script>

<template>
  <el-dialog
    :model-value="true"
    title="Keys of the bench"
    width="min(560px, 94vw)"
    append-to-body
    @closed="emit('close')"
    @close="emit('close')"
  >
    <dl class="sheet">
      <div v-for="[key, about] in SHORTCUTS" :key="key">
        <dt>{{ key }}</dt>
        <dd>{{ about }}</dd>
      </div>
    </dl>
  </el-dialog>
</template>

<style scoped>
.sheet {
  margin: 0;
}
.sheet div {
  display: grid;
  grid-template-columns: 8em 1fr;
  gap: 12px;
  padding: 8px 0;
  border-bottom: 1px solid var(--groove);
}
dt {
  font-family: var(--figures);
  font-weight: 600;
}
dd {
  margin: 0;
}
</style>
