<script setup lang="ts">
import { type LineInSpace, type LinesAsOne, VIEWS, asOne, joinedTo, linesAsOne, tagsOf } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { usePaintedLater } from '../after-paint'
import { LARGE_LINE } from '../places/set-out/use-drawn'
import { useHand } from '../places/set-out/use-hand'
import { useJob } from '../stores/job'
import { saveSvg } from '../tapes/save-svg'
import { useNarrow } from '../use-narrow'
import { useWholeScreen } from '../use-whole-screen'
import { useWidth } from '../use-width'
import { useView } from '../view'
import { word } from '../words/word'
import SpaceLine from './SpaceLine.vue'
import SpacePaper from './SpacePaper.vue'
import { useSight } from './use-sight'
import { useKeptLook, useSpaceView } from './use-space-view'

/** A line as it stands in the building, by itself or with all that it hangs together with: isometric, plan or side; pulled, zoomed, turned; a part chosen by a tap. */
const props = defineProps<{ space: LineInSpace; current: string | null }>()
const emit = defineEmits<{ pick: [id: string] }>()
const onPaper = ref(false)
const job = useJob()
const view = useView()
const router = useRouter()
const narrow = useNarrow()
const box = ref<HTMLElement>()
const svg = ref<SVGSVGElement>()
const width = useWidth(box)
const wholeScreen = useWholeScreen(box)
const { whole } = wholeScreen
const look = useKeptLook()
const joined = computed(() => joinedTo(job.state, props.space.line))
const others = computed(() =>
  joined.value
    .slice(1)
    .map(({ line }) => line.tag)
    .join(', '),
)
const asked = computed<LinesAsOne>(() =>
  look.value.joined && joined.value.length > 1
    ? linesAsOne(job.state, props.space.line, joined.value)
    : asOne(props.space),
)
/** Of a long line the list is shown first, and the drawing follows. */
const shown = usePaintedLater(
  () => asked.value,
  ({ each }) => each.reduce((sum, { space }) => sum + space.line.items.length, 0) > LARGE_LINE,
)
const height = computed(() => (whole.value ? window.innerHeight - 90 : narrow.value ? 340 : 430))
const { drawn, turn } = useSpaceView(shown, width, height)
const sight = useSight(
  computed(() => drawn.value.box),
  width,
  height,
  computed(
    () =>
      `${props.space.line.id} ${look.value.view} ${look.value.turns} ${look.value.scaled} ${look.value.joined}`,
  ),
)
const hand = useHand(svg, {
  pan: sight.pan,
  zoom: (by, atX, atY) => sight.zoom(by, atX, atY),
  fit: sight.fit,
  toStart: sight.fit,
  toEnd: sight.fit,
  tap: () => {},
})
const toJoint = (jointId: string): void =>
  void router.push({ name: 'make', params: { jobId: job.jobId as string, jointId } })
async function saveDxf(): Promise<void> {
  const { spaceDxf } = await import('./dxf')
  const { saveFile } = await import('../save-file')
  saveFile(spaceDxf(shown.value), 'image/vnd.dxf', `${props.space.line.tag}-in-space.dxf`)
}
const north = computed(() => drawn.value.north)
</script>

