<script setup lang="ts">
import { type OwnShape, SIGN_REACH, ownSigns } from '@jugalis/core'
import { computed } from 'vue'
import { signPath } from '../../space/sign-path'

/** The sign of a part as it stands on its pipe; with a grid to tap, where it is being drawn. */
const props = defineProps<{ shapes: readonly OwnShape[]; size: number; tapped?: readonly number[] }>()
const emit = defineEmits<{ tap: [x: number, y: number] }>()
/** Points that are tapped lie so far apart. */
const STEP = 2
const EDGE = SIGN_REACH + 2
const signs = computed(() => ownSigns(props.shapes, (far, out) => [far, out]))
const marks = computed(() =>
  (props.tapped ?? []).flatMap((x, at, all) => (at % 2 ? [] : [[x, all[at + 1] ?? 0] as const])),
)
function tap(event: PointerEvent): void {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  const at = (px: number, of: number): number => {
    const far = Math.round(((px / of) * 2 * EDGE - EDGE) / STEP) * STEP
    return Math.max(-SIGN_REACH, Math.min(SIGN_REACH, far))
  }
  emit('tap', at(event.clientX - box.left, box.width), at(event.clientY - box.top, box.height))
}
</script>

<template>
  <svg
    class="own-sign"
    :class="{ pad: tapped }"
    :width="size"
    :height="size"
    :viewBox="`${-EDGE} ${-EDGE} ${2 * EDGE} ${2 * EDGE}`"
    aria-hidden="true"
    @pointerdown="tap"
  >
    <template v-if="tapped">
      <path
        v-for="at in [-16, -8, 0, 8, 16]"
        :key="at"
        :d="`M${at} ${-SIGN_REACH}V${SIGN_REACH}M${-SIGN_REACH} ${at}H${SIGN_REACH}`"
        class="grid"
      />
    </template>
    <path :d="`M${-EDGE} 0H${EDGE}`" class="pipe" />
    <path
      v-for="(sign, at) in signs"
      :key="at"
      :d="signPath(sign)"
      :class="sign.filled ? 'filled' : 'open'"
    />
    <circle
      v-for="(mark, at) in marks"
      :key="`mark-${at}`"
      :cx="mark[0]"
      :cy="mark[1]"
      r="1.6"
      class="mark"
    />
  </svg>
</template>

<style scoped>
.own-sign {
  display: block;
  flex: none;
}
.pad {
  border: 1px solid var(--edge);
  background: var(--sheet);
  cursor: crosshair;
  touch-action: none;
}
.grid {
  stroke: var(--line);
  stroke-width: 0.3;
}
.pipe {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.open {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1;
}
.filled {
  fill: var(--ink);
}
.mark {
  fill: var(--copper);
}
</style>
