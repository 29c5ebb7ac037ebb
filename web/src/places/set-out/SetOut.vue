<script setup lang="ts">
import {
  type Item,
  type Msg,
  addEntry,
  allMethods,
  methodOf,
  parseEntry,
  takeOffOf,
  unknownTakeOffs,
} from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, nextTick, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import JointGlyph from '../../tapes/JointGlyph.vue'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import CarrierSheet from './CarrierSheet.vue'
import LineDrawing from './LineDrawing.vue'
import LineSheet from './LineSheet.vue'
import SectionSheet from './SectionSheet.vue'
import TakeOffSheet from './TakeOffSheet.vue'

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
const text = ref('')
const fault = ref('')
const recall = ref<string[]>([])
const sheet = ref<'line' | 'section' | 'carrier' | null>(null)
const measured = ref<Item | null>(null)
const pieces = computed(() => line.value?.items.filter((i) => i.type === 'piece') ?? [])
const jointIds = computed(() => pieces.value.flatMap((p) => p.joints).filter((j): j is string => j !== null))
const unknown = computed(() => (line.value ? unknownTakeOffs(job.state, line.value) : []))
const kinds = computed(() => new Set(unknown.value.map((i) => `${i.fitting} ${i.size} ${i.size2}`)).size)
const sections = computed(() =>
  [...view.answers.values()].filter((a) => a.section.jointIds.some((id) => jointIds.value.includes(id))),
)
const say = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`
const headline = computed(() => {
  const l = line.value
  if (!l) return 'Nothing set out yet. Begin with a line.'
  if (!l.items.length) return 'Nothing set out yet. Type a fitting and a size, for example: tee 110.'
  if (!allMethods().some((m) => m.id === l.method)) return `${l.tag} has no method: choose how its ends meet.`
  return kinds.value
    ? `${l.tag} has ${say(jointIds.value.length, 'joint')} and ${say(pieces.value.length, 'piece')}; ${say(kinds.value, 'take-off')} ${kinds.value === 1 ? 'is' : 'are'} not known.`
    : `${l.tag} is complete: ${say(jointIds.value.length, 'joint')}, ${say(pieces.value.length, 'piece')}, ${say(sections.value.length, 'section')}.`
})
const rows = computed(() =>
  (line.value?.items ?? []).map((item) => ({
    item,
    what: item.type === 'fitting' ? item.fitting : 'pipe',
    size: [item.size, item.size2].filter(Boolean).join(' to '),
    measure:
      item.type === 'piece' && item.measuredMm !== null
        ? `${item.measuredMm} ${item.measure?.replace('centre-centre', 'c-c').replace('centre-face', 'c-f').replace('face-face', 'f-f').replace('end-end', 'e-e')}`
        : '',
    takeOff: item.type === 'fitting' ? takeOffOf(job.state, item) : null,
    joints: ([0, 1] as const).flatMap((e) => {
      const id = item.joints[e]
      const look = id ? view.looks.get(id) : undefined
      return id ? [{ id, tag: item.jointTags[e] ?? '', look }] : []
    }),
  })),
)

/** One entry is placed at a time, in the order typed: the next one stands on what the last one made. */
let placing: Promise<void> = Promise.resolve()
function enter(): void {
  const typed = text.value.trim()
  if (!typed) return
  // The field is free at once: a quick typist is already at the next entry while this one is kept.
  text.value = ''
  recall.value = [typed, ...recall.value].slice(0, 20)
  placing = placing.then(() => place(typed))
}
async function place(typed: string): Promise<void> {
  const l = line.value
  if (!l) return
  const refuse = (why: Msg): void => {
    fault.value = job.t(why)
    text.value ||= typed
  }
  const entry = parseEntry(typed, l.school, methodOf(l.method)?.sizes(l.material) ?? [])
  if (!entry.ok) return refuse(entry.why)
  const added = addEntry(l, entry, () => crypto.randomUUID())
  if (!added.ok) return refuse(added.why)
  fault.value = ''
  await job.write(
    added.puts.map((p) => ({ kind: 'item-put', data: { lineId: l.id, ...p } })),
    `${typed} is set out.`,
  )
  await nextTick()
  document.querySelector('.entry')?.scrollIntoView({ block: 'nearest' })
}
const lastFittings = computed(() =>
  [
    ...new Set(
      [...(line.value?.items ?? [])]
        .reverse()
        .filter((i) => i.type === 'fitting')
        .map(
          (i) =>
            `${i.fitting} ${[i.size, i.size2]
              .filter(Boolean)
              .map((s) => s?.replace(/^(d|NPS )/, ''))
              .join(' ')}`,
        ),
    ),
  ].slice(0, 3),
)
async function removeLast(item: Item): Promise<void> {
  const l = line.value
  if (!l) return
  await job.write(
    [{ kind: 'item-removed', data: { lineId: l.id, itemId: item.id } }],
    `${item.tag} is taken out.`,
  )
}
const go = (lineId: string): void =>
  void router.push({ name: 'set-out', params: { jobId: job.jobId as string, lineId } })
function up(e: Event | KeyboardEvent): void {
  if ((e as KeyboardEvent).key === 'ArrowUp' && recall.value[0]) text.value = recall.value[0]
}
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
      <p v-if="line" class="why">
        {{ line.name }}. {{ line.material }}, {{ line.school }} school<template v-if="line.ratingBar"
          >, rated {{ line.ratingBar }} bar</template
        >, in {{ job.state.places.get(line.placeId) ?? 'a place not named' }}.
      </p>
    </div>
    <button v-if="!line" type="button" class="button main begin" @click="sheet = 'line'">Begin a line</button>
    <template v-else>
      <LineDrawing v-if="line.items.length" :line="line" />
      <div class="scroll" role="region" aria-label="Parts of the line" tabindex="0">
        <table v-if="rows.length" class="rows">
          <thead>
            <tr>
              <th>Part</th>
              <th></th>
              <th>Size</th>
              <th>Measure or take-off</th>
              <th>Joints made by it</th>
              <th></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(r, i) in rows" :key="r.item.id">
              <td class="strong">{{ r.item.tag }}</td>
              <td>{{ r.what }}</td>
              <td>{{ r.size }}</td>
              <td>
                <template v-if="r.item.type === 'piece'">{{ r.measure }}</template>
                <button
                  v-else
                  type="button"
                  class="figure-link"
                  :class="{ refusal: !r.takeOff }"
                  @click="measured = r.item"
                >
                  {{
                    r.takeOff ? `${r.takeOff.takeOffMm} to ${r.takeOff.takeOffTo}` : 'not known, measure one'
                  }}
                </button>
              </td>
              <td>
                <RouterLink
                  v-for="j in r.joints"
                  :key="j.id"
                  class="joint"
                  :to="{ name: 'make', params: { jobId: job.jobId, jointId: j.id } }"
                  ><JointGlyph v-if="j.look" :look="j.look" :tag="j.tag" :height="18" />
                  {{ j.tag }}</RouterLink
                >
              </td>
              <td>
                <button
                  v-if="i === rows.length - 1"
                  type="button"
                  class="figure-link"
                  @click="removeLast(r.item)"
                >
                  take out
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <form class="entry" @submit.prevent="enter">
        <label for="entry">Next fitting or piece</label>
        <div class="entry-row">
          <ElInput
            id="entry"
            v-model="text"
            size="large"
            autocomplete="off"
            placeholder="tee 110, or 1250 c-c"
            @keydown="up"
          />
          <button type="submit" class="button main">Set out</button>
        </div>
        <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
        <div class="chips">
          <button v-for="f in lastFittings" :key="f" type="button" class="button" @click="text = f">
            {{ f }}
          </button>
        </div>
      </form>
      <div class="sections">
        <h2>Sections</h2>
        <p v-if="!sections.length" class="why">No boundary painted on this line yet.</p>
        <p v-for="a in sections" :key="a.section.id">
          <RouterLink
            class="strong"
            :to="{ name: 'prove', params: { jobId: job.jobId, sectionId: a.section.id } }"
            >{{ a.section.tag }}</RouterLink
          >
          {{ say(a.section.jointIds.length, 'joint') }}, test {{ a.section.testBar }} bar for
          {{ Math.round(a.section.holdS / 60) }} min, working {{ a.section.workingBar }} bar.
        </p>
        <button type="button" class="button" :disabled="!jointIds.length" @click="sheet = 'section'">
          Paint a section on this line
        </button>
        <button
          v-if="jointIds.length && !line.insideOf && methodOf(line.method)?.inserts"
          type="button"
          class="button"
          @click="sheet = 'carrier'"
        >
          Pipe in pipe: a carrier inside
        </button>
      </div>
    </template>
    <LineSheet v-if="sheet === 'line'" @close="sheet = null" @made="go" />
    <CarrierSheet v-if="sheet === 'carrier' && line" :line="line" @close="sheet = null" @made="go" />
    <SectionSheet
      v-if="sheet === 'section' && line"
      :line="line"
      :joint-ids="jointIds"
      @close="sheet = null"
    />
    <TakeOffSheet v-if="measured" :item="measured" @close="measured = null" />
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
.joint {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  margin-right: 14px;
  min-height: 24px;
}
.entry {
  display: flex;
  flex-direction: column;
  gap: 6px;
  max-width: 640px;
}
.entry label {
  font-weight: 600;
}
.entry-row {
  display: flex;
  gap: 8px;
}
.entry-row .button {
  white-space: nowrap;
}
.chips {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.chips .button {
  border-width: 1px;
  border-color: var(--edge);
  font-weight: 500;
}
.sections {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: flex-start;
}
.scroll {
  overflow-x: auto;
}
.scroll td {
  white-space: nowrap;
}
</style>
