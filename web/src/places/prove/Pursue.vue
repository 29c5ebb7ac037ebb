<script setup lang="ts">
import {
  MAY_GO_ON,
  type SectionAnswer,
  type TestRun,
  afterSteps,
  certificateOf,
  flagsOf,
  msg,
  layOut,
  lookFirst,
  mayCover,
} from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import SignSheet from '../../frame/SignSheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import { hhmm, onPaper, when } from '../../when'
import { ruleName } from './rule-names'
import { word } from '../../words/word'
import { Said } from '../../words/said'
import { named } from '../../words/word'

/** What follows a test: where to look when it was lost, the steps when it held, may it be covered, its certificates. */
const props = defineProps<{ answer: SectionAnswer; tests: readonly TestRun[] }>()
const job = useJob()
const clock = useClock()
const session = useSession()
const zone = computed(() => job.state.job.zone)
const section = computed(() => props.answer.section)
const ended = computed(() => props.tests.filter((t) => t.ended))
const last = computed(() => ended.value[0] ?? null)
const suspects = computed(() =>
  last.value?.ended?.verdict === 'lost' ? lookFirst(job.state, props.answer) : [],
)
const steps = computed(() => (props.answer.proved ? afterSteps(job.state, section.value) : []))
const cover = computed(() => mayCover(job.state, section.value, props.answer.proved))
const holds = computed(() => [...job.state.holds.values()].filter((h) => h.sectionId === section.value.id))
const VERDICTS = {
  held: word('prove-held'),
  lost: word('prove-lost'),
  inconclusive: word('prove-inconclusive'),
} as const
const hold = reactive({ name: '', who: '' })
const fault = ref('')
const at = (s: number): string => when(s, clock.nowS, zone.value)
const done = (id: string, says: string): Promise<unknown> =>
  job.write(
    [{ kind: 'after-done', data: { sectionId: section.value.id, step: id } }, ...stateAfter(id)],
    word('prove-done-2', { says }),
  )
/** Some steps change what the section is. */
function stateAfter(id: string): { kind: string; data: Record<string, unknown> }[] {
  const state = (
    { relieve: 'full', drain: 'drained', vent: 'drained', 'keep-full': 'full' } as Record<string, string>
  )[id]
  return state ? [{ kind: 'section-state', data: { sectionId: section.value.id, state } }] : []
}
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
const answerHold = (holdId: string, answer: 'go on' | 'wait'): Promise<unknown> =>
  job.write(
    [{ kind: 'hold-answered', data: { holdId, answer } }],
    answer === 'go on' ? word('prove-it-may-go-on') : word('prove-it-waits'),
  )
const signing = ref<TestRun | null>(null)
const statementOf = (t: TestRun): string =>
  word('prove-test-of-at-with', {
    tag: section.value.tag,
    bar: t.bar,
    medium: t.medium,
    verdict: t.ended?.verdict,
  })
function sign(t: TestRun): Promise<unknown> {
  signing.value = null
  return job.write(
    [
      {
        kind: 'signed',
        data: {
          what: 'test',
          refId: t.id,
          statement: statementOf(t),
        },
      },
    ],
    word('ui-signed'),
  )
}
const signedBy = (t: TestRun): string =>
  job.state.signed
    .filter((s) => s.refId === t.id)
    .map((s) => job.nameOf(s.by))
    .join(', ')
