<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '../../api'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** A job is begun, or brought in from its file. */
const name = ref('')
const school = ref<'metric' | 'inch'>('metric')
const file = ref<HTMLInputElement>()
const fault = ref('')
const job = useJob()
const router = useRouter()

async function create(): Promise<void> {
  fault.value = ''
  if (!name.value.trim()) return void (fault.value = word('jobs-give-the-job-a'))
  const jobId = crypto.randomUUID()
  try {
    await api('POST', '/jobs', { jobId, name: name.value.trim() })
    await job.open(jobId)
    const zone = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC'
    await job.write([
      {
        kind: 'job-set',
        data: {
          name: name.value.trim(),
          zone,
          school: school.value,
          table: 'current',
          // Two inches, or 50 mm: as each school marks.
          checkOffsetMm: school.value === 'inch' ? 50.8 : 50,
        },
      },
      { kind: 'place-set', data: { placeId: crypto.randomUUID(), name: word('ui-on-site') } },
    ])
    await router.push({ name: 'set-out', params: { jobId } })
  } catch (error) {
    fault.value = (error as Error).message
  }
}
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
  <form class="new" @submit.prevent="create">
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
