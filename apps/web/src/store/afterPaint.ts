const longest = 100
let batch: (() => void)[] | undefined

/** Does work once what was just changed is on the screen; where nothing is painted (a hidden tab), a tenth of a second later. */
export function afterPaint(work: () => void): void {
  if (batch) return void batch.push(work)
  // what is put off by one key waits for one frame, and each is a task of its own, so that the next key comes between
  const mine = (batch = [work])
  const go = () => {
    if (batch !== mine) return
    batch = undefined
    for (const one of mine) setTimeout(one)
  }
  setTimeout(go, longest)
  requestAnimationFrame(go)
}
