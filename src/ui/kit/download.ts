'use client'

/** Hands a text or bytes to the browser as a file. */
export function downloadText(name: string, content: string | Uint8Array, type: string): void {
  const part = typeof content === 'string' ? content : new Uint8Array(content)
  const url = URL.createObjectURL(new Blob([part], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}
