import type { ComponentProps } from 'react'

/** A key as large as a glove asks for, one of a row across the foot of a screen. */
export function BigKey({ className = '', ...rest }: ComponentProps<'button'>) {
  return (
    <button
      type="button"
      className={`bg-paper disabled:bg-base-300 disabled:text-ink2 max-wide:text-body cursor-pointer text-[1.35rem] font-bold focus-visible:outline-offset-[-5px] disabled:cursor-default ${className}`}
      {...rest}
    />
  )
}
