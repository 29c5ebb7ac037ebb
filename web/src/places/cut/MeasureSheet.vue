<script setup lang="ts">
import { parseLength } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'

const props = defineProps<{ material: string; size: string }>()
const emit = defineEmits<{ close: [] }>()
const DEEPEST_MM = 500
const job = useJob()
const text = ref('')
const fault = ref('')
async function save(): Promise<void> {
  const mm = parseLength(text.value, job.reader.units)
  if (mm === null || mm <= 0) return void (fault.value = `"${text.value}" is not a length.`)
  if (mm > DEEPEST_MM) return void (fault.value = 'No socket is that deep. Measure again.')
  await job.write(
    [{ kind: 'socket-measured', data: { material: props.material, size: props.size, depthMm: mm } }],
    `${props.size}: this box measures ${text.value}.`,
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="`This box of ${size} measures`" @close="emit('close')">
    <p class="why">
      Socket face to stop. It wins over the published figure; uncut pieces change, cut ones are flagged.
    </p>
    <label for="socket">Socket depth</label>
    <ElInput id="socket" v-model="text" size="large" inputmode="decimal">
      <template #suffix>{{ job.reader.units === 'inch' ? 'in' : 'mm' }}</template>
    </ElInput>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button class="button main" type="button" @click="save">Use this depth</button>
  </Sheet>
</template>
