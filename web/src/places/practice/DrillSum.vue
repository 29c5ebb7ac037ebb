<script setup lang="ts">
import type { Sum } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'
import { answerSaid } from './sum-text'

/** Worked out in the head: one of four. */
const props = defineProps<{ sum: Sum }>()
const emit = defineEmits<{ said: [says: string, right: boolean] }>()
const job = useJob()
const answers = computed(() => props.sum.answers.map((answer) => answerSaid(props.sum, answer, job.reader)))
</script>

<template>
  <div class="ask">
    <h2>{{ word(`practice-sum-${sum.kind}`, sum.params) }}</h2>
    <div class="answers">
      <button
        v-for="(says, at) in answers"
        :key="at"
        type="button"
        class="button"
        @click="emit('said', says, at === sum.right)"
      >
        {{ says }}
      </button>
    </div>
  </div>
</template>

<style scoped src="./drill.css"></style>
