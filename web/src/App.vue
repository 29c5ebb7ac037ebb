<script setup lang="ts">
import { watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { usePrefs } from './stores/prefs'
import { useSession } from './stores/session'

usePrefs()
const session = useSession()
const route = useRoute()
const router = useRouter()
// Inside a job work goes on, with a word about it; anywhere else there is nothing to do but sign in.
watch(
  () => session.lapsed && route.name !== undefined && !route.params.jobId && route.name !== 'sign-in',
  (out) => {
    if (out) void router.replace({ name: 'sign-in', query: { to: route.fullPath } })
  },
)
</script>

<template>
  <RouterView />
</template>
