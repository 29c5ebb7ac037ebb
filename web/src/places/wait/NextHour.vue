<script setup lang="ts">
import type { SectionAnswer } from '@jugalis/core'
import { computed } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { when } from '../../when'
import { word } from '../../words/word'

/** What changes next: the coming hour, or the next few changes where the hour is empty. */
const props = defineProps<{ answer: SectionAnswer }>()
const job = useJob()
const clock = useClock()
const HOUR_S = 3600
const changes = computed(() =>
  props.answer.joints
    .flatMap((joint) => [
      ...(joint.facts.homeAtS !== null && joint.facts.movable.value !== null
        ? [{ atS: joint.facts.movable.value, tag: joint.facts.tag, says: word('wait-may-be-moved-with') }]
        : []),
      ...(joint.readyAtS !== null
        ? [
            {
              atS: joint.readyAtS,
              tag: joint.facts.tag,
              says: word('wait-may-take-2', { testBar: props.answer.section.testBar }),
            },
          ]
        : []),
    ])
    .filter((c) => c.atS > clock.nowS)
    .sort((a, b) => a.atS - b.atS),
)
const soon = computed(() => changes.value.filter((c) => c.atS < clock.nowS + HOUR_S))
const shown = computed(() => (soon.value.length ? soon.value : changes.value).slice(0, 6))
</script>

<template>
  <section>
    <h2>{{ soon.length ? word('wait-next-hour') : word('wait-next') }}</h2>
    <p v-if="!shown.length" class="why">{{ word('wait-nothing-more-will-change') }}</p>
    <ul v-else>
      <li v-for="c in shown" :key="`${c.tag}${c.says}`">
        <span class="at">{{ when(c.atS, clock.nowS, job.state.job.zone) }}</span> <strong>{{ c.tag }}</strong>
        {{ c.says }}
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}
li {
  padding: 5px 0;
}
.at {
  display: inline-block;
  min-width: 128px;
  font: 500 18px var(--figures);
}
</style>
