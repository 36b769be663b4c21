import { cardCautions, type CardCautionsJob } from './cardCautions'

self.onmessage = ({ data }: MessageEvent<CardCautionsJob>) => {
  self.postMessage(cardCautions(data))
}
