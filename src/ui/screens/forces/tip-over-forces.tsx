'use client'
import { bandOf, BANDS, type Survey } from '@/core/api/assess'
import { Bar, BarChart, CartesianGrid, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts'
import { Quantity } from '@/ui/figures/quantity'
import { AXIS, INK, LIMIT } from './chart-style'
import { DataTableDisclosure, Panel } from '@/ui/kit/panel'

/** How far the whole stands from tipping: bare, with the racks, and loaded. */
export function TipOverForces({ survey }: { survey: Survey }) {
  const { own, bare, racked, loaded, loadedBetween } = survey.motion.standing()
  const roll = survey.plan.use.trailRollDeg
  const cases = [
    ['bare', bare],
    ['with the rack', racked],
    ['loaded', loaded],
  ] as const
  const unsure = own.estimated.length > 0
  return (
    <Panel
      title="Standing"
      note={`Side slope at which it would tip, standing still on a rigid slope: a moving vehicle tips sooner. The line is the plan's own slope.${unsure ? ` By estimate: ${own.estimated.join(', ')} not known.` : ''}`}
    >
      <div aria-hidden>
        <ResponsiveContainer width="100%" height={150}>
          <BarChart
            accessibilityLayer={false}
            layout="vertical"
            data={cases.map(([name, { slopeDeg }]) => ({
              name,
              slope: Math.round(slopeDeg * 10) / 10,
            }))}
            margin={{ top: 4, right: 16, bottom: 0, left: 0 }}
          >
            <CartesianGrid horizontal={false} stroke="var(--hair)" />
            <XAxis type="number" {...AXIS} unit="°" domain={[0, 60]} />
            <YAxis type="category" dataKey="name" {...AXIS} width={92} />
            <Bar dataKey="slope" fill={INK} barSize={18} isAnimationActive={false} />
            <ReferenceLine x={roll} stroke={LIMIT} strokeWidth={2} strokeDasharray="7 4" />
          </BarChart>
        </ResponsiveContainer>
      </div>
      <DataTableDisclosure
        open
        title="Before and after"
        head={['', 'Mass', 'Centre of gravity', 'Stability factor', 'NHTSA band', 'Tips at']}
        rows={[
          ...cases.map(([name, stand]) => [
            name,
            <Quantity key="kg" dimension="mass" value={stand.kg} />,
            <Quantity key="mm" dimension="length" value={stand.heightMm} />,
            stand.factor.toFixed(2),
            BANDS[bandOf(stand.factor)]?.name ?? '',
            <Quantity key="deg" dimension="angle" value={stand.slopeDeg} />,
          ]),
          ...(unsure
            ? [
                [
                  'loaded, estimate off by a tenth',
                  '',
                  '',
                  `${loadedBetween.least.factor.toFixed(2)} to ${loadedBetween.most.factor.toFixed(2)}`,
                  '',
                  <span key="deg">
                    <Quantity dimension="angle" value={loadedBetween.least.slopeDeg} /> to{' '}
                    <Quantity dimension="angle" value={loadedBetween.most.slopeDeg} />
                  </span>,
                ],
              ]
            : []),
        ]}
      />
    </Panel>
  )
}
