<script setup lang="ts">
import { nextOf } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import ChipChoice from '../../frame/ChipChoice.vue'
import { install, installable, installed, offered, putAway } from '../../install'
import { isOwnKey } from '../../keys'
import { useAfterPaint } from '../../after-paint'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { usePrefs } from '../../stores/prefs'
import { useSession } from '../../stores/session'
import { waitingHere } from '../../sync/device'
import { useNarrow } from '../../use-narrow'
import { Figures } from '../../words/said'
import { capital, word } from '../../words/word'
import JobLine from './JobLine.vue'
import JobsDock from './JobsDock.vue'
import JobsFound from './JobsFound.vue'
import NewJob from './NewJob.vue'
import StartFrom from './StartFrom.vue'
import { thingSaid } from '../../frame/job-things'
import { FILTERS, ORDERS, byUrgency, useGlance, useShown } from './use-glance'

const session = useSession()
const job = useJob()
const clock = useClock()
const prefs = usePrefs()
const narrow = useNarrow()
const route = useRoute()
const router = useRouter()
const { jobs, offline, fault, unsent, me } = useGlance()
const all = computed(() => jobs.value ?? [])
/** Those that were not put away. */
const here = computed(() => all.value.filter(({ away }) => !away))

/** What is looked for stands in the address, so that a search can be sent and Back works. */
const text = ref(typeof route.query.q === 'string' ? route.query.q : '')
watch(text, (asked) => void router.replace({ query: asked.trim() ? { q: asked } : {} }))
const { chosen, filter, choosable, counts, shown } = useShown(
  () => all.value,
  () => text.value,
)

/** Those in sight are drawn first, and the others once they stand there. */
const AT_ONCE = 24
const most = ref(AT_ONCE)
const afterPaint = useAfterPaint()
onMounted(() => afterPaint(() => (most.value = Infinity)))
const drawn = computed(() => shown.value.slice(0, most.value))

/** The most pressing thing of all jobs, with the job it belongs to: that of the row which stands first. */
const first = computed(() => {
  const [row] = byUrgency(here.value, clock.nowS)
  const [thing] = row?.glance ? nextOf(row.glance, clock.nowS) : []
  return row?.glance && thing ? { row, thing, glance: row.glance } : null
})
const headline = computed(() => {
  if (jobs.value === null) return word('jobs-looking-for-your-jobs')
  const count = here.value.length
  if (offline.value)
    return count ? word('jobs-no-signal-can-be', { jobs: count }) : word('jobs-no-signal-and-no')
  if (!count) return word('jobs-you-are-on-no')
  if (!first.value) return word('jobs-looking-for-your-jobs')
  const { row, thing, glance } = first.value
  const eye = { reader: prefs.readerFor(glance.school), zone: glance.zone, nowS: clock.nowS }
  const says = thingSaid(thing, eye)
  return thing.pressing
    ? word('jobs-first', { job: row.name, thing: capital(says) })
    : word('jobs-nothing-presses', { job: row.name, thing: says })
})
const why = computed(() =>
  here.value.length && !offline.value
    ? word('jobs-you-are-on', {
        name: session.person?.name,
        jobs: here.value.length,
        pressing: counts.value.pressing,
        mine: counts.value.mine,
      })
    : '',
)

/** Common jobs to begin with: all there is to do for whoever has none, else where they are asked for. */
const starting = computed(
  () => !offline.value && jobs.value !== null && (!all.value.length || 'start' in route.query),
)
const startOr = (on: boolean): void => void router.push({ query: on ? { start: null } : {} })

