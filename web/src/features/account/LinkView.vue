<script setup lang="ts">
/** Where a link leads that somebody was sent: into a job, or to a new password. Nothing happens before a touch. */
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import PlainButton from '../../ui/PlainButton.vue';
import { useJobStore } from '../job/job.store.ts';
import { useAccount } from './account.store.ts';
import PasswordForm from './PasswordForm.vue';

const props = defineProps<{ purpose: 'join' | 'new-password' }>();
const accounts = useAccount();
const store = useJobStore();
const router = useRouter();
/** Behind the #, which no server on the way is sent. */
const token = ref(location.hash.slice(1));

async function join(): Promise<void> {
  const joined = await accounts.ask((server) => server.accept(token.value));
  if (joined === undefined) return;
  await store.start();
  await store.open(joined.jobId);
  await router.push('/');
}
async function set(values: { new: string }): Promise<void> {
  if (await accounts.enterBy((server) => server.reset(token.value, values.new))) await router.push('/account');
}
</script>

<template>
  <main class="link">
    <h1>Sprell</h1>
    <template v-if="props.purpose === 'join'">
      <p>You were invited to a job. Opening it puts it beside the jobs of this device.</p>
      <PlainButton leading :disabled="accounts.isBusy" data-test="join" @click="join">Open the job</PlainButton>
    </template>
    <PasswordForm
      v-else
      title="A new password"
      about="Every device that is signed in has to sign in again."
      :asks="['new']"
      action="Set it"
      :busy="accounts.isBusy"
      @send="set"
    />
    <p v-if="accounts.problem" class="problem" role="alert">{{ accounts.problem }}</p>
    <RouterLink to="/">To the bench</RouterLink>
  </main>
</template>

<style scoped>
.link {
  display: flex;
  flex-direction: column;
  gap: 16px;
  max-width: 420px;
  margin: 0 auto;
  padding: 24px 16px;
}
h1,
p {
  margin: 0;
}
.link a {
  color: var(--chalk);
  font-weight: 600;
}
.problem {
  padding: 8px 12px;
  background: var(--pencil-wash);
}
</style>
