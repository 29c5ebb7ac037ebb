<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { onMounted, ref } from 'vue'
import { api } from '../../api'
import TakeOver from '../../frame/TakeOver.vue'
import { useSession } from '../../stores/session'
import { useAct } from '../../use-act'
import { word } from '../../words/word'

/** One's PIN for a device that goes from hand to hand; and handing it over. */
interface Hands {
  people: readonly { personId: string; name: string }[]
  pin: boolean
  guest: boolean
  shared: boolean
  signedIn: string
}
const session = useSession()
const hands = ref<Hands | null>(null)
const setting = ref(false)
const taking = ref(false)
const password = ref('')
const pin = ref('')
const { said, fault, act } = useAct()
async function load(): Promise<void> {
  hands.value = await api<Hands>('GET', '/session/hands')
  session.shared = hands.value.shared
}
onMounted(() => act(load))
const keep = (): Promise<void> =>
  act(async () => {
    await api('PUT', '/session/pin', { password: password.value, pin: pin.value })
    password.value = pin.value = ''
    setting.value = false
    await load()
    return word('settings-pin-kept')
  })
const takeAway = (): Promise<void> =>
  act(async () => {
    await api('DELETE', '/session/pin')
    await load()
    return word('settings-pin-gone')
  })
</script>

<template>
  <section aria-labelledby="own-pin">
    <h2 id="own-pin">{{ word('settings-pin') }}</h2>
    <p class="why">{{ word('settings-pin-why') }}</p>
    <p v-if="hands?.guest" class="strong">{{ word('settings-guest', { name: hands.signedIn }) }}</p>
    <template v-else-if="hands">
      <form v-if="setting" @submit.prevent="keep">
        <label for="pin-password">{{ word('settings-pin-password') }}</label>
        <ElInput
          id="pin-password"
          v-model="password"
          type="password"
          size="large"
          autocomplete="current-password"
        />
        <p v-if="fault?.field === 'password'" class="refusal" role="alert">{{ fault.says }}</p>
        <label for="pin-new">{{ word('settings-pin-new') }}</label>
        <ElInput
          id="pin-new"
          v-model="pin"
          type="password"
          size="large"
          inputmode="numeric"
          maxlength="8"
          autocomplete="off"
        />
        <p v-if="fault?.field === 'pin'" class="refusal" role="alert">{{ fault.says }}</p>
        <div class="buttons">
          <button type="submit" class="button main" :disabled="!password || !pin">
            {{ word('settings-pin-keep') }}
          </button>
          <button type="button" class="button" @click="setting = false">
            {{ word('settings-leave-it') }}
          </button>
        </div>
      </form>
      <div v-else class="buttons">
        <button type="button" class="button" @click="setting = true">
          {{ word('settings-pin-set', { has: hands.pin ? 'yes' : 'no' }) }}
        </button>
        <button v-if="hands.pin" type="button" class="button" @click="takeAway">
          {{ word('settings-pin-away') }}
        </button>
      </div>
    </template>
    <button v-if="hands?.shared" type="button" class="button hand-on" @click="taking = true">
      {{ word('frame-hands-open') }}
    </button>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="fault && !['password', 'pin'].includes(fault.field ?? '')" class="refusal" role="alert">
      {{ fault.says }}
    </p>
    <TakeOver v-if="taking" @close="taking = false" />
  </section>
</template>

<style scoped>
form {
  display: flex;
  flex-direction: column;
  gap: 6px;
  max-width: 420px;
}
label {
  font-weight: 600;
}
.hand-on {
  margin-block-start: 10px;
}
</style>
