import { describe, expect, it } from 'vitest'
import { boatAndBox, firstBike } from '@/demo/plans'
import { DEMO_STOCK } from '@/demo/stock'
import { assess } from '../review/assess.testing'
import { reviewReport, reviewReportSchema, surveyReport, surveyReportSchema } from './report'

describe('reports for other software', () => {
  it('give layers, states, limits, what is left, and what governs, with their stable names', () => {
    const report = surveyReport(assess(boatAndBox, DEMO_STOCK).survey)
    expect(surveyReportSchema.parse(report)).toEqual(report)
    const roof = report.layers.find((layer) => layer.id === 'roof')!
    expect(roof.states[0]).toMatchObject({
      state: 'road',
      countedKg: 81.4,
      limit: { kind: 'published', kg: 75 },
      leftKg: -6.4,
    })
    expect(roof.states[0]!.parts.reduce((sum, each) => sum + each.countedKg, 0)).toBeCloseTo(81.4, 6)
    expect(report.governing.road).toEqual({ layerId: 'roof', name: 'Roof', leftKg: -6.4 })
    expect(report.feet.map((foot) => foot.corner)).toEqual(['LHF', 'RHF', 'LHR', 'RHR'])
    const sum = report.feet.reduce((total, foot) => total + foot.loadKg.road, 0)
    expect(sum).toBeCloseTo(72.8, 1)
    // Bars carry the load and their own 2.6 kg each.
    const bars = report.bars.reduce((total, bar) => total + bar.states.road.carriesKg, 0)
    expect(bars).toBeCloseTo(72.8 + 5.2, 1)
    for (const bar of report.bars)
      expect(bar.states.road.feetKg.reduce((total, each) => total + each, 0)).toBeCloseTo(
        bar.states.road.carriesKg,
        2,
      )
    for (const foot of report.feet) {
      expect(foot.inMotionKg.road.least).toBeLessThan(foot.loadKg.road)
      expect(foot.inMotionKg.road.most).toBeGreaterThan(foot.loadKg.road)
    }
    expect(report.heightsMm.road).toEqual({ topMm: 1983, name: 'Long box' })
  })

  it('give findings with remedies that are commands, and say null where there is no figure', () => {
    const assessment = assess(boatAndBox, DEMO_STOCK)
    const report = reviewReport(assessment.survey, assessment.review, assessment.remedies)
    expect(reviewReportSchema.parse(report)).toEqual(report)
    expect(report.findings[0]).toMatchObject({
      severity: 'stop',
      rule: 'layer-limit',
      state: 'road',
      margin: { value: -6.4, unit: 'kg' },
    })
    expect(report.findings[0]!.remedies[0]).toMatchObject({
      say: 'Box contents to 19 kg',
      command: { do: 'setLoad' },
    })
    const unrated = assess(firstBike, DEMO_STOCK)
    const missing = reviewReport(unrated.survey, unrated.review, unrated.remedies).findings[0]!
    expect([missing.severity, missing.limit, missing.margin]).toEqual(['findOut', null, null])
    const feet = surveyReport(unrated.survey).layers.find((layer) => layer.id === 'part:square-feet')!
    expect(feet.states[0]).toMatchObject({ limit: { kind: 'missing' }, leftKg: null })
  })
})
