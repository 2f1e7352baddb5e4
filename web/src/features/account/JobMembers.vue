<script setup lang="ts">
/** Who else may see the open job, and a link for others. */
import type { MemberWire } from '@sprell/contract';
import { computed, ref, watch } from 'vue';
import PlainButton from '../../ui/PlainButton.vue';
import PlainCard from '../../ui/PlainCard.vue';
import TextField from '../../ui/TextField.vue';
import { useJob } from '../../live/use-jobs.ts';
import { useAccount } from './account.store.ts';

const accounts = useAccount();
const open = useJob();
const job = computed(() => open.head);
const isOwn = computed(() => job.value?.role === 'own');
const members = ref<readonly MemberWire[]>([]);
const link = ref<string>();
const says = ref<string>();

async function load(): Promise<void> {
  const jobId = job.value?.id;
  members.value =
    jobId === undefined || !isOwn.value ? [] : ((await accounts.read((server) => server.members(jobId))) ?? []);
}
watch(
  () => job.value?.id,
  () => {
    link.value = undefined;
    says.value = undefined;
    void load();
  },
  { immediate: true },
);

async function invite(role: 'read' | 'edit'): Promise<void> {
  const jobId = job.value?.id;
  if (jobId === undefined) return;
  const made = await accounts.ask((server) => server.inviteTo(jobId, role));
  // Behind the #, so that it is in no log of any server on the way.
  link.value = made && `${location.origin}/join#${made.token}`;
  says.value = made && (role === 'read' ? 'to read, for a week' : 'to work on it, for a week');
}
async function withdraw(): Promise<void> {
  const jobId = job.value?.id;
  if (jobId === undefined) return;
  if (!(await accounts.ask((server) => server.withdraw(jobId)))) return;
  link.value = undefined;
  says.value = 'No link opens this job now. People who are in stay in.';
}
async function remove(accountId: string): Promise<void> {
  const jobId = job.value?.id;
  if (jobId === undefined) return;
  await accounts.ask((server) => server.remove(jobId, accountId));
  await load();
}
</script>

<template>
  <PlainCard v-if="job" :title="job.title" label="People at this job">
    <p v-if="!isOwn">
      {{ job.role === 'read' ? 'You were invited to read this job.' : 'You were invited to work on this job.' }}
    </p>
    <template v-else>
      <p>A link lets others see this job, or work on it, until you take it back.</p>
      <ul v-if="members.length > 0">
        <li v-for="member in members" :key="member.accountId">
          <span>{{ member.email ?? 'A guest' }}, {{ member.role === 'read' ? 'reads' : 'works on it' }}</span>
          <PlainButton data-test="take-back" @click="remove(member.accountId)">Remove</PlainButton>
        </li>
      </ul>
      <div class="actions">
        <PlainButton data-test="invite-read" :disabled="accounts.isBusy" @click="invite('read')"
          >Link to read</PlainButton
        >
        <PlainButton data-test="invite-edit" :disabled="accounts.isBusy" @click="invite('edit')"
          >Link to work on it</PlainButton
        >
        <PlainButton data-test="withdraw" :disabled="accounts.isBusy" @click="withdraw">Cancel all links</PlainButton>
      </div>
      <template v-if="link">
        <TextField
          :model-value="link"
          :label="says ?? ''"
          readonly
          data-test="link"
          @focus="(event: FocusEvent) => (event.target as HTMLInputElement).select()"
        />
      </template>
      <p v-else-if="says" role="status">{{ says }}</p>
    </template>
  </PlainCard>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  border-bottom: 1px solid var(--groove);
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
