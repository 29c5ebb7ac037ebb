<script setup lang="ts">
import { useSession } from '../stores/session'
import Sheet from './Sheet.vue'
import { word } from '../words/word'

/** Before somebody's name goes under it: what it says, and what it touches. */
defineProps<{ title: string; statement: string; says: readonly string[] }>()
const emit = defineEmits<{ close: []; sign: [] }>()
const session = useSession()
</script>

<template>
  <Sheet :title="title" @close="emit('close')">
    <p class="strong">{{ statement }}</p>
    <ul v-if="says.length" class="says">
      <li v-for="s in says" :key="s">{{ s }}</li>
    </ul>
    <p class="why">
      {{ word('frame-it-stands-in-the', { name: session.person?.name }) }}
    </p>
    <button type="button" class="button main" @click="emit('sign')">
      {{ word('ui-sign-as', { name: session.person?.name }) }}
    </button>
    <button type="button" class="button" @click="emit('close')">{{ word('frame-not-yet') }}</button>
  </Sheet>
</template>

<style scoped>
.button {
  min-height: 56px;
}
.says {
  margin: 0;
  padding-inline-start: 20px;
}
</style>
