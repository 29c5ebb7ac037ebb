<script setup lang="ts">
import { type Drill, fromTimes } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { told, word } from '../../words/word'
import { faultName, howName, howSaid } from './how-text'

/** How a joint was made, step by step, as a record would have it: which of it costs the joint? */
const props = defineProps<{ drill: Drill }>()
const emit = defineEmits<{ said: [says: string, right: boolean] }>()
const job = useJob()
const method = computed(() => props.drill.method)
const rows = computed(() => {
  const { laid, answer } = props.drill
  return answer.did.map((act, i) => {
    const step = method.value.steps(laid.spec, laid.ctx).find((s) => s.id === act.step)
    const before = answer.did[i - 1]
    const takes = before && method.value.bench.takes?.[before.step]
    const waitS = before ? act.atS - before.atS - Number(takes ? before.how[takes] : 0) : 0
    const lines = Object.entries(laid.play.hows)
      .filter(([, def]) => def.step === act.step && !def.again)
      .map(([key, def]) => ({
        key,
        name: howName(method.value, key),
        value: howSaid(
          method.value,
          key,
          def,
          fromTimes(def) ? waitS : (act.how[key] as number | string),
          job.reader,
        ),
      }))
    return { key: act.step, says: step ? told(step.action, job.reader) : act.step, lines }
  })
})
const faults = computed(() =>
  Object.keys(props.drill.laid.faults).map((id) => [id, faultName(method.value, id)] as const),
)
</script>

<template>
  <div class="ask">
    <ol class="made">
      <li v-for="row in rows" :key="row.key">
        <b>{{ row.says }}</b>
        <dl>
          <template v-for="line in row.lines" :key="line.key">
            <dt>{{ line.name }}</dt>
            <dd>{{ line.value }}</dd>
          </template>
        </dl>
      </li>
    </ol>
    <h2>{{ word('practice-ask-fault') }}</h2>
    <div class="answers">
      <button
        v-for="[id, says] in faults"
        :key="id"
        type="button"
        class="button"
        @click="emit('said', says, id === drill.fault)"
      >
        {{ says }}
      </button>
      <button
        type="button"
        class="button"
        @click="emit('said', word('practice-nothing-wrong'), drill.fault === null)"
      >
        {{ word('practice-nothing-wrong') }}
      </button>
    </div>
  </div>
</template>

<style scoped src="./drill.css"></style>
<style scoped>
.made {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 12px 28px;
  margin: 0;
  padding-inline-start: 22px;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 12px;
  margin: 2px 0 0;
}
dd {
  margin: 0;
  font: 600 18px/1.25 var(--figures);
  text-align: end;
}
</style>
