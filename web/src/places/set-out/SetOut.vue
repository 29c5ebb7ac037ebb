<script setup lang="ts">
import {
  fmt,
  type Item,
  allMethods,
  hasBranch,
  lineFaults,
  methodOf,
  unknownTakeOffs,
  named,
} from '@jugalis/core'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { isOwnKey } from '../../keys'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import CarrierSheet from './CarrierSheet.vue'
import EntryLine from './EntryLine.vue'
import LineDrawing from './LineDrawing.vue'
import LineSheet from './LineSheet.vue'
import NameSheet from './NameSheet.vue'
import PartList from './PartList.vue'
import RowTools from './RowTools.vue'
import SectionSheet from './SectionSheet.vue'
import TakeOffSheet from './TakeOffSheet.vue'
import { useEdits } from './use-edits'
import { useEntry } from './use-entry'
import { useLines } from './use-lines'
import { useRows } from './use-rows'
import { counted } from '../../counted'

const job = useJob()
const view = useView()
const route = useRoute()
const router = useRouter()
/** The line asked for, else the first with something still to make, else the last. */
const line = computed(
  () =>
    view.lines.find((l) => l.id === route.params.lineId) ??
    view.lines.find((l) =>
      l.items.some((i) => i.joints.some((id) => id !== null && view.looks.get(id)?.glyph === 'planned')),
    ) ??
    view.lines.at(-1) ??
    null,
)
const edits = useEdits(line)
const rows = useRows(line, edits)
const entry = useEntry(line, edits, (id) => rows.choose(id))
const lines = useLines(line, edits)
const sheet = ref<'line' | 'section' | 'carrier' | 'group' | 'copy' | null>(null)
const measured = ref<{ item: Item; branch: boolean } | null>(null)
const { fault } = edits

const pieces = computed(() => line.value?.items.filter((i) => i.type === 'piece') ?? [])
const jointsOf = (list: readonly Item[]): string[] =>
  list.flatMap((p) => p.joints).filter((j): j is string => j !== null)
const jointIds = computed(() => jointsOf(pieces.value))
const unknown = computed(() => (line.value ? unknownTakeOffs(job.state, line.value) : []))
const kinds = computed(
  () =>
    new Set(unknown.value.map((o) => [o.fitting.fitting, o.branch, o.fitting.size, o.fitting.size2].join()))
      .size,
)
const faults = computed(() => (line.value ? lineFaults(line.value) : []))
const sections = computed(() => {
  const own = new Set(jointIds.value)
  return [...view.answers.values()].filter((a) => a.section.jointIds.some((id) => own.has(id)))
})
/** A boundary is painted on what is chosen, or on the whole line. */
const painted = computed(() => {
  const chosen = jointsOf(rows.chosen.value)
  return rows.chosen.value.length > 1 && chosen.length ? chosen : jointIds.value
})
const headline = computed(() => {
  const l = line.value
  if (!l) return 'Nothing set out yet. Begin with a line.'
  if (!l.items.length) return 'Nothing set out yet. Type a fitting and a size, for example: tee 110.'
  if (!allMethods().some((m) => m.id === l.method)) return `${l.tag} has no method: choose how its ends meet.`
  if (faults.value.length)
    return `${l.tag} cannot be joined as it stands: ${counted(faults.value.length, 'place', 'places')} to mend.`
  return kinds.value
    ? `${l.tag} has ${counted(jointIds.value.length, 'joint')} and ${counted(pieces.value.length, 'piece')}; ${counted(kinds.value, 'take-off')} ${kinds.value === 1 ? 'is' : 'are'} not known.`
    : `${l.tag} is complete: ${counted(jointIds.value.length, 'joint')}, ${counted(pieces.value.length, 'piece')}, ${sections.value.length ? counted(sections.value.length, 'section') : 'no section yet'}.`
})
const go = (lineId: string): void =>
  void router.push({ name: 'set-out', params: { jobId: job.jobId as string, lineId } })

/** Enter on a row: what is most often asked of it. */
function openRow(item: Item): void {
  if (item.type === 'fitting') measured.value = { item, branch: false }
  else rows.typeOver(item.id)
}
const openBranch = (item: Item): void => void (measured.value = { item, branch: true })
const startEdit = (): void => rows.typeOver(rows.current.value?.id ?? null)
function insertAfter(): void {
  const at = rows.current.value
  if (!at) return
  entry.cursor.value = { after: at.id, branch: false }
  document.getElementById('entry')?.focus()
}
function key(e: KeyboardEvent): void {
  if (!isOwnKey(e)) return
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
    '.': () => document.getElementById('entry')?.focus(),
  }
  const act = line.value || e.key === 'n' ? acts[e.key] : undefined
  if (!act) return
  e.preventDefault()
  act()
}
onMounted(() => window.addEventListener('keydown', key))
onBeforeUnmount(() => window.removeEventListener('keydown', key))
const groupWrong = (name: string): string =>
  /^[\w -]{1,40}$/.test(name) ? '' : 'A group needs a name of letters and figures, for example: drop.'
</script>

