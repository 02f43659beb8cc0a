import { fakeStorage } from './fakeStorage'

/** A target of events that says what a page says of itself. */
class FakeDocument extends EventTarget {
  visibilityState = 'visible'
  documentElement = { dataset: {} as Record<string, string> }
  dialog: unknown = null
  querySelector = (selector: string): unknown => (selector.includes('dialog') ? this.dialog : null)
}

/** As much of an element as the keys ask of one. */
export class FakeElement {
  dataset: Record<string, string> = {}
  isContentEditable = false
  constructor(
    readonly tagName: string,
    private roles: string[] = [],
  ) {}
  closest(selector: string): FakeElement | null {
    const names = [this.tagName.toLowerCase(), ...this.roles.map((role) => `[role="${role}"]`)]
    return selector.split(', ').some((one) => names.includes(one)) ? this : null
  }
}

/** The few things of a browser that stores and keys use, put in their places; what is kept in them begins empty. */
export function beginBrowser(): FakeDocument {
  const document = new FakeDocument()
  Object.assign(globalThis, {
    localStorage: fakeStorage(),
    sessionStorage: fakeStorage(),
    window: Object.assign(new EventTarget(), { localStorage: globalThis.localStorage }),
    document,
    HTMLElement: FakeElement,
    matchMedia: () => ({ matches: false }),
    requestAnimationFrame: (draw: () => void) => setTimeout(draw),
  })
  Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true })
  return document
}
