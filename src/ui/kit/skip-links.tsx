/** A place of the screen by its words and where it is found: what can take the focus there, or its box. */
export type SkipPlace = readonly [words: string, selector: string]

const PAGE: readonly SkipPlace[] = [['To the main content', 'main']]

/** The first stops of the Tab key, seen while they have the focus: each leads past the bar to a part of the screen. */
export function SkipLinks({ places = PAGE }: { places?: readonly SkipPlace[] }) {
  const go = (selector: string) => {
    const place = document.querySelector<HTMLElement | SVGElement>(selector)
    if (!place) return
    if (!place.hasAttribute('tabindex') && place.matches('main, section, aside')) place.tabIndex = -1
    place.focus()
  }
  return (
    <nav aria-label="Skip to" className="fixed top-0 left-0 z-50 flex">
      {places.map(([words, selector]) => (
        <a
          key={selector}
          href={`#${encodeURIComponent(words)}`}
          className="sr-only focus:not-sr-only focus:bg-base-100 focus:p-3! focus:font-semibold focus:underline"
          onClick={(event) => {
            event.preventDefault()
            go(selector)
          }}
        >
          {words}
        </a>
      ))}
    </nav>
  )
}
