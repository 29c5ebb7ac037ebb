<script setup lang="ts">
import { type SectionAnswer, USUAL, fmt, physicsOf, planOf, psiToBar, systemOf } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import { NoSignal, Refused, type Stop } from '../../api'
import ChipChoice from '../../frame/ChipChoice.vue'
import QuantityField from '../../frame/QuantityField.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import { when } from '../../when'
import { useProve } from './use-prove'

const props = defineProps<{ answer: SectionAnswer }>()
const job = useJob()
const session = useSession()
const clock = useClock()
const plan = computed(() => planOf(props.answer.section))
const { rule } = useProve(computed(() => props.answer))
const typed = reactive({
  medium: plan.value.medium as 'water' | 'air' | 'nitrogen',
  temperatureOf: 'wall' as 'medium' | 'wall' | 'air',
  settle: '10',
  gauge: '',
  due: '',
  reason: '',
})
/** In bar. A gauge of the reader's own units is read to one of its usual graduations. */
const inch = systemOf(job.reader, 'pressure') === 'inch'
const given = reactive<Record<'bar' | 'resolution' | 'drift' | 'top', number | null>>({
  bar: props.answer.section.testBar,
  resolution: inch ? psiToBar(1) : 0.05,
  drift: inch ? psiToBar(0.5) : 0.02,
  top: null,
})
const tried = ref(false)
const stops = ref<Stop[]>([])
const fault = ref('')
const busy = ref(false)
const more = ref(false)
/** The server knows neither the reader's units nor their clock: it is said here. */
function sayStop(s: Stop): string {
  const message = s.params ? job.t({ code: s.code, params: s.params }) : s.message
  return s.readyAtS === undefined
    ? message
    : `${message.replace(/\.$/, '')}; from ${when(s.readyAtS, clock.nowS, job.state.job.zone)} it may.`
}
const soft = computed(() => stops.value.length > 0 && stops.value.every((s) => !s.hard))
const read = (t: string): number => Number(t.trim().replace(',', '.'))
async function begin(setAside: boolean): Promise<void> {
  fault.value = ''
  tried.value = true
  const { bar, resolution: resolutionBar, drift: sensorErrorBar, top } = given
  const settle = read(typed.settle)
  if ([bar, resolutionBar, sensorErrorBar, top].some((v) => Number.isNaN(v)))
    return void (fault.value = 'One figure above can\u2019t be taken as it stands.')
  if (bar === null || resolutionBar === null || sensorErrorBar === null)
    return void (fault.value = 'Pressure, graduation and drift of the gauge are needed.')
  if (!(settle >= 0)) return void (fault.value = 'The time to settle is a number of minutes.')
  if (typed.due && !/^\d{4}-\d{2}-\d{2}$/.test(typed.due))
    return void (fault.value = 'The date reads 2027-03-31.')
  if (setAside && !typed.reason.trim())
    return void (fault.value = 'A reason is needed. It is kept in the record.')
  const s = props.answer.section
  const physics = physicsOf(job.state, s)
  const codes = setAside ? [...new Set(stops.value.map((x) => x.code))] : []
  stops.value = []
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
        sensorErrorBar,
        stabiliseS: settle * 60,
        temperatureOf: typed.temperatureOf,
        gauge: typed.gauge,
        tester: session.person?.name ?? '',
        ...(top === null ? {} : { gaugeTopBar: top }),
        ...(typed.due ? { gaugeDueOn: typed.due } : {}),
        ...(plan.value.rule ? { rule: plan.value.rule } : {}),
        ...(rule.value ? { stages: rule.value.stages } : {}),
        ...(physics
          ? { physics: Object.fromEntries(Object.entries(physics).filter(([, v]) => v !== null)) }
          : {}),
        ...(codes.length ? { setAside: codes.map((code) => ({ code, reason: typed.reason.trim() })) } : {}),
      },
    })
    await job.write(
      [{ kind: 'section-state', data: { sectionId: s.id, state: 'under pressure' } }],
      `${s.tag} is under pressure.`,
    )
  } catch (e) {
    if (e instanceof Refused && e.stops.length) stops.value = e.stops
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
  <form class="begin" @submit.prevent="begin(false)">
    <h2>Begin a test</h2>
    <p class="caution">
      <strong>Caution:</strong> keep people back while pressure rises. Never gas on PVC, CPVC or ABS. Never
      open under pressure.
    </p>
    <div class="fields">
      <QuantityField
        v-model="given.bar"
        label="Test pressure"
        as="pressure"
        :least="0.001"
        :most="1000"
        :near="answer.section.testBar"
        :missing="tried"
      />
      <label
        >Gauge <ElInput v-model="typed.gauge" size="large" placeholder="G-07" aria-label="Gauge"
      /></label>
      <QuantityField
        v-model="given.resolution"
        label="Gauge reads to"
        as="fine"
        :least="1e-6"
        :most="10"
        :usual="USUAL.gaugeStep"
        :missing="tried"
      />
      <label
        >Time to settle, min
        <ElInput v-model="typed.settle" size="large" inputmode="decimal" aria-label="Time to settle, min"
      /></label>
    </div>
    <ChipChoice
      v-model="typed.medium"
      label="With"
      :options="[
        ['water', 'water'],
        ['air', 'air'],
        ['nitrogen', 'nitrogen'],
      ]"
    />
    <ChipChoice
      v-model="typed.temperatureOf"
      label="Temperatures are read"
      :options="[
        ['medium', 'inside the pipe'],
        ['wall', 'on the wall'],
        ['air', 'in the air about'],
      ]"
    />
    <button type="button" class="button" :aria-expanded="more" @click="more = !more">
      More of the gauge…
    </button>
    <div v-if="more" class="fields">
      <QuantityField
        v-model="given.top"
        label="Scale ends at"
        as="pressure"
        :least="0.001"
        :most="5000"
        :near="answer.section.testBar * 2"
      />
      <label
        >In date until
        <ElInput v-model="typed.due" size="large" placeholder="2027-03-31" aria-label="In date until"
      /></label>
      <QuantityField
        v-model="given.drift"
        label="May drift"
        as="fine"
        :least="0"
        :most="10"
        :usual="USUAL.gaugeStep"
        :missing="tried"
      />
    </div>
    <p class="why">
      Hold {{ fmt.duration(answer.section.holdS) }}, at most
      {{ fmt.pressureFine(answer.section.allowedDropBar, job.reader) }} lost. Tester:
      {{ session.person?.name }}.
    </p>
    <div v-if="stops.length" role="alert" class="stopped">
      <ul class="stops">
        <li v-for="s in stops" :key="`${s.code}${s.message}`" class="refusal">{{ sayStop(s) }}</li>
      </ul>
      <div v-if="soft" class="aside">
        <label
          >Begin all the same, because
          <ElInput v-model="typed.reason" size="large" aria-label="Reason to begin all the same"
        /></label>
        <button type="button" class="button" :disabled="busy" @click="begin(true)">
          Begin as {{ session.person?.name }}, with this reason
        </button>
      </div>
      <p v-else class="why">
        Nobody can set aside what nobody may do: gas on brittle plastic, more than the weakest part takes, a
        joint that is not made.
      </p>
    </div>
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
.stops {
  list-style: none;
  padding: 0;
  margin: 0;
}
.stopped,
.aside {
  display: flex;
  flex-direction: column;
  gap: 10px;
  width: 100%;
}
.button.main {
  min-height: 56px;
}
</style>
