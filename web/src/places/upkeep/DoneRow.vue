<script setup lang="ts">
import { type CareItem, USUAL, asksFound, asksTorque, fmt, judgeCare } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import QuantityField from '../../frame/QuantityField.vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'
import { type RowSaid, rowSaid } from './done-row'

/** One joint or device: what it was found at, what it was left at, or whether it is good. */
const props = defineProps<{ item: CareItem; renewed: boolean; fault: string }>()
const row = defineModel<RowSaid>({ required: true })
const job = useJob()
const GOOD = [
  ['yes', word('upkeep-good')],
  ['no', word('upkeep-not-good')],
] as const
/** Where torques are asked for, those say that it is good. */
const readingsSay = computed(() => asksTorque(props.item) && props.item.care.act !== 'look')
const want = computed(() => props.item.care.torqueNm?.value ?? null)
const about = computed(() => props.item.leftNm ?? want.value)
const before = computed(() => {
  const { leftNm } = props.item
  return word('upkeep-was-left', {
    left: leftNm === null ? '' : fmt.torque(leftNm, job.reader),
    want: want.value === null ? '' : fmt.torque(want.value, job.reader),
    hasLeft: leftNm === null ? 'no' : 'yes',
    hasWant: want.value === null ? 'no' : 'yes',
  })
})
const MOST_NM = 20_000
const findings = computed(() => judgeCare(props.item, rowSaid(row.value, { renewed: false, lotId: null })))
</script>

<template>
  <div role="group" :aria-label="item.tag" class="row">
    <h3>{{ item.tag }}</h3>
    <template v-if="asksTorque(item)">
      <p class="why">{{ before }}</p>
      <QuantityField
        v-if="asksFound(item, renewed)"
        v-model="row.foundNm"
        :label="word('upkeep-found-at', { tag: item.tag })"
        as="torque"
        :least="0"
        :most="MOST_NM"
        :near="about"
        :usual="USUAL.torqueNm"
      />
      <QuantityField
        v-model="row.leftNm"
        :label="word('upkeep-left-at', { tag: item.tag })"
        as="torque"
        :least="0"
        :most="MOST_NM"
        :near="about"
        :usual="USUAL.torqueNm"
      />
      <p v-for="finding in findings" :key="finding.code" class="finding" role="status">
        {{ job.t(finding) }}
      </p>
    </template>
    <ChipChoice
      v-model="row.good"
      :options="readingsSay ? GOOD.slice(1) : GOOD"
      :label="word('upkeep-how-is', { tag: item.tag })"
    />
    <ElInput
      v-if="row.good === 'no'"
      v-model="row.says"
      size="large"
      maxlength="200"
      :placeholder="word('upkeep-what-is-wrong')"
      :aria-label="word('upkeep-what-is-wrong')"
    />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding: 8px 0 12px;
  border-top: 1px solid var(--line);
}
.finding {
  color: var(--wet-ink);
}
.finding::before {
  content: '▲ ';
}
</style>
