<script setup lang="ts">
import { type Line, outsideDiameterMm, parseSize } from '@jugalis/core'
import { computed, ref } from 'vue'
import { glyphBody } from '../../tapes/glyph-shapes'
import LengthScale from '../../tapes/LengthScale.vue'
import { useJob } from '../../stores/job'
import { useWidth } from '../../use-width'
import { useView } from '../../view'

const props = defineProps<{ line: Line }>()
const job = useJob()
const view = useView()
const box = ref<HTMLElement>()
const width = useWidth(box)
const MARGIN = 34
const FITTING_MM = 130
const od = (size: string): number =>
  outsideDiameterMm(parseSize(size) ?? { text: '', family: 'd', nominal: 50 }) ?? 50

/** The line laid out straight: fittings as blocks, pieces at their measured length, to one scale. */
const laid = computed(() => {
  let at = 0
  const parts = props.line.items.map((item) => {
    const length =
      item.type === 'fitting' ? Math.max(FITTING_MM, od(item.size) * 1.3) : (item.measuredMm ?? 500)
    const from = at
    at += length
    return { item, from, to: at }
  })
  return { parts, total: Math.max(at, 400) }
})
const scale = computed(() => (width.value - 2 * MARGIN) / laid.value.total)
const X = (mm: number): number => MARGIN + mm * scale.value
const thick = computed(() => Math.min(0.42, 46 / Math.max(...props.line.items.map((i) => od(i.size)), 1)))
const MID = 92
const h = (size: string): number => Math.max(7, od(size) * thick.value)
const TAPE_Y = 158
/** Glyph and tag stand on the pipe's side of the joint, so that two joints at one fitting keep apart. */
const ASIDE = 22
const joints = computed(() =>
  laid.value.parts.flatMap((p) =>
    p.item.type !== 'piece'
      ? []
      : ([0, 1] as const).flatMap((e) => {
          const id = p.item.joints[e]
          const look = id ? view.looks.get(id) : undefined
          return id && look
            ? [{ id, tag: p.item.jointTags[e] ?? '', x: X(e ? p.to : p.from) + (e ? -ASIDE : ASIDE), look }]
            : []
        }),
  ),
)
/** Tags stand at every joint while there is room, then at every fifth. */
const tagEvery = computed(() =>
  joints.value.length * 58 < width.value ? 1 : joints.value.length * 15 < width.value ? 5 : 10,
)
const bands = computed(() =>
  [...view.answers.values()].flatMap((a) => {
    const xs = joints.value.filter((j) => a.section.jointIds.includes(j.id)).map((j) => j.x)
    return xs.length
      ? [{ id: a.section.id, tag: a.section.tag, from: Math.min(...xs) - 10, to: Math.max(...xs) + 10 }]
      : []
  }),
)
</script>

<template>
  <div ref="box" class="box">
    <svg
      class="drawing"
      :width="width"
      height="200"
      role="group"
      :aria-label="`${line.tag} laid out straight, to scale`"
    >
      <defs>
        <pattern
          id="section-hatch"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <path d="M0 0V7" stroke="var(--violet)" stroke-width="2.4" />
        </pattern>
      </defs>
      <g v-for="b in bands" :key="b.id">
        <rect :x="b.from" y="6" :width="b.to - b.from" height="10" fill="url(#section-hatch)" />
        <path :d="`M${b.from} 24V6H${b.to}V24`" class="bracket" />
        <text :x="b.from + 4" y="34" class="section-tag">{{ b.tag }}</text>
      </g>
      <g v-for="p in laid.parts" :key="p.item.id">
        <template v-if="p.item.type === 'piece'">
          <rect
            :x="X(p.from)"
            :y="MID - h(p.item.size) / 2"
            :width="(p.to - p.from) * scale"
            :height="h(p.item.size)"
            class="pipe"
          />
          <text
            v-if="(p.to - p.from) * scale > 66"
            :x="(X(p.from) + X(p.to)) / 2"
            :y="h(p.item.size) < 20 ? MID - h(p.item.size) / 2 - 6 : MID + 5"
            text-anchor="middle"
            class="measure"
          >
            {{ p.item.measuredMm === null ? '?' : Math.round(p.item.measuredMm) }}
          </text>
        </template>
        <template v-else>
          <path
            :d="`M${X(p.from)} ${MID - h(p.item.size) / 2 - 5}L${X(p.to)} ${MID - h(p.item.size2 ?? p.item.size) / 2 - 5}V${MID + h(p.item.size2 ?? p.item.size) / 2 + 5}L${X(p.from)} ${MID + h(p.item.size) / 2 + 5}Z`"
            class="fitting"
          />
          <path
            v-if="p.item.fitting === 'tee'"
            :d="`M${X(p.from) + (p.to - p.from) * scale * 0.14} ${MID - h(p.item.size) / 2 - 5}v-14h${(p.to - p.from) * scale * 0.72}v14`"
            class="fitting"
          />
          <path
            v-if="p.item.fitting === 'valve'"
            :d="`M${X(p.from)} ${MID - h(p.item.size) / 2 - 5}L${X(p.to)} ${MID + h(p.item.size) / 2 + 5}M${X(p.from)} ${MID + h(p.item.size) / 2 + 5}L${X(p.to)} ${MID - h(p.item.size) / 2 - 5}`"
            class="cross"
          />
        </template>
      </g>
      <RouterLink
        v-for="(j, i) in joints"
        :key="j.id"
        :to="{ name: 'make', params: { jobId: job.jobId, jointId: j.id } }"
      >
        <svg
          :x="j.x - 16"
          y="122"
          width="32"
          height="18"
          viewBox="0 0 36 20"
          overflow="visible"
          role="img"
          :aria-label="`${j.tag}, ${job.t(j.look.word)}`"
          v-html="glyphBody(j.look.glyph, j.look.inspected, j.look.look)"
        />
        <text v-if="i % tagEvery === 0" :x="j.x" y="153" text-anchor="middle" class="tag">{{ j.tag }}</text>
      </RouterLink>
      <LengthScale :x="MARGIN" :y="TAPE_Y" :length-mm="laid.total" :px-per-mm="scale" />
      <path :d="`M${MARGIN} ${TAPE_Y - 6}v46h-8`" class="hook" />
    </svg>
  </div>
</template>

<style scoped>
.box {
  width: 100%;
}
.pipe {
  fill: var(--pipe-fill);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.fitting {
  fill: var(--line);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.cross,
.bracket {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.section-tag {
  font: 600 16px var(--text);
  fill: var(--violet);
}
.measure {
  font: 600 17px var(--figures);
  fill: var(--ink);
}
.tag {
  font: 500 15px var(--figures);
  fill: var(--ink);
}
</style>
