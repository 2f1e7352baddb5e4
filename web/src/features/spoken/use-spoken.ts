import { useDocumentVisibility, useWakeLock } from '@vueuse/core';
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import { aloud, Conversation, type Offer, type Reply } from '@sprell/core/conversation';
import { browserRecogniser } from '../../adapters/voice/browser-recogniser.ts';
import { ScriptedRecogniser, type ScriptedPhrase } from '../../adapters/voice/scripted-recogniser.ts';
import { browserVoice, WritingVoice } from '../../adapters/voice/voice.ts';
import { useSpokenPanel } from '../../live/spoken.store.ts';
import { useJob } from '../../live/use-jobs.ts';
import { JobDesk } from './job-desk.ts';
import { Listening, type ListeningState } from './listening.ts';
import { useSpokenManner } from './spoken-manner.ts';

/** Of the phrases: the device's own English, else British, in which both ways of saying a size are at home. */
const language = () => navigator.languages.find((one) => one.startsWith('en')) ?? 'en-GB';
/** What the voice for practice wrote, at most. */
const MOST_WRITTEN = 20;

/** Listening, the conversation and the voice, together, for one panel. */
export function useSpoken() {
  const job = useJob();
  const panel = useSpokenPanel();
  const manner = useSpokenManner();
  const isPractice = computed(() => manner.value.ear === 'practice');

  const scripted = new ScriptedRecogniser();
  const ownEar = browserRecogniser(language());
  const ownVoice = browserVoice(language());
  /** What the voice for practice said, the latest last. */
  const written = ref<string[]>([]);
  const writing = new WritingVoice((words) => (written.value = [...written.value, words].slice(-MOST_WRITTEN)));
  const voice = computed(() => (isPractice.value ? writing : ownVoice));

  const begun = () =>
    new Conversation(new JobDesk(job), () => ({
      length: manner.value.aloud === 'long' ? 'long' : 'short',
      lengths: manner.value.lengths,
    }));
  let conversation = begun();
  const state = shallowRef(conversation.state);
  /** The last answer, as it is written. */
  const says = ref('');
  const showsHelp = ref(false);

  const listening = shallowRef<Listening>(listeningTo());
  const hearing = shallowRef<ListeningState>(listening.value.state);
  function listeningTo(): Listening {
    return new Listening(isPractice.value ? scripted : ownEar, () => manner.value, {
      phrase: (ways) => {
        answered(conversation.hear(ways));
      },
      changed: (now) => (hearing.value = now),
    });
  }
  watch(isPractice, () => {
    listening.value.off();
    listening.value = listeningTo();
    hearing.value = listening.value.state;
  });

  function answered(reply: Reply): void {
    state.value = conversation.state;
    panel.landed += 1;
    if (reply.says !== '') {
      says.value = reply.says;
      void read(reply.says);
    }
    if (reply.asks === 'stop') {
      voice.value.hush();
      listening.value.sleep();
    } else if (reply.asks === 'help') showsHelp.value = true;
  }
  let turn = 0;
  async function read(words: string): Promise<void> {
    if (manner.value.aloud === 'off') return;
    turn += 1;
    const mine = turn;
    voice.value.hush();
    // What is read aloud is not to be heard.
    listening.value.pause();
    await voice.value.speak(aloud(words, job.style), { speed: manner.value.speed, name: manner.value.voice });
    if (mine === turn) listening.value.resume();
  }

  // Who speaks hands-free does not touch the screen: it stays on. Nobody is listened to behind another page.
  const awake = useWakeLock();
  const isHandsFree = computed(() => hearing.value.mode === 'asleep' || hearing.value.mode === 'awake');
  watch(isHandsFree, (now) => {
    if (awake.isSupported.value) void (now ? awake.request('screen') : awake.release()).catch(() => undefined);
  });
  const visibility = useDocumentVisibility();
  watch(visibility, (now) => {
    if (now === 'hidden') listening.value.off();
  });

  watch(
    () => job.head?.id,
    () => {
      conversation = begun();
      state.value = conversation.state;
    },
  );
  onScopeDispose(() => {
    listening.value.off();
    voice.value.hush();
  });

  return {
    manner,
    isPractice,
    canListen: computed(() => isPractice.value || ownEar.isThere),
    canRead: computed(() => voice.value.isThere),
    voices: () => ownVoice.names(),
    state,
    says,
    hearing,
    isHandsFree,
    written,
    showsHelp,
    press: () => {
      voice.value.hush();
      listening.value.press();
    },
    release: () => {
      listening.value.release();
    },
    handsFree: (wanted: boolean) => {
      listening.value.handsFree(wanted);
    },
    /** Something is typed in place of being said. */
    say: (text: string) => {
      answered(conversation.hear([{ text }]));
    },
    enter: () => {
      answered(conversation.enter());
    },
    refuse: () => {
      answered(conversation.refuse());
    },
    agree: () => {
      answered(conversation.agree());
    },
    take: (offer: Offer) => {
      answered(conversation.take(offer));
    },
    rewrite: (entry: string) => {
      conversation.rewrite(entry);
      state.value = conversation.state;
    },
    play: (script: readonly ScriptedPhrase[]) => {
      scripted.play(script);
    },
  };
}
export type Spoken = ReturnType<typeof useSpoken>;
