<script setup lang="ts">
/** Where the work is kept: whose it is, on which devices, and with whom. */
import { computed, onMounted, ref, watch } from 'vue';
import PlainButton from '../../ui/PlainButton.vue';
import PlainCard from '../../ui/PlainCard.vue';
import AppHead from '../../parts/head/AppHead.vue';
import { useJobs } from '../../live/use-jobs.ts';
import { useAccount } from './account.store.ts';
import JobMembers from './JobMembers.vue';
import OtherDevice from './OtherDevice.vue';
import PasswordForm from './PasswordForm.vue';
import SignOut from './SignOut.vue';

const accounts = useAccount();
const jobs = useJobs();
onMounted(async () => {
  if (jobs.open.head === undefined) await jobs.start();
  await accounts.load();
});

// What went wrong for want of a signal is no longer so.
watch(
  () => jobs.keepState.kind,
  (kind) => {
    if (kind === 'kept' && accounts.problem !== undefined) void accounts.load();
  },
);

const email = computed(() => accounts.account?.email ?? undefined);
const kept = computed(() => {
  const state = jobs.keepState;
  if (state.kind === 'here' && state.reason !== undefined)
    return `${state.changes} ${state.changes === 1 ? 'change waits' : 'changes wait'} on this device. ${state.reason}`;
  if (state.kind === 'page')
    return `${state.changes} ${state.changes === 1 ? 'change is' : 'changes are'} on this page only. ${state.reason}`;
  return state.kind === 'kept' ? 'Everything is on the server.' : 'Everything is on this device, and on its way.';
});
const said = ref<string>();

async function claim(values: { email: string; new: string }): Promise<void> {
  const outcome = await accounts.claim(values.email, values.new);
  said.value =
    outcome === 'kept'
      ? 'The account has an address now; sign in with it anywhere.'
      : outcome === 'written'
        ? `A letter is on its way to ${values.email}.`
        : undefined;
}
async function signIn(values: { email: string; current: string }): Promise<void> {
  const isDone = await accounts.enterBy((server) => server.enter(values.email, values.current));
  said.value = isDone ? 'Signed in; what was made here went along.' : undefined;
}
async function forgot(address: string): Promise<void> {
  if (address === '') said.value = 'Write the address first.';
  else if (await accounts.ask((server) => server.forgot(address)))
    said.value = 'If there is an account with this address, a link is on its way to it.';
}
async function changePassword(values: { current: string; new: string }): Promise<void> {
  const isDone = await accounts.ask((server) => server.newPassword(values.current, values.new));
  said.value = isDone ? 'The password is changed; every other device has to sign in again.' : undefined;
}
</script>

<template>
  <main class="view">
    <AppHead title="Devices and people" />
    <div class="body">
      <PlainCard title="This device">
        <p data-test="whose">
          {{ email === undefined ? 'The jobs here belong to this device, as a guest.' : `Signed in as ${email}.` }}
        </p>
        <p v-if="accounts.waitsFor" class="waits" data-test="waits-for">
          A letter went to {{ accounts.waitsFor }}. Open the link in it within a day, best on this device; until then
          nothing changes. If none comes, look at the address and send it again below.
        </p>
        <SignOut v-if="email !== undefined" />
        <p data-test="kept">{{ kept }}</p>
      </PlainCard>
      <JobMembers />
      <OtherDevice />
      <PasswordForm
        v-if="email === undefined"
        title="Save with e-mail"
        about="With an address and a password you get at your jobs from anywhere, also when this device is lost."
        :asks="['email', 'new']"
        action="Save"
        :busy="accounts.isBusy"
        data-test="claim"
        @send="claim"
      />
      <PasswordForm
        v-if="email === undefined"
        title="Sign in"
        about="To an account that you have already. What was made on this device goes into it."
        :asks="['email', 'current']"
        action="Sign in"
        :busy="accounts.isBusy"
        data-test="sign-in"
        @send="signIn"
      >
        <template #default="{ email: address }">
          <PlainButton data-test="forgot" @click="forgot(address)">Forgot the password</PlainButton>
        </template>
      </PasswordForm>
      <PasswordForm
        v-else
        title="Another password"
        about="Every other device that is signed in has to sign in again."
        :asks="['current', 'new']"
        action="Change"
        :busy="accounts.isBusy"
        data-test="change-password"
        @send="changePassword"
      />
    </div>
    <!-- At the foot, over the page: it comes and goes without moving a button. -->
    <div class="messages">
      <p v-if="accounts.problem" class="problem" role="alert">{{ accounts.problem }}</p>
      <p v-if="said" class="said" role="status" data-test="said">{{ said }}</p>
    </div>
  </main>
</template>

<style scoped src="../../styles/page.css"></style>
<style scoped>
.body {
  columns: 3 340px;
  column-gap: 16px;
  padding: 16px 16px 64px;
}
.body > * {
  break-inside: avoid;
  margin-bottom: 16px;
}
.waits {
  overflow-wrap: anywhere;
  padding: 8px 12px;
  background: var(--chalk-wash);
}
.messages {
  position: fixed;
  inset: auto 0 0;
}
.problem,
.said {
  margin: 0;
  padding: 8px 16px;
}
.problem {
  background: var(--pencil-wash);
}
.said {
  background: var(--chalk-wash);
}
</style>
