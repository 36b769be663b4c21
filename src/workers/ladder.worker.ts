import { type LadderJob, ladderWork } from './ladder'

self.onmessage = ({ data }: MessageEvent<LadderJob>) => {
  self.postMessage(ladderWork(data))
}
