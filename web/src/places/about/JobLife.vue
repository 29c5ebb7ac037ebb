<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '../../api'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useAct } from '../../use-act'
import { when } from '../../when'
import { word } from '../../words/word'
import type { JobPeople, Member } from './use-job-people'

/** A job from its copy to its end: closed, begun once more like this, handed on, put away, taken out. */
const props = defineProps<{ people: JobPeople }>()
const { me, on, owned } = props.people
const job = useJob()
const clock = useClock()
const router = useRouter()
const away = ref(false)
const { said, fault, act } = useAct()
const path = (rest: string): string => `/jobs/${job.jobId}${rest}`

async function load(): Promise<void> {
  const { jobs } = await api<{ jobs: { jobId: string; away: boolean }[] }>('GET', '/glance')
  away.value = jobs.find(({ jobId }) => jobId === job.jobId)?.away ?? false
}
onMounted(() => act(load))
const others = computed(() => on.value.filter(({ personId }) => personId !== me.value))

const closed = computed(() => job.state.job.closed ?? null)
const close = (now: boolean): Promise<unknown> =>
  job.write(
    [{ kind: 'job-closed', data: { closed: now } }],
    word(now ? 'about-closed-now' : 'about-open-now'),
  )

const copy = ref({ name: '', measures: true })
const begin = (): Promise<void> =>
  act(async () => {
    const name = copy.value.name.trim()
    if (!name) throw new Error(word('jobs-give-the-job-a'))
    const jobId = crypto.randomUUID()
    await api('POST', path('/copy'), { jobId, name, measures: copy.value.measures })
    await router.push({ name: 'set-out', params: { jobId } })
  })

const put = (now: boolean): Promise<void> =>
  act(async () => {
    await api('PUT', path('/away'), { away: now })
    away.value = now
    return now ? word('about-is-away') : ''
  })
const hand = ({ personId, name }: Member): Promise<void> =>
  act(async () => {
    await api('PUT', path('/owner'), { personId })
    await props.people.load()
    return word('about-handed', { name })
  })

const sure = ref(false)
const empty = computed(() => job.state.lines.size === 0 && job.state.sections.size === 0)
const takeOut = (): Promise<void> =>
  act(async () => {
    await api('DELETE', path(''))
    await router.push('/jobs')
  })
</script>

<template>
  <section class="life" aria-labelledby="life">
    <h2 id="life">{{ word('about-from-here') }}</h2>
    <div class="way">
      <template v-if="closed">
        <p>
          {{
            word('about-closed-by', {
              at: when(closed.atS, clock.nowS, job.state.job.zone),
              by: job.members.get(closed.by),
            })
          }}
        </p>
        <button type="button" class="button" @click="close(false)">{{ word('about-reopen') }}</button>
      </template>
      <template v-else>
        <button type="button" class="button" @click="close(true)">{{ word('about-close') }}</button>
        <p class="why">{{ word('about-close-says') }}</p>
      </template>
    </div>
    <form class="way" @submit.prevent="begin">
      <label for="copy-as">{{ word('about-copy-name') }}</label>
      <ElInput
        id="copy-as"
        v-model="copy.name"
        size="large"
        maxlength="200"
        :placeholder="job.state.job.name"
      />
      <label class="reach tick"
        ><input v-model="copy.measures" type="checkbox" /> {{ word('about-copy-measures') }}</label
      >
      <button type="submit" class="button">{{ word('about-copy') }}</button>
      <p class="why">{{ word('about-copy-says') }}</p>
    </form>
    <template v-if="owned">
      <div class="way">
        <p class="strong">{{ word('about-hand') }}</p>
        <div v-if="others.length" class="buttons">
          <button
            v-for="other in others"
            :key="other.personId"
            type="button"
            class="button"
            @click="hand(other)"
          >
            {{ other.name }}
          </button>
        </div>
        <p class="why">{{ word(others.length ? 'about-hand-says' : 'about-nobody-else') }}</p>
      </div>
      <div class="way">
        <button v-if="away" type="button" class="button" @click="put(false)">
          {{ word('about-bring-back') }}
        </button>
        <template v-else>
          <button type="button" class="button" @click="put(true)">{{ word('about-put-away') }}</button>
          <p class="why">{{ word('about-put-away-says') }}</p>
        </template>
      </div>
      <div v-if="empty" class="way">
        <template v-if="sure">
          <button type="button" class="button stop" @click="takeOut">
            {{ word('about-take-out-sure') }}
          </button>
          <button type="button" class="button" @click="sure = false">{{ word('about-keep-job') }}</button>
        </template>
        <button v-else type="button" class="button" @click="sure = true">
          {{ word('about-take-out') }}
        </button>
        <p class="why">{{ word('about-take-out-says') }}</p>
      </div>
    </template>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="fault" class="refusal" role="alert">{{ fault.says }}</p>
  </section>
</template>

<style scoped>
.life {
  display: flex;
  flex-direction: column;
  gap: 18px;
  max-width: 560px;
  margin-block-start: 18px;
  padding-block-start: 18px;
  border-block-start: 2px solid var(--ink);
}
.way {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
}
.way label:not(.tick),
.way .el-input,
.way .why,
.way .strong {
  width: 100%;
}
.way label:not(.tick),
.strong {
  font-weight: 600;
}
.tick {
  gap: 8px;
}
</style>
