import type { Page } from '@playwright/test'

/**
 * Text that lies on other text, or is cut without a sign that there is more. What scrolls, what ends in an ellipsis and what is kept to
 * some lines is meant to be so.
 */
export const textFaults = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    interface Box {
      words: string
      node: Node
      left: number
      right: number
      top: number
      bottom: number
    }
    const faults: string[] = []
    const boxes: Box[] = []
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    const cuts = (style: CSSStyleDeclaration) => style.overflowX !== 'visible' || style.overflowY !== 'visible'
    const isMeant = (style: CSSStyleDeclaration) =>
      style.textOverflow === 'ellipsis' ||
      style.webkitLineClamp !== 'none' ||
      [style.overflowX, style.overflowY].some((one) => one === 'auto' || one === 'scroll')
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const words = node.textContent?.trim() ?? ''
      const element = node.parentElement
      if (words === '' || !element || element.closest('.unseen, .p-hidden-accessible, title, script, style')) continue
      const range = document.createRange()
      range.selectNodeContents(node)
      for (const rect of range.getClientRects()) {
        if (rect.width < 1 || getComputedStyle(element).visibility === 'hidden') continue
        // an inline box is higher than its letters
        const trim = rect.height * 0.2
        const box = {
          words,
          node,
          left: rect.left,
          right: rect.right,
          top: rect.top + trim,
          bottom: rect.bottom - trim,
        }
        for (let around: Element | null = element; around; around = around.parentElement) {
          const style = getComputedStyle(around)
          if (!cuts(style) || around === document.documentElement || around === document.body) continue
          const frame = around.getBoundingClientRect()
          const lost = Math.max(
            frame.left - box.left,
            box.right - frame.right,
            frame.top - box.top,
            box.bottom - frame.bottom,
          )
          if (lost > 2 && !isMeant(style) && box.right > box.left && box.bottom > box.top)
            faults.push(`cut by ${around.className || around.tagName}: ${words.slice(0, 50)}`)
          box.left = Math.max(box.left, frame.left)
          box.right = Math.min(box.right, frame.right)
          box.top = Math.max(box.top, frame.top)
          box.bottom = Math.min(box.bottom, frame.bottom)
        }
        if (box.right - box.left > 1 && box.bottom - box.top > 1) boxes.push(box)
      }
    }
    for (const [i, one] of boxes.entries())
      for (const other of boxes.slice(i + 1)) {
        if (one.node === other.node) continue
        const across = Math.min(one.right, other.right) - Math.max(one.left, other.left)
        const down = Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top)
        if (across > 2 && down > 2) faults.push(`“${one.words.slice(0, 40)}” on “${other.words.slice(0, 40)}”`)
      }
    return [...new Set(faults)]
  })
