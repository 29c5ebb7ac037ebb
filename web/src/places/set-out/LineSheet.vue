<script setup lang="ts">
import { type Line, type LineChange, USUAL, lineChange } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref, watch } from 'vue'
import ListField from '../../frame/ListField.vue'
import QuantityField from '../../frame/QuantityField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { named, word } from '../../words/word'
import AskedFields from './AskedFields.vue'
import { useLineForm } from './use-line-form'

/** A new line, or one that is changed: then what the change comes to is said before it is made. */
const props = defineProps<{ line: Line | null }>()
const emit = defineEmits<{ close: []; made: [id: string] }>()
const job = useJob()
const form = useLineForm(props.line)
const { typed, placeId, series, ratingBar, materials, walls, asked } = form
const places = computed(() => [...job.state.places])
const fault = ref('')
/** What the change would touch, once it was asked for; typed anew it is asked again. */
const touched = ref<LineChange | null>(null)
watch([typed, placeId, series, ratingBar, asked.texts, asked.quantities], () => (touched.value = null), {
  deep: true,
})
const comesTo = computed(() => {
  const change = touched.value
  if (!change) return []
  return [
    ...(change.anew ? [word('set-out-change-anew', { joints: change.anew })] : []),
    ...(change.keep.length ? [word('set-out-change-keep', { list: change.keep.join(', ') })] : []),
    ...(change.recut.length ? [word('set-out-change-recut', { list: change.recut.join(', ') })] : []),
    ...(change.proved.length ? [word('set-out-change-proved', { list: change.proved.join(', ') })] : []),
  ]
})
async function save(): Promise<void> {
  const read = form.read()
  fault.value = 'fault' in read ? read.fault : ''
  if (!('head' in read)) return
  const { line } = props
  if (line && !touched.value) {
    const change = lineChange(job.state, line, read.head)
    if (change.wrong) return void (fault.value = job.t(change.wrong))
    touched.value = change
    if (comesTo.value.length) return
  }
  const lineId = line?.id ?? crypto.randomUUID()
  const { details, ...head } = read.head
  await job.write(
    [
      ...(job.state.places.size
        ? []
        : [{ kind: 'place-set', data: { placeId: placeId.value, name: word('ui-on-site') } }]),
      {
        kind: line ? 'line-changed' : 'line-set',
        data: { lineId, ...head, ...(Object.keys(details).length ? { details } : {}) },
      },
    ],
    word(line ? 'set-out-line-changed' : 'set-out-is-begun', { tag: head.tag }),
  )
  emit('made', lineId)
  emit('close')
}
</script>

<template>
  <!-- Lists stay inside the sheet: a modal dialog lies above whatever is attached to the body. -->
  <Sheet
    :title="line ? word('set-out-change-line', { tag: line.tag }) : word('set-out-a-new-line')"
    @close="emit('close')"
  >
    <template v-if="!line">
      <label for="line-tag">{{ word('set-out-tag') }}</label>
      <ElInput id="line-tag" v-model="typed.tag" size="large" placeholder="Q2" />
    </template>
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
      :options="form.methods.map((m) => [m.id, job.t(m.name)] as const)"
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
    <AskedFields :asked="asked" id-stem="line" />
    <ListField
      v-if="line && places.length > 1"
      id="line-place"
      v-model="placeId"
      :label="word('set-out-where-it-runs')"
      :options="places"
    />
    <QuantityField
      v-model="ratingBar"
      :label="word('set-out-rating-of-its-weakest')"
      as="pressure"
      :usual="USUAL.linePressure"
      :least="0.001"
      :most="1000"
    />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <div v-if="comesTo.length" class="doubt" role="alert">
      <p v-for="says in comesTo" :key="says">{{ says }}</p>
    </div>
    <button class="button main" type="button" @click="save">
      {{
        line
          ? word(comesTo.length ? 'set-out-change-it-so' : 'set-out-change-the-line-now')
          : word('set-out-begin-the-line')
      }}
    </button>
  </Sheet>
</template>

<style scoped>
.doubt p {
  margin: 0 0 6px;
}
</style>
