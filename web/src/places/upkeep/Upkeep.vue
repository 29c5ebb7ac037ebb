<script setup lang="ts">
import { type CareTask, type Section, upkeepCsv } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { saveFile } from '../../save-file'
import { useJob } from '../../stores/job'
import { useNarrow } from '../../use-narrow'
import { Figures } from '../../words/said'
import { word } from '../../words/word'
import CarePanel from './CarePanel.vue'
import DeviceSheet from './DeviceSheet.vue'
import DoneSheet from './DoneSheet.vue'
import DueTape from './DueTape.vue'
import InUseSheet from './InUseSheet.vue'
import IntervalSheet from './IntervalSheet.vue'
import SectionCares from './SectionCares.vue'
import { useUpkeep } from './use-upkeep'

/** Joints live on after the hand-over: what is due on which day, done with its readings, and what became of each joint. */
const job = useJob()
const route = useRoute()
const router = useRouter()
const narrow = useNarrow()
const { today, tasks, sections, anyInUse, headline, why } = useUpkeep()
const dated = computed(() => tasks.value.filter(({ dueOn }) => dueOn !== null))
const chosenKey = computed(() => (typeof route.query.task === 'string' ? route.query.task : null))
const chosen = computed(() => tasks.value.find(({ key }) => key === chosenKey.value) ?? null)
const choose = (task: CareTask | null): unknown =>
  router.push({
    name: 'upkeep',
    params: { jobId: job.jobId },
    query: task ? { task: task.key } : {},
  })

const sheet = ref<'done' | 'interval' | null>(null)
const sheetFor = ref<CareTask | null>(null)
function open(what: 'done' | 'interval', task: CareTask): void {
  sheetFor.value = task
  sheet.value = what
}
const using = ref<Section | null>(null)
const carrying = ref<{ section: Section; deviceId: string | null } | null>(null)
const save = (): void =>
  saveFile(upkeepCsv(tasks.value, today.value, job.state.job.zone, job.reader), 'text/csv', 'upkeep.csv')
const print = (): void => window.print()
</script>

<template>
  <div class="place">
    <div class="head">
      <h1><Figures :text="headline" /></h1>
      <p class="why">{{ why }}</p>
    </div>
    <DueTape v-if="dated.length" :tasks="dated" :today-on="today" :chosen-key="chosenKey" />
    <div class="buttons no-print">
      <RouterLink class="button" :to="{ name: 'hand-over', params: { jobId: job.jobId } }">{{
        word('upkeep-to-hand-over')
      }}</RouterLink>
      <template v-if="tasks.length">
        <button type="button" class="button" @click="save">{{ word('upkeep-as-csv') }}</button>
        <button type="button" class="button" @click="print">{{ word('ui-print') }}</button>
      </template>
      <RouterLink
        v-if="!sections.length"
        class="button main"
        :to="{ name: 'set-out', params: { jobId: job.jobId } }"
        >{{ word('app-set-out') }}</RouterLink
      >
    </div>
    <div class="list-and-one" :class="{ narrow }">
      <div v-if="!(narrow && chosen)" class="sections">
        <SectionCares
          v-for="section in sections"
          :key="section.id"
          :section="section"
          :first-use="!anyInUse"
          :tasks="tasks.filter((task) => task.section.id === section.id)"
          :today-on="today"
          :chosen-key="chosenKey"
          @use="using = section"
          @device="(deviceId) => (carrying = { section, deviceId })"
          @done="(task) => open('done', task)"
        />
      </div>
      <CarePanel
        v-if="chosen"
        :task="chosen"
        :today-on="today"
        @done="open('done', chosen)"
        @interval="open('interval', chosen)"
        @close="choose(null)"
      />
      <p v-else-if="chosenKey" class="refusal" role="alert">{{ word('upkeep-not-there') }}</p>
    </div>
    <InUseSheet v-if="using" :section="using" :today-on="today" @close="using = null" />
    <DeviceSheet
      v-if="carrying"
      :section="carrying.section"
      :device-id="carrying.deviceId"
      @close="carrying = null"
    />
    <DoneSheet v-if="sheet === 'done' && sheetFor" :task="sheetFor" @close="sheet = null" />
    <IntervalSheet v-if="sheet === 'interval' && sheetFor" :task="sheetFor" @close="sheet = null" />
  </div>
</template>

<style scoped>
.sections {
  display: flex;
  flex-direction: column;
  gap: 18px;
}
</style>
