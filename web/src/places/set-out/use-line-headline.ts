import {
  type Line,
  allMethods,
  entryExamples,
  isUnmeasured,
  takeOffFor,
  unknownTakeOffs,
} from '@jugalis/core'
import { type Ref, computed } from 'vue'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

type Many = Readonly<Ref<readonly unknown[]>>

/** What a line lacks, most pressing first; or what it comes to. */
export function useLineHeadline(
  line: Ref<Line | null>,
  is: { faults: Many; jointIds: Many; pieces: Many; sections: Many },
) {
  const job = useJob()
  const unknown = computed(() => (line.value ? unknownTakeOffs(job.state, line.value) : []))
  const kinds = computed(
    () => new Set(unknown.value.map((o) => Object.values(takeOffFor(o.fitting, o.at)).join())).size,
  )
  return computed(() => {
    const own = line.value
    if (!own) return word('set-out-nothing-set-out-yet')
    if (!own.items.length) {
      const [example = 'none'] = entryExamples(own, { ...job.reader, units: own.school })
      return word('set-out-nothing-set-out-yet-type', { example })
    }
    if (!allMethods().some((m) => m.id === own.method))
      return word('set-out-has-no-method-choose', { tag: own.tag })
    if (is.faults.value.length)
      return word('set-out-cannot-be-joined-as', { tag: own.tag, faults: is.faults.value.length })
    const unmeasured = own.items.filter(isUnmeasured).length
    if (unmeasured)
      return word('set-out-has-pieces-to-measure', {
        tag: own.tag,
        jointIds: is.jointIds.value.length,
        pieces: is.pieces.value.length,
        unmeasured,
      })
    return kinds.value
      ? word('set-out-has-joints-and-pieces', {
          tag: own.tag,
          jointIds: is.jointIds.value.length,
          pieces: is.pieces.value.length,
          kinds: kinds.value,
        })
      : word('set-out-is-complete-joints-pieces', {
          tag: own.tag,
          jointIds: is.jointIds.value.length,
          pieces: is.pieces.value.length,
          sections: is.sections.value.length,
        })
  })
}
