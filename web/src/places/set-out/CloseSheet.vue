<script setup lang="ts">
import {
  type ClosingWay,
  type ClosingWith,
  type Cursor,
  type Line,
  type TurningWay,
  USUAL,
  closeFrom,
  closeTargets,
  closingOutcome,
  closingWays,
  fmt,
  placeTexts,
  shopFor,
  takeOffOf,
  turningWays,
} from '@jugalis/core'
import { computed, ref } from 'vue'
import QuantityField from '../../frame/QuantityField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'
import type { Edits } from './use-edits'

/** The piece between the end of a line and another end: which fittings make it, and whether there is room. */
const props = defineProps<{ line: Line; cursor: Cursor; edits: Edits }>()
const emit = defineEmits<{ close: []; placed: [] }>()
const job = useJob()
const from = computed(() => closeFrom(job.state, props.line, props.cursor))
const targets = computed(() => closeTargets(job.state).filter((one) => one.name !== from.value?.tag))
const chosen = ref(targets.value[0]?.name ?? '')
const target = computed(() => targets.value.find((one) => one.name === chosen.value) ?? null)
/** What is known of an elbow of the line's size, to begin with. */
const known = computed(() => {
  const elbow = props.line.items.findLast((item) => item.fitting?.startsWith('elbow'))
  return elbow ? (takeOffOf(job.state, elbow)?.takeOffMm ?? null) : null
})
const takeOffMm = ref<number | null>(known.value)
const straightMm = ref<number | null>(0)
const LONGEST_MM = 5000
const by = computed<ClosingWith | null>(() => {
  const [takeOff, straight] = [takeOffMm.value, straightMm.value]
  const open = [takeOff, straight].some((mm) => mm === null || Number.isNaN(mm))
  return open ? null : { takeOffMm: takeOff ?? 0, minStraightMm: straight ?? 0 }
})
const ways = computed<ClosingWay[]>(() =>
  from.value && target.value && by.value ? closingWays(from.value, target.value, by.value) : [],
)
const turning = computed<TurningWay[]>(() =>
  from.value && target.value && by.value ? turningWays(from.value, target.value, by.value) : [],
)
const turningSaid = ({ anglesDeg, lengthsMm }: TurningWay): string =>
  word('space-turning-way', {
    two: anglesDeg.length > 1 ? 'yes' : 'no',
    first: anglesDeg[0] ?? 0,
    second: anglesDeg[1] ?? 0,
    one: lengthsMm[0] ?? 0,
    between: lengthsMm[1] ?? 0,
    last: lengthsMm.at(-1) ?? 0,
  })
/** What setting it out so comes to: cut lengths, whether the last piece can be got in, how much it may be wrong. */
function comesTo(entries: readonly string[]): string {
  if (!entries.length || !by.value) return ''
  const shop = shopFor(job.state, () => crypto.randomUUID())
  const outcome = closingOutcome(job.state, props.line, props.cursor, entries, {
    takeOffMm: by.value.takeOffMm,
    shop,
  })
  if (!outcome) return ''
  const { cuts, getsIn, mayErrMm } = outcome
  const figures = cuts.map(({ cutMm }) => (cutMm.value === null ? '?' : fmt.length(cutMm.value, job.reader)))
  return [
    word('space-close-cuts', { cuts: figures.join(', '), open: figures.includes('?') ? 'yes' : 'no' }),
    ...(getsIn
      ? [
          word('space-close-gets-in', {
            how: getsIn.code === 'closing-draw-back' ? 'draws' : 'opens',
            backMm: Number(getsIn.params.backMm ?? 0),
          }),
        ]
      : []),
    ...(mayErrMm === null ? [] : [word('space-close-may-err', { mm: mayErrMm })]),
  ].join(' ')
}
const first = computed(() => ways.value[0])
const figures = ({ entries: _entries, travelHeading: _heading, ...rest }: ClosingWay) => rest
async function setOut(way: { entries: string[] }): Promise<void> {
  const name = target.value?.name ?? ''
  const ok = await props.edits.edit(
    (line, shop) => placeTexts(line, way.entries, props.cursor, shop, { units: line.school }),
    word('space-closed-on', { name }),
  )
  if (ok) emit('placed')
  emit('close')
}
</script>

<template>
  <Sheet :title="word('space-close-title', { tag: line.tag })" @close="emit('close')">
    <p v-if="!from || !targets.length">{{ word('space-close-nowhere') }}</p>
    <template v-else>
      <p class="why">{{ word('space-close-from', { tag: from.tag }) }}</p>
      <label for="close-on">{{ word('space-close-on') }}</label>
      <select id="close-on" v-model="chosen" class="plain">
        <option v-for="one in targets" :key="one.name" :value="one.name">{{ one.name }}</option>
      </select>
      <QuantityField
        v-model="takeOffMm"
        :label="word('space-close-take-off')"
        as="length"
        :least="0"
        :most="LONGEST_MM"
        :usual="USUAL.takeOff"
      />
      <QuantityField
        v-model="straightMm"
        :label="word('space-close-straight')"
        as="length"
        :least="0"
        :most="LONGEST_MM"
        :usual="USUAL.nearBy"
      />
      <template v-if="first">
        <template v-if="first.reason === 'headings-differ'">
          <p :class="{ refusal: !turning.length }">
            {{ word('space-close-headings', { ways: turning.length }) }}
          </p>
          <p v-for="(way, at) in turning" :key="at" class="way">
            <span>
              {{ turningSaid(way) }}<br />
              <span class="why">{{ comesTo(way.entries) }}</span>
            </span>
            <button type="button" class="button" @click="setOut(way)">
              {{ word('space-close-set-out') }}
            </button>
          </p>
        </template>
        <p v-else-if="first.kind !== 'straight'">{{ word('space-close-is', figures(first)) }}</p>
        <template v-if="first.reason !== 'headings-differ'">
          <p v-for="way in ways" :key="way.angleDeg" class="way" :class="{ why: !way.entries.length }">
            <span>
              {{ word('space-close-way', figures(way)) }}<br />
              <span class="why">{{ comesTo(way.entries) }}</span>
            </span>
            <button v-if="way.entries.length" type="button" class="button" @click="setOut(way)">
              {{ word('space-close-set-out') }}
            </button>
          </p>
        </template>
      </template>
    </template>
  </Sheet>
</template>

<style scoped>
.way {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  margin: 0;
}
.way .button {
  flex: none;
}
</style>
