import {
  type Field,
  type Fig,
  type JointFacts,
  type Step,
  type StepException,
  newestChart,
  liveSection,
} from '@jugalis/core'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

interface Options {
  facts(): JointFacts
  step(): Step | null
  /** Readings typed for the step at hand, by field. */
  readings(): Record<string, number | string | number[][] | null>
  tinId(): string | null
  toolIds(): string[]
  /** A tool is among them, which does the step that makes the joint. */
  works(): boolean
  overrides(): string[]
  depth(): Fig | null
  label(): string
  /** The step at hand was done before and is done again, to put right what was found. */
  again(): boolean
  mayAct(): boolean
  /** Cutting out touches more than this joint: it is asked about first. */
  askCutOut(reason: string): void
  /** A part is not good and nothing is made with it yet. */
  putAside(reason: string): void
}

const NOT_NUMBERS: readonly Field['control'][] = ['choice', 'yes-no', 'grid', 'scan', 'photo', 'size']
/** Is this read as one figure? */
export const isNumber = (r: Field): boolean => !NOT_NUMBERS.includes(r.control)

/** A mark read against its target has a tape to read it on; other figures are typed. */
export const onTape = (r: Field): boolean => r.control === 'length' && r.target !== undefined

/** Turns of a nut have a dial; other figures counted alike (degrees, screws) are typed. */
export const onDial = (r: Field): boolean => r.control === 'turns' && r.unit === 'turns'
/** Least and largest of a gap read in several places. */
export const isGap = (r: Field): boolean => r.control === 'gap-pair' || r.control === 'gap-round'

/** Writes one step down, with the figures that stood on the screen and the tools and tin in hand. */
function useStepDone(options: Options) {
  const job = useJob()
  const pin = () => ({
    rules: options.facts().method?.version ?? 1,
    chart: newestChart(job.state),
    school: options.facts().place.way.school,
    table: job.state.job.table,
  })
  /** Figures that stood on the screen when this was tapped, with their sources: they go into the record. */
  const shown = () => {
    const depth = options.depth()
    return depth === null || depth.value === null
      ? []
      : [{ key: 'depthMm', value: depth.value, source: depth.source }]
  }
  return async (
    step: Step,
    values: Record<string, unknown>,
    says: string,
    more: { skipped?: string } = {},
  ): Promise<void> => {
    const first = !options.facts().life
    const toolIds = options.toolIds()
    // The step that makes the joint is where a tool does its work: its own report is compared with this entry.
    const worked = options.works() && step.reaches === 'made' && !more.skipped ? { byTool: true } : {}
    const said = { ...values, ...worked }
    const data = {
      life: options.facts().lifeNo,
      step: step.id,
      readings: options.overrides().length ? { ...said, overrides: [...options.overrides()] } : said,
      shown: shown(),
      ...(first ? { pin: pin() } : {}),
      ...(options.tinId() ? { tinId: options.tinId() } : {}),
      ...(toolIds.length ? { toolIds } : {}),
      ...more,
    }
    await job.write([{ kind: 'step-done', jointId: options.facts().id, data }], says)
    for (const key of Object.keys(options.readings())) delete options.readings()[key]
  }
}

/** What ends a life, or a hold, before its time. */
function useEndings({ facts }: Pick<Options, 'facts'>) {
  const job = useJob()
  async function cutOut(
    reason: string,
    withIt: readonly { id: string; tag: string; life: number }[] = [],
  ): Promise<void> {
    // Whatever asks for it: first the pressure comes off. The screen says so.
    if (liveSection(job.state, facts().id)) return
    const { id, tag, life } = facts()
    await job.write(
      [
        { kind: 'cut-out', jointId: id, data: { life: life?.no ?? 1, reason } },
        ...withIt.map((joint) => ({
          kind: 'cut-out',
          jointId: joint.id,
          data: { life: joint.life, reason: word('make-came-out-with', { tag }), outWith: id },
        })),
      ],
      withIt.length
        ? word('make-are-cut-out-all', { joints: [tag, ...withIt.map((j) => j.tag)].join(', ') })
        : word('make-is-cut-out-both', { tag }),
    )
  }
  /** Letting go is not a second push-home: it ends the hold and stays a doubt until the mark has been read. */
  async function letGo(): Promise<void> {
    const { id, tag, lifeNo } = facts()
    await job.write(
      [{ kind: 'interrupted', jointId: id, data: { life: lifeNo, what: 'let-go-early' } }],
      word('make-let-go-early-read', { tag }),
    )
  }
  return { cutOut, letGo }
}

/** What the buttons of Make write: one entry a tap, kept on the device first. */
export function useWrites(options: Options) {
  const job = useJob()
  const done = useStepDone(options)
  const tagged = (says: string): string => `${options.facts().tag}: ${says}.`
  const choices = () => options.step()?.reads.filter((r) => r.control === 'choice' && !r.asked) ?? []
  /** Readings that were typed or drawn at this step. */
  function typed(): Record<string, unknown> {
    const said = options.step()?.reads.filter((r) => isNumber(r) || r.asked || r.control === 'grid') ?? []
    return Object.fromEntries(
      said.flatMap((field) => {
        const value = options.readings()[field.key] ?? null
        return value === null ? [] : [[field.key, value]]
      }),
    )
  }
  async function act(): Promise<void> {
    const step = options.step()
    if (!step || !options.mayAct()) return
    const good = Object.fromEntries(choices().map((r) => [r.key, r.options?.[0]]))
    await done(
      step,
      { ...(options.again() ? { again: true } : {}), ...typed(), ...good },
      tagged(options.label()),
    )
  }
  async function except(exception: StepException): Promise<void> {
    const step = options.step()
    if (!step) return
    const says = job.t(exception.says)
    if (exception.backTo === 'cut-out') {
      // Before the first step is done there is nothing to cut out: the part is put aside.
      if (options.facts().life) options.askCutOut(says)
      else options.putAside(says)
      return
    }
    if (exception.backTo !== 'on') {
      const back = options.facts().steps.find((s) => s.id === exception.backTo)
      if (back) await done(back, { again: true, exception: exception.id }, tagged(says))
      return
    }
    const chosen = choices().map((field) => [
      field.key,
      field.options?.find((x) => `${field.key}-${x}` === exception.id) ?? field.options?.[0],
    ])
    const values = {
      exception: exception.id,
      ...(options.again() ? { again: true } : {}),
      ...Object.fromEntries(chosen),
      ...(exception.id === 'cannot-read' ? {} : typed()),
    }
    await done(step, values, tagged(says))
  }
  const again = (step: Step): Promise<void> => done(step, { again: true }, tagged(job.t(step.action)))
  const skip = (step: Step, reason: string): Promise<void> =>
    done(step, {}, word('make-skipped', { tag: options.facts().tag, reason }), { skipped: reason })

  return { act, again, except, skip, ...useEndings(options) }
}
