import { cardFindings, type FindingsJob } from './cardFindings'

self.onmessage = ({ data }: MessageEvent<FindingsJob>) => {
  self.postMessage(cardFindings(data))
}
