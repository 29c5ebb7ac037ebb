<script setup lang="ts">
import type { Finding } from '@jugalis/core'
import { nextTick, onBeforeUnmount, onMounted, ref } from 'vue'
import { useJob } from '../stores/job'
import { keepJson, readJson } from '../stored'
import { word } from '../words/word'
import CameraSheet from './CameraSheet.vue'

/** A code, scanned or typed. A barcode wedge types as a keyboard does; F8 before the code brings it here from anywhere. */
const props = defineProps<{
  /** Takes what the code names; gives what is to be said of it, nothing where it is in hand. */
  scan: (code: string) => Finding | null
  /** What is said where it is taken. */
  taken: (code: string) => string
  /** The button where much space is left. */
  large?: boolean
}>()
const job = useJob()
const open = ref(false)
const code = ref('')
const says = ref('')
const field = ref<HTMLInputElement>()
const camera = ref(false)
/** Whoever read by camera the last time reads so again: one tap less with gloves on. */
const BY_CAMERA = 'scan-by-camera'
function look(): void {
  camera.value = true
}
function closed(): void {
  camera.value = false
  keepJson(BY_CAMERA, false)
}
function seen(text: string): void {
  camera.value = false
  keepJson(BY_CAMERA, true)
  code.value = text
  read()
}
/** Keys of a wedge come faster than a field can take the focus: from F8 to Enter they all belong to the code. */
let wedge = false
const PAUSE_MS = 1500
let pause: ReturnType<typeof setTimeout> | undefined
function start(): void {
  open.value = true
  code.value = ''
  says.value = ''
  void nextTick(() => field.value?.focus())
}
/** By hand: with the camera where it served the last time. */
function begin(): void {
  start()
  camera.value = readJson(BY_CAMERA) === true
}
function read(): void {
  if (!code.value.trim()) return
  const wrong = props.scan(code.value)
  says.value = wrong ? job.t(wrong) : props.taken(code.value.trim())
  code.value = ''
}
function onKey(event: KeyboardEvent): void {
  if (event.key === 'F8') {
    start()
    wedge = true
  } else if (!wedge) return
  else if (event.key === 'Enter') {
    wedge = false
    read()
  } else if (event.key === 'Backspace') code.value = code.value.slice(0, -1)
  else if (event.key.length === 1 && !event.ctrlKey && !event.metaKey) code.value += event.key
  else return
  event.preventDefault()
  event.stopImmediatePropagation()
  clearTimeout(pause)
  // Whoever pressed F8 by hand types on in the field.
  pause = setTimeout(() => (wedge = false), PAUSE_MS)
}
onMounted(() => window.addEventListener('keydown', onKey, true))
onBeforeUnmount(() => {
  clearTimeout(pause)
  window.removeEventListener('keydown', onKey, true)
})
</script>

<template>
  <button v-if="!open" type="button" class="button" :class="{ large }" @click="begin">
    {{ word('make-scan-a-code') }}
  </button>
  <span v-else class="scan">
    <input
      ref="field"
      v-model="code"
      :aria-label="word('make-code-of-a-tin')"
      :placeholder="word('make-code')"
      autocomplete="off"
      @keydown.enter.prevent="read"
    />
    <button type="button" class="button" @click="look">{{ word('camera-use') }}</button>
    <span role="status">{{ says }}</span>
    <CameraSheet v-if="camera" @close="closed" @code="seen" />
  </span>
</template>

<style scoped>
.scan {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
input {
  min-height: 56px;
  width: 160px;
  padding: 0 12px;
  border: 2px solid var(--edge);
  border-radius: 2px;
  background: var(--sheet);
  color: var(--ink);
  font: 600 22px var(--figures);
}
.button {
  min-height: 56px;
}
/* Found by a gloved thumb without looking. */
.large {
  min-height: 132px;
  flex: 1 1 100%;
  font-size: 22px;
}
</style>
