<script setup lang="ts">
/** What can be said: the phrases that the tests run, with the entries that they come to. */
import { ref } from 'vue';
import { printEntry, parse } from '@sprell/core';
import { ORDERS_SAID, SAID_PHRASES } from '@sprell/core/said';
import SizeText from '../../ui/SizeText.vue';

const groups = Object.entries(SAID_PHRASES);
const readBack = (entry: string) => {
  const { entry: parsed } = parse(entry);
  return parsed === undefined ? entry : printEntry(parsed);
};
/** A group is long: it is opened where it is wanted. */
const opened = ref<string[]>([]);
</script>

<template>
  <section>
    <p>
      Open “Speak” at the top of any room, hold the key and say it. What was heard is shown, and read aloud, before it
      counts: it counts when you say “enter” or “yes”, or simply say the next one. A correction changes what was said
      last: “no, seven and a half”. The examples are said in the bandstand job, where the last result is 12′ 6″.
    </p>
    <el-collapse v-model="opened">
      <el-collapse-item
        v-for="[title, phrases] in groups"
        :key="title"
        :title="`${title.charAt(0).toUpperCase()}${title.slice(1)}: “${phrases[0]?.[0]}”`"
        :name="title"
      >
        <table v-if="opened.includes(title)">
          <thead>
            <tr>
              <th scope="col">you say</th>
              <th scope="col">it is read as</th>
              <th scope="col">it comes to</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="[phrase, entry, reads] in phrases" :key="phrase">
              <td>{{ phrase }}</td>
              <td><SizeText :text="readBack(entry)" /></td>
              <td class="reads"><SizeText :text="reads" /></td>
            </tr>
          </tbody>
        </table>
      </el-collapse-item>
      <el-collapse-item title="What is done: “clear the slate”" name="orders">
        <table v-if="opened.includes('orders')">
          <thead>
            <tr>
              <th scope="col">it</th>
              <th scope="col">when you say</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="{ does, phrases } in ORDERS_SAID" :key="does">
              <td>{{ does }}</td>
              <td>{{ phrases.map((phrase) => `“${phrase}”`).join(', ') }}</td>
            </tr>
          </tbody>
        </table>
      </el-collapse-item>
    </el-collapse>
  </section>
</template>

<style scoped src="./help-table.css"></style>
<style scoped>
.el-collapse {
  --el-collapse-header-font-size: 17px;
  --el-collapse-header-bg-color: transparent;
  --el-collapse-content-bg-color: transparent;
  --el-collapse-content-font-size: inherit;
  margin-top: 12px;
}
</style>
