<script setup lang="ts">
import { type HowDef, type Method, greatest, smallest } from '@jugalis/core'
import { computed, onBeforeUnmount, ref, useId } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'
import { howName, howSaid, optionName } from './how-text'

/** One thing about how a step is done: pulled, typed by arrow keys, or, where it is a time, run. */
const props = defineProps<{
  method: Method
  name: string
  def: HowDef
  worst: readonly number[]
  speed: number
}>()
/** Null: as usual. */
const model = defineModel<number | string | null>({ required: true })
const job = useJob()
const id = useId()
const says = computed(() => howName(props.method, props.name))
const usual = computed(() => Number(props.def.usual))
/** From the least to the most that is worth pulling to: a little beyond what the faults do. */
const range = computed(() => {
  const all = [usual.value, usual.value * 1.6, ...props.worst.map((to) => to + (to - usual.value) * 0.1)]
  const least = Math.max(props.def.min ?? -Infinity, smallest(all))
  const most = Math.min(props.def.max ?? Infinity, greatest(all))
  return { least, most: most > least ? most : least + 1 }
})
/** What the slider stands at, to hundredths: nobody pulls finer. */
const tidy = (x: number): number => Math.round(x * 100) / 100
const step = computed(() => Math.max(0.01, tidy((range.value.most - range.value.least) / 200)))
const value = computed(() => (typeof model.value === 'number' ? model.value : usual.value))
const shown = computed(() =>
  howSaid(props.method, props.name, props.def, model.value ?? props.def.usual, job.reader),
)
function pulled(event: Event): void {
  model.value = Number((event.target as HTMLInputElement).value)
}
const options = computed(() =>
  (props.def.options ?? []).map((o) => [o, optionName(props.method, props.name, o)] as const),
)

/** The time runs, faster than on site where that is chosen, until it is stopped. */
const TICK_MS = 100
const running = ref(false)
let timer: ReturnType<typeof setInterval> | undefined
function run(): void {
  if (running.value) return halt()
  running.value = true
  let before = performance.now()
  model.value = 0
  timer = setInterval(() => {
    const now = performance.now()
    model.value = Math.min(
      props.def.max ?? Infinity,
      Number(model.value) + ((now - before) / 1000) * props.speed,
    )
    before = now
  }, TICK_MS)
}
function halt(): void {
  clearInterval(timer)
  running.value = false
}
onBeforeUnmount(halt)
</script>

<template>
  <div class="how">
    <template v-if="def.options">
      <span class="name">{{ says }}</span>
      <ChipChoice
        :model-value="String(model ?? def.usual)"
        :label="says"
        :options="options"
        @update:model-value="(to) => (model = to)"
      />
    </template>
    <template v-else>
      <label :for="id" class="name"
        >{{ says }} <output :for="id">{{ shown }}</output>
        <span v-if="model === null" class="soft">{{ word('practice-as-usual') }}</span></label
      >
      <div class="pull">
        <input
          :id="id"
          type="range"
          :min="tidy(range.least)"
          :max="tidy(range.most)"
          :step="step"
          :value="tidy(value)"
          :aria-valuetext="shown"
          @input="pulled"
        />
        <button v-if="def.unit === 's'" type="button" class="button" :aria-pressed="running" @click="run">
          {{ word(running ? 'practice-stop' : 'practice-run') }}
        </button>
        <button v-if="model !== null && !running" type="button" class="button chip" @click="model = null">
          {{ word('practice-back') }}
        </button>
      </div>
    </template>
  </div>
</template>

<style scoped>
.how {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.name {
  font-weight: 600;
}
output {
  margin-inline-end: 8px;
  font: 600 20px/1 var(--figures);
  margin-inline-start: 6px;
}
.soft {
  color: var(--soft);
  font-weight: 400;
}
.pull {
  display: flex;
  gap: 10px;
  align-items: center;
}
input[type='range'] {
  flex: 1;
  min-width: 120px;
  min-height: 44px;
  accent-color: var(--ink);
}
</style>
