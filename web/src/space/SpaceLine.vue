<script setup lang="ts">
import type { LineDrawn } from '@jugalis/core'
import { computed } from 'vue'
import type { Looks } from '../view'
import SpaceJoints from './SpaceJoints.vue'
import { pathOf, signPath } from './sign-path'

/** The drawn line itself: pipes, signs, joints in their state, strings, texts. */
const props = defineProps<{
  drawn: LineDrawn
  /** States of the joints; without them they are drawn elsewhere, over the line. */
  looks?: Looks
  current: string | null
  /** Joints of a section that is shown, if one is, and the one that holds it back. */
  inside?: ReadonlySet<string>
  heldBy?: string | null
}>()
const emit = defineEmits<{ pick: [id: string]; joint: [id: string] }>()
const legs = computed(() =>
  props.drawn.legs.map((leg, at) => ({
    key: leg.item?.id ?? `between-${at}`,
    d: pathOf(leg.points),
    leg,
    inside: leg.item?.joints.some((id) => id !== null && props.inside?.has(id)) === true,
  })),
)
const signs = computed(() =>
  props.drawn.symbols.map((symbol) => ({
    ...symbol,
    open: symbol.shapes
      .filter((shape) => !shape.filled)
      .map(signPath)
      .join(''),
    filled: symbol.shapes
      .filter((shape) => shape.filled)
      .map(signPath)
      .join(''),
  })),
)
</script>

<template>
  <g class="space-line">
    <defs>
      <pattern id="space-skew" width="7" height="7" patternUnits="userSpaceOnUse">
        <path d="M0 3.5H7" stroke="var(--edge)" stroke-width="0.9" />
      </pattern>
      <pattern
        id="space-band"
        width="7"
        height="7"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(-45)"
      >
        <path d="M0 0V7" stroke="var(--violet)" stroke-width="2.4" />
      </pattern>
    </defs>
    <!-- Kept as it is while only the states of joints change. -->
    <g v-memo="[drawn, current, inside]">
      <g v-for="box in drawn.skews" :key="`skew-${box.item.id}`" class="skew">
        <path v-for="(corners, at) in box.triangles" :key="at" :d="pathOf(corners, true)" />
      </g>
      <path
        v-for="one in legs.filter((l) => l.inside)"
        :key="`band-${one.key}`"
        :d="one.d"
        class="band"
        aria-hidden="true"
      />
      <g v-for="string in drawn.dimensions" :key="string.key" class="string" aria-hidden="true">
        <path :d="pathOf(string.line)" />
        <path v-for="(lead, at) in string.leads" :key="at" :d="pathOf(lead)" class="lead" />
        <path
          v-for="(end, at) in string.line"
          :key="`tick-${at}`"
          :d="`M${end[0] - 4} ${end[1] + 4}L${end[0] + 4} ${end[1] - 4}`"
          class="tick"
        />
      </g>
      <path
        v-for="(sign, at) in drawn.falls"
        :key="`fall-${at}`"
        :d="pathOf(sign.points, true)"
        class="fall"
      />
      <path
        v-for="label in drawn.labels.filter((l) => l.leader)"
        :key="`leader-${label.key}`"
        :d="pathOf([label.at, label.middle])"
        class="lead"
      />
      <g
        v-for="one in legs"
        :key="one.key"
        class="leg"
        @click="one.leg.item && emit('pick', one.leg.item.id)"
      >
        <path v-if="one.leg.item?.id === current" :d="one.d" class="chosen" />
        <path :d="one.d" class="pipe" :class="{ guessed: !one.leg.known }" :data-piece="one.leg.item?.tag" />
        <circle
          v-if="one.leg.end"
          :cx="one.leg.points[0]![0]"
          :cy="one.leg.points[0]![1]"
          r="8"
          class="pipe"
        />
        <path :d="one.d" class="grip" />
      </g>
      <g v-for="sign in signs" :key="sign.item.id" class="sign" @click="emit('pick', sign.item.id)">
        <circle
          v-if="sign.item.id === current"
          :cx="sign.at[0]"
          :cy="sign.at[1]"
          :r="sign.reach + 6"
          class="chosen"
        />
        <path v-if="sign.open" :d="sign.open" class="open" />
        <path v-if="sign.filled" :d="sign.filled" class="filled" />
        <circle :cx="sign.at[0]" :cy="sign.at[1]" :r="sign.shapes.length ? 2 : 3.2" class="centre" />
        <circle :cx="sign.at[0]" :cy="sign.at[1]" :r="16" class="grip" :data-part="sign.item.tag" />
      </g>
      <path
        v-for="hold in drawn.holds"
        :key="`hold-${hold.key}`"
        :d="hold.shapes.map(signPath).join('')"
        class="hold"
      />
    </g>
    <SpaceJoints
      v-if="looks"
      :joints="drawn.joints"
      :looks="looks"
      :held-by="heldBy ?? null"
      @joint="(id) => emit('joint', id)"
    />
    <g v-memo="[drawn]">
      <text
        v-for="label in drawn.labels"
        :key="label.key"
        :x="label.middle[0]"
        :y="label.middle[1] + label.size * 0.34"
        :font-size="label.size"
        text-anchor="middle"
        class="name"
        :class="label.key.split(' ')[0]"
      >
        {{ label.text }}
      </text>
    </g>
  </g>
</template>

<style scoped>
.pipe {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3.2;
  stroke-linejoin: round;
}
.guessed {
  stroke-dasharray: 7 5;
}
.grip {
  fill: transparent;
  stroke: transparent;
  stroke-width: 22;
  pointer-events: stroke;
  cursor: pointer;
}
circle.grip {
  stroke-width: 0;
  pointer-events: all;
}
.chosen {
  fill: none;
  stroke: var(--copper);
  stroke-width: 11;
  opacity: 0.55;
}
circle.chosen {
  stroke-width: 4;
}
.band {
  fill: none;
  stroke: url('#space-band');
  stroke-width: 16;
}
.string path {
  stroke: var(--soft);
  stroke-width: 1;
  fill: none;
}
.string .tick {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.lead {
  stroke: var(--edge);
  stroke-width: 0.9;
  fill: none;
}
.skew path {
  fill: url('#space-skew');
  stroke: var(--edge);
  stroke-width: 0.9;
}
.open {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}

.hold {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.4;
}
.filled,
.centre,
.fall {
  fill: var(--ink);
  stroke: none;
}
.name {
  font-family: var(--figures);
  font-weight: 600;
  fill: var(--ink);
  stroke: var(--paper);
  stroke-width: 4;
  paint-order: stroke;
  stroke-linejoin: round;
}
.tag {
  font-weight: 500;
  fill: var(--soft);
}
.level {
  text-decoration: underline;
}
</style>
