<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { capital, named, word } from '../words/word'
import { fitSaid } from './fits'

/** What a thing fits under one name: what is wanted or known is tapped, anything else typed. */
defineProps<{ name: string; choices: readonly string[] }>()
const model = defineModel<string>()
</script>

<template>
  <label :for="`fits-${name}`">{{ word('thing-fits', { what: capital(named(name)) }) }}</label>
  <div v-if="choices.length" class="chips">
    <button
      v-for="choice in choices"
      :key="choice"
      type="button"
      class="button"
      :class="{ main: model === choice }"
      :aria-pressed="model === choice"
      @click="model = choice"
    >
      {{ fitSaid(name, choice) }}
    </button>
  </div>
  <ElInput :id="`fits-${name}`" v-model="model" size="large" maxlength="40" />
</template>

<style scoped>
label {
  font-weight: 600;
}
.button {
  min-height: 44px;
}
</style>
