<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useJob } from '../../stores/job'
import { useNarrow } from '../../use-narrow'
import { useView } from '../../view'
import AnswerHead from './AnswerHead.vue'
import NextHour from './NextHour.vue'
import PhoneRows from './PhoneRows.vue'
import TimeLanes from './TimeLanes.vue'

const job = useJob()
const view = useView()
const route = useRoute()
const narrow = useNarrow()
const answers = computed(() =>
  [...view.answers.values()].sort((a, b) => (a.section.tag < b.section.tag ? -1 : 1)),
)
/** Without a choice: the section that waits, since one that is proved has nothing to say here. */
const answer = computed(
  () =>
    view.answers.get(String(route.params.sectionId ?? '')) ??
    answers.value.find((a) => !a.proved) ??
    answers.value[0] ??
    null,
)
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
      <nav v-if="answers.length > 1" class="sections" aria-label="Sections">
        <RouterLink
          v-for="a in answers"
          :key="a.section.id"
          :to="{ name: 'wait', params: { jobId: job.jobId, sectionId: a.section.id } }"
          :class="{ here: a === answer }"
          >{{ a.section.tag }}<template v-if="a.proved"> proved</template></RouterLink
        >
      </nav>
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
.sections,
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-items: center;
}
.sections a,
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
