import { followWords, type WordsJob } from './words'

const words = followWords()

self.onmessage = ({ data }: MessageEvent<WordsJob>) => {
  self.postMessage(words(data))
}
