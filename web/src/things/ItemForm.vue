<script setup lang="ts">
import {
  AMOUNT_UNITS,
  type ItemField,
  type ItemSaid,
  NOTHING_SAID,
  type Need,
  type StoreItem,
  USUAL,
  codeSaid,
  dayOf,
  fillingOf,
  isLot,
  itemEntry,
  itemFaults,
  itemSaid,
  storeKinds,
  twinOf,
} from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref, watch } from 'vue'
import ChipChoice from '../frame/ChipChoice.vue'
import QuantityField from '../frame/QuantityField.vue'
import ListField from '../frame/ListField.vue'
import Sheet from '../frame/Sheet.vue'
import { useClock } from '../stores/clock'
import { useJob } from '../stores/job'
import { capital, named, word } from '../words/word'
import FitsField from './FitsField.vue'

/** A thing of the store, put in or changed: what stands on it, what it fits, its days. */
const props = defineProps<{
  /** What joints need: their kinds stand first, and what they are to fit is there to be tapped. */
  needs: readonly Need[]
  /** Every kind may be put in, not only what is needed here. */
  all?: boolean
  item?: StoreItem | null
  /** A code that was scanned and stands on nothing yet. */
  code?: string
}>()
const emit = defineEmits<{ close: []; keep: [itemId: string, kind: string] }>()
const job = useJob()
const clock = useClock()
/** From so many kinds they are chosen from a list. */
const FEW = 6
const kinds = computed(() => {
  const needed = [...new Set(props.needs.map((need) => need.item))]
  const rest = storeKinds().map(({ kind }) => kind)
  return props.all ? [...new Set([...needed, ...rest])] : needed
})
const said = reactive<ItemSaid>({
  ...NOTHING_SAID,
  kind: kinds.value.length > FEW ? '' : (kinds.value[0] ?? ''),
  ...(props.code ? codeSaid(props.code, dayOf(clock.nowS, job.state.job.zone)) : {}),
  ...(props.item ? itemSaid(props.item) : {}),
})
const fits = reactive<Record<string, string>>({ ...props.item?.matches })
const lot = computed(() => isLot(said.kind))
/** What a thing of this kind is compared by, and what is wanted or known there. */
const keys = computed(() =>
  Object.entries(storeKinds().find(({ kind }) => kind === said.kind)?.keys ?? {}).map(([key, known]) => {
    const wanted = props.needs.flatMap((need) =>
      need.item === said.kind && need.matches[key] ? [need.matches[key]] : [],
    )
    return { key, choices: [...new Set([...wanted, ...known])] }
  }),
)
// What the only joint at hand needs is likely what was fetched.
watch(
  () => said.kind,
  (kind) => {
    if (props.item) return
    const own = props.needs.filter((need) => need.item === kind)
    for (const key of Object.keys(fits)) delete fits[key]
    if (own.length === 1) Object.assign(fits, own[0]?.matches)
  },
  { immediate: true },
)
const today = computed(() => dayOf(clock.nowS, job.state.job.zone))
/** A tin of cement tells its own days by its code. */
const filling = computed(() =>
  keys.value.some(({ key }) => key === 'plastic') && said.name.trim()
    ? fillingOf(said.name.trim(), today.value)
    : null,
)
const filled = computed(() => {
  const own = filling.value
  if (!own) return ''
  if (!own.ok) return word('thing-no-filling-date')
  return word('thing-filled', {
    filledOn: own.filledOn,
    expiresOn: own.expiresOn,
    isExpired: own.expired ? 'yes' : 'no',
  })
})
const more = ref(Boolean(props.item))
const faults = ref<ReturnType<typeof itemFaults>>([])
const faultAt = (field: ItemField): string => {
  const own = faults.value.find((fault) => fault.field === field)
  return own ? job.t(own.says) : ''
}
const faultOf = (key: string): ItemField => (key === 'plastic' ? 'plastic' : 'size')
watch([said, fits], () => (faults.value = []))
const twin = computed(() =>
  faults.value.some(({ says }) => says.code === 'store-there-already')
    ? twinOf(job.state, said, props.item?.id)
    : null,
)
function takeTwin(): void {
  if (twin.value) emit('keep', twin.value.id, twin.value.kind)
  emit('close')
}
/** One more of the same batch has the same code on it: it is told apart by a number. */
function another(): void {
  const code = said.name.trim()
  let number = 2
  while (twinOf(job.state, { kind: said.kind, name: `${code} #${number}` })) number++
  said.batch ||= code
  said.name = `${code} #${number}`
}
const whole = (): ItemSaid => ({
  ...said,
  matches: { ...fits },
  expiresOn: said.expiresOn.trim() || (filling.value?.ok ? filling.value.expiresOn : ''),
})
async function keep(): Promise<void> {
  const own = whole()
  faults.value = itemFaults(job.state, own, today.value, props.item?.id)
  if (faults.value.length) {
    more.value ||= faults.value.some(({ field }) => !['kind', 'name', 'size'].includes(field))
    return
  }
  const id = props.item?.id ?? crypto.randomUUID()
  const { kind, data } = itemEntry(own, id)
  await job.write([{ kind, data }], word('thing-kept', { name: own.name.trim() }))
  emit('keep', id, own.kind)
  emit('close')
}
/** Amounts are typed in the reader's own units and kept in these. */
const AS = {
  mm: { as: 'distance', usual: USUAL.reelMm },
  l: { as: 'tin', usual: USUAL.tinL },
  kg: { as: 'weight', usual: USUAL.reelKg },
} as const
const amount = computed<number | null>({
  get: () => (said.amount === '' ? null : Number(said.amount)),
  set: (value) => (said.amount = value === null ? '' : String(value)),
})
const days = computed(() =>
  lot.value ? (['expiresOn', 'boughtOn'] as const) : (['dueOn', 'checkedOn', 'boughtOn'] as const),
)
const shownDays = computed(() => days.value.slice(0, more.value ? undefined : 1))
</script>

