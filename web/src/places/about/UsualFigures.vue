<script setup lang="ts">
import { USUAL } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import QuantityField from '../../frame/QuantityField.vue'
import { word } from '../../words/word'
import { type UsualSaid, PRESSURES } from './usual-said'

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
  <ElInput id="about-hold" v-model="own.holdMin" size="large" inputmode="decimal" />
</template>

<style scoped>
label {
  font-weight: 600;
}
h2 {
  margin-block-start: 12px;
}
</style>
