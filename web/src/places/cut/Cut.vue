<script setup lang="ts">
import {
  OPENERS,
  CLOSING_SPARE_MM,
  allPieces,
  begunJoints,
  clearanceFindings,
  clearancesOf,
  closingFinding,
  fmt,
  jointPlaces,
  putOf,
  sourceOf,
  splitWith,
  twinJoint,
} from '@jugalis/core'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import Sheet from '../../frame/Sheet.vue'
import { isOwnKey } from '../../keys'
import { useJob } from '../../stores/job'
import PieceTape from '../../tapes/PieceTape.vue'
import UprightTape from '../../tapes/UprightTape.vue'
import { useNarrow } from '../../use-narrow'
import MeasureSheet from './MeasureSheet.vue'
import NearSheet from './NearSheet.vue'
import PaperSheet from './PaperSheet.vue'
import PieceList from './PieceList.vue'
import { named, word } from '../../words/word'
import { Said } from '../../words/said'

const job = useJob()
const route = useRoute()
const router = useRouter()
const narrow = useNarrow()
const pieces = computed(() => allPieces(job.state))
const piece = computed(
  () =>
    pieces.value.find((p) => p.item.id === route.params.itemId) ??
    pieces.value.find((p) => !p.isCut) ??
    pieces.value[0] ??
    null,
)
/** A label may outlive its piece. */
const gone = computed(
  () => Boolean(route.params.itemId) && piece.value?.item.id !== route.params.itemId && job.status === 'open',
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
    ? word('cut-both-ends', { figure: figure(a.depth) })
    : ends.map((e) => word('cut-depth-at', { depth: figure(e.depth), tag: e.tag })).join(', ')
  const checks = [...new Set(ends.flatMap((e) => (e.check === null ? [] : [figure(e.check)])))]
  return word('cut-mark', { depths, ends: ends.length, checks: checks.join(', ') })
})
/** What to set the saw to: a piece that goes in last is cut over first, mm. */
const toCutMm = computed(() => {
  const p = piece.value
  return (p?.cutMm.value ?? 0) + (p?.item.closing ? CLOSING_SPARE_MM : 0)
})
/** What stands in the headline when there is no length to cut. */
const headline = computed(() => {
  const p = piece.value
  if (!p) return word('cut-no-measures-yet-give')
  return p.cutMm.value === null ? job.t(p.cutMm.why) : ''
})
const uncut = computed(() => pieces.value.filter((p) => p.cutMm.value !== null && !p.isCut).length)
const how = computed(() => {
  const p = piece.value
  if (!p || p.item.measuredMm === null || p.cutMm.value === null) return ''
  return word('cut-less-take-offs-plus', {
    tag: p.item.tag,
    size: p.item.size,
    material: named(p.line.material),
    measure: p.item.measure,
    measured: figure(p.item.measuredMm),
    takeOffs: figure(p.takeOffsMm),
    insertions: figure(p.insertionsMm),
    gaps: figure(p.gapsMm),
    hasGaps: p.gapsMm ? 'yes' : 'no',
  })
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
  return word(other.inner ? 'cut-its-carrier-is-cut' : 'cut-it-is-than-round', {
    tag: cut.item.tag,
    by: figure(Math.abs(by)),
    which: by < 0 ? 'shorter' : 'longer',
  })
})
/** A piece that goes in last, between ends that stand: can it be got in? */
const closing = computed(() => (piece.value ? closingFinding(piece.value) : null))
async function turnClosing(): Promise<void> {
  const p = piece.value
  if (!p) return
  const on = !p.item.closing
  await job.write(
    [{ kind: 'item-put', data: { lineId: p.line.id, ...putOf({ ...p.item, closing: on }) } }],
    word(on ? 'cut-goes-in-last' : 'cut-is-an-ordinary-piece', { tag: p.item.tag }),
  )
}
/** What lets a piece in that cannot be drawn back: it becomes two, with a fitting that opens between. */
async function letIn(fitting: (typeof OPENERS)[number]): Promise<void> {
  const p = piece.value
  const split =
    p &&
    splitWith(p.line, p.item, fitting, { begun: begunJoints(job.state), newId: () => crypto.randomUUID() })
  if (!p || !split) return
  if (!split.ok) return void (splitFault.value = job.t(split.why))
  await job.write(
    split.edits.map((e) => ({ kind: e.kind, data: { lineId: p.line.id, ...e.data } })),
    word('cut-is-two-pieces-with', { tag: p.item.tag, fitting }),
  )
}
const splitFault = ref('')
/** Room for the joints of this piece, and whether any of its ends asks for room at all. */
const room = computed(() => (piece.value ? clearanceFindings(job.state, piece.value) : []))
const asksRoom = computed(
  () => piece.value?.ends.some((e) => e.jointId && clearancesOf(job.state, e.jointId).length) ?? false,
)
/** Pieces that must not be cut as they stand. Worked out for jobs of a size at which it is quick. */
const MOST_WARNED = 1500
const warned = computed<ReadonlySet<string>>(
  () =>
    new Set(
      pieces.value
        .slice(0, MOST_WARNED)
        .filter((p) => clearanceFindings(job.state, p).some((f) => f.level === 'stop'))
        .map((p) => p.item.id),
    ),
)
/** Where the bends begin on the straight tube, in words. */
const bends = computed(() =>
  piece.value?.bends.length
    ? word('cut-bend', {
        bends: piece.value.bends
          .map((b) =>
            word('cut-bend-from', {
              turn: Math.abs(b.turnDeg),
              side: b.turnDeg < 0 ? 'right' : 'left',
              at: figure(b.atMm),
            }),
          )
          .join(', '),
      })
    : '',
)
const near = ref(false)
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
    word('cut-is-cut-2', { tag: p.item.tag }),
  )
  const next = pieces.value.find((x) => !x.isCut && x.item.id !== p.item.id && x.cutMm.value !== null)
  if (next)
    await router.replace({ name: 'cut', params: { jobId: job.jobId as string, itemId: next.item.id } })
}
/** J and K go from piece to piece. No key cuts: that is told by the button. */
function key(e: KeyboardEvent): void {
  if (!isOwnKey(e)) return
  if (e.key === 'j' || e.key === 'ArrowDown') open(1)
  else if (e.key === 'k' || e.key === 'ArrowUp') open(-1)
}
onMounted(() => window.addEventListener('keydown', key))
onBeforeUnmount(() => window.removeEventListener('keydown', key))
</script>