function hand(bytes: BlobPart, type: string, name: string): void {
  const url = URL.createObjectURL(new Blob([bytes], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}
async function certificate(t: TestRun, as: 'pdf' | 'json'): Promise<void> {
  fault.value = ''
  const c = certificateOf(job.state, t.id, job.logHead())
  if (!c) return
  const name = `${section.value.tag}-test-${new Date(t.begunAtS * 1000).toISOString().slice(0, 10)}`
  if (as === 'json') return hand(JSON.stringify(c, null, 2), 'application/json', `${name}.json`)
  try {
    const { certificatePaper } = await import('../../paper')
    const inside = new Set(section.value.jointIds)
    const lines = [...job.state.lines.values()].filter((l) =>
      l.items.some((i) => i.joints.some((j) => j !== null && inside.has(j))),
    )
    const bytes = await certificatePaper(c, {
      say: (m) => job.t(m),
      name: job.nameOf,
      when: (s) => onPaper(s, zone.value),
      clock: (s) => hhmm(s, zone.value),
      rule: ruleName(c.rule.id),
      reader: job.reader,
      lines: lines.map((l) => ({ tag: l.tag, laid: layOut(job.state, l) })),
      inside,
    })
    hand(bytes as BlobPart, 'application/pdf', `${name}.pdf`)
  } catch {
    fault.value = word('prove-the-certificate-could-not')
  }
}
</script>

<template>
  <div class="after">
    <p v-if="section.state === 'under pressure' && !answer.proved" class="off">
      <strong>{{ word('prove-is-still-under-pressure', { tag: section.tag }) }}</strong>
      <button type="button" class="button main" @click="done('relieve', word('prove-pressure-off'))">
        {{ word('prove-pressure-is-off') }}
      </button>
    </p>
    <section v-if="suspects.length" aria-labelledby="first">
      <h2 id="first">{{ word('prove-look-at-these-first') }}</h2>
      <ol>
        <li v-for="s in suspects" :key="s.jointId">
          <RouterLink :to="{ name: 'make', params: { jobId: job.jobId, jointId: s.jointId } }">{{
            s.tag
          }}</RouterLink>: {{ job.t(s.why) }}
        </li>
      </ol>
      <p class="caution">
        <strong>{{ word('ui-caution') }}</strong> {{ word('prove-let-the-pressure-off') }}
      </p>
    </section>
    <section v-if="steps.length" aria-labelledby="after">
      <h2 id="after">{{ word('prove-after-the-test') }}</h2>
      <ul class="list">
        <li v-for="s in steps" :key="s.id">
          <span class="grow"
            ><strong>{{ job.t(s.says) }}</strong>
            <span v-if="s.caution" class="who">{{
              word('prove-caution', { caution: job.t(s.caution) })
            }}</span>
            <span v-if="s.done" class="who">{{ job.nameOf(s.done.by) }}, {{ at(s.done.atS) }}</span></span
          >
          <button v-if="!s.done" type="button" class="button" @click="done(s.id, job.t(s.says))">
            {{ word('prove-done') }}
          </button>
        </li>
      </ul>
    </section>
    <section aria-labelledby="cover">
      <h2 id="cover">{{ word('prove-may-i-close-the') }}</h2>
      <p class="cover" :class="{ refusal: !cover.may }">{{ job.t(cover.says) }}</p>
      <ul v-if="holds.length" class="list">
        <li v-for="h in holds" :key="h.id">
          <span class="grow"
            ><strong>{{ h.name }}</strong
            >, {{ h.who || word('prove-the-inspector') }}
            <span v-if="h.answers.length" class="who"
              >{{ h.answers.at(-1)!.answer }}, {{ job.nameOf(h.answers.at(-1)!.by) }},
              {{ at(h.answers.at(-1)!.atS) }}</span
            ></span
          >
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
    </section>
    <section v-if="ended.length" aria-labelledby="tests">
      <h2 id="tests">{{ word('prove-tests-of', { tag: section.tag }) }}</h2>
      <ul class="list">
        <li v-for="t in ended" :key="t.id" class="test">
          <span class="grow">
            <Said
              code="prove-with-2"
              :values="{
                bar: t.bar,
                medium: named(t.medium),
                at: at(t.begunAtS),
                fell:
                  t.ended?.dropBar == null
                    ? word('prove-fall-not-known')
                    : job.t(
                        msg('test-fell', {
                          dropBar: t.ended.dropBar,
                          holdS: t.holdS,
                          allowedBar: t.allowedDropBar,
                        }),
                      ),
              }"
            >
              <template #verdict>
                <strong :class="{ refusal: t.ended?.verdict === 'lost' }">{{
                  VERDICTS[t.ended?.verdict ?? 'inconclusive']
                }}</strong>
              </template>
            </Said>
            <span class="who">{{ word('prove-signed', { tester: t.tester, signedBy: signedBy(t) }) }}</span>
            <span v-for="f in flagsOf(job.state, t)" :key="`${f.code}${f.params.joint}`" class="flag">{{
              word('prove-flag', { f: job.t(f) })
            }}</span></span
          >
          <span class="buttons">
            <button type="button" class="button" @click="signing = t">
              {{ word('ui-sign-as', { name: session.person?.name }) }}
            </button>
            <button type="button" class="button" @click="certificate(t, 'pdf')">
              {{ word('prove-certificate-pdf') }}
            </button>
            <button type="button" class="button" @click="certificate(t, 'json')">
              {{ word('prove-json') }}
            </button>
          </span>
        </li>
      </ul>
    </section>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <SignSheet
      v-if="signing"
      :title="word('prove-sign-the-test-of', { tag: section.tag })"
      :statement="statementOf(signing)"
      :says="[
        word('prove-it-speaks-for-joints', { jointIds: section.jointIds.length, tester: signing.tester }),
      ]"
      @close="signing = null"
      @sign="sign(signing)"
    />
  </div>
</template>

<style scoped>
.after {
  display: flex;
  flex-direction: column;
  gap: 18px;
}
.list {
  list-style: none;
  margin: 0 0 10px;
  padding: 0;
}
.list li {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  min-height: 52px;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.grow {
  flex: 1 1 260px;
}
.who,
.flag {
  display: block;
  font-size: 15px;
  color: var(--soft);
}
.flag {
  color: var(--stop);
  font-weight: 600;
}
.off {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  margin: 0;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
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
