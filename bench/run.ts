import {
  answers,
  ensureBuilt,
  ensureChromium,
  findChromium,
  freePort,
  NEXT,
  run,
  start,
} from '../scripts/project.mjs'
import { compiled } from '../scripts/compiled.mjs'
import type * as Core from './core'
import type * as Reading from './reading'
import { firstLoadRatios, usableRatios } from './first-load'
import { busyDragRatios, dragRatios, moveRatios } from './drag'
import { chanceRatio, shelfRatio } from './frames'
import { inputRatios } from './inputs'
import type { Ratio } from './ratio'
import { routeRatios } from './route'
import { shellRatio } from './shell'
import { shopRatios } from './shop'
import { yearsRatios } from './years'

/** Prints what the speed of Ypsos is, each as a ratio of two figures of this one run. */
function print({ name, value, most }: Ratio): boolean {
  const met = value <= most
  console.log(`${met ? 'met     ' : 'NOT MET '} ${value.toFixed(2)} (at most ${most})  ${name}`)
  return met
}

const { coreRatios, readEach } = (await import(await compiled('bench/core.ts'))) as typeof Core
const { readingRatios } = (await import(await compiled('bench/reading.ts'))) as typeof Reading
const results = [...coreRatios(), ...readingRatios()].map(print)
results.push(print(await shellRatio(readEach)))

await ensureBuilt()
await ensureChromium()
const emptyApp = 'bench/empty-app'
if ((await run(process.execPath, [NEXT, 'build', emptyApp])) !== 0) process.exit(1)
const [ourPort, emptyPort] = [await freePort(4360), await freePort(4370)]
const ours = start([NEXT, 'start', '-p', String(ourPort), '-H', '127.0.0.1'], { YPSOS_DEMO: '1' }, 'ignore')
const empty = start([NEXT, 'start', emptyApp, '-p', String(emptyPort), '-H', '127.0.0.1'], {}, 'ignore')
try {
  const [here, there] = [`http://localhost:${ourPort}`, `http://localhost:${emptyPort}`]
  if (!(await answers(here, ours)) || !(await answers(there, empty)))
    throw new Error('a server did not start')
  for (const each of await firstLoadRatios(here, there)) results.push(print(each))
  for (const each of await usableRatios(here, there, findChromium() ?? 'chromium')) results.push(print(each))
  for (const each of await routeRatios(here)) results.push(print(each))
  results.push(print(await chanceRatio(`${here}/forces?job=demo-frame`, findChromium() ?? 'chromium')))
  results.push(print(await shelfRatio(`${here}/load?job=demo-boat-and-box`, findChromium() ?? 'chromium')))
  for (const each of await shopRatios(here, findChromium() ?? 'chromium')) results.push(print(each))
  for (const each of await yearsRatios(here, findChromium() ?? 'chromium')) results.push(print(each))
  for (const each of await inputRatios(here, findChromium() ?? 'chromium')) results.push(print(each))
  for (const each of await moveRatios(here, findChromium() ?? 'chromium')) results.push(print(each))
  for (const each of await dragRatios(here, findChromium() ?? 'chromium')) results.push(print(each))
  for (const each of await busyDragRatios(here, findChromium() ?? 'chromium')) results.push(print(each))
} finally {
  ours.kill()
  empty.kill()
}
console.log(`${results.filter(Boolean).length} of ${results.length} met`)
