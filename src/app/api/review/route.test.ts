import { reviewReportSchema } from '@/core'
import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { POST } from './route'

const post = (body: BodyInit, headers: Record<string, string> = {}) =>
  POST(new Request('http://localhost/api/review', { method: 'POST', body, headers }))

describe('POST /api/review', () => {
  it('answers a plan with its review', async () => {
    const response = await post(JSON.stringify(boatAndBox))
    expect(response.status).toBe(200)
    const report = reviewReportSchema.parse(await response.json())
    expect(report.states.road.verdict).toBe('stop')
    expect(report.findings[0]?.remedies[0]?.command.do).toBe('setLoad')
  })

  it('answers 400 with the paths of the fields that are wrong', async () => {
    const response = await post(
      JSON.stringify({ ...boatAndBox, vehicle: { ...boatAndBox.vehicle, heightMm: null } }),
    )
    expect(response.status).toBe(400)
    expect(await response.json()).toMatchObject({ problems: [{ path: 'vehicle.heightMm' }] })
    expect((await post('{')).status).toBe(400)
    expect((await post('')).status).toBe(400)
  })

  it('answers 413 over 4 MB, whether the length is announced or not', async () => {
    const large = ' '.repeat(4 * 1024 * 1024 + 1)
    expect((await post(large)).status).toBe(413)
    const stream = new ReadableStream<Uint8Array>({
      start(controller) {
        for (let i = 0; i < 5; i += 1) controller.enqueue(new Uint8Array(1024 * 1024))
        controller.close()
      },
    })
    const request = new Request('http://localhost/api/review', {
      method: 'POST',
      body: stream,
      duplex: 'half',
    } as RequestInit)
    expect((await POST(request)).status).toBe(413)
  })
})
