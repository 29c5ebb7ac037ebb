<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'

/** A hot-work permit as somebody issued it. Jugalis issues none. */
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const clock = useClock()
const number = ref('')
const hours = ref('')
const fault = ref('')
async function keep(): Promise<void> {
  const h = Number(hours.value.replace(',', '.'))
  if (!number.value.trim()) return void (fault.value = 'Write the number that stands on the permit.')
  if (!(h > 0 && h <= 24)) return void (fault.value = 'Say for how many more hours it is valid, up to 24.')
  const fromS = clock.nowS - clock.offsetS
  await job.write(
    [
      {
        kind: 'permit-set',
        data: { what: 'hot-work', number: number.value.trim(), fromS, untilS: fromS + h * 3600 },
      },
    ],
    `Hot-work permit ${number.value.trim()} is written down.`,
  )
  emit('close')
}
</script>

<template>
  <Sheet title="Hot-work permit" @close="emit('close')">
    <p class="why">As the site issued it. Its own rules stand above anything here.</p>
    <label for="permit-number">Number</label>
    <ElInput id="permit-number" v-model="number" size="large" />
    <label for="permit-hours">Valid for so many more hours</label>
    <ElInput id="permit-hours" v-model="hours" size="large" inputmode="decimal" />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="button" class="button main" @click="keep">Keep it</button>
  </Sheet>
</template>