/** Asked before signing out, where something of this person has not been sent. */
const leaving = ref(false)
async function leave(sure: boolean): Promise<void> {
  unsent.value = await waitingHere(me())
  if (unsent.value.mine && !sure) return void (leaving.value = true)
  job.close()
  await session.signOut()
  await router.push('/sign-in')
}
/** / goes to the search, N to a new job. */
function onKey(event: KeyboardEvent): void {
  const id = event.key === '/' ? 'jobs-search' : event.key === 'n' ? 'job-name' : null
  const field = id && isOwnKey(event) && document.getElementById(id)
  if (!field) return
  event.preventDefault()
  field.focus()
}
onMounted(() => window.addEventListener('keydown', onKey))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <main class="jobs">
    <header class="head">
      <h1><Figures :text="headline" /></h1>
      <p v-if="why" class="why">{{ why }}</p>
    </header>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <p v-if="installable && offered && !installed()" class="offer">
      {{ word('jobs-jugalis-can-stand-on') }}
      <button type="button" class="button" @click="install">{{ word('ui-put-it-there') }}</button>
      <button type="button" class="button" @click="putAway">{{ word('jobs-not-now') }}</button>
    </p>
    <p v-if="unsent.mine">{{ word('jobs-of-yours-on-this', { mine: unsent.mine }) }}</p>
    <p v-if="unsent.others">{{ word('jobs-on-this-device-were', { others: unsent.others }) }}</p>
    <div class="middle">
      <StartFrom v-if="starting" />
      <div v-else class="list">
        <template v-if="all.length && !offline">
          <label class="spoken" for="jobs-search">{{ word('jobs-look-for') }}</label>
          <ElInput
            id="jobs-search"
            v-model="text"
            type="search"
            size="large"
            maxlength="80"
            clearable
            :placeholder="word('jobs-look-for')"
            @keydown.esc="text = ''"
          />
          <div v-if="choosable && !text.trim()" class="choose">
            <ChipChoice
              v-model="filter"
              :label="word('jobs-show')"
              :options="FILTERS.map((name) => [name, word(`jobs-filter-${name}`, { count: counts[name] })])"
            />
            <div class="order">
              <span class="why">{{ word('jobs-order') }}</span>
              <ChipChoice
                v-model="chosen.order"
                :label="word('jobs-order')"
                :options="ORDERS.map((name) => [name, word(`jobs-order-${name}`)])"
              />
            </div>
          </div>
        </template>
        <JobsDock v-if="narrow && !text.trim()" :jobs="here" :most="3" quiet />
        <ul v-if="shown.length">
          <JobLine v-for="row in drawn" :key="row.jobId" :row="row" />
        </ul>
        <p v-else-if="all.length && !text.trim()" class="why">{{ word('jobs-none-of-these') }}</p>
        <JobsFound
          v-if="text.trim()"
          :text="text"
          :handbook-in="all[0]?.jobId ?? null"
          :making="all.some(({ stale }) => stale)"
        />
      </div>
      <aside class="side">
        <JobsDock v-if="!narrow && here.length" :jobs="here" :most="8" />
        <NewJob />
        <button v-if="all.length && !offline" class="button from" type="button" @click="startOr(!starting)">
          {{ word(starting ? 'jobs-back-to-the-list' : 'jobs-from-a-common-job') }}
        </button>
        <div v-if="leaving" role="alert" class="leaving">
          <p>{{ word('jobs-of-yours-are-not', { mine: unsent.mine }) }}</p>
          <button class="button" type="button" @click="leave(true)">
            {{ word('jobs-sign-out-all-the') }}
          </button>
          <button class="button" type="button" @click="leaving = false">
            {{ word('jobs-stay-signed-in') }}
          </button>
        </div>
        <div v-else class="buttons">
          <RouterLink class="button as-link" to="/settings">{{ word('ui-settings') }}</RouterLink>
          <button class="button" type="button" @click="leave(false)">{{ word('jobs-sign-out') }}</button>
        </div>
      </aside>
    </div>
  </main>
</template>

<style scoped>
.jobs {
  max-width: 1240px;
  margin: 0 auto;
  padding: 24px 24px 40px;
  display: flex;
  flex-direction: column;
  gap: 16px;
}
.middle {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 36px;
  align-items: start;
}
.list,
.side {
  display: flex;
  flex-direction: column;
  gap: 16px;
  min-width: 0;
}
.side {
  gap: 26px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 2px solid var(--ink);
}
.choose {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 10px 22px;
}
/* The field has its own. */
.list :deep(input::-webkit-search-cancel-button) {
  display: none;
}
.order {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}
.choose :deep(.button) {
  min-height: 46px;
}
.choose :deep(.chips) {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.from {
  align-self: flex-start;
}
.as-link {
  display: inline-flex;
  align-items: center;
  text-decoration: none;
}
.leaving,
.offer {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}
.leaving p {
  width: 100%;
}
@media (max-width: 900px) {
  .jobs {
    padding: 18px 14px 32px;
  }
  .middle {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
