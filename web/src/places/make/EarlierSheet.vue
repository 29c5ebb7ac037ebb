<script setup lang="ts">
import type { Done } from '@jugalis/core'
import { computed, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { hhmmss } from '../../when'
import { word } from '../../words/word'

/** Re-times the last step. A window that began earlier is free to say; an earlier dwell shortens a wait and wants a word. */
const props = defineProps<{ done: Done; startsDwell: boolean; notBeforeS: number | null }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const clock = useClock()
const CHIPS = [
  [10, '10 s'],
  [30, '30 s'],
  [60, '1 min'],
  [120, '2 min'],
  [300, '5 min'],
] as const
const REASONS = [word('make-hands-were-full'), word('make-tapped-late'), word('make-phone-was-away')]
const by = ref<number | null>(null)
/** A step cannot have been before the one it follows. */
const possible = (seconds: number): boolean =>
  props.notBeforeS === null || props.done.latestS - seconds >= props.notBeforeS
/** What another wrote is not moved but proposed to be, with why. */
const mine = computed(() => job.corrects(props.done.by))
const wantsWhy = computed(() => props.startsDwell || !mine.value)
async function choose(seconds: number): Promise<void> {
  by.value = seconds
  if (!wantsWhy.value) await save('')
}
async function save(reason: string): Promise<void> {
  if (by.value === null) return
  // Times inside an entry are on this device's clock.
  const atS = props.done.latestS - by.value - clock.offsetS
  const data = { target: props.done.eventId, undo: false, atS, reason }
  if (mine.value) await job.write([{ kind: 'correction', data }], word('make-time-corrected-both-times'))
  else await job.write([{ kind: 'correction-proposed', data }], word('make-wrong-proposed'))
  emit('close')
}
</script>

<template>
  <Sheet :title="word('make-how-much-earlier-was')" @close="emit('close')">
    <p class="why">
      {{ word('make-written-at-both-times', { at: hhmmss(done.latestS, job.state.job.zone) }) }}
    </p>
    <div class="chips">
      <button
        v-for="[s, says] in CHIPS"
        :key="s"
        type="button"
        class="button"
        :class="{ main: by === s }"
        :disabled="!possible(s)"
        @click="choose(s)"
      >
        {{ says }}
      </button>
    </div>
    <template v-if="by !== null && wantsWhy">
      <p v-if="startsDwell">{{ word('make-an-earlier-time-shortens') }}</p>
      <p v-if="!mine">{{ word('make-earlier-proposes', { name: job.nameOf(done.by) }) }}</p>
      <div class="chips">
        <button v-for="r in REASONS" :key="r" type="button" class="button" @click="save(r)">{{ r }}</button>
      </div>
    </template>
  </Sheet>
</template>

<style scoped>
.button {
  min-height: 56px;
  min-width: 92px;
}
</style>
