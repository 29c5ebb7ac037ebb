<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useAlarms } from '../../clocks/alarms'
import JointGlyph from '../../tapes/JointGlyph.vue'
import { useJob } from '../../stores/job'
import { useNarrow } from '../../use-narrow'
import { useView } from '../../view'
import MakePanel from './MakePanel.vue'

const job = useJob()
const view = useView()
const route = useRoute()
const router = useRouter()
const narrow = useNarrow()
useAlarms()

const joints = computed(() => [...view.facts.values()].sort((a, b) => (a.tag < b.tag ? -1 : 1)))
const toMake = computed(() => joints.value.filter((f) => f.nextStep || f.inspection?.verdict === 'fail'))
const made = computed(() => joints.value.filter((f) => !f.nextStep && f.inspection?.verdict !== 'fail'))
const facts = computed(() => view.facts.get(String(route.params.jointId ?? '')) ?? null)
/** A label may outlive its joint. */
const gone = computed(() => Boolean(route.params.jointId) && !facts.value && job.status === 'open')
const next = computed(() => toMake.value.find((f) => f.id !== facts.value?.id) ?? null)
const go = (id: string): void =>
  void router.push({ name: 'make', params: { jobId: job.jobId as string, jointId: id } })

/** Keeps the screen awake while a window or a hold runs. */
let lock: { release(): Promise<void> } | null = null
const busy = computed(
  () =>
    facts.value?.clocks.some(
      (c) =>
        (c.kind === 'window' && c.stoppedAtS === undefined) ||
        (c.shows === 'hold' && (c.untilS.value ?? 0) > view.nowS),
    ) ?? false,
)
watch(busy, async (on) => {
  const wake = (
    navigator as { wakeLock?: { request(kind: 'screen'): Promise<{ release(): Promise<void> }> } }
  ).wakeLock
  if (on && wake) lock = await wake.request('screen').catch(() => null)
  else await lock?.release().catch(() => undefined)
})
function onKey(e: KeyboardEvent): void {
  if (/INPUT|TEXTAREA|SELECT|BUTTON|A/.test((e.target as HTMLElement).tagName) || e.ctrlKey || e.metaKey)
    return
  const at = joints.value.findIndex((f) => f.id === facts.value?.id)
  const step = e.key === 'j' || e.key === 'ArrowDown' ? 1 : e.key === 'k' || e.key === 'ArrowUp' ? -1 : 0
  const to = joints.value[at + step]
  if (step && to) go(to.id)
  if (e.key === 'Enter') document.querySelector<HTMLButtonElement>('.action:not(:disabled)')?.click()
}
/** In a long list the open joint is shown. */
const showOpen = (): void => document.querySelector('.row.here')?.scrollIntoView({ block: 'nearest' })
watch(facts, (now, before) => {
  if (now?.id !== before?.id) void nextTick(showOpen)
})
onMounted(() => {
  window.addEventListener('keydown', onKey)
  showOpen()
})
onBeforeUnmount(() => {
  window.removeEventListener('keydown', onKey)
  void lock?.release().catch(() => undefined)
})
</script>

<template>
  <div class="make" :class="{ narrow }">
    <nav v-if="!narrow || !facts" class="list" aria-label="Joints">
      <p v-if="gone" class="refusal" role="alert">This joint is not in the job any more. Its label can go.</p>
      <h1 v-if="!facts">
        {{
          joints.length === 0
            ? 'No joints yet. Set out a line first.'
            : toMake.length
              ? `${toMake.length} of ${joints.length} joints are to be made.`
              : `Nothing to make. All ${joints.length} joints are made.`
        }}
      </h1>
      <template
        v-for="[title, group] in [
          ['To make', toMake],
          ['Made', made],
        ] as const"
        :key="title"
      >
        <h2 v-if="group.length">
          {{ title }} <span class="count">{{ group.length }}</span>
        </h2>
        <RouterLink
          v-for="f in group"
          :key="f.id"
          :to="{ name: 'make', params: { jobId: job.jobId, jointId: f.id } }"
          class="row"
          :class="{ here: f.id === facts?.id }"
        >
          <JointGlyph v-if="view.looks.get(f.id)" :look="view.looks.get(f.id)!" :tag="f.tag" />
          <span class="tag">{{ f.tag }}</span>
          <span class="size">{{ f.place.piece.size }}</span>
          <span class="word">{{ job.t(view.looks.get(f.id)?.word ?? { code: '', params: {} }) }}</span>
        </RouterLink>
      </template>
    </nav>
    <MakePanel v-if="facts" :key="facts.id" :facts="facts" :next="next" @go="go" />
    <p v-else-if="!narrow && joints.length" class="place why">Choose a joint on the left.</p>
  </div>
</template>

<style scoped>
.make {
  display: flex;
  min-height: 100%;
}
.list {
  width: 232px;
  flex: none;
  padding: 16px 14px;
  border-right: 1px solid var(--edge);
}
.make:not(.narrow) {
  height: 100%;
}
/* List and joint scroll apart: however many joints there are, the action stays in sight. */
.make:not(.narrow) > .list,
.make:not(.narrow) > .panel {
  overflow-y: auto;
}
.narrow .list {
  width: 100%;
  border: 0;
}
.list h1 {
  font-size: 26px;
  margin-bottom: 12px;
}
.list h2 {
  font-size: 18px;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 3px;
  display: flex;
  justify-content: space-between;
}
.list h2:not(:first-child) {
  margin-top: 18px;
}
.row {
  display: grid;
  grid-template-columns: 48px auto 1fr auto;
  align-items: center;
  gap: 7px;
  min-height: 46px;
  text-decoration: none;
  border-bottom: 1px solid var(--line);
}
.narrow .row {
  min-height: 60px;
  font-size: 18px;
}
.row.here {
  box-shadow:
    inset 0 2px 0 var(--ink),
    inset 0 -2px 0 var(--ink);
  background: var(--sheet);
}
.tag {
  font-weight: 600;
}
.size {
  white-space: nowrap;
}
.size,
.word {
  color: var(--soft);
  font-size: 15px;
}
</style>
