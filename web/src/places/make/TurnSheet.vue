<script setup lang="ts">
import { type Alignment, type JointFacts, fmt, outsideDiameterMm, parseSize, roundMm } from '@jugalis/core'
import { computed } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import RoundTape from '../../tapes/RoundTape.vue'
import { word } from '../../words/word'

/** Where round its pipe a fitting's mark comes, on a tape: nobody reads degrees off a pipe. */
const props = defineProps<{ facts: JointFacts; turned: Alignment }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const pipe = computed(() => {
  const { part, fitting } = props.facts.place
  return part.type === 'piece' ? part : (fitting ?? part)
})
const odMm = computed(() => {
  const size = parseSize(pipe.value.size)
  return (size && outsideDiameterMm(size)) ?? 0
})
const wholeMm = computed(() => roundMm(360, odMm.value))
const atMm = computed(() => roundMm(props.turned.turnDeg, odMm.value))
/** The shorter way round. */
const side = computed(() => (props.turned.turnDeg > 180 ? 'left' : 'right'))
const shorterMm = computed(() => Math.min(atMm.value, wholeMm.value - atMm.value))
const says = computed(() =>
  word('make-round-says', {
    from: props.turned.from,
    way: props.turned.what === 'saddle' ? 'along' : 'into',
    fitting: props.turned.fitting.tag,
    turn: side.value === 'left' ? 360 - props.turned.turnDeg : props.turned.turnDeg,
    round: fmt.length(shorterMm.value, job.reader),
    side: side.value,
  }),
)
const quarters = computed(() =>
  props.turned.from === 'top'
    ? [12, 3, 6, 9].map((hour) => word('make-round-clock', { hour }))
    : ['0°', '90°', '180°', '270°'],
)
</script>

<template>
  <Sheet :title="word('make-round-title', { tag: pipe.tag })" @close="emit('close')">
    <p>{{ says }}</p>
    <RoundTape v-if="wholeMm > 0" :round-mm="wholeMm" :at-mm="atMm" :quarters="quarters" :says="says" />
    <p class="why">{{ word('make-round-how', { from: turned.from }) }}</p>
  </Sheet>
</template>