<template>
  <div ref="box" class="box" :class="{ whole }" @keydown.esc="wholeScreen.close">
    <div class="tools no-print">
      <select v-model="look.view" class="plain" :aria-label="word('space-looked-at')">
        <option v-for="name in VIEWS" :key="name" :value="name">{{ word('space-view', { name }) }}</option>
      </select>
      <button
        v-if="look.view === 'isometric'"
        type="button"
        class="button small"
        :aria-label="word('space-turn-by-a-quarter')"
        @click="turn"
      >
        {{ word('space-turn') }}
      </button>
      <button
        type="button"
        class="button small"
        :aria-pressed="look.scaled"
        @click="look.scaled = !look.scaled"
      >
        {{ word('space-to-scale') }}
      </button>
      <button
        v-if="joined.length > 1"
        type="button"
        class="button small"
        :aria-pressed="look.joined"
        :aria-label="word('space-with-joined-lines', { tags: others })"
        @click="look.joined = !look.joined"
      >
        {{ word('space-with-joined', { more: joined.length - 1, tags: others }) }}
      </button>
      <button
        type="button"
        class="button small"
        :aria-label="word('set-out-zoom-out')"
        @click="sight.zoom(-1)"
      >
        −
      </button>
      <button type="button" class="button small" :aria-label="word('set-out-zoom-in')" @click="sight.zoom(1)">
        +
      </button>
      <button type="button" class="button small" @click="sight.fit">{{ word('set-out-fit') }}</button>
      <slot />
      <span v-if="drawn.left" class="why">{{ word('space-names-have-no-room', { left: drawn.left }) }}</span>
      <span class="last">
        <button v-if="!whole" type="button" class="button small" @click="wholeScreen.open">
          {{ word('space-whole-screen') }}
        </button>
        <template v-if="!narrow">
          <button
            type="button"
            class="button small"
            :aria-label="word('set-out-save-as-svg')"
            @click="saveSvg(svg, `${space.line.tag}-in-space`)"
          >
            {{ word('space-save-as-svg') }}
          </button>
          <button
            type="button"
            class="button small"
            :aria-label="word('space-save-the-dxf')"
            @click="saveDxf"
          >
            {{ word('space-save-as-dxf') }}
          </button>
        </template>
        <button type="button" class="button small" @click="onPaper = true">
          {{ word('space-on-paper') }}
        </button>
        <button v-if="whole" type="button" class="button small" @click="wholeScreen.close">
          {{ word('set-out-close-the-drawing') }}
        </button>
      </span>
    </div>
    <svg
      ref="svg"
      class="drawing space-drawing"
      :width="width"
      :height="height"
      :viewBox="sight.viewBox.value"
      role="group"
      tabindex="0"
      :aria-label="word('space-drawn', { tag: tagsOf(shown), name: look.view })"
      @pointerdown="hand.down"
      @pointermove="hand.move"
      @pointerup="hand.up"
      @pointercancel="hand.cancel"
      @wheel="hand.wheel"
    >
      <SpaceLine
        :drawn="drawn"
        :looks="view.looks"
        :current="current"
        @pick="(id) => emit('pick', id)"
        @joint="toJoint"
      />
    </svg>
    <SpacePaper v-if="onPaper" :space="asked" @close="onPaper = false" />
    <svg v-if="north" class="north" width="64" height="64" viewBox="-32 -32 64 64" aria-hidden="true">
      <path :d="`M${-north[0] * 16} ${-north[1] * 16}L${north[0] * 16} ${north[1] * 16}`" class="needle" />
      <path
        :d="`M${north[0] * 20} ${north[1] * 20}L${north[0] * 8 - north[1] * 6} ${north[1] * 8 + north[0] * 6}L${north[0] * 8 + north[1] * 6} ${north[1] * 8 - north[0] * 6}Z`"
        class="head"
      />
      <text :x="north[0] * 27" :y="north[1] * 27 + 5" text-anchor="middle">{{ word('space-north') }}</text>
    </svg>
  </div>
</template>

<style scoped src="../tapes/drawing-box.css"></style>
<style scoped>
.tools {
  gap: 6px;
}
.tools select {
  width: 116px;
}
.box:not(.whole) {
  position: relative;
}
.last {
  display: flex;
  gap: 6px;
  align-items: center;
  flex-wrap: wrap;
}
.small[aria-pressed='true'] {
  border-color: var(--ink);
  font-weight: 700;
}
.space-drawing {
  display: block;
  touch-action: pan-y;
  cursor: grab;
  border-top: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
}
.north {
  position: absolute;
  inset-block-end: 6px;
  inset-inline-start: 6px;
  pointer-events: none;
}
.needle {
  stroke: var(--ink);
  stroke-width: 2;
}
.head {
  fill: var(--ink);
}
.north text {
  font: 600 14px var(--figures);
  fill: var(--ink);
}
</style>
