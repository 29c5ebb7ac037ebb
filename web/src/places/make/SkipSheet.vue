<script setup lang="ts">
import type { Step } from '@jugalis/core'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** A step that is not done, with its reason in one tap. */
defineProps<{ step: Step }>()
const emit = defineEmits<{ close: []; skip: [reason: string] }>()
const job = useJob()
const REASONS = [
  word('make-done-before-not-written'),
  word('make-not-needed-here'),
  word('make-cannot-be-reached'),
  word('make-told-to-go-on'),
]
</script>

<template>
  <Sheet :title="word('make-skip-this-step')" @close="emit('close')">
    <p>{{ job.t(step.does) }}</p>
    <p class="why">{{ word('make-what-goes-wrong-without', { mistake: job.t(step.mistake) }) }}</p>
    <div class="chips">
      <button v-for="r in REASONS" :key="r" type="button" class="button" @click="emit('skip', r)">
        {{ r }}
      </button>
    </div>
  </Sheet>
</template>
