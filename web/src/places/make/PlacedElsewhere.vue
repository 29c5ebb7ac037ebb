<script setup lang="ts">
import { type JointFacts, jointPlaces } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import ListField from '../../frame/ListField.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useTimeThatWas } from '../../time-that-was'
import { word } from '../../words/word'

/** A joint that was made in one place and lies in another: from then on it cures in the air of that one. */
const props = defineProps<{ facts: JointFacts }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const clock = useClock()
/** Where it lies by the log: as last said, else where its line runs. */
const here = computed(() => {
  const said = [...(job.state.joints.get(props.facts.id)?.placements ?? [])]
  said.sort((one, other) => one.fromS - other.fromS)
  return said.at(-1)?.placeId ?? jointPlaces(job.state).get(props.facts.id)?.line.placeId ?? ''
})
const places = computed(() => [...job.state.places])
const typed = reactive({ placeId: here.value, since: '' })
const fault = ref('')
const timeThatWas = useTimeThatWas()
async function save(): Promise<void> {
  const fromS = timeThatWas(typed.since)
  if (fromS === null) return void (fault.value = word('ui-no-time-that-was'))
  fault.value = ''
  const { placeId } = typed
  await job.write(
    [
      {
        kind: 'joint-placed',
        jointId: props.facts.id,
        data: { placeId, fromS: fromS ?? clock.nowS - clock.offsetS },
      },
    ],
    word('make-lies-in', { tag: props.facts.tag, place: job.state.places.get(placeId) ?? '' }),
  )
  emit('close')
}
</script>

<template>
  <form v-if="places.length > 1" class="elsewhere" @submit.prevent="save">
    <h2>{{ word('make-it-lies-elsewhere') }}</h2>
    <p class="why">{{ word('make-it-cures-in-that-air') }}</p>
    <ListField id="placed-in" v-model="typed.placeId" :label="word('make-it-lies-in')" :options="places" />
    <label for="placed-since">{{ word('make-since-empty-now') }}</label>
    <ElInput id="placed-since" v-model="typed.since" size="large" placeholder="07:30" />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="submit" class="button" :disabled="typed.placeId === here">
      {{ word('make-write-that-down') }}
    </button>
  </form>
</template>

<style scoped>
.elsewhere {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 8px;
  border-top: 1.5px solid var(--edge);
  margin-top: 8px;
  padding-top: 10px;
}
.elsewhere label {
  font-weight: 600;
}
.elsewhere :deep(.el-select),
.elsewhere :deep(.el-input) {
  width: min(100%, 340px);
}
.elsewhere .button {
  min-height: 56px;
}
</style>
