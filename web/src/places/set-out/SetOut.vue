<script setup lang="ts">
import { type EndAt, type Item, faultsOf, hasBranch, methodOf } from '@jugalis/core'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { isOwnKey } from '../../keys'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import CarrierSheet from './CarrierSheet.vue'
import EntryLine from './EntryLine.vue'
import LineLooks from './LineLooks.vue'
import LineSheet from './LineSheet.vue'
import LineTabs from './LineTabs.vue'
import LineWays from './LineWays.vue'
import NameSheet from './NameSheet.vue'
import PartList from './PartList.vue'
import PlaceHint from './PlaceHint.vue'
import RowTools from './RowTools.vue'
import SectionSheet from './SectionSheet.vue'
import TakeOffSheet from './TakeOffSheet.vue'
import ToMeasure from './ToMeasure.vue'
import { useAddress } from './use-address'
import { useEdits } from './use-edits'
import { useEntry } from './use-entry'
import { useLineHeadline } from './use-line-headline'
import { useLines } from './use-lines'
import { useRows } from './use-rows'
import { useWays } from './use-ways'
import WaySheet from './WaySheet.vue'
import { named, word } from '../../words/word'
import { Figures, Said } from '../../words/said'

const job = useJob()
const view = useView()
const router = useRouter()
const { line, choosePart } = useAddress()
const edits = useEdits(line)
const rows = useRows(line, edits)
choosePart((id) => rows.choose(id))
const entry = useEntry(line, edits, (id) => rows.choose(id))
const lines = useLines(line, edits)
const sheet = ref<'line' | 'change' | 'section' | 'carrier' | 'group' | 'copy' | null>(null)
const { ways, asking, waysIn } = useWays(line)
const measured = ref<{ item: Item; at: EndAt } | null>(null)
const { fault } = edits

const pieces = computed(() => line.value?.items.filter((i) => i.type === 'piece') ?? [])
const jointsOf = (list: readonly Item[]): string[] =>
  list.flatMap((p) => p.joints).filter((j): j is string => j !== null)
const jointIds = computed(() => jointsOf(line.value?.items ?? []))
const faults = computed(() => (line.value ? faultsOf(job.state, line.value) : []))
const sections = computed(() => {
  const own = new Set(jointIds.value)
  return view.sections.filter((a) => a.section.jointIds.some((id) => own.has(id)))
})
/** A boundary is painted on what is chosen, or on the whole line. */
const painted = computed(() => {
  const chosen = jointsOf(rows.chosen.value)
  return rows.chosen.value.length > 1 && chosen.length ? chosen : jointIds.value
})
const cannot = computed(() => faults.value.filter((f) => f.stops))
const headline = useLineHeadline(line, { faults: cannot, jointIds, pieces, sections })
const go = (lineId: string): void =>
  void router.push({ name: 'set-out', params: { jobId: job.jobId as string, lineId } })

/** Enter on a row: what is most often asked of it. */
function openRow(item: Item): void {
  if (item.type === 'fitting') measured.value = { item, at: 0 }
  else rows.typeOver(item.id)
}
const openBranch = (item: Item): void => void (measured.value = { item, at: 2 })
const startEdit = (): void => rows.typeOver(rows.current.value?.id ?? null)
function insertAfter(): void {
  const at = rows.current.value
  if (!at) return
  entry.cursor.value = { after: at.id, branch: false }
  document.getElementById('entry')?.focus()
}
function key(event: KeyboardEvent): void {
  if (!isOwnKey(event)) return
  const acts: Record<string, () => void> = {
    j: () => rows.step(1),
    k: () => rows.step(-1),
    J: () => rows.step(1, true),
    K: () => rows.step(-1, true),
    e: startEdit,
    d: () => void rows.copy(),
    D: () => void rows.remove(),
    i: insertAfter,
    t: () => rows.current.value?.type === 'fitting' && openRow(rows.current.value),
    T: () => rows.current.value && hasBranch(rows.current.value) && openBranch(rows.current.value),
    n: () => void (sheet.value = 'line'),
    g: () => void (sheet.value = 'change'),
    '.': () => document.getElementById('entry')?.focus(),
  }
  const act = line.value || event.key === 'n' ? acts[event.key] : undefined
  if (!act) return
  event.preventDefault()
  act()
}
onMounted(() => window.addEventListener('keydown', key))
onBeforeUnmount(() => window.removeEventListener('keydown', key))
const groupWrong = (name: string): string =>
  /^[\w -]{1,40}$/.test(name) ? '' : word('set-out-a-group-needs-a')
</script>

