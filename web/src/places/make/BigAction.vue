<script setup lang="ts">
import { ref } from 'vue'
import { usePrefs } from '../../stores/prefs'

/** The one large action. On a wet screen it wants a press of 0.6 s, so that rain drops start nothing. */
const props = defineProps<{ label: string; hint?: string; disabled?: boolean; small?: boolean }>()
const emit = defineEmits<{ act: [] }>()
const WET_MS = 600
const prefs = usePrefs()
const pressing = ref(false)
let timer: ReturnType<typeof setTimeout> | undefined

function down(): void {
  if (!prefs.prefs.wet || props.disabled) return
  pressing.value = true
  timer = setTimeout(() => {
    pressing.value = false
    emit('act')
  }, WET_MS)
}
function up(): void {
  clearTimeout(timer)
  pressing.value = false
}
function click(event: MouseEvent): void {
  // A key press gives a click without a pointer: it needs no guarding against rain.
  if (!prefs.prefs.wet || event.detail === 0) emit('act')
}
</script>

<template>
  <button
    type="button"
    class="action"
    :class="{ pressing, small }"
    :disabled="disabled"
    @click="click"
    @pointerdown="down"
    @pointerup="up"
    @pointerleave="up"
    @pointercancel="up"
  >
    <span class="label">{{ label }}</span>
    <span v-if="hint" class="hint">{{ hint }}</span>
  </button>
</template>

<style scoped>
.action {
  width: 100%;
  min-height: 132px;
  border: 2px solid var(--copper-edge);
  border-radius: 2px;
  background: var(--copper-fill);
  color: var(--on-copper);
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  gap: 4px;
  cursor: pointer;
  touch-action: manipulation;
}
.action.small {
  min-height: 96px;
}
.label {
  font: 600 32px/1.1 var(--figures);
  text-align: center;
}
.hint {
  font-size: 17px;
}
.action:disabled {
  background: transparent;
  border: 2px dashed var(--edge);
  color: var(--ink);
  cursor: default;
}
.pressing {
  outline: 8px solid var(--wet);
  outline-offset: 0;
  transition: outline-width 0.6s linear;
}
@media (min-width: 1181px), (max-height: 780px) {
  .action {
    min-height: 96px;
  }
}
</style>
