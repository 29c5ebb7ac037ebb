<script setup lang="ts">
import { DIRECTIONS, levelText } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import QuantityField from '../../frame/QuantityField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** Places in the building that were measured: what lines begin at and come to. */
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const points = computed(() => [...job.state.points.values()])
const typed = reactive({ name: '', heading: '' })
const given = reactive<Record<'east' | 'north' | 'level', number | null>>({
  east: null,
  north: null,
  level: null,
})
const FIELDS = [
  ['east', word('space-point-east')],
  ['north', word('space-point-north')],
  ['level', word('space-point-level')],
] as const
const FAR_MM = 1_000_000
const tried = ref(false)
const had = computed(() => points.value.find((p) => p.name.toLowerCase() === typed.name.trim().toLowerCase()))
const nameWrong = computed(() => !/^[\p{L}][\p{L}\p{N} _-]{0,23}$/u.test(typed.name.trim()))
async function keep(): Promise<void> {
  tried.value = true
  const atMm = [given.east, given.north, given.level]
  if (nameWrong.value || atMm.some((mm) => mm === null || Number.isNaN(mm))) return
  const name = typed.name.trim()
  await job.write(
    [
      {
        kind: 'point-set',
        data: {
          pointId: had.value?.id ?? crypto.randomUUID(),
          name,
          atMm,
          ...(!typed.heading ? {} : { heading: typed.heading }),
        },
      },
    ],
    word('space-point-kept', { name }),
  )
  Object.assign(typed, { name: '', heading: '' })
  Object.assign(given, { east: null, north: null, level: null })
  tried.value = false
}
const putAway = (id: string, name: string): Promise<string[]> =>
  job.write([{ kind: 'point-set', data: { pointId: id, name } }], word('space-point-put-away', { name }))
</script>

<template>
  <Sheet :title="word('space-points-of-the-job')" @close="emit('close')">
    <p class="why">{{ word('space-points-say') }}</p>
    <p v-if="!points.length" class="why">{{ word('space-no-points') }}</p>
    <p v-for="point in points" :key="point.id">
      {{
        word('space-point-is', {
          name: point.name,
          east: point.atMm[0],
          north: point.atMm[1],
          level: levelText(point.atMm[2], job.reader),
          heading: point.heading ?? '',
        })
      }}
      <button type="button" class="figure-link reach" @click="putAway(point.id, point.name)">
        {{ word('space-put-away') }}
      </button>
    </p>
    <label for="point-name">{{ word('space-point-name') }}</label>
    <ElInput id="point-name" v-model="typed.name" size="large" autocomplete="off" />
    <p v-if="tried && nameWrong" class="refusal" role="alert">{{ word('space-point-needs-a-name') }}</p>
    <QuantityField
      v-for="[key, label] in FIELDS"
      :key="key"
      v-model="given[key]"
      :label="label"
      as="distance"
      :least="-FAR_MM"
      :most="FAR_MM"
      :missing="tried"
    />
    <label for="point-heading">{{ word('space-point-heading') }}</label>
    <select id="point-heading" v-model="typed.heading" class="plain">
      <option v-for="name in ['', ...Object.keys(DIRECTIONS)]" :key="name" :value="name">
        {{ word('space-heading', { name }) }}
      </option>
    </select>
    <button class="button main" type="button" @click="keep">{{ word('space-keep-the-point') }}</button>
  </Sheet>
</template>
