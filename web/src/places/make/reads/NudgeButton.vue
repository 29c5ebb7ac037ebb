<script setup lang="ts">
import { onBeforeUnmount } from 'vue'

/** One step less or more; held down it runs. Large enough for a gloved thumb. */
defineProps<{ says: string; label: string; disabled?: boolean }>()
const emit = defineEmits<{ nudge: [] }>()
const RUN_MS = 160
let run: ReturnType<typeof setInterval> | undefined
function hold(): void {
  emit('nudge')
  run = setInterval(() => emit('nudge'), RUN_MS)
}
const release = (): void => clearInterval(run)
onBeforeUnmount(release)
</script>

<template>
  <button
    type="button"
    class="nudge"
    :disabled="disabled"
    :aria-label="label"
    @pointerdown="hold"
    @pointerup="release"
    @pointerleave="release"
    @pointercancel="release"
    @keydown.enter.space.prevent="emit('nudge')"
  >
    {{ says }}
  </button>
</template>

<style scoped>
.nudge {
  width: 72px;
  height: 72px;
  flex: none;
  border: 2px solid var(--ink);
  border-radius: 2px;
  background: var(--sheet);
  font: 600 24px/1 var(--figures);
  cursor: pointer;
  touch-action: manipulation;
}
.nudge:disabled {
  border: 2px dashed var(--edge);
  color: var(--soft);
}
</style>
