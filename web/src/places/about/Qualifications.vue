<script setup lang="ts">
import { type Qualification, allMethods, dayOf, epochInZone } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import ManyChips from '../../frame/ManyChips.vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { dayText } from '../../when'
import { listed, word } from '../../words/word'
import type { JobPeople } from './use-job-people'

/** What papers say that people of this job may make, each with its last day. One's own; of others who leads. */
const props = defineProps<{ people: JobPeople }>()
const { me, on, leading } = props.people
const job = useJob()
const clock = useClock()
const methodName = (id: string): string => {
  const method = allMethods().find((one) => one.id === id)
  return method ? job.t(method.name) : id
}
const METHODS = computed(() => allMethods().map(({ id, name }) => [id, job.t(name)] as const))
const today = computed(() => dayOf(clock.nowS, job.state.job.zone))
const rows = computed(() =>
  [...job.state.qualifications.values()].sort(
    (one, other) =>
      job.nameOf(one.personId).localeCompare(job.nameOf(other.personId)) ||
      (one.untilOn ?? '9').localeCompare(other.untilOn ?? '9'),
  ),
)
const mayWrite = (personId: string): boolean =>
  job.may('qualified') && (personId === me.value || leading.value)
/** For whom this person may write one. */
const forWhom = computed(() => on.value.filter(({ personId }) => mayWrite(personId)))
const stands = ({ untilOn }: Qualification): 'open' | 'valid' | 'ended' =>
  untilOn === null ? 'open' : untilOn < today.value ? 'ended' : 'valid'

const editing = ref<string | null>(null)
const typed = reactive({ personId: '', methods: [] as string[], covers: '', paper: '', untilOn: '' })
const fault = ref('')
function begin(one: Qualification | null): void {
  fault.value = ''
  editing.value = one?.id ?? crypto.randomUUID()
  Object.assign(typed, {
    personId: one?.personId ?? me.value ?? '',
    methods: [...(one?.methods ?? [])],
    covers: one?.covers ?? '',
    paper: one?.paper ?? '',
    untilOn: one?.untilOn ?? '',
  })
}
const known = computed(() => editing.value !== null && job.state.qualifications.has(editing.value))
async function write(withdrawn: boolean): Promise<void> {
  fault.value = ''
  if (!typed.methods.length) return void (fault.value = word('about-qualified-for-what'))
  const [covers, paper, untilOn] = [typed.covers.trim(), typed.paper.trim(), typed.untilOn.trim()]
  if (untilOn && epochInZone(untilOn, '12:00', 'UTC') === null)
    return void (fault.value = word('about-qualified-no-day'))
  const data = {
    qualificationId: editing.value ?? '',
    personId: typed.personId,
    methods: [...typed.methods],
    ...(covers ? { covers } : {}),
    ...(paper ? { paper } : {}),
    ...(untilOn ? { untilOn } : {}),
    ...(withdrawn ? { withdrawn } : {}),
  }
  const name = job.nameOf(typed.personId)
  await job.write(
    [{ kind: 'qualified', data }],
    withdrawn ? word('about-qualified-off', { name }) : word('about-qualified-kept', { name }),
  )
  editing.value = null
}
</script>

<template>
  <section class="qualified" aria-labelledby="qualified">
    <h2 id="qualified">{{ word('about-qualified') }}</h2>
    <p class="why">{{ word('about-qualified-why') }}</p>
    <ul v-if="rows.length">
      <li v-for="row in rows" :key="row.id">
        <span class="strong">{{ job.nameOf(row.personId) }}</span>
        <span class="what">{{
          word('about-qualified-row', {
            methods: listed(row.methods.map(methodName), 20),
            covers: row.covers,
            paper: row.paper,
          })
        }}</span>
        <span :class="{ refusal: stands(row) === 'ended' }">{{
          word('about-qualified-until', {
            stands: stands(row),
            day: row.untilOn === null ? '' : dayText(row.untilOn),
          })
        }}</span>
        <button
          v-if="mayWrite(row.personId)"
          type="button"
          class="button"
          :aria-label="word('about-qualified-change-of', { name: job.nameOf(row.personId) })"
          @click="begin(row)"
        >
          {{ word('about-qualified-change') }}
        </button>
      </li>
    </ul>
    <button v-if="forWhom.length" type="button" class="button" @click="begin(null)">
      {{ word('about-qualified-add') }}
    </button>
    <Sheet v-if="editing" :title="word('about-qualified-sheet')" @close="editing = null">
      <form novalidate @submit.prevent="write(false)">
        <label for="qualified-who">{{ word('about-qualified-who') }}</label>
        <select id="qualified-who" v-model="typed.personId" class="plain" :disabled="known">
          <option v-for="one in forWhom" :key="one.personId" :value="one.personId">{{ one.name }}</option>
        </select>
        <p class="strong">{{ word('about-qualified-methods') }}</p>
        <ManyChips v-model="typed.methods" :options="METHODS" />
        <label for="qualified-covers">{{ word('about-qualified-covers') }}</label>
        <ElInput id="qualified-covers" v-model="typed.covers" size="large" maxlength="200" />
        <label for="qualified-paper">{{ word('about-qualified-paper') }}</label>
        <ElInput id="qualified-paper" v-model="typed.paper" size="large" maxlength="200" />
        <label for="qualified-until">{{ word('about-qualified-last-day') }}</label>
        <ElInput id="qualified-until" v-model="typed.untilOn" size="large" placeholder="2027-11-30" />
        <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
        <div class="buttons">
          <button type="submit" class="button main">{{ word('ui-keep-it') }}</button>
          <button v-if="known" type="button" class="button" @click="write(true)">
            {{ word('about-qualified-withdraw') }}
          </button>
        </div>
      </form>
    </Sheet>
  </section>
</template>

<style scoped>
.qualified {
  max-width: 560px;
  margin-block-start: 18px;
  padding-block-start: 18px;
  border-block-start: 2px solid var(--ink);
}
ul {
  list-style: none;
  margin: 8px 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  min-height: 48px;
  border-block-end: 1px solid var(--line);
}
.what {
  flex: 1 1 200px;
}
form {
  display: grid;
  gap: 8px;
}
label {
  font-weight: 600;
}
</style>
