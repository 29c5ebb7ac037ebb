<script setup lang="ts">
import { onMounted, ref } from 'vue'

defineProps<{ title: string }>()
const emit = defineEmits<{ close: [] }>()
const box = ref<HTMLDialogElement>()
onMounted(() => box.value?.showModal())
</script>

<template>
  <dialog ref="box" class="sheet" :aria-label="title" @close="emit('close')" @click.self="emit('close')">
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
</style>
