<script setup lang="ts">
import type { ECharts, EChartsCoreOption } from 'echarts/core'
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { usePrefs } from '../stores/prefs'

/**
 * Curves of a chart. Its room is there at once; the library that draws them comes when there are some to draw.
 * @param option asked whenever what it reads changes, and when day turns to night: its colours are those of the page.
 */
const props = defineProps<{ option: () => EChartsCoreOption; label: string }>()
const prefs = usePrefs()
const box = ref<HTMLElement>()
let chart: ECharts | undefined
const draw = (): void => chart?.setOption(props.option(), true)
const sized = new ResizeObserver(() => chart?.resize())
let gone = false
onMounted(async () => {
  const { curvesIn } = await import('./curve-library')
  if (gone || !box.value) return
  chart = curvesIn(box.value)
  sized.observe(box.value)
  draw()
})
watch([() => props.option(), () => prefs.night, () => prefs.prefs.theme], () => requestAnimationFrame(draw))
onBeforeUnmount(() => {
  gone = true
  sized.disconnect()
  chart?.dispose()
})
</script>

<template>
  <div ref="box" class="chart" role="img" :aria-label="label" />
</template>
