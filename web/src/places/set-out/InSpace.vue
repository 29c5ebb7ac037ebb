<script setup lang="ts">
import {
  type Carries,
  type EndAt,
  type Item,
  type ClosingError,
  type LineInSpace,
  type Extreme,
  fallFaults,
  fmt,
  greatest,
  highPoints,
  levelText,
  lowPoints,
  shortTag,
  smallest,
  standsText,
} from '@jugalis/core'
import { computed } from 'vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'
import RoomFaults from './RoomFaults.vue'

/** What follows from where a line lies: whether it closes, who is suspect, where air and water stay, what is not known. */
const props = defineProps<{ space: LineInSpace }>()
const emit = defineEmits<{
  show: [id: string]
  points: []
  close: []
  room: []
  coordinates: []
  takeOff: [item: Item, at: EndAt]
  carries: [what: Carries | null]
}>()
const job = useJob()
const reader = computed(() => ({ ...job.reader, units: props.space.line.school }))
const begins = computed(() => props.space.line.stands && standsText(props.space.line.stands, reader.value))
const levels = computed(() => {
  const known = props.space.nodes.filter((node) => node.known).map((node) => node.atMm[2])
  if (known.length < 2) return null
  return {
    low: levelText(smallest(known), reader.value),
    high: levelText(greatest(known), reader.value),
    lengthMm: props.space.legs.reduce(
      (sum, leg) => sum + (leg.known && !leg.insidePipe ? leg.lengthMm : 0),
      0,
    ),
  }
})
/** Suspects that are told: all that cannot be told apart, else the two likeliest. */
const told = (error: ClosingError) => error.suspects.slice(0, Math.max(2, Math.min(error.alike, 4)))
const direction = (error: ClosingError): string =>
  (['east', 'north', 'up'] as const)
    .flatMap((name, axis) => {
      const mm = error.errorMm[axis] as number
      if (Math.abs(mm) < 0.5) return []
      const way = mm > 0 ? name : ({ east: 'west', north: 'south', up: 'down' } as const)[name]
      return [word('space-so-far', { mm: fmt.length(Math.abs(mm), reader.value), way })]
    })
    .join(', ')
const unserved = (list: readonly Extreme[]): Extreme[] => list.filter((one) => !one.served)
const tags = (one: Extreme): string =>
  one.nodes.map((node) => shortTag(props.space.line.tag, node.tag)).join(', ')
const first = (one: Extreme): string | undefined => one.nodes.find((node) => node.fitting)?.fitting?.id
const standing = computed(() => [
  ...unserved(highPoints(job.state, props.space.line)).map((one) => ({ one, kind: 'air' as const })),
  ...unserved(lowPoints(job.state, props.space.line)).map((one) => ({ one, kind: 'water' as const })),
])
const falls = computed(() => fallFaults(props.space))
const oneIn = (share: number): string => (share ? fmt.number(1 / Math.abs(share), 0) : '')
const carries = computed<Carries | ''>({
  get: () => props.space.line.stands?.carries ?? '',
  set: (what) => emit('carries', what || null),
})
const unknown = computed(() => props.space.all.filter((fault) => !fault.stops))
/** So many are told one by one. */
const MOST = 3
</script>

<template>
  <section v-if="begins" class="in-space" :aria-label="word('space-where-it-lies')">
    <p>
      <strong>{{ begins }}</strong><template v-if="levels">{{ word('space-levels', levels) }}</template>
      <button type="button" class="figure-link reach" @click="emit('points')">
        {{ word('space-points') }}
      </button>
      <button v-if="levels" type="button" class="figure-link reach" @click="emit('coordinates')">
        {{ word('space-coordinates') }}
      </button>
      <button type="button" class="figure-link reach" @click="emit('close')">
        {{ word('space-close-it') }}
      </button>
      <button type="button" class="figure-link reach" @click="emit('room')">
        {{ word('room-round-it') }}
      </button>
      <select v-model="carries" class="plain carries" :aria-label="word('space-what-it-carries')">
        <option v-for="what in ['', 'drain', 'condensate']" :key="what" :value="what">
          {{ word('space-carries', { what }) }}
        </option>
      </select>
    </p>
    <p v-if="space.nowhere" class="refusal">{{ job.t(space.nowhere) }}</p>
    <p
      v-for="error in space.closing"
      :key="error.met.item.id"
      :class="{ refusal: error.missMm > error.expectedMm }"
    >
      {{
        word('space-closes', {
          to: error.to,
          closed: error.missMm <= error.expectedMm ? 'yes' : 'no',
          missMm: error.missMm,
          expectedMm: error.expectedMm,
          measures: error.measures,
          direction: direction(error),
        })
      }}
      <template v-if="error.suspects.length">
        {{ word('space-suspect', { alike: error.alike }) }}
        <button
          v-for="suspect in told(error)"
          :key="suspect.item.id"
          type="button"
          class="figure-link reach"
          @click="emit('show', suspect.item.id)"
        >
          {{
            word('space-suspect-is', {
              tag: suspect.item.tag,
              sense: suspect.byMm > 0 ? 'short' : 'long',
              byMm: Math.abs(suspect.byMm),
            })
          }}
        </button>
      </template>
      <template v-else-if="error.missMm > error.expectedMm">{{ word('space-no-suspect') }}</template>
    </p>
    <RoomFaults :line="space.line" @show="(id) => emit('show', id)" />
    <p v-for="fault in falls.slice(0, MOST)" :key="`fall-${fault.item.id}`" class="refusal">
      {{
        word('space-fall-fault', {
          tag: fault.item.tag,
          how: fault.how,
          has: oneIn(fault.share),
          least: oneIn(fault.least),
          source: fault.source === 'ipc-704-1' ? 'code' : 'practice',
        })
      }}
      <button type="button" class="figure-link" @click="emit('show', fault.item.id)">
        {{ word('set-out-show-it') }}
      </button>
    </p>
    <p v-if="falls.length > MOST" class="why">
      {{ word('space-more-falls', { more: falls.length - MOST }) }}
    </p>
    <p v-for="{ one, kind } in standing" :key="`${kind} ${tags(one)}`">
      {{
        word('space-stays', {
          kind,
          tags: tags(one),
          level: levelText(one.levelMm, reader),
        })
      }}
      <button v-if="first(one)" type="button" class="figure-link" @click="emit('show', first(one) ?? '')">
        {{ word('set-out-show-it') }}
      </button>
    </p>
    <p v-for="fault in unknown.slice(0, MOST)" :key="`${fault.item.id} ${fault.code}`" class="why">
      {{ job.t(fault) }}
      <button
        v-if="fault.measure"
        type="button"
        class="figure-link reach"
        @click="emit('takeOff', fault.measure.item, fault.measure.at)"
      >
        {{ word('space-measure-it') }}
      </button>
      <button type="button" class="figure-link" @click="emit('show', fault.item.id)">
        {{ word('set-out-show-it') }}
      </button>
    </p>
    <p v-if="unknown.length > MOST" class="why">
      {{ word('space-more-not-known', { more: unknown.length - MOST }) }}
    </p>
  </section>
</template>

<style scoped>
.carries {
  margin-inline-start: 8px;
}
.in-space {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.in-space p {
  margin: 0;
}
.in-space .figure-link {
  margin-inline-start: 8px;
}
</style>
