<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '../../api'
import { word } from '../../words/word'
import { useBegin } from './use-begin'

/** A job is begun, or brought in from its file. */
const { school, fault, begin } = useBegin()
const name = ref('')
const file = ref<HTMLInputElement>()
const router = useRouter()

async function bringIn(): Promise<void> {
  const chosen = file.value?.files?.[0]
  if (!chosen) return
  fault.value = ''
  try {
    const body: unknown = JSON.parse(await chosen.text())
    const done = await api<{ jobId: string }>('POST', '/jobs/import', body)
    await router.push({ name: 'hand-over', params: { jobId: done.jobId } })
  } catch (error) {
    fault.value = error instanceof SyntaxError ? word('jobs-this-file-is-not') : (error as Error).message
  }
}
</script>

<template>
  <form class="new" @submit.prevent="begin(name)">
    <h2>{{ word('jobs-a-new-job') }}</h2>
    <label for="job-name">{{ word('ui-name') }}</label>
    <ElInput id="job-name" v-model="name" size="large" maxlength="200" />
    <fieldset>
      <legend>{{ word('jobs-school') }}</legend>
      <label
        ><input v-model="school" type="radio" value="metric" />
        {{ word('jobs-metric-cleaner-gap-filling') }}</label
      >
      <label
        ><input v-model="school" type="radio" value="inch" />
        {{ word('jobs-inch-primer-quarter-turn') }}</label
      >
    </fieldset>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button class="button main" type="submit">{{ word('jobs-begin-the-job') }}</button>
  </form>
  <section>
    <h2>{{ word('jobs-a-job-from-a') }}</h2>
    <p class="why">{{ word('jobs-the-json-export-of') }}</p>
    <label class="button pick"
      >{{ word('jobs-choose-the-file')
      }}<input ref="file" class="sr" type="file" accept="application/json,.json" @change="bringIn"
    /></label>
  </section>
</template>

<style scoped>
.new {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 8px;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
}
fieldset label {
  min-height: 44px;
  display: flex;
  align-items: center;
  gap: 8px;
}
.pick {
  display: inline-flex;
  align-items: center;
  margin-top: 8px;
  cursor: pointer;
}
</style>
