<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { api } from '../../api'
import TakeOver from '../../frame/TakeOver.vue'
import { useSession } from '../../stores/session'
import { useAct } from '../../use-act'
import { word } from '../../words/word'
import OwnField from './OwnField.vue'
import OwnForm from './OwnForm.vue'
import OwnSaid from './OwnSaid.vue'

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
      <OwnForm
        v-if="setting"
        :keep="word('settings-pin-keep')"
        :ready="Boolean(password && pin)"
        @keep="keep"
        @leave="setting = false"
      >
        <OwnField
          id="pin-password"
          v-model="password"
          :label="word('settings-pin-password')"
          field="password"
          :fault="fault"
          type="password"
          autocomplete="current-password"
        />
        <OwnField
          id="pin-new"
          v-model="pin"
          :label="word('settings-pin-new')"
          field="pin"
          :fault="fault"
          type="password"
          inputmode="numeric"
          maxlength="8"
          autocomplete="off"
        />
      </OwnForm>
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
    <OwnSaid :said="said" :fault="fault" :fields="['password', 'pin']" />
    <TakeOver v-if="taking" @close="taking = false" />
  </section>
</template>

<style scoped>
.hand-on {
  margin-block-start: 10px;
}
</style>