<template>
  <div class="place">
    <nav v-if="view.lines.length" class="lines" aria-label="Lines">
      <RouterLink
        v-for="l in view.lines"
        :key="l.id"
        :to="{ name: 'set-out', params: { jobId: job.jobId, lineId: l.id } }"
        :class="{ here: l === line }"
        >{{ l.tag }} {{ l.name }}</RouterLink
      >
      <button type="button" class="button" @click="sheet = 'line'">New line</button>
    </nav>
    <div class="head">
      <h1>{{ headline }}</h1>
      <p v-for="f in faults.slice(0, 3)" :key="f.item.id" class="refusal">
        {{ job.t(f.says) }}
        <button type="button" class="figure-link" @click="rows.choose(f.item.id)">Show it</button>
      </p>
      <p v-if="line" class="why">
        {{ line.name }}. {{ named(line.material)
        }}<template v-if="line.series && line.series !== 'one wall'">, {{ named(line.series) }}</template
        >, {{ line.school }} school<template v-if="line.ratingBar"
          >, rated {{ fmt.pressure(line.ratingBar, job.reader) }}</template
        >, in {{ job.state.places.get(line.placeId) ?? 'a place not named' }}.
      </p>
    </div>
    <button v-if="!line" type="button" class="button main begin" @click="sheet = 'line'">Begin a line</button>
    <template v-else>
      <LineDrawing
        v-if="line.items.length"
        class="drawn"
        :line="line"
        :current="rows.currentId.value"
        @pick="(id) => rows.choose(id)"
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
        @take-off="(item, branch) => (measured = { item, branch })"
        @open="openRow"
      />
      <EntryLine :entry="entry" :fault="fault" :school="line.school" :line="line.tag" />
      <div class="sections">
        <h2>Sections</h2>
        <p v-if="!sections.length" class="why">No boundary painted on this line yet.</p>
        <p v-for="a in sections" :key="a.section.id">
          <RouterLink
            class="strong"
            :to="{ name: 'prove', params: { jobId: job.jobId, sectionId: a.section.id } }"
            >{{ a.section.tag }}</RouterLink
          >
          {{ counted(a.section.jointIds.length, 'joint') }}, test
          {{ fmt.pressure(a.section.testBar, job.reader) }} for {{ fmt.duration(a.section.holdS) }}, working
          {{ fmt.pressure(a.section.workingBar, job.reader) }}.
        </p>
        <div class="buttons">
          <button type="button" class="button" :disabled="!painted.length" @click="sheet = 'section'">
            {{
              painted.length < jointIds.length
                ? `Paint a section on ${counted(painted.length, 'joint')}`
                : 'Paint a section on this line'
            }}
          </button>
          <button
            v-if="jointIds.length && !line.insideOf && methodOf(line.method)?.inserts"
            type="button"
            class="button"
            @click="sheet = 'carrier'"
          >
            Pipe in pipe: a carrier inside
          </button>
          <RouterLink class="button" :to="{ name: 'import', params: { jobId: job.jobId, lineId: line.id } }"
            >Bring in a schedule</RouterLink
          >
          <RouterLink class="button" :to="{ name: 'fittings', params: { jobId: job.jobId } }"
            >Fittings and take-offs</RouterLink
          >
          <RouterLink class="button" :to="{ name: 'supports', params: { jobId: job.jobId } }"
            >Supports and growth</RouterLink
          >
          <button type="button" class="button" :disabled="!line.items.length" @click="sheet = 'copy'">
            Copy the line
          </button>
          <button type="button" class="button" :disabled="!line.items.length" @click="lines.renumber()">
            Number anew
          </button>
        </div>
        <template v-if="entry.groups.value.length">
          <h2>Groups</h2>
          <p v-for="g in entry.groups.value" :key="g.id">
            <strong>use {{ g.name }}</strong> {{ g.entries.join(', ') }}
            <button type="button" class="figure-link" @click="lines.dropGroup(g.id, g.name)">put away</button>
          </p>
        </template>
      </div>
    </template>
    <LineSheet v-if="sheet === 'line'" @close="sheet = null" @made="go" />
    <CarrierSheet v-if="sheet === 'carrier' && line" :line="line" @close="sheet = null" @made="go" />
    <SectionSheet
      v-if="sheet === 'section' && line"
      :line="line"
      :joint-ids="painted"
      @close="sheet = null"
    />
    <NameSheet
      v-if="sheet === 'group'"
      title="Keep these rows as a group"
      label="Name of the group"
      says="A group is typed in one go: use and its name."
      action="Keep it"
      :wrong="groupWrong"
      @close="sheet = null"
      @named="(name) => lines.keepGroup(name, rows.chosen.value)"
    />
    <NameSheet
      v-if="sheet === 'copy' && line"
      :title="`Copy ${line.tag}`"
      label="Tag of the new line"
      says="The same parts and measures under another tag, nothing made, nothing cut."
      action="Copy the line"
      :wrong="lines.tagWrong"
      @close="sheet = null"
      @named="(tag) => lines.copyLine(tag).then((id) => id && go(id))"
    />
    <TakeOffSheet v-if="measured" :item="measured.item" :branch="measured.branch" @close="measured = null" />
  </div>
</template>

<style scoped>
.lines {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
}
.lines a {
  min-height: 44px;
  min-width: 44px;
  display: flex;
  align-items: center;
  text-decoration: none;
  font-weight: 500;
}
.lines a.here {
  font-weight: 600;
  box-shadow: inset 0 -3px 0 var(--copper);
}
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
  /* One row of lines that slides; the list before the drawing. */
  .lines {
    flex-wrap: nowrap;
    overflow-x: auto;
    margin: 0 -14px;
    padding: 0 14px;
  }
  .lines > * {
    flex: none;
  }
  .drawn,
  .sections {
    order: 1;
  }
  .entry {
    order: 2;
  }
}
</style>
