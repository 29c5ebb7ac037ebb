<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { PLACES, placeOf } from '../router'
import Sheet from './Sheet.vue'

const emit = defineEmits<{ close: [] }>()
/** Key, what it does, and the places it works in; without any it works everywhere. */
const KEYS: readonly (readonly [key: string, says: string, ...places: string[]])[] = [
  ['1 to 6', 'the places, in working order'],
  ['R', 'type in a reading'],
  ['L', 'day and night colours'],
  ['M', 'sound off and on'],
  ['C, Space', 'the nearest clock; Space takes a note of a missed one'],
  ['Ctrl+Z', 'take back; with Shift do it again'],
  ['Esc', 'leave a field'],
  ['?', 'this list'],
  ['J K, arrows', 'next, previous row or piece; with Shift more than one', 'set-out', 'cut', 'make'],
  ['Enter', 'the large action', 'make'],
  ['X, B', 'mark the joint; write the marked ones down together', 'make'],
  ['F8, code', 'a scanned code, tin or tool', 'make'],
  ['[ ]', 'back and on in time', 'wait'],
  ['T', 'now', 'wait'],
  ['F', 'the next filter', 'wait'],
  ['.', 'to the entry line', 'set-out'],
  ['Enter', 'open the row', 'set-out'],
  ['E, I', 'type the row over, insert after it', 'set-out'],
  ['D, Shift+D', 'copy below, take out', 'set-out'],
  ['Alt+arrows', 'move up or down', 'set-out'],
  ['T, Shift+T', 'take-off, that of the branch', 'set-out'],
  ['N', 'a new line', 'set-out'],
  ['+ \u2212 0', 'the drawing: closer, further, fit', 'set-out'],
]
const route = useRoute()
const place = computed(() => PLACES.find((p) => p.name === placeOf(route)))
const here = computed(() => KEYS.filter(([, , ...places]) => places.includes(place.value?.name ?? '')))
const everywhere = KEYS.filter(([, , ...places]) => !places.length)
</script>

<template>
  <Sheet title="Keys" @close="emit('close')">
    <template v-if="here.length">
      <h3>In {{ place?.says }}</h3>
      <dl>
        <template v-for="[key, says] in here" :key="key">
          <dt>{{ key }}</dt>
          <dd>{{ says }}</dd>
        </template>
      </dl>
      <h3>Everywhere</h3>
    </template>
    <dl>
      <template v-for="[key, says] in everywhere" :key="key">
        <dt>{{ key }}</dt>
        <dd>{{ says }}</dd>
      </template>
    </dl>
    <button class="button" type="button" @click="emit('close')">Close</button>
  </Sheet>
</template>

<style scoped>
h3 {
  font: 600 17px/1.2 var(--text);
}
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
