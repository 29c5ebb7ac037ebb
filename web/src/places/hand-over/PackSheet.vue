<script setup lang="ts">
import { ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select/style/css'
import { computed, ref } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useView } from '../../view'
import { word } from '../../words/word'
import { usePack } from './use-pack'

/** What is handed over, as one paper or as a folder: of the whole job or of one section. */
const emit = defineEmits<{ close: [] }>()
const view = useView()
const WHOLE = 'whole'
const about = ref(WHOLE)
const sections = computed(() => view.sections.map(({ section }) => section))
const { make, stop, progress, fault, done } = usePack()
const sectionId = computed(() => (about.value === WHOLE ? null : about.value))
</script>

<template>
  <Sheet :title="word('hand-over-pack')" @close="emit('close')">
    <p class="why">{{ word('hand-over-pack-holds') }}</p>
    <ElSelect
      v-if="sections.length > 1"
      v-model="about"
      :teleported="false"
      size="large"
      class="about"
      :disabled="progress !== null"
      :aria-label="word('hand-over-pack-about')"
    >
      <ElOption :value="WHOLE" :label="word('hand-over-pack-whole-job')" />
      <ElOption v-for="section in sections" :key="section.id" :value="section.id" :label="section.tag" />
    </ElSelect>
    <div v-if="!progress" class="buttons">
      <button type="button" class="button main" @click="make('pdf', sectionId)">
        {{ word('hand-over-pack-pdf') }}
      </button>
      <button type="button" class="button" @click="make('zip', sectionId)">
        {{ word('hand-over-pack-zip') }}
      </button>
    </div>
    <div v-else class="working">
      <p role="status">
        {{ word('hand-over-pack-part', { part: progress.part, done: progress.done, all: progress.all }) }}
      </p>
      <progress
        :value="progress.all ? progress.done / progress.all : 0"
        max="1"
        :aria-label="word('hand-over-pack-far')"
      />
      <button type="button" class="button" @click="stop">{{ word('hand-over-pack-stop') }}</button>
    </div>
    <p v-if="done" class="strong" role="status">{{ done }}</p>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
  </Sheet>
</template>

<style scoped>
.about {
  max-width: 360px;
}
.buttons,
.working {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin-block: 14px;
}
.working p {
  flex: 1 0 100%;
  margin: 0;
}
progress {
  flex: 1 1 200px;
}
</style>
