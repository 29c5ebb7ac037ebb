<script setup lang="ts">
import type { JointLook } from '@jugalis/core'
import { computed } from 'vue'
import { glyphBody } from './glyph-shapes'
import { told, word } from '../words/word'

const props = withDefaults(defineProps<{ look: JointLook; tag?: string; height?: number }>(), {
  tag: '',
  height: 20,
})
const body = computed(() => glyphBody(props.look.glyph, props.look.inspected, props.look.look))
const words = computed(() =>
  [
    props.tag,
    told(props.look.word),
    props.look.inspected ? word('ui-judged-good') : '',
    props.look.look ? word('tapes-look-at-it') : '',
    props.look.life > 1 ? word('tapes-made-again') : '',
  ]
    .filter(Boolean)
    .join(', '),
)
</script>

<template>
  <span class="glyph">
    <svg
      :height="height"
      :width="height * 1.8"
      viewBox="0 0 36 20"
      role="img"
      :aria-label="words"
      v-html="body"
    />
    <span v-if="look.life > 1" class="again" aria-hidden="true">{{ look.life }}</span>
  </span>
</template>

<style scoped>
.glyph {
  display: inline-flex;
  align-items: center;
  gap: 3px;
  vertical-align: middle;
}
.again {
  font: 600 15px/1 var(--figures);
}
svg {
  overflow: visible;
  flex: none;
}
</style>