<template>
  <div class="place cut">
    <div class="head">
      <h1>
        <template v-if="piece && piece.cutMm.value !== null">
          <Said code="cut-headline" :values="{ marks, bends }">
            <template #length>
              <button type="button" class="figure-link" :class="{ big: narrow }" @click="sources = true">
                {{ length(toCutMm) }}
              </button>
            </template>
          </Said>
        </template>
        <template v-else>{{ headline }}</template>
      </h1>
      <p v-if="gone" class="refusal" role="alert">
        {{ word('cut-this-piece-is-not') }}
      </p>
      <p class="why">{{ how }} {{ twin }}</p>
      <p v-if="piece?.item.closing && closing" :class="{ warn: closing.level === 'warn' }">
        {{ job.t(closing) }}
        <template v-if="closing.code === 'closing-draw-back' && !piece.isCut">
          <button v-for="f in OPENERS" :key="f" type="button" class="figure-link opener" @click="letIn(f)">
            {{ word('cut-put-a-in', { f }) }}
          </button>
        </template>
      </p>
      <p
        v-for="f in room"
        :key="f.code + JSON.stringify(f.params)"
        :class="f.level === 'stop' ? 'refusal' : 'warn'"
      >
        {{ job.t(f) }}
      </p>
      <p v-if="piece?.changedSinceCut" class="refusal">
        {{ word('cut-cut-at-the-figures', { length: length(piece.item.cut?.mm ?? 0) }) }}
      </p>
    </div>
    <template v-if="piece">
      <template v-if="piece.cutMm.value !== null">
        <UprightTape v-if="narrow" :piece="piece" />
        <PieceTape v-else :piece="piece" />
      </template>
      <div class="buttons">
        <button class="button" type="button" :disabled="index <= 0" @click="open(-1)">
          {{ word('cut-previous-piece') }}
        </button>
        <button
          class="button main"
          type="button"
          :disabled="piece.cutMm.value === null || (piece.isCut && !piece.changedSinceCut)"
          @click="cut"
        >
          {{ piece.isCut && !piece.changedSinceCut ? word('cut-is-cut') : word('cut-mark-as-cut') }}
        </button>
        <button class="button" type="button" :disabled="index >= pieces.length - 1" @click="open(1)">
          {{ word('cut-next-piece') }}
        </button>
        <button class="button" type="button" @click="measuring = true">
          {{ word('cut-the-socket-measures') }}
        </button>
        <button v-if="asksRoom" class="button" type="button" @click="near = true">
          {{ word('cut-what-is-near') }}
        </button>
        <button class="button" type="button" :aria-pressed="piece.item.closing === true" @click="turnClosing">
          {{ piece.item.closing ? word('cut-not-a-closing-piece') : word('cut-make-closing') }}
        </button>
        <RouterLink class="button" :to="{ name: 'bars', params: { jobId: job.jobId } }">{{
          word('cut-lay-out-on-bars')
        }}</RouterLink>
        <RouterLink class="button" :to="{ name: 'tube', params: { jobId: job.jobId } }">{{
          word('cut-bends-and-offsets')
        }}</RouterLink>
        <button class="button" type="button" @click="paper = true">{{ word('cut-on-paper') }}</button>
      </div>
      <p class="why">{{ word('cut-pieces-still-to-cut', { pieces: pieces.length, uncut }) }}</p>
      <PieceList :pieces="pieces" :current="piece" :warned="warned" />
    </template>
    <Sheet v-if="sources && piece" :title="word('cut-where-this-length-comes')" @close="sources = false">
      <p>{{ how }}</p>
      <p v-if="depthSource">
        <Said
          code="ui-depth-from"
          :values="{ reference: depthSource.reference, edition: depthSource.edition, note: depthSource.note }"
        >
          <template #kind
            ><strong>{{ named(depthSource.kind) }}</strong></template
          >
        </Said>
      </p>
      <p>{{ word('cut-take-offs-as-measured') }}</p>
      <button class="button" type="button" @click="sources = false">{{ word('ui-close') }}</button>
    </Sheet>
    <NearSheet v-if="near && piece" :piece="piece" @close="near = false" />
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
.big {
  font-size: 56px;
}
.buttons .main {
  min-width: 150px;
}
.opener {
  margin-inline-start: 10px;
}
@media (max-width: 720px) {
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
