<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { install, installable, installed, offered, putAway } from '../../install'
import { NoSignal, api } from '../../api'
import { useJob } from '../../stores/job'
import * as kept from '../../sync/kept-log'
import { waitingHere } from '../../sync/device'
import { useSession } from '../../stores/session'
import { named, word } from '../../words/word'

interface Row {
  jobId: string
  name: string
  role?: string
}
const jobs = ref<Row[] | null>(null)
const fault = ref('')
const name = ref('')
const school = ref<'metric' | 'inch'>('metric')
const file = ref<HTMLInputElement>()
const session = useSession()
const job = useJob()
const router = useRouter()

const offline = ref(false)
const unsent = ref({ mine: 0, others: 0 })
/** Asked before signing out, where something of this person has not been sent. */
const leaving = ref(false)
const me = (): string => session.person?.personId ?? ''
async function load(): Promise<void> {
  unsent.value = await waitingHere(me())
  try {
    jobs.value = (await api<{ jobs: Row[] }>('GET', '/jobs')).jobs
  } catch (error) {
    session.heard(error)
    offline.value = error instanceof NoSignal
    if (!offline.value) fault.value = (error as Error).message
    jobs.value = await kept.list(me())
  }
}
onMounted(load)
const headline = computed(() => {
  if (jobs.value === null) return word('jobs-looking-for-your-jobs')
  const count = jobs.value.length
  if (offline.value)
    return count ? word('jobs-no-signal-can-be', { jobs: count }) : word('jobs-no-signal-and-no')
  return count
    ? word('jobs-you-are-on', { name: session.person?.name, jobs: count })
    : word('jobs-you-are-on-no')
})

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
async function leave(sure: boolean): Promise<void> {
  unsent.value = await waitingHere(me())
  if (unsent.value.mine && !sure) return void (leaving.value = true)
  job.close()
  await session.signOut()
  await router.push('/sign-in')
}
</script>

<template>
  <main class="jobs">
    <h1>{{ headline }}</h1>
    <p v-if="installable && offered && !installed()" class="offer">
      {{ word('jobs-jugalis-can-stand-on') }}
      <button type="button" class="button" @click="install">{{ word('ui-put-it-there') }}</button>
      <button type="button" class="button" @click="putAway">{{ word('jobs-not-now') }}</button>
    </p>
    <ul v-if="jobs?.length">
      <li v-for="j in jobs" :key="j.jobId">
        <RouterLink :to="`/job/${j.jobId}`">
          <span class="strong">{{ j.name }}</span><span class="role">{{ j.role && named(j.role) }}</span>
        </RouterLink>
      </li>
    </ul>
    <p v-if="unsent.mine">
      {{ word('jobs-of-yours-on-this', { mine: unsent.mine }) }}
    </p>
    <p v-if="unsent.others">
      {{ word('jobs-on-this-device-were', { others: unsent.others }) }}
    </p>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <form @submit.prevent="create">
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
    <div v-if="leaving" role="alert" class="leaving">
      <p>
        {{ word('jobs-of-yours-are-not', { mine: unsent.mine }) }}
      </p>
      <button class="button" type="button" @click="leave(true)">{{ word('jobs-sign-out-all-the') }}</button>
      <button class="button" type="button" @click="leaving = false">{{ word('jobs-stay-signed-in') }}</button>
    </div>
    <div v-else class="foot">
      <RouterLink class="button" to="/settings">{{ word('ui-settings') }}</RouterLink>
      <button class="button" type="button" @click="leave(false)">{{ word('jobs-sign-out') }}</button>
    </div>
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
.leaving {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.offer {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}
.foot {
  display: flex;
  gap: 10px;
}
.leaving p {
  width: 100%;
  margin: 0;
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
