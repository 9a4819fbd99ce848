import type { Survey } from '@/core/api/assess'
import { Marks } from './marks'
import { sideMarks } from '@/drawing/side-marks'

/** Vehicle, racks and things from the side. */
export const SideFigure = ({ survey }: { survey: Survey }) => <Marks marks={sideMarks(survey)} />
