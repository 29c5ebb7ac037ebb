import {
  type LineDrawn,
  type LineInSpace,
  VIEWS,
  type View,
  type ViewName,
  type Writing,
  drawLine,
  fallText,
  fmt,
  levelText,
} from '@jugalis/core'
import { type Ref, computed, ref, watch } from 'vue'
import { useJob } from '../stores/job'
import { keepJson, readJson } from '../stored'

/** How this person last looked at lines in space. */
interface Look {
  view: ViewName
  turns: View['turns']
  scaled: boolean
}
const KEPT = 'jugalis-space-view'
function kept(): Look {
  const was = readJson<Partial<Look>>(KEPT)
  return {
    view: VIEWS.find((name) => name === was?.view) ?? 'isometric',
    turns: ([0, 1, 2, 3] as const).find((turns) => turns === was?.turns) ?? 0,
    scaled: was?.scaled === true,
  }
}
let look: Ref<Look> | null = null

/** Falls are said as 1 in a round figure. */
const ratio = (perMm: number): number => Math.round((1 / perMm) * 10) / 10

/** How lines are looked at, and how their figures are written for this reader. */
export function useLook(space: Ref<LineInSpace>) {
  const job = useJob()
  if (!look) {
    look = ref(kept())
    watch(look, (now) => keepJson(KEPT, now), { deep: true })
  }
  const writing = computed<Writing>(() => {
    const reader = { ...job.reader, units: space.value.line.school }
    return {
      length: (mm) => fmt.lengthFigure(mm, reader),
      level: (mm) => levelText(mm, reader),
      fall: (perMm) => fallText(ratio(perMm)).replace(/^\w+ -?/, ''),
    }
  })
  return { look, writing }
}

/** A line in space as it is drawn for this reader in the room that there is. */
export function useSpaceView(space: Ref<LineInSpace>, width: Ref<number>, height: Ref<number>) {
  const { look, writing } = useLook(space)
  const drawn = computed<LineDrawn>(() =>
    drawLine(
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
