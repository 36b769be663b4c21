import { deckLevels, type LevelsJob } from './deckLevels'

self.onmessage = ({ data }: MessageEvent<LevelsJob>) => {
  deckLevels(data, (answer) => self.postMessage(answer))
}
