<script setup lang="ts">
import { type CrewMember, clockOf, hoursFault } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref } from 'vue'
import ManyChips from '../../frame/ManyChips.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { weekday } from '../../when'
import { word } from '../../words/word'
import { methodTold } from './said'
import { minutesOf } from './clock-text'

/** Who makes joints here, and when they are there: one form, one person at a time, kept as a whole. */
const emit = defineEmits<{ close: [] }>()
const job = useJob()
/** A Monday at noon, from which the names of days are told. */
const MONDAY_S = Date.UTC(2026, 10, 30, 12) / 1000
const dayName = (day: number): string => weekday(MONDAY_S + (day - 1) * 86_400, 'UTC')
const DAYS = [1, 2, 3, 4, 5, 6, 7].map((day) => [String(day), dayName(day)] as const)
const crew = computed(() => job.state.plan.crew)
const methods = computed(() => [...new Set([...job.state.lines.values()].map(({ method }) => method))])
/** Names of who is on the job and not among them yet. */
const suggested = computed(() =>
  [...job.members].filter(([, name]) => !crew.value.some((member) => member.name === name)).slice(0, 8),
)

const editing = ref<string | null>(null)
const typed = ref({
  name: '',
  days: [] as string[],
  from: '',
  until: '',
  breakFrom: '',
  breakUntil: '',
  makes: [] as string[],
})
const fault = ref('')
/** Minutes from one line to another; empty: as is usual. */
const walk = ref(job.state.plan.walkMin === undefined ? '' : String(job.state.plan.walkMin))
/** @param personId whoever of the job it is: their papers count. */
function begin(member: CrewMember | null, name = '', personId: string = crypto.randomUUID()): void {
  fault.value = ''
  editing.value = member?.id ?? personId
  // Hours of whoever was put in last are the likeliest of the next one.
  const like = member ?? crew.value.at(-1)
  const clock = (minutes: number | undefined): string => (minutes === undefined ? '' : clockOf(minutes))
  typed.value = {
    name: member?.name ?? name,
    days: (like?.days ?? [1, 2, 3, 4, 5]).map(String),
    from: clock(like?.fromMin),
    until: clock(like?.untilMin),
    breakFrom: clock(like?.breakFromMin),
    breakUntil: clock(like?.breakUntilMin),
    makes: [...(member?.makes ?? [])],
  }
}
const FAULTS = {
  days: 'plan-hours-days',
  until: 'plan-hours-until',
  long: 'plan-hours-long',
  break: 'plan-hours-break-wrong',
} as const
/** What was typed as a member, or what is wrong with it. */
function read(id: string): CrewMember | string {
  const { name, days, from, until, breakFrom, breakUntil, makes } = typed.value
  if (!name.trim()) return word('plan-no-name')
  if (crew.value.some((one) => one.id !== id && one.name === name.trim())) return word('plan-same-name')
  const times = [from, until].map(minutesOf)
  const pause = [breakFrom, breakUntil].map((text) => (text.trim() ? minutesOf(text) : undefined))
  if ([...times, ...pause].includes(null)) return word('plan-no-time')
  const [fromMin = 0, untilMin = 0] = times as number[]
  const [breakFromMin, breakUntilMin] = pause as (number | undefined)[]
  const member: CrewMember = {
    id,
    name: name.trim(),
    days: days.map(Number).sort(),
    fromMin,
    untilMin,
    ...(breakFromMin === undefined ? {} : { breakFromMin }),
    ...(breakUntilMin === undefined ? {} : { breakUntilMin }),
    ...(makes.length ? { makes } : {}),
  }
  const wrong = hoursFault(member)
  return wrong ? word(FAULTS[wrong]) : member
}
async function write(people: readonly CrewMember[]): Promise<void> {
  const said = walk.value.trim()
  const walkMin = said ? Number(said.replace(',', '.')) : undefined
  if (walkMin !== undefined && !(walkMin >= 0 && walkMin <= 240))
    return void (fault.value = word('plan-walk-wrong'))
  const data = { people, ...(walkMin === undefined ? {} : { walkMin }) }
  await job.write([{ kind: 'crew-set', data }], word('plan-crew-said'))
  editing.value = null
}
async function keep(): Promise<void> {
  const id = editing.value
  if (id === null) return
  const member = read(id)
  if (typeof member === 'string') return void (fault.value = member)
  const known = crew.value.some((one) => one.id === id)
  await write(known ? crew.value.map((one) => (one.id === id ? member : one)) : [...crew.value, member])
}
const hoursSay = (member: CrewMember): string => {
  const values = {
    days: member.days.map(dayName).join(', '),
    from: clockOf(member.fromMin),
    until: clockOf(member.untilMin),
  }
  if (member.breakFromMin === undefined) return word('plan-hours-of', values)
  return word('plan-hours-break', {
    ...values,
    breakFrom: clockOf(member.breakFromMin),
    breakUntil: clockOf(member.breakUntilMin ?? 0),
  })
}
const [first] = job.members
if (!crew.value.length) begin(null, ...(first ? ([first[1], first[0]] as const) : []))
</script>

