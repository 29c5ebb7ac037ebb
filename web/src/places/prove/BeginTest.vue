<script setup lang="ts">
import {
  UNDER_PRESSURE,
  type SectionAnswer,
  type StoreItem,
  USUAL,
  mayBeUsed,
  physicsOf,
  planOf,
  psiToBar,
  standingOf,
  systemOf,
} from '@jugalis/core'
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
import { named, word } from '../../words/word'

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
function sayStop(stop: Stop): string {
  const message = stop.params ? job.t({ code: stop.code, params: stop.params }) : stop.message
  return stop.readyAtS === undefined
    ? message
    : word('prove-from-it-may', {
        message: message.replace(/\.$/, ''),
        when: when(stop.readyAtS, clock.nowS, job.state.job.zone),
      })
}
/** Gauges of the store that may be used: one that is past its calibration, or was found wrong, is not offered. */
const gauges = computed(() =>
  [...job.state.store.values()].filter(
    (item) => item.kind === 'gauge' && mayBeUsed(standingOf(job.state, item, clock.nowS).standing),
  ),
)
function take(item: StoreItem): void {
  typed.gauge = item.name
  typed.due = item.dueOn ?? ''
}
const soft = computed(() => stops.value.length > 0 && stops.value.every((s) => !s.hard))
const read = (t: string): number => Number(t.trim().replace(',', '.'))
async function begin(setAside: boolean): Promise<void> {
  fault.value = ''
  tried.value = true
  const { bar, resolution: resolutionBar, drift: sensorErrorBar, top } = given
  const settle = read(typed.settle)
  if ([bar, resolutionBar, sensorErrorBar, top].some((v) => Number.isNaN(v)))
    return void (fault.value = word('ui-one-figure-above-cant'))
  if (bar === null || resolutionBar === null || sensorErrorBar === null)
    return void (fault.value = word('prove-pressure-graduation-and-drift'))
  if (!(settle >= 0)) return void (fault.value = word('prove-the-time-to-settle'))
  if (typed.due && !/^\d{4}-\d{2}-\d{2}$/.test(typed.due))
    return void (fault.value = word('prove-the-date-reads-2027'))
  if (setAside && !typed.reason.trim()) return void (fault.value = word('prove-a-reason-is-needed'))
  const section = props.answer.section
  const physics = physicsOf(job.state, section)
  const codes = setAside ? [...new Set(stops.value.map((x) => x.code))] : []
  stops.value = []
  busy.value = true
  try {
    await job.writeNow({
      kind: 'test-begun',
      data: {
        testId: crypto.randomUUID(),
        sectionId: section.id,
        bar,
        medium: typed.medium,
        holdS: section.holdS,
        allowedDropBar: section.allowedDropBar,
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
      [{ kind: 'section-state', data: { sectionId: section.id, state: UNDER_PRESSURE } }],
      word('prove-is-under-pressure', { tag: section.tag }),
    )
  } catch (error) {
    if (error instanceof Refused && error.stops.length) stops.value = error.stops
    else fault.value = error instanceof NoSignal ? word('prove-no-signal-a-test') : (error as Error).message
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form class="begin" @submit.prevent="begin(false)">
    <h2>{{ word('prove-begin-a-test') }}</h2>
    <p class="caution">
      <strong>{{ word('ui-caution') }}</strong> {{ word('prove-keep-people-back-while') }}
    </p>
    <div v-if="gauges.length" class="chips" role="group" :aria-label="word('ui-gauge')">
      <button
        v-for="item in gauges"
        :key="item.id"
        type="button"
        class="button"
        :class="{ main: typed.gauge === item.name }"
        :aria-pressed="typed.gauge === item.name"
        @click="take(item)"
      >
        {{ word('prove-take-gauge', { name: item.name }) }}
      </button>
    </div>
    <div class="fields">
      <QuantityField
        v-model="given.bar"
        :label="word('ui-test-pressure')"
        as="pressure"
        :least="0.001"
        :most="1000"
        :near="answer.section.testBar"
        :missing="tried"
      />
      <label
        >{{ word('ui-gauge') }}
        <ElInput v-model="typed.gauge" size="large" placeholder="G-07" :aria-label="word('ui-gauge')"
      /></label>
      <QuantityField
        v-model="given.resolution"
        :label="word('prove-gauge-reads-to')"
        as="fine"
        :least="1e-6"
        :most="10"
        :usual="USUAL.gaugeStep"
        :missing="tried"
      />
      <label
        >{{ word('prove-time-to-settle-min') }}
        <ElInput
          v-model="typed.settle"
          size="large"
          inputmode="decimal"
          :aria-label="word('prove-time-to-settle-min')"
      /></label>
    </div>
    <ChipChoice
      v-model="typed.medium"
      :label="word('prove-with')"
      :options="[
        ['water', named('water')],
        ['air', named('air')],
        ['nitrogen', named('nitrogen')],
      ]"
    />
    <ChipChoice
      v-model="typed.temperatureOf"
      :label="word('prove-temperatures-are-read')"
      :options="[
        ['medium', word('prove-inside-the-pipe')],
        ['wall', word('prove-on-the-wall')],
        ['air', word('prove-in-the-air-about')],
      ]"
    />
    <button type="button" class="button" :aria-expanded="more" @click="more = !more">
      {{ word('prove-more-of-the-gauge') }}
    </button>
    <div v-if="more" class="fields">
      <QuantityField
        v-model="given.top"
        :label="word('prove-scale-ends-at')"
        as="pressure"
        :least="0.001"
        :most="5000"
        :near="answer.section.testBar * 2"
      />
      <label
        >{{ word('prove-in-date-until') }}
        <ElInput
          v-model="typed.due"
          size="large"
          placeholder="2027-03-31"
          :aria-label="word('prove-in-date-until')"
      /></label>
      <QuantityField
        v-model="given.drift"
        :label="word('prove-may-drift')"
        as="fine"
        :least="0"
        :most="10"
        :usual="USUAL.gaugeStep"
        :missing="tried"
      />
    </div>
    <p class="why">
      {{
        word('prove-hold-at-most-lost', {
          holdS: answer.section.holdS,
          allowedDropBar: answer.section.allowedDropBar,
          name: session.person?.name,
        })
      }}
    </p>
    <div v-if="stops.length" role="alert" class="stopped">
      <ul class="stops">
        <li v-for="s in stops" :key="`${s.code}${s.message}`" class="refusal">{{ sayStop(s) }}</li>
      </ul>
      <div v-if="soft" class="aside">
        <label
          >{{ word('prove-begin-all-the-same') }}
          <ElInput v-model="typed.reason" size="large" :aria-label="word('prove-reason-to-begin-all')"
        /></label>
        <button type="button" class="button" :disabled="busy" @click="begin(true)">
          {{ word('prove-begin-as-with-this', { name: session.person?.name }) }}
        </button>
      </div>
      <p v-else class="why">
        {{ word('prove-nobody-can-set-aside') }}
      </p>
    </div>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="submit" class="button main" :disabled="busy">
      {{ word('prove-pressure-is-on-begin') }}
    </button>
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
