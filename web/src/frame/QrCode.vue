<script setup lang="ts">
import QRCode from 'qrcode'
import { computed } from 'vue'

/** An address as squares that a phone reads. */
const props = defineProps<{ text: string; label: string }>()
/** White round it, in squares: without, no camera finds it. */
const QUIET = 4
const drawn = computed(() => {
  const { modules } = QRCode.create(props.text, { errorCorrectionLevel: 'M' })
  const squares = Array.from({ length: modules.size ** 2 }, (_, at) => at).filter((at) => modules.data[at])
  return {
    size: modules.size + 2 * QUIET,
    path: squares
      .map((at) => `M${(at % modules.size) + QUIET} ${Math.floor(at / modules.size) + QUIET}h1v1h-1z`)
      .join(''),
  }
})
</script>

<template>
  <svg :viewBox="`0 0 ${drawn.size} ${drawn.size}`" role="img" :aria-label="label" class="qr">
    <rect :width="drawn.size" :height="drawn.size" fill="#fff" />
    <path :d="drawn.path" fill="#000" />
  </svg>
</template>

<style scoped>
.qr {
  width: 220px;
  max-width: 100%;
}
</style>
