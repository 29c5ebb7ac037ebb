<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { api } from '../../api'
import { useAct } from '../../use-act'
import { when } from '../../when'
import { word } from '../../words/word'
import OwnField from './OwnField.vue'
import OwnForm from './OwnForm.vue'
import OwnSaid from './OwnSaid.vue'

/** One's own password, and everywhere one is signed in. */
interface SignedIn {
  key: string
  sinceS: number | null
  agent: string
  here: boolean
}
const changing = ref(false)
const old = ref('')
const password = ref('')
const { said, fault, act } = useAct()
const places = ref<readonly SignedIn[]>([])
const zone = Intl.DateTimeFormat().resolvedOptions().timeZone

async function load(): Promise<void> {
  places.value = (await api<{ sessions: SignedIn[] }>('GET', '/session/all')).sessions
}
onMounted(() => act(load))
const change = (): Promise<void> =>
  act(async () => {
    await api('PUT', '/session/password', { old: old.value, password: password.value })
    old.value = password.value = ''
    changing.value = false
    await load()
    return word('settings-password-changed')
  })
const end = (key: string): Promise<void> =>
  act(async () => {
    await api('DELETE', `/session/all/${key}`)
    await load()
    return word('settings-signed-out-there')
  })
/** What a browser calls itself says more than anybody wants to know. */
function agentSaid(agent: string): string {
  const found = /(Firefox|Chrome|Safari)\//.exec(agent)?.[1]
  const on = /(Android|iPhone|iPad|Windows|Macintosh|Linux)/.exec(agent)?.[1]
  return [found, on].filter(Boolean).join(', ') || agent.slice(0, 40)
}
const sinceSaid = ({ sinceS }: SignedIn): string =>
  sinceS === null ? '' : word('settings-since', { at: when(sinceS, Date.now() / 1000, zone) })
</script>

<template>
  <section aria-labelledby="own-password">
    <h2 id="own-password">{{ word('settings-password-and-places') }}</h2>
    <OwnForm
      v-if="changing"
      :keep="word('settings-password-keep')"
      :ready="Boolean(old && password)"
      @keep="change"
      @leave="changing = false"
    >
      <OwnField
        id="old-password"
        v-model="old"
        :label="word('settings-password-so-far')"
        field="old"
        :fault="fault"
        type="password"
        autocomplete="current-password"
      />
      <OwnField
        id="new-password"
        v-model="password"
        :label="word('settings-password-new')"
        field="password"
        :fault="fault"
        type="password"
        autocomplete="new-password"
      />
      <p class="why">{{ word('settings-password-why') }}</p>
    </OwnForm>
    <button v-else type="button" class="button" @click="changing = true">
      {{ word('settings-password-change') }}
    </button>
    <ul>
      <li v-for="place in places" :key="place.key">
        <span class="strong">{{ agentSaid(place.agent) || word('settings-some-browser') }}</span>
        <span class="why">{{ place.here ? word('settings-here') : sinceSaid(place) }}</span>
        <button v-if="!place.here" type="button" class="button" @click="end(place.key)">
          {{ word('settings-sign-out-there') }}
        </button>
      </li>
    </ul>
    <button v-if="places.length > 2" type="button" class="button" @click="end('others')">
      {{ word('settings-sign-out-others') }}
    </button>
    <OwnSaid :said="said" :fault="fault" :fields="['old', 'password']" />
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 10px 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  min-height: 56px;
  border-block-end: 1px solid var(--line);
}
li .why {
  margin: 0;
  flex: 1;
}
</style>
