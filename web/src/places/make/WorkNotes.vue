<script setup lang="ts">
import { type Section, stateNow } from '@jugalis/core'
import { useJob } from '../../stores/job'

/** What stands over the action: a section that is live or full, a part that was put aside. */
defineProps<{
  live: { own: boolean; section: Section } | null
  full: Section | null
  /** Why a part was put aside before anything was made with it. */
  aside: string
}>()
const job = useJob()
</script>

<template>
  <p v-if="live" class="refusal" role="alert">
    {{
      job.t({
        code: live.own ? 'work-live' : 'work-live-near',
        params: { section: live.section.tag, state: stateNow(job.state, live.section) },
      })
    }}
  </p>
  <p v-else-if="full" class="warn">
    {{ job.t({ code: 'work-full', params: { section: full.tag } }) }}
  </p>
  <p v-if="aside" class="warn" role="status">
    {{ job.t({ code: 'part-aside', params: { why: aside } }) }}
  </p>
</template>
