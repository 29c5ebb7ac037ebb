<script setup lang="ts">
import { dewPointC, fmt, placeHealth } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { when } from '../../when'
import ClimateChart from './ClimateChart.vue'
import Forecast from './Forecast.vue'
import Instruments from './Instruments.vue'
import { word } from '../../words/word'
import { Figures, Said } from '../../words/said'

/** What is known of each place of the site, what is not, and who or what tells it. */
const job = useJob()
const clock = useClock()
const view = useView()
const DAYS = 7
const zone = computed(() => job.state.job.zone)
const degrees = (celsius: number | null): string =>
  celsius === null ? word('ui-not-read') : fmt.temperature(celsius, job.reader)
const rows = computed(() =>
  [...job.state.places].map(([placeId, name]) => {
    const readings = job.state.readings.get(placeId)
    const last = (what: 'wall' | 'air' | 'humidity') => {
      const all = readings?.[what] ?? []
      return all.reduce<(typeof all)[number] | null>((a, b) => (!a || b.atS >= a.atS ? b : a), null)
    }
    const [wall, air, humidity] = [last('wall'), last('air'), last('humidity')]
    const health = placeHealth(job.state, placeId, view.nowS - DAYS * 86400, view.nowS)
    const dewC = air && humidity ? dewPointC(air.value, humidity.value) : null
    return {
      placeId,
      name,
      wall,
      air,
      humidity,
      dewC,
      health,
      ageS: health.lastAtS === null ? null : view.nowS - health.lastAtS,
    }
  }),
)
/** Places where something is joined: only there a missing reading matters. */
const used = computed(() => new Set(view.lines.map((l) => l.placeId)))
const ago = (atS: number): string =>
  atS < 60 ? word('site-just-now') : word('site-ago', { s: Math.floor(atS / 60) * 60 })
const headline = computed(() => {
  const jump = rows.value.find((r) => r.health.jumps.length)
  if (jump)
    return word('site-readings-jumped-by-more', {
      name: jump.name,
      jumps: jump.health.jumps.length,
      jump: 15,
    })
  const unread = rows.value.find((r) => r.ageS === null && used.value.has(r.placeId))
  if (unread) return word('site-has-not-been-read', { name: unread.name })
  const old = rows.value.find((r) => (r.ageS ?? 0) > 7200 && used.value.has(r.placeId))
  if (old)
    return word('site-has-not-been-read-for', { name: old.name, ageS: Math.floor((old.ageS ?? 0) / 60) * 60 })
  const first = rows.value[0]
  return first
    ? word('site-wall-read', {
        name: first.name,
        wall: degrees(first.wall?.value ?? null),
        ago: ago(first.ageS ?? 0),
      })
    : word('site-no-place-is-named')
})
async function judge(
  reading: { eventId?: string; atS: number; value: number },
  placeId: string,
  right: boolean,
): Promise<void> {
  if (!reading.eventId) return
  const data = {
    placeId,
    what: 'wall',
    basis: 'typed',
    atS: reading.atS - clock.offsetS,
    value: reading.value,
    supersedes: reading.eventId,
  }
  await job.write(
    [
      right
        ? { kind: 'reading', data }
        : {
            kind: 'correction',
            data: { target: reading.eventId, undo: true, reason: word('site-a-jump-of-the') },
          },
    ],
    right ? word('site-it-counts') : word('site-it-is-left-out'),
  )
}
const name = ref('')
async function addPlace(): Promise<void> {
  if (!name.value.trim()) return
  await job.write(
    [{ kind: 'place-set', data: { placeId: crypto.randomUUID(), name: name.value.trim() } }],
    word('site-is-named', { name: name.value.trim() }),
  )
  name.value = ''
}
</script>

<template>
  <div class="place">
    <div class="head">
      <h1><Figures :text="headline" /></h1>
      <p class="why">
        {{ word('site-a-gap-over-2', { jump: 15 }) }}
      </p>
    </div>
    <section v-for="r in rows" :key="r.placeId" :aria-label="r.name">
      <h2>{{ r.name }}</h2>
      <p>
        <Said code="site-climate">
          <template #wall
            ><strong>{{ degrees(r.wall?.value ?? null) }}</strong></template
          >
          <template #air
            ><strong>{{ degrees(r.air?.value ?? null) }}</strong></template
          >
          <template #humidity
            ><strong>{{
              r.humidity ? `${Math.round(r.humidity.value)} %` : word('ui-not-read')
            }}</strong></template
          >
          <template #dew
            ><strong>{{ degrees(r.dewC) }}</strong></template
          >
        </Said>
        {{
          r.health.lastAtS === null
            ? ''
            : word('site-last-read', { when: when(r.health.lastAtS, view.nowS, zone) })
        }}
        {{
          r.health.forecastToS
            ? word('site-forecast-to', { when: when(r.health.forecastToS, view.nowS, zone) })
            : ''
        }}
      </p>
      <ClimateChart v-if="r.wall || r.air" :place-id="r.placeId" :days="DAYS" />
      <ul v-if="r.health.gaps.length || r.health.jumps.length" class="wrong">
        <li v-for="g in r.health.gaps.slice(-4)" :key="g.fromS">
          {{
            word('site-not-read-from-to', {
              when: when(g.fromS, view.nowS, zone),
              when2: when(g.toS, view.nowS, zone),
            })
          }}
        </li>
        <li v-for="j in r.health.jumps.slice(0, 6)" :key="j.eventId">
          {{ word('site-a-jump-set-aside', { when: when(j.atS, view.nowS, zone), j: degrees(j.value) }) }}
          <button type="button" class="button" @click="judge(j, r.placeId, true)">
            {{ word('site-it-was-so') }}
          </button>
          <button type="button" class="button" @click="judge(j, r.placeId, false)">
            {{ word('site-leave-it-out') }}
          </button>
        </li>
        <li v-if="r.health.jumps.length > 6">
          {{ word('site-and-more-jumps', { jumps: r.health.jumps.length - 6 }) }}
        </li>
      </ul>
    </section>
    <div class="buttons">
      <label for="place-name" class="sr">{{ word('site-name-of-a-place') }}</label>
      <ElInput
        id="place-name"
        v-model="name"
        size="large"
        :placeholder="word('site-another-place-such-as')"
      />
      <button type="button" class="button" :disabled="!name.trim()" @click="addPlace">
        {{ word('site-name-the-place') }}
      </button>
    </div>
    <Instruments />
    <Forecast />
  </div>
</template>

<style scoped>
.wrong {
  margin: 6px 0 0;
  padding-inline-start: 20px;
}
.wrong .button {
  margin-inline-start: 6px;
}
.buttons :deep(.el-input) {
  max-width: 340px;
}
</style>
