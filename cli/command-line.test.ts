import { assess } from '../src/core/api/assess'
import { bayReportSchema, printPlan, reviewReportSchema, surveyReportSchema } from '../src/core/api/files'
import { METRIC, type Plan, type Rating, STATES } from '../src/core/api/plan'
import { partsCheck } from '../src/core/api/fit'
import { spawn } from 'node:child_process'
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import { describe, expect, inject, it } from 'vitest'
import { mutated } from '@/core/formats/mutate.testing'
import { boatAndBox, DEMO_PLANS, firstBike, twinSpan } from '@/demo/plans'
import { DEMO_PARTS } from '@/demo/racks'
import { runCommandLine } from './command-line'
import { reportFile } from './assess-file'
import { reportFiles } from './report-files'
import { runs } from '@/core/runs.testing'

const FILES: Readonly<Record<string, string>> = {
  'stop.json': printPlan(boatAndBox),
  'clear.json': printPlan(twinSpan),
  'find-out.json': printPlan(firstBike),
  'bad.json': printPlan(boatAndBox).replace('"lengthMm": 4720', '"lengthMm": "long"'),
  'torn.json': '{"format":',
}

async function run(args: string[], files = FILES) {
  const out: string[] = []
  const err: string[] = []
  const read = (path: string) =>
    path in files ? Promise.resolve(files[path]!) : Promise.reject(new Error('no such file'))
  const code = await runCommandLine(args, {
    read,
    tell: (paths, asked) => reportFiles(paths, asked, read),
    out: (line) => out.push(line),
    err: (line) => err.push(line),
  })
  return { code, out: out.join('\n'), err: err.join('\n') }
}

describe('ypsos bay', () => {
  const event = (of: object, turn: number) => ({
    id: `e${turn}`,
    at: '2027-03-12T09:00:00Z',
    vehicleId: boatAndBox.car.id,
    jobId: boatAndBox.id,
    turn,
    ...of,
  })
  const log = (...events: object[]) =>
    JSON.stringify({ format: 'ypsos-log', version: 1, events: events.map((each, i) => event(each, i + 1)) })
  const over = {
    kind: 'torqued',
    jointId: 'wing/wing-feet:0',
    what: 'rail clamps',
    spot: 'LHF',
    pass: 1,
    percent: 50,
    nm: 19,
  }
  const files = {
    ...FILES,
    'counted.json': log(
      ...partsCheck(assess(boatAndBox).survey).lines.map(({ id, what, count }) => ({
        kind: 'counted',
        lineId: id,
        what,
        count,
      })),
      { kind: 'stepDone', stepId: 'job/count', title: 'Count' },
    ),
    'ticked.json': log({ kind: 'stepDone', stepId: 'job/count', title: 'Count' }),
    'over.json': log(over),
    'short.json': log({ kind: 'counted', lineId: 'wing-feet', what: 'Rail feet', count: 3 }),
    'off.json': log({
      kind: 'answered',
      stepId: 'prove/doors',
      title: 'Open every door',
      answer: 'putOff',
      reason: 'Too near the wall',
      by: 'Wren',
    }),
    'no-log.json': '{"format":"ypsos-log","version":1,"events":[{"kind":"fitted"}]}',
  }
  const bay = (...args: string[]) => run(['bay', 'stop.json', ...args], files)

  it('says what is next, what holds it and what is left for one and for two', async () => {
    const { out, code } = await bay()
    expect(code).toBe(2)
    expect(out).toMatch(/^.*\. 0 of \d+ steps are done; about \d h \d+ min left, \d h \d+ min for two/)
    expect(out).toContain('Next: Lay out and count the parts')
    expect(out).toContain('Count every line first')
    expect((await bay('--log=counted.json')).out).toContain('1 of ')
    // A tick that nothing was counted for does nothing.
    expect((await bay('--log=ticked.json')).out).toContain('0 of ')
  })

  it('says what is over, and what was put off', async () => {
    expect((await bay('--log=over.json')).code).toBe(1)
    expect((await bay('--log=short.json')).code).toBe(1)
    expect((await bay('--log=off.json')).out).toContain('Put off: Open every door')
  })

  it('prints it as its schema has it', async () => {
    const { out } = await bay('--log=counted.json', '--json')
    const report = bayReportSchema.parse(JSON.parse(out))
    expect(report.steps.filter(({ state }) => state === 'done').map(({ id }) => id)).toEqual(['job/count'])
    expect(report.done).toBe(1)
  })

  it('names what is wrong with a log or a call', async () => {
    expect(await bay('--log=torn.json')).toMatchObject({ code: 3, err: expect.stringContaining('not JSON') })
    expect(await bay('--log=no-log.json')).toMatchObject({ code: 3, err: expect.stringContaining('events') })
    expect(await bay('--log=none.json')).toMatchObject({
      code: 3,
      err: expect.stringContaining('cannot be opened'),
    })
    expect((await bay('--stock=x')).code).toBe(3)
    expect((await run(['bay', 'stop.json', 'clear.json'])).code).toBe(3)
    expect((await run(['bay', 'bad.json'])).code).toBe(3)
  })
})

