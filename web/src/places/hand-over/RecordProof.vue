<script setup lang="ts">
import type { SignedCheck } from '@jugalis/core'
import { computed, ref, watch } from 'vue'
import { NoSignal, api } from '../../api'
import QrCode from '../../frame/QrCode.vue'
import { type HeadSaid, headAddress, shortHash, signedHead } from '../../record/head-code'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** Where the log ends, as a code for papers; and whether all of it holds, asked when somebody wants to know. */
interface Verified {
  ok: boolean
  seq: number
  why?: string
  signed: SignedCheck | null
  vouched: string | null
}
const job = useJob()
const known = computed(() => job.logHead())
const head = ref<HeadSaid | null>(null)
watch(
  () => `${job.jobId} ${known.value.seq} ${known.value.hash}`,
  async () => {
    const now = known.value
    head.value = now.hash ? { ...now, countersigned: null } : null
    if (!now.hash || !job.jobId) return
    const said = await signedHead(job.jobId, now)
    if (known.value.hash === said.hash) head.value = said
  },
  { immediate: true },
)
const address = computed(() => (head.value && job.jobId ? headAddress(job.jobId, head.value) : null))

const busy = ref(false)
const found = ref<Verified | null>(null)
const fault = ref('')
async function check(): Promise<void> {
  busy.value = true
  fault.value = ''
  try {
    found.value = await api<Verified>('GET', `/jobs/${job.jobId}/verify`)
  } catch (error) {
    found.value = null
    fault.value = error instanceof NoSignal ? word('ui-no-signal') : (error as Error).message
  } finally {
    busy.value = false
  }
}
const signed = computed(() => (found.value?.signed?.by ?? []).reduce((sum, one) => sum + one.signed, 0))
</script>

<template>
  <section v-if="head" class="record" :aria-label="word('hand-over-record')">
    <h2>{{ word('hand-over-record') }}</h2>
    <div class="beside">
      <QrCode v-if="address" :text="address" :label="word('hand-over-code-of')" class="code" />
      <div>
        <p class="strong">{{ word('hand-over-ends-in', { seq: head.seq, head: shortHash(head.hash) }) }}</p>
        <p class="why">{{ word('hand-over-code', { signed: head.countersigned ? 'yes' : 'no' }) }}</p>
        <button type="button" class="button no-print" :disabled="busy" @click="check">
          {{ word('hand-over-check-now') }}
        </button>
        <p v-if="busy" role="status">{{ word('hand-over-checking') }}</p>
        <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
        <template v-if="found && !busy">
          <p v-if="found.ok" class="strong" role="status">
            {{ word('hand-over-holds', { seq: found.seq, signed, vouched: found.vouched ?? 'not-signing' }) }}
          </p>
          <p v-else class="refusal" role="alert">
            {{ word('hand-over-holds-not', { seq: found.seq, why: found.why ?? '' }) }}
          </p>
          <ul v-if="found.signed?.by.length">
            <li v-for="one in found.signed.by" :key="one.personId">
              {{
                word('hand-over-wrote', {
                  name: job.nameOf(one.personId),
                  entries: one.entries,
                  signed: one.signed,
                  devices: one.devices,
                })
              }}
            </li>
          </ul>
          <p v-if="found.ok" class="why">{{ word('hand-over-unsigned') }}</p>
        </template>
      </div>
    </div>
  </section>
</template>

<style scoped>
.beside {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: flex-start;
}
.beside > div {
  flex: 1 1 300px;
}
.button {
  margin-block-end: 8px;
}
.code {
  flex: none;
  width: 150px;
}
p {
  margin: 0 0 8px;
}
ul {
  margin: 0 0 8px;
  padding-inline-start: 20px;
}
</style>
