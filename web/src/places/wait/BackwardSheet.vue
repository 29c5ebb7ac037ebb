<script setup lang="ts">
import { type SectionAnswer, backward, dayOf, epochInZone, fmt, startOrLeave } from '@jugalis/core'
import { ElInput, ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select/style/css'
import { computed, reactive, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { keepText, readText } from '../../stored'
import { useJob } from '../../stores/job'
import { when } from '../../when'
import { word } from '../../words/word'
import { Said } from '../../words/said'

/** Backward in time: a test at a time, so when must the last joint be home; and: start this one now, or leave it? */
const props = defineProps<{ answer: SectionAnswer }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const clock = useClock()
const KEY = 'jugalis-pace-min'
const zone = computed(() => job.state.job.zone)
const bar = computed(() => props.answer.section.testBar)
const typed = reactive({
  date: dayOf(clock.nowS + 86400, zone.value),
  time: '14:00',
  pace: readText(KEY) ?? '',
  start: '',
  leave: '07:00',
})
const byS = computed(() => epochInZone(typed.date.trim(), typed.time.trim(), zone.value))
const paceMin = computed(() => Number(typed.pace.replace(',', '.')))
const at = (s: number): string => when(s, clock.nowS, zone.value)
/** Times to be home by are rounded down: to the early side. */
const by = (s: number): string => when(Math.floor(s / 60) * 60, clock.nowS, zone.value)
const ready = computed(() => byS.value !== null && byS.value > clock.nowS && paceMin.value > 0)
const plan = computed(() => {
  if (!ready.value || byS.value === null) return null
  keepText(KEY, typed.pace)
  const facts = props.answer.joints.map((j) => j.facts)
  return backward(facts, bar.value, byS.value, Math.floor(clock.nowS / 60) * 60, paceMin.value * 60)
})
const sentence = computed(() => {
  const found = plan.value
  if (!found) return typed.pace ? word('wait-say-a-day-and') : word('wait-say-how-long-one')
  const pressure = fmt.pressure(bar.value, job.reader)
  const stuck = found.lateMade[0]
  if (stuck)
    return word('wait-not-by-then-is', {
      tag: stuck.tag,
      pressure,
      at: stuck.readyAtS === null ? '' : at(stuck.readyAtS),
      isReadyAtS: stuck.readyAtS === null ? 'yes' : 'no',
    })
  if (!found.order.length) return word('wait-all-joints-are-made')
  const never = found.order.filter((j) => j.latestS === null)
  if (never.length) return word('wait-not-by-then-would', { tag: never[0]?.tag, pressure })
  const late = found.tooLate[0]
  if (late)
    return word('wait-too-tight-at-min', {
      pace: typed.pace,
      tag: late.tag,
      by: by(late.latestS ?? 0),
      at: at(late.homeS),
    })
  return word('wait-last-joint-home-by', {
    by: by(found.lastByS ?? 0),
    pace: typed.pace,
    at: at(found.order.at(-1)?.homeS ?? 0),
  })
})
const oneId = ref(props.answer.joints.find((j) => j.facts.homeAtS === null)?.facts.id ?? '')
const open = computed(() => props.answer.joints.filter((j) => j.facts.homeAtS === null))
/** A time of day stands for the next time the clocks show it. */
function next(text: string, afterS: number): number | null {
  const today = epochInZone(dayOf(afterS, zone.value), text.trim(), zone.value)
  if (today === null) return null
  return today >= afterS - 60
    ? today
    : epochInZone(dayOf(afterS + 86400, zone.value), text.trim(), zone.value)
}
const choice = computed(() => {
  const facts = open.value.find((j) => j.facts.id === oneId.value)?.facts
  const startS = next(typed.start, clock.nowS)
  const leaveS = startS === null ? null : next(typed.leave, startS + 3600)
  if (!facts || startS === null || leaveS === null) return null
  const home = (s: number): number => s + (paceMin.value > 0 ? paceMin.value * 60 : 0)
  return startOrLeave(facts, bar.value, [home(startS), home(leaveS)]).map((x, i) => ({
    says: i ? word('wait-left-until', { at: at(leaveS) }) : word('wait-started-at', { at: at(startS) }),
    home: at(x.homeS),
    ready: x.readyAtS === null ? word('wait-no-figure-by-its') : word('wait-from-at', { at: at(x.readyAtS) }),
  }))
})
</script>

<template>
  <Sheet :title="word('wait-backward-at', { tag: answer.section.tag, bar })" @close="emit('close')">
    <div class="fields">
      <span
        ><label for="by-date">{{ word('wait-test-on') }}</label
        ><ElInput id="by-date" v-model="typed.date" size="large"
      /></span>
      <span
        ><label for="by-time">{{ word('wait-at') }}</label
        ><ElInput id="by-time" v-model="typed.time" size="large"
      /></span>
      <span
        ><label for="by-pace">{{ word('wait-minutes-a-joint') }}</label
        ><ElInput id="by-pace" v-model="typed.pace" size="large" inputmode="numeric"
      /></span>
    </div>
    <p class="strong" role="status">{{ sentence }}</p>
    <ol
      v-if="plan && plan.order.length"
      class="order"
      tabindex="0"
      :aria-label="word('wait-order-to-make-them')"
    >
      <li v-for="j in plan.order.slice(0, 60)" :key="j.jointId">
        <strong>{{ j.tag }}</strong> {{ j.size }}
        <span :class="{ refusal: plan.tooLate.includes(j) }">{{
          j.latestS === null
            ? word('wait-not-possible-any-more')
            : word('wait-home-by', { by: by(j.latestS) })
        }}</span>
      </li>
      <li v-if="plan.order.length > 60">{{ word('wait-and-more', { order: plan.order.length - 60 }) }}</li>
    </ol>
    <template v-if="open.length">
      <h2>{{ word('wait-start-it-or-leave') }}</h2>
      <div class="fields">
        <ElSelect :teleported="false" v-model="oneId" size="large" :aria-label="word('ui-joint')">
          <ElOption
            v-for="j in open"
            :key="j.facts.id"
            :value="j.facts.id"
            :label="`${j.facts.tag}, ${j.facts.place.way.size}`"
          />
        </ElSelect>
        <span
          ><label for="one-start">{{ word('wait-start-at') }}</label
          ><ElInput id="one-start" v-model="typed.start" size="large" placeholder="15:00"
        /></span>
        <span
          ><label for="one-leave">{{ word('wait-or-leave-until') }}</label
          ><ElInput id="one-leave" v-model="typed.leave" size="large"
        /></span>
      </div>
      <p v-for="c in choice ?? []" :key="c.says">
        <Said code="wait-home" :values="{ says: c.says, home: c.home, bar }">
          <template #ready
            ><strong>{{ c.ready }}</strong></template
          >
        </Said>
      </p>
    </template>
    <p class="why">{{ word('wait-by-these-rules-with') }}</p>
    <button type="button" class="button" @click="emit('close')">{{ word('ui-close') }}</button>
  </Sheet>
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px;
}
.fields > * {
  flex: 1 1 110px;
}
label {
  font-weight: 600;
}
.order {
  max-height: 190px;
  overflow-y: auto;
  margin: 0;
  padding-inline-start: 26px;
}
.order li {
  padding: 2px 0;
}
</style>
