'use client'
import { useEffect, useState } from 'react'
import { type Bounds, USUAL, WorkerClient } from '@/workers/worker-client'

/** A client of a worker that lives as long as what asks it is shown. */
export function useWorkerClient<Question, Answer>(
  start: () => Worker,
  bounds: Bounds = USUAL,
): WorkerClient<Question, Answer> {
  const [client] = useState(() => new WorkerClient<Question, Answer>(start, bounds))
  useEffect(() => () => client.end(), [client])
  return client
}
