/** One line of a drawing: its path in the view's own mm, the class it is drawn with, and where it is moved to. */
export interface Mark {
  readonly d: string
  readonly variant: string
  readonly at?: string
}
