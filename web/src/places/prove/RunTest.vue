<script setup lang="ts">
import {
  type Judgement,
  type TestRun,
  correctedCourse,
  fmt,
  heldPart,
  heldStage,
  overWeakest,
  saysOf,
  seriesOf,
  stageNow,
  steadyFromS,
} from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import { hhmmss } from '../../when'
import LastReadings from './LastReadings.vue'
import LoggerSilence from './LoggerSilence.vue'
import ReadGauge from './ReadGauge.vue'
import StageGuide from './StageGuide.vue'
import TestChart from './TestChart.vue'
import { word } from '../../words/word'

const props = defineProps<{ test: TestRun; judgement: Judgement }>()
const job = useJob()
const clock = useClock()
const session = useSession()
const asksWhere = ref(false)
const where = ref('')
const zone = computed(() => job.state.job.zone)
/** The readings that are judged: of several stages, those of the hold. */
const held = computed(() => heldPart(props.test))
const stage = computed(() => stageNow(props.test))
/** The hold has not begun: there is nothing to judge yet. */
const before = computed(() => stage.value !== null && stage.value.index < heldStage(props.test))
const series = computed(() => seriesOf(job.state, props.test))
const says = computed(() => saysOf(props.judgement, props.test))
const steadyS = computed(() => steadyFromS(correctedCourse(series.value, props.judgement), props.test))
/** Steady since, with the first reading's clock. */
const steady = computed(() =>
  props.judgement.course === null
    ? ''
    : steadyS.value === null
      ? word('prove-not-steady-yet')
      : word('prove-steady-since', {
          at: hhmmss((held.value.readings[0]?.atS ?? 0) + steadyS.value, zone.value),
        }),
)
/** A reading that no part was made for: said until the pressure is off, and kept for the certificate. */
const over = computed(() => {
  const over = overWeakest(job.state, props.test)
  return over
    ? {
        code: 'test-over-weakest',
        params: {
          bar: over.bar,
          limitBar: over.limit.atGaugeBar,
          name: over.limit.name,
          at: hhmmss(over.atS, zone.value),
        },
      }
    : null
})
const last = computed(() => props.test.readings.at(-1) ?? null)
const holdEndsS = computed(
  () => (held.value.readings[0]?.atS ?? clock.nowS) + props.test.stabiliseS + props.test.holdS,
)
const left = computed(() => Math.max(0, Math.ceil(holdEndsS.value - clock.nowS)))
async function leak(): Promise<void> {
  await job.write(
    [
      {
        kind: 'leak-seen',
        data: { testId: props.test.id, where: where.value.trim() || word('ui-not-said') },
      },
    ],
    word('prove-a-leak-is-written'),
  )
  asksWhere.value = false
}
/** Who began it ends it; who leads the job may, with a reason. What I am here may not be known yet: then the server says. */
const own = computed(() => props.test.by === session.person?.personId)
const mayEnd = computed(() => own.value || job.leading)
const asksWhy = ref(false)
const reason = ref('')
const askOrEnd = (): unknown => (own.value ? end() : (asksWhy.value = !asksWhy.value))
async function end(): Promise<void> {
  const judged = props.judgement
  await job.write(
    [
      {
        kind: 'test-ended',
        data: {
          testId: props.test.id,
          verdict: judged.verdict,
          dropBar: judged.correctedDropBar,
          rawDropBar: judged.rawDropBar,
          uncertaintyBar: judged.uncertaintyBar,
          leakRateLPerH: judged.leakRateLPerH,
          ...(own.value ? {} : { reason: reason.value.trim() }),
          note: props.test.leaks.length
            ? word('prove-leak-seen', { where: props.test.leaks[0]?.where })
            : job.t(says.value),
        },
      },
    ],
    word('prove-test-ended', { verdict: judged.verdict }),
  )
}
</script>

