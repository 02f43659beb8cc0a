/** The part of a browser's localStorage that is used here: values by key, and its keys as its own enumerable properties. */
export function fakeStorage(): Storage {
  const methods = {
    getItem: (key: string) => (Object.hasOwn(store, key) ? (store[key] ?? null) : null),
    setItem: (key: string, value: string) => void (store[key] = value),
    removeItem: (key: string) => void Reflect.deleteProperty(store, key),
    clear: () => Object.keys(store).forEach((key) => Reflect.deleteProperty(store, key)),
  }
  const store: Record<string, string> = Object.create(Object.fromEntries(Object.entries(methods))) as Record<
    string,
    string
  >
  return store as unknown as Storage
}
