<script setup lang="ts">
import type { Rows } from './use-rows'
import { word } from '../../words/word'

/** What can be done with the chosen rows; each has its key, too. */
defineProps<{ rows: Rows }>()
const emit = defineEmits<{ edit: []; insert: []; group: [] }>()
</script>

<template>
  <div
    class="buttons no-print"
    :class="{ idle: !rows.current.value }"
    role="toolbar"
    :aria-label="word('set-out-the-chosen-rows')"
  >
    <span class="why"
      >{{
        rows.chosen.value.length > 1
          ? word('set-out-rows', { chosen: rows.chosen.value.length })
          : (rows.current.value?.tag ?? word('set-out-no-row-chosen'))
      }}:</span
    >
    <button
      v-for="[says, label, act] in [
        ['set-out-row-edit', 'set-out-row-edit', () => emit('edit')],
        ['set-out-row-insert-after', 'set-out-row-insert-after', () => emit('insert')],
        ['set-out-row-copy-below', 'set-out-row-copy-below', () => rows.copy()],
        ['set-out-row-up', 'set-out-row-up-move', () => rows.nudge(-1)],
        ['set-out-row-down', 'set-out-row-down-move', () => rows.nudge(1)],
        ['set-out-row-take-out', 'set-out-row-take-out', () => rows.remove()],
      ] as const"
      :key="says"
      type="button"
      class="button chip"
      :disabled="!rows.current.value"
      :aria-label="word(label)"
      @click="act()"
    >
      {{ word(says) }}
    </button>
    <button type="button" class="button chip" :disabled="rows.chosen.value.length < 2" @click="emit('group')">
      {{ word('set-out-keep-as-a-group') }}
    </button>
  </div>
</template>

<style scoped>
@media (max-width: 720px) {
  .idle {
    display: none;
  }
}
</style>
