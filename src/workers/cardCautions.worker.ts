import { cardCautions, type CardCautionsJob } from './cardCautions'

/** What was told last, so that the page is not drawn again for the same at each pause. */
let last = ''

self.onmessage = ({ data }: MessageEvent<CardCautionsJob>) => {
  const answer = cardCautions(data)
  // Ways out are asked for by hand: whoever asks again is told again.
  if (data.ask === 'ways') {
    self.postMessage(answer)
    return
  }
  const text = JSON.stringify(answer)
  self.postMessage(text === last ? {} : answer)
  last = text
}
