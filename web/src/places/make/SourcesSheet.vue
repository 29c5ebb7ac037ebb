<script setup lang="ts">
import { type HandbookFigure, type JointFacts, sourceOf } from '@jugalis/core'
import { computed } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { figureName, figureText, standing } from '../handbook/figure-text'
import { word } from '../../words/word'

/** Where the figures of this joint come from: those of its method, and the lengths of its running clocks. */
const props = defineProps<{ facts: JointFacts }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
interface Row {
  name: string
  value: string
  source: string | null
}
const rows = computed<Row[]>(() => {
  const facts = props.facts
  if (!facts.method || facts.spec === null) return []
  const row = (name: string, figure: Pick<HandbookFigure, 'fig' | 'unit' | 'gauged'>): Row => ({
    name,
    value: figureText(figure, job.reader, job.t),
    source: figure.fig.value === null ? null : figure.fig.source,
  })
  const figures = facts.method.figures(facts.spec, facts.ctx).map((x) => row(job.t(figureName(x)), x))
  const clocks = facts.clocks.flatMap((clock) => {
    const until = clock.untilS
    if (until.value === null) return []
    const lasts = { ...until, value: until.value - clock.fromS }
    return [row(word('make-clock', { label: job.t(clock.label) }), { fig: lasts, unit: 's' })]
  })
  return [...figures, ...clocks]
})
const told = (id: string): string => {
  const source = sourceOf(id)
  return `${source.reference}${source.edition ? `, ${source.edition}` : ''} (${standing(id, job.state.checked)})`
}
</script>

<template>
  <Sheet :title="word('make-figures-of', { tag: facts.tag })" @close="emit('close')">
    <p v-if="!rows.length">{{ word('make-no-figure-is-needed') }}</p>
    <dl>
      <template v-for="r in rows" :key="r.name">
        <dt>
          {{ r.name }} <strong>{{ r.value }}</strong>
        </dt>
        <dd>
          <cite v-if="r.source">{{ told(r.source) }}</cite>
          <template v-else>{{ word('make-no-figure-so-no') }}</template>
        </dd>
      </template>
    </dl>
    <RouterLink class="button" :to="{ name: 'handbook', params: { jobId: job.jobId } }">{{
      word('make-the-handbook')
    }}</RouterLink>
  </Sheet>
</template>

<style scoped>
dl {
  margin: 0;
}
dt {
  margin-top: 8px;
}
dd {
  margin: 0;
  color: var(--soft);
  font-size: 15px;
}
/* A source is named as it names itself, in its own units. */
cite {
  font-style: normal;
}
.button {
  min-height: 56px;
}
</style>
