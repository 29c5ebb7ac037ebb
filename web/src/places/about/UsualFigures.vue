<script setup lang="ts">
import { USUAL } from '@jugalis/core'
import QuantityField from '../../frame/QuantityField.vue'
import { word } from '../../words/word'
import { type UsualSaid, PRESSURES, HOLD } from './usual-said'

/** What is usual in this job: stands in the fields of new lines and sections, to be seen and changed there. */
const own = defineModel<UsualSaid>({ required: true })
</script>

<template>
  <h2>{{ word('about-usual') }}</h2>
  <p class="why">{{ word('about-usual-says') }}</p>
  <QuantityField
    v-for="[key, label, least] in PRESSURES"
    :key="key"
    v-model="own[key]"
    :label="word(label)"
    as="pressure"
    :usual="key === 'allowedDropBar' ? USUAL.fall : USUAL.linePressure"
    :least="least"
    :most="1000"
  />
  <label for="about-hold">{{ word('ui-hold-minutes') }}</label>
  <input
    id="about-hold"
    v-model="own.holdMin"
    class="plain"
    inputmode="decimal"
    :aria-invalid="!HOLD.reads(own.holdMin)"
  />
</template>

<style scoped>
label {
  font-weight: 600;
}
h2 {
  margin-block-start: 12px;
}
input.plain {
  min-height: 46px;
  border: 1px solid var(--edge);
  background: var(--sheet);
  color: var(--ink);
  padding: 0 12px;
}
</style>
