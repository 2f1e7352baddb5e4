<script setup lang="ts">
/**
 * Where the parts of the bench stand, on a desk, a tablet and a phone, for either hand. They are identified by their classes:
 * head, notices, column with slate and hand, reading, keys, stick.
 */
defineProps<{
  leftHanded: boolean;
  hasStick: boolean;
  /** Every mark stands in the place of the slate. */
  laidOut: boolean;
  /** A line of the slate is edited; where room is short, in the place of the entry. */
  editing: boolean;
  /** The slate itself is worked on, and where room is short has all of it. */
  busy: boolean;
}>();
</script>

<template>
  <main class="bench" :class="{ left: leftHanded, 'no-stick': !hasStick, 'laid-out': laidOut, editing, busy }">
    <slot />
  </main>
</template>

<style scoped>
.bench {
  height: 100dvh;
  display: grid;
  grid-template:
    'head head head' auto
    'notices notices notices' auto
    'column reading stick' minmax(0, 1fr)
    'column keys stick' auto / minmax(0, 10fr) minmax(0, 11fr) 212px;
}
.bench.left {
  grid-template:
    'head head head' auto
    'notices notices notices' auto
    'stick reading column' minmax(0, 1fr)
    'stick keys column' auto / 212px minmax(0, 11fr) minmax(0, 10fr);
}
/* The marks take some of what the keys have, which have it to spare. */
.bench.laid-out {
  grid-template-columns: minmax(0, 13fr) minmax(0, 10fr) 212px;
}
.bench.left.laid-out {
  grid-template-columns: 212px minmax(0, 10fr) minmax(0, 13fr);
}
/* Painted by themselves, as the lines and the rods are: a key that changes one of them has the others drawn as they were. */
:slotted(.reading),
:slotted(.keys) {
  isolation: isolate;
}
:slotted(.head) {
  grid-area: head;
}
:slotted(.notices) {
  grid-area: notices;
}
:slotted(.column) {
  grid-area: column;
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  border-right: 1px solid var(--groove);
}
:slotted(.slate) {
  grid-area: slate;
  flex: 1;
}
:slotted(.hand) {
  grid-area: hand;
  padding: 8px 12px 12px;
  min-width: 0;
}
/* Above all that is touched, so that nothing moves under a finger when it comes and goes. */
:slotted(.hint) {
  grid-area: hint;
  margin: 0 12px;
}
:slotted(.reading) {
  grid-area: reading;
  overflow-y: auto;
}
:slotted(.keys) {
  grid-area: keys;
  padding: 6px 20px 12px;
}
:slotted(.stick) {
  grid-area: stick;
}
.no-stick {
  grid-template-columns: minmax(0, 10fr) minmax(0, 11fr) 0;
}
/* Two rows of other ways to say it have room beside them: a third would be cut. */
@media (min-width: 1024px) and (max-height: 860px) {
  .laid-out :deep(.reading .also > li:nth-child(n + 7)) {
    display: none;
  }
}
/* A tablet: what is reckoned at one side, what is kept at the other. */
@media (max-width: 1023px) {
  .bench,
  .bench.no-stick {
    grid-template:
      'head head' auto
      'notices notices' auto
      'reading slate' minmax(0, 1fr)
      'hint slate' auto
      'hand slate' auto
      'keys stick' auto / minmax(0, 13fr) minmax(0, 10fr);
  }
  .bench.left {
    grid-template:
      'head head' auto
      'notices notices' auto
      'slate reading' minmax(0, 1fr)
      'slate hint' auto
      'slate hand' auto
      'stick keys' auto / minmax(0, 10fr) minmax(0, 13fr);
  }
  .bench.laid-out {
    grid-template-columns: minmax(0, 10fr) minmax(0, 13fr);
  }
  .bench.left.laid-out {
    grid-template-columns: minmax(0, 13fr) minmax(0, 10fr);
  }
  :slotted(.column) {
    display: contents;
  }
  :slotted(.slate) {
    border-left: 1px solid var(--groove);
  }
  :slotted(.stick) {
    padding: 6px 12px 12px;
    max-height: 330px;
  }
}
/* On a tablet they reach down to the foot, behind what is done with them. */
@media (min-width: 761px) and (max-width: 1023px) {
  .laid-out :slotted(.slate) {
    grid-row: reading-start / keys-end;
    padding-bottom: 124px;
  }
  .laid-out :slotted(.stick) {
    z-index: 1;
    align-self: end;
    background: var(--ground);
  }
}
@media (max-width: 760px) {
  /* Whatever is to be said, there is room to work; the rest of it is scrolled. */
  :slotted(.notices) {
    max-height: 21dvh;
    overflow: auto;
    overscroll-behavior: contain;
  }
  :slotted(.notices:has(> *)) {
    min-height: 98px;
  }
  /* The keys keep their place: what a size also reads waits until somebody has seen to it. */
  .bench:has(> .notices > *) :deep(.reading .also) {
    display: none;
  }
  .bench,
  .bench.left,
  .bench.laid-out,
  .bench.left.laid-out,
  .bench.no-stick {
    grid-template:
      'head' auto
      'notices' auto
      'reading' minmax(0, auto)
      'slate' minmax(64px, 1fr)
      'hint' auto
      'stick' auto
      'hand' auto
      'keys' auto / minmax(0, 1fr);
  }
  /* What is said of the entry lies over what stands above it, so that neither it nor a key moves. */
  :slotted(.hand) {
    position: relative;
  }
  :slotted(.slate) {
    border-left: 0;
    border-top: 1px solid var(--groove);
  }
  :slotted(.reading) {
    overflow-y: visible;
  }
  /* A line edited takes the room of the entry that rests. */
  /* Where every mark stands, the other ways to say the reading give them their room. */
  .laid-out :deep(.reading .tape),
  .laid-out :deep(.reading .also) {
    display: none;
  }
  .editing :slotted(.hint),
  .editing :slotted(.hand),
  .editing :slotted(.stick),
  .busy :slotted(.hint),
  .busy :slotted(.hand),
  .busy :slotted(.stick),
  .busy :slotted(.keys) {
    display: none;
  }
  :slotted(.hint) {
    margin: 0 8px 4px;
  }
  :slotted(.hand) {
    padding: 4px 8px;
  }
  :slotted(.keys) {
    padding: 2px 8px 8px;
  }
  :slotted(.stick) {
    margin: 0 8px;
    padding: 0;
  }
}
/* A short phone, or one whose browser takes its share: the keys stay in reach. */
@media (max-width: 760px) and (max-height: 740px) {
  .bench,
  .bench.left,
  .bench.no-stick {
    grid-template-rows: auto auto auto minmax(52px, 1fr) auto auto auto auto;
  }
  .bench :deep(.reading .also),
  .bench :slotted(.hint) {
    display: none;
  }
}
/* The smallest: what is kept gives way, the keys never do. */
@media (max-width: 760px) and (max-height: 600px) {
  .bench,
  .bench.left,
  .bench.no-stick {
    grid-template-rows: auto auto auto minmax(16px, 1fr) auto auto auto auto;
  }
  .bench :slotted(.hand) {
    padding: 2px 8px;
  }
  .bench :slotted(.keys) {
    padding: 2px 8px 2px;
  }
}
/* A phone on its side: the keys at one side, all of them, and the rest at the other. */
@media (min-width: 560px) and (max-width: 1023px) and (max-height: 480px) {
  .bench,
  .bench.no-stick,
  .bench.laid-out {
    grid-template:
      'head head' auto
      'notices notices' auto
      'reading keys' auto
      'slate keys' minmax(0, 1fr)
      'hand keys' auto / minmax(0, 1fr) minmax(0, 1fr);
  }
  .bench.left,
  .bench.left.laid-out {
    grid-template:
      'head head' auto
      'notices notices' auto
      'keys reading' auto
      'keys slate' minmax(0, 1fr)
      'keys hand' auto / minmax(0, 1fr) minmax(0, 1fr);
  }
  .bench :deep(.reading :is(.also, .tape)),
  .bench :slotted(.hint),
  .bench :slotted(.stick) {
    display: none;
  }
  .bench :slotted(.reading) {
    overflow: hidden;
    padding-block: 2px;
  }
  .bench :slotted(.keys) {
    align-self: end;
    padding: 2px 8px 6px;
  }
  .bench :slotted(.hand) {
    padding: 2px 8px 6px;
  }
}
</style>
