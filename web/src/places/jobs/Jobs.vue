<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '../../api'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'

interface Row {
  jobId: string
  name: string
  role: string
}
const jobs = ref<Row[] | null>(null)
const fault = ref('')
const name = ref('')
const school = ref<'metric' | 'inch'>('metric')
const file = ref<HTMLInputElement>()
const session = useSession()
const job = useJob()
const router = useRouter()

async function load(): Promise<void> {
  try {
    jobs.value = (await api<{ jobs: Row[] }>('GET', '/jobs')).jobs
  } catch (e) {
    fault.value = (e as Error).message
    jobs.value = []
  }
}
onMounted(load)

async function create(): Promise<void> {
  fault.value = ''
  if (!name.value.trim()) return void (fault.value = 'Give the job a name.')
  const jobId = crypto.randomUUID()
  try {
    await api('POST', '/jobs', { jobId, name: name.value.trim() })
    await job.open(jobId)
    const zone = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC'
    await job.write([
      {
        kind: 'job-set',
        data: { name: name.value.trim(), zone, school: school.value, table: 'current', checkOffsetMm: 50 },
      },
      { kind: 'place-set', data: { placeId: crypto.randomUUID(), name: 'On site' } },
    ])
    await router.push({ name: 'set-out', params: { jobId } })
  } catch (e) {
    fault.value = (e as Error).message
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
  } catch (e) {
    fault.value = e instanceof SyntaxError ? 'This file is not a Jugalis job.' : (e as Error).message
  }
}
async function leave(): Promise<void> {
  await session.signOut()
  await router.push('/sign-in')
}
</script>

<template>
  <main class="jobs">
    <h1>
      {{
        jobs === null
          ? 'Looking for your jobs …'
          : jobs.length
            ? `${session.person?.name}, you are on ${jobs.length} ${jobs.length === 1 ? 'job' : 'jobs'}.`
            : 'You are on no job yet. Begin one below.'
      }}
    </h1>
    <ul v-if="jobs?.length">
      <li v-for="j in jobs" :key="j.jobId">
        <RouterLink :to="`/job/${j.jobId}`">
          <span class="strong">{{ j.name }}</span><span class="role">{{ j.role }}</span>
        </RouterLink>
      </li>
    </ul>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <form @submit.prevent="create">
      <h2>A new job</h2>
      <label for="job-name">Name</label>
      <ElInput id="job-name" v-model="name" size="large" maxlength="200" />
      <fieldset>
        <legend>School</legend>
        <label
          ><input v-model="school" type="radio" value="metric" /> metric: cleaner, gap-filling cement,
          straight</label
        >
        <label><input v-model="school" type="radio" value="inch" /> inch: primer, quarter turn</label>
      </fieldset>
      <button class="button main" type="submit">Begin the job</button>
    </form>
    <section>
      <h2>A job from a file</h2>
      <p class="why">The JSON export of a job reads back with the same log and the same hashes.</p>
      <label class="button pick"
        >Choose the file<input
          ref="file"
          class="sr"
          type="file"
          accept="application/json,.json"
          @change="bringIn"
      /></label>
    </section>
    <button class="button" type="button" @click="leave">Sign out</button>
  </main>
</template>

<style scoped>
.jobs {
  max-width: 640px;
  margin: 0 auto;
  padding: 40px 18px;
  display: flex;
  flex-direction: column;
  gap: 26px;
  align-items: flex-start;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  width: 100%;
  border-top: 2px solid var(--ink);
}
li a {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 56px;
  padding: 0 8px;
  border-bottom: 1px solid var(--line);
  text-decoration: none;
  font-size: 18px;
}
.role {
  color: var(--soft);
  font-size: 16px;
}
form {
  display: flex;
  flex-direction: column;
  gap: 8px;
  width: 100%;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: flex;
  flex-direction: column;
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
