<script setup lang="ts">
import { USUAL, type Line } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import QuantityField from '../../frame/QuantityField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

const props = defineProps<{ line: Line; jointIds: string[] }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
/** What is usual in this job stands there already, to be seen and changed. */
const usual = job.state.job.usual ?? {}
const typed = reactive({
  tag: `${props.line.tag}-A`,
  hold: usual.holdS === undefined ? '60' : String(usual.holdS / 60),
})
const given = reactive<Record<'working' | 'test' | 'drop', number | null>>({
  working: usual.workingBar ?? null,
  test: usual.testBar ?? null,
  drop: usual.allowedDropBar ?? null,
})
const FIELDS = [
  ['working', word('set-out-working-pressure'), 0],
  ['test', word('ui-test-pressure'), 0.001],
  ['drop', word('set-out-fall-allowed-over-the'), 0],
] as const
const tried = ref(false)
const missing = ref('')
const holdMin = computed(() => Number(typed.hold.trim().replace(',', '.')))
const holdWrong = computed(() => !typed.hold.trim() || !(holdMin.value > 0 && holdMin.value <= 14_400))
async function save(): Promise<void> {
  tried.value = true
  missing.value = typed.tag.trim() ? '' : word('set-out-the-section-needs-a')
  const [workingBar, testBar, allowedDropBar] = [given.working, given.test, given.drop]
  const open = [workingBar, testBar, allowedDropBar].some((v) => v === null || Number.isNaN(v))
  if (open || holdWrong.value || missing.value) return
  const sectionId = crypto.randomUUID()
  await job.write(
    [
      {
        kind: 'section-set',
        data: {
          sectionId,
          tag: typed.tag.trim(),
          jointIds: props.jointIds,
          workingBar,
          testBar,
          holdS: holdMin.value * 60,
          allowedDropBar,
          ratingBar: props.line.ratingBar,
        },
      },
      { kind: 'section-state', data: { sectionId, state: 'drained' } },
    ],
    word('set-out-is-painted', { tag: typed.tag }),
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="word('set-out-paint-a-test-section')" @close="emit('close')">
    <p class="why">
      {{ word('set-out-all-joints-of-lie', { jointIds: jointIds.length, tag: line.tag }) }}
    </p>
    <label for="section-tag">{{ word('ui-name') }}</label>
    <ElInput id="section-tag" v-model="typed.tag" size="large" />
    <p v-if="missing" class="refusal" role="alert">{{ missing }}</p>
    <QuantityField
      v-for="[key, label, least] in FIELDS"
      :key="key"
      v-model="given[key]"
      :label="label"
      as="pressure"
      :usual="key === 'drop' ? USUAL.fall : USUAL.linePressure"
      :least="least"
      :most="1000"
      :missing="tried"
    />
    <label for="section-hold">{{ word('ui-hold-minutes') }}</label>
    <ElInput id="section-hold" v-model="typed.hold" size="large" inputmode="decimal" />
    <p v-if="tried && holdWrong" class="refusal" role="alert">{{ word('set-out-say-how-many-minutes') }}</p>
    <button class="button main" type="button" @click="save">{{ word('set-out-paint-it') }}</button>
  </Sheet>
</template>
