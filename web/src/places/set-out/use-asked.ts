import { type As, type Field, USUAL } from '@jugalis/core'
import { type Ref, computed, reactive, watch } from 'vue'
import { askedFields } from '../../asked-fields'

/** How a field with a unit is typed; the others are plain numbers. */
const AS: Readonly<Record<string, As>> = { mm: 'length', Nm: 'torque', C: 'temperature', bar: 'pressure' }
/** What is usual of them: beyond it the other system's unit is asked about. */
const USUAL_OF: Readonly<Record<string, readonly [number, number]>> = {
  mm: USUAL.movement,
  Nm: USUAL.torqueNm,
}
/** The quantity a field is typed as; none where it is a choice or a plain number. */
export const quantityOf = (field: Field): As | undefined => (field.options ? undefined : AS[field.unit ?? ''])
/** What is usual of a field's quantity. */
export const usualOf = (field: Field): readonly [number, number] | undefined => USUAL_OF[field.unit ?? '']

/** What a way of joining asks of a line besides, as it is typed. @param had what was answered before. @param usual it is the line's usual way. */
export function useAsked(method: Ref<string>, had: Readonly<Record<string, unknown>> = {}, usual = true) {
  const fields = computed(() => askedFields(method.value, usual))
  const texts = reactive<Record<string, string>>({})
  const quantities = reactive<Record<string, number | null>>({})
  function fill(given: Readonly<Record<string, unknown>>): void {
    for (const field of fields.value) {
      const value = given[field.key]
      if (quantityOf(field)) quantities[field.key] = typeof value === 'number' ? value : null
      else if (typeof value === 'boolean') texts[field.key] = value ? 'yes' : 'no'
      else texts[field.key] = value === undefined || value === null ? '' : String(value)
    }
  }
  fill(had)
  watch(method, () => fill({}))
  /** Answers by field; what was left open is not in it. */
  function answers(): Record<string, unknown> {
    const out: Record<string, unknown> = {}
    for (const field of fields.value) {
      const quantity = quantities[field.key]
      if (quantityOf(field)) {
        if (quantity != null) out[field.key] = quantity
        continue
      }
      const value = (texts[field.key] ?? '').trim()
      if (!value) continue
      out[field.key] = field.options
        ? value
        : field.control === 'yes-no'
          ? value === 'yes'
          : Number(value.replace(',', '.'))
    }
    return out
  }
  const unreadable = (): boolean => Object.values(quantities).some((v) => Number.isNaN(v))
  return { fields, texts, quantities, answers, unreadable }
}
export type Asked = ReturnType<typeof useAsked>
