<script setup lang="ts">
import { type JointPlace, type Recalled, jointPlaces, shortTag, tagOrder } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import { useWidth } from '../../use-width'
import { word } from '../../words/word'

/** Where the joints that were found are: each line they stand in as a strip of its joints in order, those found filled. */
const props = defineProps<{ found: readonly Recalled[] }>()
const job = useJob()
const box = ref<HTMLElement>()
const width = useWidth(box)
const MOST_LINES = 8
const HIGH = 46
const PAD = 10
/** A tag wants so much room, px. */
const TAG = 44
const byLine = computed(() => {
  const lines = new Map<string, JointPlace[]>()
  for (const place of jointPlaces(job.state).values()) {
    const own = lines.get(place.line.id)
    if (own) own.push(place)
    else lines.set(place.line.id, [place])
  }
  return lines
})
const strips = computed(() => {
  const here = props.found.filter(({ cutOut }) => !cutOut)
  const hit = new Map(here.map((one) => [one.jointId, one]))
  return [...new Set(here.map(({ lineId }) => lineId))].flatMap((lineId) => {
    const all = byLine.value.get(lineId) ?? []
    const step = (width.value - 2 * PAD) / Math.max(1, all.length)
    let last = -Infinity
    const joints = all.map((place, at) => {
      const x = PAD + step * (at + 0.5)
      const own = hit.get(place.jointId)
      const named = own !== undefined && x - last >= TAG
      if (named) last = x
      return {
        id: place.jointId,
        x,
        found: own !== undefined,
        covered: own?.covered === true,
        tag: named ? shortTag(place.line.tag, place.tag) : '',
      }
    })
    return [
      { lineId, tag: all[0]?.line.tag ?? '', joints, count: joints.filter(({ found }) => found).length },
    ]
  })
})
const shown = computed(() =>
  [...strips.value].sort((one, other) => tagOrder(one.tag, other.tag)).slice(0, MOST_LINES),
)
</script>

<template>
  <div v-if="shown.length" ref="box" class="strips">
    <figure v-for="strip in shown" :key="strip.lineId">
      <figcaption>
        {{ word('shelf-strip', { tag: strip.tag, count: strip.count, all: strip.joints.length }) }}
      </figcaption>
      <svg :viewBox="`0 0 ${width} ${HIGH}`" :width="width" :height="HIGH" aria-hidden="true">
        <path :d="`M${PAD} 14H${width - PAD}`" class="pipe" />
        <g
          v-for="joint in strip.joints"
          :key="joint.id"
          :class="{ found: joint.found, covered: joint.covered }"
        >
          <circle :cx="joint.x" cy="14" :r="joint.found ? 8 : 3" class="joint" />
          <path v-if="joint.covered" :d="`M${joint.x - 11} 26h22`" class="wall" />
          <text v-if="joint.tag" :x="joint.x" y="42" class="tag">{{ joint.tag }}</text>
        </g>
      </svg>
    </figure>
    <p v-if="strips.length > MOST_LINES" class="why">
      {{ word('ui-more', { over: strips.length - MOST_LINES }) }}
    </p>
  </div>
</template>

<style scoped>
figure {
  margin: 6px 0;
}
figcaption {
  font-weight: 600;
}
.pipe {
  stroke: var(--pipe);
  stroke-width: 5;
}
.joint {
  fill: var(--sheet);
  stroke: var(--ink);
}
.found .joint {
  fill: var(--stop);
  stroke: var(--ink);
  stroke-width: 2;
}
.wall {
  stroke: var(--ink);
  stroke-width: 4;
  stroke-dasharray: 5 3;
}
.tag {
  font: 500 14px var(--figures);
  text-anchor: middle;
  fill: var(--ink);
}
</style>
