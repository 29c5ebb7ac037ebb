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
import { word } from '../../words/word'
import { Figures, Said } from '../../words/said'

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
  const number = Number(text.trim().replace(',', '.').replace(/°$/, ''))
  return text.trim() && Number.isFinite(number) ? number : null
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
  const [tube, bendMm, way] = [bent.value, radius.value, run.value]
  if (!tube?.ok || !bendMm || !way) return []
  return way.turnsDeg.map((turn, i) => {
    const arc = arcMm(bendMm, Math.abs(turn))
    const fromMm = tube.marksMm[i] ?? 0
    return {
      turn,
      arcMm: arc,
      fromMm,
      otherMm: tube.developedMm - fromMm - arc,
      gainMm: tube.gainsMm[i] ?? 0,
    }
  })
})
const wrong = computed(() => {
  if (typed.run.trim() && !run.value)
    return word('cut-type-leg-turn-leg', { isUnit: unit.value === 'in' ? 'yes' : 'no' })
  if (typed.radius.trim() && !radius.value) return word('cut-the-radius-is-a')
  if (spring.value === null || spring.value < 0 || spring.value > 45) return word('cut-springback-is-from-0')
  if (bent.value && !bent.value.ok) {
    const { leg, straightMm, leastMm } = bent.value
    const least = word('cut-the-least-leg-that', { length: length(Math.ceil(leastMm * 10 - 1e-6) / 10) })
    return straightMm > 0
      ? word('cut-leg-leaves-straight', { leg: leg + 1, length: length(straightMm), least })
      : word('cut-leg-is-too-short', { leg: leg + 1, least })
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
    return word('cut-cut-bends-begin-at', {
      length: length(bent.value.developedMm),
      bends: bends.value.length,
      bends2: bends.value.map((b) => figure(b.fromMm)).join(', '),
    })
  if (across.value)
    return word('cut-travel-run', {
      travel: length(across.value.travelMm),
      run: length(across.value.runMm),
    })
  return word('cut-type-a-bent-run')
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
      <h1 aria-live="polite" :class="{ stop: wrong }"><Figures :text="headline" /></h1>
      <p v-if="bent?.ok && !wrong" class="why">
        {{ word('cut-marks-are-where-each') }}
        <template v-if="spring">{{ word('cut-every-bend-is-turned', { spring }) }}</template>
        {{ word('cut-legs-are-measured-to') }}
      </p>
    </div>
    <BendTape v-if="bent?.ok && !wrong" :developed-mm="bent.developedMm" :bends="bends" />
    <div class="two">
      <section>
        <h2>{{ word('cut-bend-a-tube') }}</h2>
        <label for="tube-run">{{ word('cut-leg-turn-leg-and', { unit }) }}</label>
        <ElInput
          id="tube-run"
          v-model="typed.run"
          size="large"
          :placeholder="unit === 'in' ? '8 90 12 -45 6' : '200 90 300 -45 150'"
        />
        <div class="fields">
          <div>
            <label for="tube-radius">{{ word('cut-radius-of-the-bender', { unit }) }}</label>
            <ElInput id="tube-radius" v-model="typed.radius" size="large" inputmode="decimal" />
          </div>
          <div>
            <label for="tube-straight">{{ word('cut-least-straight', { unit }) }}</label>
            <ElInput id="tube-straight" v-model="typed.straight" size="large" inputmode="decimal" />
          </div>
          <div>
            <label for="tube-spring">{{ word('cut-springs-back') }}</label>
            <ElInput id="tube-spring" v-model="typed.spring" size="large" inputmode="decimal" />
          </div>
        </div>
        <table v-if="bends.length && !wrong" class="rows" :aria-label="word('cut-bends')">
          <thead>
            <tr>
              <th>{{ word('cut-bend-2') }}</th>
              <th class="right">{{ word('cut-mark-from-left') }}</th>
              <th class="right">{{ word('cut-from-right') }}</th>
              <th class="right">{{ word('cut-bend-to') }}</th>
              <th class="right">{{ word('cut-gain') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(b, i) in bends" :key="i">
              <td class="strong">
                {{ Math.abs(b.turn) }}° {{ b.turn > 0 ? word('cut-left') : word('cut-right') }}
              </td>
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
          :aria-label="word('cut-the-bent-tube-as')"
        >
          <polyline :points="plan" class="outside" />
          <polyline :points="plan" class="inside" />
        </svg>
        <p v-if="bends.length" class="caution">
          {{ word('cut-caution-hard-copper-is') }}
        </p>
      </section>
      <section>
        <h2>{{ word('cut-offset-with-fittings') }}</h2>
        <div class="fields">
          <div>
            <label for="offset-set">{{ word('cut-set', { unit }) }}</label>
            <ElInput id="offset-set" v-model="typed.set" size="large" inputmode="decimal" />
          </div>
          <div>
            <label for="offset-roll">{{ word('cut-roll-empty-none', { unit }) }}</label>
            <ElInput id="offset-roll" v-model="typed.roll" size="large" inputmode="decimal" />
          </div>
          <div>
            <label for="offset-angle">{{ word('cut-fitting-turns-by') }}</label>
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
          <Said code="cut-travel">
            <template #travel
              ><strong>{{ length(across.travelMm) }}</strong></template
            >
            <template #run
              ><strong>{{ length(across.runMm) }}</strong></template
            >
          </Said>
        </p>
        <p v-else-if="typed.set.trim() && typed.angle.trim()" class="refusal">
          {{ word('cut-set-is-a-length') }}
        </p>
        <p v-if="across" class="why">
          {{ word('cut-as-a-measure-in', { figure: figure(across.travelMm) }) }}
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
  text-align: end;
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
  border-inline-start: 4px solid var(--wet);
  padding-inline-start: 8px;
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
