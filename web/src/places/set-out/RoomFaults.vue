<script setup lang="ts">
import { type Line, type TooNear, fmt, tooNear } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { usePaintedLater } from '../../after-paint'
import { word } from '../../words/word'
import { LARGE_LINE } from './use-drawn'

/** What comes nearer to a line than it may. */
const props = defineProps<{ line: Line }>()
const emit = defineEmits<{ show: [id: string] }>()
const job = useJob()
/** Of a long line it follows when the rest has been drawn. */
const shown = usePaintedLater(
  () => ({ state: job.state, line: props.line }),
  ({ line }) => line.items.length > LARGE_LINE,
)
const own = computed(() =>
  tooNear(shown.value.state).filter(({ line, other }) => [line.id, other.line.id].includes(props.line.id)),
)
/** So many are told one by one, the nearest first. */
const MOST = 3
const length = (mm: number): string => fmt.length(mm, { ...job.reader, units: props.line.school })
const says = ({ how, item, other, joint, gapMm, wantedMm }: TooNear): string =>
  word('room-fault', {
    how,
    one: joint ?? item.tag,
    other: other.item.tag,
    gap: length(Math.abs(gapMm)),
    wanted: length(wantedMm),
  })
/** The part of this line. */
const ownPart = ({ line, item, other }: TooNear): string =>
  line.id === props.line.id ? item.id : other.item.id
</script>

<template>
  <p
    v-for="one in own.slice(0, MOST)"
    :key="`${one.how} ${one.item.id} ${one.other.item.id}`"
    class="refusal"
  >
    {{ says(one) }}
    <button type="button" class="figure-link" @click="emit('show', ownPart(one))">
      {{ word('set-out-show-it') }}
    </button>
  </p>
  <p v-if="own.length > MOST" class="why">{{ word('room-more', { more: own.length - MOST }) }}</p>
</template>

<style scoped>
p {
  margin: 0;
}
.figure-link {
  margin-inline-start: 8px;
}
</style>
