<script setup lang="ts">
import type { Step } from '@jugalis/core'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'

/** A step that is not done, with its reason in one tap. */
defineProps<{ step: Step }>()
const emit = defineEmits<{ close: []; skip: [reason: string] }>()
const job = useJob()
const REASONS = ['done before, not written', 'not needed here', 'cannot be reached', 'told to go on']
</script>

<template>
  <Sheet title="Skip this step" @close="emit('close')">
    <p>{{ job.t(step.does) }}</p>
    <p class="why">What goes wrong without it: {{ job.t(step.mistake) }}</p>
    <div class="chips">
      <button v-for="r in REASONS" :key="r" type="button" class="button" @click="emit('skip', r)">
        {{ r }}
      </button>
    </div>
  </Sheet>
</template>
