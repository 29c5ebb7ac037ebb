<script setup lang="ts">
import { type TestRun, longestGapS } from '@jugalis/core'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { type Device, instrumentsOf, silences } from '../../instruments'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'

/** Says so when a logger on the section gives nothing while a test runs. */
const props = defineProps<{ test: TestRun }>()
const EVERY_MS = 5000
const job = useJob()
const clock = useClock()
const devices = ref<Device[]>([])
const says = computed(() => silences(devices.value, props.test, longestGapS(props.test.holdS), clock.nowS))
let timer: ReturnType<typeof setTimeout> | undefined
let gone = false
async function look(): Promise<void> {
  try {
    devices.value = await instrumentsOf(job.jobId)
  } catch {
    // Without signal nothing is known of them; the strip says that there is none.
  }
  if (!gone) timer = setTimeout(() => void look(), EVERY_MS)
}
onMounted(look)
onBeforeUnmount(() => {
  gone = true
  clearTimeout(timer)
})
</script>

<template>
  <ul v-if="says.length" class="silence" role="status">
    <li v-for="m in says" :key="`${m.code}${m.params.name}`">{{ job.t(m) }}</li>
  </ul>
</template>

<style scoped>
.silence {
  list-style: none;
  margin: 0;
  padding: 6px 10px;
  border-inline-start: 4px solid var(--wet);
  font-weight: 600;
}
</style>
