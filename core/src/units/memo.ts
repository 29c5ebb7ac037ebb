/*
 * Answers worked out once. States, histories and lists of core never change once they are made, so an answer holds for as
 * long as what it is about lives, and goes with it.
 */

/** Works an answer out once for each thing it is about. */
export function once<K extends object, V>(find: (of: K) => V): (of: K) => V {
  const answers = new WeakMap<K, { v: V }>()
  return (of) => {
    let known = answers.get(of)
    if (!known) answers.set(of, (known = { v: find(of) }))
    return known.v
  }
}

/**
 * The same where the answer depends on more than the thing: worked out once for each thing and key.
 * @param keyOf names what else it depends on; what shares a key shares its answer.
 */
export function onceEach<K extends object, A extends readonly unknown[], V>(
  keyOf: (...more: A) => string,
  find: (of: K, ...more: A) => V,
): (of: K, ...more: A) => V {
  const answers = once<K, Map<string, { v: V }>>(() => new Map())
  return (of, ...more) => {
    const ofThing = answers(of)
    const key = keyOf(...more)
    let known = ofThing.get(key)
    if (!known) ofThing.set(key, (known = { v: find(of, ...more) }))
    return known.v
  }
}

type Shelf = WeakMap<object, unknown>
/**
 * The same for several things at once: it holds as long as every one of them lives and is the same.
 * @param keyOf names what else it depends on; what shares a key shares its answer.
 */
export function onceForAll<K extends readonly [object, ...object[]], A extends readonly unknown[], V>(
  keyOf: (...more: A) => string,
  find: (of: K, ...more: A) => V,
): (of: K, ...more: A) => V {
  const shelves: Shelf = new WeakMap()
  return (of, ...more) => {
    let at = shelves
    for (const thing of of.slice(0, -1)) {
      let next = at.get(thing) as Shelf | undefined
      if (!next) at.set(thing, (next = new WeakMap()))
      at = next
    }
    const last = of.at(-1) as object
    let answers = at.get(last) as Map<string, { v: V }> | undefined
    if (!answers) at.set(last, (answers = new Map()))
    const key = keyOf(...more)
    let known = answers.get(key)
    if (!known) answers.set(key, (known = { v: find(of, ...more) }))
    return known.v
  }
}
