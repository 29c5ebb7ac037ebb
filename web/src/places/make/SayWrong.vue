<script setup lang="ts">
import { type HistoryRow, mayBeTakenBack } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** An entry is wrong: who may takes it back, with why; everybody else proposes that. */
const props = defineProps<{ row: HistoryRow }>()
const job = useJob()
const saying = ref(false)
const reason = ref('')
const fault = ref('')
const mine = computed(() => job.corrects(props.row.by))
const offered = computed(
  () =>
    mayBeTakenBack([props.row.kind]) &&
    props.row.kind !== 'test-begun' &&
    (mine.value || job.may('correction-proposed')),
)
async function say(): Promise<void> {
  const why = reason.value.trim()
  fault.value = why ? '' : word('make-wrong-say-why')
  if (!why) return
  const data = { target: props.row.eventId, undo: true, reason: why }
  const ids = await job.write(
    [{ kind: mine.value ? 'correction' : 'correction-proposed', data }],
    mine.value ? word('make-wrong-taken-back') : word('make-wrong-proposed'),
  )
  if (ids.length) saying.value = false
}
</script>

<template>
  <template v-if="offered">
    <button v-if="!saying" type="button" class="button small" @click="saying = true">
      {{ word('make-wrong', { mine: mine ? 'yes' : 'no' }) }}
    </button>
    <form v-else novalidate @submit.prevent="say">
      <label class="field" :for="`wrong-${row.eventId}`">{{ word('make-wrong-why') }}</label>
      <ElInput
        :id="`wrong-${row.eventId}`"
        v-model="reason"
        size="large"
        maxlength="400"
        :aria-invalid="fault ? true : undefined"
      />
      <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
      <div class="buttons">
        <button type="submit" class="button main">
          {{ word('make-wrong-say', { mine: mine ? 'yes' : 'no' }) }}
        </button>
        <button type="button" class="button" @click="saying = false">{{ word('make-wrong-leave') }}</button>
      </div>
    </form>
  </template>
</template>

<style scoped>
.small {
  margin-block-start: 6px;
}
.field {
  display: block;
  margin-block: 6px 2px;
}
.buttons {
  margin-block-start: 8px;
}
p {
  margin: 0;
}
</style>
