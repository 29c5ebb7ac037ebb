<script setup lang="ts">
import { fmt } from '@jugalis/core'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** A try on the free bench, with what was different. */
export interface Tried {
  no: number
  joint: string
  different: string
  weepsAtBar: number | null
  triedToBar: number
}
defineProps<{ tries: readonly Tried[] }>()
const job = useJob()
</script>

<template>
  <section class="no-print">
    <h2>{{ word('practice-tries') }}</h2>
    <p v-if="!tries.length" class="soft">{{ word('practice-no-tries') }}</p>
    <div v-else class="scroll">
      <table class="rows" :aria-label="word('practice-tries')">
        <thead>
          <tr>
            <th scope="col">{{ word('practice-try-joint') }}</th>
            <th scope="col">{{ word('practice-try-wrong') }}</th>
            <th scope="col">{{ word('practice-try-result') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in tries" :key="one.no">
            <td>{{ one.joint }}</td>
            <td>{{ one.different || word('practice-try-nothing') }}</td>
            <td>
              {{
                one.weepsAtBar === null
                  ? word('practice-try-beyond', { bar: one.triedToBar })
                  : fmt.pressure(one.weepsAtBar, job.reader)
              }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.soft {
  color: var(--soft);
}
</style>
