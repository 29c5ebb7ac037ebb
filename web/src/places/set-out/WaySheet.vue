<script setup lang="ts">
import { type Line, lineHead, methodOf } from '@jugalis/core'
import { ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'
import AskedFields from './AskedFields.vue'
import { useAsked } from './use-asked'

/** What one more way of joining asks of a line: gasket, torque, kind of nut. */
const props = defineProps<{ line: Line; method: string }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const asked = useAsked(ref(props.method), props.line.ways?.[props.method] ?? {}, false)
const name = job.t(methodOf(props.method)?.name ?? { code: 'name-none', params: {} })
const fault = ref('')
async function save(): Promise<void> {
  if (asked.unreadable()) return void (fault.value = word('ui-one-figure-above-cant'))
  const { line, method } = props
  await job.write(
    [
      {
        kind: 'line-changed',
        data: { ...lineHead(line), lineId: line.id, ways: { ...line.ways, [method]: asked.answers() } },
      },
    ],
    word('set-out-line-changed', { tag: line.tag }),
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="word('set-out-way-of-line', { way: name, tag: line.tag })" @close="emit('close')">
    <p class="why">{{ word('set-out-way-counts-for') }}</p>
    <AskedFields :asked="asked" id-stem="way" />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button class="button main" type="button" @click="save">{{ word('ui-keep-it') }}</button>
  </Sheet>
</template>
