<script setup lang="ts">
import { allSources, howSure, sourceOf, tablesOf } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import PrintedTable from './PrintedTable.vue'
import { unverified } from './figure-text'
import { word } from '../../words/word'

/** Every source nobody has compared with a copy; a named person may say that they did, and with which edition. */
const job = useJob()
const clock = useClock()
const session = useSession()
const open = computed(() => unverified(job.state.checked))
const published = computed(() => open.value.filter((s) => s.kind === 'published'))
const rest = computed(() => open.value.filter((s) => s.kind !== 'published'))
const checked = computed(() =>
  [...job.state.checked].map(([id, c]) => ({ ...c, source: allSources().find((s) => s.id === id) })),
)
/** What every table from memory says; only what differs is worth a line. */
const USUAL = sourceOf('astm-d2466').note
/** How sure its tables are; where it has none, what its record says. */
function standingOf(source: { id: string; note: string }): string {
  const tables = tablesOf(source.id)
  if (tables.length) return [...new Set(tables.map(howSure))].join('. ')
  return source.note === USUAL ? '' : source.note
}
const marking = ref<string | null>(null)
const typed = reactive({ edition: '', on: '', note: '' })
const fault = ref('')
const markingTables = computed(() => (marking.value ? tablesOf(marking.value) : []))
const markingSource = computed(() => allSources().find((s) => s.id === marking.value))
function begin(id: string): void {
  marking.value = id
  typed.edition = ''
  typed.on = new Date(clock.nowS * 1000).toISOString().slice(0, 10)
  typed.note = ''
  fault.value = ''
}
async function save(): Promise<void> {
  if (!typed.edition.trim()) return void (fault.value = word('handbook-which-edition-lay-before'))
  if (!/^\d{4}-\d{2}-\d{2}$/.test(typed.on) || Number.isNaN(Date.parse(typed.on)))
    return void (fault.value = word('handbook-the-day-is-written'))
  if (Date.parse(typed.on) > clock.nowS * 1000) return void (fault.value = word('handbook-that-day-is-still'))
  await job.write(
    [
      {
        kind: 'source-checked',
        data: {
          sourceId: marking.value,
          edition: typed.edition.trim(),
          on: typed.on,
          note: typed.note.trim() || null,
        },
      },
    ],
    word('handbook-marked-as-checked-with'),
  )
  marking.value = null
}
</script>

<template>
  <section>
    <table class="rows" :aria-label="word('handbook-published-not-yet-compared')">
      <thead>
        <tr>
          <th>{{ word('handbook-reference') }}</th>
          <th>{{ word('handbook-edition') }}</th>
          <th>{{ word('handbook-how-sure') }}</th>
          <th>
            <span class="spoken">{{ word('handbook-compare') }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in published" :key="s.id">
          <td lang="en">{{ s.reference }}</td>
          <td lang="en">{{ s.edition }}</td>
          <td lang="en">{{ standingOf(s) }}</td>
          <td>
            <button
              type="button"
              class="button"
              :aria-label="word('handbook-compared-with-a-copy', { reference: s.reference })"
              @click="begin(s.id)"
            >
              {{ word('handbook-compared') }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <template v-if="checked.length">
      <h2>{{ word('handbook-checked') }}</h2>
      <p v-for="c in checked" :key="c.atS">
        {{
          word('handbook-on-by', {
            reference: c.source?.reference,
            edition: c.edition,
            on: c.on,
            name: job.nameOf(c.by),
            note: c.note,
          })
        }}
      </p>
    </template>
    <h2>{{ word('handbook-practices-and-rules-of', { rest: rest.length }) }}</h2>
    <table class="rows" :aria-label="word('handbook-practices-and-rules-of-ours')">
      <thead>
        <tr>
          <th>{{ word('handbook-reference') }}</th>
          <th>{{ word('handbook-note') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in rest" :key="s.id">
          <td lang="en">{{ s.reference }}</td>
          <td lang="en">{{ s.note }}</td>
        </tr>
      </tbody>
    </table>
    <Sheet v-if="marking" :title="word('handbook-checked-against-a-copy')" @close="marking = null">
      <p lang="en">{{ markingSource?.reference }}</p>
      <PrintedTable v-for="file in markingTables" :key="file.id" :file="file" />
      <p class="why">
        {{ word('handbook-says-every-figure-of', { name: session.person?.name }) }}
      </p>
      <label for="check-edition">{{ word('handbook-edition') }}</label>
      <ElInput id="check-edition" v-model="typed.edition" size="large" placeholder="2018" />
      <label for="check-on">{{ word('handbook-day') }}</label>
      <ElInput id="check-on" v-model="typed.on" size="large" placeholder="2026-11-23" />
      <label for="check-note">{{ word('handbook-note') }}</label>
      <ElInput id="check-note" v-model="typed.note" size="large" :placeholder="word('handbook-table-page')" />
      <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
      <button type="button" class="button main" @click="save">{{ word('handbook-i-compared-it') }}</button>
    </Sheet>
  </section>
</template>

<style scoped>
section {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
label {
  font-weight: 600;
  margin-bottom: -8px;
}
</style>
