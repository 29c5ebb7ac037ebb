<script setup lang="ts">
import type { Named } from '@jugalis/core'
import { ref, watch } from 'vue'
import type { RouteLocationRaw } from 'vue-router'
import { NoSignal, api } from '../../api'
import { named, word } from '../../words/word'

/** What all jobs have under a name, and where a figure of that name is looked up. */
const props = defineProps<{
  text: string
  handbookIn: string | null
  /** Names of a job are being made anew: what is not found yet may be in a moment. */
  making: boolean
}>()
interface Hit extends Named {
  jobId: string
  job: string
}
const hits = ref<Hit[] | null>(null)
const fault = ref('')
const TYPING_MS = 200
let timer: ReturnType<typeof setTimeout> | undefined
/** An answer that comes late does not overwrite that of a later question. */
let asked = 0
async function ask(text: string): Promise<void> {
  const mine = ++asked
  try {
    const found = await api<{ hits: Hit[] }>('GET', `/glance/named?q=${encodeURIComponent(text)}`)
    if (mine !== asked) return
    hits.value = found.hits
    fault.value = ''
  } catch (error) {
    if (mine !== asked) return
    hits.value = []
    fault.value = error instanceof NoSignal ? word('jobs-found-no-signal') : (error as Error).message
  }
}
watch(
  () => [props.text.trim(), props.making] as const,
  ([text]) => {
    clearTimeout(timer)
    if (text) timer = setTimeout(() => void ask(text), TYPING_MS)
  },
  { immediate: true },
)
function wayTo({ kind, ref: id, jobId }: Hit): RouteLocationRaw {
  if (kind === 'joint') return { name: 'make', params: { jobId, jointId: id } }
  if (kind === 'line' || kind === 'fitting') return { name: 'set-out', params: { jobId, lineId: id } }
  if (kind === 'piece') return { name: 'cut', params: { jobId, itemId: id } }
  return kind === 'thing'
    ? { name: 'store', params: { jobId, itemId: id } }
    : { name: 'prove', params: { jobId, sectionId: id.split('/')[0] } }
}
/** What is said beside a name; of a thing what it is, in the reader's words. */
function besides({ kind, more }: Hit): string {
  const [is, ...rest] = more.split(' ')
  return kind === 'thing' && is ? [named(is), ...rest].join(' ') : more
}
</script>

<template>
  <section class="found" aria-live="polite">
    <h2>
      {{
        hits === null || (making && !hits.length)
          ? word('jobs-looking')
          : word('jobs-found', { count: hits.length })
      }}
    </h2>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <ul v-if="hits?.length">
      <li v-for="hit in hits" :key="`${hit.jobId} ${hit.kind} ${hit.ref}`">
        <RouterLink :to="wayTo(hit)">
          <span class="strong">{{ hit.label }}</span>
          <span>{{ besides(hit) }}</span>
          <span class="of"
            >{{ word(`jobs-kind-${hit.kind}`) }}, <span class="strong">{{ hit.job }}</span></span
          >
        </RouterLink>
      </li>
    </ul>
    <RouterLink
      v-if="handbookIn"
      class="reach"
      :to="{ name: 'handbook', params: { jobId: handbookIn }, query: { q: text.trim() } }"
      >{{ word('jobs-in-the-handbook', { text: text.trim() }) }}</RouterLink
    >
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 2px solid var(--ink);
}
li a {
  display: grid;
  grid-template-columns: minmax(90px, 160px) minmax(0, 1fr) auto;
  gap: 14px;
  align-items: center;
  min-height: 48px;
  padding: 0 8px;
  border-bottom: 1px solid var(--line);
  text-decoration: none;
}
li a > .strong {
  font: 600 19px/1.2 var(--figures);
  overflow-wrap: anywhere;
}
.of {
  color: var(--soft);
  font-size: 15px;
}
@media (max-width: 620px) {
  li a {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    padding-block: 6px;
    row-gap: 0;
  }
  .of {
    grid-column: 1 / -1;
  }
}
</style>
