<script setup lang="ts">
import { msg } from '@jugalis/core'
import { ElInput, ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select/style/css'
import { computed, onMounted, reactive, ref } from 'vue'
import { api } from '../../api'
import { type Device, devicesPath, instrumentsOf } from '../../instruments'
import { useJob } from '../../stores/job'
import { date, hhmm } from '../../when'
import ModbusMap from './ModbusMap.vue'
import { named, word } from '../../words/word'

/** Instruments that report to this job by themselves; each has a token of its own, told once. */
const job = useJob()
const devices = ref<Device[]>([])
const fault = ref('')
const token = ref('')
const adding = ref(false)
const KINDS = ['probe', 'press-tool', 'torque-tool', 'heat-blanket', 'pressure-logger']
const BEHAVES = [
  ['', word('site-a-real-instrument')],
  ['well', word('site-a-stand-in')],
  ['jumps', word('site-a-stand-in-that')],
  ['gaps', word('site-a-stand-in-that-falls')],
  ['stuck', word('site-a-stand-in-that-is')],
  ['future', word('site-a-stand-in-whose')],
] as const
const LINES = [
  ['', word('site-a-real-instrument')],
  ['well', word('site-a-stand-in-a')],
  ['leak', word('site-a-stand-in-a-line')],
  ['swing', word('site-a-stand-in-a-hall')],
  ['air pocket', word('site-a-stand-in-a-pocket')],
  ['stuck', word('site-a-stand-in-a-stuck')],
  ['gaps', word('site-a-stand-in-that-falls')],
] as const
const typed = reactive({ name: '', kind: 'probe', placeId: '', toolId: '', sectionId: '', standIn: '' })
const modbus = ref(false)
const settings = ref<Record<string, unknown>>({})
const path = computed(() => devicesPath(job.jobId))
const here = computed(() => devices.value.filter((d) => !d.revoked))
const tools = computed(() => [...job.state.store.values()].filter((item) => !item.lot))
const logs = computed(() => typed.kind === 'pressure-logger')
const behaves = computed(() => (logs.value ? LINES : BEHAVES))
const sections = computed(() => [...job.state.sections.values()])
const hangs = computed(() => typed.kind === 'probe' || typed.kind === 'heat-blanket')
async function attempt(work: () => Promise<unknown>): Promise<boolean> {
  fault.value = ''
  try {
    await work()
    devices.value = await instrumentsOf(job.jobId)
    return true
  } catch (error) {
    fault.value = (error as Error).message
    return false
  }
}
onMounted(() => attempt(() => Promise.resolve()))
async function add(): Promise<void> {
  if (!typed.name.trim()) return void (fault.value = word('site-an-instrument-needs-the'))
  if (hangs.value && !typed.placeId) return void (fault.value = word('site-say-where-it-hangs'))
  if (logs.value && !typed.sectionId) return void (fault.value = word('site-say-on-which-section'))
  if (!hangs.value && !logs.value && !typed.toolId) return void (fault.value = word('site-say-which-tool-it'))
  const ok = await attempt(async () => {
    const made = await api<{ token: string }>('POST', path.value, {
      name: typed.name.trim(),
      kind: typed.kind,
      ...(typed.placeId ? { placeId: typed.placeId } : {}),
      ...(typed.toolId ? { toolId: typed.toolId } : {}),
      ...(logs.value ? { sectionId: typed.sectionId } : {}),
      ...(logs.value && modbus.value ? { settings: settings.value } : {}),
      ...(typed.standIn ? { standIn: typed.standIn } : {}),
    })
    token.value = typed.standIn ? '' : made.token
  })
  if (ok) Object.assign(typed, { name: '', standIn: '' })
}
const takeDown = (d: Device): Promise<boolean> => attempt(() => api('DELETE', `${path.value}/${d.deviceId}`))
const trigger = (device: Device, how: { fault?: boolean; off?: boolean }): Promise<boolean> =>
  attempt(() => api('POST', `${path.value}/${device.deviceId}/trigger`, how))
/** When it was last heard, or why it is not. */
function heard(device: Device): string {
  const { zone } = job.state.job
  const on = (s: number): string => `${date(s, zone)}, ${hhmm(s, zone)}`
  if (device.silent)
    return word('site-so-since', {
      said: job.t(msg(`logger-${device.silent.why}`, { name: device.name })),
      on: on(device.silent.sinceS),
    })
  return device.lastAtS === null
    ? word('site-nothing-heard-yet')
    : word('site-last-heard', { on: on(device.lastAtS) })
}
function at(device: Device): string {
  if (device.placeId) return job.state.places.get(device.placeId) ?? ''
  if (device.sectionId) return job.state.sections.get(device.sectionId)?.tag ?? ''
  return device.toolId ? (job.state.store.get(device.toolId)?.name ?? '') : ''
}
</script>

<template>
  <section aria-labelledby="instruments">
    <h2 id="instruments">{{ word('site-instruments') }}</h2>
    <p v-if="!here.length" class="why">{{ word('site-nothing-reports-by-itself') }}</p>
    <ul v-else>
      <li v-for="d in here" :key="d.deviceId">
        <span class="strong">{{ d.name }}</span>
        <span
          >{{ named(d.kind) }}, {{ at(d)
          }}{{ d.standIn ? word('site-stands-in', { standIn: d.standIn }) : '' }}. {{ heard(d) }}</span
        >
        <span class="buttons">
          <template v-if="d.standIn && d.kind !== 'probe' && d.kind !== 'pressure-logger'">
            <button type="button" class="button" @click="trigger(d, {})">
              {{ d.kind === 'heat-blanket' ? word('site-switch-on') : word('site-trigger') }}
            </button>
            <button
              v-if="d.kind === 'heat-blanket'"
              type="button"
              class="button"
              @click="trigger(d, { off: true })"
            >
              {{ word('site-switch-off') }}
            </button>
            <button type="button" class="button" @click="trigger(d, { fault: true })">
              {{ d.kind === 'heat-blanket' ? word('site-fail') : word('site-trigger-failing') }}
            </button>
          </template>
          <button type="button" class="button" @click="takeDown(d)">{{ word('site-take-down') }}</button>
        </span>
      </li>
    </ul>
    <p v-if="token" class="token" role="status">
      {{ word('site-its-token-told-this') }} <code>{{ token }}</code>
    </p>
    <button type="button" class="button" :aria-expanded="adding" @click="adding = !adding">
      {{ word('site-put-one-up') }}
    </button>
    <div v-if="adding" class="form">
      <ElInput
        v-model="typed.name"
        size="large"
        :aria-label="word('site-name-on-the-instrument')"
        :placeholder="word('site-name-on-it')"
      />
      <ElSelect
        :teleported="false"
        v-model="typed.kind"
        size="large"
        :aria-label="word('site-kind-of-instrument')"
      >
        <ElOption v-for="k in KINDS" :key="k" :value="k" :label="named(k)" />
      </ElSelect>
      <ElSelect
        :teleported="false"
        v-if="hangs"
        v-model="typed.placeId"
        size="large"
        :aria-label="word('site-where-it-hangs')"
        :placeholder="word('site-where')"
      >
        <ElOption v-for="[id, name] in job.state.places" :key="id" :value="id" :label="name" />
      </ElSelect>
      <ElSelect
        :teleported="false"
        v-if="typed.kind !== 'probe' && !logs"
        v-model="typed.toolId"
        size="large"
        :aria-label="word('site-which-tool')"
        :placeholder="word('site-which-tool-2')"
      >
        <ElOption v-for="x in tools" :key="x.id" :value="x.id" :label="x.name" />
      </ElSelect>
      <ElSelect
        :teleported="false"
        v-if="logs"
        v-model="typed.sectionId"
        size="large"
        :aria-label="word('site-on-which-section')"
        :placeholder="word('site-on-which-section-2')"
      >
        <ElOption v-for="x in sections" :key="x.id" :value="x.id" :label="x.tag" />
      </ElSelect>
      <ElSelect
        :teleported="false"
        v-model="typed.standIn"
        size="large"
        :aria-label="word('site-real-or-stand-in')"
        :placeholder="word('site-a-real-instrument')"
      >
        <ElOption v-for="[v, says] in behaves" :key="v" :value="v" :label="says" />
      </ElSelect>
      <template v-if="logs && !typed.standIn">
        <label class="check"
          ><input v-model="modbus" type="checkbox" /> {{ word('site-the-server-reads-it') }}</label
        >
        <ModbusMap v-if="modbus" v-model="settings" />
      </template>
      <button type="button" class="button main" @click="add">{{ word('site-put-it-up') }}</button>
    </div>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 6px 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(110px, auto) 1fr auto;
  align-items: center;
  gap: 6px 14px;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
.form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: 8px;
  margin-top: 10px;
}
.form > .button {
  align-self: end;
  justify-self: start;
}
.form label:not(.check) {
  display: flex;
  flex-direction: column;
  font-weight: 600;
}
.check {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
}
.token code {
  display: block;
  overflow-wrap: anywhere;
  padding: 6px 0;
  font-size: 15px;
}
@media (max-width: 720px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
