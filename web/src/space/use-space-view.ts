import {
  type LineInSpace,
  type LineDrawn,
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
const look = ref<Look | null>(null)
function kept(): Look {
  const was = readJson<Partial<Look>>(KEPT)
  return {
    view: VIEWS.find((name) => name === was?.view) ?? 'isometric',
    turns: ([0, 1, 2, 3] as const).find((turns) => turns === was?.turns) ?? 0,
    scaled: was?.scaled === true,
  }
}

/** Falls are said as 1 in a round figure. */
const ratio = (perMm: number): number => Math.round((1 / perMm) * 10) / 10

/** A line in space as it is drawn for this reader, and how it is looked at. */
export function useSpaceView(space: Ref<LineInSpace>) {
  const job = useJob()
  look.value ??= kept()
  const own = look as Ref<Look>
  watch(own, (now) => keepJson(KEPT, now), { deep: true })
  const writing = computed<Writing>(() => {
    const reader = { ...job.reader, units: space.value.line.school }
    return {
      length: (mm) => fmt.lengthFigure(mm, reader),
      level: (mm) => levelText(mm, reader),
      fall: (perMm) => fallText(ratio(perMm)).replace(/^\w+ /, ''),
    }
  })
  const drawn = computed<LineDrawn>(() =>
    drawLine(space.value, { name: own.value.view, turns: own.value.turns }, own.value.scaled, writing.value),
  )
  const turn = (): void => void (own.value.turns = ((own.value.turns + 1) % 4) as View['turns'])
  return { look: own, drawn, turn }
}
