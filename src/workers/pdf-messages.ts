/** A PDF to be read; its bytes go over to the worker. */
export interface PdfQuestion {
  readonly ticket: number
  readonly bytes: Uint8Array<ArrayBuffer>
}

/** How far it is, the text of all pages with a form feed between two, or why there is none. */
export type PdfAnswer =
  | { readonly say: 'page'; readonly ticket: number; readonly page: number; readonly of: number }
  | { readonly say: 'text'; readonly ticket: number; readonly text: string }
  | { readonly say: 'refused'; readonly ticket: number; readonly why: string }
