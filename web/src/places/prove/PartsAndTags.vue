<script setup lang="ts">
import { USUAL, PART_KINDS, type SectionAnswer, TAG_KINDS, fmt } from '@jugalis/core'
import { ElInput, ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select/style/css'
import { computed, reactive, ref } from 'vue'
import QuantityField from '../../frame/QuantityField.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { when } from '../../when'
import { named, word } from '../../words/word'
import SayMore from './SayMore.vue'

/** Parts with a rating of their own, and what was put up or taken out for the test and must come back. */
const props = defineProps<{ answer: SectionAnswer }>()
const job = useJob()
const clock = useClock()
const zone = computed(() => job.state.job.zone)
const section = computed(() => props.answer.section)
const part = reactive({ name: '', kind: 'union' as string })
const given = reactive<{ rating: number | null; at: number | null }>({ rating: null, at: null })
const tried = ref(false)
const tag = reactive({ kind: 'blank' as string, where: '' })
const fault = ref('')
const tags = computed(() =>
  [...job.state.tags.values()]
    .filter((t) => t.sectionId === section.value.id)
    .sort((a, b) => Number(a.back !== null) - Number(b.back !== null)),
)
async function addPart(): Promise<void> {
  fault.value = ''
  tried.value = true
  const { rating: ratingBar, at: atMm } = given
  if (!part.name.trim()) return void (fault.value = word('prove-the-part-needs-a'))
  if (ratingBar === null || Number.isNaN(ratingBar) || Number.isNaN(atMm)) return
  const atM = atMm === null ? null : atMm / 1000
  await job.write(
    [
      {
        kind: 'part-set',
        data: {
          sectionId: section.value.id,
          partId: crypto.randomUUID(),
          name: part.name.trim(),
          kind: part.kind,
          ratingBar,
          ...(atM === null ? {} : { atM }),
        },
      },
    ],
    word('prove-may-take', { name: part.name.trim(), ratingBar }),
  )
  part.name = ''
  Object.assign(given, { rating: null, at: null })
  tried.value = false
}
const dropPart = (part: { id: string; name: string; kind: string; ratingBar: number }): Promise<unknown> =>
  job.write(
    [
      {
        kind: 'part-set',
        data: {
          sectionId: section.value.id,
          partId: part.id,
          name: part.name,
          kind: part.kind,
          ratingBar: part.ratingBar,
          gone: true,
        },
      },
    ],
    word('prove-is-out-of-the', { name: part.name }),
  )
async function putTag(): Promise<void> {
  fault.value = ''
  if (!tag.where.trim()) return void (fault.value = word('prove-say-where-it-is'))
  await job.write(
    [
      {
        kind: 'tag-put',
        data: {
          tagId: crypto.randomUUID(),
          sectionId: section.value.id,
          kind: tag.kind,
          where: tag.where.trim(),
        },
      },
    ],
    word('prove-tagged-2', { kind: tag.kind, where: tag.where.trim() }),
  )
  tag.where = ''
}
/** One of which more is said than that it is back. */
const more = ref<{ id: string; kind: string; where: string } | null>(null)
const comeBack = (
  tag: { id: string; kind: string; where: string },
  said: { how?: string } = {},
): Promise<unknown> =>
  job.write(
    [{ kind: 'tag-back', data: { tagId: tag.id, ...said } }],
    word('prove-back-as-it-was', { kind: named(tag.kind), where: tag.where }),
  )
</script>

<template>
  <section aria-labelledby="parts">
    <h2 id="parts">{{ word('prove-parts-with-a-rating') }}</h2>
    <ul v-if="section.parts.length" class="list">
      <li v-for="p in section.parts" :key="p.id">
        <span class="grow"
          ><strong>{{ p.name }}</strong
          >, {{ named(p.kind) }}{{ p.atM === null ? '' : word('prove-at', { atM: p.atM * 1000 }) }}</span
        >
        <span>{{ fmt.pressure(p.ratingBar, job.reader) }}</span>
        <button type="button" class="button" @click="dropPart(p)">{{ word('prove-take-out') }}</button>
      </li>
    </ul>
    <p v-else class="why">{{ word('prove-none-named-unions-threads') }}</p>
    <form class="form" @submit.prevent="addPart">
      <ElInput
        v-model="part.name"
        size="large"
        :aria-label="word('prove-name-of-the-part')"
        :placeholder="word('prove-union-at-pump-2')"
      />
      <ElSelect :teleported="false" v-model="part.kind" size="large" :aria-label="word('prove-kind-of-part')">
        <ElOption v-for="k in PART_KINDS" :key="k" :value="k" :label="named(k)" />
      </ElSelect>
      <QuantityField
        v-model="given.rating"
        :label="word('prove-rating')"
        as="pressure"
        :usual="USUAL.linePressure"
        :least="0.001"
        :most="1000"
        :missing="tried"
      />
      <QuantityField v-model="given.at" :label="word('prove-height-empty-not-known')" as="distance" />
      <button type="submit" class="button">{{ word('ui-add') }}</button>
    </form>
    <h2>{{ word('prove-put-up-or-taken') }}</h2>
    <ul v-if="tags.length" class="list" :aria-label="word('prove-tagged')">
      <li v-for="t in tags" :key="t.id" :class="{ back: t.back }">
        <span class="grow"
          ><strong>{{ named(t.kind) }}</strong
          >, {{ t.where }}
          <span class="who"
            >{{ job.nameOf(t.by) }}, {{ when(t.atS, clock.nowS, zone)
            }}{{
              t.back
                ? word('prove-back', {
                    when: when(t.back.atS, clock.nowS, zone),
                    name: job.nameOf(t.back.by),
                  }) + (t.back.how ? `, ${t.back.how}` : '')
                : ''
            }}</span
          ></span
        >
        <button v-if="!t.back" type="button" class="button" @click="comeBack(t)">
          {{ word('prove-it-is-back') }}
        </button>
        <button v-if="!t.back" type="button" class="figure-link" @click="more = t">
          {{ word('prove-say-how') }}
        </button>
      </li>
    </ul>
    <p v-else class="why">{{ word('prove-nothing-is-tagged-nothing') }}</p>
    <form class="form" @submit.prevent="putTag">
      <ElSelect :teleported="false" v-model="tag.kind" size="large" :aria-label="word('prove-what-was-done')">
        <ElOption v-for="k in TAG_KINDS" :key="k" :value="k" :label="named(k)" />
      </ElSelect>
      <ElInput
        v-model="tag.where"
        size="large"
        :aria-label="word('prove-where')"
        :placeholder="word('prove-branch-to-tank-4')"
      />
      <button type="submit" class="button">{{ word('prove-tag-it') }}</button>
    </form>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <SayMore
      v-if="more"
      :title="word('prove-back-as-it-was', { kind: named(more.kind), where: more.where })"
      @close="more = null"
      @said="(said) => more && comeBack(more, said)"
    />
  </section>
</template>

<style scoped>
.list {
  list-style: none;
  margin: 0 0 10px;
  padding: 0;
}
.list li {
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: 48px;
  border-bottom: 1px solid var(--line);
}
.grow {
  flex: 1;
}
.who {
  display: block;
  font-size: 15px;
  color: var(--soft);
}
.back {
  color: var(--soft);
}
.form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(130px, 1fr));
  gap: 10px;
  margin-bottom: 14px;
  align-items: end;
}
</style>
