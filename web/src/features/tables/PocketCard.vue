<script setup lang="ts">
/** The table as cards for a pocket, several on a sheet. */
import { computed } from 'vue';
import { pocketCards, type TableText } from '@sprell/core/tables';
import ChoiceBar from '../../ui/ChoiceBar.vue';
import PrintDrawings from '../../ui/drawing/PrintDrawings.vue';
import { useSheet } from '../../live/use-sheet.ts';

const props = defineProps<{ table: TableText; title: string }>();
const emit = defineEmits<{ close: [] }>();
const { sheet, sheets } = useSheet();
const drawings = computed(() => pocketCards(props.table, props.title, sheet.value));
</script>

<template>
  <el-dialog :model-value="true" title="Pocket card" width="min(980px, 96vw)" top="4vh" @close="emit('close')">
    <div class="head">
      <span>Cut along the dashed lines.</span>
      <ChoiceBar v-model="sheet" label="Sheets of" :choices="sheets" test="sheet" />
    </div>
    <PrintDrawings class="paper" :drawings :title />
  </el-dialog>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  margin-bottom: 8px;
}
.paper {
  max-height: 66vh;
}
</style>
