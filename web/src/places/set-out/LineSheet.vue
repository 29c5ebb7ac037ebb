<script setup lang="ts">
import { type As, USUAL, allMethods, lineSeriesChoices } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref, watch } from 'vue'
import { askedFields } from '../../asked-fields'
import QuantityField from '../../frame/QuantityField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { named, word } from '../../words/word'
import ListField from '../../frame/ListField.vue'

const emit = defineEmits<{ close: []; made: [id: string] }>()
const job = useJob()
const methods = allMethods()
const placeId = [...job.state.places.keys()][0] ?? crypto.randomUUID()
const typed = reactive({
  tag: '',
  name: '',
  method: methods[0]?.id ?? '',
  material: job.state.job.school === 'inch' ? 'pvc' : 'pvc-u',
})
const series = ref<string | null>(null)
const ratingBar = ref<number | null>(null)
const materials = computed(
  () => methods.find((m) => m.id === typed.method)?.fields.find((f) => f.key === 'material')?.options ?? [],
)
/** Walls this pipe is made with; the usual one stands until another is chosen. */
const walls = computed(() => lineSeriesChoices(typed.method, typed.material, job.state.job.school))
watch(walls, (all) => (series.value = all[0] ?? null), { immediate: true })
/** Sockets of inch plastic go by the schedule; pipe by ratio goes into those of Sch 40. */
const schedule = computed(() =>
  job.state.job.school === 'inch' &&
  methods.find((m) => m.id === typed.method)?.fields.some((f) => f.key === 'schedule')
    ? series.value === 'Sch 80'
      ? '80'
      : '40'
    : null,
)
/** What this method asks besides: its own fields, each with its choices. */
const asked = computed(() => askedFields(typed.method))
const details = reactive<Record<string, string>>({})
const measured = reactive<Record<string, number | null>>({})
/** How a field with a unit is typed; the others are plain numbers. */
const AS: Readonly<Record<string, As>> = { mm: 'length', Nm: 'torque', C: 'temperature', bar: 'pressure' }
/** What is usual of them: beyond it the other system's unit is asked about. */
const USUAL_OF: Readonly<Record<string, readonly [number, number]>> = {
  mm: USUAL.movement,
  Nm: USUAL.torqueNm,
}
function detailsTyped(): Record<string, unknown> {
  const out: Record<string, unknown> = {}
  for (const field of asked.value) {
    const quantity = measured[field.key]
    if (AS[field.unit ?? ''] && !field.options) {
      if (quantity != null) out[field.key] = quantity
      continue
    }
    const value = (details[field.key] ?? '').trim()
    if (!value) continue
    out[field.key] = field.options
      ? value
      : field.control === 'yes-no'
        ? value === 'yes'
        : Number(value.replace(',', '.'))
  }
  return out
}
watch(
  () => typed.method,
  () => {
    typed.material = materials.value[0] ?? ''
  },
)
const fault = ref('')
async function save(): Promise<void> {
  const tag = typed.tag.trim()
  if (!/^[A-Za-z0-9]{1,12}$/.test(tag)) return void (fault.value = word('set-out-a-line-needs-a'))
  if ([ratingBar.value, ...Object.values(measured)].some((v) => Number.isNaN(v)))
    return void (fault.value = word('ui-one-figure-above-cant'))
  fault.value = ''
  const more = detailsTyped()
  const method = methods.find((m) => m.id === typed.method)
  // Tried on a size that is made, since the line has none yet: what is asked besides must be answered well.
  const read = method?.parse({
    ...more,
    ...typed,
    schedule: schedule.value,
    size: method.sizes(typed.material)[0],
    school: job.state.job.school,
    checkOffsetMm: job.state.job.checkOffsetMm,
  })
  const wrong =
    read?.ok === false ? read.errors.find((e) => asked.value.some((f) => f.key === e.field)) : null
  if (wrong) return void (fault.value = job.t(wrong))
  const lineId = crypto.randomUUID()
  await job.write(
    [
      ...(job.state.places.size ? [] : [{ kind: 'place-set', data: { placeId, name: word('ui-on-site') } }]),
      {
        kind: 'line-set',
        data: {
          lineId,
          tag,
          name: typed.name.trim() || tag,
          method: typed.method,
          material: typed.material,
          school: job.state.job.school,
          schedule: schedule.value,
          ...(series.value ? { series: series.value } : {}),
          ...(Object.keys(more).length ? { details: more } : {}),
          placeId,
          ratingBar: ratingBar.value,
        },
      },
    ],
    word('set-out-is-begun', { tag }),
  )
  emit('made', lineId)
  emit('close')
}
</script>

<template>
  <!-- Lists stay inside the sheet: a modal dialog lies above whatever is attached to the body. -->
  <Sheet :title="word('set-out-a-new-line')" @close="emit('close')">
    <label for="line-tag">{{ word('set-out-tag') }}</label>
    <ElInput id="line-tag" v-model="typed.tag" size="large" placeholder="Q2" />
    <label for="line-name">{{ word('set-out-what-it-carries') }}</label>
    <ElInput
      id="line-name"
      v-model="typed.name"
      size="large"
      :placeholder="word('set-out-quarantine-loop-seawater')"
    />
    <ListField
      id="line-method"
      v-model="typed.method"
      :label="word('ui-joined-by')"
      :options="methods.map((m) => [m.id, job.t(m.name)] as const)"
    />
    <ListField
      id="line-material"
      v-model="typed.material"
      :label="word('ui-material')"
      :options="materials.map((m) => [m, named(m)] as const)"
    />
    <ListField
      v-if="walls.length > 1"
      id="line-series"
      v-model="series"
      :label="word('ui-wall')"
      :options="
        walls.map(
          (s, i) => [s, i ? named(s) : word('set-out-where-nobody-says-otherwise', { s: named(s) })] as const,
        )
      "
    />
    <template v-for="f in asked" :key="f.key">
      <QuantityField
        v-if="AS[f.unit ?? ''] && !f.options"
        :model-value="measured[f.key] ?? null"
        @update:model-value="(v) => (measured[f.key] = v)"
        :label="job.t(f.label)"
        :as="AS[f.unit ?? '']!"
        :least="f.min"
        :most="f.max"
        :usual="USUAL_OF[f.unit ?? '']"
      />
      <ListField
        v-else-if="f.options || f.control === 'yes-no'"
        :id="`line-${f.key}`"
        v-model="details[f.key]"
        clearable
        :label="job.t(f.label)"
        :options="(f.options ?? ['yes', 'no']).map((o) => [o, named(o)] as const)"
        :placeholder="word('ui-not-said')"
      />
      <template v-else>
        <label :for="`line-${f.key}`">{{ job.t(f.label) }}</label>
        <ElInput
          :id="`line-${f.key}`"
          v-model="details[f.key]"
          size="large"
          inputmode="decimal"
          :placeholder="word('ui-not-known')"
        />
      </template>
    </template>
    <QuantityField
      v-model="ratingBar"
      :label="word('set-out-rating-of-its-weakest')"
      as="pressure"
      :usual="USUAL.linePressure"
      :least="0.001"
      :most="1000"
    />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button class="button main" type="button" @click="save">{{ word('set-out-begin-the-line') }}</button>
  </Sheet>
</template>
