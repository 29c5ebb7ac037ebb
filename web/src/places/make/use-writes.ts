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

/** What the buttons of Make write: one entry a tap, kept on the device first. */
export function useWrites(o: Options) {
  const job = useJob()
  const pin = () => ({
    rules: o.facts().method?.version ?? 1,
    chart: newestChart(job.state),
    school: o.facts().place.line.school,
    table: job.state.job.table,
  })
  /** Figures that stood on the screen when this was tapped, with their sources: they go into the record. */
  const shown = () => {
    const depth = o.depth()
    return depth === null || depth.value === null
      ? []
      : [{ key: 'depthMm', value: depth.value, source: depth.source }]
  }
  const said = () => o.step()?.reads.filter((r) => isNumber(r) || r.asked || r.control === 'grid') ?? []
  const choices = () => o.step()?.reads.filter((r) => r.control === 'choice' && !r.asked) ?? []

  async function done(
    s: Step,
    values: Record<string, unknown>,
    says: string,
    more: { skipped?: string } = {},
  ): Promise<void> {
    const first = !o.facts().life
    const toolIds = o.toolIds()
    // The step that makes the joint is where a tool does its work: its own report is compared with this entry.
    const worked = toolIds.length && s.reaches === 'made' && !more.skipped ? { byTool: true } : {}
    const said = { ...values, ...worked }
    await job.write(
      [
        {
          kind: 'step-done',
          jointId: o.facts().id,
          data: {
            life: o.facts().lifeNo,
            step: s.id,
            readings: o.overrides().length ? { ...said, overrides: [...o.overrides()] } : said,
            shown: shown(),
            ...(first ? { pin: pin() } : {}),
            ...(o.tinId() ? { tinId: o.tinId() } : {}),
            ...(toolIds.length ? { toolIds } : {}),
            ...more,
          },
        },
      ],
      says,
    )
    for (const k of Object.keys(o.readings())) delete o.readings()[k]
  }
  async function act(): Promise<void> {
    const s = o.step()
    if (!s || !o.mayAct()) return
    const values: Record<string, unknown> = o.again() ? { again: true } : {}
    for (const r of said()) if ((o.readings()[r.key] ?? null) !== null) values[r.key] = o.readings()[r.key]
    for (const r of choices()) values[r.key] = r.options?.[0]
    await done(s, values, `${o.facts().tag}: ${o.label()}.`)
  }
  async function except(e: StepException): Promise<void> {
    const s = o.step()
    if (!s) return
    const says = `${o.facts().tag}: ${job.t(e.says)}.`
    if (e.backTo === 'cut-out') {
      // Before the first step is done there is nothing to cut out: the part is put aside.
      if (o.facts().life) o.askCutOut(job.t(e.says))
      else o.putAside(job.t(e.says))
      return
    }
    if (e.backTo !== 'on') {
      const back = o.facts().steps.find((x) => x.id === e.backTo)
      if (back) await done(back, { again: true, exception: e.id }, says)
      return
    }
    const values: Record<string, unknown> = { exception: e.id, ...(o.again() ? { again: true } : {}) }
    for (const r of choices())
      values[r.key] = r.options?.find((x) => `${r.key}-${x}` === e.id) ?? r.options?.[0]
    for (const r of said())
      if ((o.readings()[r.key] ?? null) !== null && e.id !== 'cannot-read')
        values[r.key] = o.readings()[r.key]
    await done(s, values, says)
  }
  const again = (s: Step): Promise<void> => done(s, { again: true }, `${o.facts().tag}: ${job.t(s.action)}.`)
  async function cutOut(
    reason: string,
    withIt: readonly { id: string; tag: string; life: number }[] = [],
  ): Promise<void> {
    // Whatever asks for it: first the pressure comes off. The screen says so.
    if (liveSection(job.state, o.facts().id)) return
    await job.write(
      [
        { kind: 'cut-out', jointId: o.facts().id, data: { life: o.facts().life?.no ?? 1, reason } },
        ...withIt.map((j) => ({
          kind: 'cut-out',
          jointId: j.id,
          data: { life: j.life, reason: word('make-came-out-with', { tag: o.facts().tag }) },
        })),
      ],
      withIt.length
        ? word('make-are-cut-out-all', { joints: [o.facts().tag, ...withIt.map((j) => j.tag)].join(', ') })
        : word('make-is-cut-out-both', { tag: o.facts().tag }),
    )
  }
  /** Letting go is not a second push-home: it ends the hold and stays a doubt until the mark has been read. */
  async function letGo(): Promise<void> {
    await job.write(
      [
        {
          kind: 'interrupted',
          jointId: o.facts().id,
          data: { life: o.facts().lifeNo, what: 'let-go-early' },
        },
      ],
      word('make-let-go-early-read', { tag: o.facts().tag }),
    )
  }

  const skip = (s: Step, reason: string): Promise<void> =>
    done(s, {}, word('make-skipped', { tag: o.facts().tag, reason }), { skipped: reason })

  return { act, again, except, cutOut, letGo, skip }
}
