<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import type { Fault } from '../../use-act'

/** A field with its name, and what is wrong with it where it stands. What else is said of it goes to the field itself. */
defineProps<{ id: string; label: string; field: string; fault: Fault | null }>()
defineOptions({ inheritAttrs: false })
const typed = defineModel<string>({ required: true })
</script>

<template>
  <label :for="id">{{ label }}</label>
  <ElInput :id="id" v-model="typed" size="large" v-bind="$attrs" />
  <p v-if="fault?.field === field" class="refusal" role="alert">{{ fault.says }}</p>
</template>

<style scoped>
label {
  font-weight: 600;
}
</style>
