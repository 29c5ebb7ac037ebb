<script setup lang="ts">
import { computed, ref } from 'vue'
import { useView } from '../../view'
import { word } from '../../words/word'
import type { Found } from './use-plan'
import type { useSaid } from './use-said'

/** Why it is then and not sooner: what leads to it, what waits on purpose, on what it rests. */
const props = defineProps<{ said: ReturnType<typeof useSaid>; found: Found }>()
const emit = defineEmits<{ fix: [jointId: string] }>()
const view = useView()
const MOST = 5
const all = ref(false)
const chain = computed(() => props.said.chain.value)
const shown = computed(() => (all.value ? chain.value : chain.value.slice(0, MOST)))
const others = computed(() => {
  const { ready, main } = props.said
  return ready.value
    .filter((one) => one !== main.value && one.readyAtS > view.nowS)
    .map((one) => word('plan-other', { tag: one.section.tag, at: props.said.at(one.readyAtS) }))
    .join(', ')
})
const mean = computed(() => {
  const { plan, wish } = props.found
  if (wish.aim === 'last' || props.said.ready.value.length < 2) return ''
  return plan.proven
    ? word('plan-mean-proved')
    : word('plan-mean-within', { gap: (plan.valueS ?? 0) - (plan.boundS ?? 0) })
})
</script>

<template>
  <div class="reasons">
    <p v-if="others" class="why">{{ word('plan-others', { list: others }) }} {{ mean }}</p>
    <p v-for="one in said.waits.value" :key="one.jointId" class="strong">{{ one.says }}</p>
    <p v-if="said.held.value" class="why">{{ said.held.value }}</p>
    <ol v-if="chain.length" class="chain">
      <li v-for="link in shown" :key="link.joint.id">
        <button
          type="button"
          class="in-text"
          :aria-label="word('plan-fix-it', { tag: said.tag(link.joint.id) })"
          @click="emit('fix', link.joint.id)"
        >
          {{ said.linkSays(link) }}
        </button>
      </li>
      <li v-if="chain.length > MOST && !all">
        <button type="button" class="in-text" @click="all = true">
          {{ word('plan-more', { count: chain.length - MOST }) }}
        </button>
      </li>
    </ol>
    <ul class="rests">
      <li v-for="says in said.rests.value" :key="says" class="why">{{ says }}</li>
    </ul>
  </div>
</template>
<style scoped>
.chain {
  list-style: none;
  margin: 0 0 10px;
  padding-inline-start: 14px;
  border-inline-start: 2px solid var(--ink);
}
.rests {
  list-style: none;
  margin: 0;
  padding: 0;
}
.rests .why {
  margin: 0;
}
</style>
