import {
  type Finding,
  type JointFacts,
  type Need,
  type Tool,
  finding,
  hotWorkPermit,
  toolWrong,
} from '@jugalis/core'
import { type Ref, computed, ref } from 'vue'
import { keepJson, keepText, readJson, readText } from '../../stored'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'

const KEY = 'jugalis-tools'
/** Tools and tin in hand on this device, whatever joint is open: asked once, then kept. */
const inHand = ref<string[]>(readJson<string[]>(KEY) ?? [])
const tinId = ref<string | null>(readText('jugalis-tin'))

/** What a joint is made with: what it needs, what is in hand for it, what speaks against it today. */
export function useTools(facts: Ref<JointFacts>) {
  const job = useJob()
  const clock = useClock()
  const needs = computed<readonly Need[]>(() => {
    const joint = facts.value
    return joint.method && joint.spec !== null ? joint.method.consumables(joint.spec, joint.ctx) : []
  })
  const kinds = computed(() => new Set(needs.value.map((n) => n.item)))
  /** Tools of this job that are of a kind the joint needs. */
  const known = computed<readonly Tool[]>(() =>
    [...job.state.tools.values()].filter((t) => kinds.value.has(t.kind)),
  )
  const chosen = computed(() => known.value.filter((t) => inHand.value.includes(t.id)))
  const toolIds = computed(() => chosen.value.map((t) => t.id))
  function take(kind: string, toolId: string | null): void {
    const others = inHand.value.filter((id) => job.state.tools.get(id)?.kind !== kind)
    inHand.value = toolId ? [...others, toolId] : others
    keepJson(KEY, inHand.value)
  }
  function takeTin(id: string | null): void {
    tinId.value = id
    keepText('jugalis-tin', id)
  }
  const tin = computed(() => (tinId.value ? (job.state.tins.get(tinId.value) ?? null) : null))
  const permit = computed(() => hotWorkPermit(job.state, clock.nowS) ?? false)
  const wrong = computed<readonly Finding[]>(() =>
    toolWrong(job.state, toolIds.value, needs.value, clock.nowS),
  )
  /** What a tool in hand reported last, if it was after a time. */
  function reported(what: string, afterS: number) {
    return chosen.value
      .flatMap((tool) =>
        tool.said.filter((x) => x.what === what && x.atS > afterS).map((x) => ({ ...x, tool: tool.name })),
      )
      .sort((a, b) => a.atS - b.atS)
      .at(-1)
  }
  /** A scanned or typed code: takes the tin or the tool it names, or says that it names none. */
  function scan(code: string): Finding | null {
    const text = code.trim().toLowerCase()
    const tins = [...job.state.tins.entries()].find(([, t]) => t.code.toLowerCase() === text)
    if (tins) return (takeTin(tins[0]), null)
    const tool = [...job.state.tools.values()].find((t) => t.name.toLowerCase() === text)
    if (!tool) return finding('warn', 'scan-unknown', 'given', { code })
    take(tool.kind, tool.id)
    return kinds.value.has(tool.kind)
      ? null
      : finding('note', 'scan-not-here', 'given', { code, kind: tool.kind.replaceAll('-', ' ') })
  }
  return { needs, kinds, known, chosen, toolIds, take, tinId, tin, takeTin, permit, wrong, reported, scan }
}
