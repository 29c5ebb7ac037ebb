<script setup lang="ts">
import type { Msg } from '@jugalis/core'
import { useJob } from '../stores/job'
import { word } from '../words/word'

/** What is wrong with the lines of a list that was to be loaded whole. */
defineProps<{ faults: readonly { line: number; column: string; says: Msg }[] }>()
const job = useJob()
const TOLD = 30
</script>

<template>
  <div v-if="faults.length" role="alert">
    <p class="refusal">
      {{ word('frame-nothing-was-loaded-rows', { faults: faults.length }) }}
    </p>
    <p v-for="f in faults.slice(0, TOLD)" :key="f.line">
      <strong>{{ word('frame-line', { line: f.line, column: f.column }) }}</strong>
      {{ job.t(f.says) }}
    </p>
  </div>
</template>
