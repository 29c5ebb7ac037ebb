<script setup lang="ts">
import type { Wanted } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import { capital, word } from '../../words/word'
import { useShopping } from './use-shopping'
import { needSaid, quantitySaid } from './use-store'

/** What joints that are not made need, against what is there; what is short can be carried to a shop. */
const props = defineProps<{ wanted: readonly Wanted[] }>()
const job = useJob()
const shopping = useShopping()
const busy = ref(false)
async function paper(): Promise<void> {
  busy.value = true
  await shopping.paper(props.wanted).finally(() => (busy.value = false))
}
const FEW = 12
const most = ref(FEW)
const shown = computed(() => props.wanted.slice(0, most.value))
const thereSaid = (row: Wanted): string => {
  if (!row.there.length) return word('shelf-none-there')
  const much = quantitySaid(row.thereQty, row.unit, job.reader)
  const names = row.there.map((item) => item.name).join(', ')
  return much && !row.need.lasts ? word('shelf-there', { much, names }) : names
}
</script>

<template>
  <section v-if="wanted.length" aria-labelledby="wanted">
    <h2 id="wanted">{{ word('shelf-wanted') }}</h2>
    <div class="rows" role="table" :aria-label="word('shelf-wanted')">
      <div class="row head" role="row">
        <span role="columnheader">{{ word('shelf-what') }}</span>
        <span role="columnheader">{{ word('shelf-for') }}</span>
        <span role="columnheader">{{ word('shelf-much') }}</span>
        <span role="columnheader">{{ word('shelf-is-there') }}</span>
      </div>
      <div v-for="row in shown" :key="needSaid(row)" class="row" :class="{ short: row.short }" role="row">
        <span role="cell" class="strong">{{ capital(needSaid(row)) }}</span>
        <span role="cell">{{ word('shelf-joints', { joints: row.joints.length }) }}</span>
        <span role="cell">{{ quantitySaid(row.qty, row.unit, job.reader) || word('shelf-by-maker') }}</span>
        <span role="cell">{{ row.short ? `▲ ${thereSaid(row)}` : thereSaid(row) }}</span>
      </div>
    </div>
    <div class="buttons no-print">
      <button v-if="wanted.length > most" type="button" class="button" @click="most = Infinity">
        {{ word('shelf-show-all', { count: wanted.length }) }}
      </button>
      <button type="button" class="button" :disabled="busy" @click="paper">
        {{ word('shelf-shopping-paper') }}
      </button>
      <button type="button" class="button" @click="shopping.table(wanted)">
        {{ word('shelf-shopping') }}
      </button>
    </div>
  </section>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 2fr 1fr 1fr 2fr;
  gap: 10px;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
.head {
  color: var(--soft);
}
@media (max-width: 640px) {
  .row {
    grid-template-columns: 1fr 1fr;
    gap: 0 10px;
  }
  .head {
    display: none;
  }
}
</style>