<template>
  <Sheet :title="item ? item.name : word('thing-put-in')" @close="emit('close')">
    <template v-if="!item">
      <ChipChoice
        v-if="kinds.length <= FEW"
        v-model="said.kind"
        :label="word('thing-kind')"
        :options="kinds.map((kind) => [kind, named(kind)] as const)"
      />
      <ListField
        v-else
        id="thing-kind"
        v-model="said.kind"
        :label="word('thing-kind')"
        :placeholder="word('thing-choose')"
        :options="kinds.map((kind) => [kind, capital(named(kind))] as const)"
      />
    </template>
    <p v-if="faultAt('kind')" class="refusal" role="alert">{{ faultAt('kind') }}</p>
    <label for="thing-name">{{ word('thing-name') }}</label>
    <ElInput id="thing-name" v-model="said.name" size="large" maxlength="40" @keydown.enter="keep" />
    <p v-if="filled" class="why" role="status">{{ filled }}</p>
    <p v-if="faultAt('name')" class="refusal" role="alert">{{ faultAt('name') }}</p>
    <div v-if="twin" class="buttons">
      <button type="button" class="button main" @click="takeTwin">{{ word('thing-it-is-that-one') }}</button>
      <button v-if="lot" type="button" class="button" @click="another">
        {{ word('thing-another-of-it') }}
      </button>
    </div>
    <template v-for="{ key, choices } in keys" :key="key">
      <FitsField v-model="fits[key]" :name="key" :choices="choices" />
      <p v-if="faultAt(faultOf(key))" class="refusal" role="alert">{{ faultAt(faultOf(key)) }}</p>
    </template>
    <template v-for="day in shownDays" :key="day">
      <label :for="`thing-${day}`">{{ word(`thing-${day}`) }}</label>
      <ElInput
        :id="`thing-${day}`"
        v-model="said[day]"
        size="large"
        placeholder="2027-03-31"
        @keydown.enter="keep"
      />
      <p v-if="faultAt(day)" class="refusal" role="alert">{{ faultAt(day) }}</p>
    </template>
    <template v-if="more && lot">
      <label for="thing-batch">{{ word('thing-batch') }}</label>
      <ElInput id="thing-batch" v-model="said.batch" size="large" maxlength="40" />
      <label for="thing-open">{{ word('thing-openDays') }}</label>
      <ElInput id="thing-open" v-model="said.openDays" size="large" inputmode="numeric" />
      <p v-if="faultAt('openDays')" class="refusal" role="alert">{{ faultAt('openDays') }}</p>
      <label for="thing-amount">{{ word('thing-amount') }}</label>
      <ChipChoice
        v-model="said.unit"
        :label="word('thing-amount-in')"
        :options="AMOUNT_UNITS.map((unit) => [unit, word(`thing-in-${unit}`)] as const)"
      />
      <ElInput
        v-if="!said.unit || said.unit === 'count'"
        id="thing-amount"
        v-model="said.amount"
        size="large"
        inputmode="numeric"
        :disabled="!said.unit"
      />
      <QuantityField
        v-else
        :key="said.unit"
        v-model="amount"
        field-id="thing-amount"
        :label="word('thing-amount')"
        :as="AS[said.unit as keyof typeof AS].as"
        :usual="AS[said.unit as keyof typeof AS].usual"
        :least="0"
      />
      <p v-if="faultAt('amount') || faultAt('unit')" class="refusal" role="alert">
        {{ faultAt('amount') || faultAt('unit') }}
      </p>
    </template>
    <template v-if="more && lot === false">
      <label for="thing-certificate">{{ word('thing-certificate') }}</label>
      <ElInput id="thing-certificate" v-model="said.certificate" size="large" maxlength="40" />
    </template>
    <button v-if="!more" type="button" class="button" @click="more = true">{{ word('thing-more') }}</button>
    <button type="button" class="button main" :disabled="!said.kind" @click="keep">
      {{ all ? word('ui-keep-it') : word('make-keep-it-in-hand') }}
    </button>
  </Sheet>
</template>

<style scoped>
.button {
  min-height: 56px;
}
label {
  font-weight: 600;
}
</style>
