<script setup lang="ts">
import { type Drill, type Sum, allMethods, drillOf, isSound, methodOf, sumOf } from '@jugalis/core'
import { computed, nextTick, ref, watch } from 'vue'
import { useJob } from '../../stores/job'
import { named, told, word } from '../../words/word'
import DrillFault from './DrillFault.vue'
import DrillJudge from './DrillJudge.vue'
import DrillMarks from './DrillMarks.vue'
import DrillOrder from './DrillOrder.vue'
import DrillSum from './DrillSum.vue'
import { type Asked, DRILLS, type DrillName } from './drills'
import { faultName, placeSaid } from './how-text'
import { answerSaid } from './sum-text'

/** A drill from its first question to its marks. In a trade test, and among ten joints, answers are told at the end. */
const props = defineProps<{ which: DrillName; method: string | null }>()
const emit = defineEmits<{ answered: [method: string, what: string, right: boolean]; end: [] }>()
const job = useJob()
const FAR = 1_000_000
const first = ref(Math.floor(Math.random() * FAR))
const asked = ref<Asked[]>([])
const shown = ref<Asked | null>(null)
const beganMs = ref(performance.now())
const tookS = ref(0)
const kinds = computed(() => DRILLS[props.which])
const atEnd = computed(() => props.which === 'test' || props.which === 'judge')
const over = computed(() => asked.value.length >= kinds.value.length && !shown.value)
const kind = computed(() => kinds.value[asked.value.length] ?? 'judge')
const methods = computed(() => {
  const one = props.method === null ? undefined : methodOf(props.method)
  return one ? [one] : allMethods()
})
const school = computed(() => (job.reader.units === 'inch' ? 'inch' : 'metric'))
const no = computed(() => first.value + asked.value.length)
const drill = computed((): Drill => drillOf(methods.value, school.value, no.value))
const sum = computed((): Sum => sumOf(school.value, no.value))
const joint = computed(() =>
  kind.value === 'sum'
    ? ''
    : word('practice-name', {
        method: told(drill.value.method.name),
        material: named(drill.value.question.material),
        size: drill.value.question.size,
      }),
)
const title = computed(() => {
  const says = word('practice-which', { no: asked.value.length + 1, all: kinds.value.length })
  return joint.value ? `${says}: ${joint.value}` : says
})
/** What was right, in words. */
const was = computed(() => {
  const { method, fault, laid } = drill.value
  if (kind.value === 'sum') return answerSaid(sum.value, sum.value.answers[sum.value.right] ?? '', job.reader)
  if (kind.value === 'order')
    return method
      .steps(laid.spec, laid.ctx)
      .map((step) => told(step.action, job.reader))
      .join('; ')
  return fault === null ? word('practice-sound') : faultName(method, fault)
})
const heading = ref<HTMLElement>()
function said(says: string, right: boolean): void {
  const { method, fault, answer } = drill.value
  if (kind.value === 'judge' || kind.value === 'fault') emit('answered', method.id, fault ?? 'sound', right)
  const hidden = kind.value === 'judge' && !isSound(answer) && answer.verdict === 'pass'
  const one = { kind: kind.value, joint: joint.value, was: was.value, said: says, right, hidden }
  if (atEnd.value) return keep(one)
  shown.value = one
}
function keep(one: Asked): void {
  shown.value = null
  asked.value = [...asked.value, one]
  if (over.value) tookS.value = (performance.now() - beganMs.value) / 1000
  // The next question is where a keyboard goes on from.
  void nextTick(() => {
    heading.value?.focus({ preventScroll: true })
    document.getElementById('work')?.scrollTo({ top: 0 })
  })
}
/** What to say of an answer at once. */
const verdict = computed(() => {
  const one = shown.value
  if (!one) return ''
  if (one.kind === 'order' || one.kind === 'sum')
    return one.right ? word('practice-right') : word(`practice-wrong-${one.kind}`, { was: one.was })
  if (drill.value.fault === null) return word(one.right ? 'practice-right' : 'practice-it-was-sound')
  return word(one.right ? 'practice-right-was' : 'practice-it-was', {
    cause: one.was,
    pct: Math.round(drill.value.answer.holdsOf * 100),
  })
})
function again(): void {
  first.value = Math.floor(Math.random() * FAR)
  asked.value = []
  shown.value = null
  beganMs.value = performance.now()
}
watch(() => [props.which, props.method], again)
</script>

<template>
  <div class="run">
    <template v-if="!over">
      <h2 ref="heading" tabindex="-1">{{ title }}</h2>
      <p v-if="joint" class="why">{{ placeSaid(drill.site) }}</p>
      <p v-if="shown" class="told" role="status">{{ verdict }}</p>
      <button v-if="shown" type="button" class="button main next" @click="keep(shown)">
        {{ word('practice-next') }}
      </button>
      <template v-else>
        <DrillSum v-if="kind === 'sum'" :sum="sum" @said="said" />
        <DrillJudge v-else-if="kind === 'judge'" :drill="drill" @said="said" />
        <DrillFault v-else-if="kind === 'fault'" :drill="drill" @said="said" />
        <DrillOrder v-else :drill="drill" @said="said" />
      </template>
      <button type="button" class="button chip give-up" @click="emit('end')">
        {{ word('practice-end') }}
      </button>
    </template>
    <DrillMarks v-else :asked="asked" :took-s="tookS" @again="again" @end="emit('end')" />
  </div>
</template>

<style scoped>
.run {
  display: flex;
  flex-direction: column;
  gap: 14px;
}
.told {
  font-size: 20px;
  font-weight: 600;
}
.next {
  min-height: 96px;
  max-width: 720px;
}
.give-up {
  align-self: flex-start;
}
</style>
