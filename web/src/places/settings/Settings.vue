<script setup lang="ts">
import { KINDS_OF_QUANTITY, type QuantityKind, type System, fmt, unitOf } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { askForNotices, noticesAre } from '../../clocks/notices'
import ChipChoice from '../../frame/ChipChoice.vue'
import { install, installable, installed } from '../../install'
import { usePrefs } from '../../stores/prefs'
import OwnPassword from './OwnPassword.vue'
import OwnPasskeys from './OwnPasskeys.vue'
import OwnPin from './OwnPin.vue'
import People from './People.vue'
import { useSession } from '../../stores/session'
import { hhmm } from '../../when'
import { word } from '../../words/word'

/** How this person reads and works. Units, signs and keys go with the person; the rest belongs to this device. */
const store = usePrefs()
const session = useSession()
const router = useRouter()
const prefs = store.prefs
const NAMES: Readonly<Record<QuantityKind, string>> = {
  length: word('settings-lengths'),
  pressure: word('settings-pressures'),
  temperature: word('settings-temperatures'),
  torque: word('settings-torques'),
  volume: word('settings-volumes'),
  weight: word('settings-weights'),
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
    const reads = store.readerFor(school)
    return word('settings-in-a-metric-job', {
      isInch: school === 'inch' ? 'yes' : 'no',
      cut: fmt.length(SAMPLE.cutMm, reads),
      pressure: fmt.pressure(SAMPLE.bar, reads),
      temperature: fmt.temperature(SAMPLE.wallC, reads),
      at: hhmm(SAMPLE.atS, 'UTC'),
    })
  }),
)
/** Languages by the name they have for themselves. */
const OFFERED = [
  ['en', 'English'],
  ['es', 'Español'],
] as const
/** What has two states, as a pair of buttons. */
const ON_OFF = [
  ['on', word('settings-on')],
  ['off', word('settings-off')],
] as const
const SWITCHES = [
  ['sound', word('settings-sound')],
  ['wet', word('settings-wet-screen-actions-are')],
  ['keys', word('settings-single-letters-as-keys')],
] as const
const noticesNow = ref(noticesAre())
async function setNotices(on: boolean): Promise<void> {
  noticesNow.value = on && noticesNow.value === 'default' ? await askForNotices() : noticesAre()
  prefs.notices = on && noticesNow.value === 'granted'
}
const aboutNotices = computed(
  () =>
    ({
      none: word('settings-this-device-has-no'),
      denied: word('settings-the-browser-was-told'),
      default: word('settings-the-browser-asks-you'),
      granted: word('settings-they-come-while-this'),
    })[noticesNow.value],
)
const onApple = /iPhone|iPad/.test(navigator.userAgent)
const installing = computed(() => {
  if (installed()) return word('settings-it-is-there-this')
  if (installable.value) return word('settings-it-opens-without-the')
  return onApple ? word('settings-share-then-add-to') : word('settings-the-browser-offers-it')
})
function back(): void {
  if (window.history.state?.back) router.back()
  else void router.push('/jobs')
}
</script>

<template>
  <main id="main" class="settings">
    <h1>{{ word('settings-settings-of', { name: session.person?.name }) }}</h1>
    <p v-for="s in samples" :key="s" class="why">{{ s }}</p>
    <section aria-labelledby="units">
      <h2 id="units">{{ word('settings-units') }}</h2>
      <p class="why">
        {{ word('settings-a-job-reads-by') }}
      </p>
      <div v-for="kind in KINDS_OF_QUANTITY" :key="kind" class="row">
        <span class="name">{{ NAMES[kind] }}</span>
        <ChipChoice
          :model-value="own(kind)"
          :label="NAMES[kind]"
          :options="[
            ['job', word('settings-as-the-job')],
            ['metric', unitIn(kind, 'metric')],
            ['inch', unitIn(kind, 'inch')],
          ]"
          @update:model-value="(v) => choose(kind, v)"
        />
      </div>
    </section>
    <section aria-labelledby="reading">
      <h2 id="reading">{{ word('settings-figures-and-times') }}</h2>
      <div class="row">
        <span class="name">{{ word('settings-language') }}</span>
        <ChipChoice v-model="prefs.language" :label="word('settings-language')" :options="OFFERED" />
      </div>
      <p v-if="prefs.language !== 'en'" class="why">{{ word('settings-language-unchecked') }}</p>
      <div class="row">
        <span class="name">{{ word('settings-decimal-sign') }}</span>
        <ChipChoice
          v-model="prefs.decimal"
          :label="word('settings-decimal-sign')"
          :options="[
            ['device', word('settings-as-this-device')],
            ['.', '1.5'],
            [',', '1,5'],
          ]"
        />
      </div>
      <div class="row">
        <span class="name">{{ word('settings-clock') }}</span>
        <ChipChoice
          v-model="prefs.hours"
          :label="word('settings-clock')"
          :options="[
            [24, '14:05'],
            [12, '2:05 pm'],
          ]"
        />
      </div>
      <div class="row">
        <span class="name">{{ word('settings-colours-of-this-device') }}</span>
        <ChipChoice
          v-model="prefs.theme"
          :label="word('settings-colours')"
          :options="[
            ['device', word('settings-as-it-has-them')],
            ['day', word('settings-day')],
            ['night', word('settings-night')],
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
      <h2 id="device">{{ word('settings-this-device') }}</h2>
      <div class="row">
        <span class="name">{{ word('settings-notices-when-a-clock') }}</span>
        <ChipChoice
          :model-value="prefs.notices && noticesNow === 'granted' ? 'on' : 'off'"
          :label="word('settings-notices-when-a-clock')"
          :options="ON_OFF"
          @update:model-value="(v) => setNotices(v === 'on')"
        />
        <p class="why">{{ aboutNotices }}</p>
      </div>
      <div class="row">
        <span class="name">{{ word('settings-on-the-home-screen') }}</span>
        <button v-if="installable" type="button" class="button" @click="install">
          {{ word('ui-put-it-there') }}
        </button>
        <p class="why">
          {{ installing }}
        </p>
      </div>
    </section>
    <OwnPassword />
    <OwnPasskeys />
    <OwnPin />
    <People v-if="session.person?.admin" />
    <button type="button" class="button main" @click="back">{{ word('settings-done') }}</button>
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
