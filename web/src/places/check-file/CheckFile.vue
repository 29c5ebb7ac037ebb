<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { type ServerKey, headIn, keyUnder, keysHere, shortHash } from '../../record/head-code'
import { Figures } from '../../words/said'
import { word } from '../../words/word'
import type { FileAsk, FileSaid } from '../../workers/job-file.worker'

/** Anybody with the file of a job checks it here: in this browser alone, without an account. */
const head = ref('')
const name = ref('')
const busy = ref(false)
const found = ref<FileSaid | null>(null)
const check = computed(() => found.value?.check ?? null)
const signed = computed(() => found.value?.signed ?? null)
const wrong = computed(() => signed.value?.wrong ?? null)
/** Keys of the server this page came from: what another signed, it can't say whose it is. */
const here = ref<readonly ServerKey[]>([])
/** A code on a paper led here: the head it holds, and whether this server signed it; null until that is known. */
const paper = headIn(useRoute().hash)
const paperBy = ref<'here' | 'other' | null>(null)
onMounted(async () => {
  here.value = await keysHere()
  if (!paper) return
  head.value = paper.hash
  paperBy.value = (await keyUnder(paper, here.value)) ? 'here' : 'other'
})
/** What a server vouches for: all of it, or up to an entry. */
const vouched = computed(() => {
  const end = signed.value?.countersigned
  if (!end || !whole.value) return null
  const whose = here.value.some(({ id }) => id === end.key) ? 'here' : 'other'
  const last = end.seq === whole.value.seq ? 'yes' : 'no'
  return { whose, key: end.key.slice(0, 8), seq: end.seq, last }
})
const bytes = ref<ArrayBuffer | null>(null)
const asked = computed(() => head.value.replace(/[\s…]/g, '').toLowerCase())
const unread = computed(() => asked.value !== '' && !/^[0-9a-f]{8,64}$/.test(asked.value))
const whole = computed(() => (check.value?.is === 'whole' ? check.value.job : null))
const headline = computed(() => {
  if (busy.value) return word('files-check-busy')
  const now = check.value
  if (!now) return word('files-check-title')
  if (now.is === 'no-job') return word('files-check-no-job', { name: name.value })
  if (now.is === 'broken') return word('files-check-broken', { name: name.value, seq: now.seq, why: now.why })
  if (wrong.value) return word('files-check-not-as-signed', { name: now.job.name, ...wrong.value })
  return word(asked.value && now.job.at === null ? 'files-check-other' : 'files-check-whole', {
    name: now.job.name,
    entries: now.job.seq,
  })
})
async function look(): Promise<void> {
  const own = bytes.value
  if (!own || unread.value) return
  busy.value = true
  const worker = new Worker(new URL('../../workers/job-file.worker.ts', import.meta.url), { type: 'module' })
  try {
    found.value = await new Promise<FileSaid>((done) => {
      worker.onmessage = ({ data }: MessageEvent<FileSaid>) => done(data)
      worker.onerror = () => done({ check: { is: 'no-job' }, signed: null, names: new Map() })
      const ask: FileAsk = { bytes: own, head: asked.value || null }
      worker.postMessage(ask)
    })
  } finally {
    worker.terminate()
    busy.value = false
  }
}
async function taken(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  name.value = file.name
  bytes.value = await file.arrayBuffer()
  await look()
}
</script>

<template>
  <main class="check">
    <h1 aria-live="polite"><Figures :text="headline" /></h1>
    <p class="why">{{ word('files-check-why') }}</p>
    <template v-if="paper">
      <p class="strong">
        {{ word('files-check-paper', { seq: paper.seq, head: shortHash(paper.hash) }) }}
      </p>
      <p v-if="paperBy" :class="{ warn: paperBy === 'other' }">
        {{ word('files-check-paper-by', { is: paperBy }) }}
      </p>
    </template>
    <form @submit.prevent="look">
      <label for="check-file">{{ word('files-check-file') }}</label>
      <input id="check-file" class="reach" type="file" accept=".json,application/json" @change="taken" />
      <label for="check-head">{{ word('files-check-head') }}</label>
      <ElInput id="check-head" v-model="head" size="large" autocomplete="off" spellcheck="false" />
      <p v-if="unread" class="refusal" role="alert">{{ word('files-check-head-unread') }}</p>
      <button class="button main" type="submit" :disabled="busy || !bytes || unread">
        {{ word('files-check-look') }}
      </button>
    </form>
    <template v-if="whole && !busy && !wrong">
      <p v-if="whole.at !== null">{{ word('files-check-at', { at: whole.at, entries: whole.seq }) }}</p>
      <p v-for="entries in whole.brought" :key="entries" class="warn">
        {{ word('files-check-brought', { entries }) }}
      </p>
      <p class="strong">{{ word('files-check-ends', { seq: whole.seq }) }}</p>
      <p class="hash">{{ whole.hash }}</p>
      <template v-if="vouched">
        <p class="strong">{{ word('files-check-vouched', vouched) }}</p>
        <p v-if="vouched.whose !== 'here'" class="why">{{ word('files-check-compare') }}</p>
      </template>
      <p v-else class="warn">
        {{ word(signed ? 'files-check-nobody-vouches' : 'files-check-not-here') }}
      </p>
      <ul :aria-label="word('files-check-by')">
        <template v-if="!signed">
          <li v-for="(one, i) in whole.by" :key="i">
            {{ word('files-check-wrote-so', { ...one, name: one.name || word('files-check-nobody') }) }}
          </li>
        </template>
        <li v-for="one in signed?.by ?? []" :key="one.personId">
          {{
            word('files-check-wrote', {
              ...one,
              name: found?.names.get(one.personId) || word('files-check-nobody'),
            })
          }}
        </li>
      </ul>
    </template>
    <p class="why">{{ word('files-check-cannot') }}</p>
  </main>
</template>

<style scoped>
.check {
  min-height: 100dvh;
  max-width: 640px;
  margin: 0 auto;
  padding: 5vh 18px 24px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
form {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 6px;
}
label {
  font-weight: 600;
  margin-block-start: 8px;
}
input[type='file'] {
  max-width: 100%;
  min-height: 44px;
}
.button {
  min-height: 56px;
  margin-block-start: 10px;
}
.hash {
  font-family: var(--figures);
  overflow-wrap: anywhere;
  margin: 0;
}
p {
  margin: 0;
}
</style>