<template>
  <Sheet :title="word('plan-crew-title')" @close="emit('close')">
    <p class="why">{{ word('plan-crew-why') }}</p>
    <ul v-if="crew.length" class="crew">
      <li v-for="member in crew" :key="member.id">
        <button
          type="button"
          class="in-text strong"
          :aria-label="word('plan-change-person', { name: member.name })"
          @click="begin(member)"
        >
          {{ member.name }}
        </button>
        <span>{{ hoursSay(member) }}</span>
        <span v-if="member.makes" class="why">{{ member.makes.map(methodTold).join(', ') }}</span>
      </li>
    </ul>
    <form v-if="editing" @submit.prevent="keep">
      <label for="crew-name">{{ word('plan-name') }}</label>
      <ElInput id="crew-name" v-model="typed.name" size="large" maxlength="40" />
      <h3>{{ word('plan-days') }}</h3>
      <ManyChips v-model="typed.days" :options="DAYS" />
      <div class="fields">
        <span
          ><label for="crew-from">{{ word('plan-from') }}</label
          ><ElInput id="crew-from" v-model="typed.from" size="large" placeholder="07:30"
        /></span>
        <span
          ><label for="crew-until">{{ word('plan-until') }}</label
          ><ElInput id="crew-until" v-model="typed.until" size="large" placeholder="16:00"
        /></span>
        <span
          ><label for="crew-break-from">{{ word('plan-break-from') }}</label
          ><ElInput id="crew-break-from" v-model="typed.breakFrom" size="large" placeholder="12:00"
        /></span>
        <span
          ><label for="crew-break-until">{{ word('plan-break-until') }}</label
          ><ElInput id="crew-break-until" v-model="typed.breakUntil" size="large" placeholder="12:30"
        /></span>
      </div>
      <template v-if="methods.length > 1">
        <h3>{{ word('plan-makes') }}: {{ typed.makes.length ? '' : word('plan-makes-all') }}</h3>
        <ManyChips
          v-model="typed.makes"
          :options="methods.map((method) => [method, methodTold(method)] as const)"
        />
      </template>
      <label for="crew-walk">{{ word('plan-walk') }}</label>
      <ElInput
        id="crew-walk"
        v-model="walk"
        size="large"
        inputmode="numeric"
        :placeholder="word('plan-walk-usual')"
      />
      <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
      <div class="buttons">
        <button type="submit" class="button main">{{ word('ui-keep-it') }}</button>
        <button
          v-if="crew.some(({ id }) => id === editing)"
          type="button"
          class="button"
          @click="write(crew.filter(({ id }) => id !== editing))"
        >
          {{ word('plan-take-out') }}
        </button>
      </div>
    </form>
    <div class="buttons">
      <button v-if="!editing" type="button" class="button" @click="begin(null)">
        {{ word('plan-add-person') }}
      </button>
      <template v-if="!editing">
        <button
          v-for="[id, name] in suggested"
          :key="id"
          type="button"
          class="button"
          @click="begin(null, name, id)"
        >
          {{ word('plan-add-name', { name }) }}
        </button>
      </template>
      <button type="button" class="button" @click="emit('close')">{{ word('ui-close') }}</button>
    </div>
  </Sheet>
</template>
<style scoped>
.crew {
  list-style: none;
  margin: 0 0 12px;
  padding: 0;
}
.crew li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 12px;
  min-height: 48px;
  border-block-end: 1px solid var(--line);
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(100px, 1fr));
  gap: 10px;
  margin-block: 10px 16px;
}
label {
  font-weight: 600;
}
</style>
