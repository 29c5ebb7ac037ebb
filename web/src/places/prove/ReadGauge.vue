<script setup lang="ts">
import { type TestRun, greatest, longestGapS } from '@jugalis/core'
import { computed, reactive, ref } from 'vue'
import QuantityField from '../../frame/QuantityField.vue'
import { useJob } from '../../stores/job'
import { hhmmss } from '../../when'
import { word } from '../../words/word'
import LogFile from './LogFile.vue'

/** What the gauge shows, typed by a person or taken from a file; `over`: the hold has ended. */
const props = defineProps<{ test: TestRun; over: boolean }>()
const job = useJob()
const given = reactive<{ bar: number | null; temperatureC: number | null }>({ bar: null, temperatureC: null })
/** A reading that this section can hardly show: asked about once before it is kept. */
const doubted = ref('')
const fault = ref('')
const file = ref(false)
const TEMPERATURE = {
  medium: word('prove-temperature-inside'),
  wall: word('prove-temperature-of-the-wall'),
  air: word('prove-temperature-of-the-air'),
}
const zone = computed(() => job.state.job.zone)
const last = computed(() => props.test.readings.at(-1) ?? null)
function taken(says: string): void {
  file.value = false
  fault.value = says
}
/** Where a person reads the gauge: how often at least, and by when the next time. */
const nextRead = computed(() => {
  const reading = last.value
  if (!reading?.typed || props.over) return ''
  const everyS = longestGapS(props.test.holdS)
  return word('prove-read-it-at-least', { everyS, at: hhmmss(reading.atS + everyS, zone.value) })
})
const FAR = { above: 1.5, below: 0.5 }
/** Why a reading should be looked at again; empty where it goes on from what was read. */
function doubtOf(bar: number): string {
  const most = greatest([props.test.bar, ...props.test.stages.map((x) => x.bar)])
  if (bar > FAR.above * most) return word('prove-is-far-above-the', { bar, most })
  const before = last.value?.bar ?? 0
  return before > 0 && bar < FAR.below * before ? word('prove-is-less-than-half', { bar, before }) : ''
}
async function read(): Promise<void> {
  fault.value = ''
  const { bar, temperatureC } = given
  if (Number.isNaN(bar) || Number.isNaN(temperatureC)) return
  if (bar === null) return void (fault.value = word('prove-type-what-the-gauge'))
  const doubt = doubtOf(bar)
  if (doubt && doubted.value !== doubt) return void (doubted.value = doubt)
  doubted.value = ''
  await job.write(
    [
      {
        kind: 'test-read',
        // Not the time on the screen, which goes in steps: what is read follows what was signed before it.
        data: { testId: props.test.id, atS: Date.now() / 1000, bar, temperatureC },
      },
    ],
    word('prove-read-2', { bar }),
  )
  given.bar = null
}
</script>

<template>
  <form class="type" @submit.prevent="read">
    <QuantityField
      v-model="given.bar"
      :label="word('prove-gauge-now')"
      as="fine"
      :least="-1"
      :most="1000"
      :near="last?.bar ?? test.bar"
    />
    <QuantityField
      v-model="given.temperatureC"
      :label="TEMPERATURE[test.temperatureOf]"
      as="temperature"
      :least="-40"
      :most="100"
      :near="last?.temperatureC ?? 15"
    />
    <button type="submit" class="button">{{ word('prove-read') }}</button>
    <button type="button" class="button" :aria-expanded="file" @click="file = !file">
      {{ word('prove-from-a-file') }}
    </button>
  </form>
  <p v-if="nextRead" class="why">{{ nextRead }}</p>
  <div v-if="doubted" class="refusal" role="alert">
    {{ doubted }}
    <button type="button" class="button" @click="read">{{ word('prove-it-is-right-keep') }}</button>
  </div>
  <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
  <LogFile v-if="file" :test="test" @done="taken" />
</template>

<style scoped>
.type {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: flex-end;
}
.button {
  min-height: 56px;
}
</style>
