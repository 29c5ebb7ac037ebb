<script setup lang="ts">
import { type OnBench, type PracticeAnswer, readingSaid } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { told, word } from '../../words/word'
import { seenName } from './how-text'

/** A joint from outside: what the eye sees, and what is read of it. */
const props = defineProps<{ laid: OnBench; answer: PracticeAnswer; verdict?: boolean }>()
const job = useJob()
const seen = computed(() => props.answer.seen.map((code) => seenName(props.laid.method, code)))
const read = computed(() =>
  props.laid.method.steps(props.laid.spec, props.laid.ctx).flatMap((step) =>
    step.reads.flatMap((field) => {
      const value = props.answer.readings[step.id]?.[field.key]
      const said = value === undefined ? '' : readingSaid(field, value, job.reader)
      return said ? [{ key: `${step.id} ${field.key}`, says: told(field.label), value: said }] : []
    }),
  ),
)
</script>

<template>
  <div class="outside">
    <section>
      <h2>{{ word('practice-seen') }}</h2>
      <ul>
        <li v-for="line in seen" :key="line">{{ line }}</li>
      </ul>
    </section>
    <section>
      <h2>{{ word('practice-read') }}</h2>
      <p v-if="!read.length">{{ word('practice-nothing-read') }}</p>
      <dl v-else>
        <template v-for="row in read" :key="row.key">
          <dt>{{ row.says }}</dt>
          <dd>{{ row.value }}</dd>
        </template>
      </dl>
      <p v-if="verdict">
        <b>{{ word('practice-verdict', { verdict: answer.verdict }) }}</b>
        <span v-if="answer.verdict === 'pass' && answer.causes.length" class="missed">{{
          word('practice-missed')
        }}</span>
      </p>
    </section>
  </div>
</template>

<style scoped>
.missed {
  margin-inline-start: 6px;
}
.outside {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 40px;
}
.outside section {
  flex: 1 1 260px;
}
ul {
  margin: 4px 0 0;
  padding-inline-start: 20px;
  font-size: 18px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 16px;
  margin: 4px 0;
}
dd {
  margin: 0;
  font: 600 19px/1.2 var(--figures);
}
</style>
