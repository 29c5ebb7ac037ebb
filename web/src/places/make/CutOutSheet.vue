<script setup lang="ts">
import { type JointFacts, cutOutTouches } from '@jugalis/core'
import { computed, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { capital, word } from '../../words/word'

/** Before a joint is cut out: what else goes with it. Joints in the same fitting come out in the same go. */
const props = defineProps<{ facts: JointFacts; reason: string }>()
const emit = defineEmits<{
  close: []
  cutOut: [withIt: readonly { id: string; tag: string; life: number }[]]
}>()
const job = useJob()
const touched = computed(() => cutOutTouches(job.state, props.facts.id))
const alsoOut = ref(touched.value.withIt.map((j) => j.id))
const chosen = computed(() => touched.value.withIt.filter((j) => alsoOut.value.includes(j.id)))
</script>

<template>
  <Sheet :title="word('make-cut-out', { tag: facts.tag })" @close="emit('close')">
    <p>
      {{
        word('make-both-lives-stay-in-the', {
          reason: capital(reason),
        })
      }}
    </p>
    <ul class="touched">
      <li v-for="t in touched.says" :key="t.code + JSON.stringify(t.params)">{{ job.t(t) }}</li>
    </ul>
    <label v-for="j in touched.withIt" :key="j.id" class="with">
      <input v-model="alsoOut" type="checkbox" :value="j.id" />
      {{ word('make-comes-out-with-it', { tag: j.tag }) }}
    </label>
    <button type="button" class="button stop" @click="emit('cutOut', chosen)">
      {{ word('make-cut-out-2', { joints: [facts.tag, ...chosen.map((j) => j.tag)].join(', ') }) }}
    </button>
    <button type="button" class="button" @click="emit('close')">{{ word('make-leave-it-in') }}</button>
  </Sheet>
</template>

<style scoped>
.button {
  min-height: 56px;
}
.touched {
  margin: 0;
  padding-inline-start: 20px;
}
.with {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 56px;
}
.with input {
  width: 24px;
  height: 24px;
}
</style>
