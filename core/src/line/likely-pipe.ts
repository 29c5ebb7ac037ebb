import { type School, joined } from '../methods/joinable.js'
import { allMethods } from '../methods/registry.js'

/**
 * A way of joining and a material that pipe of a size is made with: what entries are read by where only a size is said.
 * Null where nothing is made in it.
 * @example likelyPipe('d110', 'metric')?.material // 'pvc-u'
 */
export function likelyPipe(size: string, school: School): { method: string; material: string } | null {
  for (const method of allMethods())
    for (const material of Object.keys(method.joins))
      if (method.inserts && joined(method, material, size, school).ok) return { method: method.id, material }
  for (const method of allMethods())
    for (const material of Object.keys(method.joins))
      if (joined(method, material, size, school).ok) return { method: method.id, material }
  return null
}
