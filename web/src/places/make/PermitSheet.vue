<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** A hot-work permit as somebody issued it. Jugalis issues none. */
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const clock = useClock()
const number = ref('')
const hours = ref('')
const fault = ref('')
async function keep(): Promise<void> {
  const lasts = Number(hours.value.replace(',', '.'))
  if (!number.value.trim()) return void (fault.value = word('make-write-the-number-that'))
  if (!(lasts > 0 && lasts <= 24)) return void (fault.value = word('make-say-for-how-many'))
  const fromS = clock.nowS - clock.offsetS
  await job.write(
    [
      {
        kind: 'permit-set',
        data: { what: 'hot-work', number: number.value.trim(), fromS, untilS: fromS + lasts * 3600 },
      },
    ],
    word('make-hot-work-permit-is', { number: number.value.trim() }),
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="word('make-hot-work-permit-2')" @close="emit('close')">
    <p class="why">{{ word('make-as-the-site-issued') }}</p>
    <label for="permit-number">{{ word('make-number') }}</label>
    <ElInput id="permit-number" v-model="number" size="large" />
    <label for="permit-hours">{{ word('make-valid-for-so-many') }}</label>
    <ElInput id="permit-hours" v-model="hours" size="large" inputmode="decimal" />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="button" class="button main" @click="keep">{{ word('ui-keep-it') }}</button>
  </Sheet>
</template>
