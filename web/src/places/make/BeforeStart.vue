<script setup lang="ts">
import { type Finding, type JointFacts, fmt } from '@jugalis/core'
import { ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/select/style/css'
import 'element-plus/es/components/option/style/css'
import { computed } from 'vue'
import { useJob } from '../../stores/job'

/** What to fetch and what is wrong today; tin and conditions asked once, then kept. */
const props = defineProps<{
  facts: JointFacts
  findings: readonly Finding[]
  tinId: string | null
  hasReadings: boolean
  brief: boolean
}>()
const emit = defineEmits<{ tin: [id: string | null]; override: [] }>()
const job = useJob()
const fetch = computed(() => {
  const f = props.facts
  if (!f.method || f.spec === null) return ''
  return f.method
    .consumables(f.spec, f.ctx)
    .map((n) => {
      const of = Object.values(n.matches).join(' ')
      const size =
        n.qty.value !== null && n.unit === 'mm' ? `, ${fmt.length(n.qty.value, job.reader)} or more` : ''
      return `${of ? `${of} ` : ''}${n.item.replaceAll('-', ' ')}${size}`
    })
    .join(', ')
})
/** Tins are asked for where something out of a tin is needed. */
const tins = computed(() =>
  props.facts.method?.consumables(props.facts.spec, props.facts.ctx).some((n) => 'plastic' in n.matches)
    ? [...job.state.tins.entries()]
    : [],
)
const stops = computed(() => props.findings.filter((f) => f.level === 'stop'))
</script>

<template>
  <div class="before">
    <p v-if="!brief">Fetch: {{ fetch }}.</p>
    <p v-for="f in findings" :key="f.code" :class="{ refusal: f.level === 'stop', warn: f.level === 'warn' }">
      {{ job.t(f) }}
    </p>
    <button v-if="stops.length" type="button" class="button stop" @click="emit('override')">
      Go on with a reason…
    </button>
    <div v-if="tins.length && !brief" class="tin">
      <label for="tin">Tin</label>
      <ElSelect
        id="tin"
        :model-value="tinId ?? ''"
        size="large"
        aria-label="Tin in hand"
        @update:model-value="(v: string) => emit('tin', v || null)"
      >
        <ElOption
          v-for="[id, t] in tins"
          :key="id"
          :value="id"
          :label="`${t.code}, ${t.plastic}, until ${t.expiresOn}`"
        />
        <ElOption value="" label="not said" />
      </ElSelect>
    </div>
  </div>
</template>

<style scoped>
.before {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.warn::before {
  content: '▲ ';
  color: var(--wet-ink);
}
.tin {
  display: flex;
  align-items: center;
  gap: 10px;
}
.tin label {
  font-weight: 600;
}
.tin :deep(.el-select__wrapper) {
  min-height: 56px;
}
</style>
