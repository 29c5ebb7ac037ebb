<script setup lang="ts">
import {
  DEVICE_KINDS,
  type DeviceKind,
  type Section,
  deviceEntry,
  deviceFaults,
  devicesCares,
} from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref, watch } from 'vue'
import ListField from '../../frame/ListField.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { capital, listed, named, told, word } from '../../words/word'

/** Something a section carries that is looked after whatever its joints are: a relief valve, a backflow preventer. */
const props = defineProps<{ section: Section; deviceId: string | null }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const known = computed(() =>
  job.state.upkeep.get(props.section.id)?.devices.find(({ id }) => id === props.deviceId),
)
const kind = ref<DeviceKind | '' | null>(known.value?.kind ?? '')
const name = ref(known.value?.name ?? '')
const fault = ref('')
watch([kind, name], () => (fault.value = ''))
const KINDS = DEVICE_KINDS.map((one) => [one, capital(named(one))] as const)
const id = props.deviceId ?? crypto.randomUUID()
/** What will be asked for, before anybody puts it in. */
const asks = computed(() =>
  kind.value
    ? listed(
        devicesCares(kind.value, job.state.job.school).map(({ does, due }) =>
          word('upkeep-asks', { does: told(does), months: due.by === 'months' ? due.months : 0 }),
        ),
        4,
      )
    : '',
)
async function keep(gone: boolean): Promise<void> {
  if (!kind.value) return void (fault.value = word('upkeep-which-kind'))
  const [wrong] = gone ? [] : deviceFaults(job.state, props.section.id, name.value, id)
  if (wrong) return void (fault.value = job.t(wrong))
  await job.write(
    [deviceEntry(props.section.id, { id, kind: kind.value, name: name.value }, gone)],
    word(gone ? 'upkeep-device-gone' : 'upkeep-device-kept', { name: name.value.trim() }),
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="word('upkeep-device-of', { tag: section.tag })" @close="emit('close')">
    <ListField id="device-kind" v-model="kind" :label="word('upkeep-kind')" :options="KINDS" />
    <p v-if="asks" class="why">{{ asks }}</p>
    <label for="device-name">{{ word('upkeep-name') }}</label>
    <ElInput id="device-name" v-model="name" size="large" maxlength="60" />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="button" class="button main" @click="keep(false)">{{ word('upkeep-keep') }}</button>
    <button v-if="known" type="button" class="button" @click="keep(true)">
      {{ word('upkeep-take-out') }}
    </button>
  </Sheet>
</template>

<style scoped src="./sheet.css"></style>
