<script setup lang="ts">
import type { Field } from '@jugalis/core'
import { useJob } from '../../stores/job'
import CheckTape from './CheckTape.vue'
import ReadNumber from './ReadNumber.vue'
import { isNumber, onTape } from './use-writes'

/** What a step reads: a mark on its tape, figures typed, choices without a usual answer. Nothing is preset. */
defineProps<{ jointId: string; reads: readonly Field[] }>()
const readings = defineModel<Record<string, number | string | null>>({ required: true })
const job = useJob()
const put = (key: string, value: number | string | null): void => {
  readings.value[key] = value
}
</script>

<template>
  <div class="reads">
    <component
      :is="onTape(r) ? CheckTape : ReadNumber"
      v-for="r in reads.filter(isNumber)"
      :key="`${jointId} ${r.key}`"
      :field="r"
      :model-value="(readings[r.key] as number | undefined) ?? null"
      @update:model-value="(v: number | null) => put(r.key, v)"
    />
  </div>
  <div
    v-for="r in reads.filter((x) => x.asked)"
    :key="r.key"
    role="group"
    :aria-label="job.t(r.label)"
    class="asked"
  >
    <span>{{ job.t(r.label) }}</span>
    <button
      v-for="o in r.options"
      :key="o"
      type="button"
      class="button"
      :class="{ on: readings[r.key] === o }"
      :aria-pressed="readings[r.key] === o"
      @click="put(r.key, o)"
    >
      {{ job.t({ code: `${r.key}-${o}`, params: {} }) }}
    </button>
  </div>
</template>

<style scoped>
.reads {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
}
.asked {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  font-weight: 600;
}
.asked .button {
  flex: 1;
  min-height: 56px;
}
.asked .on {
  background: var(--ink);
  color: var(--paper);
}
</style>
