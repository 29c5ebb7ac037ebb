<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import { onPaper } from '../../when'
import { word } from '../../words/word'
import type { Asked } from './drills'

/** The marks of a drill, to be read and printed. */
const props = defineProps<{ asked: readonly Asked[]; tookS: number }>()
defineEmits<{ again: []; end: [] }>()
const job = useJob()
const name = useSession().person?.name ?? ''
const at = onPaper(Date.now() / 1000, job.state.job.zone)
const right = computed(() => props.asked.filter((one) => one.right).length)
const missed = computed(() => props.asked.filter((one) => one.hidden).length)
const print = (): void => window.print()
</script>

<template>
  <div class="marks">
    <h2 role="status">{{ word('practice-marks', { right, all: asked.length }) }}</h2>
    <p v-if="missed">{{ word('practice-marks-eye', { missed }) }}</p>
    <p class="soft">{{ word('practice-marks-took', { took: tookS, name, at }) }}</p>
    <div class="scroll">
      <table class="rows" :aria-label="word('practice-test')">
        <thead>
          <tr>
            <th scope="col" class="num">{{ word('practice-no') }}</th>
            <th scope="col">{{ word('practice-kind') }}</th>
            <th scope="col">{{ word('practice-joint') }}</th>
            <th scope="col">{{ word('practice-was') }}</th>
            <th scope="col">{{ word('practice-you-said') }}</th>
            <th scope="col">{{ word('practice-mark') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, at) in asked" :key="at">
            <td class="num">{{ at + 1 }}</td>
            <td>{{ word(`practice-kind-${row.kind}`) }}</td>
            <td>{{ row.joint }}</td>
            <td>{{ row.was }}</td>
            <td>{{ row.said }}</td>
            <td>
              <b>{{ word(row.right ? 'practice-mark-right' : 'practice-mark-wrong') }}</b>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="buttons no-print">
      <button type="button" class="button main" @click="$emit('again')">
        {{ word('practice-once-more') }}
      </button>
      <button type="button" class="button" @click="$emit('end')">{{ word('practice-to-bench') }}</button>
      <button type="button" class="button" @click="print">{{ word('practice-print') }}</button>
    </div>
  </div>
</template>

<style scoped>
.marks {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.soft {
  color: var(--soft);
}
</style>
