<script setup lang="ts">
/** A plain field with its name above it. */
import { useId } from 'vue';

defineProps<{
  label: string;
  type?: 'text' | 'email' | 'password';
  autocomplete?: string;
  minlength?: number;
}>();
const text = defineModel<string>({ required: true });
const inputId = useId();
</script>

<template>
  <div class="field">
    <label :for="inputId">{{ label }}</label>
    <input
      :id="inputId"
      v-model="text"
      :type="type ?? 'text'"
      :autocomplete="autocomplete ?? 'off'"
      :minlength
      required
      maxlength="200"
      autocapitalize="off"
      spellcheck="false"
    />
  </div>
</template>

<style scoped src="./field.css" />
