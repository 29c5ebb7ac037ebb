<script setup lang="ts">
import { type LinesAsOne, jointPlaces, tagsOf } from '@jugalis/core'
import { ref, toRef } from 'vue'
import Sheet from '../frame/Sheet.vue'
import { saveFile } from '../save-file'
import { useClock } from '../stores/clock'
import { useJob } from '../stores/job'
import { useView } from '../view'
import { dated } from '../when'
import { word } from '../words/word'
import { useLook } from './use-space-view'

/** A line in space as a sheet of paper, in the size that lies in the printer. */
const props = defineProps<{ space: LinesAsOne }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const view = useView()
const clock = useClock()
const { look, writing } = useLook(toRef(props, 'space'))
const NAMES = ['a4', 'a3', 'letter'] as const
const busy = ref('')
const fault = ref('')
/** Glyphs of joints that nothing holds together yet. */
const OPEN: readonly string[] = ['planned', 'marked', 'prepared', 'window', 'cutout', 'failed']
async function save(sheet: (typeof NAMES)[number]): Promise<void> {
  busy.value = sheet
  fault.value = ''
  try {
    const { isometricPaper } = await import('../paper')
    const made = new Set(
      [...jointPlaces(job.state).keys()].filter(
        (id) => !OPEN.includes(view.looks.get(id)?.glyph ?? (OPEN[0] as string)),
      ),
    )
    const bytes = await isometricPaper({
      state: job.state,
      space: props.space,
      view: { name: look.value.view, turns: look.value.turns },
      scaled: look.value.scaled,
      writing: writing.value,
      reader: job.reader,
      made,
      sheet,
      on: dated(clock.nowS, job.state.job.zone),
    })
    saveFile(bytes as BlobPart, '', `${props.space.line.tag}-in-space-${sheet}.pdf`)
  } catch {
    fault.value = word('cut-this-could-not-be')
  } finally {
    busy.value = ''
  }
}
</script>

<template>
  <Sheet :title="word('space-paper-title', { tag: tagsOf(space) })" @close="emit('close')">
    <p class="why">{{ word('space-paper-says') }}</p>
    <button
      v-for="name in NAMES"
      :key="name"
      type="button"
      class="button"
      :disabled="busy !== ''"
      @click="save(name)"
    >
      {{ busy === name ? word('cut-making-it') : word('space-paper-sheet', { name }) }}
    </button>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
  </Sheet>
</template>
