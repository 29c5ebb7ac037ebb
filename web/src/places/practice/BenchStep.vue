<script setup lang="ts">
import { type HowDef, type OnBench, type Step, drawnRound, fromTimes } from '@jugalis/core'
import { computed, ref, watch } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import ManyChips from '../../frame/ManyChips.vue'
import { useJob } from '../../stores/job'
import { told, word } from '../../words/word'
import HowField from './HowField.vue'
import PaintRing from './PaintRing.vue'
import { faultName } from './how-text'

/** One step on the bench: done as usual, wrong on purpose, or otherwise in any of what it asks. */
const props = defineProps<{ laid: OnBench; step: Step; first: boolean }>()
const emit = defineEmits<{
  done: [
    {
      step: string
      waitS: number
      how: Record<string, number | string>
      spoil: { fault: string; amount: number }[]
    },
  ]
  leave: []
  back: []
}>()
const job = useJob()
const BETWEEN_S = 30
const AMOUNTS = [
  [0.3, word('practice-a-little')],
  [0.6, word('practice-half')],
  [1, word('practice-wholly')],
] as const
const SPEEDS = [1, 10, 60].map((n) => [n, word('practice-times', { n })] as const)
const speed = ref<number | null>(10)
const amount = ref<number | null>(1)
/** Somebody telephones before this step; it takes so long. */
const PHONE_S = 300
const phone = ref(false)
const wrong = ref<string[]>([])
const said = ref<Record<string, number | string>>({})
watch(
  () => `${props.step.id} ${props.laid.play.chance.even('')}`,
  () => {
    wrong.value = []
    said.value = {}
    phone.value = false
    drawing.value = false
    passes.value = null
  },
)
const hows = computed(() =>
  Object.entries(props.laid.play.hows).filter(([, def]) => def.step === props.step.id && !def.again),
)
const faults = computed(() =>
  Object.entries(props.laid.faults)
    .filter(([, fault]) => fault.step === props.step.id)
    .map(([id]) => [id, faultName(props.laid.method, id)] as const),
)
/** What is put on round the pipe can be drawn on; the figures follow from it. */
const rounds = computed(() => hows.value.filter(([, def]) => def.round))
const drawing = ref(false)
const passes = ref<readonly number[] | null>(null)
function draw(): void {
  drawing.value = !drawing.value
  passes.value = null
  for (const [key] of rounds.value) set(key, null)
}
watch(passes, (put) => {
  if (!put) return
  for (const [key, def] of rounds.value) {
    const drawn = drawnRound(def.round ?? 'mean', put, Number(def.usual))
    set(key, Math.min(def.max ?? Infinity, Math.max(def.min ?? 0, drawn)))
  }
})
const timed = computed(() => hows.value.some(([, def]) => def.unit === 's'))
/** How far the faults of this joint take a figure. */
const worstOf = (key: string): number[] =>
  Object.values(props.laid.faults).flatMap((fault) => {
    const to = fault.to[key]
    return typeof to === 'number' ? [to] : []
  })
function set(key: string, value: number | string | null): void {
  const rest = Object.entries(said.value).filter(([own]) => own !== key)
  said.value = Object.fromEntries(value === null ? rest : [...rest, [key, value]])
}
function done(): void {
  const wait = hows.value.find(([, def]) => def.wait)
  const waits = ([key, def]: readonly [string, HowDef]): number => Number(said.value[key] ?? def.usual)
  emit('done', {
    step: props.step.id,
    waitS: (wait ? waits(wait) : BETWEEN_S) + (phone.value ? PHONE_S : 0),
    how: Object.fromEntries(
      hows.value
        .filter(([key, def]) => !fromTimes(def) && key in said.value)
        .map(([key]) => [key, said.value[key] as number | string]),
    ),
    spoil: wrong.value.map((fault) => ({ fault, amount: amount.value ?? 1 })),
  })
}
</script>

<template>
  <div class="step">
    <p class="look">{{ told(step.lookFor, job.reader) }}</p>
    <p v-for="caution in step.cautions" :key="caution.code" class="warn">{{ told(caution, job.reader) }}</p>
    <div class="two">
      <section v-if="hows.length" class="asked">
        <h2>{{ word('practice-how') }}</h2>
        <HowField
          v-for="[key, def] in hows"
          :key="`${step.id} ${key}`"
          :model-value="said[key] ?? null"
          :method="laid.method"
          :name="key"
          :def="def"
          :worst="worstOf(key)"
          :speed="speed ?? 1"
          @update:model-value="(to) => set(key, to)"
        />
        <template v-if="rounds.length">
          <PaintRing v-if="drawing" v-model="passes" />
          <div class="buttons">
            <button type="button" class="button" :aria-expanded="drawing" @click="draw">
              {{ word(drawing ? 'practice-ring-clear' : 'practice-ring-draw') }}
            </button>
          </div>
        </template>
        <ChipChoice v-if="timed" v-model="speed" :label="word('practice-speed')" :options="SPEEDS" />
      </section>
      <section v-if="faults.length">
        <h2>{{ word('practice-wrong') }}</h2>
        <div role="group" :aria-label="word('practice-wrong')">
          <ManyChips v-model="wrong" :options="faults" />
        </div>
        <ChipChoice
          v-if="wrong.length"
          v-model="amount"
          :label="word('practice-how-badly')"
          :options="AMOUNTS"
        />
      </section>
    </div>
    <button
      v-if="!first"
      type="button"
      class="button chip phone"
      :aria-pressed="phone"
      @click="phone = !phone"
    >
      {{ word(phone ? 'practice-phone-on' : 'practice-phone', { s: PHONE_S }) }}
    </button>
    <div class="act" :class="{ loose: drawing }">
      <button type="button" class="button main" @click="done">{{ told(step.action, job.reader) }}</button>
      <button type="button" class="button" @click="emit('leave')">{{ word('practice-leave-out') }}</button>
      <button v-if="!first" type="button" class="button" @click="emit('back')">
        {{ word('practice-step-back') }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.phone {
  align-self: flex-start;
}
.phone[aria-pressed='true'] {
  border: 2px solid var(--ink);
  background: var(--tape);
  color: #1b2024;
}
.step,
.asked,
section {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.look {
  font-size: 18px;
}
.two {
  display: flex;
  flex-wrap: wrap;
  gap: 16px 40px;
}
.two section {
  flex: 1 1 320px;
  max-width: 560px;
}
.act {
  position: sticky;
  inset-block-end: 0;
  z-index: 4;
  padding-block: 10px;
  background: var(--paper);
  border-block-start: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
/* What is drawn on wants all the room there is. */
.act.loose {
  position: static;
}
.act .main {
  flex: 1 1 100%;
  min-height: 96px;
  max-width: 720px;
  font-size: 22px;
}
.act .button:not(.main) {
  min-height: 56px;
}
</style>
