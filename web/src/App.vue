<script setup lang="ts">
import { watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { unloaded } from './router'
import { usePrefs } from './stores/prefs'
import { useSession } from './stores/session'
import { language } from './words/language'
import { word } from './words/word'

usePrefs()
const session = useSession()
const route = useRoute()
const router = useRouter()
// Inside a job work goes on, with a word about it; anywhere else there is nothing to do but sign in.
watch(
  () =>
    session.lapsed &&
    route.name !== undefined &&
    !route.params.jobId &&
    route.name !== 'sign-in' &&
    route.meta.open !== true,
  (out) => {
    if (out) void router.replace({ name: 'sign-in', query: { to: route.fullPath } })
  },
)
</script>

<template>
  <RouterView :key="language" />
  <div v-if="unloaded" class="unloaded" role="alert">
    <p>{{ word('app-this-page-could-not') }}</p>
    <a class="button" :href="unloaded">{{ word('app-try-again') }}</a>
  </div>
</template>

<style scoped>
.unloaded {
  position: fixed;
  inset: auto 0 0 0;
  z-index: 20;
  padding: 12px 18px;
  background: var(--sheet);
  border-top: 2px solid var(--ink);
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
.unloaded p {
  margin: 0;
}
</style>
