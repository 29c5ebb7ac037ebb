<script setup lang="ts">
import { CURE_TABLES, USUAL, begunJoints } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref, watch } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import QuantityField from '../../frame/QuantityField.vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'
import JobLife from './JobLife.vue'
import People from './People.vue'
import Qualifications from './Qualifications.vue'
import { useJobPeople } from './use-job-people'
import UsualFigures from './UsualFigures.vue'
import { usualKept, usualSaid } from './usual-said'

/** What a job is called and whose it is, its hours, and what its joints go by where nothing else is said. */
const job = useJob()
const people = useJobPeople()
const LEAST_OFFSET_MM = 10
const MOST_OFFSET_MM = 300
const asKept = () => {
  const {
    name,
    site = '',
    customer = '',
    drawings = '',
    zone,
    school,
    table,
    checkOffsetMm,
    usual,
  } = job.state.job
  return {
    name,
    site,
    customer,
    drawings,
    zone,
    school,
    table,
    checkOffsetMm: checkOffsetMm as number | null,
    usual: usualSaid(usual),
  }
}
const own = reactive(asKept())
const touched = computed(() => JSON.stringify(own) !== JSON.stringify(asKept()))
// What others change, or what is taken back, is shown unless something is being changed here.
watch(
  () => JSON.stringify(asKept()),
  (now, was) => {
    if (JSON.stringify(own) === was) Object.assign(own, JSON.parse(now))
  },
)
const SCHOOLS = [
  ['metric', word('jobs-metric-cleaner-gap-filling')],
  ['inch', word('jobs-inch-primer-quarter-turn')],
] as const
const TABLES = CURE_TABLES.map((table) => [table, word('about-table', { table })] as const)
const zones = Intl.supportedValuesOf('timeZone')
const isZone = (zone: string): boolean => {
  try {
    return Boolean(Intl.DateTimeFormat('en', { timeZone: zone }))
  } catch {
    return false
  }
}
const begun = computed(() => begunJoints(job.state).size)
/** What begun joints were begun under and keep. */
const kept = computed(
  () =>
    begun.value > 0 &&
    (own.school !== job.state.job.school ||
      own.table !== job.state.job.table ||
      own.checkOffsetMm !== job.state.job.checkOffsetMm),
)
const fault = ref('')
watch(own, () => (fault.value = ''), { deep: true })
async function save(): Promise<void> {
  const { checkOffsetMm } = own
  const usual = usualKept(own.usual)
  const lacks = [
    [!own.name.trim(), 'jobs-give-the-job-a'],
    [!isZone(own.zone.trim()), 'about-no-zone'],
    [checkOffsetMm === null || Number.isNaN(checkOffsetMm), 'about-no-offset'],
    [usual === null, 'about-usual-unread'],
  ] as const
  const first = lacks.find(([is]) => is)
  if (first) return void (fault.value = word(first[1]))
  const said = Object.fromEntries(
    (['site', 'customer', 'drawings'] as const).flatMap((field) =>
      own[field].trim() ? [[field, own[field].trim()]] : [],
    ),
  )
  const { school, table } = own
  const data = {
    name: own.name.trim(),
    zone: own.zone.trim(),
    school,
    table,
    checkOffsetMm,
    usual: usual ?? {},
    ...said,
  }
  await job.write([{ kind: 'job-set', data }], word('about-changed'))
  Object.assign(own, asKept())
}
</script>

<template>
  <div class="place">
    <div class="head">
      <h1>{{ word('about-headline', { name: job.state.job.name, school: job.state.job.school }) }}</h1>
      <p class="why">{{ word('about-says') }}</p>
    </div>
    <form class="about" @submit.prevent="save">
      <label for="about-name">{{ word('ui-name') }}</label>
      <ElInput id="about-name" v-model="own.name" size="large" maxlength="200" />
      <label for="about-site">{{ word('about-site') }}</label>
      <ElInput id="about-site" v-model="own.site" size="large" maxlength="200" />
      <label for="about-customer">{{ word('about-customer') }}</label>
      <ElInput id="about-customer" v-model="own.customer" size="large" maxlength="200" />
      <label for="about-drawings">{{ word('about-drawings') }}</label>
      <ElInput id="about-drawings" v-model="own.drawings" size="large" maxlength="200" />
      <label for="about-zone">{{ word('about-zone') }}</label>
      <ElInput id="about-zone" v-model="own.zone" size="large" list="about-zones" />
      <datalist id="about-zones">
        <option v-for="zone in zones" :key="zone" :value="zone" />
      </datalist>
      <h2>{{ word('about-go-by') }}</h2>
      <p class="strong">{{ word('jobs-school') }}</p>
      <ChipChoice v-model="own.school" :label="word('jobs-school')" :options="SCHOOLS" />
      <p class="strong">{{ word('about-cure-table') }}</p>
      <ChipChoice v-model="own.table" :label="word('about-cure-table')" :options="TABLES" />
      <QuantityField
        v-model="own.checkOffsetMm"
        :label="word('about-check-offset')"
        as="length"
        :least="LEAST_OFFSET_MM"
        :most="MOST_OFFSET_MM"
        :usual="USUAL.checkOffset"
      />
      <UsualFigures v-model="own.usual" />
      <p v-if="kept" class="why" role="status">{{ word('about-begun-keep', { begun }) }}</p>
      <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
      <button type="submit" class="button main" :disabled="!touched">{{ word('about-keep') }}</button>
    </form>
    <People :people="people" />
    <Qualifications :people="people" />
    <JobLife :people="people" />
  </div>
</template>

<style scoped>
.about {
  display: flex;
  flex-direction: column;
  gap: 10px;
  max-width: 560px;
}
label {
  font-weight: 600;
}
h2 {
  margin-block-start: 12px;
}
</style>
