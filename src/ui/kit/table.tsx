import type { ComponentProps } from 'react'

const CELLS =
  '[&_td]:min-w-18 [&_:where(th,td)]:px-2 [&_:where(th,td)]:py-1 [&_:where(th,td)]:align-top [&_tbody_th]:font-medium [&_:is(thead,tfoot)]:text-ink2 [&_:is(thead,tfoot)]:text-plain'

/** On a phone each row is a card: its name and its last cell on top, all else under them, called by `data-label`. */
const CARDS =
  'max-[44rem]:[&_thead]:sr-only max-[44rem]:[&_tbody_tr]:grid max-[44rem]:[&_tbody_tr]:grid-cols-[minmax(0,1fr)_auto] max-[44rem]:[&_tbody_tr]:items-center max-[44rem]:[&_tbody_tr]:py-1 max-[44rem]:[&_td]:col-span-2 max-[44rem]:[&_td]:py-0.5 max-[44rem]:[&_td:empty]:hidden max-[44rem]:[&_:where(th,td)]:border-b-0! max-[44rem]:[&_td:last-child]:col-span-1 max-[44rem]:[&_td:last-child]:col-start-2 max-[44rem]:[&_td:last-child]:row-start-1 max-[44rem]:[&_td[data-label]]:before:content-[attr(data-label)] max-[44rem]:[&_td[data-label]]:before:text-ink2 max-[44rem]:[&_td[data-label]]:before:mr-2'

/** Rows to read across, on a line each; as `cards` they stand under each other where there is no width for them. */
export function Table({
  className = '',
  cards = false,
  ...rest
}: ComponentProps<'table'> & { readonly cards?: boolean }) {
  return <table className={`table text-plain ${CELLS} ${cards ? CARDS : ''} ${className}`} {...rest} />
}
