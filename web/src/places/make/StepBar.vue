<script setup lang="ts">
import type { Step } from '@jugalis/core'
import { told, word } from '../../words/word'

const props = defineProps<{
  steps: readonly Step[]
  done: readonly string[]
  window: boolean
  failed: boolean
}>()
const stateOf = (step: Step, i: number): 'done' | 'wet' | 'now' | 'later' => {
  if (props.done.includes(step.id)) return 'done'
  const first = props.steps.findIndex((x) => !props.done.includes(x.id))
  return i === first ? (props.window ? 'wet' : 'now') : 'later'
}
</script>

<template>
  <ol class="bar" :aria-label="word('make-steps')">
    <li v-for="(s, i) in steps" :key="s.id" :class="stateOf(s, i)">
      <span class="sr">{{ word(`make-step-${stateOf(s, i)}`, { does: told(s.action) }) }}</span>
    </li>
  </ol>
</template>

<style scoped>
.bar {
  display: flex;
  gap: 5px;
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  flex: 1;
  height: 9px;
  border: 2px solid var(--ink);
  position: relative;
}
.done {
  background: var(--ink);
}
.wet {
  background: repeating-linear-gradient(45deg, var(--wet) 0 5px, var(--sheet) 5px 10px);
  border-color: var(--wet);
}
.now {
  background: linear-gradient(to right, var(--ink) 0 30%, transparent 30%);
}
</style>