<template>
  <div class="run">
    <div class="now">
      <span class="big">{{
        last ? fmt.pressureFine(last.bar, job.reader) : word('prove-no-reading-yet')
      }}</span>
      <span v-if="!stage || stage.stage.name === 'hold'" class="left">{{
        left > 0 ? word('prove-left', { clock: fmt.clock(left) }) : word('prove-hold-is-over')
      }}</span>
    </div>
    <p v-if="over" class="refusal over" role="alert">
      {{ job.t(over) }}
    </p>
    <LoggerSilence :test="test" />
    <StageGuide :test="test" />
    <TestChart v-if="held.readings.length" :test="held" :series="series" :judgement="judgement" />
    <p v-if="!before" class="says" role="status">
      {{ test.leaks.length ? word('prove-lost-a-leak-was') : job.t(says) }}
      {{ steady }}
      {{ judgement.moreTimeS ? word('prove-more-would-settle-it', { moreTimeS: judgement.moreTimeS }) : '' }}
      {{
        judgement.mostly && judgement.verdict !== 'held'
          ? job.t({ code: `mostly-${judgement.mostly}`, params: {} })
          : ''
      }}
      {{
        judgement.verdict === 'lost' && judgement.leakRateLPerH !== null
          ? word('prove-about', { leakRateLPerH: judgement.leakRateLPerH })
          : ''
      }}
    </p>
    <div class="stops">
      <button type="button" class="button stop" @click="asksWhere = !asksWhere">
        {{ word('prove-i-see-a-leak') }}
      </button>
      <button
        type="button"
        class="button"
        :class="{ main: left === 0 }"
        :disabled="!mayEnd"
        @click="askOrEnd"
      >
        {{ word('prove-end-the-test', { verdict: judgement.verdict }) }}
      </button>
    </div>
    <p v-if="!mayEnd" class="why">{{ word('prove-only-its-tester', { tester: job.nameOf(test.by) }) }}</p>
    <form v-if="asksWhy" class="type" @submit.prevent="end">
      <label class="wide"
        >{{ word('prove-why-not-its-tester', { tester: job.nameOf(test.by) }) }}
        <ElInput v-model="reason" size="large" maxlength="200"
      /></label>
      <button type="submit" class="button main" :disabled="!reason.trim()">
        {{ word('prove-end-the-test', { verdict: judgement.verdict }) }}
      </button>
    </form>
    <form v-if="asksWhere" class="type" @submit.prevent="leak">
      <label
        >{{ word('prove-where') }}
        <ElInput
          v-model="where"
          size="large"
          :aria-label="word('prove-where-it-leaks')"
          :placeholder="word('prove-q2-07-at-the')"
      /></label>
      <button type="submit" class="button main">{{ word('ui-write-it-down') }}</button>
      <p class="caution">
        <strong>{{ word('ui-caution') }}</strong> {{ word('prove-let-the-pressure-off-before') }}
      </p>
    </form>
    <ReadGauge :test="test" :over="left === 0" />
    <LastReadings v-if="test.readings.length" :readings="test.readings" />
    <p class="why">
      {{ word('prove-the-temperatures-share-is') }}
    </p>
  </div>
</template>

<style scoped>
.run {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.now {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 4px 24px;
}
.big {
  font: 600 64px/1 var(--figures);
}
.left {
  font: 600 30px/1 var(--figures);
}
.says {
  font-size: 19px;
  font-weight: 600;
  margin: 0;
}
.stops,
.type {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: flex-end;
}
.type label {
  display: flex;
  flex-direction: column;
  font-weight: 600;
  width: 140px;
}
.type .wide {
  flex: 1;
}
.button {
  min-height: 56px;
}
.stop {
  border-color: var(--stop);
  border-width: 3px;
  font-weight: 700;
}
/* What can hurt somebody stands before all else, wherever the rest goes. */
.over {
  order: -2;
}
/* The sentence first, then the chart: what stops the test comes to lie at the thumb. */
@media (max-width: 720px) {
  .now,
  .guide,
  .says {
    order: -1;
  }
}
</style>
