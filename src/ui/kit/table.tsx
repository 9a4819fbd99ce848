import type { ComponentProps } from 'react'

const CELLS =
  '[&_td]:min-w-18 [&_:where(th,td)]:px-2 [&_:where(th,td)]:py-1 [&_:where(th,td)]:align-top [&_tbody_th]:font-medium [&_:is(thead,tfoot)]:text-ink2'

/** Rows to read across, on a line each. */
export function Table({ className = '', ...rest }: ComponentProps<'table'>) {
  return <table className={`table text-[14px] ${CELLS} ${className}`} {...rest} />
}
