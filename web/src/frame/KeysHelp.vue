<script setup lang="ts">
import Sheet from './Sheet.vue'

const emit = defineEmits<{ close: [] }>()
const KEYS = [
  ['1 to 6', 'the places, in working order'],
  ['R', 'type in a reading'],
  ['L', 'day and night colours'],
  ['J K, arrows', 'next, previous row or piece; with Shift more than one'],
  ['Enter', 'open the row; in Make: the large action'],
  ['X, B', 'Make: mark the joint; write the marked ones down together'],
  ['F8, code', 'Make: a scanned code, tin or tool'],
  ['C, Space', 'the nearest clock; Space takes a note of a missed one'],
  ['M', 'sound off and on'],
  ['[ ]', 'Wait: back and on in time; T: now; F: the next filter'],
  ['.', 'Set out: to the entry line'],
  ['E, I', 'Set out: type the row over, insert after it'],
  ['D, Shift+D', 'Set out: copy below, take out'],
  ['Alt+arrows', 'Set out: move up or down'],
  ['T, Shift+T', 'Set out: take-off, that of the branch'],
  ['N', 'Set out: a new line'],
  ['+ \u2212 0', 'the drawing: closer, further, fit'],
  ['Ctrl+Z', 'take back; with Shift do it again'],
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
