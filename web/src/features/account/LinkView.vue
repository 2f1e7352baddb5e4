<script setup lang="ts">
/** Where a link leads that somebody was sent: into a job, to a new password or an address. Nothing happens before a touch. */
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import PlainButton from '../../ui/PlainButton.vue';
import { useJobs } from '../../live/use-jobs.ts';
import { useAccount } from './account.store.ts';
import PasswordForm from './PasswordForm.vue';

const props = defineProps<{ purpose: 'join' | 'new-password' | 'confirm' }>();
const accounts = useAccount();
const jobs = useJobs();
const router = useRouter();
/** Behind the #, which no server on the way is sent. */
const token = ref(location.hash.slice(1));

async function join(): Promise<void> {
  const joined = await accounts.ask((server) => server.accept(token.value));
  if (joined === undefined) return;
  await jobs.start();
  await jobs.openJob(joined.jobId);
  await router.push('/');
}
/** Opened on another device than it was asked for on: access to the mailbox alone is not enough. */
const isElsewhere = ref(false);
async function confirm(password?: string): Promise<void> {
  if (await accounts.enterBy((server) => server.confirm(token.value, password))) await router.push('/account');
  else isElsewhere.value ||= accounts.problemCode === 'password.needed';
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
    <template v-else-if="props.purpose === 'confirm' && !isElsewhere">
      <p>This keeps your jobs under the address that the letter went to.</p>
      <PlainButton leading :disabled="accounts.isBusy" data-test="confirm" @click="confirm()">Save my jobs</PlainButton>
    </template>
    <PasswordForm
      v-else-if="props.purpose === 'confirm'"
      title="Save your jobs with this e-mail"
      about="It was asked for on another device. The password that was chosen there shows that it was you."
      :asks="['current']"
      action="Save my jobs"
      :busy="accounts.isBusy"
      data-test="confirm-elsewhere"
      @send="({ current }) => confirm(current)"
    />
    <PasswordForm
      v-else
      title="A new password"
      about="Every device that is signed in has to sign in again."
      :asks="['new']"
      action="Set it"
      :busy="accounts.isBusy"
      @send="set"
    />
    <p v-if="accounts.problem && accounts.problemCode !== 'password.needed'" class="problem" role="alert">
      {{ accounts.problem }}
    </p>
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
