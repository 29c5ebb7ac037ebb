<script setup lang="ts">
import type { OnShelf } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'
import { MUST_NOT, standingSaid } from './use-store'

/** The shelf as it would look: tins, rings and tools side by side, each with a tape end as long as it has days left. */
const props = defineProps<{ shelf: readonly OnShelf[]; todayOn: string; chosenId: string | null }>()
const job = useJob()
const WIDE = 84
const HIGH = 124
const MOST = 40
/** A tape end that is drawn in full has this many days left, or more. */
const YEAR_DAYS = 365
const TAPE = 64
/** Between these a tin is filled. */
const LID = 20
const FLOOR = 86
const RINGS: ReadonlySet<string> = new Set(['gasket', 'coupling-gasket', 'fitting-seal', 'nut', 'clamp'])
const formOf = (on: OnShelf): 'tool' | 'ring' | 'tin' => {
  if (!on.item.lot) return 'tool'
  return RINGS.has(on.item.kind) ? 'ring' : 'tin'
}
const drawn = computed(() =>
  props.shelf.slice(0, MOST).map((on, at) => {
    const days = on.untilOn ? (Date.parse(on.untilOn) - Date.parse(props.todayOn)) / 86_400_000 : null
    return {
      on,
      at,
      form: formOf(on),
      bad: MUST_NOT.has(on.standing),
      empty: on.standing === 'empty',
      soon: on.standing === 'soon',
      tape: days === null ? null : Math.max(0, Math.min(1, (days + 1) / YEAR_DAYS)) * TAPE,
      fill: on.share === null ? null : LID + (1 - on.share) * (FLOOR - LID),
      name: on.item.name.length > 11 ? `${on.item.name.slice(0, 10)}…` : on.item.name,
    }
  }),
)
</script>

<template>
  <div class="shelf" role="list" :aria-label="word('shelf-drawn')" tabindex="0">
    <RouterLink
      v-for="{ on, form, bad, empty, soon, tape, fill, name } in drawn"
      :key="on.item.id"
      role="listitem"
      :to="{ name: 'store', params: { jobId: job.jobId, itemId: on.item.id } }"
      :aria-label="`${on.item.name}: ${standingSaid(on)}`"
      :class="{ bad, chosen: on.item.id === chosenId }"
      class="thing"
    >
      <svg :viewBox="`0 0 ${WIDE} ${HIGH}`" :width="WIDE" :height="HIGH" aria-hidden="true">
        <g v-if="form === 'tin'" :class="{ empty }">
          <path d="M14 20v66c0 5 12.500 9 28 9s28-4 28-9V20" class="body" :class="{ glass: fill !== null }" />
          <path
            v-if="fill !== null"
            :d="`M14 ${fill}V86c0 5 12.500 9 28 9s28-4 28-9V${fill}z`"
            class="body"
          />
          <ellipse cx="42" cy="20" rx="28" ry="8" class="lid" />
          <path d="M14 44c0 5 12.500 9 28 9s28-4 28-9v24c0 5-12.500 9-28 9s-28-4-28-9z" class="label" />
        </g>
        <g v-else-if="form === 'ring'" :class="{ empty }">
          <circle cx="42" cy="56" r="32" class="body" />
          <circle cx="42" cy="56" r="18" class="hole" />
        </g>
        <g v-else>
          <path d="M34 94V52h16v42z" class="body" />
          <path d="M22 20v22l12 12h16l12-12V20l-10 0v16h-20v-16z" class="body" />
        </g>
        <path v-if="bad" d="M10 92 74 22" class="barred" />
        <g v-if="tape !== null" class="tape">
          <rect x="10" y="101" :width="TAPE" height="7" class="case" />
          <rect v-if="tape" x="10" y="101" :width="tape" height="7" class="left" :class="{ soon }" />
          <path :d="`M${10 + tape} 98v13`" class="hook" />
        </g>
      </svg>
      <span class="name">{{ name }}</span>
    </RouterLink>
    <span v-if="shelf.length > MOST" class="more">{{ word('ui-more', { over: shelf.length - MOST }) }}</span>
  </div>
</template>

<style scoped>
.shelf {
  display: flex;
  gap: 2px;
  overflow-x: auto;
  padding: 4px 0 0;
  border-bottom: 5px solid var(--edge);
}
.thing {
  flex: none;
  width: 92px;
  padding: 4px;
  text-align: center;
  text-decoration: none;
  color: var(--ink);
}
.thing.chosen {
  outline: 3px solid var(--ink);
  outline-offset: -3px;
}
.name {
  display: block;
  font-weight: 600;
  white-space: nowrap;
}
.more {
  align-self: end;
  padding: 8px;
}
.body.glass {
  fill: var(--sheet);
}
.body {
  fill: var(--pipe);
  stroke: var(--ink);
  stroke-width: 2;
}
.lid,
.hole {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2;
}
.label {
  fill: var(--sheet);
  stroke: var(--ink);
}
.empty .body,
.empty .label {
  fill: none;
  stroke-dasharray: 5 4;
}
.barred {
  stroke: var(--stop-ink);
  stroke-width: 6;
}
.case {
  fill: none;
  stroke: var(--edge);
}
.left {
  fill: var(--tape);
  stroke: var(--ink);
}
.left.soon {
  fill: var(--wet);
}
.hook {
  stroke: var(--ink);
  stroke-width: 3;
}
</style>
