'use client'
import { useEffect, useState } from 'react'
import { loadPicture } from '@/storage/pictures'

/** A picture that this browser keeps, by its id; where it does not have it, that is said in its place. */
export function StoredPicture({ id, words, className }: { id: string; words: string; className: string }) {
  const [found, setFound] = useState<{ readonly picture: string | undefined }>()
  useEffect(() => {
    let current = true
    void loadPicture(id).then((picture) => {
      if (current) setFound({ picture })
    })
    return () => {
      current = false
    }
  }, [id])
  if (!found) return <span className={className} />
  if (found.picture === undefined)
    return (
      <span className={`${className} text-ink2 text-note`}>This picture is not stored in this browser.</span>
    )
  return (
    // The picture is text of this browser's own: there is nothing for a server to make smaller.
    // oxlint-disable-next-line next/no-img-element
    <img
      src={found.picture}
      alt={words === '' ? 'The car on arrival' : words}
      className={`${className} object-contain`}
    />
  )
}
