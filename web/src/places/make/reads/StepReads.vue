<script setup lang="ts">
import type { Field } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../../stores/job'
import { isGap, isNumber, onDial, onTape } from '../use-writes'
import CheckTape from './CheckTape.vue'
import CoverageGrid from './CoverageGrid.vue'
import GapReads from './GapReads.vue'
import ReadNumber from './ReadNumber.vue'
import TurnsDial from './TurnsDial.vue'
import { word } from '../../../words/word'

/** What a step reads, each with the control that suits it: tape, dial, gaps, grid, figure. Nothing is preset. */
const props = defineProps<{ jointId: string; reads: readonly Field[] }>()
type Value = number | string | number[][] | null
const readings = defineModel<Record<string, Value>>({ required: true })
const job = useJob()
const put = (key: string, value: Value): void => {
  readings.value[key] = value
}
/** The keyboard is the last way in. */
const typing = ref(false)
const gaps = computed(() => props.reads.filter(isGap))
const others = computed(() => props.reads.filter((r) => isNumber(r) && (typing.value || !isGap(r))))
const grids = computed(() => props.reads.filter((r) => r.control === 'grid'))
const opened = ref<string[]>([])
const drawn = computed(() => props.reads.some((r) => isGap(r) || onTape(r) || onDial(r)))
const controlOf = (field: Field) => {
  if (typing.value) return ReadNumber
  if (onTape(field)) return CheckTape
  return onDial(field) ? TurnsDial : ReadNumber
}
const numberIn = (key: string): number | null => (readings.value[key] as number | undefined) ?? null
</script>

<template>
  <div class="reads">
    <GapReads v-if="gaps.length && !typing" :key="jointId" :fields="gaps" @put="put" />
    <component
      :is="controlOf(r)"
      v-for="r in others"
      :key="`${jointId} ${r.key}`"
      :field="r"
      :model-value="numberIn(r.key)"
      @update:model-value="(v: number | null) => put(r.key, v)"
    />
    <button v-if="drawn" type="button" class="link" @click="typing = !typing">
      {{ typing ? word('make-read-it-off-the') : word('make-type-it') }}
    </button>
    <template v-for="r in grids" :key="r.key">
      <CoverageGrid
        v-if="opened.includes(r.key)"
        :field="r"
        :model-value="(readings[r.key] as number[][] | undefined) ?? null"
        @update:model-value="(v: number[][] | null) => put(r.key, v)"
      />
      <button v-else type="button" class="button" @click="opened = [...opened, r.key]">
        {{ job.t(r.label) }}…
      </button>
    </template>
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
.link {
  min-height: 56px;
  min-width: 56px;
  margin: -6px 0 -6px auto;
  border: 0;
  background: none;
  font-size: 17px;
  text-decoration: underline;
  cursor: pointer;
}
.reads > .button {
  flex: 1 1 100%;
  min-height: 56px;
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
  min-width: min-content;
  min-height: 56px;
}
/* On a phone the question stands over its answers. */
@media (max-width: 720px) {
  .asked > span {
    flex: 1 0 100%;
  }
  .asked .button {
    padding: 0 8px;
  }
}
.asked .on {
  background: var(--ink);
  color: var(--paper);
}
</style>
