<script setup lang="ts">
import { type SectionAnswer, fmt } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import PlanSheet from './PlanSheet.vue'
import { usePlanRows } from './plan-rows'
import { useProve } from './use-prove'
import { told, word } from '../../words/word'

const props = defineProps<{ answer: SectionAnswer }>()
const job = useJob()
const editing = ref(false)
const figures = useProve(computed(() => props.answer))
const { rule } = figures
const fine = (b: number): string => fmt.pressureFine(b, job.reader)
const rows = computed(usePlanRows(figures))
</script>

<template>
  <section aria-labelledby="plan">
    <h2 id="plan">{{ word('prove-plan') }}</h2>
    <dl>
      <template v-for="[name, says] in rows" :key="name">
        <dt>{{ name }}</dt>
        <dd>{{ says }}</dd>
      </template>
    </dl>
    <table v-if="rule && rule.stages.length > 1" class="rows" :aria-label="word('prove-stages')">
      <thead>
        <tr>
          <th>{{ word('prove-stage') }}</th>
          <th>{{ word('ui-pressure') }}</th>
          <th>{{ word('prove-at-least') }}</th>
          <th>
            <span class="spoken">{{ word('prove-look') }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(st, i) in rule.stages" :key="i">
          <td>{{ i + 1 }} {{ st.name }}</td>
          <td>{{ fine(st.bar) }}</td>
          <td>{{ st.holdS ? fmt.duration(st.holdS) : word('prove-until-steady') }}</td>
          <td>{{ st.look ? word('prove-walk-the-line') : '' }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="f in rule?.findings ?? []" :key="f.code" :class="f.level === 'stop' ? 'refusal' : 'why'">
      {{ told(f) }}
    </p>
    <button type="button" class="button" @click="editing = true">{{ word('prove-change-the-plan') }}</button>
    <PlanSheet v-if="editing" :section="answer.section" @close="editing = false" />
  </section>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 6px 18px;
  margin: 0 0 12px;
}
dt {
  color: var(--soft);
}
dd {
  margin: 0;
  font-weight: 600;
}
</style>
