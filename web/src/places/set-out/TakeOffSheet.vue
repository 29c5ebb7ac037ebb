<script setup lang="ts">
import { type Item, parseLength, takeOffName } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'

const props = defineProps<{ item: Item; branch: boolean }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const name = takeOffName(props.item, props.branch)
const sizes = [props.item.size, props.item.size2].filter(Boolean).join(' to ')
const text = ref('')
const to = ref<'face' | 'stop'>('face')
const fault = ref('')
const LONGEST_MM = 5000
async function save(): Promise<void> {
  const mm = parseLength(text.value, job.reader.units)
  if (mm === null) return void (fault.value = `"${text.value}" is not a length.`)
  if (mm > LONGEST_MM) return void (fault.value = 'No fitting is that long. Measure again.')
  await job.write(
    [
      {
        kind: 'take-off',
        data: {
          fitting: name,
          size: props.item.size,
          size2: props.item.size2,
          takeOffMm: mm,
          takeOffTo: to.value,
        },
      },
    ],
    `${name} ${sizes}: take-off ${text.value}.`,
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="`Take-off of ${name} ${sizes}`" @close="emit('close')">
    <p class="why">Measure one; it counts for all like it on this job.</p>
    <label for="take-off">Fitting centre to the socket's</label>
    <div class="to" role="radiogroup" aria-label="Measured to">
      <label><input v-model="to" type="radio" value="face" /> face</label>
      <label><input v-model="to" type="radio" value="stop" /> stop</label>
    </div>
    <ElInput id="take-off" v-model="text" size="large" inputmode="decimal">
      <template #suffix>{{ job.reader.units === 'inch' ? 'in' : 'mm' }}</template>
    </ElInput>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button class="button main" type="button" @click="save">Use it</button>
  </Sheet>
</template>

<style scoped>
.to {
  display: flex;
  gap: 22px;
}
.to label {
  min-height: 44px;
  display: flex;
  align-items: center;
  gap: 8px;
}
</style>
