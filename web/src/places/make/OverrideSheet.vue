<script setup lang="ts">
import type { Finding } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'

const props = defineProps<{ stops: readonly Finding[] }>()
const emit = defineEmits<{ close: []; override: [codes: string[]] }>()
const job = useJob()
const session = useSession()
const reason = ref('')
const fault = ref('')
function go(): void {
  if (reason.value.trim().length < 4) return void (fault.value = 'Say why, in a few words.')
  emit('override', props.stops.map((s) => `${s.code}`).concat(`because: ${reason.value.trim()}`))
  emit('close')
}
</script>

<template>
  <Sheet title="Go on all the same" @close="emit('close')">
    <p v-for="s in stops" :key="s.code" class="refusal">{{ job.t(s) }}</p>
    <p class="why">Your name ({{ session.person?.name }}) and reason stay in the joint's record.</p>
    <label for="override-reason" class="strong">Reason</label>
    <ElInput id="override-reason" v-model="reason" size="large" />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="button" class="button stop" @click="go">Go on, in my name</button>
  </Sheet>
</template>
