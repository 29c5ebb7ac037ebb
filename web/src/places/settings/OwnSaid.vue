<script setup lang="ts">
import type { Fault } from '../../use-act'

/** What came of what was done; a fault of a field stands there. */
defineProps<{ said: string; fault: Fault | null; fields: readonly string[] }>()
</script>

<template>
  <p v-if="said" role="status">{{ said }}</p>
  <p v-if="fault && !fields.includes(fault.field ?? '')" class="refusal" role="alert">{{ fault.says }}</p>
</template>
