import {
  type LineDrawn,
  type LinesAsOne,
  VIEWS,
  type View,
  type ViewName,
  type Writing,
  drawLines,
} from '@jugalis/core'
import { type Ref, computed, ref, useTemplateRef, watch } from 'vue'
import { useJob } from '../stores/job'
import { keepJson, readJson } from '../stored'
import { useNarrow } from '../use-narrow'
import { useWidth } from '../use-width'
import { useSight } from './use-sight'
import { writingFor } from './writing'

/** How this person last looked at lines in space. */
interface Look {
  view: ViewName
  turns: View['turns']
  scaled: boolean
  /** Lines that hang together are drawn as one. */
  joined: boolean
}
const KEPT = 'jugalis-space-view'
function kept(): Look {
  const was = readJson<Partial<Look>>(KEPT)
  return {
    view: VIEWS.find((name) => name === was?.view) ?? 'isometric',
    turns: ([0, 1, 2, 3] as const).find((turns) => turns === was?.turns) ?? 0,
    scaled: was?.scaled === true,
    joined: was?.joined === true,
  }
}
let look: Ref<Look> | null = null

/** How this person looks at lines in space, kept on the device. */
export function useKeptLook(): Ref<Look> {
  if (!look) {
    look = ref(kept())
    watch(look, (now) => keepJson(KEPT, now), { deep: true })
  }
  return look
}

/** How lines are looked at, and how their figures are written for this reader. */
export function useLook(space: Ref<LinesAsOne>) {
  const job = useJob()
  const look = useKeptLook()
  const writing = computed<Writing>(() => writingFor({ ...job.reader, units: space.value.line.school }))
  return { look, writing }
}

/** A line in space as it is drawn for this reader in the room that there is. */
export function useSpaceView(space: Ref<LinesAsOne>, width: Ref<number>, height: Ref<number>) {
  const { look, writing } = useLook(space)
  const drawn = computed<LineDrawn>(() =>
    drawLines(
      space.value,
      { name: look.value.view, turns: look.value.turns },
      look.value.scaled,
      writing.value,
      {
        width: width.value,
        height: height.value,
      },
    ),
  )
  const turn = (): void => void (look.value.turns = ((look.value.turns + 1) % 4) as View['turns'])
  return { look, drawn, turn }
}

/** Lines in space fitted as a whole into the element that a component calls `box`, as wide as that is. @param highs of the box, px. */
export function useFittedView(space: Ref<LinesAsOne>, highs: { wide: number; narrow: number }) {
  const narrow = useNarrow()
  const box = useTemplateRef<HTMLElement>('box')
  const width = useWidth(box)
  const height = computed(() => (narrow.value ? highs.narrow : highs.wide))
  const { look, drawn } = useSpaceView(space, width, height)
  const { viewBox } = useSight(
    computed(() => drawn.value.box),
    width,
    height,
    computed(() => space.value.line.id),
  )
  return { width, height, look, drawn, viewBox }
}
