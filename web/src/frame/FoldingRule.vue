<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { PLACES, SIDE_PLACES, placeOf } from '../router'
import { useJob } from '../stores/job'
import { word } from '../words/word'

const props = defineProps<{ bottom?: boolean }>()
const job = useJob()
const route = useRoute()
const more = ref(false)
const FIRST = 5
const shown = computed(() => (props.bottom ? PLACES.slice(0, FIRST) : PLACES))
const rest = computed(() => (props.bottom ? [...PLACES.slice(FIRST), ...SIDE_PLACES] : []))
</script>

<template>
  <nav :class="bottom ? 'bar' : 'rule'" :aria-label="word('frame-places')">
    <RouterLink
      v-for="p in shown"
      :key="p.name"
      :to="{ name: p.name, params: { jobId: job.jobId } }"
      class="segment"
      :class="{ here: placeOf(route) === p.name }"
      :aria-current="placeOf(route) === p.name ? 'page' : undefined"
    >
      <span v-if="!bottom" class="key" aria-hidden="true">{{ p.key }}</span>
      {{ word(p.says) }}
    </RouterLink>
    <RouterLink
      v-for="p in bottom ? [] : SIDE_PLACES"
      :key="p.name"
      :to="{ name: p.name, params: { jobId: job.jobId } }"
      class="tool"
      :class="{ here: placeOf(route) === p.name }"
      :aria-current="placeOf(route) === p.name ? 'page' : undefined"
      >{{ word(p.says) }}</RouterLink
    >
    <RouterLink v-if="!bottom" to="/settings" class="tool">{{ word('ui-settings') }}</RouterLink>
    <template v-if="bottom">
      <button
        type="button"
        class="segment"
        :class="{ here: rest.some((p) => p.name === placeOf(route)) }"
        :aria-expanded="more"
        @click="more = !more"
      >
        {{ word('frame-more') }}
      </button>
      <div v-if="more" class="sheet" @click="more = false">
        <RouterLink
          v-for="p in rest"
          :key="p.name"
          class="button"
          :to="{ name: p.name, params: { jobId: job.jobId } }"
          >{{ word(p.says) }}</RouterLink
        >
        <RouterLink class="button" :to="{ name: 'about', params: { jobId: job.jobId } }">{{
          word('about-this-job')
        }}</RouterLink>
        <RouterLink class="button" to="/jobs">{{ word('ui-your-jobs') }}</RouterLink>
        <RouterLink class="button" to="/settings">{{ word('ui-settings') }}</RouterLink>
      </div>
    </template>
  </nav>
</template>

<style scoped>
/* A folding rule: hinged segments with graduations; the open one juts out and takes the ground's colour. */
.rule {
  width: 112px;
  flex: none;
  padding: 16px 0;
  background: var(--rail);
  color: var(--rail-ink);
  border-inline-end: 2px solid var(--ink);
}
.rule .segment {
  display: flex;
  align-items: center;
  gap: 9px;
  height: 58px;
  padding-inline-start: 12px;
  margin-inline-end: 8px;
  text-decoration: none;
  font-weight: 600;
  font-size: 17px;
  border-bottom: 2px solid var(--rail-ink);
  background: repeating-linear-gradient(to right, var(--rail-ink) 0 1px, transparent 1px 12px) bottom right /
    100% 6px no-repeat;
  position: relative;
}
.rule .segment::after {
  content: '';
  position: absolute;
  inset-inline-end: 6px;
  bottom: -6px;
  width: 9px;
  height: 9px;
  border-radius: 50%;
  background: var(--rail-ink);
  z-index: 1;
}
.rule .segment.here {
  margin-inline-end: -10px;
  background: var(--paper);
  color: var(--ink);
  border: 2px solid var(--ink);
  border-inline-end: 0;
  border-inline-start: 0;
}
/* Loose tools lie below the rule: no hinge, no graduation. */
.tool {
  display: flex;
  align-items: center;
  min-height: 48px;
  margin: 20px 10px 0;
  padding-inline: 10px 4px;
  overflow-wrap: anywhere;
  min-width: 0;
  border: 2px solid var(--rail-ink);
  text-decoration: none;
  font-weight: 600;
  font-size: 17px;
}
.tool.here {
  background: var(--paper);
  color: var(--ink);
  border-color: var(--ink);
}
.key {
  font: 500 16px/1 var(--figures);
}
.bar {
  position: relative;
  display: flex;
  height: 60px;
  background: var(--steel);
  color: var(--on-steel);
  padding-bottom: env(safe-area-inset-bottom);
}
.bar .segment {
  flex: 1;
  display: flex;
  align-items: center;
  justify-content: center;
  border: 0;
  background: none;
  text-decoration: none;
  font-weight: 600;
  font-size: 16px;
}
.bar .segment.here {
  background: var(--paper);
  color: var(--ink);
  margin-top: -6px;
  border-top: 2px solid var(--ink);
}
.sheet {
  position: absolute;
  inset-inline-end: 0;
  bottom: 60px;
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 12px;
  background: var(--sheet);
  color: var(--ink);
  border: 2px solid var(--ink);
  z-index: 30;
}
.sheet .button {
  display: flex;
  align-items: center;
  min-height: 56px;
  min-width: 180px;
  text-decoration: none;
}
</style>
