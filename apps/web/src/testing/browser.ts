import { fakeStorage } from './fakeStorage'

/** What a page asks the system: here, whether it is dark. */
class FakeSystem extends EventTarget {
  matches = false
  dark(matches: boolean): void {
    this.matches = matches
    this.dispatchEvent(Object.assign(new Event('change'), { matches }))
  }
}

/** A target of events that says what a page says of itself. */
class FakeDocument extends EventTarget {
  visibilityState = 'visible'
  system = new FakeSystem()
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
    window: Object.assign(new EventTarget(), {
      localStorage: globalThis.localStorage,
      matchMedia: () => document.system,
    }),
    document,
    HTMLElement: FakeElement,
    requestAnimationFrame: (draw: () => void) => setTimeout(draw),
  })
  Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true })
  return document
}
