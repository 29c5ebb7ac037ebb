<script setup lang="ts">
import { type StoreItem, toolTouches } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import { useClock } from '../stores/clock'
import { useJob } from '../stores/job'
import { saidAt } from '../when'
import { word } from '../words/word'

/** A thing was found wrong: since when, until when, and every joint made with it then is named before anybody says so. */
const props = defineProps<{ item: StoreItem }>()
const emit = defineEmits<{ done: [] }>()
const job = useJob()
const clock = useClock()
const zone = computed(() => job.state.job.zone)
const typed = reactive({ wrong: '', from: '', until: '' })
const fault = ref('')
const sinceS = computed(() => saidAt(typed.from, clock.nowS, zone.value))
/** When it was right again; null: it is wrong still. */
const untilS = computed(() => (typed.until.trim() ? saidAt(typed.until, clock.nowS, zone.value, true) : null))
/** What is to be looked at again, before anybody says so. */
const touched = computed(() =>
  sinceS.value !== null
    ? toolTouches(job.state, props.item.id, sinceS.value, untilS.value ?? undefined)
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
          toolId: props.item.id,
          fromS: fromS - clock.offsetS,
          ...(toS === null ? {} : { toS: toS - clock.offsetS }),
          says: typed.wrong.trim(),
        },
      },
    ],
    word('make-every-joint-made-with', { name: props.item.name, from: typed.from }),
  )
  emit('done')
}
</script>

<template>
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

<style scoped>
.button {
  min-height: 56px;
}
label {
  font-weight: 600;
}
</style>
