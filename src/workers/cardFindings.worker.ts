import { type FindingsJob, followCard } from './cardFindings'

const findings = followCard()

self.onmessage = ({ data }: MessageEvent<FindingsJob>) => {
  self.postMessage(findings(data))
}
