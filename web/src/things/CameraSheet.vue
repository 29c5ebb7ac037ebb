<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref } from 'vue'
import Sheet from '../frame/Sheet.vue'
import { word } from '../words/word'
import { useCodeReader } from './use-code-reader'

/** The camera looks for a code. Where there is none, or it may not be used, a picture of the code does as well. */
const emit = defineEmits<{ close: []; code: [text: string] }>()
const video = ref<HTMLVideoElement>()
const seen = ref<readonly string[]>([])
const says = ref(word('camera-starting'))
const running = ref(false)
const light = ref<boolean | null>(null)
const read = useCodeReader()
/** Between two looks: the decoder leaves the page time to draw. */
const PAUSE_MS = 120
const BUZZ_MS = 60
let stream: MediaStream | null = null
let ended = false

/** One code is taken at once; of several the hand chooses. */
function found(codes: readonly string[]): boolean {
  const [only, ...more] = codes
  if (only === undefined) return false
  navigator.vibrate?.(BUZZ_MS)
  if (more.length) {
    seen.value = codes
    says.value = word('camera-several')
  } else emit('code', only)
  return true
}
async function look(): Promise<void> {
  while (!ended && video.value) {
    const codes = video.value.readyState >= HTMLMediaElement.HAVE_CURRENT_DATA ? await read(video.value) : []
    if (ended) return
    if (codes === null) return void (says.value = word('camera-no-decoder'))
    if (found(codes)) return
    await new Promise((next) => setTimeout(next, PAUSE_MS))
  }
}
async function start(): Promise<void> {
  // No camera is lent to a page that came without encryption.
  if (!navigator.mediaDevices?.getUserMedia) return void (says.value = word('camera-none-lent'))
  try {
    const got = await navigator.mediaDevices.getUserMedia({
      video: { facingMode: 'environment', width: { ideal: 1280 } },
    })
    // Closed while the browser was asking.
    if (ended || !video.value) return got.getTracks().forEach((track) => track.stop())
    stream = got
    video.value.srcObject = got
    await video.value.play()
    running.value = true
    says.value = word('camera-hold-over')
    const [track] = got.getVideoTracks()
    light.value = track?.getCapabilities && 'torch' in track.getCapabilities() ? false : null
    void look()
  } catch (x) {
    const refused = x instanceof DOMException && x.name === 'NotAllowedError'
    says.value = word(refused ? 'camera-refused' : 'camera-none')
  }
}
async function turnLight(): Promise<void> {
  const on = !light.value
  const [track] = stream?.getVideoTracks() ?? []
  // The light of a camera is not in the type's list of what may be asked of it.
  await track?.applyConstraints({ advanced: [{ torch: on } as MediaTrackConstraintSet] })
  light.value = on
}
async function fromPicture(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  const picture = await createImageBitmap(file).catch(() => null)
  if (!picture) return void (says.value = word('camera-no-picture'))
  const codes = await read(picture)
  if (codes === null) says.value = word('camera-no-decoder')
  else if (!found(codes)) says.value = word('camera-no-code')
}
onMounted(() => void start())
onBeforeUnmount(() => {
  ended = true
  stream?.getTracks().forEach((track) => track.stop())
})
</script>

<template>
  <Sheet :title="word('camera-title')" @close="emit('close')">
    <div v-show="running && !seen.length" class="view">
      <video ref="video" playsinline muted :aria-label="word('camera-view')" />
      <span class="aim" />
    </div>
    <p role="status">{{ says }}</p>
    <div v-if="seen.length" class="choices">
      <button v-for="text in seen" :key="text" type="button" class="button" @click="emit('code', text)">
        {{ text }}
      </button>
    </div>
    <div class="buttons">
      <button v-if="light !== null" type="button" class="button" :aria-pressed="light" @click="turnLight">
        {{ word('camera-light') }}
      </button>
      <label class="button pick"
        >{{ word('camera-picture')
        }}<input class="sr" type="file" accept="image/*" capture="environment" @change="fromPicture"
      /></label>
    </div>
  </Sheet>
</template>

<style scoped>
.view {
  position: relative;
}
video {
  display: block;
  width: 100%;
  max-height: 52vh;
  object-fit: cover;
  background: var(--ink);
}
/* What lies between the corners is near enough. */
.aim {
  position: absolute;
  inset: 18% 12%;
  border: 3px dashed var(--sheet);
}
.button {
  min-height: 56px;
}
.choices {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
</style>
