<script setup lang="ts">
import { USUAL } from '@jugalis/core'
import { ref } from 'vue'
import QuantityField from '../../frame/QuantityField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

const props = defineProps<{ material: string; size: string }>()
const emit = defineEmits<{ close: [] }>()
const DEEPEST_MM = 500
const job = useJob()
const depthMm = ref<number | null>(null)
const tried = ref(false)
async function save(): Promise<void> {
  tried.value = true
  const mm = depthMm.value
  if (mm === null || Number.isNaN(mm)) return
  await job.write(
    [{ kind: 'socket-measured', data: { material: props.material, size: props.size, depthMm: mm } }],
    word('cut-this-box-measures', { size: props.size, mm }),
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="word('cut-this-box-of-measures', { size })" @close="emit('close')">
    <p class="why">
      {{ word('cut-socket-face-to-stop') }}
    </p>
    <QuantityField
      v-model="depthMm"
      :label="word('cut-socket-depth')"
      as="length"
      :least="1"
      :most="DEEPEST_MM"
      :usual="USUAL.socket"
      :missing="tried"
    />
    <button class="button main" type="button" @click="save">{{ word('cut-use-this-depth') }}</button>
  </Sheet>
</template>
