<script setup lang="ts" generic="T extends string">
/** Any of a few, each a button that a gloved thumb finds and taps again to leave it out. */
defineProps<{ options: readonly (readonly [value: T, says: string])[] }>()
const model = defineModel<T[]>({ required: true })
function toggle(value: T): void {
  model.value = model.value.includes(value)
    ? model.value.filter((one) => one !== value)
    : [...model.value, value]
}
</script>

<template>
  <div class="chips">
    <button
      v-for="[value, says] in options"
      :key="value"
      type="button"
      class="button"
      :class="{ main: model.includes(value) }"
      :aria-pressed="model.includes(value)"
      @click="toggle(value)"
    >
      {{ says }}
    </button>
    <slot />
  </div>
</template>

<style scoped>
.chips {
  max-height: 200px;
  overflow-y: auto;
}
.button {
  min-height: 56px;
}
</style>
