<script setup lang="ts">
import { type Drill, shuffled } from '@jugalis/core'
import { computed, ref, watch } from 'vue'
import { useJob } from '../../stores/job'
import { told, word } from '../../words/word'

/** The steps of a joint, out of order: tapped one after another as they are done. */
const props = defineProps<{ drill: Drill }>()
const emit = defineEmits<{ said: [says: string, right: boolean] }>()
const job = useJob()
const steps = computed(() => props.drill.method.steps(props.drill.laid.spec, props.drill.laid.ctx))
const lying = computed(() => shuffled(steps.value, props.drill.no))
const taken = ref<readonly string[]>([])
watch(
  () => props.drill,
  () => (taken.value = []),
)
function take(id: string): void {
  taken.value = [...taken.value, id]
  if (taken.value.length < steps.value.length) return
  const right = taken.value.every((one, i) => one === steps.value[i]?.id)
  emit('said', word(right ? 'practice-in-order' : 'practice-out-of-order'), right)
}
</script>

<template>
  <div class="ask">
    <h2>{{ word('practice-ask-order') }}</h2>
    <div class="answers">
      <button
        v-for="step in lying"
        :key="step.id"
        type="button"
        class="button"
        :disabled="taken.includes(step.id)"
        @click="take(step.id)"
      >
        {{ taken.includes(step.id) ? `${taken.indexOf(step.id) + 1}. ` : ''
        }}{{ told(step.action, job.reader) }}
      </button>
    </div>
    <button v-if="taken.length" type="button" class="button chip" @click="taken = []">
      {{ word('practice-order-again') }}
    </button>
  </div>
</template>

<style scoped src="./drill.css"></style>
