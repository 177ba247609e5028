/** How many words stand on a page: in its first view, and in all; of the dialog that lies on it, where one does. */
import type { Page } from '@playwright/test'

export const seenWords = (page: Page): Promise<{ first: number; whole: number }> =>
  page.evaluate(() => {
    let first = 0
    let whole = 0
    const dialog = [...document.querySelectorAll('[role="dialog"]')].at(-1)
    const walk = document.createTreeWalker(
      dialog ?? document.querySelector('main') ?? document.body,
      NodeFilter.SHOW_TEXT,
    )
    while (walk.nextNode()) {
      const text = walk.currentNode.textContent?.trim() ?? ''
      const parent = walk.currentNode.parentElement
      if (text === '' || !parent || parent.closest('option,.sr-only,svg') || !parent.checkVisibility())
        continue
      const range = document.createRange()
      range.selectNodeContents(walk.currentNode)
      const box = range.getBoundingClientRect()
      if (box.height < 1 || box.width < 1) continue
      const words = text.split(/\s+/).length
      whole += words
      if (box.top < innerHeight && box.bottom > 0 && box.left < innerWidth) first += words
    }
    return { first, whole }
  })
