<script setup lang="ts">
import type { FileCheck } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref } from 'vue'
import { Figures } from '../../words/said'
import { word } from '../../words/word'
import type { FileAsk } from '../../workers/job-file.worker'

/** Anybody with the file of a job checks it here: in this browser alone, without an account. */
const head = ref('')
const name = ref('')
const busy = ref(false)
const check = ref<FileCheck | null>(null)
const bytes = ref<ArrayBuffer | null>(null)
const asked = computed(() => head.value.replace(/[\s…]/g, '').toLowerCase())
const unread = computed(() => asked.value !== '' && !/^[0-9a-f]{8,64}$/.test(asked.value))
const whole = computed(() => (check.value?.is === 'whole' ? check.value.job : null))
const headline = computed(() => {
  if (busy.value) return word('files-check-busy')
  const found = check.value
  if (!found) return word('files-check-title')
  if (found.is === 'no-job') return word('files-check-no-job', { name: name.value })
  if (found.is === 'broken')
    return word('files-check-broken', { name: name.value, seq: found.seq, why: found.why })
  return word(asked.value && found.job.at === null ? 'files-check-other' : 'files-check-whole', {
    name: found.job.name,
    entries: found.job.seq,
  })
})
async function look(): Promise<void> {
  const own = bytes.value
  if (!own || unread.value) return
  busy.value = true
  const worker = new Worker(new URL('../../workers/job-file.worker.ts', import.meta.url), { type: 'module' })
  try {
    check.value = await new Promise<FileCheck>((done) => {
      worker.onmessage = ({ data }: MessageEvent<FileCheck>) => done(data)
      worker.onerror = () => done({ is: 'no-job' })
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
    <template v-if="whole && !busy">
      <p v-if="whole.at !== null">{{ word('files-check-at', { at: whole.at, entries: whole.seq }) }}</p>
      <p v-for="entries in whole.brought" :key="entries" class="warn">
        {{ word('files-check-brought', { entries }) }}
      </p>
      <p class="strong">{{ word('files-check-ends', { seq: whole.seq }) }}</p>
      <p class="hash">{{ whole.hash }}</p>
      <ul :aria-label="word('files-check-by')">
        <li v-for="(one, i) in whole.by" :key="i">
          {{
            word('files-check-wrote', { name: one.name || word('files-check-nobody'), entries: one.entries })
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
