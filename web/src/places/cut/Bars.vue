<script setup lang="ts">
import { type Bar, barGroups, fmt, greatest, offcutsAfter } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import BarTape from '../../tapes/BarTape.vue'
import StockSheet from './StockSheet.vue'
import { useBars } from './use-bars'
import { Figures } from '../../words/said'
import { pipeTold, word } from '../../words/word'

/** All pieces still to cut, laid out on bars with the least new stock opened. */
const job = useJob()
const { planned, running, failed, start, stop, fits } = useBars()
const sheet = ref(false)
const groups = computed(() => barGroups(job.state))
const set = computed(() => job.state.stock)
const current = computed(() => fits(set.value, groups.value))
const count = computed(() => groups.value.reduce((n, g) => n + g.pieces.length, 0))
const length = (mm: number): string => fmt.length(mm, job.reader)

const bars = computed(() => planned.value.flatMap((p) => p.plan?.bars ?? []))
const opened = computed(() => planned.value.reduce((n, p) => n + (p.plan?.barsUsed ?? 0), 0))
const keepMm = computed(() => set.value?.keepMm ?? 0)
/** What can't be used again: leftovers too short to keep, and what the saw took. */
const wasteMm = computed(() =>
  bars.value.reduce((sum, bar) => {
    const kept = bar.leftMm >= keepMm.value && bar.leftMm > 0 ? bar.leftMm : 0
    return sum + bar.stockMm - kept - bar.cuts.reduce((s, c) => s + c.lengthMm, 0)
  }, 0),
)
const proof = computed(() => {
  const open = planned.value.filter((p) => p.plan && !p.plan.proven)
  if (!open.length) return word('cut-no-plan-opens-fewer')
  const gap = open.reduce((n, p) => n + (p.plan?.barsUsed ?? 0) - (p.plan?.lowerBoundBars ?? 0), 0)
  return open.some((p) => p.plan?.lowerBoundBars === null)
    ? word('cut-not-proved-to-be')
    : gap
      ? word('cut-at-most-bars-more', { gap })
      : word('cut-bars-proved-the-least')
})
const headline = computed(() => {
  if (!count.value) return word('cut-nothing-is-left-to')
  if (!set.value) return word('cut-pieces-to-cut-say', { count: count.value })
  if (running.value) return word('cut-planning-2', { pipe: pipeTold(running.value.pipe) })
  if (!current.value) return word('cut-pieces-to-cut-not', { count: count.value })
  const short = planned.value.find((p) => p.plan?.status === 'infeasible')
  if (short) return word('cut-there-is-not-enough', { pipe: pipeTold(short.group.pipe) })
  return word('cut-pieces-from-bars', {
    pieces: count.value,
    bars: opened.value,
    waste: length(wasteMm.value),
    proof: proof.value,
  })
})
const said = computed(() => {
  const given = set.value
  if (!given) return ''
  const from = given.barsMm.length
    ? word('cut-bars-of', { barsMm: given.barsMm.map(length).join(' and ') })
    : word('cut-no-new-bars')
  return word('cut-offcuts-at-hand-the', {
    from,
    offcuts: given.offcuts.length,
    kerf: length(given.kerfMm),
    keep: length(given.keepMm),
  })
})
const longestMm = computed(() => greatest([1, ...bars.value.map((b) => b.stockMm)]))
const tags = computed(() => new Map(groups.value.flatMap((g) => g.pieces.map((p) => [p.id, p.tag] as const))))
const plan = (): void => {
  if (set.value) void start(set.value, groups.value)
}
async function cutBar(pipe: string, bar: Bar): Promise<void> {
  const given = set.value
  if (!given) return
  const offcuts = offcutsAfter(given, pipe, bar, crypto.randomUUID())
  await job.write(
    [
      ...bar.cuts.map((c) => ({ kind: 'piece-cut', data: { itemId: c.id, cutMm: c.lengthMm } })),
      { kind: 'stock-set', data: { ...given, offcuts } },
    ],
    word('cut-pieces-cut-from-one', { cuts: bar.cuts.length }),
  )
  plan()
}
const print = (): void => window.print()
</script>

<template>
  <div class="place">
    <div class="head">
      <h1 aria-live="polite"><Figures :text="headline" /></h1>
      <p v-if="said" class="why">{{ said }}</p>
    </div>
    <div class="buttons no-print">
      <button v-if="running" type="button" class="button" @click="stop">
        {{ word('cut-stop-planning') }}
      </button>
      <button
        v-else-if="set"
        type="button"
        class="button"
        :class="{ main: !current }"
        :disabled="!count"
        @click="plan"
      >
        {{ current ? word('cut-plan-again') : word('cut-lay-out-on-bars') }}
      </button>
      <button type="button" class="button" :class="{ main: !set }" @click="sheet = true">
        {{ set ? word('cut-change-the-stock') : word('cut-what-it-is-cut') }}
      </button>
      <button v-if="current && bars.length" type="button" class="button" @click="print">
        {{ word('ui-print') }}
      </button>
      <RouterLink class="button" :to="{ name: 'cut', params: { jobId: job.jobId } }">{{
        word('cut-piece-by-piece')
      }}</RouterLink>
    </div>
    <div v-if="running" class="progress">
      <progress
        :max="running.of"
        :value="running.done + running.share"
        :aria-label="word('cut-planning', { pipe: pipeTold(running.pipe) })"
      />
      {{ word('cut-of-pipes', { done: running.done + 1, of: running.of }) }}
    </div>
    <p v-if="failed" class="refusal" role="alert">{{ word('cut-the-bars-could-not', { failed }) }}</p>
    <template v-if="current">
      <section v-for="p in planned" :key="p.group.pipe">
        <h2>
          {{ pipeTold(p.group.pipe) }}
          <span v-if="p.plan" class="sum">{{
            word('cut-plan-sum', {
              pieces: p.group.pieces.length,
              bars: p.plan.barsUsed,
              proof: p.plan.proven ? 'proved' : p.plan.lowerBoundBars === null ? 'unknown' : 'least',
              least: p.plan.lowerBoundBars,
            })
          }}</span>
        </h2>
        <p v-for="x in p.tooLong" :key="x.id" class="refusal">
          {{ word('cut-is-long-longer-than', { tag: x.tag, length: length(x.lengthMm) }) }}
        </p>
        <div v-for="(b, i) in p.plan?.bars ?? []" :key="i" class="bar">
          <span class="name"
            >{{ b.offcut ? word('cut-offcut') : word('cut-bar') }}
            {{ fmt.lengthFigure(b.stockMm, job.reader) }}</span
          >
          <BarTape :bar="b" :longest-mm="longestMm" :tags="tags" />
          <button type="button" class="button no-print" @click="cutBar(p.group.pipe, b)">
            {{ word('cut-bar-is-cut') }}
          </button>
        </div>
      </section>
    </template>
    <StockSheet v-if="sheet" @close="sheet = false" />
  </div>
</template>

<style scoped>
.progress {
  display: flex;
  gap: 12px;
  align-items: center;
}
section {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.sum {
  margin-inline-start: 12px;
  font: 400 16px var(--text);
  color: var(--soft);
}
.bar {
  display: grid;
  grid-template-columns: 100px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  break-inside: avoid;
}
.name {
  font: 500 16px var(--figures);
}
@media (max-width: 720px) {
  .bar {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .bar .box {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
