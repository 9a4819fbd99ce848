import type { RemedyStock, Candidate } from '../candidate'
import { cellOfFinding, strongerParts } from '../lighten'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'

export function unratedLayerFixes(survey: Survey, finding: Finding, stock: RemedyStock): Candidate[] {
  const cell = cellOfFinding(survey, finding)
  return cell ? strongerParts(survey, cell, stock) : []
}
