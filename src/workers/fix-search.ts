import { assessWithFixes, type RemedyStock } from '@/core/api/assess'
import type { FixesAnswer, FixesQuestion } from './fixes-messages'

/** Looks for the fixes of one plan, a finding at a time; a newer question puts away what is left of an older one. */
export class FixSearch {
  private stock: RemedyStock = { parts: [] }
  private left: (() => FixesAnswer)[] = []

  take({ ticket, plan, findingIds, stock }: FixesQuestion): void {
    this.stock = stock ?? this.stock
    const { review, remedies } = assessWithFixes(plan)
    const byId = new Map(review.findings.map((finding) => [finding.id, finding]))
    this.left = findingIds.map((findingId) => () => {
      const finding = byId.get(findingId)
      return { ticket, findingId, remedies: finding ? remedies(finding, this.stock) : [] }
    })
  }

  /** The next finding's fixes; nothing when all are answered. */
  next(): FixesAnswer | undefined {
    return this.left.shift()?.()
  }
}
