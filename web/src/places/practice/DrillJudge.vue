<script setup lang="ts">
import { type Drill, isSound } from '@jugalis/core'
import { computed } from 'vue'
import JointSection from '../../tapes/JointSection.vue'
import { word } from '../../words/word'
import { sectionOf } from './section'
import JointSeen from './JointSeen.vue'

/** A finished joint from outside: would it hold as sound work does? */
const props = defineProps<{ drill: Drill }>()
const emit = defineEmits<{ said: [says: string, right: boolean] }>()
const section = computed(() => sectionOf(props.drill.laid, props.drill.answer))
const say = (sound: boolean): void =>
  emit('said', word(sound ? 'practice-sound' : 'practice-not-sound'), sound === isSound(props.drill.answer))
</script>

<template>
  <div class="ask">
    <JointSection :shapes="section" :height="150" bare />
    <JointSeen :laid="drill.laid" :answer="drill.answer" />
    <h2>{{ word('practice-ask-judge') }}</h2>
    <div class="answers">
      <button type="button" class="button" @click="say(true)">{{ word('practice-sound') }}</button>
      <button type="button" class="button" @click="say(false)">{{ word('practice-not-sound') }}</button>
    </div>
  </div>
</template>

<style scoped src="./drill.css"></style>
