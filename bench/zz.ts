import { DEMO_PLANS } from '@/stock/plans'
import { DEMO_STOCK } from '@/stock/stock'
import { survey } from '@/core/survey/survey'
import { CHECKS } from '@/core/review/checks'
import { compatible } from '@/core/review/compatible'
for (const plan of DEMO_PLANS.filter((p) => ['demo-frame', 'demo-hatch','demo-yard-van'].includes(p.id))) {
  const time = (f: () => void) => { for (let i = 0; i < 40; i++) f(); const t = performance.now(); for (let i = 0; i < 40; i++) f(); return (performance.now() - t) / 40 }
  console.log(plan.id, 'clone', time(() => structuredClone(plan)).toFixed(3), 'survey', time(() => survey(plan)).toFixed(3))
  for (const c of CHECKS) console.log('  ', c.id, time(() => { const s = survey(plan); [...c.run(s)] }).toFixed(3))
  const s = survey(plan)
  const slow: [number,string][] = []
  for (const g of DEMO_STOCK.gear) slow.push([time(()=>compatible(s,g,plan.racks[0]!.id,DEMO_STOCK.adapters,'x')), g.name])
  console.log(slow.reduce((a,b)=>a+b[0],0).toFixed(2), slow.sort((a,b)=>b[0]-a[0]).slice(0,6))
}
