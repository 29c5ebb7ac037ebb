<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { noPasskeys } from '../../passkeys'
import { useSession } from '../../stores/session'
import { word } from '../../words/word'

const session = useSession()
const route = useRoute()
const router = useRouter()
const login = ref('')
const password = ref('')
const fault = ref('')
const busy = ref(false)

/** In by one way or another, and on to where one was going; whoever is not let in stays, and is told why. */
async function enter(come: () => Promise<string | void>): Promise<void> {
  fault.value = ''
  busy.value = true
  try {
    const why = await come()
    if (why) fault.value = why
    else await router.push(onwards())
  } catch (error) {
    fault.value = (error as Error).message
  } finally {
    busy.value = false
  }
}
function onwards(): string {
  const { to } = route.query
  return typeof to === 'string' && to.startsWith('/') && !to.startsWith('//') ? to : '/jobs'
}
const go = (): Promise<void> => enter(() => session.signIn(login.value.trim(), password.value))
const byPasskey = noPasskeys() === null
const goByPasskey = (): Promise<void> =>
  enter(async () => ((await session.signInByKey()) ? undefined : word('sign-in-no-passkey')))
</script>

<template>
  <main class="sign-in">
    <svg viewBox="0 0 220 70" class="picture" aria-hidden="true">
      <rect
        x="0"
        y="22"
        width="120"
        height="26"
        fill="var(--pipe-fill)"
        stroke="var(--ink)"
        stroke-width="2.5"
      />
      <path d="M120 10H216V60H120V48H198V22H120Z" fill="var(--logo)" stroke="var(--ink)" stroke-width="2.5" />
      <path d="M52 16V54" stroke="var(--violet)" stroke-width="3" />
      <path d="M28 16V54" stroke="var(--ink)" stroke-width="3" />
    </svg>
    <h1>Jugalis</h1>
    <p class="why">{{ word('sign-in-what-may-i-do') }}</p>
    <form @submit.prevent="go">
      <label for="login">{{ word('ui-name') }}</label>
      <ElInput id="login" v-model="login" size="large" autocomplete="username" autofocus />
      <label for="password">{{ word('sign-in-password') }}</label>
      <ElInput
        id="password"
        v-model="password"
        size="large"
        type="password"
        autocomplete="current-password"
      />
      <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
      <button class="button main" type="submit" :disabled="busy">{{ word('sign-in-sign-in') }}</button>
      <button v-if="byPasskey" class="button" type="button" :disabled="busy" @click="goByPasskey">
        {{ word('sign-in-by-passkey') }}
      </button>
    </form>
    <p v-if="session.demo" class="demo">
      {{ word('sign-in-in-the-demo-wren') }}
    </p>
    <RouterLink class="reach" to="/verify">{{ word('sign-in-check-a-file') }}</RouterLink>
  </main>
</template>

<style scoped>
.sign-in {
  min-height: 100dvh;
  max-width: 380px;
  margin: 0 auto;
  padding: 9vh 18px 24px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.picture {
  width: 220px;
  margin-bottom: 12px;
}
form {
  display: flex;
  flex-direction: column;
  gap: 6px;
  margin-top: 18px;
}
label {
  font-weight: 600;
  margin-top: 6px;
}
.button {
  min-height: 56px;
  margin-top: 14px;
}
.demo {
  margin-top: 18px;
  color: var(--soft);
}
</style>
