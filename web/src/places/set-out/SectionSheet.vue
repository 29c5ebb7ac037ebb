<script setup lang="ts">
import type { Line } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { reactive, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'

const props = defineProps<{ line: Line; jointIds: string[] }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const typed = reactive({ tag: `${props.line.tag}-A`, working: '', test: '', hold: '60', drop: '' })
const faults = reactive<Record<string, string>>({})
const FIELDS = [
  ['working', 'Working pressure, bar'],
  ['test', 'Test pressure, bar'],
  ['hold', 'Hold, minutes'],
  ['drop', 'Fall allowed over the hold, bar'],
] as const
const missing = ref('')
function read(key: 'working' | 'test' | 'hold' | 'drop'): number {
  const n = Number(typed[key].trim().replace(',', '.'))
  delete faults[key]
  const least = key === 'drop' || key === 'working' ? 0 : Number.MIN_VALUE
  if (!typed[key].trim() || !Number.isFinite(n) || n < least || n > (key === 'hold' ? 14400 : 1000))
    faults[key] = 'A number is needed here.'
  return n
}
async function save(): Promise<void> {
  const [workingBar, testBar, hold, allowedDropBar] = [
    read('working'),
    read('test'),
    read('hold'),
    read('drop'),
  ]
  missing.value = typed.tag.trim() ? '' : 'The section needs a name.'
  if (Object.keys(faults).length || missing.value) return
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
          holdS: hold * 60,
          allowedDropBar,
          ratingBar: props.line.ratingBar,
        },
      },
      { kind: 'section-state', data: { sectionId, state: 'drained' } },
    ],
    `${typed.tag} is painted.`,
  )
  emit('close')
}
</script>

<template>
  <Sheet title="Paint a test section" @close="emit('close')">
    <p class="why">
      All {{ jointIds.length }} joints of {{ line.tag }} lie inside. Pressures by your test rule, local code
      or engineer.
    </p>
    <label for="section-tag">Name</label>
    <ElInput id="section-tag" v-model="typed.tag" size="large" />
    <p v-if="missing" class="refusal" role="alert">{{ missing }}</p>
    <template v-for="[key, label] in FIELDS" :key="key">
      <label :for="`section-${key}`">{{ label }}</label>
      <ElInput :id="`section-${key}`" v-model="typed[key]" size="large" inputmode="decimal" />
      <p v-if="faults[key]" class="refusal" role="alert">{{ faults[key] }}</p>
    </template>
    <button class="button main" type="button" @click="save">Paint it</button>
  </Sheet>
</template>
