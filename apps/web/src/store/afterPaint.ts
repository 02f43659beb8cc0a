const longest = 100

/** Does work once what was just changed is on the screen; where nothing is painted (a hidden tab), a tenth of a second later. */
export function afterPaint(work: () => void): void {
  let done = false
  const once = () => {
    if (!done) work()
    done = true
  }
  setTimeout(once, longest)
  requestAnimationFrame(() => setTimeout(once))
}
