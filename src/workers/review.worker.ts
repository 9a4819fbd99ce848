import { parentPort, workerData } from 'node:worker_threads'
import { answerTo } from './review-answer'
import type { ReviewQuestion } from './review-messages'

parentPort?.postMessage(answerTo(workerData as ReviewQuestion))
