<script setup lang="ts">
import { movedFrom } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { when } from '../../when'
import { word } from '../../words/word'
import type { Found } from './use-plan'

/** The plan that is followed, and what moved since: pinned with a tap, let go with another. */
const props = defineProps<{ found: Found }>()
const job = useJob()
const view = useView()
const MOST = 6
const pinned = computed(() => job.state.plan.pinned)
const at = (atS: number): string => when(atS, view.nowS, job.state.job.zone)
const moved = computed(() => (pinned.value ? movedFrom(pinned.value, props.found.plan.plan) : []))
const gap = computed(() => Math.round((props.found.plan.valueS ?? 0) - (pinned.value?.valueS ?? 0)))
const sameAim = computed(() => pinned.value?.aim === props.found.wish.aim)
const says = computed(() => {
  if (!pinned.value) return ''
  const by = word('plan-pinned-by', { at: at(pinned.value.atS), name: job.nameOf(pinned.value.by) })
  if (!moved.value.length) return `${by} ${word('plan-as-pinned')}`
  const how = word('plan-moved', { count: moved.value.length })
  if (!sameAim.value || Math.abs(gap.value) <= 60) return `${by} ${how}`
  const price =
    gap.value > 0
      ? word('plan-value-later', { gap: gap.value })
      : word('plan-value-sooner', { gap: -gap.value })
  return `${by} ${how} ${price}`
})
function pin(): void {
  const { plan, wish } = props.found
  void job.write(
    [
      {
        kind: 'plan-pinned',
        data: {
          aim: wish.aim,
          joints: plan.plan.map(({ id, startS, endS, people }) => ({
            jointId: id,
            startS,
            endS,
            crew: people,
          })),
          valueS: plan.valueS,
          boundS: plan.boundS,
        },
      },
    ],
    word('plan-followed'),
  )
}
function letGo(): void {
  const data = { aim: pinned.value?.aim ?? 'last', joints: [], valueS: 0, boundS: 0 }
  void job.write([{ kind: 'plan-pinned', data }], word('plan-let-go-said'))
}
</script>

<template>
  <section class="pinned">
    <template v-if="pinned">
      <p class="strong">{{ says }}</p>
      <ul v-if="moved.length">
        <li v-for="one in moved.slice(0, MOST)" :key="one.jointId">
          {{
            one.wasS === one.isS
              ? word('plan-moved-hands', { tag: view.tagOf(one.jointId), is: at(one.isS) })
              : word('plan-moved-one', { tag: view.tagOf(one.jointId), was: at(one.wasS), is: at(one.isS) })
          }}
        </li>
        <li v-if="moved.length > MOST">{{ word('plan-more', { count: moved.length - MOST }) }}</li>
      </ul>
    </template>
    <div class="buttons no-print">
      <button
        v-if="!pinned || moved.length"
        type="button"
        class="button"
        :class="{ main: !pinned }"
        @click="pin"
      >
        {{ pinned ? word('plan-pin-this') : word('plan-follow') }}
      </button>
      <button v-if="pinned" type="button" class="button" @click="letGo">{{ word('plan-let-go') }}</button>
    </div>
  </section>
</template>

<style scoped>
ul {
  margin: 4px 0 10px;
  padding-inline-start: 18px;
}
</style>
