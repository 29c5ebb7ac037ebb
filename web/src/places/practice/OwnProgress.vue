<script setup lang="ts">
import { methodOf } from '@jugalis/core'
import { computed } from 'vue'
import { told, word } from '../../words/word'
import { faultName } from './how-text'
import type { useProgress } from './use-progress'

/** How it goes, by method and fault, and what is due again. */
const props = defineProps<{ progress: ReturnType<typeof useProgress> }>()
defineEmits<{ drill: [method: string] }>()
const nameOf = (method: string, what: string): string => {
  const known = methodOf(method)
  if (!known) return what
  const says = what === 'sound' ? word('practice-sound') : faultName(known, what)
  return `${told(known.name)}, ${says}`
}
const entries = computed(() => props.progress.entries.value)
const due = computed(() => props.progress.due.value.slice(0, 5))
const sums = computed(() => {
  const by = new Map<string, { right: number; all: number }>()
  for (const one of entries.value) {
    const had = by.get(one.method) ?? { right: 0, all: 0 }
    by.set(one.method, { right: had.right + one.right, all: had.all + one.all })
  }
  return [...by].map(([method, sum]) => ({
    method,
    says: told(methodOf(method)?.name ?? { code: 'ui-other', params: {} }),
    ...sum,
  }))
})
</script>

<template>
  <section class="no-print">
    <h2>{{ word('practice-progress') }}</h2>
    <p v-if="!entries.length" class="soft">{{ word('practice-progress-none') }}</p>
    <template v-else>
      <p v-if="due.length">
        {{ word('practice-progress-due', { list: due.map((d) => nameOf(d.method, d.what)).join('; ') }) }}
      </p>
      <p v-else>{{ word('practice-progress-none-due') }}</p>
      <ul>
        <li v-for="sum in sums" :key="sum.method">
          {{ sum.says }}: {{ word('practice-progress-right', { right: sum.right, all: sum.all }) }}
        </li>
      </ul>
      <div class="buttons">
        <button v-if="due.length" type="button" class="button" @click="$emit('drill', due[0]?.method ?? '')">
          {{ word('practice-progress-due-drill') }}
        </button>
        <button type="button" class="button chip" @click="progress.forget()">
          {{ word('practice-progress-forget') }}
        </button>
      </div>
      <p class="soft">{{ word('practice-progress-scheme') }}</p>
    </template>
  </section>
</template>

<style scoped>
section {
  display: flex;
  flex-direction: column;
  gap: 8px;
  border-block-start: 2px solid var(--ink);
  padding-block-start: 12px;
}
ul {
  margin: 0;
  padding-inline-start: 20px;
}
.soft {
  color: var(--soft);
}
</style>
