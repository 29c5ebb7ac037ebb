<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, onMounted, ref } from 'vue'
import { NoSignal, api } from '../api'
import { useJob } from '../stores/job'
import { useSession } from '../stores/session'
import { jobsWaiting } from '../sync/device'
import { word } from '../words/word'
import Sheet from './Sheet.vue'

/** Who works on this device now: chosen by name, said with a PIN. What was written before goes out first, under its name. */
interface Hands {
  people: readonly { personId: string; name: string }[]
  signedIn: string
}
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const job = useJob()
const hands = ref<Hands | null>(null)
const chosen = ref<string | null>(null)
const pin = ref('')
const fault = ref('')
const busy = ref(false)
const says = (error: unknown): string =>
  error instanceof NoSignal ? word('frame-hands-no-signal') : (error as Error).message
onMounted(async () => {
  try {
    hands.value = await api<Hands>('GET', '/session/hands')
  } catch (error) {
    fault.value = says(error)
  }
})
const who = computed(() => hands.value?.people.find(({ personId }) => personId === chosen.value) ?? null)
async function take(): Promise<void> {
  if (!who.value) return
  busy.value = true
  fault.value = ''
  try {
    const waits = job.pending.length || (await jobsWaiting(session.person?.personId ?? '')).length
    if (waits) return void (fault.value = word('frame-hands-waits', { name: session.person?.name }))
    await session.takeOver(who.value.personId, pin.value)
  } catch (error) {
    fault.value = says(error)
    pin.value = ''
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <Sheet :title="word('frame-hands')" @close="emit('close')">
    <p>{{ word('frame-hands-now', { name: session.person?.name }) }}</p>
    <p v-if="!hands && !fault" role="status">{{ word('frame-hands-looking') }}</p>
    <form v-if="who" @submit.prevent="take">
      <label for="hands-pin">{{ word('frame-hands-pin-of', { name: who.name }) }}</label>
      <ElInput
        id="hands-pin"
        v-model="pin"
        type="password"
        size="large"
        inputmode="numeric"
        maxlength="8"
        autocomplete="off"
      />
      <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
      <div class="buttons">
        <button type="submit" class="button main" :disabled="busy || pin.length < 4">
          {{ word('frame-hands-take', { name: who.name }) }}
        </button>
        <button type="button" class="button" @click="chosen = null">{{ word('frame-hands-other') }}</button>
      </div>
    </form>
    <template v-else-if="hands">
      <p v-if="!hands.people.length" class="why">{{ word('frame-hands-nobody') }}</p>
      <div class="buttons">
        <button
          v-for="one in hands.people"
          :key="one.personId"
          type="button"
          class="button"
          @click="chosen = one.personId"
        >
          {{ one.name }}
        </button>
      </div>
    </template>
    <p v-if="fault && !who" class="refusal" role="alert">{{ fault }}</p>
  </Sheet>
</template>

<style scoped>
.buttons .button {
  min-height: 56px;
}
form {
  display: grid;
  gap: 8px;
}
label {
  font-weight: 600;
}
</style>
