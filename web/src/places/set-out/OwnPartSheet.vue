<script setup lang="ts">
import { ENDS_OF, FORMS, type OwnPart, type OwnTakeOff, USUAL, allMethods, ownPartFault } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref, watch } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import QuantityField from '../../frame/QuantityField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { useParts } from '../../stores/parts'
import { word } from '../../words/word'
import DrawSign from './DrawSign.vue'

/** A fitting of the house's own: its name, how it lies in a line, its ends, take-offs and sign. */
const props = defineProps<{ part: OwnPart | null }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const parts = useParts()
const LONGEST_MM = 5000
type Row = Omit<OwnTakeOff, 'mm'> & { mm: number | null }
const own = reactive({
  name: props.part?.name ?? '',
  form: props.part?.form ?? ('through' as OwnPart['form']),
  turn: String(props.part?.turnDeg ?? ''),
  ends: [...(props.part?.ends ?? ['usual', 'usual'])],
  shapes: [...(props.part?.shapes ?? [])] as OwnPart['shapes'],
  takeOffs: (props.part?.takeOffs ?? []).map((one): Row => ({ ...one })),
})
const FORM_WORDS = FORMS.map((form) => [form, word('own-form-is', { form })] as const)
/** Words for what an end may be, in the school of the job. */
const kinds = computed(() => {
  const school = job.state.job.school
  const said = allMethods().flatMap(({ ends }) =>
    ends.flatMap((end) => (end.school && end.school !== school ? [] : end.said.slice(0, 1))),
  )
  return ['usual', ...new Set(said)]
})
const SHUT = ['closed', 'open', 'hose'] as const
function setForm(form: OwnPart['form'] | null): void {
  if (!form) return
  own.form = form
  own.ends = Array.from({ length: ENDS_OF[form] }, (_, at) => {
    if (form === 'end' && at === 1) return 'closed'
    const was = own.ends[at] ?? 'usual'
    return (SHUT as readonly string[]).includes(was) ? 'usual' : was
  })
  own.takeOffs = own.takeOffs.filter(({ end }) => end < ENDS_OF[form])
}
const tried = ref(false)
const fault = ref('')
const busy = ref(false)
// What was wrong is being mended: it is said again where it still is.
watch(own, () => (fault.value = ''))
async function save(): Promise<void> {
  tried.value = true
  fault.value = ''
  if (own.takeOffs.some(({ mm }) => mm === null || Number.isNaN(mm))) return
  const turnDeg = own.form === 'turn' ? Number(own.turn.replace(',', '.')) : undefined
  const part: OwnPart = {
    name: own.name.trim().toLowerCase(),
    form: own.form,
    ...(turnDeg !== undefined && turnDeg > 0 && turnDeg < 180 ? { turnDeg } : {}),
    ends: own.ends,
    shapes: own.shapes,
    takeOffs: own.takeOffs.map((row) => ({ ...row, size: row.size.trim(), mm: row.mm ?? 0 })),
  }
  const wrong = ownPartFault(part)
  if (wrong) return void (fault.value = job.t(wrong.says))
  if (part.name !== props.part?.name && parts.house.some(({ name }) => name === part.name))
    return void (fault.value = word('own-name-in-list', { name: part.name }))
  busy.value = true
  try {
    await parts.put([part])
    // One that was given another name stands under the new one alone.
    if (props.part && props.part.name !== part.name) await parts.drop(props.part.name)
    emit('close')
  } catch (error) {
    fault.value = (error as Error).message
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <Sheet :title="word('own-title', { name: part?.name ?? '' })" @close="emit('close')">
    <label for="own-name">{{ word('own-called') }}</label>
    <ElInput
      id="own-name"
      v-model="own.name"
      size="large"
      :placeholder="word('own-example')"
      maxlength="40"
    />
    <ChipChoice
      :model-value="own.form"
      :label="word('own-how-it-lies')"
      :options="FORM_WORDS"
      @update:model-value="setForm"
    />
    <template v-if="own.form === 'turn'">
      <label for="own-turn">{{ word('own-turns') }}</label>
      <ElInput id="own-turn" v-model="own.turn" size="large" inputmode="decimal" />
    </template>
    <div class="ends">
      <label v-for="(_, at) in own.ends" :key="at">
        {{ word('own-end', { at: String(at) }) }}
        <select v-model="own.ends[at]" class="plain" :aria-label="word('own-end', { at: String(at) })">
          <option v-for="kind in own.form === 'end' && at === 1 ? SHUT : kinds" :key="kind" :value="kind">
            {{ kind === 'usual' ? word('own-usual') : kind }}
          </option>
        </select>
      </label>
    </div>
    <h3>{{ word('own-sign') }}</h3>
    <DrawSign v-model="own.shapes" />
    <h3>{{ word('set-out-take-off') }}</h3>
    <p class="why">{{ word('own-take-offs-say') }}</p>
    <div v-for="(row, at) in own.takeOffs" :key="at" class="row">
      <label
        >{{ word('own-which') }}
        <select v-model="row.end" class="plain" :aria-label="word('own-which')">
          <option v-for="(_, number) in own.ends" :key="number" :value="number">
            {{ word('own-end', { at: String(number) }) }}
          </option>
        </select></label
      >
      <label
        >{{ word('ui-size') }}
        <ElInput
          v-model="row.size"
          size="large"
          :placeholder="job.state.job.school === 'inch' ? 'NPS 2' : 'd63'"
      /></label>
      <QuantityField
        v-model="row.mm"
        :label="word('set-out-fitting-centre-to-the')"
        as="length"
        :least="0"
        :most="LONGEST_MM"
        :usual="USUAL.takeOff"
        :missing="tried"
      />
      <label
        >{{ word('set-out-measured-to') }}
        <select v-model="row.to" class="plain" :aria-label="word('set-out-measured-to')">
          <option value="face">{{ word('set-out-face') }}</option>
          <option value="stop">{{ word('set-out-stop-2') }}</option>
        </select></label
      >
      <button type="button" class="button small" @click="own.takeOffs.splice(at, 1)">
        {{ word('own-row-away') }}
      </button>
    </div>
    <button
      type="button"
      class="button small"
      @click="own.takeOffs.push({ end: 0, size: own.takeOffs.at(-1)?.size ?? '', mm: null, to: 'face' })"
    >
      {{ word('own-another-take-off') }}
    </button>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button class="button main" type="button" :disabled="busy" @click="save">{{ word('own-keep') }}</button>
  </Sheet>
</template>

<style scoped>
.ends,
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: end;
}
.ends label,
.row label {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
</style>
