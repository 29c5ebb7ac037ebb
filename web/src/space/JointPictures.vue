<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import { usePrefs } from '../stores/prefs'
import { JointCanvas, type JointScene } from './joint-canvas'

/**
 * Joints of a drawn line in their state, as pictures alone: while time is scrubbed many of them change in a frame. What is
 * pointed at and read aloud lies over it.
 */
const props = defineProps<JointScene>()
const prefs = usePrefs()
const canvas = ref<HTMLCanvasElement>()
let pictures: JointCanvas | null = null
const draw = (): void => pictures?.draw(props)
watch(
  () => [props.joints, props.looks, props.heldBy, props.width, props.height, props.viewBox, prefs.night],
  draw,
  { flush: 'post' },
)
onMounted(() => {
  if (canvas.value) pictures = new JointCanvas(canvas.value)
  draw()
})
</script>

<template>
  <canvas ref="canvas" aria-hidden="true" :style="{ width: `${width}px`, height: `${height}px` }" />
</template>

<style scoped>
canvas {
  display: block;
}
</style>
