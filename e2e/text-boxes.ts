import type { Page } from '@playwright/test'

/** What is wrong with how the words on the page stand: one over another, or too small to be read at arm's length. */
export function textFaults(page: Page, leastPx: number): Promise<string[]> {
  return page.evaluate((least) => {
    interface Said {
      readonly words: string
      readonly owner: Element
      readonly box: DOMRect
    }
    /** How far two boxes may touch: letters have air over and under them. */
    const TOUCH_PX = 2
    const said: Said[] = []
    const small = new Set<string>()
    const cut = (box: DOMRect, by: DOMRect) => {
      const left = Math.max(box.left, by.left)
      const top = Math.max(box.top, by.top)
      return new DOMRect(
        left,
        top,
        Math.min(box.right, by.right) - left,
        Math.min(box.bottom, by.bottom) - top,
      )
    }
    const isForEarsAlone = (element: Element) => {
      for (let at: Element | null = element; at; at = at.parentElement)
        if (getComputedStyle(at).clipPath === 'inset(50%)') return true
      return false
    }
    const layerOf = (element: Element) =>
      element.closest('dialog[open], [popover], [role=menu]') ??
      (() => {
        for (let at: Element | null = element; at; at = at.parentElement)
          if (['fixed', 'sticky'].includes(getComputedStyle(at).position)) return at
        return document.body
      })()
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const owner = node.parentElement
      const words = node.textContent?.trim() ?? ''
      if (!owner || words === '' || ['SCRIPT', 'STYLE', 'OPTION', 'TITLE'].includes(owner.tagName)) continue
      if (
        owner.tagName === 'title' ||
        !owner.checkVisibility({ opacityProperty: true, visibilityProperty: true })
      )
        continue
      if (isForEarsAlone(owner)) continue
      const range = document.createRange()
      range.selectNodeContents(node)
      for (const line of range.getClientRects()) {
        let box: DOMRect = line
        for (let at: Element | null = owner; at && at !== document.body; at = at.parentElement) {
          const { overflowX, overflowY } = getComputedStyle(at)
          if (overflowX !== 'visible' || overflowY !== 'visible') box = cut(box, at.getBoundingClientRect())
        }
        if (box.width <= TOUCH_PX || box.height <= TOUCH_PX) continue
        const size = Number.parseFloat(getComputedStyle(owner).fontSize)
        if (size < least - 0.01) small.add(`${words.slice(0, 40)}: ${size} px`)
        said.push({ words, owner, box })
      }
    }
    const over: string[] = []
    said.forEach((a, i) => {
      for (const b of said.slice(i + 1)) {
        if (a.owner === b.owner || layerOf(a.owner) !== layerOf(b.owner)) continue
        const both = cut(a.box, b.box)
        if (both.width > TOUCH_PX && both.height > TOUCH_PX)
          over.push(`"${a.words.slice(0, 40)}" and "${b.words.slice(0, 40)}" lie over each other`)
      }
    })
    return [...over, ...small]
  }, leastPx)
}

/** What a finger would miss: keys, links and fields lower or narrower than so many px, and what is out of reach sideways. */
export function touchFaults(page: Page, leastPx: number): Promise<string[]> {
  return page.evaluate((least) => {
    const faults: string[] = []
    const isScrolled = (element: Element) => {
      for (let at = element.parentElement; at; at = at.parentElement)
        if (['auto', 'scroll'].includes(getComputedStyle(at).overflowX)) return true
      return false
    }
    /** What is drawn over the middle of something in sight, unless it stands fast while the page goes on under it. */
    const coveredBy = (element: Element): string | undefined => {
      const box = element.getBoundingClientRect()
      const x = box.left + box.width / 2
      const y = box.top + box.height / 2
      if (x < 0 || y < 0 || x > innerWidth || y > innerHeight) return undefined
      const over = document.elementFromPoint(x, y)
      if (!over || element.contains(over) || over.contains(element)) return undefined
      for (let at: Element | null = over; at; at = at.parentElement)
        if (['fixed', 'sticky'].includes(getComputedStyle(at).position)) return undefined
      for (let at = element.parentElement; at; at = at.parentElement)
        if (getComputedStyle(at).overflowY !== 'visible') {
          const frame = at.getBoundingClientRect()
          if (y < frame.top || y > frame.bottom || x < frame.left || x > frame.right) return undefined
        }
      return over.outerHTML.slice(0, 80)
    }
    const targets = document.querySelectorAll(
      'button, a[href], input, select, textarea, summary, [role=button], [role=slider], [role=menuitem], [role=option], label:has(input)',
    )
    for (const each of targets) {
      if (!each.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue
      // Things are drawn to scale: a larger one is got by zooming, and each is in the lists too.
      if (each.closest('svg .draw-layer')) continue
      const label = each instanceof HTMLInputElement ? each.closest('label') : null
      const { width, height, left, right } = (label ?? each).getBoundingClientRect()
      if (width <= 1 || height <= 1) continue
      const name = `${each.tagName.toLowerCase()} "${(each.getAttribute('aria-label') ?? each.textContent).trim().slice(0, 40)}"`
      if (width < least - 0.5 || height < least - 0.5)
        faults.push(`${name}: ${Math.round(width)} by ${Math.round(height)}`)
      const covered = coveredBy(label ?? each)
      if (covered !== undefined) faults.push(`${name} lies under ${covered}`)
      if (left < -1 || right > document.documentElement.clientWidth + 1) {
        if (!isScrolled(each))
          faults.push(`${name} is off the screen: ${Math.round(left)} to ${Math.round(right)}`)
      }
    }
    return faults
  }, leastPx)
}
