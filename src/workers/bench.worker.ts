import { type BenchAsked, benchWorker } from './bench'

const hear = benchWorker(
  (told) => self.postMessage(told),
  (work) => setTimeout(work)
)

self.onmessage = ({ data }: MessageEvent<BenchAsked>) => hear(data)
