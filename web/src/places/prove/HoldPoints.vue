<script setup lang="ts">
import { MAY_GO_ON, type SectionAnswer, mayCover } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { when } from '../../when'
import { word } from '../../words/word'
import './after.css'

/** May the wall be closed? What must be seen first, by whom, and what they said. */
const props = defineProps<{ answer: SectionAnswer }>()
const job = useJob()
const clock = useClock()
const section = computed(() => props.answer.section)
const cover = computed(() => mayCover(job.state, section.value, props.answer.proved))
const holds = computed(() => [...job.state.holds.values()].filter((h) => h.sectionId === section.value.id))
const hold = reactive({ name: '', who: '' })
const fault = ref('')
const at = (s: number): string => when(s, clock.nowS, job.state.job.zone)
async function addHold(): Promise<void> {
  fault.value = ''
  if (!hold.name.trim()) return void (fault.value = word('prove-say-what-is-to'))
  await job.write(
    [
      {
        kind: 'hold-point',
        data: {
          holdId: crypto.randomUUID(),
          sectionId: section.value.id,
          name: hold.name.trim(),
          ...(hold.who.trim() ? { who: hold.who.trim() } : {}),
        },
      },
    ],
    word('prove-waits-to-be-seen', { name: hold.name.trim() }),
  )
  Object.assign(hold, { name: '', who: '' })
}
/** What is said with an answer, by hold point. */
const notes = reactive<Record<string, string>>({})
async function answerHold(holdId: string, answer: typeof MAY_GO_ON | 'wait'): Promise<void> {
  const note = notes[holdId]?.trim()
  await job.write(
    [{ kind: 'hold-answered', data: { holdId, answer, ...(note ? { note } : {}) } }],
    answer === MAY_GO_ON ? word('prove-it-may-go-on') : word('prove-it-waits'),
  )
  notes[holdId] = ''
}
/** What was said last, in the reader's words. */
const said = (answer: string): string =>
  answer === MAY_GO_ON ? word('prove-said-go-on') : word('prove-said-wait')
</script>

<template>
  <section aria-labelledby="cover">
    <h2 id="cover">{{ word('prove-may-i-close-the') }}</h2>
    <p class="cover" :class="{ refusal: !cover.may }">{{ job.t(cover.says) }}</p>
    <ul v-if="holds.length" class="after-list">
      <li v-for="h in holds" :key="h.id">
        <span class="grow"
          ><strong>{{ h.name }}</strong
          >, {{ h.who || word('prove-the-inspector') }}
          <span v-if="h.answers.length" class="who"
            >{{ said(h.answers.at(-1)!.answer) }}, {{ job.nameOf(h.answers.at(-1)!.by) }},
            {{ at(h.answers.at(-1)!.atS)
            }}<template v-if="h.answers.at(-1)!.note">: {{ h.answers.at(-1)!.note }}</template></span
          ></span
        >
        <ElInput
          v-model="notes[h.id]"
          size="large"
          class="note"
          :aria-label="word('prove-with-what-words', { name: h.name })"
          :placeholder="word('prove-in-their-words')"
          maxlength="200"
        />
        <button type="button" class="button" @click="answerHold(h.id, MAY_GO_ON)">
          {{ word('prove-go-on-2') }}
        </button>
        <button type="button" class="button" @click="answerHold(h.id, 'wait')">
          {{ word('prove-wait') }}
        </button>
      </li>
    </ul>
    <form class="form" @submit.prevent="addHold">
      <ElInput
        v-model="hold.name"
        size="large"
        :aria-label="word('prove-what-is-to-be')"
        :placeholder="word('prove-north-wall-before-it')"
      />
      <ElInput
        v-model="hold.who"
        size="large"
        :aria-label="word('prove-by-whom')"
        :placeholder="word('prove-by-whom-2')"
      />
      <button type="submit" class="button">{{ word('prove-must-be-seen-first') }}</button>
    </form>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
  </section>
</template>

<style scoped>
.cover {
  font-size: 18px;
  font-weight: 600;
  margin: 0 0 8px;
}
.form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 10px;
}
</style>
