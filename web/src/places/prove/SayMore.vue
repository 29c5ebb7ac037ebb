<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { reactive, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useTimeThatWas } from '../../time-that-was'
import { word } from '../../words/word'

/** How something was done, and since when where that is asked: what one tap does not say. */
defineProps<{ title: string; asksSince?: boolean }>()
const emit = defineEmits<{ close: []; said: [data: { how?: string; fromS?: number }] }>()
const timeThatWas = useTimeThatWas()
const typed = reactive({ how: '', since: '' })
const fault = ref('')
function save(): void {
  const fromS = timeThatWas(typed.since)
  if (fromS === null) return void (fault.value = word('ui-no-time-that-was'))
  const how = typed.how.trim()
  emit('said', { ...(how ? { how } : {}), ...(fromS === undefined ? {} : { fromS }) })
  emit('close')
}
</script>

<template>
  <Sheet :title="title" @close="emit('close')">
    <form class="more" @submit.prevent="save">
      <label for="more-how">{{ word('prove-how-it-was-done') }}</label>
      <ElInput id="more-how" v-model="typed.how" size="large" maxlength="400" />
      <template v-if="asksSince">
        <label for="more-since">{{ word('prove-begun-at') }}</label>
        <ElInput id="more-since" v-model="typed.since" size="large" placeholder="07:30" />
      </template>
      <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
      <button type="submit" class="button main">{{ word('prove-done') }}</button>
    </form>
  </Sheet>
</template>

<style scoped>
.more {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 8px;
}
.more label {
  font-weight: 600;
}
</style>
