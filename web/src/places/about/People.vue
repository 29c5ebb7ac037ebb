<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '../../api'
import { useJob } from '../../stores/job'
import { useAct } from '../../use-act'
import { named, word } from '../../words/word'
import type { JobPeople, Member } from './use-job-people'

/** Who is on this job. Who has the job puts others on it and takes them off; anybody else may go. */
const props = defineProps<{ people: JobPeople }>()
const { path, me, on, went, leading, toGive, load } = props.people
const job = useJob()
const router = useRouter()
const login = ref('')
const { said, fault, act } = useAct()
/** Whose taking off is asked for once more. */
const sure = ref<string | null>(null)
onMounted(() => act(load))
const add = (): Promise<void> =>
  act(async () => {
    const { name } = await api<{ name: string }>('POST', path(), { login: login.value })
    login.value = ''
    await load()
    return word('site-is-on-this-job', { name })
  })
const takeOff = ({ personId, name }: Member): Promise<void> =>
  act(async () => {
    if (sure.value !== personId) return void (sure.value = personId)
    sure.value = null
    await api('DELETE', path(`/${personId}`))
    if (personId === me.value) return void (await router.push('/jobs'))
    await load()
    return word('about-is-off', { name })
  })
/** Who has the job hands it on first; others go by themselves, or are taken off by who leads them. */
const mayGo = (member: Member): boolean =>
  member.role !== 'owner' && (member.personId === me.value || toGive(member).length > 0)
const give = (member: Member, event: Event): Promise<void> =>
  act(async () => {
    const { value: role } = event.target as HTMLSelectElement
    try {
      await job.writeNow({ kind: 'role-given', data: { personId: member.personId, role } })
    } finally {
      await load()
    }
    return word('about-role-now', { name: member.name, role: named(role) })
  })
const offSays = ({ personId, name }: Member): string => {
  if (sure.value === personId) return word('about-off-sure', { name })
  return personId === me.value ? word('about-leave') : word('about-take-off')
}
</script>

<template>
  <section class="people" aria-labelledby="people">
    <h2 id="people">{{ word('site-on-this-job') }}</h2>
    <ul>
      <li v-for="member in on" :key="member.personId">
        <span class="strong">{{ member.name }}</span>
        <select
          v-if="toGive(member).length"
          class="plain"
          :value="member.role"
          :aria-label="word('about-role-of', { name: member.name })"
          @change="give(member, $event)"
        >
          <option v-for="role in toGive(member)" :key="role" :value="role">{{ named(role) }}</option>
        </select>
        <span v-else class="why">{{ named(member.role) }}</span>
        <button
          v-if="mayGo(member)"
          type="button"
          class="button"
          :class="{ stop: sure === member.personId }"
          :aria-label="`${member.name}: ${offSays(member)}`"
          @click="takeOff(member)"
        >
          {{ offSays(member) }}
        </button>
      </li>
    </ul>
    <p v-if="went.length" class="why">
      {{ word('about-went', { names: went.map(({ name }) => name).join(', ') }) }}
    </p>
    <form v-if="leading" class="buttons" @submit.prevent="add">
      <label for="person-login" class="sr">{{ word('site-signs-in-as') }}</label>
      <ElInput id="person-login" v-model="login" size="large" :placeholder="word('site-signs-in-as-2')" />
      <button type="submit" class="button" :disabled="!login.trim()">
        {{ word('site-put-on-the-job') }}
      </button>
    </form>
    <p v-if="leading" class="why">{{ word('about-new-people') }}</p>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="fault" class="refusal" role="alert">{{ fault.says }}</p>
  </section>
</template>

<style scoped>
.people {
  max-width: 560px;
  margin-block-start: 18px;
  padding-block-start: 18px;
  border-block-start: 2px solid var(--ink);
}
.buttons :deep(.el-input) {
  max-width: 260px;
}
ul {
  list-style: none;
  margin: 8px 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  min-height: 56px;
  border-block-end: 1px solid var(--line);
}
li .button {
  margin-inline-start: auto;
}
li .why {
  margin: 0;
}
</style>
