<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { Refused, api } from '../../api'
import { useSession } from '../../stores/session'
import { word } from '../../words/word'

/** Where an invitation leads: the first administrator, somebody new, or a new password. */
interface Guest {
  name: string
  org: string | null
  login: string | null
}
const route = useRoute()
const router = useRouter()
const session = useSession()
const guest = ref<Guest | null>(null)
const lost = ref('')
const said = ref({ org: '', name: '', login: '', password: '' })
const shown = ref(false)
const busy = ref(false)
const fault = ref<{ field: string | null; says: string } | null>(null)
const path = computed(() => `/welcome/${String(route.params.token)}`)
watch(said, () => (fault.value = null), { deep: true })

onMounted(async () => {
  try {
    guest.value = await api<Guest>('GET', path.value)
    said.value.name = guest.value.name
  } catch (error) {
    lost.value = (error as Error).message
  }
})
const headline = computed(() => {
  const own = guest.value
  if (!own) return lost.value ? word('sign-in-no-way-in') : word('sign-in-looking')
  if (own.login !== null) return word('sign-in-new-password-for', { login: own.login })
  return own.org === null ? word('sign-in-you-are-first') : word('sign-in-come-in', { org: own.org })
})
const why = computed(() => {
  const own = guest.value
  if (!own) return lost.value
  if (own.login !== null) return word('sign-in-new-password-why')
  return word(own.org === null ? 'sign-in-first-why' : 'sign-in-come-in-why')
})
const faultAt = (field: string): string => (fault.value?.field === field ? fault.value.says : '')
async function go(): Promise<void> {
  fault.value = null
  busy.value = true
  try {
    const { password, ...rest } = said.value
    const own = guest.value?.login === null ? rest : {}
    await session.comeIn(path.value, { ...own, password })
    await router.push('/jobs')
  } catch (error) {
    fault.value = { field: error instanceof Refused ? error.field : null, says: (error as Error).message }
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <main id="main" class="welcome">
    <h1>{{ headline }}</h1>
    <p :class="lost ? 'refusal' : 'why'" :role="lost ? 'alert' : undefined">{{ why }}</p>
    <form v-if="guest" @submit.prevent="go">
      <template v-if="guest.login === null">
        <template v-if="guest.org === null">
          <label for="welcome-org">{{ word('sign-in-org') }}</label>
          <ElInput id="welcome-org" v-model="said.org" size="large" maxlength="120" autofocus />
          <p v-if="faultAt('org')" class="refusal" role="alert">{{ faultAt('org') }}</p>
        </template>
        <label for="welcome-name">{{ word('sign-in-called') }}</label>
        <ElInput id="welcome-name" v-model="said.name" size="large" maxlength="80" autocomplete="name" />
        <p v-if="faultAt('name')" class="refusal" role="alert">{{ faultAt('name') }}</p>
        <label for="welcome-login">{{ word('sign-in-as') }}</label>
        <ElInput
          id="welcome-login"
          v-model="said.login"
          size="large"
          maxlength="80"
          autocomplete="username"
          autocapitalize="none"
        />
        <p v-if="faultAt('login')" class="refusal" role="alert">{{ faultAt('login') }}</p>
      </template>
      <input
        v-else
        type="text"
        class="sr"
        autocomplete="username"
        :value="guest.login"
        readonly
        tabindex="-1"
      />
      <label for="welcome-password">{{ word('sign-in-new-password') }}</label>
      <ElInput
        id="welcome-password"
        v-model="said.password"
        size="large"
        :type="shown ? 'text' : 'password'"
        autocomplete="new-password"
      />
      <label class="reach tick"
        ><input v-model="shown" type="checkbox" /> {{ word('sign-in-show-it') }}</label
      >
      <p v-if="faultAt('password')" class="refusal" role="alert">{{ faultAt('password') }}</p>
      <p v-if="fault && !fault.field" class="refusal" role="alert">{{ fault.says }}</p>
      <button class="button main" type="submit" :disabled="busy || !said.password">
        {{ word(guest.login === null ? 'sign-in-begin' : 'sign-in-keep-password') }}
      </button>
    </form>
    <RouterLink v-if="lost" class="button" to="/sign-in">{{ word('sign-in-sign-in') }}</RouterLink>
  </main>
</template>

<style scoped>
.welcome {
  min-height: 100dvh;
  max-width: 460px;
  margin: 0 auto;
  padding: 7vh 18px 24px;
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 8px;
}
form {
  width: 100%;
  display: flex;
  flex-direction: column;
  gap: 6px;
}
label:not(.tick) {
  font-weight: 600;
  margin-block-start: 8px;
}
.tick {
  gap: 8px;
}
.button {
  min-height: 56px;
  margin-block-start: 14px;
}
</style>
