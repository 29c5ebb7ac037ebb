<script setup lang="ts">
import type { DrawnJoint } from '@jugalis/core'
import { computed } from 'vue'
import type { Looks } from '../view'
import { useJob } from '../stores/job'
import { GLYPH, glyphBody } from '../tapes/glyph-shapes'

/** The joints of a drawn line in their state. Apart from the line, so that a change of states draws nothing else anew. */
const props = defineProps<{
  joints: readonly DrawnJoint[]
  looks: Looks
  /** The one that holds a section back. */
  heldBy: string | null
  /** Their glyphs are drawn elsewhere: only what is pointed at and read is here. */
  bare?: boolean
}>()
const emit = defineEmits<{ joint: [id: string] }>()
const job = useJob()
const shown = computed(() =>
  props.joints.flatMap((joint) => {
    const look = props.looks.get(joint.id)
    // The glyph's socket looks towards the fitting, its pipe away from it.
    const angle = (Math.atan2(-joint.way[1], -joint.way[0]) * 180) / Math.PI
    return look ? [{ joint, look, angle }] : []
  }),
)
</script>

<template>
  <g>
    <g
      v-for="one in shown"
      :key="one.joint.id"
      v-memo="[one.joint, one.look.glyph, one.look.inspected, one.look.look, one.joint.id === heldBy]"
      class="joint"
      :transform="`translate(${one.joint.at[0]} ${one.joint.at[1]}) rotate(${one.angle})`"
      @click="emit('joint', one.joint.id)"
    >
      <title>{{ one.joint.tag }}, {{ job.t(one.look.word) }}</title>
      <!-- A glyph is mostly gaps: what a thumb finds is the place. -->
      <circle r="11" class="grip" />
      <circle v-if="one.joint.id === heldBy && !bare" r="15" class="held" />
      <svg
        v-if="!bare"
        :x="-GLYPH.wide / 2"
        :y="-GLYPH.high / 2"
        :width="GLYPH.wide"
        :height="GLYPH.high"
        viewBox="0 0 36 20"
        overflow="visible"
      >
        <g v-html="glyphBody(one.look.glyph, one.look.inspected, one.look.look)" />
      </svg>
    </g>
  </g>
</template>

<style scoped>
.held {
  fill: none;
  stroke: var(--stop);
  stroke-width: 3.5;
}

.grip {
  fill: transparent;
}
.joint {
  cursor: pointer;
}
</style>
