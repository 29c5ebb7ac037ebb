<script setup lang="ts">
import { DEFAULT_AROUND, allEntries, contextOf, methodOf, specOf } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import JointSection from '../../tapes/JointSection.vue'
import { word } from '../../words/word'

/** One way to join pipe: its name, its joint in section, how many sizes it has. */
const props = defineProps<{ methodId: string }>()
const emit = defineEmits<{ open: [] }>()
const job = useJob()
const method = computed(() => methodOf(props.methodId))
const entries = computed(() => allEntries().filter((e) => e.method === props.methodId))
const shapes = computed(() => {
  const own = method.value
  const entry = entries.value[Math.floor(entries.value.length / 3)]
  if (!own || !entry) return []
  const read = specOf(own, entry)
  if (!('spec' in read)) return []
  const ctx = contextOf(entry, DEFAULT_AROUND)
  // Every step done: the joint as it should be.
  const done = own.steps(read.spec, ctx).map((step, i) => ({
    eventId: '',
    step: step.id,
    earliestS: i,
    latestS: i,
    readings: {},
    by: '',
  }))
  return own.section(read.spec, { no: 1, done, interrupted: [] }, ctx)
})
</script>

<template>
  <button v-if="method" type="button" class="card" @click="emit('open')">
    <JointSection v-if="shapes.length" :shapes="shapes" :height="104" bare />
    <span class="name">{{ job.t(method.name) }}</span>
    <span class="count">{{ word('handbook-joints', { joints: entries.length }) }}</span>
  </button>
</template>

<style scoped>
.card {
  display: flex;
  flex-direction: column;
  gap: 4px;
  min-width: 0;
  padding: 8px 10px 10px;
  border: 2px solid var(--ink);
  border-radius: 2px;
  background: var(--sheet);
  color: var(--ink);
  text-align: start;
  cursor: pointer;
}
.name {
  font: 600 22px/1.1 var(--figures);
}
.count {
  color: var(--soft);
}
</style>
