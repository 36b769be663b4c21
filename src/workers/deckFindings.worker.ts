import { deckFindings, type DeckJob } from './deckFindings'

self.onmessage = ({ data }: MessageEvent<DeckJob>) => {
  deckFindings(data, (answer) => self.postMessage(answer))
}
