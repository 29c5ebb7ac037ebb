<script setup lang="ts">
import { type JointFacts, jointFacts } from '@jugalis/core'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { isOwnKey } from '../../keys'
import { useJob } from '../../stores/job'
import { useNarrow } from '../../use-narrow'
import { useView } from '../../view'
import BatchSheet from './BatchSheet.vue'
import BigAction from './BigAction.vue'
import JointList from './JointList.vue'
import MakePanel from './MakePanel.vue'
import { groupsOf } from './groups'
import { word } from '../../words/word'

const job = useJob()
const view = useView()
const route = useRoute()
const router = useRouter()
const narrow = useNarrow()

const filter = ref('')
const field = ref<HTMLInputElement>()
const FILTER_FROM = 12
/** Words are looked for in tag, size, line and state, all of them. */
const wanted = computed(() => filter.value.toLowerCase().split(/\s+/).filter(Boolean))
const matches = (facts: JointFacts): boolean => {
  const look = view.looks.get(facts.id)?.word
  const text =
    `${facts.tag} ${facts.place.way.size} ${facts.method ? job.t(facts.method.name) : ''} ${facts.place.line.name} ${look ? job.t(look) : ''}`.toLowerCase()
  return wanted.value.every((w) => text.includes(w))
}
const grouped = computed(() => groupsOf(view.facts.values(), job.state.plan.pinned))
const seen = computed(() =>
  wanted.value.length
    ? groupsOf([...view.facts.values()].filter(matches), job.state.plan.pinned).groups
    : grouped.value.groups,
)
const order = computed(() => seen.value.flatMap((g) => g.joints))
/** In a large job looks and answers follow a moment later; the joint in hand does not wait for them. */
const facts = computed<JointFacts | null>(() => {
  const id = String(route.params.jointId ?? '')
  return job.state === view.judged
    ? (view.facts.get(id) ?? null)
    : jointFacts(job.state, id, 'coldest', view.nowS)
})
/** A label may outlive its joint. */
const gone = computed(() => Boolean(route.params.jointId) && !facts.value && job.status === 'open')
const next = computed(() => grouped.value.toMake.find((f) => f.id !== facts.value?.id) ?? null)
const go = (id: string): void =>
  void router.push({ name: 'make', params: { jobId: job.jobId as string, jointId: id } })

/** Rows marked with X are written down together with B. */
const marked = ref<string[]>([])
const mark = (id: string): void => {
  marked.value = marked.value.includes(id) ? marked.value.filter((x) => x !== id) : [...marked.value, id]
}
const batch = ref(false)
const like = computed(() => {
  const id = marked.value[0] ?? facts.value?.id
  const one = id ? view.facts.get(id) : undefined
  return one?.nextStep ? one : null
})
const alike = computed(() =>
  order.value.filter(
    (facts) =>
      facts.method === like.value?.method &&
      facts.place.way.size === like.value?.place.way.size &&
      facts.place.way.material === like.value?.place.way.material &&
      facts.nextStep?.id === like.value?.nextStep?.id,
  ),
)
function onKey(event: KeyboardEvent): void {
  const el = event.target as HTMLElement
  if (!isOwnKey(event)) return
  const at = order.value.findIndex((f) => f.id === facts.value?.id)
  const step =
    event.key === 'j' || event.key === 'ArrowDown' ? 1 : event.key === 'k' || event.key === 'ArrowUp' ? -1 : 0
  const to = order.value[at + step]
  if (step && to && el.getAttribute('role') !== 'slider') go(to.id)
  if (event.key === 'f' && field.value) {
    event.preventDefault()
    field.value.focus()
  }
  if (event.key === 'x' && facts.value) mark(facts.value.id)
  if (event.key === 'b' && like.value) {
    // The sheet's first field has the focus at once: this letter is not meant for it.
    event.preventDefault()
    batch.value = true
  }
  if (event.key === 'Enter' && !/BUTTON|A/.test(el.tagName))
    document.querySelector<HTMLButtonElement>('.action:not(:disabled)')?.click()
}
onMounted(() => window.addEventListener('keydown', onKey))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <div class="make" :class="{ narrow }">
    <nav v-if="!narrow || !facts" class="list" :aria-label="word('make-joints')">
      <p v-if="gone" class="refusal" role="alert">{{ word('make-this-joint-is-not') }}</p>
      <h1 v-if="!facts">
        {{
          grouped.all.length === 0
            ? word('make-no-joints-yet-set')
            : grouped.toMake.length
              ? word('make-of-joints-are-to', { toMake: grouped.toMake.length, all: grouped.all.length })
              : word('make-nothing-to-make-all', { all: grouped.all.length })
        }}
      </h1>
      <p v-if="marked.length" class="marks">
        {{ word('make-marked', { marked: marked.length }) }}
        <button type="button" class="button" :disabled="!like" @click="batch = true">
          {{ word('make-write-them-down-b') }}
        </button>
        <button type="button" class="button" @click="marked = []">{{ word('make-clear') }}</button>
      </p>
      <input
        v-if="grouped.all.length > FILTER_FROM"
        ref="field"
        v-model="filter"
        class="filter looked-for"
        type="search"
        :aria-label="word('make-find-a-joint')"
        :placeholder="word('make-tag-size-or-state')"
      />
      <p v-if="wanted.length && !order.length" class="why">{{ word('make-no-joint-is-called') }}</p>
      <JointList :groups="seen" :here="facts?.id ?? null" :marked="marked" @mark="mark" />
    </nav>
    <MakePanel v-if="facts" :key="facts.id" :facts="facts" :next="next" :marked="marked" @go="go" />
    <div v-else-if="!narrow && next" class="place start">
      <p class="why">
        {{ word('make-choose-a-joint-on', { isLife: next.life ? 'yes' : 'no' }) }}
      </p>
      <BigAction
        :label="
          next.life ? word('make-go-on-with', { tag: next.tag }) : word('make-begin', { tag: next.tag })
        "
        :hint="`${next.place.way.size}, ${job.t(view.looks.get(next.id)?.word ?? { code: '', params: {} })}`"
        @act="go(next.id)"
      />
    </div>
    <BatchSheet
      v-if="batch && like"
      :like="like"
      :candidates="alike"
      :marked="marked"
      @close="batch = false"
    />
  </div>
</template>

<style scoped>
.make {
  display: flex;
  min-height: 100%;
}
.list {
  display: flex;
  flex-direction: column;
  width: 244px;
  flex: none;
  padding: 16px 0 0 14px;
  border-inline-end: 1px solid var(--edge);
}
.make,
.list {
  height: 100%;
}
/* List and joint scroll apart: however many joints there are, the action stays in sight. */
.make:not(.narrow) > .panel {
  overflow-y: auto;
}
.narrow .list {
  width: 100%;
  border: 0;
}
.narrow > .panel {
  height: max-content;
  min-height: 100%;
}
.list h1 {
  font-size: 26px;
  margin-bottom: 12px;
}
.start {
  display: flex;
  flex: 1;
  flex-direction: column;
  gap: 14px;
}
.filter {
  margin: 0 14px 4px 0;
}
.marks {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}
</style>
