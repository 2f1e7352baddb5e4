<script setup lang="ts">
/** An address and a password, or some of that, and one thing to do with it. */
import { reactive } from 'vue';
import PlainButton from '../../ui/PlainButton.vue';
import PlainCard from '../../ui/PlainCard.vue';
import TextField from '../../ui/TextField.vue';

defineProps<{
  title: string;
  about: string;
  /** What is asked for, in order. `new` is a password that is being made up. */
  asks: readonly ('email' | 'current' | 'new')[];
  action: string;
  busy: boolean;
}>();
const emit = defineEmits<{ send: [values: { email: string; current: string; new: string }] }>();
const values = reactive({ email: '', current: '', new: '' });
const FIELDS = {
  email: { label: 'E-mail address', type: 'email', autocomplete: 'username', minlength: undefined },
  current: { label: 'Password', type: 'password', autocomplete: 'current-password', minlength: undefined },
  new: { label: 'New password, 10 characters or more', type: 'password', autocomplete: 'new-password', minlength: 10 },
} as const;
function send(): void {
  emit('send', { ...values });
  values.current = '';
  values.new = '';
}
</script>

<template>
  <PlainCard :title>
    <p>{{ about }}</p>
    <form class="form" :aria-label="title" @submit.prevent="send">
      <TextField
        v-for="name in asks"
        :key="name"
        v-model="values[name]"
        :label="FIELDS[name].label"
        :type="FIELDS[name].type"
        :autocomplete="FIELDS[name].autocomplete"
        :minlength="FIELDS[name].minlength"
        required
        :data-field="name"
      />
      <div class="actions">
        <PlainButton leading type="submit" :disabled="busy">{{ action }}</PlainButton>
        <slot :email="values.email" />
      </div>
    </form>
  </PlainCard>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
