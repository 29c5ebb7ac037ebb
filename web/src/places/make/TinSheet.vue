<script setup lang="ts">
import { allMethods, dayOf, fillingOf, midnightOf, named } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'

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
  const f = filling.value
  if (!typed.code.trim()) return ''
  if (!f.ok) return 'No filling date in this code: write the last good day that stands on the tin.'
  return `Filled ${f.filledOn}, good to ${f.expiresOn}${f.expired ? ': past its date' : ''}. 24 months, common practice; what the tin says goes first.`
})
async function keep(): Promise<void> {
  const code = typed.code.trim()
  const until = typed.until.trim() || (filling.value.ok ? filling.value.expiresOn : '')
  fault.value = !code
    ? 'Write the code that stands on the tin.'
    : !plastic.value
      ? 'Say which plastic it is for.'
      : midnightOf(until) === null
        ? 'Write the last good day like 2027-03-31.'
        : ''
  if (fault.value) return
  const tinId = crypto.randomUUID()
  await job.write(
    [{ kind: 'tin-set', data: { tinId, plastic: plastic.value, code, expiresOn: until } }],
    `Tin ${code} is in hand.`,
  )
  emit('take', tinId)
  emit('close')
}
</script>

<template>
  <Sheet title="A tin of cement" @close="emit('close')">
    <ChipChoice
      v-model="plastic"
      label="For which plastic"
      :options="[...plastics, 'transition', 'one-step'].map((p) => [p, named(p)] as const)"
    />
    <label for="tin-code">Code on the tin</label>
    <ElInput id="tin-code" v-model="typed.code" size="large" maxlength="40" @keydown.enter="keep" />
    <p class="why" role="status">{{ says }}</p>
    <label for="tin-until">Good until, where the tin says so</label>
    <ElInput
      id="tin-until"
      v-model="typed.until"
      size="large"
      placeholder="2027-03-31"
      @keydown.enter="keep"
    />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="button" class="button main" @click="keep">Keep it, in hand</button>
  </Sheet>
</template>

<style scoped>
.button {
  min-height: 56px;
}
</style>
