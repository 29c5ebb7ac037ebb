import {
  type Finding,
  type JointFacts,
  type Need,
  type StoreItem,
  finding,
  fitsNeed,
  hotWorkPermit,
  itemCoded,
  mayBeUsed,
  standingOf,
  toolWrong,
} from '@jugalis/core'
import { type Ref, computed, ref } from 'vue'
import { keepJson, readJson } from '../../stored'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { useMinute } from '../../things/use-minute'

const KEY = 'jugalis-tools'
/** Things of the store in hand on this device, whatever joint is open: asked once, then kept. */
const inHand = ref<string[]>(readJson<string[]>(KEY) ?? [])

/** What a joint needs, and the things of the store of those kinds: what may be taken to it first. */
function useKnown(facts: Ref<JointFacts>) {
  const job = useJob()
  const nowS = useMinute()
  const needs = computed<readonly Need[]>(() => {
    const joint = facts.value
    return joint.method && joint.spec !== null ? joint.method.consumables(joint.spec) : []
  })
  const kinds = computed(() => new Set(needs.value.map((n) => n.item)))
  const all = computed(() => {
    const own = [...job.state.store.values()].filter((item) => kinds.value.has(item.kind))
    const seen = own.map((item) => {
      const { standing, untilOn } = standingOf(job.state, item, nowS.value)
      const fits = needs.value.some((need) => fitsNeed(item, need))
      return { item, untilOn: untilOn ?? '9', good: fits && mayBeUsed(standing) }
    })
    // Of what is good, what ends first is used first.
    return seen.sort(
      (one, other) => Number(other.good) - Number(one.good) || one.untilOn.localeCompare(other.untilOn),
    )
  })
  const known = computed<readonly StoreItem[]>(() => all.value.map(({ item }) => item))
  const chosen = computed(() => known.value.filter((item) => inHand.value.includes(item.id)))
  /** The right one of each kind of which nothing is in hand. */
  const offered = computed(() =>
    [...kinds.value].flatMap((kind) => {
      if (chosen.value.some((item) => item.kind === kind)) return []
      return all.value.find(({ item, good }) => good && item.kind === kind)?.item ?? []
    }),
  )
  return { needs, kinds, known, chosen, offered, nowS }
}
/** The tin among what is in hand: what the method itself asks about, by its plastic and its date. */
function useTin(needs: Ref<readonly Need[]>, chosen: Ref<readonly StoreItem[]>) {
  const item = computed(() => {
    const kind = needs.value.find((need) => 'plastic' in need.matches)?.item
    return chosen.value.find((one) => one.kind === kind) ?? null
  })
  const tinId = computed(() => item.value?.id ?? null)
  const tin = computed(() =>
    item.value ? { plastic: item.value.matches['plastic'] ?? null, expiresOn: item.value.expiresOn } : null,
  )
  const toolIds = computed(() => chosen.value.map(({ id }) => id).filter((id) => id !== tinId.value))
  return { tinId, tin, toolIds }
}
/** What a tool in hand reported last, if it was after a time. */
function reportedBy(tools: readonly StoreItem[], what: string, afterS: number) {
  return tools
    .flatMap((tool) =>
      tool.said.filter((x) => x.what === what && x.atS > afterS).map((x) => ({ ...x, tool: tool.name })),
    )
    .sort((a, b) => a.atS - b.atS)
    .at(-1)
}
/** What a joint is made with: what it needs, what is in hand for it, what speaks against it today. */
export function useTools(facts: Ref<JointFacts>) {
  const job = useJob()
  const clock = useClock()
  const { nowS, ...own } = useKnown(facts)
  const { needs, kinds, chosen } = own
  function take(kind: string, id: string | null): void {
    const others = inHand.value.filter((one) => job.state.store.get(one)?.kind !== kind)
    inHand.value = id ? [...others, id] : others
    keepJson(KEY, inHand.value)
  }
  /** A tool works at the step that makes the joint; what is used up only goes into it. */
  const works = computed(() => chosen.value.some((item) => !item.lot))
  const permit = computed(() => hotWorkPermit(job.state, clock.nowS) ?? false)
  const wrong = computed<readonly Finding[]>(() => {
    const ids = chosen.value.map(({ id }) => id)
    return toolWrong(job.state, ids, needs.value, nowS.value)
  })
  const reported = (what: string, afterS: number) => reportedBy(chosen.value, what, afterS)
  /** A scanned or typed code: takes the thing it names, or says that it names none. */
  function scan(code: string): Finding | null {
    const item = itemCoded(job.state.store.values(), code)
    if (!item) return finding('warn', 'scan-unknown', 'given', { code })
    take(item.kind, item.id)
    return kinds.value.has(item.kind)
      ? null
      : finding('note', 'scan-not-here', 'given', { code, kind: item.kind.replaceAll('-', ' ') })
  }
  return { ...own, ...useTin(needs, chosen), works, take, permit, wrong, reported, scan }
}
