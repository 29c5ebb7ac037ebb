<script setup lang="ts">
import {
  STORE_HEADER,
  type StoreFault,
  type Finding,
  type StoreItem,
  dayOf,
  finding,
  itemCoded,
  itemEntry,
  readStore,
  storeCsv,
  storeExample,
} from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import RowsField from '../../frame/RowsField.vue'
import { saveFile } from '../../save-file'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import ItemForm from '../../things/ItemForm.vue'
import { useNarrow } from '../../use-narrow'
import { Figures } from '../../words/said'
import { capital, named, word } from '../../words/word'
import ScanLine from '../../things/ScanLine.vue'
import DrawnShelf from './DrawnShelf.vue'
import RecallAsk from './RecallAsk.vue'
import ThingPanel from './ThingPanel.vue'
import WantedList from './WantedList.vue'
import { fitsSaid } from '../../things/fits'
import { useLabels } from './use-labels'
import { standingSaid, useStore } from './use-store'

/** Everything with a date, a batch or a state: what is there, what is needed, what was made with it. */
const job = useJob()
const clock = useClock()
const route = useRoute()
const router = useRouter()
const narrow = useNarrow()
const { shelf, wanted, headline, why } = useStore()
const today = computed(() => dayOf(clock.nowS, job.state.job.zone))
const chosenId = computed(() => (typeof route.params.itemId === 'string' ? route.params.itemId : null))
const chosen = computed(() => shelf.value.find(({ item }) => item.id === chosenId.value) ?? null)
const go = (itemId?: string): unknown =>
  router.push({ name: 'store', params: { jobId: job.jobId, ...(itemId ? { itemId } : {}) } })

/** From so many they can be looked through; so many are shown at once. */
const MANY = 8
const AT_ONCE = 60
const text = ref('')
const most = ref(AT_ONCE)
const found = computed(() => {
  const asked = text.value.trim().toLocaleLowerCase()
  if (!asked) return shelf.value
  return shelf.value.filter(({ item }) =>
    [item.name, item.batch ?? '', named(item.kind), fitsSaid(item.matches), item.certificate ?? ''].some(
      (said) => said.toLocaleLowerCase().includes(asked),
    ),
  )
})
const shown = computed(() => found.value.slice(0, most.value))

const putting = ref<StoreItem | 'new' | null>(null)
/** A code that stands on something here opens it; any other is put in under that code. */
const code = ref('')
function scan(text: string): Finding | null {
  const item = itemCoded(job.state.store.values(), text)
  if (item) go(item.id)
  else {
    code.value = text.trim()
    putting.value = 'new'
  }
  return item ? null : finding('note', 'scan-unknown', 'given', { code: text })
}
function closed(): void {
  putting.value = null
  code.value = ''
}
const loading = ref(false)
const csv = ref('')
const faults = ref<readonly StoreFault[]>([])
async function load(): Promise<void> {
  const read = readStore(csv.value, job.state, today.value)
  faults.value = read.ok ? [] : read.faults
  if (!read.ok) return
  await job.write(
    read.items.map((said) => itemEntry(said, crypto.randomUUID())),
    word('shelf-loaded', { count: read.items.length }),
  )
  csv.value = ''
  loading.value = false
}
const HEADER = STORE_HEADER.join(',')
const EXAMPLE = storeExample()
const save = (): void => saveFile(storeCsv(job.state), 'text/csv', 'store.csv')
const saveLabels = useLabels()
const busy = ref(false)
async function labels(): Promise<void> {
  busy.value = true
  await saveLabels(found.value, 'labels').finally(() => (busy.value = false))
}
</script>

<template>
  <div class="place">
    <div class="head">
      <h1><Figures :text="headline" /></h1>
      <p class="why">{{ why }}</p>
    </div>
    <DrawnShelf v-if="shelf.length" :shelf="found" :today-on="today" :chosen-id="chosenId" />
    <div class="buttons no-print">
      <ScanLine :scan="scan" :taken="(known) => word('shelf-is-here', { code: known })" :large="narrow" />
      <button type="button" class="button main big" @click="putting = 'new'">
        {{ word('shelf-put-in') }}
      </button>
      <button type="button" class="button" :aria-expanded="loading" @click="loading = !loading">
        {{ word('shelf-from-csv') }}
      </button>
      <button type="button" class="button" :disabled="!shelf.length" @click="save">
        {{ word('shelf-to-csv') }}
      </button>
      <button type="button" class="button" :disabled="busy || !found.length" @click="labels">
        {{ word('shelf-labels', { count: found.length }) }}
      </button>
    </div>
    <RowsField
      v-if="loading"
      id="store"
      v-model="csv"
      :header="HEADER"
      :example="EXAMPLE"
      :lines="5"
      :action="word('shelf-take-them')"
      fault=""
      :faults="faults"
      @load="load"
    />
    <div class="list-and-one" :class="{ narrow }">
      <section v-if="shelf.length && !(narrow && chosen)" :aria-label="word('shelf-all')">
        <ElInput
          v-if="shelf.length >= MANY"
          v-model="text"
          size="large"
          clearable
          :placeholder="word('shelf-search')"
          :aria-label="word('shelf-search')"
        />
        <p v-if="!found.length">{{ word('shelf-none-found') }}</p>
        <ul>
          <li v-for="on in shown" :key="on.item.id">
            <RouterLink
              :to="{ name: 'store', params: { jobId: job.jobId, itemId: on.item.id } }"
              class="row"
              :class="{ chosen: on.item.id === chosenId }"
            >
              <span class="strong">{{ on.item.name }}</span>
              <span>{{
                [capital(named(on.item.kind)), fitsSaid(on.item.matches)].filter(Boolean).join(', ')
              }}</span>
              <span class="stands" :class="on.standing">{{ standingSaid(on) }}</span>
              <span class="why">{{
                word('shelf-in-joints', { joints: on.joints, planned: on.planned })
              }}</span>
            </RouterLink>
          </li>
        </ul>
        <button v-if="found.length > most" type="button" class="button" @click="most = Infinity">
          {{ word('shelf-show-all', { count: found.length }) }}
        </button>
      </section>
      <ThingPanel v-if="chosen" :on="chosen" @change="(item) => (putting = item)" />
      <p v-else-if="chosenId" class="refusal" role="alert">{{ word('shelf-not-there') }}</p>
    </div>
    <WantedList :wanted="wanted" />
    <RecallAsk v-if="job.state.joints.size" />
    <ItemForm
      v-if="putting"
      :needs="wanted.map((row) => row.need)"
      all
      :item="putting === 'new' ? null : putting"
      :code="code"
      @close="closed"
      @keep="(id) => go(id)"
    />
  </div>
</template>

<style scoped>
.big {
  min-height: 56px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.row {
  display: grid;
  grid-template-columns: minmax(90px, 2fr) 3fr;
  gap: 0 14px;
  min-height: 56px;
  padding: 6px;
  color: var(--ink);
  text-decoration: none;
  border-bottom: 1px solid var(--line);
}
.row.chosen {
  box-shadow: inset 4px 0 0 var(--ink);
}
.row .why {
  margin: 0;
}
.stands:is(.found-wrong, .not-good, .out-of-date, .open-too-long, .condemned) {
  color: var(--stop-ink);
}
.stands:is(.found-wrong, .not-good, .out-of-date, .open-too-long, .condemned)::before {
  content: '✕ ';
}
.stands.soon {
  color: var(--wet-ink);
}
.stands.soon::before {
  content: '▲ ';
}
</style>
