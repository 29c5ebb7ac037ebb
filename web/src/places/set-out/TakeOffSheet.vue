<script setup lang="ts">
import { type EndAt, type Item, USUAL, fmt, takeOffFor } from '@jugalis/core'
import { ref } from 'vue'
import QuantityField from '../../frame/QuantityField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

const props = defineProps<{ item: Item; at: EndAt }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const { name, size, size2 } = takeOffFor(props.item, props.at)
const sizes = [size, size2].filter(Boolean).join(' to ')
const takeOffMm = ref<number | null>(null)
const to = ref<'face' | 'stop'>('face')
const tried = ref(false)
const LONGEST_MM = 5000
async function save(): Promise<void> {
  tried.value = true
  const mm = takeOffMm.value
  if (mm === null || Number.isNaN(mm)) return
  await job.write(
    [
      {
        kind: 'take-off',
        data: {
          fitting: name,
          size,
          size2,
          takeOffMm: mm,
          takeOffTo: to.value,
        },
      },
    ],
    `${name} ${sizes}: take-off ${fmt.length(mm, job.reader)}.`,
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="word('set-out-take-off-of', { name, sizes })" @close="emit('close')">
    <p class="why">{{ word('set-out-measure-one-it-counts') }}</p>
    <p class="why">{{ word('set-out-measured-to-the-sockets') }}</p>
    <div class="to" role="radiogroup" :aria-label="word('set-out-measured-to')">
      <label><input v-model="to" type="radio" value="face" /> {{ word('set-out-face') }}</label>
      <label><input v-model="to" type="radio" value="stop" /> {{ word('set-out-stop-2') }}</label>
    </div>
    <QuantityField
      v-model="takeOffMm"
      :label="word('set-out-fitting-centre-to-the')"
      as="length"
      :least="0"
      :most="LONGEST_MM"
      :usual="USUAL.takeOff"
      :missing="tried"
    />
    <button class="button main" type="button" @click="save">{{ word('ui-use-it') }}</button>
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
