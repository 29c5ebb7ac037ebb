<script setup lang="ts">
import {
  EXAMPLE_MM,
  type Item,
  LONGEST_PIECE_MM,
  MEASURE_NAMES,
  MEASURE_WORDS,
  type PieceCut,
  USUAL,
  systemOf,
} from '@jugalis/core'
import { computed, ref } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import QuantityField from '../../frame/QuantityField.vue'
import { useJob } from '../../stores/job'
import { named, word } from '../../words/word'

/** A piece is measured where it will lie, and its cut length stands there at once. */
const props = defineProps<{ piece: PieceCut; fault: string }>()
const emit = defineEmits<{ measured: [mm: number, measure: NonNullable<Item['measure']>] }>()
const job = useJob()
const measure = ref<NonNullable<Item['measure']>>(props.piece.item.measure ?? 'face-face')
const mm = ref<number | null>(props.piece.item.measuredMm)
const tried = ref(false)
const example = computed(() => EXAMPLE_MM[systemOf(job.reader, 'length')])
const between = computed(() => {
  const [first, second] = props.piece.ends.map(({ fitting }) => fitting?.tag ?? word('cut-open-end'))
  return { how: MEASURE_WORDS[measure.value].replace('-', ''), first, second }
})
function save(): void {
  tried.value = true
  if (mm.value !== null && !Number.isNaN(mm.value)) emit('measured', mm.value, measure.value)
}
</script>

<template>
  <form class="measure" @submit.prevent="save">
    <ChipChoice
      v-model="measure"
      :label="word('cut-measured')"
      :options="MEASURE_NAMES.map((name) => [name, named(name)])"
    />
    <QuantityField
      v-model="mm"
      field-id="piece-measure"
      :label="word('cut-measure-between', between)"
      as="length"
      :least="1"
      :most="LONGEST_PIECE_MM"
      :usual="USUAL.piece"
      :example="example"
      :missing="tried"
    />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button class="button main" type="submit">{{ word('cut-set-the-measure') }}</button>
  </form>
</template>

<style scoped>
.measure {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 10px;
  max-width: 560px;
}
.measure :deep(.chips) {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.measure :deep(.quantity) {
  width: min(100%, 340px);
}
@media (max-width: 720px) {
  .measure {
    max-width: none;
    align-items: stretch;
  }
  .measure :deep(.quantity) {
    width: 100%;
  }
  .measure .main {
    min-height: 72px;
    font-size: 22px;
  }
}
</style>
