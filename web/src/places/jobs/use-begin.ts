import { type School, type TemplateId, TEMPLATE_LINES, beginFrom } from '@jugalis/core'
import { ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '../../api'
import { keepText, readText } from '../../stored'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

const KEPT = 'jugalis-school'
/** Where pipe is mostly sold in inches. */
const INCH_REGIONS = new Set(['US', 'CA', 'PR'])
/** Two inches, or 50 mm: as each school marks. */
const CHECK_OFFSET_MM = { inch: 50.8, metric: 50 } as const

/** Whose sizes a job is begun in: as it was last on this device, else as where its owner says to be. It is shown, and changed. */
function firstSchool(): School {
  const kept = readText(KEPT)
  if (kept === 'inch' || kept === 'metric') return kept
  return INCH_REGIONS.has(navigator.language.split('-')[1] ?? '') ? 'inch' : 'metric'
}
const school = ref<School>(firstSchool())
watch(school, (chosen) => void keepText(KEPT, chosen))

/** How a job is begun: with nothing in it, or with the lines of a template. */
export function useBegin() {
  const job = useJob()
  const router = useRouter()
  const fault = ref('')
  const busy = ref(false)
  /** Begins a job and opens it. */
  async function begin(said: string, template: TemplateId | null = null): Promise<void> {
    const name = said.trim()
    fault.value = name ? '' : word('jobs-give-the-job-a')
    if (fault.value || busy.value) return
    busy.value = true
    try {
      const placeId = crypto.randomUUID()
      const lines = template && linesOf(template, school.value, placeId)
      if (lines && !lines.ok) return void (fault.value = job.t(lines.why))
      const jobId = crypto.randomUUID()
      await api('POST', '/jobs', { jobId, name })
      await job.open(jobId)
      const zone = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC'
      const checkOffsetMm = CHECK_OFFSET_MM[school.value]
      await job.write([
        { kind: 'job-set', data: { name, zone, school: school.value, table: 'current', checkOffsetMm } },
        { kind: 'place-set', data: { placeId, name: word('ui-on-site') } },
        ...(lines ? lines.entries : []),
      ])
      await router.push({ name: 'set-out', params: { jobId } })
    } catch (error) {
      fault.value = (error as Error).message
    } finally {
      busy.value = false
    }
  }
  return { school, fault, busy, begin }
}

/** The lines of a template as they would be begun, with ids of this browser. */
export const linesOf = (template: TemplateId, own: School, placeId: string) =>
  beginFrom(TEMPLATE_LINES[template], own, {
    placeId,
    named: (carries) => word(`jobs-carries-${carries}`),
    newId: () => crypto.randomUUID(),
  })
