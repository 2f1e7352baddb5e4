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
import AppHead from '../../parts/head/AppHead.vue';
import SizeText from '../../ui/SizeText.vue';
import { SHORTCUTS, TOUCHES } from '../../parts/keys/shortcuts.ts';
import { ABOUT_QUANTITIES, QUANTITY_KEYS } from '../quantities/index.ts';

const functions = Object.entries(FUNCTIONS).map(([name, { args }]) => ({
  written: `${name}(${args})`,
  about: ABOUT_FUNCTIONS[name as FunctionName],
}));
const units = UNITS.filter(({ words }) => words.length > 0).map(({ id, words }) => ({
  words: words.join('  '),
  about: ABOUT_UNITS[id as UnitId],
}));
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
      <section>
        <h2>What to touch on the bench</h2>
        <dl>
          <div v-for="{ where, about } in TOUCHES" :key="where">
            <dt>{{ where }}</dt>
            <dd>{{ about }}</dd>
          </div>
        </dl>
      </section>
      <section>
        <h2>Keys of the keyboard</h2>
        <dl>
          <div v-for="{ keys, about } in SHORTCUTS" :key="keys">
            <dt>
              <kbd>{{ keys }}</kbd>
            </dt>
            <dd>{{ about }}</dd>
          </div>
        </dl>
      </section>
      <section>
        <h2>Quantities</h2>
        <dl>
          <div v-for="[what, says] in ABOUT_QUANTITIES" :key="what">
            <dt>{{ what }}</dt>
            <dd>{{ says }}</dd>
          </div>
        </dl>
      </section>
      <section>
        <h2>Keys in the list of quantities</h2>
        <dl>
          <div v-for="[keys, about] in QUANTITY_KEYS" :key="keys">
            <dt>
              <kbd>{{ keys }}</kbd>
            </dt>
            <dd>{{ about }}</dd>
          </div>
        </dl>
      </section>
      <section>
        <h2>All functions</h2>
        <dl>
          <div v-for="item in functions" :key="item.written">
            <dt>
              <kbd>{{ item.written }}</kbd>
            </dt>
            <dd>{{ item.about }}</dd>
          </div>
        </dl>
      </section>
      <section>
        <h2>All units</h2>
        <dl>
          <div v-for="unit in units" :key="unit.words">
            <dt>
              <kbd>{{ unit.words }}</kbd>
            </dt>
            <dd>{{ unit.about }}</dd>
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
<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
}
th {
  text-align: left;
  font-weight: 500;
  color: var(--ink-soft);
}
th,
td {
  padding: 6px 12px 6px 0;
  border-bottom: 1px solid var(--groove);
  vertical-align: baseline;
  overflow-wrap: anywhere;
}
kbd {
  font-family: var(--figures);
  font-size: 18px;
  font-weight: 500;
  white-space: pre-wrap;
}
small {
  display: block;
  color: var(--ink-soft);
}
.reads {
  font-family: var(--figures);
  font-size: 18px;
  font-weight: 600;
}
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
