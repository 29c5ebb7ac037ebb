<script setup lang="ts">
import {
  OPENERS,
  CLOSING_SPARE_MM,
  allPieces,
  clearanceFindings,
  clearancesOf,
  closingFinding,
  fmt,
  isUnmeasured,
  pipeOf,
  sourceOf,
} from '@jugalis/core'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import Sheet from '../../frame/Sheet.vue'
import { isOwnKey } from '../../keys'
import { useJob } from '../../stores/job'
import PieceTape from '../../tapes/PieceTape.vue'
import UprightTape from '../../tapes/UprightTape.vue'
import TakeOffSheet from '../set-out/TakeOffSheet.vue'
import { useNarrow } from '../../use-narrow'
import MeasurePiece from './MeasurePiece.vue'
import MeasureSheet from './MeasureSheet.vue'
import NearSheet from './NearSheet.vue'
import PaperSheet from './PaperSheet.vue'
import PieceList from './PieceList.vue'
import { useCutActs, useMeasure } from './use-cut-acts'
import { useCutSentences } from './use-cut-sentences'
import { named, word } from '../../words/word'
import { Figures, Said } from '../../words/said'

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
const length = (mm: number): string => fmt.length(mm, job.reader)
const open = (step: number): void => {
  const next = pieces.value[index.value + step]
  if (next) void router.replace({ name: 'cut', params: { jobId: job.jobId as string, itemId: next.item.id } })
}
/** What to set the saw to: a piece that goes in last is cut over first, mm. */
const toCutMm = computed(() => {
  const own = piece.value
  return (own?.cutMm.value ?? 0) + (own?.item.closing ? CLOSING_SPARE_MM : 0)
})
const uncut = computed(() => pieces.value.filter((p) => p.cutMm.value !== null && !p.isCut).length)
const unmeasured = computed(() => pieces.value.filter((p) => isUnmeasured(p.item)).length)
/** A piece that goes in last, between ends that stand: can it be got in? */
const closing = computed(() => (piece.value ? closingFinding(piece.value) : null))
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
const { marks, headline, how, twin, bends, holes, holesLack } = useCutSentences(piece, pieces)
const { splitFault, turnClosing, letIn, cut } = useCutActs(piece, pieces, toCutMm)
const { measureFault, again, asksMeasure, measure } = useMeasure(piece)
/** What it lacks before its length is known, so that the way to it stands beside the sentence. */
const lacks = computed(() => {
  const { cutMm } = piece.value ?? {}
  return cutMm?.value === null ? cutMm.why.code : ''
})
const withoutTakeOff = computed(() =>
  lacks.value === 'take-off-unknown'
    ? piece.value?.ends.find((end) => end.fitting && !end.takeOff)
    : undefined,
)
const takingOff = ref(false)
const near = ref(false)
const sources = ref(false)
const measuring = ref(false)
const paper = ref(false)
const depthSource = computed(() => {
  const depthMm = piece.value?.ends.find((e) => e.depthMm?.value != null)?.depthMm
  return depthMm && depthMm.value !== null ? sourceOf(depthMm.source) : null
})
/** J and K go from piece to piece. No key cuts: that is told by the button. */
function key(event: KeyboardEvent): void {
  if (!isOwnKey(event)) return
  if (event.key === 'j' || event.key === 'ArrowDown') open(1)
  else if (event.key === 'k' || event.key === 'ArrowUp') open(-1)
}
onMounted(() => window.addEventListener('keydown', key))
onBeforeUnmount(() => window.removeEventListener('keydown', key))
</script>

<template>
  <div class="place cut">
    <div class="head">
      <h1>
        <template v-if="piece && piece.cutMm.value !== null">
          <Said code="cut-headline">
            <template #marks><Figures :text="marks" /></template>
            <template #bends><Figures :text="bends" /></template>
            <template #holes><Figures :text="holes" /></template>
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
      <p v-if="holesLack && piece?.cutMm.value !== null" class="warn">{{ job.t(holesLack) }}</p>
      <p v-if="piece?.item.closing && closing" :class="{ warn: closing.level === 'warn' }">
        {{ job.t(closing) }}
        <template v-if="closing.code === 'closing-draw-back' && !piece.isCut">
          <button v-for="f in OPENERS" :key="f" type="button" class="figure-link opener" @click="letIn(f)">
            {{ word('cut-put-a-in', { f }) }}
          </button>
          <span v-if="splitFault" class="refusal" role="alert">{{ splitFault }}</span>
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
      <MeasurePiece
        v-if="asksMeasure"
        :key="piece.item.id"
        :piece="piece"
        :fault="measureFault"
        @measured="measure"
      />
      <template v-else-if="piece.cutMm.value !== null">
        <UprightTape v-if="narrow" :piece="piece" />
        <PieceTape v-else :piece="piece" />
      </template>
      <div class="buttons">
        <button class="button" type="button" :disabled="index <= 0" @click="open(-1)">
          {{ word('cut-previous-piece') }}
        </button>
        <button v-if="withoutTakeOff" class="button main" type="button" @click="takingOff = true">
          {{ word('cut-its-take-off', { fitting: withoutTakeOff.fitting?.tag }) }}
        </button>
        <button
          v-else-if="!asksMeasure && lacks !== 'depth-unknown'"
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
        <button
          class="button"
          :class="{ main: lacks === 'depth-unknown' }"
          type="button"
          @click="measuring = true"
        >
          {{ word('cut-the-socket-measures') }}
        </button>
        <button
          v-if="!asksMeasure && !piece.isCut && !piece.item.bend"
          class="button"
          type="button"
          @click="again = true"
        >
          {{ word('cut-measure-again') }}
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
      <p class="why">{{ word('cut-pieces-still-to-cut', { pieces: pieces.length, uncut, unmeasured }) }}</p>
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
    <TakeOffSheet
      v-if="takingOff && withoutTakeOff?.fitting"
      :item="withoutTakeOff.fitting"
      :at="withoutTakeOff.met"
      @close="takingOff = false"
    />
    <MeasureSheet
      v-if="measuring && piece"
      :material="pipeOf(piece.line, piece.item).material"
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
