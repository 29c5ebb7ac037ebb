<script setup lang="ts">
import { ref, watch } from 'vue'
import SectionChooser from '../../frame/SectionChooser.vue'
import { useNarrow } from '../../use-narrow'
import { useSection } from '../../use-section'
import { useView } from '../../view'
import AnswerHead from './AnswerHead.vue'
import NextHour from './NextHour.vue'
import PhoneRows from './PhoneRows.vue'
import TimeLanes from './TimeLanes.vue'

const view = useView()
const narrow = useNarrow()
const { answers, answer } = useSection()
const SPANS = [
  [12, '12 h'],
  [24, '24 h'],
  [48, '2 days'],
  [96, '4 days'],
  [168, 'week'],
] as const
const KEY = 'jugalis-wait-span'
const spanH = ref(Number(localStorage.getItem(KEY)) || 96)
watch(spanH, (h) => localStorage.setItem(KEY, String(h)))
</script>

<template>
  <div class="place">
    <div v-if="!answer" class="head">
      <h1>Nothing is waiting.</h1>
      <p class="why">
        No section is painted yet. Paint a boundary in Set out to see when it may take pressure.
      </p>
    </div>
    <template v-else>
      <SectionChooser :answers="answers" :here="answer" place="wait" />
      <AnswerHead :answer="answer" />
      <p class="choices">
        <span>Changing temperature:</span>
        <button
          type="button"
          class="word"
          :class="{ here: view.mode === 'coldest' }"
          :aria-pressed="view.mode === 'coldest'"
          @click="view.mode = 'coldest'"
        >
          coldest rules (sign-off)
        </button>
        <button
          type="button"
          class="word"
          :class="{ here: view.mode === 'accumulate' }"
          :aria-pressed="view.mode === 'accumulate'"
          @click="view.mode = 'accumulate'"
        >
          add up the hours (planning)
        </button>
        <template v-if="!narrow">
          <span class="gap">Show:</span>
          <button
            v-for="[h, says] in SPANS"
            :key="h"
            type="button"
            class="word"
            :class="{ here: spanH === h }"
            :aria-pressed="spanH === h"
            @click="spanH = h"
          >
            {{ says }}
          </button>
        </template>
      </p>
      <PhoneRows v-if="narrow" :answer="answer" />
      <TimeLanes v-else :answer="answer" :span-s="spanH * 3600" />
      <NextHour :answer="answer" />
    </template>
  </div>
</template>

<style scoped>
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-items: center;
}
.word {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  text-decoration: none;
  font-weight: 500;
  background: none;
  border: 0;
  padding: 0;
  cursor: pointer;
}
.here {
  font-weight: 600 !important;
  box-shadow: inset 0 -3px 0 var(--copper);
}
.gap {
  margin-left: 14px;
}
.choices span {
  color: var(--soft);
}
</style>
