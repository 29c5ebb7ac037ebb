<script setup lang="ts" generic="T extends string | number">
import { ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select/style/css'

/** One of a list, with its label. The list stays where it is: inside a sheet it lies above whatever is attached to the body. */
defineProps<{
  id: string
  label: string
  /** Behind the label, for the eye. */
  hint?: string
  options: readonly (readonly [value: T, says: string])[]
  clearable?: boolean
  placeholder?: string
}>()
const model = defineModel<T | '' | null>()
</script>

<template>
  <label :for="id">{{ label }}{{ hint ? ` ${hint}` : '' }}</label>
  <ElSelect
    :id="id"
    v-model="model"
    :teleported="false"
    size="large"
    :clearable="clearable"
    :placeholder="placeholder"
    :aria-label="label"
  >
    <ElOption v-for="[value, says] in options" :key="value" :value="value" :label="says" />
  </ElSelect>
</template>

<style scoped>
label {
  font-weight: 600;
}
</style>
