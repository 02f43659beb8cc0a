/**
 * Works a fact out once for each object it belongs to, and keeps it while that object lives.
 * @param workOut from the object alone; the object must not change afterwards
 * @example
 * onceFor(({ ohms }) => 2 * ohms)({ ohms: 21 }) // 42
 */
export function onceFor<Key extends object, Fact>(workOut: (key: Key) => Fact): (key: Key) => Fact {
  const known = new WeakMap<Key, { fact: Fact }>()
  return (key) => {
    const before = known.get(key)
    if (before) return before.fact
    const fact = workOut(key)
    known.set(key, { fact })
    return fact
  }
}
