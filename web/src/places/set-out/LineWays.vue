<script setup lang="ts">
import type { Line } from '@jugalis/core'
import { word } from '../../words/word'
import type { LineWay } from './use-ways'

/** The ways of joining in a line of several, each with how many joints it has and what it asks of the line. */
defineProps<{ line: Line; ways: readonly LineWay[] }>()
const emit = defineEmits<{ ask: [method: string] }>()
</script>

<template>
  <p class="why ways">
    <span v-for="w in ways" :key="w.method">
      {{ word('set-out-joints-by', { way: w.name, joints: w.joints }) }}
      <button
        v-if="w.asks"
        type="button"
        class="figure-link"
        :aria-label="word('set-out-way-of-line', { way: w.name, tag: line.tag })"
        @click="emit('ask', w.method)"
      >
        {{ word(w.said ? 'set-out-way-said' : 'set-out-way-asks') }}
      </button>
    </span>
  </p>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
}
</style>
