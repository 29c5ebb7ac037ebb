<script setup lang="ts">
import { type Growth, type LineInSpace, asOne, drawMoved, vectorLength } from '@jugalis/core'
import { computed } from 'vue'
import { pathOf } from '../../space/sign-path'
import SpaceLine from '../../space/SpaceLine.vue'
import { useFittedView } from '../../space/use-space-view'
import { useView } from '../../view'
import { word } from '../../words/word'

/** A line with its movement drawn over it, larger than it is. */
const props = defineProps<{ space: LineInSpace; growth: Growth; kelvin: number }>()
const emit = defineEmits<{ pick: [id: string] }>()
const view = useView()
const { width, height, look, drawn, viewBox } = useFittedView(
  computed(() => asOne(props.space)),
  {
    wide: 360,
    narrow: 300,
  },
)
/** The largest movement is drawn as long as this, drawing units. */
const LARGEST = 44
const bows = computed(() => props.growth.bows.get(props.space.line.id) ?? [])
const perMm = computed(() => {
  let most = 0
  for (const { movedMm } of bows.value)
    for (const moved of movedMm) most = Math.max(most, vectorLength(moved) * Math.abs(props.kelvin))
  return most > 0 ? LARGEST / most : 0
})
const moved = computed(() =>
  drawMoved(
    props.space,
    drawn.value,
    { name: look.value.view, turns: look.value.turns },
    bows.value,
    props.kelvin,
    perMm.value,
  ).map((points) => pathOf(points)),
)
</script>

<template>
  <div ref="box">
    <svg
      class="drawing"
      :width="width"
      :height="height"
      :viewBox="viewBox"
      role="group"
      :aria-label="word('growth-drawn', { tag: space.line.tag })"
    >
      <SpaceLine :drawn="drawn" :looks="view.looks" :current="null" @pick="(id) => emit('pick', id)" />
      <path v-for="(d, at) in moved" :key="at" :d="d" class="moved" />
    </svg>
    <p class="why">{{ word('growth-drawn-larger') }}</p>
  </div>
</template>

<style scoped>
.drawing {
  display: block;
}
.moved {
  fill: none;
  stroke: var(--copper);
  stroke-width: 3;
  stroke-dasharray: 9 4;
  stroke-linecap: round;
}
</style>
