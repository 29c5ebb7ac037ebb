<script setup lang="ts">
import { KINDS_OF_QUANTITY, type QuantityKind, type System, fmt, unitOf } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { askForNotices, noticesAre } from '../../clocks/notices'
import ChipChoice from '../../frame/ChipChoice.vue'
import { install, installable, installed } from '../../install'
import { usePrefs } from '../../stores/prefs'
import { useSession } from '../../stores/session'
import { hhmm } from '../../when'

/** How this person reads and works. Units, signs and keys go with the person; the rest belongs to this device. */
const store = usePrefs()
const session = useSession()
const router = useRouter()
const prefs = store.prefs
const NAMES: Readonly<Record<QuantityKind, string>> = {
  length: 'Lengths',
  pressure: 'Pressures',
  temperature: 'Temperatures',
  torque: 'Torques',
  volume: 'Volumes',
  weight: 'Weights',
}
/** Torques are named by their larger unit. */
const ABOUT = 100
const unitIn = (kind: QuantityKind, units: System): string => unitOf(kind, { units }, ABOUT)
const own = (kind: QuantityKind): System | 'job' => prefs.own[kind] ?? 'job'
function choose(kind: QuantityKind, system: System | 'job' | null): void {
  const { [kind]: _, ...rest } = prefs.own
  prefs.own = system === 'job' || system === null ? rest : { ...rest, [kind]: system }
}
const SAMPLE = { cutMm: 1284, bar: 6, wallC: 8.1, atS: 1_790_000_000 }
const samples = computed(() =>
  (['metric', 'inch'] as const).map((school) => {
    const r = store.readerFor(school)
    return `In ${school === 'inch' ? 'an inch' : 'a metric'} job: cut ${fmt.length(SAMPLE.cutMm, r)}; ${fmt.pressure(SAMPLE.bar, r)}; wall ${fmt.temperature(SAMPLE.wallC, r)} at ${hhmm(SAMPLE.atS, 'UTC')}.`
  }),
)
/** What has two states, as a pair of buttons. */
const ON_OFF = [
  ['on', 'on'],
  ['off', 'off'],
] as const
const SWITCHES = [
  ['sound', 'Sound'],
  ['wet', 'Wet screen: actions are pressed longer'],
  ['keys', 'Single letters as keys'],
] as const
const noticesNow = ref(noticesAre())
async function setNotices(on: boolean): Promise<void> {
  noticesNow.value = on && noticesNow.value === 'default' ? await askForNotices() : noticesAre()
  prefs.notices = on && noticesNow.value === 'granted'
}
const aboutNotices = computed(
  () =>
    ({
      none: 'This device has no notices.',
      denied: 'The browser was told to show none from here: change it in its own settings.',
      default: 'The browser asks you once.',
      granted:
        'They come while this page is open behind others. Once the device puts it to sleep none can come: what ended is listed on waking.',
    })[noticesNow.value],
)
const onApple = /iPhone|iPad/.test(navigator.userAgent)
function back(): void {
  if (window.history.state?.back) router.back()
  else void router.push('/jobs')
}
</script>

<template>
  <main id="main" class="settings">
    <h1>Settings of {{ session.person?.name }}</h1>
    <p v-for="s in samples" :key="s" class="why">{{ s }}</p>
    <section aria-labelledby="units">
      <h2 id="units">Units</h2>
      <p class="why">
        A job reads by its school. Where you read otherwise, choose it here: it goes with you.
      </p>
      <div v-for="kind in KINDS_OF_QUANTITY" :key="kind" class="row">
        <span class="name">{{ NAMES[kind] }}</span>
        <ChipChoice
          :model-value="own(kind)"
          :label="NAMES[kind]"
          :options="[
            ['job', 'as the job'],
            ['metric', unitIn(kind, 'metric')],
            ['inch', unitIn(kind, 'inch')],
          ]"
          @update:model-value="(v) => choose(kind, v)"
        />
      </div>
    </section>
    <section aria-labelledby="reading">
      <h2 id="reading">Figures and times</h2>
      <div class="row">
        <span class="name">Decimal sign</span>
        <ChipChoice
          v-model="prefs.decimal"
          label="Decimal sign"
          :options="[
            ['device', 'as this device'],
            ['.', '1.5'],
            [',', '1,5'],
          ]"
        />
      </div>
      <div class="row">
        <span class="name">Clock</span>
        <ChipChoice
          v-model="prefs.hours"
          label="Clock"
          :options="[
            [24, '14:05'],
            [12, '2:05 pm'],
          ]"
        />
      </div>
      <div class="row">
        <span class="name">Colours of this device</span>
        <ChipChoice
          v-model="prefs.theme"
          label="Colours"
          :options="[
            ['device', 'as it has them'],
            ['day', 'day'],
            ['night', 'night'],
          ]"
        />
      </div>
      <div v-for="[key, name] in SWITCHES" :key="key" class="row">
        <span class="name">{{ name }}</span>
        <ChipChoice
          :model-value="prefs[key] ? 'on' : 'off'"
          :label="name"
          :options="ON_OFF"
          @update:model-value="(v) => (prefs[key] = v === 'on')"
        />
      </div>
    </section>
    <section aria-labelledby="device">
      <h2 id="device">This device</h2>
      <div class="row">
        <span class="name">Notices when a clock is due</span>
        <ChipChoice
          :model-value="prefs.notices && noticesNow === 'granted' ? 'on' : 'off'"
          label="Notices when a clock is due"
          :options="ON_OFF"
          @update:model-value="(v) => setNotices(v === 'on')"
        />
        <p class="why">{{ aboutNotices }}</p>
      </div>
      <div class="row">
        <span class="name">On the home screen</span>
        <button v-if="installable" type="button" class="button" @click="install">Put it there</button>
        <p class="why">
          {{
            installed()
              ? 'It is there: this page runs by itself.'
              : installable
                ? 'It opens without the browser round it, and works without signal all the same.'
                : onApple
                  ? 'Share, then “Add to Home Screen”.'
                  : 'The browser offers it in its own menu, where it can.'
          }}
        </p>
      </div>
    </section>
    <button type="button" class="button main" @click="back">Done</button>
  </main>
</template>

<style scoped>
.settings {
  max-width: 760px;
  margin: 0 auto;
  padding: 32px 18px 60px;
  display: flex;
  flex-direction: column;
  gap: 18px;
  align-items: flex-start;
}
.settings > p {
  margin: 0;
}
section {
  width: 100%;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
.name {
  flex: 1 1 180px;
  font-weight: 600;
}
</style>
