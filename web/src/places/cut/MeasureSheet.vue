<script setup lang="ts">
import { USUAL, fmt } from '@jugalis/core'
import { ref } from 'vue'
import QuantityField from '../../frame/QuantityField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'

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
    `${props.size}: this box measures ${fmt.length(mm, job.reader)}.`,
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="`This box of ${size} measures`" @close="emit('close')">
    <p class="why">
      Socket face to stop. It wins over the published figure; uncut pieces change, cut ones are flagged.
    </p>
    <QuantityField
      v-model="depthMm"
      label="Socket depth"
      as="length"
      :least="1"
      :most="DEEPEST_MM"
      :usual="USUAL.socket"
      :missing="tried"
    />
    <button class="button main" type="button" @click="save">Use this depth</button>
  </Sheet>
</template>
