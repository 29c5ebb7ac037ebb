<script setup lang="ts">
import { type Need, type Tool, toolTouches } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { lastAt } from '../../when'
import { named, word } from '../../words/word'

/** A tool of this job: written down once, tried each day, and, when it was wrong, every joint made with it is named. */
const props = defineProps<{ needs: readonly Need[]; tool: Tool | null }>()
const emit = defineEmits<{ close: []; take: [kind: string, toolId: string] }>()
const job = useJob()
const clock = useClock()
const zone = computed(() => job.state.job.zone)
const kinds = computed(() => props.needs.filter((n) => n.unit === 'count' && n.item !== 'fitting'))
const kind = ref(props.tool?.kind ?? kinds.value[0]?.item ?? '')
const need = computed(() => kinds.value.find((n) => n.item === kind.value))
const typed = reactive({
  name: props.tool?.name ?? '',
  dueOn: props.tool?.dueOn ?? '',
  wrong: '',
  from: '',
  until: '',
})
const fits = reactive<Record<string, string>>({ ...props.tool?.matches })
const fault = ref('')
async function keep(): Promise<void> {
  if (!typed.name.trim()) return void (fault.value = word('make-a-tool-needs-the'))
  if (typed.dueOn && !/^\d{4}-\d{2}-\d{2}$/.test(typed.dueOn))
    return void (fault.value = word('make-write-the-date-like'))
  const toolId = props.tool?.id ?? crypto.randomUUID()
  const matches = Object.fromEntries(Object.entries(fits).filter(([, v]) => v.trim()))
  await job.write(
    [
      {
        kind: 'tool-set',
        data: {
          toolId,
          kind: kind.value,
          name: typed.name.trim(),
          matches,
          ...(typed.dueOn ? { dueOn: typed.dueOn } : {}),
        },
      },
    ],
    word('make-is-written-down', { name: typed.name.trim() }),
  )
  emit('take', kind.value, toolId)
  emit('close')
}
async function proof(good: boolean): Promise<void> {
  if (!props.tool) return
  await job.write(
    [{ kind: 'tool-proof', data: { toolId: props.tool.id, good, how: word('make-tried-before-the-shift') } }],
    word(good ? 'make-tried-good' : 'make-tried-not-good', { tool: props.tool.name }),
  )
  emit('close')
}
const sinceS = computed(() => lastAt(typed.from, clock.nowS, zone.value))
/** When it was right again; null: it is wrong still. */
const untilS = computed(() => (typed.until.trim() ? lastAt(typed.until, clock.nowS, zone.value) : null))
/** What is to be looked at again, before anybody says so. */
const touched = computed(() =>
  props.tool && sinceS.value !== null
    ? toolTouches(job.state, props.tool.id, sinceS.value, untilS.value ?? undefined)
    : null,
)
const NAMED = 12
const touches = computed(() => {
  const own = touched.value
  if (!own) return ''
  const more = own.joints.length - NAMED
  const list = word('make-and-more', { list: own.joints.slice(0, NAMED).join(', '), more })
  const proofs = own.sections.length
    ? ` ${word('make-proved-with-them-in', { sections: own.sections.join(', ') })}`
    : ''
  return own.joints.length
    ? word('make-made-with-it-since', { list, proofs })
    : word('make-nothing-was-made-with')
})
async function found(): Promise<void> {
  const fromS = sinceS.value
  if (!props.tool) return
  if (!typed.wrong.trim()) return void (fault.value = word('make-say-what-is-wrong'))
  if (fromS === null) return void (fault.value = word('make-say-since-when-like'))
  const toS = untilS.value
  if (typed.until.trim() && (toS === null || toS <= fromS))
    return void (fault.value = word('make-until-is-later'))
  await job.write(
    [
      {
        kind: 'tool-found',
        data: {
          toolId: props.tool.id,
          fromS: fromS - clock.offsetS,
          ...(toS === null ? {} : { toS: toS - clock.offsetS }),
          says: typed.wrong.trim(),
        },
      },
    ],
    word('make-every-joint-made-with', { name: props.tool.name, from: typed.from }),
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="tool ? tool.name : word('make-a-tool-2')" @close="emit('close')">
    <template v-if="tool">
      <p class="strong">{{ word('make-tried-today') }}</p>
      <div class="buttons">
        <button type="button" class="button main" @click="proof(true)">
          {{ word('make-tried-it-good') }}
        </button>
        <button type="button" class="button stop" @click="proof(false)">{{ word('make-not-good') }}</button>
      </div>
      <p class="strong">{{ word('make-found-to-be-wrong') }}</p>
      <label for="tool-wrong">{{ word('make-what-is-wrong') }}</label>
      <ElInput id="tool-wrong" v-model="typed.wrong" size="large" :placeholder="word('make-wrong-profile')" />
      <label for="tool-from">{{ word('make-since') }}</label>
      <ElInput id="tool-from" v-model="typed.from" size="large" placeholder="07:30" />
      <label for="tool-until">{{ word('make-until-if-right') }}</label>
      <ElInput id="tool-until" v-model="typed.until" size="large" placeholder="11:00" />
      <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
      <p v-if="touches" role="status">{{ touches }}</p>
      <button type="button" class="button stop" @click="found">
        {{
          touched?.joints.length
            ? word('make-look-again-at-joints', { joints: touched.joints.length })
            : word('make-look-at-every-joint')
        }}
      </button>
    </template>
    <template v-else>
      <ChipChoice
        v-model="kind"
        :label="word('make-kind-of-tool')"
        :options="kinds.map((n) => [n.item, named(n.item)] as const)"
      />
      <label for="tool-name">{{ word('make-name-or-number-on') }}</label>
      <ElInput id="tool-name" v-model="typed.name" size="large" />
      <template v-for="(wants, key) in need?.matches" :key="key">
        <label :for="`tool-${key}`">{{ word('make-its-needed-here', { key: named(key), wants }) }}</label>
        <ElInput :id="`tool-${key}`" v-model="fits[key]" size="large" />
      </template>
      <label for="tool-due">{{ word('make-next-service-or-calibration') }}</label>
      <ElInput id="tool-due" v-model="typed.dueOn" size="large" placeholder="2027-03-31" />
      <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
      <button type="button" class="button main" @click="keep">{{ word('ui-keep-it') }}</button>
    </template>
  </Sheet>
</template>

<style scoped>
.button {
  min-height: 56px;
}
</style>
