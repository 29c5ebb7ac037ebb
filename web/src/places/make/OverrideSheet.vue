<script setup lang="ts">
import type { Finding } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import { word } from '../../words/word'

const props = defineProps<{ stops: readonly Finding[] }>()
const emit = defineEmits<{ close: []; override: [codes: string[]] }>()
const job = useJob()
const session = useSession()
const reason = ref('')
const fault = ref('')
function go(): void {
  if (reason.value.trim().length < 4) return void (fault.value = word('make-say-why-in-a'))
  emit('override', props.stops.map((s) => `${s.code}`).concat(`because: ${reason.value.trim()}`))
  emit('close')
}
</script>

<template>
  <Sheet :title="word('make-go-on-all-the')" @close="emit('close')">
    <p v-for="s in stops" :key="s.code" class="refusal">{{ job.t(s) }}</p>
    <p class="why">{{ word('make-your-name-and-reason', { name: session.person?.name }) }}</p>
    <label for="override-reason" class="strong">{{ word('make-reason') }}</label>
    <ElInput id="override-reason" v-model="reason" size="large" />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="button" class="button stop" @click="go">{{ word('make-go-on-in-my') }}</button>
  </Sheet>
</template>
