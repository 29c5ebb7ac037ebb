<script setup lang="ts">
import { type AskedFact, type JointFacts, askedField, saidOf } from '@jugalis/core'
import { ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/select/style/css'
import 'element-plus/es/components/option/style/css'
import { reactive, ref } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { answerTold, word } from '../../words/word'

/** What the rules of choice depend on and only somebody here can say: for the whole line, or for this joint alone. */
const props = defineProps<{ facts: JointFacts; asks: readonly AskedFact[] }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
/** More answers than this are a list, not buttons. */
const MOST_CHIPS = 5
const line = props.facts.place.line
const known = saidOf(job.state, props.facts.place)
const said = reactive<Record<string, string | null>>(
  Object.fromEntries(props.asks.map((fact) => [fact, known[fact] ?? null])),
)
const fields = props.asks.map(askedField)
const answers = (fact: string, options: readonly string[] | undefined) =>
  (options ?? []).map((o) => [o, answerTold(fact, o)] as const)
const fault = ref('')
async function keep(only: 'line' | 'joint'): Promise<void> {
  // Only what is new is written: what is said of the line later still holds for a joint that differs elsewhere.
  const given = Object.fromEntries(
    Object.entries(said).filter(([fact, v]) => v !== null && v !== (known[fact as AskedFact] ?? null)),
  )
  if (!Object.keys(given).length) return void (fault.value = word('make-nothing-is-answered-anew'))
  const entry = (jointId: string | null) => ({
    kind: 'around-said',
    data: { lineId: line.id, ...(jointId ? { jointId } : {}), said: given },
  })
  // What was said of this joint alone would go on hiding the line's answer.
  const own = job.state.joints.get(props.facts.id)?.said ?? {}
  const hidden = Object.keys(given).some((fact) => fact in own)
  await job.write(
    [
      ...(only === 'line' ? [entry(null)] : []),
      ...(only === 'joint' || hidden ? [entry(props.facts.id)] : []),
    ],
    only === 'line'
      ? word('make-kept-for', { tag: line.tag })
      : word('make-kept-for-alone', { tag: props.facts.tag }),
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="word('make-what-the-rules-need')" @close="emit('close')">
    <p class="why">{{ word('make-asked-once-for-what', { tag: line.tag }) }}</p>
    <template v-for="f in fields" :key="f.key">
      <span class="name">{{ job.t(f.label) }}</span>
      <ChipChoice
        v-if="answers(f.key, f.options).length <= MOST_CHIPS"
        v-model="said[f.key] as string | null"
        :label="job.t(f.label)"
        :options="answers(f.key, f.options)"
      />
      <ElSelect
        v-else
        v-model="said[f.key]"
        :teleported="false"
        size="large"
        :aria-label="job.t(f.label)"
        :placeholder="word('ui-not-said')"
      >
        <ElOption v-for="[o, says] in answers(f.key, f.options)" :key="o" :value="o" :label="says" />
      </ElSelect>
    </template>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="button" class="button main" @click="keep('line')">
      {{ word('make-keep-for-the-line', { tag: line.tag }) }}
    </button>
    <button type="button" class="button" @click="keep('joint')">
      {{ word('make-only-for', { tag: facts.tag }) }}
    </button>
  </Sheet>
</template>

<style scoped>
.button,
:deep(.el-select__wrapper) {
  min-height: 56px;
}
.name {
  font-weight: 600;
  margin-bottom: -8px;
}
</style>
