<script setup lang="ts">
import { type Section, dayOf, epochInZone } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, defineAsyncComponent, reactive, ref } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { dated } from '../../when'
import { word } from '../../words/word'

const ShutdownSheet = defineAsyncComponent(() => import('./ShutdownSheet.vue'))
/** A time by which a section must be ready: a day and a time each, kept to as a rule that nothing breaks. */
defineProps<{ sections: readonly Section[] }>()
const model = defineModel<ReadonlyMap<string, number>>({ required: true })
const job = useJob()
const clock = useClock()
const zone = computed(() => job.state.job.zone)
const openId = ref<string | null>(null)
const typed = reactive({ day: dayOf(clock.nowS + 86_400, job.state.job.zone), time: '14:00' })
const fault = ref('')
const shutting = ref<Section | null>(null)
function shutSaid(id: string): string {
  const shut = job.state.plan.shutdowns.get(id)
  const said = (atS: number): string => dated(atS, zone.value)
  return shut ? word('plan-shut-is', { from: said(shut.fromS), until: said(shut.untilS) }) : ''
}
function keep(id: string): void {
  const atS = epochInZone(typed.day.trim(), typed.time.trim(), zone.value)
  if (atS === null || atS <= clock.nowS) return void (fault.value = word('plan-by-wrong'))
  fault.value = ''
  model.value = new Map([...model.value, [id, atS]])
  openId.value = null
}
function drop(id: string): void {
  model.value = new Map([...model.value].filter(([own]) => own !== id))
  fault.value = ''
  openId.value = null
}
</script>

<template>
  <div class="by">
    <div v-for="section in sections" :key="section.id" class="line">
      <button
        type="button"
        class="in-text"
        :aria-expanded="openId === section.id"
        @click="openId = openId === section.id ? null : section.id"
      >
        {{ word('plan-by-when', { tag: section.tag }) }}
      </button>
      <button type="button" class="in-text" @click="shutting = section">
        {{ word('plan-shut-open', { tag: section.tag }) }}
      </button>
      <strong v-if="job.state.plan.shutdowns.has(section.id)">{{ shutSaid(section.id) }}</strong>
      <strong v-if="model.has(section.id)">{{ dated(model.get(section.id) ?? 0, zone) }}</strong>
      <form v-if="openId === section.id" class="fields" @submit.prevent="keep(section.id)">
        <span
          ><label :for="`by-day-${section.id}`">{{ word('plan-by-day') }}</label
          ><ElInput :id="`by-day-${section.id}`" v-model="typed.day" size="large"
        /></span>
        <span
          ><label :for="`by-time-${section.id}`">{{ word('plan-by-time') }}</label
          ><ElInput :id="`by-time-${section.id}`" v-model="typed.time" size="large"
        /></span>
        <button type="submit" class="button">{{ word('ui-keep-it') }}</button>
        <button v-if="model.has(section.id)" type="button" class="button" @click="drop(section.id)">
          {{ word('plan-by-none') }}
        </button>
        <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
      </form>
    </div>
    <ShutdownSheet v-if="shutting" :section="shutting" @close="shutting = null" />
  </div>
</template>
<style scoped>
.by {
  display: flex;
  flex-wrap: wrap;
  gap: 0 24px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px;
  flex-basis: 100%;
  max-width: 560px;
}
.fields > span {
  flex: 1 1 120px;
}
</style>
