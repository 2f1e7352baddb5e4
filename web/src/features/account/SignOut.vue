<script setup lang="ts">
/** The way off this device, with a word on what would be lost. */
import { ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import PlainButton from '../../ui/PlainButton.vue';
import QuestionDialog from '../../ui/QuestionDialog.vue';
import { useJobs } from '../../live/use-jobs.ts';
import { useAccount } from './account.store.ts';

const accounts = useAccount();
const jobs = useJobs();
const router = useRouter();

const leaving = ref<{ readonly everywhere: boolean; readonly unsent: number }>();
async function askToLeave(everywhere: boolean): Promise<void> {
  leaving.value = { everywhere, unsent: await accounts.unsent() };
}
// While the question is shown, what waits may be sent.
watch(
  () => jobs.keepState,
  async () => {
    const unsent = leaving.value && (await accounts.unsent());
    if (leaving.value && unsent !== undefined) leaving.value = { ...leaving.value, unsent };
  },
);
async function leave(): Promise<void> {
  const { everywhere } = leaving.value ?? { everywhere: false };
  leaving.value = undefined;
  // From the beginning: nothing of what was on this page is anybody's now.
  if (await accounts.leave(everywhere)) location.assign(router.resolve('/').href);
}
</script>

<template>
  <div class="actions">
    <PlainButton data-test="sign-out" @click="askToLeave(false)">Sign out</PlainButton>
    <PlainButton data-test="sign-out-everywhere" @click="askToLeave(true)">Sign out everywhere</PlainButton>
  </div>
  <QuestionDialog v-if="leaving" title="Sign out?" @leave="leaving = undefined">
    <p>Signing out takes the jobs off this device; they stay on the server.</p>
    <!-- A word in either case, and the button whose face changes last: neither is moved under a finger by what is sent. -->
    <p class="lost" data-test="would-be-lost">
      <template v-if="leaving.unsent > 0"
        >{{ leaving.unsent }} {{ leaving.unsent === 1 ? 'change is' : 'changes are' }} not on the server yet, and would
        be lost.</template
      >
      <template v-else>Everything is on the server; nothing would be lost.</template>
    </p>
    <template #answers>
      <PlainButton @click="leaving = undefined">Cancel</PlainButton>
      <PlainButton data-test="leave-now" @click="leave">{{
        ['Sign out', 'Sign out and lose it'][leaving.unsent] ?? 'Sign out and lose them'
      }}</PlainButton>
    </template>
  </QuestionDialog>
</template>

<style scoped>
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.lost {
  min-height: 2lh;
}
</style>
