<script setup lang="ts">
import { wholeAddress } from '../../base'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, onMounted, ref } from 'vue'
import { api } from '../../api'
import QrCode from '../../frame/QrCode.vue'
import { useAct } from '../../use-act'
import { dated } from '../../when'
import { word } from '../../words/word'

/** Who is with the firm: brought in by a link, let go, made an administrator. */
interface Known {
  personId: string
  name: string
  login: string
  admin: boolean
  leftAtS: number | null
}
interface Open {
  key: string
  name: string
  admin: boolean
  again: boolean
  untilS: number
}
interface Line {
  what: string
  atS: number
  by: string | null
  of: string | null
  said: string
}
const people = ref<readonly Known[]>([])
const open = ref<readonly Open[]>([])
const audit = ref<readonly Line[]>([])
const name = ref('')
const asAdmin = ref(false)
const link = ref<{ url: string; name: string } | null>(null)
const { said, fault, act } = useAct()
const sure = ref<string | null>(null)
const zone = Intl.DateTimeFormat().resolvedOptions().timeZone
const FEW = 12
const most = ref(FEW)

async function load(): Promise<void> {
  const all = await api<{ people: Known[]; invitations: Open[]; audit: Line[] }>('GET', '/people')
  people.value = all.people
  open.value = all.invitations
  audit.value = all.audit
}
onMounted(() => act(load))
const invite = (more: { name: string; admin?: boolean; personId?: string }): Promise<void> =>
  act(async () => {
    const { token } = await api<{ token: string }>('POST', '/people/invitations', more)
    link.value = { url: wholeAddress(`/welcome/${token}`), name: more.name }
    name.value = ''
    asAdmin.value = false
    return load()
  })
const takeBack = (key: string): Promise<void> =>
  act(async () => {
    await api('DELETE', `/people/invitations/${key}`)
    link.value = null
    return load()
  })
const change = (one: Known, to: { admin?: boolean; left?: boolean }): Promise<void> =>
  act(async () => {
    if (to.left && sure.value !== one.personId) return void (sure.value = one.personId)
    sure.value = null
    await api('PUT', `/people/${one.personId}`, to)
    return load()
  })
async function copy(): Promise<void> {
  if (!link.value) return
  // Only over https, or on this machine, does a browser let a page copy.
  await navigator.clipboard?.writeText(link.value.url).then(
    () => (said.value = word('settings-link-copied')),
    () => undefined,
  )
}
const nameOf = (personId: string | null): string =>
  people.value.find((one) => one.personId === personId)?.name ?? ''
const auditSaid = ({ what, by, of, said: about }: Line): string =>
  word(`settings-audit-${what as 'invited'}`, { by: nameOf(by), of: nameOf(of) || about, about })
const shownAudit = computed(() => audit.value.slice(0, most.value))
</script>

<template>
  <section aria-labelledby="firm">
    <h2 id="firm">{{ word('settings-people') }}</h2>
    <ul>
      <li v-for="one in people" :key="one.personId" :class="{ went: one.leftAtS }">
        <span class="who">
          <span class="strong">{{ one.name }}</span>
          <span class="why">{{
            word('settings-person-says', {
              login: one.login,
              state: one.leftAtS ? 'left' : one.admin ? 'admin' : 'here',
              on: one.leftAtS ? dated(one.leftAtS, zone) : '',
            })
          }}</span>
        </span>
        <span class="buttons">
          <template v-if="one.leftAtS">
            <button type="button" class="button" @click="change(one, { left: false })">
              {{ word('settings-let-back') }}
            </button>
          </template>
          <template v-else>
            <button
              type="button"
              class="button"
              :aria-label="`${one.name}: ${word('settings-new-password-link')}`"
              @click="invite({ name: one.name, personId: one.personId })"
            >
              {{ word('settings-new-password-link') }}
            </button>
            <button type="button" class="button" @click="change(one, { admin: !one.admin })">
              {{ word(one.admin ? 'settings-admin-no-more' : 'settings-make-admin') }}
            </button>
            <button
              type="button"
              class="button"
              :class="{ stop: sure === one.personId }"
              :aria-label="`${one.name}: ${word('settings-let-go')}`"
              @click="change(one, { left: true })"
            >
              {{ sure === one.personId ? word('settings-let-go-sure') : word('settings-let-go') }}
            </button>
          </template>
        </span>
      </li>
    </ul>
    <h3>{{ word('settings-bring-in') }}</h3>
    <form @submit.prevent="invite({ name, admin: asAdmin })">
      <label for="guest-name">{{ word('settings-guest-name') }}</label>
      <ElInput id="guest-name" v-model="name" size="large" maxlength="80" />
      <label class="reach tick"
        ><input v-model="asAdmin" type="checkbox" /> {{ word('settings-guest-admin') }}</label
      >
      <button type="submit" class="button main" :disabled="!name.trim()">
        {{ word('settings-make-link') }}
      </button>
    </form>
    <div v-if="link" class="link">
      <QrCode :text="link.url" :label="word('settings-link-as-code', { name: link.name })" />
      <div>
        <p class="strong">{{ word('settings-link-for', { name: link.name }) }}</p>
        <p class="url">{{ link.url }}</p>
        <p class="why">{{ word('settings-link-why') }}</p>
        <button type="button" class="button" @click="copy">{{ word('settings-link-copy') }}</button>
      </div>
    </div>
    <ul v-if="open.length" :aria-label="word('settings-open-invitations')">
      <li v-for="one in open" :key="one.key">
        <span class="who">{{
          word('settings-invited-says', {
            name: one.name,
            until: dated(one.untilS, zone),
            what: one.again ? 'password' : one.admin ? 'admin' : 'person',
          })
        }}</span>
        <button type="button" class="button" @click="takeBack(one.key)">
          {{ word('settings-take-back') }}
        </button>
      </li>
    </ul>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="fault" class="refusal" role="alert">{{ fault.says }}</p>
    <details v-if="audit.length">
      <summary class="reach">{{ word('settings-audit') }}</summary>
      <p v-for="(line, at) in shownAudit" :key="at" class="entry">
        {{ dated(line.atS, zone) }}: {{ auditSaid(line) }}
      </p>
      <button v-if="audit.length > most" type="button" class="button" @click="most = Infinity">
        {{ word('shelf-show-all', { count: audit.length }) }}
      </button>
    </details>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 8px 0 14px;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  min-height: 60px;
  padding: 6px 0;
  border-block-end: 1px solid var(--line);
}
.who {
  display: flex;
  flex-direction: column;
  flex: 1 1 180px;
}
.who .why {
  margin: 0;
}
.went .strong {
  font-weight: 400;
  text-decoration: line-through;
}
form {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 6px;
  max-width: 420px;
}
label:not(.tick) {
  font-weight: 600;
}
.tick {
  gap: 8px;
}
.link {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  margin: 14px 0;
  padding: 12px;
  border: 2px solid var(--ink);
}
.link > div {
  flex: 1 1 240px;
}
.url {
  overflow-wrap: anywhere;
  font-family: var(--figures);
}
.entry {
  margin: 2px 0;
}
</style>
