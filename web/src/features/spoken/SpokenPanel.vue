<script setup lang="ts">
/** Speaking in place of typing: over the lower edge of any screen, with what was heard before it counts. */
import { computed, onMounted, ref } from 'vue';
import { useEventListener } from '@vueuse/core';
import { CircleHelp, Settings2, X } from 'lucide-vue-next';
import { useOwnKeys } from '../../live/own-keys.ts';
import { useHand } from '../../parts/entry/hand.ts';
import IconButton from '../../ui/IconButton.vue';
import PlainButton from '../../ui/PlainButton.vue';
import SizeText from '../../ui/SizeText.vue';
import { saidFields } from '../../live/said-fields.ts';
import { useSpokenPanel } from '../../live/spoken.store.ts';
import HeardCard from './HeardCard.vue';
import MissedCard from './MissedCard.vue';
import PracticeBox from './PracticeBox.vue';
import SaidHelp from './SaidHelp.vue';
import SaidLog from './SaidLog.vue';
import SpokenSettings from './SpokenSettings.vue';
import TalkKey from './TalkKey.vue';
import { TROUBLES } from './troubles.ts';
import { useSpoken } from './use-spoken.ts';

const panel = useSpokenPanel();
const hand = useHand();
const ownKeys = useOwnKeys();
const spoken = useSpoken();
const { manner, isPractice, canListen, canRead, state, says, hearing, isHandsFree, written, showsHelp } = spoken;
const showsSettings = ref(false);
const talk = ref<InstanceType<typeof TalkKey>>();
/** Where one was: there typing goes on. */
const before = document.activeElement;
onMounted(() => talk.value?.focus());

/** The keys stand along the lower edge. */
const isByHand = computed(() => hand.isInField && ownKeys.value);
const trouble = computed(() =>
  hearing.value.trouble === undefined
    ? canListen.value
      ? undefined
      : TROUBLES['no-service']
    : TROUBLES[hearing.value.trouble],
);
const field = computed(() => {
  const place = state.value.waiting?.place;
  return place?.to === 'field' ? saidFields().fields.find(({ id }) => id === place.id)?.names[0] : undefined;
});
/** What was asked; a problem of an entry stands with the entry. */
const question = computed(() => state.value.question);
/** An answer that is not on the card already. */
const answer = computed(() => (state.value.waiting || state.value.missed || question.value ? undefined : says.value));

const typed = ref('');
function say(): void {
  if (typed.value.trim() === '') return;
  spoken.say(typed.value);
  typed.value = '';
}
function close(): void {
  panel.open = false;
  if (before instanceof HTMLElement && before.isConnected) before.focus();
}
/** Escape closes what was opened last: this, unless something lies over it. */
useEventListener(
  window,
  'keydown',
  (event: KeyboardEvent) => {
    const isOver = event.target instanceof Element && event.target.closest('[role=dialog], [role=menu], .el-popper');
    if (event.key !== 'Escape' || isOver || document.querySelector('.el-popper[aria-hidden=false], .el-overlay'))
      return;
    event.stopImmediatePropagation();
    close();
  },
  { capture: true },
);
</script>

