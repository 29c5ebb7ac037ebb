<script setup lang="ts">
import { onMounted, ref } from 'vue'

defineProps<{ title: string }>()
const emit = defineEmits<{ close: [] }>()
const box = ref<HTMLDialogElement>()
/** A field for typing, not a list or a mark to set. */
const TYPED = 'input:not([type=radio], [type=checkbox], [type=file], [role=combobox])'
onMounted(() => {
  box.value?.showModal()
  box.value?.querySelector<HTMLElement>(`${TYPED}, textarea`)?.focus()
})
/** Enter in a field does what the sheet's main button does. */
function enter(e: KeyboardEvent): void {
  if (!(e.target as HTMLElement).matches(TYPED)) return
  e.preventDefault()
  box.value?.querySelector<HTMLButtonElement>('.button.main:not(:disabled)')?.click()
}
</script>

<template>
  <dialog
    ref="box"
    class="sheet"
    :aria-label="title"
    @close="emit('close')"
    @click.self="emit('close')"
    @keydown.enter="enter"
  >
    <div class="inside">
      <h2>{{ title }}</h2>
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
/* A field's name stands close above it. */
.inside > :slotted(label) {
  font-weight: 600;
  margin-bottom: -8px;
}
</style>
