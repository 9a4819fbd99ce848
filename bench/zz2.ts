import { coreRatios } from './core'
const t = performance.now()
for (const r of coreRatios()) console.log(r)
console.log(performance.now() - t)
