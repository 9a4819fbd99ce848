import { it } from 'vitest'
import { DEMO_PLANS } from '@/stock/plans'
import { survey } from './survey/survey'
import { review } from './review/review'
import { phraseText } from './review/phrase'
it('prints', () => {
  for (const plan of DEMO_PLANS) {
    const r = review(survey(plan))
    console.log(
      `== ${plan.job.name} ${r.verdict}\n` +
        r.findings
          .filter((f) => f.severity !== 'clear')
          .map((f) => `${f.severity} ${f.state} [${f.rule}] ${phraseText(f.sentence)}`)
          .join('\n'),
    )
  }
})
