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
  const f = props.facts
  if (!f.method || f.spec === null) return []
  const row = (name: string, figure: Pick<HandbookFigure, 'fig' | 'unit' | 'gauged'>): Row => ({
    name,
    value: figureText(figure, job.reader, job.t),
    source: figure.fig.value === null ? null : figure.fig.source,
  })
  const figures = f.method.figures(f.spec, f.ctx).map((x) => row(job.t(figureName(x)), x))
  const clocks = f.clocks.flatMap((c) => {
    const until = c.untilS
    if (until.value === null) return []
    const lasts = { ...until, value: until.value - c.fromS }
    return [row(word('make-clock', { label: job.t(c.label) }), { fig: lasts, unit: 's' })]
  })
  return [...figures, ...clocks]
})
const told = (id: string): string => {
  const s = sourceOf(id)
  return `${s.reference}${s.edition ? `, ${s.edition}` : ''} (${standing(id, job.state.checked)})`
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