describe('ypsos review', () => {
  it.each([
    ['clear.json', 0],
    ['stop.json', 1],
    ['find-out.json', 2],
    ['bad.json', 3],
    ['torn.json', 3],
    ['none.json', 3],
  ])('%s exits with %i', async (file, code) => {
    expect((await run(['review', file])).code).toBe(code)
  })

  it('says what governs, what to do and what to mind', async () => {
    const { out } = await run(['review', 'stop.json'])
    expect(out).toContain('Road: Stop (Roof, 6.4 kg over)')
    expect(out).toContain('Box contents to 19 kg')
    expect(out).toContain('Caution: Never exceed the lowest rating')
    expect((await run(['review', 'stop.json', '--us'])).out).toContain('14.2 lb over')
  })

  it('names the field and the fix of a file that cannot be read', async () => {
    expect((await run(['review', 'bad.json'])).err).toBe('bad.json: vehicle.lengthMm should be a number.')
    expect((await run(['review', 'torn.json'])).err).toContain('plan is not JSON')
    expect((await run(['review', 'none.json'])).err).toContain('plan cannot be opened: no such file')
  })

  it('takes many files, a line each, and exits with the worst', async () => {
    const many = await run(['review', 'clear.json', 'stop.json', 'find-out.json'])
    expect(many.out.split('\n')).toHaveLength(3)
    expect(many.code).toBe(1)
    expect((await run(['review', 'clear.json', 'find-out.json'])).code).toBe(2)
    expect((await run(['review', 'stop.json', 'torn.json'])).code).toBe(3)
  })

  it('prints JSON that its schema describes', async () => {
    const one = await run(['review', 'stop.json', '--json'])
    expect(reviewReportSchema.parse(JSON.parse(one.out)).verdict).toBe('stop')
    const survey = await run(['survey', 'stop.json', '--json'])
    expect(surveyReportSchema.parse(JSON.parse(survey.out)).plan.name).toBe('A boat and the long box')
    const two = await run(['review', 'stop.json', 'clear.json', '--json'])
    expect(JSON.parse(two.out)).toHaveLength(2)
  })

  it('proposes parts only from the stock it is given', async () => {
    const files = { ...FILES, 'parts.json': JSON.stringify(DEMO_PARTS), 'no-parts.json': '[{}]' }
    expect((await run(['review', 'find-out.json'], files)).out).not.toContain('Change to')
    expect((await run(['review', 'find-out.json', '--stock=parts.json'], files)).out).toContain(
      'Change to Door-frame feet, heavy',
    )
    expect(await run(['review', 'stop.json', '--stock=no-parts.json'], files)).toMatchObject({
      code: 3,
      out: '',
    })
    expect((await run(['review', 'stop.json', '--stock=gone.json'], files)).err).toContain(
      'gone.json: parts cannot be opened',
    )
  })

  it('says of a bare rack what its roof says: over its figure 1, without a figure 2, no rack at all 0', async () => {
    const bare = (kg: number | undefined, racks = true): Plan => ({
      ...boatAndBox,
      racks: racks ? boatAndBox.racks : [],
      placements: [],
      vehicle: {
        ...boatAndBox.vehicle,
        roof: {
          ...boatAndBox.vehicle.roof,
          ratings: STATES.flatMap((state): Rating[] =>
            kg === undefined
              ? []
              : [{ id: state, state, kg, per: 'set', counts: 'everything', source: { kind: 'manual' } }],
          ),
        },
      },
    })
    const files = {
      'over.json': printPlan(bare(5)),
      'unrated.json': printPlan(bare(undefined)),
      'none.json': printPlan(bare(5, false)),
    }
    const over = await run(['review', 'over.json'], files)
    expect(over.code).toBe(1)
    expect(over.out).toMatch(/Road: Stop \(Roof, \d+(\.\d)? kg over\)/)
    expect((await run(['review', 'unrated.json'], files)).code).toBe(2)
    const none = await run(['review', 'none.json'], files)
    expect(none).toMatchObject({ code: 0 })
    expect(none.out).toContain('Nothing planned')
    const json = reviewReportSchema.parse(
      JSON.parse((await run(['review', 'none.json', '--json'], files)).out),
    )
    expect(json).toMatchObject({ planned: false, verdict: 'unplanned' })
    const cleared = reviewReportSchema.parse(JSON.parse((await run(['review', 'clear.json', '--json'])).out))
    expect(cleared.notLookedAt).toContain('bar-bending')
    expect((await run(['review', 'clear.json'])).out).toContain('Not looked at: bending')
  })

  it('ends quietly when whoever reads has seen enough (S8)', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'ypsos-'))
    const file = join(folder, 'plan.json')
    await writeFile(file, printPlan(boatAndBox))
    const ended = await new Promise<{ code: number | null; err: string }>((resolve) => {
      const child = spawn(process.execPath, ['cli/bin.mjs', 'review', file])
      let err = ''
      child.stderr.on('data', (chunk: Buffer) => {
        err += chunk.toString()
      })
      child.stdout.destroy()
      child.on('close', (code) => {
        resolve({ code, err })
      })
    })
    await rm(folder, { recursive: true })
    expect(ended.err).toBe('')
    expect([0, 1]).toContain(ended.code)
  })

  it('explains itself when it is called wrongly', async () => {
    expect(await run([])).toMatchObject({ code: 3, out: '' })
    expect((await run(['review'])).err).toContain('Usage')
    expect((await run(['review', 'stop.json', '--loud'])).err).toContain('--loud is no known option')
  })

  it('meets damaged files (10 000 in the deep run) with an exit code and words, never with an error of its own', async () => {
    const codes = new Set<number>()
    const dice = fc.array(fc.nat(), { minLength: 3, maxLength: 7 })
    const plan = fc.nat(DEMO_PLANS.length - 1)
    await fc.assert(
      fc.asyncProperty(plan, dice, plan, fc.option(dice), async (one, first, other, second) => {
        const files = {
          'x.json': mutated(printPlan(DEMO_PLANS[one]!), first),
          // Now and then the other is whole: few damaged ones still read, and two of them hardly ever.
          'y.json': second ? mutated(printPlan(DEMO_PLANS[other]!), second) : printPlan(DEMO_PLANS[other]!),
        }
        const { code, out, err } = await run(['review', 'x.json', 'y.json'], files)
        codes.add(code)
        const lines = [...out.split('\n'), ...err.split('\n')].filter((line) => line !== '')
        expect(lines).toHaveLength(2)
        for (const line of lines) expect(line).toMatch(/^[xy]\.json: (.*Road:|[a-z][A-Za-z0-9[\]._-]*[ :])/s)
        expect(code === 3).toBe(err !== '')
      }),
      { numRuns: Math.max(150, runs(5000)) },
    )
    expect(codes).toContain(3)
    expect(codes.size).toBeGreaterThan(1)
  })
})

describe('many files', () => {
  it.runIf(inject('deep'))(
    'are judged by as many threads as there are, and said in their order',
    async () => {
      const folder = await mkdtemp(join(tmpdir(), 'ypsos-many-'))
      try {
        const files = Array.from({ length: 230 }, (_, i) => join(folder, `${i}.json`))
        for (const [i, file] of files.entries())
          await writeFile(file, i === 117 ? '{"format":' : printPlan(DEMO_PLANS[i % DEMO_PLANS.length]!))
        const asked = { verb: 'review', json: false, choice: METRIC, parts: [], many: true } as const
        const read = (path: string) => readFile(path, 'utf8')
        const outputs = []
        for await (const each of reportFiles(files, asked, read)) outputs.push(each)
        const alone = []
        for (const file of files) alone.push(await reportFile(file, asked, read))
        expect(outputs).toEqual(alone)
        expect(outputs[117]?.code).toBe(3)
      } finally {
        await rm(folder, { recursive: true, force: true })
      }
    },
  )
})
