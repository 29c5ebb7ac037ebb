<script setup lang="ts">
import { word } from '../../words/word'

/** A few fields of one's own, kept or left as it was. */
defineProps<{ keep: string; ready: boolean }>()
const emit = defineEmits<{ keep: []; leave: [] }>()
</script>

<template>
  <form @submit.prevent="emit('keep')">
    <slot />
    <div class="buttons">
      <button type="submit" class="button main" :disabled="!ready">{{ keep }}</button>
      <button type="button" class="button" @click="emit('leave')">{{ word('settings-leave-it') }}</button>
    </div>
  </form>
</template>

<style scoped>
form {
  display: flex;
  flex-direction: column;
  gap: 6px;
  max-width: 420px;
  margin-block-start: 8px;
}
</style>
