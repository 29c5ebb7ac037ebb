<script setup lang="ts">
import {
  CLOSING_SPARE_MM,
  allPieces,
  closingFinding,
  fmt,
  jointPlaces,
  outsideDiameterMm,
  parseSize,
  putOf,
  sourceOf,
  twinJoint,
} from '@jugalis/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import PieceTape from '../../tapes/PieceTape.vue'
import UprightTape from '../../tapes/UprightTape.vue'
import { useNarrow } from '../../use-narrow'
import MeasureSheet from './MeasureSheet.vue'
import PaperSheet from './PaperSheet.vue'

const job = useJob()
const route = useRoute()
const router = useRouter()
const narrow = useNarrow()
const pieces = computed(() => allPieces(job.state))
const piece = computed(
  () =>
    pieces.value.find((p) => p.item.id === route.params.itemId) ??
    pieces.value.find((p) => !p.item.cut) ??
    pieces.value[0] ??
    null,
)
const index = computed(() => pieces.value.findIndex((p) => p === piece.value))
const figure = (mm: number): string => fmt.lengthFigure(mm, job.reader)
const length = (mm: number): string => fmt.length(mm, job.reader)
const open = (step: number): void => {
  const next = pieces.value[index.value + step]
  if (next) void router.replace({ name: 'cut', params: { jobId: job.jobId as string, itemId: next.item.id } })
}
/** Where to mark, in words. A method without a check mark has none; ends that meet face to face have no mark at all. */
const marks = computed(() => {
  const ends = (piece.value?.ends ?? []).flatMap((e) =>
    e.depthMm?.value
      ? [{ depth: e.depthMm.value, check: e.checkMarkMm?.value ?? null, tag: e.jointTag }]
      : [],
  )
  const [a, b] = ends
  if (!a) return ''
  const same = b && a.depth === b.depth
  const depths = same
    ? `${figure(a.depth)} both ends`
    : ends.map((e) => `${figure(e.depth)} at ${e.tag}`).join(', ')
  const checks = [...new Set(ends.flatMap((e) => (e.check === null ? [] : [figure(e.check)])))]
  const check = checks.length ? `; check ${ends.length > 1 ? 'marks' : 'mark'} at ${checks.join(', ')}` : ''
  return ` Mark ${depths}${check}.`
})
/** What to set the saw to: a piece that goes in last is cut over first, mm. */
const toCutMm = computed(() => {
  const p = piece.value
  return (p?.cutMm.value ?? 0) + (p?.item.closing ? CLOSING_SPARE_MM : 0)
})
/** What stands in the headline when there is no length to cut. */
const headline = computed(() => {
  const p = piece.value
  if (!p) return 'No measures yet. Give one piece its measure and its cut length appears here.'
  return p.cutMm.value === null ? job.t(p.cutMm.why) : ''
})
const uncut = computed(() => pieces.value.filter((p) => p.cutMm.value !== null && !p.item.cut).length)
const how = computed(() => {
  const p = piece.value
  if (!p || p.item.measuredMm === null || p.cutMm.value === null) return ''
  return `${p.item.tag}, ${p.item.size} ${p.line.material}: ${p.item.measure?.replace('-', ' to ')} ${figure(p.item.measuredMm)}, less take-offs ${figure(p.takeOffsMm)}, plus insertions ${figure(p.insertionsMm)}.`
})
/** Pipe-in-pipe: the piece at the same place of the other pipe, and how much longer the inner one is. */
const twin = computed(() => {
  const p = piece.value
  const end = p?.ends.find((e) => e.jointId)
  const at = end?.jointId ? jointPlaces(job.state).get(end.jointId) : undefined
  const other = at && twinJoint(job.state, at)
  const cut = other && pieces.value.find((x) => x.item === other.place.piece)
  if (!p || !cut || p.cutMm.value === null || cut.cutMm.value === null) return ''
  const by = other.inner ? cut.cutMm.value - p.cutMm.value : p.cutMm.value - cut.cutMm.value
  const longer = by < 0 ? `${figure(-by)} shorter` : `${figure(by)} longer`
  const check = by < 0 ? ' Inner sockets are usually the deeper ones: measure both.' : ''
  return other.inner
    ? ` Its carrier ${cut.item.tag} is cut ${longer}, and joined first.${check}`
    : ` It is ${longer} than ${cut.item.tag} round it, and joined first.${check}`
})
/** A piece that goes in last, between ends that stand: can it be got in? */
const closing = computed(() => (piece.value ? closingFinding(piece.value) : null))
async function turnClosing(): Promise<void> {
  const p = piece.value
  if (!p) return
  const on = !p.item.closing
  await job.write(
    [{ kind: 'item-put', data: { lineId: p.line.id, ...putOf({ ...p.item, closing: on }) } }],
    `${p.item.tag} ${on ? 'goes in last' : 'is an ordinary piece'}.`,
  )
}
const longest = computed(() => Math.max(1, ...pieces.value.map((p) => p.cutMm.value ?? 0)))
const od = (size: string): number =>
  outsideDiameterMm(parseSize(size) ?? { text: '', family: 'd', nominal: 50 }) ?? 50
const sources = ref(false)
const measuring = ref(false)
const paper = ref(false)
const depthSource = computed(() => {
  const f = piece.value?.ends.find((e) => e.depthMm?.value != null)?.depthMm
  return f && f.value !== null ? sourceOf(f.source) : null
})
async function cut(): Promise<void> {
  const p = piece.value
  if (!p || p.cutMm.value === null) return
  await job.write(
    [{ kind: 'piece-cut', data: { itemId: p.item.id, cutMm: toCutMm.value } }],
    `${p.item.tag} is cut.`,
  )
  const next = pieces.value.find((x) => !x.item.cut && x.item.id !== p.item.id && x.cutMm.value !== null)
  if (next)
    await router.replace({ name: 'cut', params: { jobId: job.jobId as string, itemId: next.item.id } })
}
</script>

