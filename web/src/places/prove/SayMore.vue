<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { reactive, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { saidAt } from '../../when'
import { word } from '../../words/word'

/** How something was done, and since when where that is asked: what one tap does not say. */
const props = defineProps<{ title: string; asksSince?: boolean }>()
const emit = defineEmits<{ close: []; said: [data: { how?: string; fromS?: number }] }>()
const job = useJob()
const clock = useClock()
const typed = reactive({ how: '', since: '' })
const fault = ref('')
function save(): void {
  const since = typed.since.trim()
  const atS = since ? saidAt(since, clock.nowS, job.state.job.zone) : null
  const isNone = since !== '' && (atS === null || atS > clock.nowS)
  fault.value = isNone ? word('prove-no-time-that-was') : ''
  if (isNone) return
  const how = typed.how.trim()
  // Times inside an entry are on this device's clock.
  emit('said', { ...(how ? { how } : {}), ...(atS === null ? {} : { fromS: atS - clock.offsetS }) })
  emit('close')
}
</script>

<template>
  <Sheet :title="props.title" @close="emit('close')">
    <form class="more" @submit.prevent="save">
      <label for="more-how">{{ word('prove-how-it-was-done') }}</label>
      <ElInput id="more-how" v-model="typed.how" size="large" maxlength="400" />
      <template v-if="asksSince">
        <label for="more-since">{{ word('prove-begun-at') }}</label>
        <ElInput id="more-since" v-model="typed.since" size="large" placeholder="07:30" />
      </template>
      <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
      <button type="submit" class="button main">{{ word('prove-done') }}</button>
    </form>
  </Sheet>
</template>

<style scoped>
.more {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 8px;
}
.more label {
  font-weight: 600;
}
</style>
