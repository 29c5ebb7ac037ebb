<script setup lang="ts">
import {
  arcMm,
  bendMarks,
  centreLine,
  fmt,
  offset,
  parseLength,
  parseRun,
  unitOf,
  greatest,
  smallest,
} from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useJob } from '../../stores/job'
import BendTape from '../../tapes/BendTape.vue'

/** Bends of a tube and offsets with fittings. What is typed stands in the address, so that it can be sent. */
const job = useJob()
const route = useRoute()
const router = useRouter()
const KEYS = ['run', 'radius', 'straight', 'spring', 'set', 'roll', 'angle'] as const
const asked = (key: string): string =>
  typeof route.query[key] === 'string' ? (route.query[key] as string) : ''
const typed = reactive(
  Object.fromEntries(KEYS.map((k) => [k, asked(k)])) as Record<(typeof KEYS)[number], string>,
)
watch(typed, () => {
  const query = Object.fromEntries(KEYS.flatMap((k) => (typed[k].trim() ? [[k, typed[k].trim()]] : [])))
  void router.replace({ query })
})
const unit = computed(() => unitOf('length', job.reader))
const mm = (text: string): number | null => parseLength(text, job.reader)
const degrees = (text: string): number | null => {
  const n = Number(text.trim().replace(',', '.').replace(/°$/, ''))
  return text.trim() && Number.isFinite(n) ? n : null
}
const length = (v: number): string => fmt.length(v, job.reader)
const figure = (v: number): string => fmt.lengthFigure(v, job.reader)

const run = computed(() => parseRun(typed.run, mm))
const radius = computed(() => mm(typed.radius))
const spring = computed(() => (typed.spring.trim() ? degrees(typed.spring) : 0))
const bent = computed(() => {
  if (!run.value || !radius.value) return null
  const straight = typed.straight.trim() ? mm(typed.straight) : 0
  return straight === null
    ? null
    : bendMarks(radius.value, run.value.legs, run.value.turnsDeg.map(Math.abs), straight)
})
const bends = computed(() => {
  const [b, r, way] = [bent.value, radius.value, run.value]
  if (!b?.ok || !r || !way) return []
  return way.turnsDeg.map((turn, i) => {
    const arc = arcMm(r, Math.abs(turn))
    const fromMm = b.marksMm[i] ?? 0
    return { turn, arcMm: arc, fromMm, otherMm: b.developedMm - fromMm - arc, gainMm: b.gainsMm[i] ?? 0 }
  })
})
const wrong = computed(() => {
  if (typed.run.trim() && !run.value)
    return `Type leg, turn, leg: ${unit.value === 'in' ? '8 90 12' : '200 90 300'}. A turn to the other side has a minus.`
  if (typed.radius.trim() && !radius.value) return 'The radius is a length above nothing, to the centre line.'
  if (spring.value === null || spring.value < 0 || spring.value > 45)
    return 'Springback is from 0 to 45 degrees.'
  if (bent.value && !bent.value.ok) {
    const { leg, straightMm, leastMm } = bent.value
    const least = `The least leg that works is ${length(Math.ceil(leastMm * 10 - 1e-6) / 10)}.`
    return straightMm > 0
      ? `Leg ${leg + 1} leaves ${length(straightMm)} straight. ${least}`
      : `Leg ${leg + 1} is too short for its bends. ${least}`
  }
  return ''
})
const across = computed(() => {
  const [set, roll, angle] = [mm(typed.set), typed.roll.trim() ? mm(typed.roll) : 0, degrees(typed.angle)]
  return set && roll !== null && angle !== null && angle > 0 && angle <= 90 ? offset(set, roll, angle) : null
})
const headline = computed(() => {
  if (wrong.value) return wrong.value
  if (bent.value?.ok)
    return `Cut ${length(bent.value.developedMm)}. ${bends.value.length === 1 ? 'The bend begins' : 'Bends begin'} at ${bends.value.map((b) => figure(b.fromMm)).join(', ')}.`
  if (across.value) return `Travel ${length(across.value.travelMm)}, run ${length(across.value.runMm)}.`
  return 'Type a bent run, or an offset, and its lengths appear here.'
})
/** The bent tube as it will lie, fitted into a box. */
const BOX = { w: 420, h: 220, pad: 16 }
const plan = computed(() => {
  if (!bent.value?.ok || !run.value || !radius.value) return ''
  const points = centreLine(radius.value, run.value.legs, run.value.turnsDeg)
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)]
  const [left, low] = [smallest(xs), smallest(ys)]
  const scale = Math.min(
    (BOX.w - 2 * BOX.pad) / Math.max(1, greatest(xs) - left),
    (BOX.h - 2 * BOX.pad) / Math.max(1, greatest(ys) - low),
  )
  return points
    .map((p) => `${BOX.pad + (p.x - left) * scale},${BOX.h - BOX.pad - (p.y - low) * scale}`)
    .join(' ')
})
</script>

