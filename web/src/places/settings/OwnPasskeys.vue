<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { api } from '../../api'
import { makePasskey, noPasskeys } from '../../passkeys'
import { useAct } from '../../use-act'
import { when } from '../../when'
import { word } from '../../words/word'
import OwnField from './OwnField.vue'
import OwnForm from './OwnForm.vue'
import OwnSaid from './OwnSaid.vue'

/** One's own passkeys: put on, listed, taken away. */
interface Passkey {
  key: string
  name: string
  madeAtS: number
  usedAtS: number | null
}
const passkeys = ref<readonly Passkey[] | null>(null)
const adding = ref(false)
const name = ref('')
const password = ref('')
const { said, fault, act } = useAct()
const zone = Intl.DateTimeFormat().resolvedOptions().timeZone
const cannot = noPasskeys()
async function load(): Promise<void> {
  passkeys.value = (await api<{ passkeys: Passkey[] }>('GET', '/session/passkeys')).passkeys
}
onMounted(() => act(load))
const at = (atS: number): string => when(atS, Date.now() / 1000, zone)
const isSaid = ({ name, madeAtS, usedAtS }: Passkey): string =>
  word('settings-passkey-is', {
    name,
    since: at(madeAtS),
    used: usedAtS === null ? 'none' : at(usedAtS),
  })
const make = (): Promise<void> =>
  act(async () => {
    const called = name.value.trim()
    if (!(await makePasskey(called, password.value))) return word('settings-passkey-not-made')
    name.value = password.value = ''
    adding.value = false
    await load()
    return word('settings-passkey-kept', { name: called })
  })
const takeAway = (one: Passkey): Promise<void> =>
  act(async () => {
    await api('DELETE', `/session/passkeys/${encodeURIComponent(one.key)}`)
    await load()
    return word('settings-passkey-gone', { name: one.name })
  })
</script>

<template>
  <section aria-labelledby="own-passkeys">
    <h2 id="own-passkeys">{{ word('settings-passkeys') }}</h2>
    <p class="why">{{ word('settings-passkeys-why') }}</p>
    <ul v-if="passkeys?.length">
      <li v-for="one in passkeys" :key="one.key">
        <span>{{ isSaid(one) }}</span>
        <button type="button" class="button" @click="takeAway(one)">
          {{ word('settings-passkey-away', { name: one.name }) }}
        </button>
      </li>
    </ul>
    <p v-else-if="passkeys && !cannot">{{ word('settings-passkeys-none') }}</p>
    <p v-if="cannot">{{ word(`settings-passkeys-${cannot}`) }}</p>
    <OwnForm
      v-else-if="adding"
      :keep="word('settings-passkey-make')"
      :ready="Boolean(name.trim() && password)"
      @keep="make"
      @leave="adding = false"
    >
      <OwnField
        id="passkey-name"
        v-model="name"
        :label="word('settings-passkey-name')"
        field="name"
        :fault="fault"
        maxlength="60"
      />
      <OwnField
        id="passkey-password"
        v-model="password"
        :label="word('settings-passkey-password')"
        field="password"
        :fault="fault"
        type="password"
        autocomplete="current-password"
      />
    </OwnForm>
    <div v-else class="buttons">
      <button type="button" class="button" @click="adding = true">{{ word('settings-passkey-add') }}</button>
    </div>
    <OwnSaid :said="said" :fault="fault" :fields="['name', 'password']" />
  </section>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 4px 14px;
  padding-block: 4px;
  border-bottom: 1px solid var(--line);
  overflow-wrap: anywhere;
}
</style>
