<script setup lang="ts">
import type { Clock, Done } from '@jugalis/core'
import { computed } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { hhmmss } from '../../when'

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
    'Time corrected; both times are kept.',
  )
  emit('close')
}
</script>

<template>
  <Sheet
    :title="`Limit ${hhmmss(limitS, zone)}, tapped ${hhmmss(done.latestS, zone)}`"
    @close="emit('close')"
  >
    <p class="strong">When was it really done?</p>
    <div class="chips">
      <button
        v-for="s in BEFORE"
        :key="s"
        type="button"
        class="button"
        @click="say(done.latestS - s, `hands were on the pipe; done ${s} s before the tap`)"
      >
        {{ s }} s before I tapped
      </button>
      <button type="button" class="button stop" @click="emit('close')">When I tapped: too late</button>
    </div>
  </Sheet>
</template>
