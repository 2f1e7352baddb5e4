<script setup lang="ts">
/** Taxes and versions of the list. */
import { ref } from 'vue';
import { X } from 'lucide-vue-next';
import IconButton from '../../ui/IconButton.vue';
import PlainButton from '../../ui/PlainButton.vue';
import TextField from '../../ui/TextField.vue';
import SizeField from '../../parts/field/SizeField.vue';
import type { Quantities } from '../../job/quantities.ts';

const props = defineProps<{ list: Quantities }>();
const emit = defineEmits<{ close: [] }>();

const tax = ref({ name: '', rate: '' });
const version = ref('');
function addTax(): void {
  if (tax.value.name.trim() === '' || tax.value.rate.trim() === '') return;
  props.list.addTax(tax.value.name, tax.value.rate);
  tax.value = { name: '', rate: '' };
}
function addVersion(): void {
  if (version.value.trim() === '') return;
  props.list.addVersion(version.value);
  version.value = '';
}
</script>

<template>
  <el-dialog :model-value="true" title="Taxes and versions" width="min(560px, 96vw)" @close="emit('close')">
    <section aria-label="Taxes">
      <h3>Taxes</h3>
      <p class="says">Rows have the first of them, unless they say another.</p>
      <ul>
        <li v-for="one in list.taxes" :key="one.id">
          <span class="name">{{ one.name }}</span>
          <span class="rate" :class="{ wrong: !one.tax }">{{ one.typed }}{{ one.tax ? '' : ' is no rate' }}</span>
          <IconButton :name="`Delete ${one.name}`" @click="list.drop(one.id)"
            ><X :size="18" aria-hidden="true"
          /></IconButton>
        </li>
      </ul>
      <form class="new" @submit.prevent="addTax">
        <TextField v-model="tax.name" label="Name" maxlength="120" placeholder="sales tax" data-test="tax-name" />
        <SizeField v-model="tax.rate" label="Rate" placeholder="7.5%" plain data-test="tax-rate" @enter="addTax" />
        <PlainButton type="submit" data-test="add-tax">Add</PlainButton>
      </form>
    </section>
    <section aria-label="Versions">
      <h3>Versions of the list</h3>
      <p class="says">A row can be in some versions alone: the same porch with oak, and with pine.</p>
      <ul>
        <li v-for="one in list.versions" :key="one.id">
          <span class="name">{{ one.name }}</span>
          <IconButton :name="`Delete ${one.name}`" @click="list.drop(one.id)"
            ><X :size="18" aria-hidden="true"
          /></IconButton>
        </li>
      </ul>
      <form class="new" @submit.prevent="addVersion">
        <TextField v-model="version" label="Name" maxlength="120" placeholder="with oak" data-test="version-name" />
        <PlainButton type="submit" data-test="add-version">Add</PlainButton>
      </form>
    </section>
  </el-dialog>
</template>

<style scoped>
h3 {
  margin: 0;
  font-size: 18px;
}
section + section {
  margin-top: 18px;
}
.says {
  margin: 2px 0 6px;
  color: var(--ink-soft);
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  align-items: center;
  gap: 12px;
  border-bottom: 1px solid var(--groove);
}
.name {
  flex: 1;
  font-weight: 600;
}
.rate {
  font: 600 19px/1 var(--figures);
}
.wrong {
  color: var(--pencil);
}
.new {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  align-items: start;
  gap: 8px;
  margin-top: 8px;
}
.new :deep(.button) {
  margin-top: 25px;
}
</style>
