<script setup lang="ts">
/** A question to answer before something goes. It lies over the screen; Escape or a touch beside it changes nothing. */
defineProps<{ title: string }>();
const emit = defineEmits<{ leave: [] }>();
</script>

<template>
  <el-dialog
    :model-value="true"
    :title
    :show-close="false"
    width="min(480px, 94vw)"
    align-center
    append-to-body
    data-test="question"
    @close="emit('leave')"
  >
    <slot />
    <template #footer>
      <div class="answers"><slot name="answers" /></div>
    </template>
  </el-dialog>
</template>

<style scoped>
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
