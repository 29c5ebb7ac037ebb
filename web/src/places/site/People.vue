<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { ref } from 'vue'
import { api } from '../../api'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** Who is on this job. Whoever began it puts others on it. */
const job = useJob()
const login = ref('')
const fault = ref('')
const said = ref('')
async function add(): Promise<void> {
  fault.value = said.value = ''
  try {
    const { name } = await api<{ name: string }>('POST', `/jobs/${job.jobId}/members`, { login: login.value })
    said.value = word('site-is-on-this-job', { name })
    login.value = ''
  } catch (error) {
    fault.value = (error as Error).message
  }
}
</script>

<template>
  <section aria-labelledby="people">
    <h2 id="people">{{ word('site-on-this-job') }}</h2>
    <p>{{ [...job.members.values()].join(', ') }}</p>
    <div class="buttons">
      <label for="person-login" class="sr">{{ word('site-signs-in-as') }}</label>
      <ElInput id="person-login" v-model="login" size="large" :placeholder="word('site-signs-in-as-2')" />
      <button type="button" class="button" :disabled="!login.trim()" @click="add">
        {{ word('site-put-on-the-job') }}
      </button>
    </div>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
  </section>
</template>

<style scoped>
.buttons :deep(.el-input) {
  max-width: 260px;
}
</style>
