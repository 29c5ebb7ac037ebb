<script setup lang="ts">
import { type Fig, USUAL, fmt, sourceOf, systemOf } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import QuantityField from '../../frame/QuantityField.vue'
import { useJob } from '../../stores/job'
import GrowthInSpace from './GrowthInSpace.vue'
import { type SupportRow, hangersAlong, hangersOf, useSupportRows } from './support-rows'
import { largerWay, useGrowth } from './use-growth'
import { named, word } from '../../words/word'
import { Figures, Said } from '../../words/said'

/** How the lines lie: growth of straight stretches, the arm or loop each needs, supports, weight when full. */
const job = useJob()
const route = useRoute()
const router = useRouter()
/** What is asked stands in the address, temperatures in °C: a link shows the same to somebody who reads other units. */
const asked = (key: string): string => String(route.query[key] ?? '')
const set = (key: string, value: string): void =>
  void router.replace({ query: { ...route.query, [key]: value.trim() || undefined } })
const FIELDS = [
  ['laid', word('set-out-laid-at')],
  ['cold', word('set-out-coldest-wall-in-service')],
  ['warm', word('set-out-warmest-wall-in-service')],
] as const
function degrees(key: string): number | null {
  const celsius = asked(key) ? Number(asked(key)) : NaN
  return celsius >= -60 && celsius <= 150 ? celsius : null
}
const laid = computed(() => degrees('laid'))
const cold = computed(() => degrees('cold'))
const warm = computed(() => degrees('warm'))
const LIQUIDS = [
  ['1000', named('water')],
  ['1025', named('seawater')],
  ['0', word('set-out-empty')],
] as const
const density = computed(() => Number(asked('density') || 1000))

const kelvin = computed(() => largerWay(laid.value, [cold.value, warm.value]))
const { growth, worst, lines: moving } = useGrowth(() => kelvin.value)

const { stretches, rows } = useSupportRows(() => ({
  laidC: laid.value,
  coldC: cold.value,
  warmC: warm.value,
  density: density.value,
}))
const most = computed(
  () =>
    rows.value
      // Of a line whose movement is known its legs tell what it needs.
      .filter((r) => r.grows?.value && !growth.value.bows.has(r.stretch.line.id))
      .sort((a, b) => Math.abs(b.grows?.value ?? 0) - Math.abs(a.grows?.value ?? 0))[0],
)
const dist = (mm: number): string => fmt.distance(mm, job.reader)
const mm = (v: number): string => fmt.length(v, job.reader)
const headline = computed(() => {
  const longest = stretches.value[0]
  if (!longest) return word('set-out-nothing-lies-here-yet')
  if (worst.value?.squeezedMm)
    return word('growth-cannot', {
      line: worst.value.leg.line.tag,
      from: worst.value.from,
      to: worst.value.to,
      by: mm(worst.value.squeezedMm),
    })
  if (worst.value?.needs.value)
    return word('growth-worst', {
      line: worst.value.leg.line.tag,
      from: worst.value.from,
      to: worst.value.to,
      by: mm(worst.value.bendsMm),
      length: mm(worst.value.leg.lengthMm),
      needs: mm(worst.value.needs.value),
    })
  const first = most.value
  if (!first?.grows?.value && kelvin.value && growth.value.legs.length) return word('growth-all-long-enough')
  if (!first?.grows?.value)
    return word('set-out-straight-stretches-the-longest', {
      stretches: stretches.value.length,
      dist: dist(longest.lengthMm),
      tag: longest.line.tag,
    })
  return word(first.arm?.value ? 'set-out-moves-most-arm' : 'set-out-moves-most', {
    line: first.stretch.line.tag,
    from: first.stretch.from.tag.split('/').pop(),
    to: first.stretch.to.tag.split('/').pop(),
    length: dist(first.stretch.lengthMm),
    way: first.grows.value > 0 ? 'grows' : 'shrinks',
    by: mm(Math.abs(first.grows.value)),
    arm: first.arm?.value ? mm(first.arm.value) : '',
  })
})
const perLength = (v: number): string => fmt.print(v, 'perLengthWeight', job.reader)
/** A figure, or that there is none; the reasons stand once below the table. */
const text = (fig: Fig | null, say: (v: number) => string): string =>
  fig === null ? '' : fig.value === null ? word('ui-no-figure') : say(fig.value)
const reasons = computed(() => [
  ...new Set(
    rows.value
      .flatMap((r) => [r.grows, r.arm, r.everyMm === null ? r.hangers : null, r.full])
      .flatMap((f) => (f && f.value === null ? [job.t(f.why)] : [])),
  ),
])
const longestMm = computed(() => Math.max(1, stretches.value[0]?.lengthMm ?? 1))
const BAR_PX = 96
const hangersAt = (row: SupportRow): number[] =>
  hangersAlong(row, (row.stretch.lengthMm / longestMm.value) * BAR_PX)
const SOURCES = [
  'cp-expansion',
  'cp-expansion-arm',
  'ipc-308-5',
  'cp-span-warm',
  'guided-cantilever',
  'b31-3-c6',
  'b31-3-c8',
  'sag-span',
  'wall-weight',
  'cp-density',
].map(sourceOf)
const sources = ref(false)
</script>

