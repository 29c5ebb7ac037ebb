<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import ListField from '../../frame/ListField.vue'
import QuantityField from '../../frame/QuantityField.vue'
import { useJob } from '../../stores/job'
import { named, word } from '../../words/word'
import { type Asked, quantityOf, usualOf } from './use-asked'

/** What a way of joining asks of a line besides: each field with its choices or its unit. */
const props = defineProps<{ asked: Asked; idStem: string }>()
const job = useJob()
const { fields, texts, quantities } = props.asked
</script>

<template>
  <template v-for="f in fields" :key="f.key">
    <QuantityField
      v-if="quantityOf(f)"
      :model-value="quantities[f.key] ?? null"
      @update:model-value="(v) => (quantities[f.key] = v)"
      :label="job.t(f.label)"
      :as="quantityOf(f)!"
      :least="f.min"
      :most="f.max"
      :usual="usualOf(f)"
    />
    <ListField
      v-else-if="f.options || f.control === 'yes-no'"
      :id="`${idStem}-${f.key}`"
      v-model="texts[f.key]"
      clearable
      :label="job.t(f.label)"
      :options="(f.options ?? ['yes', 'no']).map((o) => [o, named(o)] as const)"
      :placeholder="word('ui-not-said')"
    />
    <template v-else>
      <label :for="`${idStem}-${f.key}`">{{ job.t(f.label) }}</label>
      <ElInput
        :id="`${idStem}-${f.key}`"
        v-model="texts[f.key]"
        size="large"
        inputmode="decimal"
        :placeholder="word('ui-not-known')"
      />
    </template>
  </template>
</template>
