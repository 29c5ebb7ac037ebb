<script setup lang="ts">
import { type OwnShape, SIGN_REACH, shapesSaid, shapesText } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref, useId, watch } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'
import OwnSign from './OwnSign.vue'

/** A sign put together from simple shapes: tapped on a grid, or typed. */
const shapes = defineModel<readonly OwnShape[]>({ required: true })
const id = useId()
const job = useJob()
const EXAMPLE = shapesText([
  { kind: 'box', at: [-10, -8, 10, 8] },
  { kind: 'circle', at: [0, 0, 4], filled: true },
])
const KINDS = [
  ['line', word('own-line')],
  ['box', word('own-box')],
  ['triangle', word('own-triangle')],
  ['circle', word('own-circle')],
] as const
const POINTS = { line: 2, box: 2, triangle: 3, circle: 2 } as const
const kind = ref<OwnShape['kind']>('box')
const filled = ref(false)
const tapped = ref<number[]>([])
watch(kind, () => (tapped.value = []))
const text = ref(shapesText(shapes.value))
const unclear = ref(false)
watch(shapes, (now) => {
  const same = JSON.stringify(shapesSaid(text.value)) === JSON.stringify(now)
  if (!same) text.value = shapesText(now)
})
function tap(x: number, y: number): void {
  tapped.value.push(x, y)
  if (tapped.value.length < POINTS[kind.value] * 2) return
  const [fromX = 0, fromY = 0, toX = 0, toY = 0] = tapped.value
  const radius = Math.min(SIGN_REACH, Math.round(Math.hypot(toX - fromX, toY - fromY)))
  const at = kind.value === 'circle' ? [fromX, fromY, radius] : [...tapped.value]
  shapes.value = [
    ...shapes.value,
    { kind: kind.value, at, ...(filled.value ? { filled: true as const } : {}) },
  ]
  tapped.value = []
}
function typed(): void {
  const read = shapesSaid(text.value)
  unclear.value = read === null
  if (read) shapes.value = read
}
function takeLast(): void {
  if (tapped.value.length) tapped.value = []
  else shapes.value = shapes.value.slice(0, -1)
}
const left = computed(() => POINTS[kind.value] - tapped.value.length / 2)
</script>

<template>
  <div class="draw">
    <OwnSign :shapes="shapes" :size="220" :tapped="tapped" @tap="tap" />
    <div class="with">
      <ChipChoice v-model="kind" :label="word('own-shape')" :options="KINDS" />
      <label class="filled"><input v-model="filled" type="checkbox" /> {{ word('own-filled') }}</label>
      <p class="why" aria-live="polite">{{ word('own-tap', { kind, left }) }}</p>
      <button
        type="button"
        class="button small"
        :disabled="!shapes.length && !tapped.length"
        @click="takeLast"
      >
        {{ word('own-take-last') }}
      </button>
    </div>
  </div>
  <label :for="id">{{ word('own-as-text') }}</label>
  <ElInput :id="id" v-model="text" size="large" :placeholder="EXAMPLE" @change="typed" />
  <p v-if="unclear" class="refusal" role="alert">
    {{ job.t({ code: 'own-drawing', params: { reach: SIGN_REACH } }) }}
  </p>
</template>

<style scoped>
.draw {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.with {
  flex: 1 1 200px;
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: flex-start;
}
.filled {
  min-height: 44px;
  display: flex;
  align-items: center;
  gap: 8px;
}
</style>
