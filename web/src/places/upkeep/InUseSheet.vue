<script setup lang="ts">
import { type Section, inUseEntry, inUseFaults, inUseNotes } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref, watch } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { dayText } from '../../when'
import { word } from '../../words/word'

/** Since when a section is in use: from that day on its joints and devices ask to be looked after. */
const props = defineProps<{ section: Section; todayOn: string }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const view = useView()
const before = computed(() => job.state.upkeep.get(props.section.id)?.inUseOn ?? null)
const on = ref(before.value ?? props.todayOn)
const faults = ref<readonly string[]>([])
watch(on, () => (faults.value = []))
const notes = computed(() => inUseNotes(job.state, props.section).map((note) => job.t(note)))
async function put(fromOn: string | null): Promise<void> {
  faults.value =
    fromOn === null
      ? []
      : inUseFaults(job.state, props.section, view.facts, fromOn, props.todayOn).map((fault) => job.t(fault))
  if (faults.value.length) return
  const tag = props.section.tag
  await job.write(
    [inUseEntry(props.section.id, fromOn)],
    fromOn ? word('upkeep-used-now', { tag, day: dayText(fromOn) }) : word('upkeep-unused-now', { tag }),
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="word('upkeep-use-of', { tag: section.tag })" @close="emit('close')">
    <p v-for="note in notes" :key="note" class="note">{{ note }}</p>
    <label for="use-on">{{ word('upkeep-since') }}</label>
    <ElInput id="use-on" v-model="on" size="large" placeholder="2026-11-27" maxlength="10" />
    <p v-for="fault in faults" :key="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="button" class="button main" @click="put(on.trim())">{{ word('upkeep-is-in-use') }}</button>
    <button v-if="before" type="button" class="button" @click="put(null)">
      {{ word('upkeep-out-of-use') }}
    </button>
  </Sheet>
</template>

<style scoped src="./sheet.css"></style>
