<script setup lang="ts">
import { tagOrder } from '@jugalis/core'
import { computed, ref } from 'vue'
import { apiAt } from '../../base'
import SignSheet from '../../frame/SignSheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import { useView } from '../../view'
import { date, dated, hhmm } from '../../when'
import HowMade from './HowMade.vue'
import JointLog from './JointLog.vue'
import KnownThen from './KnownThen.vue'
import PackSheet from './PackSheet.vue'
import RecordProof from './RecordProof.vue'
import { handOverHead } from './missing'
import { useMissing } from './use-missing'
import { named, word } from '../../words/word'
import { Figures, Said } from '../../words/said'

const job = useJob()
const view = useView()
const clock = useClock()
const session = useSession()
const zone = computed(() => job.state.job.zone)
const joints = computed(() => [...view.facts.values()].sort((a, b) => tagOrder(a.tag, b.tag)))
const sections = computed(() => view.sections)
const { missing } = useMissing(joints, sections)
const headline = computed(() => handOverHead(joints.value, sections.value, missing.value))
/** The entry by which somebody signed; none while it waits on this device. */
const entries = computed(() => job.entries().filter(({ kind }) => kind === 'signed'))
const entryOf = (signed: { by: string; refId: string; atS: number }): string | null =>
  entries.value.find(
    ({ actorId, occurredAtS, data }) =>
      actorId === signed.by && occurredAtS === signed.atS && data.refId === signed.refId,
  )?.id ?? null
const asOf = ref<string | null>(null)
const print = (): void => window.print()
const left = computed(() => missing.value.filter((m) => m.id !== 'sign'))
const statement = computed(() =>
  left.value.length
    ? word('hand-over-handed-over-with-things', { left: left.value.length })
    : word('hand-over-handed-over-with-nothing'),
)
const signing = ref(false)
const packing = ref(false)
async function sign(): Promise<void> {
  signing.value = false
  await job.write(
    [
      {
        kind: 'signed',
        data: {
          what: 'job',
          refId: job.jobId ?? '',
          statement: statement.value,
        },
      },
    ],
    word('ui-signed'),
  )
}
</script>

<template>
  <div class="place">
    <div class="head">
      <h1><Figures :text="headline" /></h1>
      <p class="why">
        {{ word('hand-over-the-log-is-chained', { name: job.state.job.name }) }}
      </p>
      <RouterLink class="reach no-print" to="/verify">{{ word('hand-over-anybody-checks') }}</RouterLink>
      <p v-for="b in job.state.brought" :key="b.head" class="warn">
        {{
          word('hand-over-brought', {
            entries: b.entries,
            name: job.nameOf(b.by),
            at: dated(b.atS, zone),
            head: b.head.slice(0, 12),
          })
        }}
      </p>
    </div>
    <div class="buttons no-print">
      <button v-if="joints.length" type="button" class="button main" @click="packing = true">
        {{ word('hand-over-pack-open') }}
      </button>
      <a class="button" :href="apiAt(`/jobs/${job.jobId}/export.json`)" download>{{
        word('hand-over-whole-job-json')
      }}</a>
      <a class="button" :href="apiAt(`/jobs/${job.jobId}/log.csv`)" download>{{
        word('hand-over-joint-log-csv')
      }}</a>
      <a class="button" :href="apiAt(`/jobs/${job.jobId}/entries.csv`)" download>{{
        word('hand-over-raw-log-csv')
      }}</a>
      <button type="button" class="button" @click="print">{{ word('ui-print') }}</button>
      <RouterLink class="button" :to="{ name: 'upkeep', params: { jobId: job.jobId } }">{{
        word('hand-over-upkeep')
      }}</RouterLink>
    </div>
    <ul v-if="missing.length" class="missing" :aria-label="word('hand-over-missing')">
      <li v-for="m in missing" :key="m.id">
        <RouterLink class="reach" :to="m.to">{{ m.says }}</RouterLink>
      </li>
    </ul>
    <section>
      <h2>{{ word('hand-over-joint-log') }}</h2>
      <JointLog :joints="joints" />
    </section>
    <section>
      <h2>{{ word('hand-over-tests') }}</h2>
      <p v-for="t in job.state.tests.values()" :key="t.id">
        <Said
          code="hand-over-at-with"
          :values="{
            date: date(t.begunAtS, zone),
            at: hhmm(t.begunAtS, zone),
            bar: t.bar,
            medium: t.medium,
            verdict: t.ended ? t.ended.verdict : 'running',
            tester: t.tester,
          }"
        >
          <template #section
            ><strong>{{ job.state.sections.get(t.sectionId)?.tag }}</strong></template
          >
        </Said>
      </p>
      <p v-if="!job.state.tests.size" class="why">{{ word('hand-over-no-test-yet') }}</p>
    </section>
    <section id="sign" class="sign">
      <h2>{{ word('hand-over-signatures') }}</h2>
      <p v-for="s in job.state.signed" :key="`${s.refId}${s.atS}`">
        <strong>{{ job.nameOf(s.by) }}</strong><template v-if="s.role">, {{ named(s.role) }}</template
        >, {{ dated(s.atS, zone) }}:
        {{ s.statement }}
        <button v-if="entryOf(s)" type="button" class="button no-print" @click="asOf = entryOf(s)">
          {{ word('hand-over-known-ask') }}
        </button>
      </p>
      <button v-if="joints.length" type="button" class="button no-print" @click="signing = true">
        {{ word('hand-over-sign-the-hand-over', { name: session.person?.name }) }}
      </button>
    </section>
    <HowMade v-if="joints.length" :joints="joints" />
    <PackSheet v-if="packing" @close="packing = false" />
    <KnownThen v-if="asOf" :entry-id="asOf" @close="asOf = null" />
    <RecordProof />
    <SignSheet
      v-if="signing"
      :title="word('hand-over-sign-the-hand-over-2')"
      :statement="statement"
      :says="left.map((m) => m.says)"
      @close="signing = false"
      @sign="sign"
    />
    <p class="why">
      {{ word('hand-over-printed', { date: date(clock.nowS, zone), at: hhmm(clock.nowS, zone) }) }}
    </p>
  </div>
</template>

<style scoped>
.missing {
  columns: 340px;
  margin: 12px 0 0;
  padding-inline-start: 20px;
}
.missing li {
  padding: 0;
}
.buttons a {
  display: inline-flex;
  align-items: center;
  text-decoration: none;
}
.sign {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: flex-start;
}
</style>