<template>
  <aside class="spoken" aria-label="Speak" data-test="speaking">
    <header>
      <h2>Speak</h2>
      <label class="hands-free">
        <el-switch
          :model-value="isHandsFree"
          aria-label="Hands-free"
          data-test="hands-free"
          :disabled="!canListen"
          @update:model-value="(wanted) => spoken.handsFree(wanted === true)"
        />Hands-free</label
      >
      <IconButton
        name="What can be said"
        :aria-expanded="showsHelp"
        data-test="said-help"
        @click="showsHelp = !showsHelp"
        ><CircleHelp :size="22" aria-hidden="true"
      /></IconButton>
      <IconButton
        name="How it listens and reads"
        :aria-expanded="showsSettings"
        data-test="spoken-how"
        @click="showsSettings = !showsSettings"
        ><Settings2 :size="22" aria-hidden="true"
      /></IconButton>
      <IconButton name="Close" data-test="spoken-close" @click="close"><X :size="24" aria-hidden="true" /></IconButton>
    </header>
    <div class="inside">
      <SpokenSettings v-if="showsSettings" v-model="manner" :voices="spoken.voices()" />
      <SaidHelp v-if="showsHelp" @close="showsHelp = false" />
      <p v-if="trouble" class="trouble" role="alert" data-test="trouble">{{ trouble }}</p>
      <p v-if="hearing.words" class="partial" data-test="partial">{{ hearing.words }} …</p>
      <MissedCard v-if="state.missed" :missed="state.missed" @take="spoken.take" @refuse="spoken.refuse" />
      <HeardCard
        v-if="state.waiting"
        :waiting="state.waiting"
        :field
        @enter="spoken.enter"
        @refuse="spoken.refuse"
        @take="spoken.take"
        @rewrite="spoken.rewrite"
      />
      <div v-if="question && !state.missed" class="question" data-test="question">
        <p>{{ question.says }}</p>
        <PlainButton leading data-test="question-yes" @click="spoken.agree">Yes</PlainButton>
        <PlainButton data-test="question-no" @click="spoken.refuse">No</PlainButton>
      </div>
      <p v-if="answer" class="answer" data-test="answer"><SizeText :text="answer" /></p>
      <p class="sr-only" role="status">{{ manner.aloud === 'off' || !canRead ? says : '' }}</p>
      <SaidLog v-if="state.log.length > 1 && !isByHand" :log="state.log" />
      <PracticeBox v-if="isPractice && !isByHand" :written @play="spoken.play" />
    </div>
    <!-- While an entry is written by hand, the keys stand there. -->
    <form v-show="!isByHand" class="talking" @submit.prevent="say">
      <TalkKey
        v-if="canListen"
        ref="talk"
        :hearing
        :wake="manner.wake"
        @press="spoken.press"
        @release="spoken.release"
      />
      <el-input
        v-model="typed"
        class="typed"
        placeholder="or type what you would say"
        aria-label="Type what you would say"
        autocapitalize="off"
        autocomplete="off"
        spellcheck="false"
        maxlength="400"
        enterkeyhint="send"
        data-test="say"
      />
    </form>
  </aside>
</template>

<style scoped>
.spoken {
  position: fixed;
  inset: auto 0 var(--dock, 0px);
  z-index: 15;
  display: flex;
  flex-direction: column;
  width: min(548px, 100vw);
  max-height: min(82dvh, calc(100dvh - var(--dock, 0px) - 56px));
  margin-inline: auto;
  border: 2px solid var(--ink);
  border-bottom: 0;
  border-radius: 4px 4px 0 0;
  background: var(--raised);
  color: var(--ink);
}
header {
  display: flex;
  align-items: center;
  gap: 4px;
  padding: 0 4px 0 16px;
  border-bottom: 1px solid var(--groove);
}
h2 {
  margin: 0 auto 0 0;
  font-size: calc(18px * var(--text-size));
}
.hands-free {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: var(--touch);
  margin-right: 8px;
  cursor: pointer;
}
.inside {
  display: grid;
  gap: 10px;
  min-height: 0;
  padding: 10px 16px;
  overflow-y: auto;
  overscroll-behavior: contain;
}
.inside:empty {
  padding: 0;
}
p {
  margin: 0;
}
.partial {
  font-size: calc(20px * var(--text-size));
  color: var(--ink-soft);
  overflow-wrap: anywhere;
}
.trouble {
  padding: 8px 10px;
  background: var(--pencil-wash);
}
.question {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 8px 10px;
  background: var(--chalk-wash);
}
.question p {
  flex: 1 1 240px;
}
.answer {
  font: 500 calc(20px * var(--text-size)) / 1.3 var(--figures);
}
.talking {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 8px 16px 12px;
}
.typed {
  flex: 1 1 240px;
  min-height: var(--touch);
}
.talking :deep(.talk) {
  flex: 1 1 300px;
}
/* Beside the lines, over the keys: whoever speaks needs none. */
@media (min-width: 1024px) {
  .spoken {
    margin-right: 220px;
  }
  :root[data-hand='left'] .spoken {
    margin-inline: 220px auto;
  }
}
@media (max-width: 760px) {
  header {
    padding-left: 12px;
  }
  .inside {
    padding: 8px 12px;
  }
  .talking {
    padding: 6px 12px 10px;
  }
}
</style>
