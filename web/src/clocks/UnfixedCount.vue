<script setup lang="ts">
import { isUnfixed, tagOrder } from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../stores/job'
import { useView } from '../view'
import { word } from '../words/word'

/** Joints that are assembled and not yet pressed, turned or tightened: never out of sight, in any place, until none is left. */
defineProps<{ strip?: boolean }>()
const job = useJob()
const view = useView()
const unfixed = computed(() =>
  [...view.facts.values()].filter(isUnfixed).sort((a, b) => tagOrder(a.tag, b.tag)),
)
const says = computed(() => {
  const methods = new Set(unfixed.value.map((f) => f.method?.id))
  const [only] = methods
  return methods.size === 1 ? job.t({ code: `unfixed-${only}`, params: {} }) : word('clocks-not-fixed')
})
</script>

<template>
  <RouterLink
    v-if="unfixed.length"
    class="unfixed"
    :class="{ strip }"
    :to="{ name: 'make', params: { jobId: job.jobId, jointId: unfixed[0]!.id } }"
  >
    <span class="digits">{{ unfixed.length }}</span>
    <!-- On the phone the count and what is lacking fit its cell; read aloud it is the whole. -->
    <span v-if="!strip">{{ word('clocks-assembled-and', { says }) }}</span>
    <template v-else>
      <span class="spoken">{{ word('clocks-assembled-and', { says }) }}</span>
      <span aria-hidden="true">{{ says }}</span>
    </template>
  </RouterLink>
</template>

<style scoped>
.unfixed {
  display: flex;
  align-items: baseline;
  gap: 8px;
  margin-bottom: 12px;
  padding: 8px 10px;
  border: 2px solid var(--ink);
  text-decoration: none;
  font-weight: 600;
}
.digits {
  font: 600 25px/1 var(--figures);
}
.strip {
  flex: 0 1 112px;
  flex-direction: column;
  gap: 0;
  margin: 0;
  padding: 4px 8px;
  justify-content: center;
  border: 0;
  border-inline-end: 2px solid var(--ink);
  font-size: 15px;
  line-height: 1.05;
}
</style>
