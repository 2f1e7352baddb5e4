<script setup lang="ts">
/** What the physical keyboard does on the bench. */
import { SHORTCUTS } from '../../parts/keys/shortcuts.ts';

const emit = defineEmits<{ close: [] }>();
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
      <div v-for="{ keys, about } in SHORTCUTS" :key="keys">
        <dt>{{ keys }}</dt>
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
