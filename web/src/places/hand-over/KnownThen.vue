<script setup lang="ts">
import { type KnownThen, nextOf } from '@jugalis/core'
import { computed, onMounted, ref } from 'vue'
import { NoSignal, api } from '../../api'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { dated } from '../../when'
import { capital, word } from '../../words/word'
import { thingSaid } from '../../frame/job-things'

/** The job as it was known when somebody signed: what came later about before is told apart. */
const props = defineProps<{ entryId: string }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const known = ref<KnownThen | null>(null)
const fault = ref('')
onMounted(async () => {
  try {
    known.value = await api<KnownThen>('GET', `/jobs/${job.jobId}/known/${props.entryId}`)
  } catch (error) {
    fault.value = error instanceof NoSignal ? word('ui-no-signal') : (error as Error).message
  }
})
const things = computed(() => {
  const then = known.value
  if (!then) return []
  const eye = { reader: job.reader, zone: job.state.job.zone, nowS: then.atS }
  return nextOf(then.glance, then.atS).map((thing) => capital(thingSaid(thing, eye)))
})
const later = computed(() => {
  const then = known.value
  if (!then) return []
  return (['readings', 'steps', 'corrections', 'others'] as const).flatMap((what) =>
    then.later[what] ? word('hand-over-later', { what, count: then.later[what] }) : [],
  )
})
</script>

<template>
  <Sheet :title="word('hand-over-known-then')" @close="emit('close')">
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <p v-else-if="!known" role="status">{{ word('hand-over-known-looking') }}</p>
    <template v-else>
      <p class="strong">
        {{
          word('hand-over-known-of', {
            at: dated(known.atS, job.state.job.zone),
            entries: known.entries,
            home: known.glance.joints.home,
            joints: known.glance.joints.all,
          })
        }}
      </p>
      <ul>
        <li v-for="says in things" :key="says">{{ says }}</li>
      </ul>
      <p>{{ word('hand-over-known-since', { since: known.since, later: later.length ? 'yes' : 'no' }) }}</p>
      <ul v-if="later.length" class="later">
        <li v-for="says in later" :key="says">{{ says }}</li>
      </ul>
    </template>
  </Sheet>
</template>

<style scoped>
ul {
  margin: 0 0 10px;
  padding-inline-start: 20px;
}
p {
  margin: 0 0 8px;
}
.later {
  font-weight: 600;
}
</style>