<template>
  <div class="place">
    <div class="head">
      <h1><Figures :text="headline" /></h1>
      <p class="why">
        {{ word('set-out-straight-runs-between-changes') }}
      </p>
    </div>
    <div class="asked">
      <div v-for="[key, label] in FIELDS" :key="key">
        <QuantityField
          :model-value="degrees(key)"
          :label="label"
          as="temperature"
          :least="-60"
          :most="150"
          :usual="USUAL.pipeC"
          :example="5"
          @update:model-value="(v) => set(key, v === null || Number.isNaN(v) ? '' : String(v))"
        />
      </div>
      <div>
        <label for="lie-density">{{ word('set-out-full-of') }}</label>
        <select
          id="lie-density"
          class="select"
          :value="asked('density') || '1000'"
          @change="set('density', ($event.target as HTMLSelectElement).value)"
        >
          <option v-for="[v, says] in LIQUIDS" :key="v" :value="v">{{ says }}</option>
        </select>
      </div>
    </div>
    <div class="buttons no-print">
      <RouterLink class="button" :to="{ name: 'set-out', params: { jobId: job.jobId } }">{{
        word('set-out-back-to-the-lines')
      }}</RouterLink>
      <button type="button" class="button" :aria-expanded="sources" @click="sources = !sources">
        {{ word('set-out-where-the-figures-come') }}
      </button>
    </div>
    <ul v-if="sources">
      <li v-for="s in SOURCES" :key="s.id">
        <strong>{{ s.reference }}</strong><template v-if="s.edition">, {{ s.edition }}</template
        >. {{ s.note }}
      </li>
    </ul>
    <GrowthInSpace v-if="moving.length" :kelvin="kelvin" />
    <h2 v-if="moving.length">{{ word('set-out-straight-stretches') }}</h2>
    <div class="scroll" role="region" :aria-label="word('set-out-straight-stretches')" tabindex="0">
      <table v-if="rows.length" class="rows" :aria-label="word('set-out-stretches')">
        <thead>
          <tr>
            <th>{{ word('set-out-stretch') }}</th>
            <th>{{ word('set-out-pipe') }}</th>
            <th class="wide">{{ word('set-out-to-one-scale') }}</th>
            <th class="num">{{ word('set-out-length') }}</th>
            <th class="num">{{ word('set-out-grows') }}</th>
            <th class="num">{{ word('set-out-arm-or-loop-legs') }}</th>
            <th class="num">{{ word('set-out-every-supports') }}</th>
            <th class="num">
              {{
                word('set-out-full-a-metre-all', {
                  isSystemOf: systemOf(job.reader, 'weight') === 'inch' ? 'yes' : 'no',
                })
              }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="`${r.stretch.from.id} ${r.stretch.to.id}`">
            <td>
              <Said
                code="set-out-to-2"
                :values="{ from: r.stretch.from.tag.split('/').pop(), to: r.stretch.to.tag.split('/').pop() }"
              >
                <template #line>
                  <RouterLink
                    class="strong"
                    :to="{ name: 'set-out', params: { jobId: job.jobId, lineId: r.stretch.line.id } }"
                    >{{ r.stretch.line.tag }}</RouterLink
                  >
                </template>
              </Said>
              <span v-if="r.stretch.upright" class="why">{{ word('set-out-riser') }}</span>
            </td>
            <td>{{ named(r.stretch.pipe.material) }} {{ r.stretch.pipe.size }}</td>
            <td class="wide">
              <svg :width="BAR_PX + 8" height="26" aria-hidden="true">
                <rect
                  x="4"
                  y="4"
                  :width="Math.max(2, (r.stretch.lengthMm / longestMm) * BAR_PX)"
                  height="8"
                  class="bar"
                />
                <path v-for="(x, i) in hangersAt(r)" :key="i" :d="`M${x} 13l4 8h-8z`" class="hanger" />
              </svg>
            </td>
            <td class="num">{{ r.stretch.guessed ? '?' : dist(r.stretch.lengthMm) }}</td>
            <td class="num">{{ text(r.grows, (v) => `${v > 0 ? '+' : '−'}${mm(Math.abs(v))}`) }}</td>
            <td class="num">
              {{
                r.loop?.value
                  ? word('set-out-or-2-of', { arm: text(r.arm, dist), each: dist(r.loop.value) })
                  : text(r.arm, dist)
              }}
            </td>
            <td class="num">
              <template v-if="r.everyMm">{{ dist(r.everyMm) }}, {{ hangersOf(r) }}</template>
              <template v-else>{{ text(r.hangers, dist) }}</template>
            </td>
            <td class="num">
              {{
                r.full.value === null
                  ? text(r.full, perLength)
                  : word('set-out-in-all', {
                      each: perLength(r.full.value),
                      full: (r.full.value * r.stretch.lengthMm) / 1000,
                    })
              }}
            </td>
          </tr>
        </tbody>
      </table>
      <p v-for="r in reasons" :key="r" class="why">{{ word('set-out-no-figure', { r }) }}</p>
      <p v-if="stretches.length > rows.length" class="why">
        {{ word('set-out-shorter-stretches-are-left', { stretches: stretches.length - rows.length }) }}
      </p>
    </div>
  </div>
</template>

<style scoped>
.asked {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 12px;
}
.asked label {
  font-weight: 600;
}
.select {
  width: 100%;
  height: 46px;
  margin-top: 3px;
  border: 1px solid var(--edge);
  border-radius: 2px;
  background: var(--sheet);
  padding: 0 10px;
}
.bar {
  fill: var(--pipe-fill);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.hanger {
  fill: var(--ink);
}
th.num {
  text-align: end;
}
.scroll td {
  white-space: nowrap;
}
td.num {
  padding-inline-start: 12px;
}
@media (max-width: 720px) {
  .wide {
    display: none;
  }
}
</style>
