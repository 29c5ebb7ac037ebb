<script setup lang="ts">
import { OWN_HEADER, type OwnPart, type TakeOffFault, ownPartsCsv, readOwnParts } from '@jugalis/core'
import { onMounted, ref } from 'vue'
import RowsField from '../../frame/RowsField.vue'
import { saveFile } from '../../save-file'
import { useParts } from '../../stores/parts'
import { word } from '../../words/word'
import OwnPartSheet from './OwnPartSheet.vue'
import OwnSign from './OwnSign.vue'

/** Fittings of the house's own: made, changed, taken out, read from CSV and written as such. */
const parts = useParts()
onMounted(() => void parts.load())
const open = ref<OwnPart | 'new' | null>(null)
const loading = ref(false)
const csv = ref('')
const fault = ref('')
const faults = ref<readonly TakeOffFault[]>([])
const LINE = OWN_HEADER.join(',')
const EXAMPLE = ownPartsCsv([
  {
    name: word('own-example'),
    form: 'through',
    ends: ['usual', 'flanged'],
    shapes: [{ kind: 'box', at: [-10, -8, 10, 8] }],
    takeOffs: [
      { end: 0, size: 'd63', mm: 120, to: 'face' },
      { end: 1, size: 'd63', mm: 95, to: 'face' },
    ],
  },
])
async function tried(work: () => Promise<void>): Promise<boolean> {
  fault.value = ''
  try {
    await work()
    return true
  } catch (error) {
    fault.value = (error as Error).message
    return false
  }
}
async function load(): Promise<void> {
  const read = readOwnParts(csv.value)
  faults.value = read.ok ? [] : read.faults
  if (!read.ok || !(await tried(() => parts.put(read.parts)))) return
  csv.value = ''
  loading.value = false
}
const save = (): void => saveFile(ownPartsCsv(parts.house), 'text/csv', 'own-fittings.csv')
</script>

<template>
  <section :aria-label="word('own-fittings')">
    <h2>{{ word('own-fittings') }}</h2>
    <p class="why">{{ word('own-fittings-say') }}</p>
    <ul v-if="parts.house.length">
      <li v-for="part in parts.house" :key="part.name">
        <OwnSign :shapes="part.shapes" :size="44" />
        <strong>{{ part.name }}</strong>
        <span>{{ part.ends.map((end) => (end === 'usual' ? word('own-usual') : end)).join(' × ') }}</span>
        <button type="button" class="figure-link reach" @click="open = part">
          {{ word('own-change', { name: part.name }) }}
        </button>
        <button type="button" class="figure-link reach" @click="tried(() => parts.drop(part.name))">
          {{ word('own-drop', { name: part.name }) }}
        </button>
      </li>
    </ul>
    <p v-else>{{ word('own-none') }}</p>
    <div class="buttons no-print">
      <button type="button" class="button" @click="open = 'new'">{{ word('own-make-one') }}</button>
      <button type="button" class="button" :aria-expanded="loading" @click="loading = !loading">
        {{ word('own-from-csv') }}
      </button>
      <button type="button" class="button" :disabled="!parts.house.length" @click="save">
        {{ word('own-to-csv') }}
      </button>
    </div>
    <RowsField
      v-if="loading"
      id="own"
      v-model="csv"
      :header="LINE"
      :example="EXAMPLE"
      :lines="5"
      :action="word('own-take-them')"
      :fault="fault"
      :faults="faults"
      @load="load"
    />
    <p v-else-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <OwnPartSheet v-if="open" :part="open === 'new' ? null : open" @close="open = null" />
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
</style>
