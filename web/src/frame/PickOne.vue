<script setup lang="ts" generic="T extends string">
import { ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/select/style/css'
import 'element-plus/es/components/option/style/css'

/** One of a longer list. Where it may be left open, what it is stands in it as long as nothing is chosen. */
defineProps<{
  label: string
  options: readonly (readonly [value: T, says: string])[]
  filterable?: boolean
  clearable?: boolean
}>()
const model = defineModel<T | undefined>({ required: true })
</script>

<template>
  <ElSelect
    v-model="model"
    :teleported="false"
    size="large"
    :filterable="filterable"
    :clearable="clearable"
    :aria-label="label"
    :placeholder="clearable ? label : undefined"
  >
    <ElOption v-for="[value, says] in options" :key="value" :value="value" :label="says" />
  </ElSelect>
</template>
