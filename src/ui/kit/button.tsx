import Link from 'next/link'
import type { ComponentProps } from 'react'

const VARIANT = {
  plain: 'btn-soft',
  solid: 'btn-primary',
  /** Bare words among their like: a bar of screens, the tools of a page. */
  quiet: 'btn-ghost px-2.5',
  /** Underlined words, where a box would say too much. */
  word: 'btn-link text-ink2 px-2',
} as const

type ButtonLook = keyof typeof VARIANT

interface Look {
  /** One solid key at most where one thing is to be done. */
  readonly variant?: ButtonLook
}

interface Pressed extends Look {
  /** For one of several of which one holds: solid while it does, or grounded among quiet ones. */
  readonly pressed?: boolean
}

/** The classes of a key, whose words wrap rather than run out of it. */
const buttonClass = (variant: ButtonLook = 'plain', more = ''): string =>
  `btn h-auto max-w-full min-h-11 min-w-11 py-1 text-left transition-none text-plain leading-tight ${VARIANT[variant]} ${more}`

/** A key: pressed by hand, by keyboard, or by a glove. */
export function Button({ variant, pressed, className, ...rest }: ComponentProps<'button'> & Pressed) {
  const held = pressed === true && variant !== 'quiet' ? 'solid' : variant
  return <button type="button" className={buttonClass(held, className)} aria-pressed={pressed} {...rest} />
}

/** Words in a text that lead to another screen. */
export function TextLink({ className = '', ...rest }: ComponentProps<typeof Link>) {
  return (
    <Link
      className={`underline touch:inline-flex touch:min-h-11 touch:min-w-11 touch:items-center ${className}`}
      {...rest}
    />
  )
}

/** A key that leads to another screen. */
export function ButtonLink({ variant, className, ...rest }: ComponentProps<typeof Link> & Look) {
  return <Link className={buttonClass(variant, className)} {...rest} />
}
