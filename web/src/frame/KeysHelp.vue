<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { PLACES, placeOf } from '../router'
import Sheet from './Sheet.vue'
import { word } from '../words/word'

const emit = defineEmits<{ close: [] }>()
/** Key, what it does, and the places it works in; without any it works everywhere. */
const KEYS: readonly (readonly [key: string, says: string, ...places: string[]])[] = [
  ['1 to 6', word('frame-the-places-in-working')],
  ['R', word('frame-type-in-a-reading')],
  ['L', word('frame-day-and-night-colours')],
  ['M', word('frame-sound-off-and-on')],
  ['C, Space', word('frame-the-nearest-clock-space')],
  ['Ctrl+Z', word('frame-take-back-with-shift')],
  ['Esc', word('frame-leave-a-field')],
  ['?', word('frame-this-list')],
  [word('frame-j-k-arrows'), word('frame-next-previous-row-or'), 'set-out', 'cut', 'make'],
  ['Enter', word('frame-the-large-action'), 'make'],
  ['X, B', word('frame-mark-the-joint-write'), 'make'],
  ['F8, code', word('frame-a-scanned-code-tin'), 'make'],
  ['[ ]', word('frame-back-and-on-in'), 'wait'],
  ['T', 'now', 'wait'],
  ['F', word('frame-the-next-filter'), 'wait'],
  ['.', word('frame-to-the-entry-line'), 'set-out'],
  ['Enter', word('frame-open-the-row'), 'set-out'],
  ['E, I', word('frame-type-the-row-over'), 'set-out'],
  ['D, Shift+D', word('frame-copy-below-take-out'), 'set-out'],
  [word('frame-alt-arrows'), word('frame-move-up-or-down'), 'set-out'],
  ['T, Shift+T', word('frame-take-off-that-of'), 'set-out'],
  ['N', word('frame-a-new-line'), 'set-out'],
  ['G', word('frame-change-the-line'), 'set-out'],
  ['+ \u2212 0', word('frame-the-drawing-closer-further'), 'set-out'],
]
const route = useRoute()
const place = computed(() => PLACES.find((p) => p.name === placeOf(route)))
const here = computed(() => KEYS.filter(([, , ...places]) => places.includes(place.value?.name ?? '')))
const everywhere = KEYS.filter(([, , ...places]) => !places.length)
</script>

<template>
  <Sheet :title="word('frame-keys')" @close="emit('close')">
    <template v-if="here.length">
      <h3>{{ word('frame-in', { says: place && word(place.says) }) }}</h3>
      <dl>
        <template v-for="[key, says] in here" :key="key">
          <dt>{{ key }}</dt>
          <dd>{{ says }}</dd>
        </template>
      </dl>
      <h3>{{ word('frame-everywhere') }}</h3>
    </template>
    <dl>
      <template v-for="[key, says] in everywhere" :key="key">
        <dt>{{ key }}</dt>
        <dd>{{ says }}</dd>
      </template>
    </dl>
    <button class="button" type="button" @click="emit('close')">{{ word('ui-close') }}</button>
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
