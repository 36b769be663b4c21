import { type CautionsJob, followDeck } from './deckCautions'

const follow = followDeck()
self.onmessage = ({ data }: MessageEvent<CautionsJob>) => {
  follow(data, (answer) => self.postMessage(answer))
}
