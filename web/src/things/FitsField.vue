<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref } from 'vue'
import { capital, named, word } from '../words/word'
import { fitSaid } from './fits'

/** What a thing fits under one name: what is wanted or known is tapped, anything else typed. */
const props = defineProps<{ name: string; choices: readonly string[] }>()
const model = defineModel<string>()
/** Something else than what is offered is typed. */
const other = ref(false)
const typed = computed(
  () =>
    !props.choices.length ||
    other.value ||
    (Boolean(model.value) && !props.choices.includes(model.value ?? '')),
)
function choose(choice: string): void {
  model.value = choice
  other.value = false
}
</script>

<template>
  <label :id="`fits-${name}-label`" :for="typed ? `fits-${name}` : undefined">{{
    capital(named(name))
  }}</label>
  <div v-if="choices.length" class="chips" role="group" :aria-labelledby="`fits-${name}-label`">
    <button
      v-for="choice in choices"
      :key="choice"
      type="button"
      class="button"
      :class="{ main: model === choice }"
      :aria-pressed="model === choice"
      @click="choose(choice)"
    >
      {{ fitSaid(name, choice) }}
    </button>
    <button type="button" class="button" :aria-expanded="typed" @click="other = true">
      {{ word('thing-another') }}
    </button>
  </div>
  <ElInput v-if="typed" :id="`fits-${name}`" v-model="model" size="large" maxlength="40" />
</template>

<style scoped>
label {
  font-weight: 600;
}
.button {
  min-height: 44px;
}
</style>
