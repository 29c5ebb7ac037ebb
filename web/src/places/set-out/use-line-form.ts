import { type Line, type LineHead, allMethods, lineHead, lineSeriesChoices, methodOf } from '@jugalis/core'
import { computed, reactive, ref, toRef, watch } from 'vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'
import { type Asked, useAsked } from './use-asked'

/** Tried on a size that is made, since the line may have none yet: what is asked besides must be answered well. */
function triedOnOne(methodId: string, spec: { material: string; [key: string]: unknown }, asked: Asked) {
  const method = methodOf(methodId)
  const size = method?.sizes(spec.material)[0]
  const read = method?.parse({ ...spec, size, checkOffsetMm: ANY_OFFSET_MM })
  return read?.ok === false
    ? (read.errors.find((e) => asked.fields.value.some((f) => f.key === e.field)) ?? null)
    : null
}
const ANY_OFFSET_MM = 50

/** What a line is, as it is typed: of a new line, or of one that is to be changed. */
export function useLineForm(line: Line | null) {
  const job = useJob()
  // A saddle sits on a line's pipe: no line is joined so throughout.
  const methods = allMethods().filter(({ id, onWall }) => !onWall || id === line?.method)
  const school = line?.school ?? job.state.job.school
  const typed = reactive({
    tag: line?.tag ?? '',
    name: line?.name ?? '',
    method: line?.method ?? methods[0]?.id ?? '',
    material: line?.material ?? (school === 'inch' ? 'pvc' : 'pvc-u'),
  })
  const placeId = ref(line?.placeId ?? [...job.state.places.keys()][0] ?? crypto.randomUUID())
  const series = ref<string | null>(line?.series ?? null)
  const ratingBar = ref<number | null>(line ? line.ratingBar : (job.state.job.usual?.ratingBar ?? null))
  const materials = computed(
    () => methodOf(typed.method)?.fields.find((f) => f.key === 'material')?.options ?? [],
  )
  /** Walls this pipe is made with; the usual one stands until another is chosen. */
  const walls = computed(() => lineSeriesChoices(typed.method, typed.material, school))
  watch(walls, (all) => (series.value = all[0] ?? null), { immediate: line === null })
  watch(
    () => typed.method,
    () => {
      if (!materials.value.includes(typed.material)) typed.material = materials.value[0] ?? ''
    },
  )
  /** Sockets of inch plastic go by the schedule; pipe by ratio goes into those of Sch 40. */
  const schedule = computed(() => {
    if (school !== 'inch' || !methodOf(typed.method)?.fields.some((f) => f.key === 'schedule')) return null
    return series.value === 'Sch 80' ? '80' : '40'
  })
  const asked = useAsked(toRef(typed, 'method'), line?.details ?? {})

  /** The line as it was typed, or what is wrong with it. */
  function read(): { head: LineHead } | { fault: string } {
    const tag = typed.tag.trim()
    if (!/^[A-Za-z0-9]{1,12}$/.test(tag)) return { fault: word('set-out-a-line-needs-a') }
    if (Number.isNaN(ratingBar.value) || asked.unreadable())
      return { fault: word('ui-one-figure-above-cant') }
    const details = asked.answers()
    const wrong = triedOnOne(typed.method, { ...details, ...typed, schedule: schedule.value, school }, asked)
    if (wrong) return { fault: job.t(wrong) }
    const { series: _series, ...rest } = line ? lineHead(line) : { insideOf: null }
    return {
      head: {
        ...rest,
        tag,
        name: typed.name.trim() || tag,
        method: typed.method,
        material: typed.material,
        school,
        schedule: schedule.value,
        ...(series.value ? { series: series.value } : {}),
        details,
        placeId: placeId.value,
        ratingBar: ratingBar.value,
      },
    }
  }
  return { methods, typed, placeId, series, ratingBar, materials, walls, asked, read }
}
