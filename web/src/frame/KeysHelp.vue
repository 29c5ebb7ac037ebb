<script setup lang="ts">
import Sheet from './Sheet.vue'

const emit = defineEmits<{ close: [] }>()
const KEYS = [
  ['1 to 6', 'the places, in working order'],
  ['R', 'type in a reading'],
  ['L', 'day and night colours'],
  ['J K, arrows', 'next, previous row'],
  ['Enter', 'in Make: the large action'],
  ['Ctrl+Z', 'take back the last entry'],
  ['Esc', 'leave a field'],
  ['?', 'this list'],
]
</script>

<template>
  <Sheet title="Keys" @close="emit('close')">
    <dl>
      <template v-for="[key, says] in KEYS" :key="key">
        <dt>{{ key }}</dt>
        <dd>{{ says }}</dd>
      </template>
    </dl>
    <button class="button" type="button" @click="emit('close')">Close</button>
  </Sheet>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 8px;
  margin: 0;
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
}
</style>
