<script setup lang="ts">
import { usePrefs } from './stores/prefs'

usePrefs()
</script>

<template>
  <RouterView />
</template>
