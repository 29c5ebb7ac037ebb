<script setup lang="ts">
import { entryText } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { shopNow } from '../../shop'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { previewOf, useImport } from './use-import'
import ChipChoice from '../../frame/ChipChoice.vue'
import ImportColumns from './ImportColumns.vue'
import { FIELD_WORDS, useColumns } from './use-columns'
import { importEntries } from './line-entries'
import { Figures } from '../../words/said'
import { named, word } from '../../words/word'

/** A schedule from CSV or a workbook: columns matched, looked at, and taken whole or not at all. */
const job = useJob()
const view = useView()
const route = useRoute()
const router = useRouter()
const { found, read, faults, failed, running, open, turnTo, check, stop } = useImport()
const line = computed(() => view.lines.find((l) => l.id === route.params.lineId) ?? null)
const name = ref('')
const how = useColumns(found, line.value?.school ?? job.reader.units)
const taking = ref(false)

async function pick(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  ;(event.target as HTMLInputElement).value = ''
  if (!file) return
  name.value = file.name
  how.firstRow.value = '2'
  await open(file)
}
function look(): void {
  if (line.value) check(how.asked(), line.value)
}
const counts = computed(() => {
  const items = read.value?.lines.flatMap((l) => l.items) ?? []
  const pieces = items.filter((i) => i.type === 'piece').length
  return {
    pieces,
    fittings: items.length - pieces,
    lines: read.value?.lines.filter((l) => l.tag !== null).map((l) => l.tag) ?? [],
  }
})
const preview = computed(() => previewOf(read.value?.lines ?? []))
const headline = computed(() => {
  if (!line.value) return word('set-out-there-is-no-such')
  if (running.value) return running.value.says
  if (read.value)
    return word('set-out-rows-make', {
      rows: read.value.rows,
      pieces: counts.value.pieces,
      fittings: counts.value.fittings,
    })
  if (faults.value.length) return word('set-out-nothing-is-taken-rows', { faults: faults.value.length })
  if (found.value) return word('set-out-rows-say-what-the', { name: name.value, rows: found.value.rows })
  return word('set-out-a-schedule-into-from', { tag: line.value.tag })
})
async function take(): Promise<void> {
  const own = line.value
  if (!own || !read.value) return
  taking.value = true
  try {
    const shop = shopNow(job.state)
    const entries = importEntries(own, read.value.lines, view.lines, shop)
    await job.write(entries, word('set-out-rows-are-taken', { name: name.value, rows: read.value.rows }))
    await router.push({ name: 'set-out', params: { jobId: job.jobId as string, lineId: own.id } })
  } finally {
    taking.value = false
  }
}
</script>

<template>
  <div class="place">
    <div class="head">
      <h1 aria-live="polite"><Figures :text="headline" /></h1>
      <p v-if="line" class="why">
        {{
          word('set-out-it-comes-in-whole', {
            tag: line.tag,
            material: named(line.material),
            school: line.school,
          })
        }}
      </p>
      <p v-for="n in found?.notes ?? []" :key="n.code" class="warn">{{ word(n.code, n.values) }}</p>
      <p v-if="failed" class="refusal" role="alert">{{ failed }}</p>
    </div>
    <div v-if="running" class="progress">
      <progress :value="running.share" max="1" :aria-label="word('set-out-reading-the-file')" />
      <button type="button" class="button" @click="stop">{{ word('set-out-stop') }}</button>
    </div>
    <div class="buttons">
      <label class="button" :class="{ main: !found }" for="schedule-file">{{
        found ? word('set-out-another-file') : word('set-out-choose-a-file')
      }}</label>
      <input
        id="schedule-file"
        class="file"
        type="file"
        accept=".csv,.txt,.xlsx,text/csv"
        :disabled="!line"
        @change="pick"
      />
      <button
        v-if="found"
        type="button"
        class="button"
        :class="{ main: !read }"
        :disabled="running !== null"
        @click="look"
      >
        {{ word('set-out-look-at-it') }}
      </button>
      <button v-if="read" type="button" class="button main" :disabled="taking" @click="take">
        {{ word('set-out-take-rows', { rows: read.rows }) }}
      </button>
      <RouterLink
        v-if="line"
        class="button"
        :to="{ name: 'set-out', params: { jobId: job.jobId, lineId: line.id } }"
        >{{ word('set-out-back-to', { tag: line.tag }) }}</RouterLink
      >
    </div>
    <p v-if="found && found.sheets.length > 1" class="strong">{{ word('set-out-sheet-of-this-workbook') }}</p>
    <ChipChoice
      v-if="found && found.sheets.length > 1"
      :label="word('set-out-sheet-of-this-workbook')"
      :model-value="found.sheet"
      :options="found.sheets.map((s) => [s, s] as const)"
      @update:model-value="(s: string | null) => s && turnTo(s)"
    />
    <div
      v-if="faults.length"
      class="scroll"
      role="region"
      :aria-label="word('set-out-rows-to-mend')"
      tabindex="0"
    >
      <p v-for="f in faults.slice(0, 100)" :key="`${f.row} ${f.field}`">
        <strong>{{
          word('set-out-row', { row: f.row, field: f.field ? word(FIELD_WORDS[f.field]).toLowerCase() : '' })
        }}</strong>
        {{ job.t(f.says) }}
      </p>
    </div>
    <template v-if="read">
      <p v-if="counts.lines.length" class="why">
        {{ word('set-out-lines-named-in-it', { lines: counts.lines.join(', ') }) }}
      </p>
      <table class="rows" :aria-label="word('set-out-parts-read')">
        <thead>
          <tr>
            <th>{{ word('set-out-line') }}</th>
            <th>{{ word('set-out-part') }}</th>
            <th>{{ word('set-out-as-typed') }}</th>
            <th>{{ word('set-out-joints-named') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="p in preview" :key="p.item.id">
            <td>{{ p.tag ?? line?.tag }}</td>
            <td class="strong">{{ p.item.tag }}</td>
            <td>
              {{ entryText(p.item, { units: how.units.value })
              }}{{ p.item.type === 'piece' ? `, ${p.item.size}` : '' }}
            </td>
            <td>{{ p.item.jointTags.filter(Boolean).join(', ') }}</td>
          </tr>
        </tbody>
      </table>
    </template>
    <template v-else-if="found">
      <ImportColumns :found="found" :how="how" />
    </template>
    <p v-else-if="!running" class="why">
      {{ word('set-out-a-row-may-be') }}
    </p>
  </div>
</template>

<style scoped>
.file {
  position: absolute;
  width: 1px;
  height: 1px;
  opacity: 0;
}
.file:focus-visible + .button,
.buttons:has(.file:focus-visible) label {
  outline: 3px solid var(--copper);
  outline-offset: 2px;
}
.progress {
  display: flex;
  gap: 12px;
  align-items: center;
}
.scroll {
  max-height: 50vh;
}
</style>
