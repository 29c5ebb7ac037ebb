<script setup lang="ts" generic="T extends string | number">
/** One of a few, each a button that a gloved thumb finds. */
defineProps<{ label: string; options: readonly (readonly [value: T, says: string])[] }>()
const model = defineModel<T | null>({ required: true })
</script>

<template>
  <div class="chips" role="radiogroup" :aria-label="label">
    <button
      v-for="[value, says] in options"
      :key="value"
      type="button"
      class="button"
      :class="{ main: value === model }"
      role="radio"
      :aria-checked="value === model"
      @click="model = value"
    >
      {{ says }}
    </button>
  </div>
</template>
