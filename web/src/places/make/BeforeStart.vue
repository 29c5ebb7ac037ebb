<script setup lang="ts">
import {
  type Finding,
  type JointFacts,
  type Need,
  type StoreItem,
  NOT_KNOWN,
  neverSetAside,
  saidOf,
  standingOf,
  unsaid,
} from '@jugalis/core'
import { ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/select/style/css'
import 'element-plus/es/components/option/style/css'
import { computed, ref } from 'vue'
import { keepJson, readJson } from '../../stored'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { fitsSaid } from '../../things/fits'
import ItemForm from '../../things/ItemForm.vue'
import ScanLine from '../../things/ScanLine.vue'
import AroundSheet from './AroundSheet.vue'
import PermitSheet from './PermitSheet.vue'
import ToolSheet from './ToolSheet.vue'
import type { useTools } from './use-tools'
import { dayText } from '../../when'
import { answerTold, named, word } from '../../words/word'

/** What to fetch and what is wrong today; tin, tools and permit asked once, then kept. */
const props = defineProps<{
  facts: JointFacts
  findings: readonly Finding[]
  tools: ReturnType<typeof useTools>
  /** Under way: only what is wrong is said. */
  brief: boolean
}>()
const emit = defineEmits<{ override: [] }>()
const job = useJob()
const clock = useClock()
const FETCHED = 'jugalis-fetched'
const needText = (need: Need): string => {
  const all = Object.entries(need.matches).filter(([, v]) => v !== 'no' && v !== 'yes')
  // What fits by a measure is named by it: a clamp for a flange of so much.
  const fits = all
    .filter(([what]) => what.endsWith('Mm'))
    .map(([what, v]) => word('make-for-a', { mm: Number(v), kind: what.slice(0, -2) }))
    .join(' ')
  const of = all
    .filter(([what]) => !what.endsWith('Mm'))
    .map(([what, v]) => named(v === 'free' ? `${what}-free` : v))
    .join(' ')
  return word('make-need', {
    of,
    item: named(need.item),
    fits,
    mm: need.unit === 'mm' ? need.qty.value : null,
    long: need.qty.value !== null && need.unit === 'mm' ? 'yes' : 'no',
  })
}
/** A code that stands on nothing yet: what it is on is put in under it. */
const coded = ref('')
function scan(code: string): Finding | null {
  const says = props.tools.scan(code)
  if (says?.code !== 'scan-unknown') return says
  coded.value = code.trim()
  sheet.value = 'new'
  return says
}
/** What was said of a code that was not known is no longer so. */
const scans = ref(0)
function closed(): void {
  sheet.value = null
  coded.value = ''
  scans.value++
}
const wanted = computed(() => props.tools.needs.value.map(needText))
/** What was fetched for the joint before this one lies there already. */
const before = ref(readJson<{ joint?: string; all?: string[] }>(FETCHED, 'visit') ?? {})
const fetch = computed(() =>
  before.value.joint && before.value.joint !== props.facts.id
    ? wanted.value.filter((w) => !before.value.all?.includes(w))
    : wanted.value,
)
defineExpose({
  /** Work on this joint has begun: what it needs is there. */
  begun: () => keepJson(FETCHED, { joint: props.facts.id, all: wanted.value }, 'visit'),
})
const offered = computed(() => new Set(props.tools.offered.value.map((item) => item.kind)))
/** Chosen from a list: what nothing is offered of, and what is in hand already. */
const listed = computed(() =>
  [...new Set(props.tools.known.value.map((item) => item.kind))].filter((kind) => !offered.value.has(kind)),
)
const ofKind = (kind: string): readonly StoreItem[] =>
  props.tools.known.value.filter((item) => item.kind === kind)
const inHand = (kind: string): StoreItem | null =>
  props.tools.chosen.value.find((item) => item.kind === kind) ?? null
/** A thing by its name, with what it fits and its last day. */
function itemSays(item: StoreItem): string {
  const fits = fitsSaid(item.matches)
  const { untilOn } = standingOf(job.state, item, clock.nowS)
  return word('thing-says', {
    name: item.name,
    fits,
    untilOn: untilOn ? dayText(untilOn) : '',
    hasFits: fits ? 'yes' : 'no',
    hasDay: untilOn ? 'yes' : 'no',
  })
}
const stops = computed(() => props.findings.filter((f) => f.level === 'stop'))
const permitMissing = computed(() => stops.value.some((f) => f.code === 'choice-solder-permit'))
/** What the rules of choice depend on: still to be asked, and what was said. */
const asks = computed(() => props.facts.method?.asks ?? [])
const open = computed(() => unsaid(job.state, props.facts.place))
const questions = computed(() =>
  !open.value.length
    ? word('make-answers')
    : open.value.length === 1
      ? word('make-questions', { open: 1 })
      : word('make-questions', { open: open.value.length }),
)
const said = computed(() => {
  const known = saidOf(job.state, props.facts.place)
  return asks.value.flatMap((fact) => {
    const value = known[fact]
    return value && value !== NOT_KNOWN ? [answerTold(fact, value)] : []
  })
})
const sheet = ref<'tool' | 'new' | 'permit' | 'around' | null>(null)
const opened = ref<StoreItem | null>(null)
function openTool(tool: StoreItem): void {
  opened.value = tool
  sheet.value = 'tool'
}
</script>

<template>
  <div class="before">
    <p v-if="!brief">
      {{
        fetch.length ? word('make-fetch', { fetch: fetch.join(', ') }) : word('make-nothing-else-to-fetch')
      }}
    </p>
    <p
      v-for="f in findings"
      :key="f.code + JSON.stringify(f.params)"
      :class="{ refusal: f.level === 'stop', warn: f.level === 'warn' }"
    >
      {{ job.t(f) }}
    </p>
    <p v-if="!brief && !open.length && said.length" class="why">
      {{ word('make-here', { said: said.join('; ') }) }}
    </p>
    <div v-if="!brief && (offered.size || listed.length)" class="hand">
      <button
        v-for="item in tools.offered.value"
        :key="item.id"
        type="button"
        class="button"
        @click="tools.take(item.kind, item.id)"
      >
        {{ word('thing-take', { kind: named(item.kind), says: itemSays(item) }) }}
      </button>
      <div v-for="kind in listed" :key="kind" class="field">
        <span>{{ named(kind) }}</span>
        <ElSelect
          :teleported="false"
          :model-value="inHand(kind)?.id ?? ''"
          size="large"
          :placeholder="word('ui-not-said')"
          :aria-label="word('make-in-hand', { kind: named(kind) })"
          @update:model-value="(v: string) => tools.take(kind, v || null)"
        >
          <ElOption v-for="t in ofKind(kind)" :key="t.id" :value="t.id" :label="itemSays(t)" />
          <ElOption value="" :label="word('ui-not-said')" />
        </ElSelect>
        <button v-if="inHand(kind)" type="button" class="button" @click="openTool(inHand(kind) as StoreItem)">
          {{ word(inHand(kind)?.lot ? 'thing-report-it' : 'make-try-it-report-it') }}
        </button>
      </div>
    </div>
    <div v-if="stops.length || !brief" class="row">
      <button
        v-if="!brief && asks.length"
        type="button"
        class="button"
        :class="{ wanted: open.length }"
        @click="sheet = 'around'"
      >
        {{ questions }}
      </button>
      <button v-if="permitMissing" type="button" class="button" @click="sheet = 'permit'">
        {{ word('make-hot-work-permit') }}
      </button>
      <button
        v-if="stops.some((s) => !neverSetAside(s.code))"
        type="button"
        class="button stop"
        @click="emit('override')"
      >
        {{ word('make-go-on-with-a') }}
      </button>
      <template v-if="!brief && tools.needs.value.length">
        <button type="button" class="button" @click="sheet = 'new'">{{ word('thing-put-in-one') }}</button>
        <ScanLine :key="scans" :scan="scan" :taken="(code) => word('make-is-in-hand', { code })" />
      </template>
    </div>
    <ToolSheet v-if="sheet === 'tool' && opened" :tool="opened" @close="sheet = null" />
    <ItemForm
      v-if="sheet === 'new'"
      :needs="tools.needs.value"
      :code="coded"
      @close="closed"
      @keep="(id, kind) => tools.take(kind, id)"
    />
    <AroundSheet v-if="sheet === 'around'" :facts="facts" :asks="asks" @close="sheet = null" />
    <PermitSheet v-if="sheet === 'permit'" @close="sheet = null" />
  </div>
</template>

<style scoped>
.before {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.warn::before {
  content: '▲ ';
  color: var(--wet-ink);
}
/* Still to be answered: drawn as a mark that is missing. */
.wanted {
  border-style: dashed;
  border-width: 2px;
}
.hand {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.row :deep(.button) {
  flex: 1 1 76px;
  padding-inline: 6px;
}
.field {
  display: flex;
  align-items: center;
  gap: 10px;
}
.field > span {
  font-weight: 600;
}
.field :deep(.el-select__wrapper),
.button {
  min-height: 56px;
}
</style>
