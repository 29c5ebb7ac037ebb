<script setup lang="ts">
import { type Drill, allMethods, drillOf, isSound, methodOf } from '@jugalis/core'
import { computed, nextTick, ref, watch } from 'vue'
import { useJob } from '../../stores/job'
import { named, told, word } from '../../words/word'
import DrillFault from './DrillFault.vue'
import DrillJudge from './DrillJudge.vue'
import DrillMarks from './DrillMarks.vue'
import DrillOrder from './DrillOrder.vue'
import { type Asked, DRILLS, type DrillName } from './drills'
import { faultName, placeSaid } from './how-text'

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
const kind = computed(() => kinds.value[asked.value.length])
const methods = computed(() => {
  const one = props.method === null ? undefined : methodOf(props.method)
  return one ? [one] : allMethods()
})
const drill = computed((): Drill =>
  drillOf(methods.value, job.reader.units === 'inch' ? 'inch' : 'metric', first.value + asked.value.length),
)
const name = computed(() =>
  word('practice-name', {
    method: told(drill.value.method.name),
    material: named(drill.value.question.material),
    size: drill.value.question.size,
  }),
)
const heading = ref<HTMLElement>()
function said(says: string, right: boolean): void {
  const one: Asked = { kind: kind.value ?? 'judge', drill: drill.value, said: says, right }
  if (one.kind !== 'order') emit('answered', one.drill.method.id, one.drill.fault ?? 'sound', right)
  if (atEnd.value) return keep(one)
  shown.value = one
}
function keep(one: Asked): void {
  shown.value = null
  asked.value = [...asked.value, one]
  if (over.value) tookS.value = (performance.now() - beganMs.value) / 1000
  // The next question is where a keyboard goes on from.
  void nextTick(() => heading.value?.focus())
}
/** What to say of an answer at once. */
const verdict = computed(() => {
  const one = shown.value
  if (!one) return ''
  const { drill: of, right } = one
  if (one.kind === 'order')
    return right
      ? word('practice-right')
      : word('practice-wrong-order', {
          list: of.method
            .steps(of.laid.spec, of.laid.ctx)
            .map((s) => told(s.action, job.reader))
            .join('; '),
        })
  if (of.fault === null) return word(right ? 'practice-right' : 'practice-it-was-sound')
  return word(right ? 'practice-right-was' : 'practice-it-was', {
    cause: faultName(of.method, of.fault),
    pct: Math.round(of.answer.holdsOf * 100),
  })
})
function again(): void {
  first.value = Math.floor(Math.random() * FAR)
  asked.value = []
  shown.value = null
  beganMs.value = performance.now()
}
watch(() => [props.which, props.method], again)
const missed = computed(
  () =>
    asked.value.filter(
      (a) => a.kind === 'judge' && !isSound(a.drill.answer) && a.drill.answer.verdict === 'pass',
    ).length,
)
</script>

<template>
  <div class="run">
    <template v-if="!over">
      <h2 ref="heading" tabindex="-1">
        {{ word('practice-which', { no: asked.length + 1, all: kinds.length }) }}: {{ name }}
      </h2>
      <p class="why">{{ placeSaid(drill.site) }}</p>
      <p v-if="shown" class="told" role="status">{{ verdict }}</p>
      <button v-if="shown" type="button" class="button main next" @click="keep(shown)">
        {{ word('practice-next') }}
      </button>
      <template v-else>
        <DrillJudge v-if="kind === 'judge'" :drill="drill" @said="said" />
        <DrillFault v-else-if="kind === 'fault'" :drill="drill" @said="said" />
        <DrillOrder v-else :drill="drill" @said="said" />
      </template>
      <button type="button" class="button chip give-up" @click="emit('end')">
        {{ word('practice-end') }}
      </button>
    </template>
    <DrillMarks v-else :asked="asked" :missed="missed" :took-s="tookS" @again="again" @end="emit('end')" />
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
