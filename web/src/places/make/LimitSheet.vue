<script setup lang="ts">
import type { Clock, Done } from '@jugalis/core'
import { computed } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { hhmmss } from '../../when'
import { word } from '../../words/word'

/** Tapped just after a limit, when hands were on the pipe: asked, not judged. Both times stay in the record. */
const props = defineProps<{ clock: Clock; done: Done }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const time = useClock()
const zone = computed(() => job.state.job.zone)
const limitS = computed(() => props.clock.untilS.value ?? 0)
const BEFORE = [5, 15, 30, 45] as const
async function say(atS: number, reason: string): Promise<void> {
  await job.write(
    [
      {
        kind: 'correction',
        data: { target: props.done.eventId, undo: false, atS: atS - time.offsetS, reason },
      },
    ],
    word('make-time-corrected-both-times'),
  )
  emit('close')
}
</script>

<template>
  <Sheet
    :title="word('make-limit-tapped', { limit: hhmmss(limitS, zone), tapped: hhmmss(done.latestS, zone) })"
    @close="emit('close')"
  >
    <p class="strong">{{ word('make-when-was-it-really') }}</p>
    <div class="chips">
      <button
        v-for="s in BEFORE"
        :key="s"
        type="button"
        class="button"
        @click="say(done.latestS - s, word('make-hands-were-on-the', { s }))"
      >
        {{ word('make-s-before-i-tapped', { s }) }}
      </button>
      <button type="button" class="button stop" @click="emit('close')">
        {{ word('make-when-i-tapped-too') }}
      </button>
    </div>
  </Sheet>
</template>
