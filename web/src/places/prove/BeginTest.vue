<script setup lang="ts">
import { type SectionAnswer, fmt } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { reactive, ref } from 'vue'
import { NoSignal, Refused, type Stop } from '../../api'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import { when } from '../../when'

const props = defineProps<{ answer: SectionAnswer }>()
const job = useJob()
const session = useSession()
const clock = useClock()
const typed = reactive({
  bar: String(props.answer.section.testBar),
  medium: 'water',
  resolution: '0.05',
  gauge: '',
})
const stops = ref<string[]>([])
const fault = ref('')
const busy = ref(false)
/** The server does not know the reader's clock: when a joint may is said here. */
const sayStop = (s: Stop): string =>
  s.readyAtS === undefined
    ? s.message
    : `${s.message.replace(/\.$/, '')}; from ${when(s.readyAtS, clock.nowS, job.state.job.zone)} it may.`
async function begin(): Promise<void> {
  stops.value = []
  fault.value = ''
  const bar = Number(typed.bar.replace(',', '.'))
  const resolutionBar = Number(typed.resolution.replace(',', '.'))
  if (!(bar > 0 && bar <= 1000))
    return void (fault.value = 'The test pressure is a number in bar, above zero.')
  if (!(resolutionBar > 0 && resolutionBar <= 10))
    return void (fault.value = 'The gauge\u2019s finest graduation is a number in bar, for example 0.05.')
  const s = props.answer.section
  busy.value = true
  try {
    await job.writeNow({
      kind: 'test-begun',
      data: {
        testId: crypto.randomUUID(),
        sectionId: s.id,
        bar,
        medium: typed.medium,
        holdS: s.holdS,
        allowedDropBar: s.allowedDropBar,
        resolutionBar,
        gauge: typed.gauge,
        tester: session.person?.name ?? '',
      },
    })
  } catch (e) {
    if (e instanceof Refused && e.stops.length) stops.value = e.stops.map(sayStop)
    else
      fault.value =
        e instanceof NoSignal
          ? 'No signal. A test begins only when the server has checked the gates.'
          : (e as Error).message
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form class="begin" @submit.prevent="begin">
    <h2>Begin a test</h2>
    <p class="caution">
      <strong>Caution:</strong> keep people back while pressure rises. Never gas on PVC, CPVC or ABS. Never
      open under pressure.
    </p>
    <div class="fields">
      <label
        >Pressure, bar
        <ElInput v-model="typed.bar" size="large" inputmode="decimal" aria-label="Test pressure, bar"
      /></label>
      <label
        >With
        <select v-model="typed.medium" aria-label="Medium">
          <option>water</option>
          <option>air</option>
          <option>nitrogen</option>
        </select></label
      >
      <label
        >Gauge reads to, bar
        <ElInput v-model="typed.resolution" size="large" inputmode="decimal" aria-label="Gauge reads to, bar"
      /></label>
      <label
        >Gauge <ElInput v-model="typed.gauge" size="large" placeholder="G-07, 0 to 25 bar" aria-label="Gauge"
      /></label>
    </div>
    <p class="why">
      Hold {{ fmt.duration(answer.section.holdS) }}, at most
      {{ fmt.number(answer.section.allowedDropBar, 2) }} bar lost. Tester: {{ session.person?.name }}.
    </p>
    <ul v-if="stops.length" class="stops" role="alert">
      <li v-for="s in stops" :key="s" class="refusal">{{ s }}</li>
    </ul>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="submit" class="button main" :disabled="busy">Pressure is on: begin</button>
  </form>
</template>

<style scoped>
.begin {
  display: flex;
  flex-direction: column;
  gap: 10px;
  align-items: flex-start;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 12px;
  width: 100%;
}
label {
  display: flex;
  flex-direction: column;
  gap: 3px;
  font-weight: 600;
}
select {
  min-height: 40px;
  border: 1px solid var(--edge);
  border-radius: 2px;
  background: var(--sheet);
  padding: 0 8px;
}
.stops {
  list-style: none;
  padding: 0;
  margin: 0;
}
.button.main {
  min-height: 56px;
}
</style>
