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
  if (!part.name.trim()) return void (fault.value = 'The part needs a name.')
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
    `${part.name.trim()} may take ${fmt.pressure(ratingBar, job.reader)}.`,
  )
  part.name = ''
  Object.assign(given, { rating: null, at: null })
  tried.value = false
}
const dropPart = (p: { id: string; name: string; kind: string; ratingBar: number }): Promise<unknown> =>
  job.write(
    [
      {
        kind: 'part-set',
        data: {
          sectionId: section.value.id,
          partId: p.id,
          name: p.name,
          kind: p.kind,
          ratingBar: p.ratingBar,
          gone: true,
        },
      },
    ],
    `${p.name} is out of the list.`,
  )
async function putTag(): Promise<void> {
  fault.value = ''
  if (!tag.where.trim()) return void (fault.value = 'Say where it is.')
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
    `Tagged: ${tag.kind}, ${tag.where.trim()}.`,
  )
  tag.where = ''
}
const comeBack = (t: { id: string; kind: string; where: string }): Promise<unknown> =>
  job.write([{ kind: 'tag-back', data: { tagId: t.id } }], `Back as it was: ${t.kind}, ${t.where}.`)
</script>

<template>
  <section aria-labelledby="parts">
    <h2 id="parts">Parts with a rating of their own</h2>
    <ul v-if="section.parts.length" class="list">
      <li v-for="p in section.parts" :key="p.id">
        <span class="grow"
          ><strong>{{ p.name }}</strong
          >, {{ p.kind }}{{ p.atM === null ? '' : `, at ${fmt.distance(p.atM * 1000, job.reader)}` }}</span
        >
        <span>{{ fmt.pressure(p.ratingBar, job.reader) }}</span>
        <button type="button" class="button" @click="dropPart(p)">Take out</button>
      </li>
    </ul>
    <p v-else class="why">None named. Unions, threads, valves and flanges often take less than the pipe.</p>
    <form class="form" @submit.prevent="addPart">
      <ElInput v-model="part.name" size="large" aria-label="Name of the part" placeholder="union at pump 2" />
      <ElSelect :teleported="false" v-model="part.kind" size="large" aria-label="Kind of part">
        <ElOption v-for="k in PART_KINDS" :key="k" :value="k" :label="k" />
      </ElSelect>
      <QuantityField
        v-model="given.rating"
        label="Rating"
        as="pressure"
        :usual="USUAL.linePressure"
        :least="0.001"
        :most="1000"
        :missing="tried"
      />
      <QuantityField v-model="given.at" label="Height (empty: not known)" as="distance" />
      <button type="submit" class="button">Add</button>
    </form>
    <h2>Put up or taken out for the test</h2>
    <ul v-if="tags.length" class="list" aria-label="Tagged">
      <li v-for="t in tags" :key="t.id" :class="{ back: t.back }">
        <span class="grow"
          ><strong>{{ t.kind }}</strong
          >, {{ t.where }}
          <span class="who"
            >{{ job.nameOf(t.by) }}, {{ when(t.atS, clock.nowS, zone)
            }}{{
              t.back ? `; back ${when(t.back.atS, clock.nowS, zone)}, ${job.nameOf(t.back.by)}` : ''
            }}</span
          ></span
        >
        <button v-if="!t.back" type="button" class="button" @click="comeBack(t)">It is back</button>
      </li>
    </ul>
    <p v-else class="why">Nothing is tagged. Nothing is handed over until all that was tagged is back.</p>
    <form class="form" @submit.prevent="putTag">
      <ElSelect :teleported="false" v-model="tag.kind" size="large" aria-label="What was done">
        <ElOption v-for="k in TAG_KINDS" :key="k" :value="k" :label="k" />
      </ElSelect>
      <ElInput v-model="tag.where" size="large" aria-label="Where" placeholder="branch to tank 4" />
      <button type="submit" class="button">Tag it</button>
    </form>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
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
}
</style>
