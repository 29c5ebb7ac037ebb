<script setup lang="ts">
import { type Bar, barGroups, fmt, greatest, offcutsAfter, pipeSaid } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import BarTape from '../../tapes/BarTape.vue'
import StockSheet from './StockSheet.vue'
import { useBars } from './use-bars'
import { counted } from '../../counted'

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
  bars.value.reduce((sum, b) => {
    const kept = b.leftMm >= keepMm.value && b.leftMm > 0 ? b.leftMm : 0
    return sum + b.stockMm - kept - b.cuts.reduce((s, c) => s + c.lengthMm, 0)
  }, 0),
)
const proof = computed(() => {
  const open = planned.value.filter((p) => p.plan && !p.plan.proven)
  if (!open.length) return 'no plan opens fewer'
  const gap = open.reduce((n, p) => n + (p.plan?.barsUsed ?? 0) - (p.plan?.lowerBoundBars ?? 0), 0)
  return open.some((p) => p.plan?.lowerBoundBars === null)
    ? 'not proved to be the least'
    : gap
      ? `at most ${counted(gap, 'bar')} more than the least`
      : 'bars proved the least, their length not'
})
const headline = computed(() => {
  if (!count.value) return 'Nothing is left to cut.'
  if (!set.value) return `${counted(count.value, 'piece')} to cut. Say what they are cut from.`
  if (running.value) return `Planning ${pipeSaid(running.value.pipe)} …`
  if (!current.value) return `${counted(count.value, 'piece')} to cut, not yet laid out on bars.`
  const short = planned.value.find((p) => p.plan?.status === 'infeasible')
  if (short)
    return `There is not enough stock for ${pipeSaid(short.group.pipe)}. Say how long the bars are that can be had.`
  return `${counted(count.value, 'piece')} from ${counted(opened.value, 'new bar')}, ${length(wasteMm.value)} waste, ${proof.value}.`
})
const said = computed(() => {
  const s = set.value
  if (!s) return ''
  const from = s.barsMm.length ? `Bars of ${s.barsMm.map(length).join(' and ')}` : 'No new bars'
  return `${from}, ${counted(s.offcuts.length, 'offcut')} at hand, the saw takes ${length(s.kerfMm)}, ${length(s.keepMm)} and more is kept.`
})
const longestMm = computed(() => greatest([1, ...bars.value.map((b) => b.stockMm)]))
const tags = computed(() => new Map(groups.value.flatMap((g) => g.pieces.map((p) => [p.id, p.tag] as const))))
const plan = (): void => {
  if (set.value) void start(set.value, groups.value)
}
async function cutBar(pipe: string, bar: Bar): Promise<void> {
  const s = set.value
  if (!s) return
  const offcuts = offcutsAfter(s, pipe, bar, crypto.randomUUID())
  await job.write(
    [
      ...bar.cuts.map((c) => ({ kind: 'piece-cut', data: { itemId: c.id, cutMm: c.lengthMm } })),
      { kind: 'stock-set', data: { ...s, offcuts } },
    ],
    `${counted(bar.cuts.length, 'piece')} cut from one bar.`,
  )
  plan()
}
const print = (): void => window.print()
</script>

<template>
  <div class="place">
    <div class="head">
      <h1 aria-live="polite">{{ headline }}</h1>
      <p v-if="said" class="why">{{ said }}</p>
    </div>
    <div class="buttons no-print">
      <button v-if="running" type="button" class="button" @click="stop">Stop planning</button>
      <button
        v-else-if="set"
        type="button"
        class="button"
        :class="{ main: !current }"
        :disabled="!count"
        @click="plan"
      >
        {{ current ? 'Plan again' : 'Lay out on bars' }}
      </button>
      <button type="button" class="button" :class="{ main: !set }" @click="sheet = true">
        {{ set ? 'Change the stock' : 'What it is cut from' }}
      </button>
      <button v-if="current && bars.length" type="button" class="button" @click="print">Print</button>
      <RouterLink class="button" :to="{ name: 'cut', params: { jobId: job.jobId } }"
        >Piece by piece</RouterLink
      >
    </div>
    <div v-if="running" class="progress">
      <progress
        :max="running.of"
        :value="running.done + running.share"
        :aria-label="`Planning ${pipeSaid(running.pipe)}`"
      />
      {{ running.done + 1 }} of {{ running.of }} pipes
    </div>
    <p v-if="failed" class="refusal" role="alert">The bars could not be planned. {{ failed }}</p>
    <template v-if="current">
      <section v-for="p in planned" :key="p.group.pipe">
        <h2>
          {{ pipeSaid(p.group.pipe) }}
          <span v-if="p.plan" class="sum"
            >{{ counted(p.group.pieces.length, 'piece') }}, {{ counted(p.plan.barsUsed, 'new bar')
            }}{{ p.plan.proven ? ', proved' : `, at least ${p.plan.lowerBoundBars ?? 'unknown'}` }}</span
          >
        </h2>
        <p v-for="x in p.tooLong" :key="x.id" class="refusal">
          {{ x.tag }} is {{ length(x.lengthMm) }} long: longer than any bar. Put a coupling in it, or get
          longer bars.
        </p>
        <div v-for="(b, i) in p.plan?.bars ?? []" :key="i" class="bar">
          <span class="name"
            >{{ b.offcut ? 'offcut' : 'bar' }} {{ fmt.lengthFigure(b.stockMm, job.reader) }}</span
          >
          <BarTape :bar="b" :longest-mm="longestMm" :tags="tags" />
          <button type="button" class="button no-print" @click="cutBar(p.group.pipe, b)">Bar is cut</button>
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
  margin-left: 12px;
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
