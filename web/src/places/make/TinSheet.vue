<script setup lang="ts">
import { allMethods, dayOf, fillingOf, midnightOf } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { named, word } from '../../words/word'

/** A tin of cement of this job: what stands on it, written down once; its date comes from the code where it can. */
const props = defineProps<{ plastic: string }>()
const emit = defineEmits<{ close: []; take: [tinId: string] }>()
const job = useJob()
const clock = useClock()
const plastics =
  allMethods()
    .find((m) => m.id === 'solvent-cement')
    ?.fields.find((f) => f.key === 'material')?.options ?? []
const plastic = ref<string | null>(props.plastic)
const typed = reactive({ code: '', until: '' })
const fault = ref('')
const today = computed(() => dayOf(clock.nowS, job.state.job.zone))
const filling = computed(() => fillingOf(typed.code.trim(), today.value))
const says = computed(() => {
  const own = filling.value
  if (!typed.code.trim()) return ''
  if (!own.ok) return word('make-no-filling-date-in')
  return word('make-filled-good-to-24', {
    filledOn: own.filledOn,
    expiresOn: own.expiresOn,
    isExpired: own.expired ? 'yes' : 'no',
  })
})
async function keep(): Promise<void> {
  const code = typed.code.trim()
  const until = typed.until.trim() || (filling.value.ok ? filling.value.expiresOn : '')
  const lacks = [
    [!code, 'make-write-the-code-that'],
    [!plastic.value, 'make-say-which-plastic-it'],
    [midnightOf(until) === null, 'make-write-the-last-good'],
  ] as const
  const first = lacks.find(([is]) => is)
  fault.value = first ? word(first[1]) : ''
  if (fault.value) return
  const tinId = crypto.randomUUID()
  await job.write(
    [{ kind: 'tin-set', data: { tinId, plastic: plastic.value, code, expiresOn: until } }],
    word('make-tin-is-in-hand', { code }),
  )
  emit('take', tinId)
  emit('close')
}
</script>

<template>
  <Sheet :title="word('make-a-tin-of-cement')" @close="emit('close')">
    <ChipChoice
      v-model="plastic"
      :label="word('make-for-which-plastic')"
      :options="[...plastics, 'transition', 'one-step'].map((p) => [p, named(p)] as const)"
    />
    <label for="tin-code">{{ word('make-code-on-the-tin') }}</label>
    <ElInput id="tin-code" v-model="typed.code" size="large" maxlength="40" @keydown.enter="keep" />
    <p class="why" role="status">{{ says }}</p>
    <label for="tin-until">{{ word('make-good-until-where-the') }}</label>
    <ElInput
      id="tin-until"
      v-model="typed.until"
      size="large"
      placeholder="2027-03-31"
      @keydown.enter="keep"
    />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="button" class="button main" @click="keep">{{ word('make-keep-it-in-hand') }}</button>
  </Sheet>
</template>

<style scoped>
.button {
  min-height: 56px;
}
</style>
