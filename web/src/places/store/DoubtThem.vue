<script setup lang="ts">
import { type Recalled, doubtEntry } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref, watch } from 'vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** One act that puts all joints that were found in doubt: each is to be looked at again. */
const props = defineProps<{ found: readonly Recalled[] }>()
const job = useJob()
const says = ref('')
const fault = ref('')
watch(says, () => (fault.value = ''))
const count = computed(() => props.found.filter(({ cutOut }) => !cutOut).length)
async function flag(): Promise<void> {
  if (!says.value.trim()) return void (fault.value = word('shelf-say-why-in-doubt'))
  await job.write([doubtEntry(props.found, says.value)], word('shelf-doubted', { count: count.value }))
  says.value = ''
}
</script>

<template>
  <form v-if="count" class="doubt no-print" @submit.prevent="flag">
    <label for="doubt-says">{{ word('shelf-what-is-in-doubt') }}</label>
    <ElInput id="doubt-says" v-model="says" size="large" maxlength="200" />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="submit" class="button stop">{{ word('shelf-look-again-at', { count }) }}</button>
  </form>
</template>

<style scoped>
.doubt {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 6px;
  margin-top: 10px;
}
label {
  font-weight: 600;
}
.button {
  min-height: 56px;
}
</style>
