<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref } from 'vue'
import { sheetOpened } from './sheets'
import { word } from '../words/word'

defineProps<{ title: string }>()
const emit = defineEmits<{ close: [] }>()
const box = ref<HTMLDialogElement>()
/** A field for typing, not a list or a mark to set. */
const TYPED = 'input:not([type=radio], [type=checkbox], [type=file], [role=combobox])'
/** Something was typed that a slip of the thumb beside the sheet must not lose. */
const typed = ref(false)
const kept = ref(false)
let gone: () => void
onMounted(() => {
  box.value?.showModal()
  box.value?.querySelector<HTMLElement>(`${TYPED}, textarea`)?.focus()
  gone = sheetOpened(() => emit('close'))
})
onBeforeUnmount(() => {
  gone()
  window.removeEventListener('beforeunload', ask)
  // Closed, not only taken away: what had the focus before has it again.
  box.value?.close()
})
/** Loaded anew, or left, with something typed: the browser asks first. */
const ask = (e: BeforeUnloadEvent): void => e.preventDefault()
function touch(): void {
  if (!typed.value) window.addEventListener('beforeunload', ask)
  typed.value = true
}
function beside(): void {
  if (typed.value) kept.value = true
  else emit('close')
}
/** Enter in a field does what the sheet's main button does. */
function enter(event: KeyboardEvent): void {
  if (!(event.target as HTMLElement).matches(TYPED)) return
  event.preventDefault()
  box.value?.querySelector<HTMLButtonElement>('.button.main:not(:disabled)')?.click()
}
</script>

<template>
  <dialog
    ref="box"
    class="sheet"
    :aria-label="title"
    @cancel.prevent="emit('close')"
    @close="emit('close')"
    @click.self="beside"
    @input="touch"
    @keydown.enter="enter"
  >
    <div class="inside">
      <div class="top">
        <h2>{{ title }}</h2>
        <button
          type="button"
          class="close"
          :aria-label="word('frame-shut-this-sheet')"
          @click="emit('close')"
        >
          ✕
        </button>
      </div>
      <p v-if="kept" class="why" role="status">{{ word('frame-kept-as-typed-or') }}</p>
      <slot />
    </div>
  </dialog>
</template>

<style scoped>
.sheet {
  border: 2px solid var(--ink);
  border-radius: 2px;
  background: var(--sheet);
  color: var(--ink);
  padding: 0;
  width: min(520px, calc(100vw - 24px));
}
.sheet::backdrop {
  background: rgb(0 0 0 / 45%);
}
.inside {
  display: flex;
  flex-direction: column;
  gap: 14px;
  padding: 18px 20px 20px;
}
/* The whole sheet is scrolled inside a low window: its heading stays. */
.top {
  display: flex;
  align-items: flex-start;
  justify-content: space-between;
  gap: 12px;
}
.close {
  flex: none;
  min-width: 44px;
  min-height: 44px;
  margin: -8px -10px -8px 0;
  border: 0;
  background: none;
  font: 600 20px/1 var(--text);
  cursor: pointer;
}
/* A field's name stands close above it. */
.inside > :slotted(label),
.inside > :deep(label) {
  font-weight: 600;
  margin-bottom: -8px;
}
</style>
