import { printPlan } from '@/core/api/files'
import type { Plan } from '@/core/api/plan'
import { yardVan } from '@/demo/plans'
import { gearBag } from '@/demo/gear/cargo'
import { ratio, type Ratio } from './ratio'

const OTHERS_MS = 100
const PAUSE_MS = 20
/** So long the route lets a plan be reviewed, and so long a body may take to come; a second on top is the way there. ms. */
const LONGEST_MS = 11_000

/** A plan with so many things in one place: each touches every other. */
function inOnePlace(count: number): Plan {
  const [like] = yardVan.placements
  if (!like) throw new Error('the van is empty')
  return {
    ...yardVan,
    id: `heap-${count}`,
    gear: [gearBag],
    placements: Array.from({ length: count }, (_, i) => ({
      ...like,
      id: `thing-${i}`,
      gearId: gearBag.id,
      loads: [],
    })),
  }
}

const post = (address: string, body: BodyInit) =>
  fetch(`${address}/api/review?fixes=1`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body,
    duplex: 'half',
  } as RequestInit)

/** What it was answered with, once all of that has come. */
async function answered(address: string, body: BodyInit): Promise<number> {
  const answer = await post(address, body)
  await answer.text()
  return answer.status
}

/** Asks for a page over and over until something is done: what each asking took, shortest first, ms. */
async function waitsFor(address: string, done: Promise<unknown>): Promise<number[]> {
  const waits: number[] = []
  const over = done.then(() => true)
  do {
    const began = performance.now()
    await (await fetch(address)).text()
    waits.push(performance.now() - began)
  } while (!(await Promise.race([over, new Promise<false>((go) => setTimeout(go, PAUSE_MS, false))])))
  return waits.toSorted((a, b) => a - b)
}

/** What the route does with heaps of things, with many at once and with a body that never ends, and how long a page waits meanwhile. */
export async function routeRatios(address: string): Promise<Ratio[]> {
  const ratios: Ratio[] = []
  const meanwhile = async (what: string, work: Promise<string>) => {
    const began = performance.now()
    const waits = await waitsFor(address, work)
    const took = Math.round(performance.now() - began)
    const [most, usual] = [waits.at(-1) ?? 0, waits[Math.floor(waits.length * 0.95)] ?? 0]
    ratios.push(
      ratio(
        `a page while ${what} (${await work}, in ${took} ms): 95th percentile of ${waits.length}, at most ${Math.round(most)} ms; against ${OTHERS_MS} ms`,
        usual / OTHERS_MS,
        1,
      ),
    )
    return took
  }
  const few = printPlan(inOnePlace(4))
  // The first thread and the first pages are slow in any server that has just started.
  await Promise.all([answered(address, few), waitsFor(address, new Promise((go) => setTimeout(go, 2000)))])
  for (const count of [10, 100, 1000]) {
    const took = await meanwhile(
      `${count} things in one place are reviewed with their fixes`,
      answered(address, printPlan(inOnePlace(count))).then(String),
    )
    ratios.push(ratio(`the same until it is answered, against ${LONGEST_MS} ms`, took / LONGEST_MS, 1))
  }
  await meanwhile(
    '200 such plans of four come at once',
    Promise.all(Array.from({ length: 200 }, () => answered(address, few))).then((answers) => {
      const counts = new Map<number, number>()
      for (const status of answers) counts.set(status, (counts.get(status) ?? 0) + 1)
      return [...counts].map(([status, count]) => `${count} × ${status}`).join(', ')
    }),
  )
  const neverEnds = new ReadableStream<Uint8Array>({
    start: (controller) => controller.enqueue(new TextEncoder().encode('{')),
  })
  const took = await meanwhile(
    'a body never ends',
    post(address, neverEnds).then(
      ({ status }) => String(status),
      () => 'cut off',
    ),
  )
  ratios.push(ratio(`the same until it is answered, against ${LONGEST_MS} ms`, took / LONGEST_MS, 1))
  return ratios
}
