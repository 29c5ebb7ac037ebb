<script setup lang="ts">
import { type Recalled, recall } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref, watch } from 'vue'
import ListField from '../../frame/ListField.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { saidAt } from '../../when'
import { word } from '../../words/word'
import DoubtThem from './DoubtThem.vue'
import RecallList from './RecallList.vue'

/** Which joints did somebody make, or were made in some hour. */
const job = useJob()
const clock = useClock()
const typed = reactive<{ personId: string; from: string; until: string }>({
  personId: '',
  from: '',
  until: '',
})
const found = ref<readonly Recalled[] | null>(null)
const fault = ref('')
watch(typed, () => {
  found.value = null
  fault.value = ''
})
const people = computed(() => [...job.members].map(([id, name]) => [id, name] as const))
function look(): void {
  const { zone } = job.state.job
  const fromS = typed.from.trim() ? saidAt(typed.from, clock.nowS, zone) : undefined
  const toS = typed.until.trim() ? saidAt(typed.until, clock.nowS, zone, true) : undefined
  const faults = [
    [fromS === null || toS === null, 'shelf-no-time'],
    [fromS !== undefined && toS !== undefined && (fromS ?? 0) > (toS ?? 0), 'make-until-is-later'],
    [!typed.personId && fromS === undefined && toS === undefined, 'shelf-say-who-or-when'],
  ] as const
  const first = faults.find(([is]) => is)
  if (first) return void (fault.value = word(first[1]))
  found.value = recall(job.state, {
    ...(typed.personId ? { personId: typed.personId } : {}),
    ...(typeof fromS === 'number' ? { fromS } : {}),
    ...(typeof toS === 'number' ? { toS } : {}),
  })
}
</script>

<template>
  <section aria-labelledby="recall">
    <h2 id="recall">{{ word('shelf-recall') }}</h2>
    <p class="why">{{ word('shelf-recall-why') }}</p>
    <form class="ask" @submit.prevent="look">
      <span>
        <ListField
          id="recall-who"
          v-model="typed.personId"
          :label="word('shelf-made-by')"
          :options="people"
          :placeholder="word('shelf-anybody')"
          clearable
        />
      </span>
      <span>
        <label for="recall-from">{{ word('shelf-from') }}</label>
        <ElInput id="recall-from" v-model="typed.from" size="large" placeholder="2026-11-27 07:30" />
      </span>
      <span>
        <label for="recall-until">{{ word('shelf-until') }}</label>
        <ElInput id="recall-until" v-model="typed.until" size="large" placeholder="2026-11-27 11:00" />
      </span>
      <button type="submit" class="button main">{{ word('shelf-look') }}</button>
    </form>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <template v-if="found">
      <RecallList :found="found" />
      <DoubtThem :found="found" />
    </template>
  </section>
</template>

<style scoped>
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
}
.ask > span {
  flex: 1 1 170px;
}
label {
  font-weight: 600;
}
.button {
  min-height: 56px;
}
</style>
