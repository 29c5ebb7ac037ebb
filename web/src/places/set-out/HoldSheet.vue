<script setup lang="ts">
import {
  type Edited,
  type Held,
  type Item,
  type Line,
  type Shop,
  USUAL,
  fmt,
  settle,
  shortTag,
  withHeld,
  withoutHeld,
} from '@jugalis/core'
import { computed, ref, toRef } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import QuantityField from '../../frame/QuantityField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'
import { useEdits } from './use-edits'

/** What holds a line: anchors at fittings or on pipes, guides on pipes. */
const props = defineProps<{
  line: Line
  /** The part that is chosen at first, if any. */
  first?: string
}>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const edits = useEdits(toRef(props, 'line'))
const short = (item: Item): string => shortTag(props.line.tag, item.tag)
const holds = computed(() =>
  props.line.items.flatMap((item) => (item.held ?? []).map((held) => ({ item, held }))),
)
const itemId = ref(props.first || (props.line.items[0]?.id ?? ''))
const item = computed(() => props.line.items.find(({ id }) => id === itemId.value) ?? null)
const onPipe = computed(() => item.value?.type === 'piece')
const as = ref<Held['as']>('anchor')
const atMm = ref<number | null>(null)
const tried = ref(false)
const KINDS = [
  ['anchor', word('growth-anchor')],
  ['guide', word('growth-guide')],
] as const
const FARTHEST_MM = 100_000
const says = (one: Item, held: Held): string =>
  word('growth-held', {
    tag: short(one),
    as: held.as,
    at: held.atMm === undefined ? '' : fmt.length(held.atMm, job.reader),
  })
/** The line with one part as it is now. */
const replaced = (line: Line, shop: Shop, next: Item): Edited =>
  settle(
    line,
    line.items.map((one) => (one.id === next.id ? next : one)),
    shop,
  )
const now = (line: Line, id: string): Item => line.items.find((one) => one.id === id) as Item
async function hold(): Promise<void> {
  tried.value = true
  const own = item.value
  const far = onPipe.value ? atMm.value : null
  if (!own || (onPipe.value && (far === null || Number.isNaN(far)))) return
  const held: Held = { as: onPipe.value ? as.value : 'anchor', ...(far === null ? {} : { atMm: far }) }
  const done = await edits.edit(
    (line, shop) => {
      const next = withHeld(now(line, own.id), held)
      return 'ok' in next ? next : replaced(line, shop, next)
    },
    word('growth-held-now', { tag: short(own) }),
  )
  if (!done) return
  atMm.value = null
  tried.value = false
}
const letGo = (own: Item, held: Held): Promise<boolean> =>
  edits.edit(
    (line, shop) => replaced(line, shop, withoutHeld(now(line, own.id), held)),
    word('growth-let-go-now', { tag: short(own) }),
  )
</script>

<template>
  <Sheet :title="word('growth-what-holds', { tag: line.tag })" @close="emit('close')">
    <p class="why">{{ word('growth-holds-say') }}</p>
    <p v-if="!holds.length" class="why">{{ word('growth-no-holds') }}</p>
    <p v-for="one in holds" :key="`${one.item.id} ${one.held.atMm}`">
      {{ says(one.item, one.held) }}
      <button type="button" class="figure-link reach" @click="letGo(one.item, one.held)">
        {{ word('growth-let-go') }}
      </button>
    </p>
    <label for="hold-part">{{ word('growth-at') }}</label>
    <select id="hold-part" v-model="itemId" class="plain">
      <option v-for="one in line.items" :key="one.id" :value="one.id">
        {{ word('growth-part', { tag: short(one), what: one.fitting ?? one.size }) }}
      </option>
    </select>
    <template v-if="onPipe">
      <ChipChoice v-model="as" :label="word('growth-held-as')" :options="KINDS" />
      <QuantityField
        v-model="atMm"
        :label="word('growth-how-far')"
        as="length"
        :least="0"
        :most="FARTHEST_MM"
        :usual="USUAL.piece"
        :missing="tried"
      />
    </template>
    <p v-if="edits.fault.value" class="refusal" role="alert">{{ edits.fault.value }}</p>
    <button class="button main" type="button" @click="hold">{{ word('growth-hold') }}</button>
  </Sheet>
</template>
