<script setup lang="ts">
import { type Line, TEMPLATES, type TemplateId, methodOf } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, nextTick, ref } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import { useJob } from '../../stores/job'
import { named, word } from '../../words/word'
import TemplateSketch from './TemplateSketch.vue'
import { linesOf, useBegin } from './use-begin'

/** Common jobs to begin with: their lines in the school's sizes, no piece measured yet. */
const { school, fault, busy, begin } = useBegin()
const job = useJob()
const chosen = ref<TemplateId | null>(null)
const name = ref('')
const cards = computed(() =>
  TEMPLATES.map((id) => {
    const begun = linesOf(id, school.value, '')
    return begun.ok
      ? { id, lines: begun.lines, says: saysOf(begun.lines), why: '' }
      : { id, lines: [], says: '', why: job.t(begun.why) }
  }),
)
/** How its lines are joined, of what, in which sizes: that of the first, since all of one template are alike. */
function saysOf(lines: readonly Line[]): string {
  const [line] = lines
  if (!line) return ''
  const sizes = [...new Set(line.items.map(({ size }) => size))]
  const method = methodOf(line.method)
  return word('jobs-template-says', {
    lines: lines.length,
    method: method ? job.t(method.name) : '',
    material: named(line.material),
    sizes: sizes.join(', '),
    pieces: line.items.filter(({ type }) => type === 'piece').length * lines.length,
  })
}
async function choose(id: TemplateId): Promise<void> {
  if (chosen.value === id) return
  chosen.value = id
  name.value = word(`jobs-template-${id}`)
  fault.value = ''
  await nextTick()
  const field = document.getElementById('template-name') as HTMLInputElement | null
  field?.focus()
  field?.select()
}
</script>

<template>
  <section class="start">
    <div class="top">
      <p class="why">{{ word('jobs-start-says') }}</p>
      <ChipChoice
        v-model="school"
        :label="word('jobs-sizes-in')"
        :options="[
          ['metric', word('jobs-in-millimetres')],
          ['inch', word('jobs-in-inches')],
        ]"
      />
    </div>
    <ul class="cards">
      <li v-for="card in cards" :key="card.id" class="card" :class="{ chosen: chosen === card.id }">
        <button type="button" class="pick" :aria-expanded="chosen === card.id" @click="choose(card.id)">
          <span class="strong">{{ word(`jobs-template-${card.id}`) }}</span>
          <span class="why">{{ card.says || card.why }}</span>
          <TemplateSketch v-if="card.lines[0]" :line="card.lines[0]" />
        </button>
        <form v-if="chosen === card.id && !card.why" class="go" @submit.prevent="begin(name, card.id)">
          <label for="template-name">{{ word('jobs-name-of-the-job') }}</label>
          <ElInput id="template-name" v-model="name" size="large" maxlength="200" />
          <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
          <button class="button main" type="submit" :disabled="busy">
            {{ word('jobs-begin-with-these', { lines: card.lines.length }) }}
          </button>
        </form>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.start,
.top {
  display: flex;
  flex-direction: column;
  gap: 14px;
}
.top :deep(.chips) {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.cards {
  list-style: none;
  margin: 0;
  padding: 0;
  border: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 270px), 1fr));
  gap: 14px;
  align-items: start;
}
.card {
  border: 2px solid var(--line);
  background: var(--sheet);
}
.card.chosen {
  border-color: var(--ink);
}
.pick {
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: start;
  cursor: pointer;
  display: flex;
  flex-direction: column;
  gap: 6px;
  width: 100%;
  min-height: 56px;
  padding: 12px 14px;
}
.go {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 8px;
  padding: 4px 14px 14px;
}
.go label {
  font-weight: 600;
}
</style>
