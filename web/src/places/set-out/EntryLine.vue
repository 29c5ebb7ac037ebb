<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed } from 'vue'
import type { EntryLineState } from './use-entry'
import { word } from '../../words/word'
import { Said } from '../../words/said'
import { type Line, entryExamples, useGroup } from '@jugalis/core'
import { useJob } from '../../stores/job'

const props = defineProps<{ entry: EntryLineState; fault: string; line: Line }>()
const job = useJob()
const { text, doubt, offers, lately, groups, where, pending } = props.entry
const shown = computed(() =>
  text.value.trim()
    ? offers.value
    : [...lately.value.slice(0, 3), ...groups.value.slice(0, 3).map((g) => useGroup(g.name))],
)
function key(event: Event | KeyboardEvent): void {
  const k = event as KeyboardEvent
  if (k.key === 'ArrowUp') props.entry.recallStep(1)
  else if (k.key === 'ArrowDown') props.entry.recallStep(-1)
  else if (k.key === 'Tab' && !k.shiftKey && props.entry.complete()) {
    // Completed: the field keeps the focus.
  } else return
  k.preventDefault()
}
/** What may be typed, in this line's own sizes; on an empty line each is one tap away. */
const examples = computed(() => entryExamples(props.line, { ...job.reader, units: props.line.school }))
const example = computed(() => {
  const [part, length] = examples.value
  return part && length ? word('set-out-such-as', { part, length }) : ''
})
const tries = computed(() => (props.line.items.length || text.value.trim() ? [] : examples.value))
</script>

<template>
  <form class="entry" @submit.prevent="entry.enter()">
    <p class="label">
      <label for="entry">{{ word('set-out-next-fitting-or-piece') }}</label>
      <span v-if="where"
        >, {{ where }}.
        <button type="button" class="figure-link" @click="entry.toEnd()">
          {{ word('set-out-to-the-end-of', { line: line.tag }) }}
        </button>
      </span>
      <span id="entry-help" class="why help">
        <Said code="set-out-entry-help">
          <template #branch><b>branch</b></template>
          <template #back><b>..</b></template>
          <template #again><b>x3</b></template>
          <template #unknown><b>?</b></template>
          <template #tag><b>tag V2</b></template>
        </Said>
      </span>
    </p>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <p v-if="doubt" class="doubt" role="alert">
      {{ word('ui-which-was-meant') }}
      <button
        v-for="said in [doubt.own, doubt.other]"
        :key="said"
        type="button"
        class="button"
        @click="entry.meant(said)"
      >
        {{ said }}
      </button>
    </p>
    <div class="entry-row">
      <ElInput
        id="entry"
        v-model="text"
        class="typed"
        size="large"
        autocomplete="off"
        :placeholder="example"
        aria-describedby="entry-help"
        :aria-busy="pending > 0"
        @keydown="key"
      />
      <button type="submit" class="button main">{{ word('set-out-set-out') }}</button>
      <button v-for="(f, i) in shown" :key="f" type="button" class="button chip" @click="text = f">
        {{ f }}<kbd v-if="i === 0 && text.trim()">{{ word('set-out-tab') }}</kbd>
      </button>
    </div>
    <p v-if="tries.length" class="tries">
      <span class="why">{{ word('set-out-one-after-the-other') }}</span>
      <button v-for="says in tries" :key="says" type="button" class="button" @click="text = says">
        {{ says }}
      </button>
    </p>
  </form>
</template>

<style scoped>
.entry {
  display: flex;
  flex-direction: column;
  gap: 6px;
  position: sticky;
  bottom: 0;
  z-index: 2;
  background: var(--paper);
  border-top: 2px solid var(--ink);
  margin: 0 -24px;
  padding: 8px 24px 12px;
}
.label {
  display: flex;
  flex-wrap: wrap;
  gap: 0 6px;
}
.label label {
  font-weight: 600;
}
.entry-row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.doubt {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin: 0;
}
.tries {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.typed {
  flex: 1 1 200px;
  max-width: 320px;
}
.entry-row .button {
  white-space: nowrap;
}
kbd {
  font: 500 15px var(--figures);
  color: var(--soft);
  margin-inline-start: 8px;
}
.help {
  font-size: 15px;
  margin-inline-start: auto;
}
@media (max-width: 720px) {
  .entry {
    margin: 0 -14px;
    padding: 6px 14px 8px;
  }
  .help {
    display: none;
  }
  .chip:nth-of-type(n + 5) {
    display: none;
  }
}
</style>
