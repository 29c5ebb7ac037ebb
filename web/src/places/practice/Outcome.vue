<script setup lang="ts">
import { type OnBench, type PracticeAnswer, type Step, fmt } from '@jugalis/core'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import JointSection from '../../tapes/JointSection.vue'
import { useJob } from '../../stores/job'
import { told, word } from '../../words/word'
import JointSeen from './JointSeen.vue'
import SurfaceDrawing from './SurfaceDrawing.vue'
import { faultName, surfaceName } from './how-text'
import { sectionOf } from './section'

/** What became of a joint: pressure goes up until it lets go; then it is cut open, and told why. */
const props = defineProps<{ laid: OnBench; answer: PracticeAnswer; steps: readonly Step[] }>()
defineEmits<{ step: [id: string] }>()
const job = useJob()
const open = ref(false)
const endBar = computed(() => props.answer.weepsAtBar ?? props.answer.triedToBar)
/** Where the pump is, 0 to 1 of the way; at once for whoever wants no movement. */
const RISE_MS = 2200
const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches
const share = ref(still ? 1 : 0)
let frame = 0
onMounted(() => {
  if (still) return
  const began = performance.now()
  const rise = (now: number): void => {
    share.value = Math.min(1, (now - began) / RISE_MS)
    if (share.value < 1) frame = requestAnimationFrame(rise)
  }
  frame = requestAnimationFrame(rise)
})
onBeforeUnmount(() => cancelAnimationFrame(frame))
const bar = computed(() => share.value * endBar.value)
const causes = computed(() =>
  props.answer.causes.map((cause) => {
    const step = props.steps.find((s) => s.id === cause.step)
    return {
      key: cause.fault,
      step: cause.step,
      pct: Math.round(cause.weight * 100),
      says: faultName(props.laid.method, cause.fault),
      at: word(cause.atS > 0 ? 'practice-cause-at' : 'practice-cause-at-once', {
        step: step ? told(step.action, job.reader) : '',
        at: cause.atS,
      }),
    }
  }),
)
const section = computed(() => sectionOf(props.laid, props.answer))
</script>

<template>
  <div class="outcome">
    <div class="pump" :class="{ gone: share === 1 && answer.weepsAtBar !== null }">
      <span>{{ word('practice-pump') }}</span>
      <div class="way" aria-hidden="true">
        <div class="fill" :style="{ inlineSize: `${(bar / answer.triedToBar) * 100}%` }"></div>
      </div>
      <b class="bar">{{ fmt.pressure(bar, job.reader) }}</b>
    </div>
    <template v-if="share === 1">
      <JointSection :shapes="section" :height="190" bare />
      <JointSeen :laid="laid" :answer="answer" verdict />
      <button v-if="!open" type="button" class="button main cut" @click="open = true">
        {{ word('practice-cut') }}
      </button>
      <div v-else class="open">
        <section>
          <h2>{{ word('practice-cut-open') }}</h2>
          <SurfaceDrawing :surface="answer.cut.surface" :what="surfaceName(laid.method)" />
        </section>
        <section class="causes">
          <h2>{{ word('practice-causes') }}</h2>
          <p v-if="!causes.length">{{ word('practice-no-causes') }}</p>
          <ol>
            <li v-for="cause in causes" :key="cause.key">
              <b>{{ word('practice-cause', { cause: cause.says, pct: cause.pct }) }}</b>
              <span class="weigh" aria-hidden="true"><i :style="{ inlineSize: `${cause.pct}%` }"></i></span>
              <button type="button" class="in-text" @click="$emit('step', cause.step)">{{ cause.at }}</button>
            </li>
          </ol>
          <p class="soft">{{ word('practice-model') }}</p>
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped>
.outcome {
  display: flex;
  flex-direction: column;
  gap: 14px;
}
.pump {
  display: flex;
  gap: 12px;
  align-items: center;
  font-weight: 600;
}
.way {
  flex: 1;
  max-inline-size: 520px;
  block-size: 26px;
  border: 2px solid var(--ink);
  background: var(--sheet);
}
.fill {
  block-size: 100%;
  background: var(--sound);
}
.gone .fill {
  background: repeating-linear-gradient(45deg, var(--stop) 0 6px, var(--sheet) 6px 10px);
}
.bar {
  font: 600 22px/1 var(--figures);
  min-inline-size: 92px;
}
.cut {
  min-height: 96px;
}
.open {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 32px;
}
.open section {
  flex: 1 1 320px;
}
ol {
  padding-inline-start: 22px;
  margin: 4px 0 12px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.weigh {
  display: block;
  block-size: 10px;
  border: 1px solid var(--ink);
  max-inline-size: 320px;
}
.weigh i {
  display: block;
  block-size: 100%;
  background: var(--ink);
}
.soft {
  color: var(--soft);
}
</style>