<template>
  <div class="place">
    <div class="head">
      <h1 aria-live="polite" :class="{ stop: wrong }">{{ headline }}</h1>
      <p v-if="bent?.ok && !wrong" class="why">
        Marks are where each arc begins, from the left end.
        <template v-if="spring">Every bend is turned {{ spring }}° further than it is to be. </template>
        Legs are measured to where the centre lines cross.
      </p>
    </div>
    <BendTape v-if="bent?.ok && !wrong" :developed-mm="bent.developedMm" :bends="bends" />
    <div class="two">
      <section>
        <h2>Bend a tube</h2>
        <label for="tube-run">Leg, turn, leg …, {{ unit }} and degrees</label>
        <ElInput
          id="tube-run"
          v-model="typed.run"
          size="large"
          :placeholder="unit === 'in' ? '8 90 12 -45 6' : '200 90 300 -45 150'"
        />
        <div class="fields">
          <div>
            <label for="tube-radius">Radius of the bender, {{ unit }}</label>
            <ElInput id="tube-radius" v-model="typed.radius" size="large" inputmode="decimal" />
          </div>
          <div>
            <label for="tube-straight">Least straight, {{ unit }}</label>
            <ElInput id="tube-straight" v-model="typed.straight" size="large" inputmode="decimal" />
          </div>
          <div>
            <label for="tube-spring">Springs back, °</label>
            <ElInput id="tube-spring" v-model="typed.spring" size="large" inputmode="decimal" />
          </div>
        </div>
        <table v-if="bends.length && !wrong" class="rows" aria-label="Bends">
          <thead>
            <tr>
              <th>Bend</th>
              <th class="right">Mark from left</th>
              <th class="right">from right</th>
              <th class="right">Bend to</th>
              <th class="right">Gain</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(b, i) in bends" :key="i">
              <td class="strong">{{ Math.abs(b.turn) }}° {{ b.turn > 0 ? 'left' : 'right' }}</td>
              <td class="num">{{ figure(b.fromMm) }}</td>
              <td class="num">{{ figure(b.otherMm) }}</td>
              <td class="num">{{ fmt.number(Math.abs(b.turn) + (spring ?? 0), 1) }}°</td>
              <td class="num">{{ figure(b.gainMm) }}</td>
            </tr>
          </tbody>
        </table>
        <svg
          v-if="plan && !wrong"
          :viewBox="`0 0 ${BOX.w} ${BOX.h}`"
          class="plan"
          role="img"
          aria-label="The bent tube as it will lie"
        >
          <polyline :points="plan" class="outside" />
          <polyline :points="plan" class="inside" />
        </svg>
        <p v-if="bends.length" class="caution">
          Caution: hard copper is annealed before it is bent, and then carries only the pressure of soft tube.
          Ratchet benders stop at 90°.
        </p>
      </section>
      <section>
        <h2>Offset with fittings</h2>
        <div class="fields">
          <div>
            <label for="offset-set">Set, {{ unit }}</label>
            <ElInput id="offset-set" v-model="typed.set" size="large" inputmode="decimal" />
          </div>
          <div>
            <label for="offset-roll">Roll, {{ unit }} (empty: none)</label>
            <ElInput id="offset-roll" v-model="typed.roll" size="large" inputmode="decimal" />
          </div>
          <div>
            <label for="offset-angle">Fitting turns by, °</label>
            <ElInput
              id="offset-angle"
              v-model="typed.angle"
              size="large"
              inputmode="decimal"
              placeholder="45"
            />
          </div>
        </div>
        <p v-if="across" class="answer">
          Travel <strong>{{ length(across.travelMm) }}</strong>, run
          <strong>{{ length(across.runMm) }}</strong>, centre to centre.
        </p>
        <p v-else-if="typed.set.trim() && typed.angle.trim()" class="refusal">
          Set is a length, the fitting turns by more than 0 and at most 90 degrees.
        </p>
        <p v-if="across" class="why">
          As a measure in Set out: {{ figure(across.travelMm) }} c-c between the two fittings.
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.stop {
  color: var(--stop-ink);
}
.two {
  display: grid;
  grid-template-columns: 3fr 2fr;
  gap: 32px;
}
section {
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-width: 0;
}
label {
  font-weight: 600;
}
.fields {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px;
  align-items: end;
}
.right {
  text-align: right;
}
.plan {
  width: 100%;
  max-height: 220px;
}
.outside,
.inside {
  fill: none;
  stroke-linejoin: round;
}
.outside {
  stroke: var(--ink);
  stroke-width: 11;
}
.inside {
  stroke: var(--pipe-fill);
  stroke-width: 8;
}
.caution {
  border-left: 4px solid var(--wet);
  padding-left: 8px;
}
.answer {
  font-size: 20px;
}
@media (max-width: 900px) {
  .two,
  .fields {
    grid-template-columns: 1fr;
  }
}
</style>
