/** What is asked of a review in a thread of its own. */
export interface ReviewQuestion {
  /** The body as it came. */
  readonly text: string
  /** Whether the changes that would clear each finding are worked out too. */
  readonly fixes: boolean
}

/** What comes of it, as the status and the text of an HTTP answer. */
export interface ReviewAnswer {
  readonly status: 200 | 400
  readonly body: string
}