<template>
  <div class="place cut">
    <div class="head">
      <h1>
        <template v-if="piece && piece.cutMm.value !== null"
          >Cut
          <button type="button" class="figure-link" :class="{ big: narrow }" @click="sources = true">
            {{ length(toCutMm) }}</button>.{{ marks }}</template
        >
        <template v-else>{{ headline }}</template>
      </h1>
      <p class="why">{{ how }}{{ twin }}</p>
      <p v-if="piece?.item.closing && closing" :class="{ warn: closing.level === 'warn' }">
        {{ job.t(closing) }}
      </p>
      <p v-if="piece?.changedSinceCut" class="refusal">
        Cut at {{ length(piece.item.cut?.mm ?? 0) }}; the figures have changed since. Check it before it goes
        in.
      </p>
    </div>
    <template v-if="piece">
      <template v-if="piece.cutMm.value !== null">
        <UprightTape v-if="narrow" :piece="piece" />
        <PieceTape v-else :piece="piece" />
      </template>
      <div class="buttons">
        <button class="button" type="button" :disabled="index <= 0" @click="open(-1)">Previous piece</button>
        <button
          class="button main"
          type="button"
          :disabled="piece.cutMm.value === null || (piece.item.cut !== null && !piece.changedSinceCut)"
          @click="cut"
        >
          {{ piece.item.cut && !piece.changedSinceCut ? 'Is cut' : 'Cut' }}
        </button>
        <button class="button" type="button" :disabled="index >= pieces.length - 1" @click="open(1)">
          Next piece
        </button>
        <button class="button" type="button" @click="measuring = true">The socket measures …</button>
        <button class="button" type="button" :aria-pressed="piece.item.closing === true" @click="turnClosing">
          {{ piece.item.closing ? 'Not a closing piece' : 'Goes in last' }}
        </button>
        <RouterLink class="button link" :to="{ name: 'bars', params: { jobId: job.jobId } }"
          >Lay out on bars</RouterLink
        >
        <RouterLink class="button link" :to="{ name: 'tube', params: { jobId: job.jobId } }"
          >Bends and offsets</RouterLink
        >
        <button class="button" type="button" @click="paper = true">On paper</button>
      </div>
      <p class="why">{{ pieces.length }} pieces, {{ uncut }} still to cut.</p>
      <div class="scroll" role="region" aria-label="Pieces" tabindex="0">
        <table class="rows">
          <thead>
            <tr>
              <th>Piece</th>
              <th>Size</th>
              <th class="wide">Between</th>
              <th class="wide">To one scale</th>
              <th class="right">Measured</th>
              <th class="right">Cut</th>
              <th>State</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="p in pieces" :key="p.item.id" :class="{ open: p === piece }">
              <td>
                <RouterLink
                  class="strong"
                  :to="{ name: 'cut', params: { jobId: job.jobId, itemId: p.item.id } }"
                  >{{ p.item.tag }}</RouterLink
                >
              </td>
              <td>{{ p.item.size }}</td>
              <td class="wide">
                {{ p.ends[0].fitting?.fitting ?? 'free end' }} and
                {{ p.ends[1].fitting?.fitting ?? 'free end' }}
              </td>
              <td class="wide">
                <svg width="180" height="18" aria-hidden="true">
                  <rect
                    x="1"
                    :y="9 - Math.max(3, od(p.item.size) * 0.075)"
                    :width="((p.cutMm.value ?? 0) / longest) * 176"
                    :height="Math.max(6, od(p.item.size) * 0.15)"
                    class="bar"
                  />
                </svg>
              </td>
              <td class="num">{{ p.item.measuredMm === null ? '' : figure(p.item.measuredMm) }}</td>
              <td class="num">{{ p.cutMm.value === null ? '?' : figure(p.cutMm.value) }}</td>
              <td>
                {{
                  p.changedSinceCut
                    ? 'changed since cut'
                    : p.item.cut
                      ? 'cut'
                      : p.cutMm.value === null
                        ? 'not yet known'
                        : 'to cut'
                }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
    <Sheet v-if="sources && piece" title="Where this length comes from" @close="sources = false">
      <p>{{ how }}</p>
      <p v-if="depthSource">
        Depth: {{ depthSource.reference }}{{ depthSource.edition ? `, ${depthSource.edition}` : '' }}.
        <strong>{{ depthSource.kind.replace('-', ' ') }}</strong>. {{ depthSource.note }}
      </p>
      <p>Take-offs: as measured on this job.</p>
      <button class="button" type="button" @click="sources = false">Close</button>
    </Sheet>
    <PaperSheet v-if="paper" @close="paper = false" />
    <MeasureSheet
      v-if="measuring && piece"
      :material="piece.line.material"
      :size="piece.item.size"
      @close="measuring = false"
    />
  </div>
</template>

<style scoped>
.warn::before {
  content: '▲ ';
  color: var(--wet-ink);
}
.big {
  font-size: 56px;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.buttons .main {
  min-width: 150px;
}
.link {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  text-decoration: none;
}
.right {
  text-align: right;
}
.bar {
  fill: var(--pipe-fill);
  stroke: var(--ink);
  stroke-width: 1.5;
}
@media (max-width: 720px) {
  .wide {
    display: none;
  }
  .buttons .button {
    min-height: 56px;
    flex: 1 1 40%;
  }
  .buttons .main {
    order: -1;
    flex: 1 1 100%;
    min-height: 72px;
    font-size: 22px;
  }
}
</style>
