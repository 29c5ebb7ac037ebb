<script setup lang="ts">
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'

/** Asks for one name. `wrong` says what is amiss with it, or nothing. */
const props = defineProps<{
  title: string
  label: string
  says: string
  action: string
  first?: string
  wrong: (name: string) => string
}>()
const emit = defineEmits<{ close: []; named: [name: string] }>()
const name = ref(props.first ?? '')
const fault = ref('')
function save(): void {
  fault.value = props.wrong(name.value.trim())
  if (fault.value) return
  emit('named', name.value.trim())
  emit('close')
}
</script>

<template>
  <Sheet :title="title" @close="emit('close')">
    <p class="why">{{ says }}</p>
    <label for="name-asked">{{ label }}</label>
    <ElInput id="name-asked" v-model="name" size="large" />
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button class="button main" type="button" @click="save">{{ action }}</button>
  </Sheet>
</template>