<template>
  <div class="place">
    <LineTabs v-if="view.lines.length" :here="line" @fresh="sheet = 'line'" />
    <div class="head">
      <h1><Figures :text="headline" /></h1>
      <p v-for="f in faults.slice(0, 3)" :key="f.item.id" :class="f.stops ? 'refusal' : 'doubt'">
        <template v-if="f.at">{{ f.at }}: </template>{{ job.t(f.says) }}
        <button type="button" class="figure-link" @click="rows.choose(f.item.id)">
          {{ word('set-out-show-it') }}
        </button>
      </p>
      <p v-if="line" class="why">
        {{
          word('set-out-line-is', {
            name: line.name,
            material: named(line.material),
            series: line.series && line.series !== 'one wall' ? named(line.series) : '',
            school: line.school,
            ratingBar: line.ratingBar,
            place: job.state.places.get(line.placeId) ?? word('set-out-a-place-not-named'),
          })
        }}
        <button type="button" class="figure-link" @click="sheet = 'change'">
          {{ word('set-out-change-it') }}
        </button>
      </p>
      <ToMeasure v-if="line" :line="line" />
      <LineWays
        v-if="line && ways.length > 1"
        :line="line"
        :ways="ways"
        @ask="(method) => (asking = method)"
      />
    </div>
    <button v-if="!line" type="button" class="button main begin" @click="sheet = 'line'">
      {{ word('set-out-begin-a-line') }}
    </button>
    <template v-else>
      <LineLooks
        class="drawn"
        :line="line"
        :current="rows.currentId.value"
        :cursor="entry.cursor.value"
        :edits="edits"
        @pick="(id) => rows.choose(id)"
        @placed="entry.toEnd()"
        @take-off="(item, at) => (measured = { item, at })"
      />
      <RowTools
        v-if="line.items.length"
        :rows="rows"
        @edit="startEdit"
        @insert="insertAfter"
        @group="sheet = 'group'"
      />
      <PartList
        v-if="line.items.length"
        :line="line"
        :rows="rows"
        @take-off="(item, at) => (measured = { item, at })"
        @open="openRow"
      />
      <EntryLine :entry="entry" :fault="fault" :line="line" />
      <div class="sections">
        <h2>{{ word('set-out-sections') }}</h2>
        <p v-if="!sections.length" class="why">{{ word('set-out-no-boundary-painted-on') }}</p>
        <p v-for="a in sections" :key="a.section.id">
          <Said
            code="set-out-joints-test-for-working"
            :values="{
              jointIds: a.section.jointIds.length,
              testBar: a.section.testBar,
              holdS: a.section.holdS,
              workingBar: a.section.workingBar,
            }"
          >
            <template #section>
              <RouterLink
                class="strong"
                :to="{ name: 'prove', params: { jobId: job.jobId, sectionId: a.section.id } }"
                >{{ a.section.tag }}</RouterLink
              >
            </template>
          </Said>
          {{ waysIn(a.section.jointIds) }}
        </p>
        <div class="buttons">
          <button type="button" class="button" :disabled="!painted.length" @click="sheet = 'section'">
            {{
              painted.length < jointIds.length
                ? word('set-out-paint-a-section-on', { painted: painted.length })
                : word('set-out-paint-a-section-on-this')
            }}
          </button>
          <button
            v-if="jointIds.length && !line.insideOf && methodOf(line.method)?.inserts"
            type="button"
            class="button"
            @click="sheet = 'carrier'"
          >
            {{ word('set-out-pipe-in-pipe-a') }}
          </button>
          <RouterLink
            class="button"
            :to="{ name: 'import', params: { jobId: job.jobId, lineId: line.id } }"
            >{{ word('set-out-bring-in-a-schedule') }}</RouterLink
          >
          <RouterLink class="button" :to="{ name: 'fittings', params: { jobId: job.jobId } }">{{
            word('set-out-fittings-and-take-offs')
          }}</RouterLink>
          <RouterLink class="button" :to="{ name: 'supports', params: { jobId: job.jobId } }">{{
            word('set-out-supports-and-growth')
          }}</RouterLink>
          <button type="button" class="button" :disabled="!line.items.length" @click="sheet = 'copy'">
            {{ word('set-out-copy-the-line') }}
          </button>
          <button type="button" class="button" :disabled="!line.items.length" @click="lines.renumber()">
            {{ word('set-out-number-anew') }}
          </button>
        </div>
        <PlaceHint :line="line" />
        <template v-if="entry.groups.value.length">
          <h2>{{ word('set-out-groups') }}</h2>
          <p v-for="g in entry.groups.value" :key="g.id">
            <strong>{{ word('set-out-use', { name: g.name }) }}</strong> {{ g.entries.join(', ') }}
            <button type="button" class="figure-link" @click="lines.dropGroup(g.id, g.name)">
              {{ word('set-out-put-away') }}
            </button>
          </p>
        </template>
      </div>
    </template>
    <LineSheet v-if="sheet === 'line'" :line="null" @close="sheet = null" @made="go" />
    <LineSheet v-if="sheet === 'change' && line" :line="line" @close="sheet = null" />
    <WaySheet v-if="asking && line" :line="line" :method="asking" @close="asking = null" />
    <CarrierSheet v-if="sheet === 'carrier' && line" :line="line" @close="sheet = null" @made="go" />
    <SectionSheet
      v-if="sheet === 'section' && line"
      :line="line"
      :joint-ids="painted"
      @close="sheet = null"
    />
    <NameSheet
      v-if="sheet === 'group'"
      :title="word('set-out-keep-these-rows-as')"
      :label="word('set-out-name-of-the-group')"
      :says="word('set-out-a-group-is-typed')"
      :action="word('ui-keep-it')"
      :wrong="groupWrong"
      @close="sheet = null"
      @named="(name) => lines.keepGroup(name, rows.chosen.value)"
    />
    <NameSheet
      v-if="sheet === 'copy' && line"
      :title="word('set-out-copy', { tag: line.tag })"
      :label="word('set-out-tag-of-the-new')"
      :says="word('set-out-the-same-parts-and')"
      :action="word('set-out-copy-the-line')"
      :wrong="lines.tagWrong"
      @close="sheet = null"
      @named="(tag) => lines.copyLine(tag).then((id) => id && go(id))"
    />
    <TakeOffSheet v-if="measured" :item="measured.item" :at="measured.at" @close="measured = null" />
  </div>
</template>

<style scoped>
.begin {
  align-self: flex-start;
  min-height: 56px;
}
.sections {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: flex-start;
}
@media (max-width: 720px) {
  /* The list before the drawing. */
  .drawn,
  .sections {
    order: 1;
  }
  .entry {
    order: 2;
  }
}
</style>
