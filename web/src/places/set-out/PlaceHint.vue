<script setup lang="ts">
import { type Line, unitOf } from '@jugalis/core'
import { ref } from 'vue'
import { word } from '../../words/word'
import PointSheet from './PointSheet.vue'

/** How a line is given its place in the building, for whoever has not done it yet. */
defineProps<{ line: Line }>()
const open = ref(false)
</script>

<template>
  <p v-if="!line.stands" class="why">
    {{ word('space-not-placed', { unit: unitOf('distance', { units: line.school }) }) }}
    <button type="button" class="figure-link reach" @click="open = true">{{ word('space-points') }}</button>
    <PointSheet v-if="open" @close="open = false" />
  </p>
</template>
