<script setup lang="ts">
/** How an entry is written: the same table that the tests and docs/notation.md are made from. */
import {
  ABOUT_FUNCTIONS,
  ABOUT_UNITS,
  ACCEPTED_FORMS,
  BARE_RULE,
  IN_INCHES,
  IN_MILLIMETRES,
  FUNCTIONS,
  UNITS,
  type FunctionName,
  type UnitId,
} from '@sprell/core';
import { defineAsyncComponent } from 'vue';
import AppHead from '../../parts/head/AppHead.vue';
import SizeText from '../../ui/SizeText.vue';
import { SHORTCUTS, TOUCHES } from '../../parts/keys/shortcuts.ts';
import { ABOUT_QUANTITIES, QUANTITY_KEYS } from '../quantities/index.ts';

// It has as many examples as all the rest.
const SpokenHelp = defineAsyncComponent(() => import('./SpokenHelp.vue'));

type Row = readonly [what: string, says: string];
const functions = Object.entries(FUNCTIONS).map(([name, { args }]): Row => [
  `${name}(${args})`,
  ABOUT_FUNCTIONS[name as FunctionName],
]);
const units = UNITS.filter(({ words }) => words.length > 0).map(({ id, words }): Row => [
  words.join('  '),
  ABOUT_UNITS[id as UnitId],
]);
/** Lists of what is touched or typed, with what it does. */
const LISTS: readonly { readonly title: string; readonly isTyped: boolean; readonly rows: readonly Row[] }[] = [
  { title: 'What to touch on the bench', isTyped: false, rows: TOUCHES.map(({ where, about }): Row => [where, about]) },
  { title: 'Keys of the keyboard', isTyped: true, rows: SHORTCUTS.map(({ keys, about }): Row => [keys, about]) },
  { title: 'Quantities', isTyped: false, rows: ABOUT_QUANTITIES },
  { title: 'Keys in the list of quantities', isTyped: true, rows: QUANTITY_KEYS },
  { title: 'All functions', isTyped: true, rows: functions },
  { title: 'All units', isTyped: true, rows: units },
];
/** Enough of the rule to see how it goes; all of its rows are in the notation's own page. */
const KINDS_SHOWN = ['2400', '2400 + 300', '2400 / 7', '3 * 450', '2400 * 1200', '2400 * 1200 * 18', '7 ea'];
const BARE_SHOWN = [...IN_MILLIMETRES.filter(([typed]) => KINDS_SHOWN.includes(typed)), ...IN_INCHES.slice(0, 3)];
</script>

<template>
  <div class="screen">
    <AppHead title="Help" />
    <main class="help">
      <header>
        <h2 class="title">Help: how to write an entry</h2>
      </header>
      <p>
        Write sizes as you would on a board. Capitals and spaces never matter. Beside each entry stands how it was read,
        with every grouping shown, and what it comes to on a tape marked in sixteenths.
      </p>
      <section v-for="group in ACCEPTED_FORMS" :key="group.title">
        <h2>{{ group.title }}</h2>
        <p>{{ group.rule }}</p>
        <table>
          <thead>
            <tr>
              <th scope="col">you write</th>
              <th scope="col">it is read as</th>
              <th scope="col">it comes to</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="form in group.forms" :key="form.entry">
              <td>
                <kbd>{{ form.entry }}</kbd>
                <small v-if="form.about">{{ form.about }}</small>
              </td>
              <td><SizeText :text="form.readBack" /></td>
              <td class="reads"><SizeText :text="form.reads" /></td>
            </tr>
          </tbody>
        </table>
      </section>
      <section>
        <h2>Numbers without a unit</h2>
        <p>{{ BARE_RULE }}</p>
        <table>
          <thead>
            <tr>
              <th scope="col">you write</th>
              <th scope="col">it is kept as</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="[typed, kept] in BARE_SHOWN" :key="typed">
              <td>
                <kbd>{{ typed }}</kbd>
              </td>
              <td>
                <kbd>{{ kept }}</kbd>
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <SpokenHelp />
      <section v-for="{ title, isTyped, rows } in LISTS" :key="title">
        <h2>{{ title }}</h2>
        <dl>
          <div v-for="[what, says] in rows" :key="what">
            <dt>
              <kbd v-if="isTyped">{{ what }}</kbd>
              <template v-else>{{ what }}</template>
            </dt>
            <dd>{{ says }}</dd>
          </div>
        </dl>
      </section>
      <p>
        <RouterLink class="back" to="/licences"
          >Fonts and libraries that Sprell is built on, with their terms</RouterLink
        >
      </p>
    </main>
  </div>
</template>

<style scoped src="./help.css"></style>
<style scoped src="./help-table.css"></style>
<style scoped>
dl {
  margin: 0;
}
dl div {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
  gap: 12px;
  padding: 6px 0;
  border-bottom: 1px solid var(--groove);
}
dd {
  margin: 0;
}
</style>
