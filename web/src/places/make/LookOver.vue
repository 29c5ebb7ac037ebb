<script setup lang="ts">
import { type JointFacts, wantsLook } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import { when } from '../../when'
import { word } from '../../words/word'

/** An apprentice's joint: somebody else looks at it, and says what they saw. */
const props = defineProps<{ facts: JointFacts }>()
const job = useJob()
const clock = useClock()
const session = useSession()
const life = computed(() => props.facts.life)
const last = computed(() => life.value?.looks?.at(-1) ?? null)
const maker = computed(() => life.value?.byApprentice ?? '')
const mayLook = computed(() => job.may('looked-over') && maker.value !== session.person?.personId)
const note = ref('')
const says = computed(() => {
  const { facts } = props
  if (last.value)
    return word('make-look-said', {
      found: last.value.found,
      name: job.nameOf(last.value.by),
      at: when(last.value.atS, clock.nowS, job.state.job.zone),
      hasNote: last.value.note ? 'yes' : 'no',
      note: last.value.note ?? '',
    })
  return maker.value ? word('make-look-wanted', { tag: facts.tag, name: job.nameOf(maker.value) }) : ''
})
const look = async (found: 'good' | 'wrong'): Promise<void> => {
  await job.write(
    [
      {
        kind: 'looked-over',
        jointId: props.facts.id,
        data: { life: props.facts.lifeNo, found, ...(note.value.trim() ? { note: note.value.trim() } : {}) },
      },
    ],
    word('make-looked-over', { tag: props.facts.tag, found }),
  )
  note.value = ''
}
</script>

<template>
  <div v-if="says" class="look">
    <p :class="{ warn: wantsLook(life) }">{{ says }}</p>
    <form v-if="mayLook && wantsLook(life)" class="buttons" @submit.prevent="look('good')">
      <label :for="`look-${facts.id}`" class="sr">{{ word('make-look-note') }}</label>
      <ElInput :id="`look-${facts.id}`" v-model="note" size="large" :placeholder="word('make-look-note')" />
      <button type="submit" class="button">{{ word('make-look-good') }}</button>
      <button type="button" class="button" :disabled="!note.trim()" @click="look('wrong')">
        {{ word('make-look-wrong') }}
      </button>
    </form>
  </div>
</template>

<style scoped>
.look {
  display: flex;
  flex-direction: column;
  gap: 8px;
  border: 1.5px solid var(--edge);
  padding: 6px 10px;
}
.look p {
  margin: 0;
}
.buttons :deep(.el-input) {
  flex: 1 1 200px;
  max-width: 320px;
}
@media (max-width: 720px) {
  .buttons :deep(.el-input) {
    flex-basis: 100%;
    max-width: none;
  }
  .button {
    flex: 1;
  }
}
.button {
  min-height: 56px;
}
</style>
