'use client'
import { useEffect, useState } from 'react'
import { WorkerClient } from '@/workers/worker-client'

/** A client of a worker that lives as long as what asks it is shown. */
export function useWorkerClient<Question, Answer>(start: () => Worker): WorkerClient<Question, Answer> {
  const [client] = useState(() => new WorkerClient<Question, Answer>(start))
  useEffect(() => () => client.end(), [client])
  return client
}
