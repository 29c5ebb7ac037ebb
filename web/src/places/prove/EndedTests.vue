<script setup lang="ts">
import { type SectionAnswer, type TestRun, certificateOf, flagsOf, msg } from '@jugalis/core'
import { computed, ref } from 'vue'
import SignSheet from '../../frame/SignSheet.vue'
import { PDF, saveFile } from '../../save-file'
import { headAddress, shortHash, signedHead } from '../../record/head-code'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import { when } from '../../when'
import { Said } from '../../words/said'
import { named, word } from '../../words/word'
import './after.css'

/** Tests of a section that have ended: what they came to, signatures, certificates. */
const props = defineProps<{ answer: SectionAnswer; ended: readonly TestRun[] }>()
const job = useJob()
const clock = useClock()
const session = useSession()
const zone = computed(() => job.state.job.zone)
const section = computed(() => props.answer.section)
const VERDICTS = {
  held: word('prove-held'),
  lost: word('prove-lost'),
  inconclusive: word('prove-inconclusive'),
} as const
const fault = ref('')
const at = (s: number): string => when(s, clock.nowS, zone.value)
const signing = ref<TestRun | null>(null)
const statementOf = (test: TestRun): string =>
  word('prove-test-of-at-with', {
    tag: section.value.tag,
    bar: test.bar,
    medium: named(test.medium),
    verdict: named(test.ended?.verdict ?? 'inconclusive'),
  })
function sign(test: TestRun): Promise<unknown> {
  signing.value = null
  return job.write(
    [
      {
        kind: 'signed',
        data: {
          what: 'test',
          refId: test.id,
          statement: statementOf(test),
        },
      },
    ],
    word('ui-signed'),
  )
}
const signedBy = (test: TestRun): string =>
  job.state.signed
    .filter((s) => s.refId === test.id)
    .map((s) => job.nameOf(s.by))
    .join(', ')
async function certificate(test: TestRun, as: 'pdf' | 'json'): Promise<void> {
  fault.value = ''
  const made = certificateOf(job.state, test.id, job.logHead())
  if (!made) return
  const name = `${section.value.tag}-test-${new Date(test.begunAtS * 1000).toISOString().slice(0, 10)}`
  if (as === 'json') return saveFile(JSON.stringify(made, null, 2), 'application/json', `${name}.json`)
  try {
    const { certificatePaper, certificateWords } = await import('../../paper')
    const signed = await signedHead(job.jobId ?? '', made.head)
    const head = { address: headAddress(job.jobId ?? '', signed), short: shortHash(signed.hash) }
    const of = { state: job.state, name: job.nameOf, head }
    const bytes = await certificatePaper(made, certificateWords(of, section.value.id, made.rule.id))
    saveFile(bytes as BlobPart, PDF, `${name}.pdf`)
  } catch {
    fault.value = word('prove-the-certificate-could-not')
  }
}
</script>

<template>
  <section aria-labelledby="tests">
    <h2 id="tests">{{ word('prove-tests-of', { tag: section.tag }) }}</h2>
    <ul class="after-list">
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
          <span v-if="t.ended?.reason" class="flag">{{
            word('prove-ended-by', { by: job.nameOf(t.ended.by), reason: t.ended.reason })
          }}</span>
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
  </section>
</template>

<style scoped>
.flag {
  display: block;
  font-size: 15px;
  color: var(--stop);
  font-weight: 600;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
