<script setup lang="ts">
import type { StoreItem } from '@jugalis/core'
import Sheet from '../../frame/Sheet.vue'
import ItemActs from '../../things/ItemActs.vue'
import { word } from '../../words/word'

/** A thing in hand: tried each day, and, when it was wrong, every joint made with it is named. */
defineProps<{ tool: StoreItem }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <Sheet :title="tool.name" @close="emit('close')">
    <p v-if="!tool.lot" class="strong">{{ word('make-tried-today') }}</p>
    <ItemActs :item="tool" @done="emit('close')" />
  </Sheet>
</template>
