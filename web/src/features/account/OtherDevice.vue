<script setup lang="ts">
/** The same jobs on another device, by a code that is read off here and typed there. */
import { ref } from 'vue';
import PlainButton from '../../ui/PlainButton.vue';
import PlainCard from '../../ui/PlainCard.vue';
import TextField from '../../ui/TextField.vue';
import { useAccount } from './account.store.ts';

const accounts = useAccount();
const code = ref<string>();
const typed = ref('');
const isIn = ref(false);

async function make(): Promise<void> {
  code.value = (await accounts.ask((server) => server.makeCode()))?.code;
}
async function use(): Promise<void> {
  isIn.value = await accounts.enterBy((server) => server.enterByCode(typed.value));
  if (isIn.value) typed.value = '';
}
</script>

<template>
  <PlainCard class="device" title="Another device">
    <p>
      A code made here brings another phone or computer to the same jobs. It is good once, for a quarter of an hour.
    </p>
    <p v-if="code" class="code" data-test="device-code">{{ code }}</p>
    <PlainButton v-else data-test="make-code" :disabled="accounts.isBusy" @click="make">Make a code</PlainButton>
    <form @submit.prevent="use">
      <TextField v-model="typed" label="A code from another device" required data-field="code" />
      <PlainButton type="submit" :disabled="accounts.isBusy" data-test="use-code">Use it here</PlainButton>
    </form>
    <p v-if="isIn" role="status">This device is with the other now; what was made here went along.</p>
  </PlainCard>
</template>

<style scoped>
form {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.code {
  font-family: var(--figures);
  font-size: 40px;
  font-weight: 600;
  letter-spacing: 0.06em;
}
</style>
