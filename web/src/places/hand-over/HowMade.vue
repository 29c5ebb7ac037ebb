<script setup lang="ts">
import { type JointFacts, type MadeBy, greatest, makingOf, methodOf } from '@jugalis/core'
import { computed, shallowRef, watch } from 'vue'
import { useJob } from '../../stores/job'
import { useSession } from '../../stores/session'
import { dayText } from '../../when'
import { word } from '../../words/word'

/** How the making went: right the first time, why joints were cut out, joints a day. Of others only who leads sees it. */
const props = defineProps<{ joints: readonly JointFacts[] }>()
const job = useJob()
const session = useSession()
const open = shallowRef(false)
/** Days that are shown: the last ones on which something was made. */
const LAST_DAYS = 14
const making = computed(() =>
  open.value
    ? makingOf(
        job.entries(),
        props.joints,
        job.state.job.zone,
        job.leading ? undefined : (session.person?.personId ?? ''),
      )
    : null,
)
const days = computed(() => making.value?.days.slice(-LAST_DAYS) ?? [])
const most = computed(() => Math.max(1, greatest(days.value.map(({ made }) => made))))
watch(
  () => job.jobId,
  () => (open.value = false),
)
const methodName = ({ of }: MadeBy): string => {
  const method = methodOf(of)
  return method ? job.t(method.name) : of
}
const tables = computed(() => {
  const found = making.value
  if (!found) return []
  return [
    {
      title: word('hand-over-by-method'),
      rows: found.byMethod.map((row) => ({ ...row, name: methodName(row) })),
    },
    ...(job.leading
      ? [
          {
            title: word('hand-over-by-person'),
            rows: found.byPerson.map((row) => ({ ...row, name: job.nameOf(row.of) })),
          },
        ]
      : []),
  ]
})
const share = ({ right, judged }: MadeBy): number => (judged ? right / judged : 0)
const pct = (part: number): string => `${Math.round(part * 100)}%`
</script>

<template>
  <section :aria-label="word('hand-over-how-made')" class="no-print">
    <h2>{{ word('hand-over-how-made') }}</h2>
    <button v-if="!making" type="button" class="button" @click="open = true">
      {{ word('hand-over-how-made-show') }}
    </button>
    <template v-else>
      <p class="strong">
        {{
          word('hand-over-right-at-once', {
            made: making.all.made,
            judged: making.all.judged,
            right: making.all.right,
            whose: job.leading ? 'all' : 'own',
          })
        }}
      </p>
      <p v-if="!job.leading" class="why">{{ word('hand-over-own-alone') }}</p>
      <div v-if="making.all.made" class="beside">
        <table v-for="table in tables" :key="table.title" class="rows" :aria-label="table.title">
          <thead>
            <tr>
              <th>{{ table.title }}</th>
              <th>{{ word('hand-over-times-made') }}</th>
              <th>{{ word('hand-over-right-first') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in table.rows" :key="row.of">
              <td>{{ row.name }}</td>
              <td class="figure">{{ row.made }}</td>
              <td>
                <span v-if="row.judged" class="bar" aria-hidden="true"
                  ><span :style="{ inlineSize: pct(share(row)) }"></span
                ></span>
                {{ word('hand-over-right-of', { right: row.right, judged: row.judged }) }}
              </td>
            </tr>
          </tbody>
        </table>
        <table class="rows" :aria-label="word('hand-over-a-day')">
          <thead>
            <tr>
              <th>{{ word('hand-over-a-day') }}</th>
              <th>{{ word('hand-over-times-made') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="day in days" :key="day.on">
              <td>{{ dayText(day.on) }}</td>
              <td>
                <span class="bar" aria-hidden="true"
                  ><span :style="{ inlineSize: pct((day.made - day.again) / most) }"></span
                  ><span class="again" :style="{ inlineSize: pct(day.again / most) }"></span
                ></span>
                {{ word('hand-over-made-again', { made: day.made, again: day.again }) }}
              </td>
            </tr>
          </tbody>
        </table>
        <table v-if="making.causes.length" class="rows" :aria-label="word('hand-over-causes')">
          <thead>
            <tr>
              <th>{{ word('hand-over-causes') }}</th>
              <th>{{ word('hand-over-times') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="cause in making.causes" :key="cause.says">
              <td>{{ cause.says || word('hand-over-no-cause') }}</td>
              <td class="figure">{{ cause.times }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </section>
</template>

<style scoped>
.beside {
  display: flex;
  flex-wrap: wrap;
  gap: 18px 28px;
  align-items: flex-start;
}
table {
  flex: 1 1 340px;
}
.figure {
  font-family: var(--figures);
}
.bar {
  display: inline-flex;
  inline-size: 120px;
  block-size: 12px;
  margin-inline-end: 8px;
  border: 1px solid var(--ink);
  vertical-align: -1px;
}
.bar span {
  background: var(--ink);
}
.bar .again {
  background: repeating-linear-gradient(45deg, var(--ink) 0 2px, transparent 2px 4px);
}
</style>
