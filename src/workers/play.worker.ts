import { player, type PlayJob } from './play'

const play = player()

self.onmessage = ({ data }: MessageEvent<PlayJob>) => {
  const answer = play(data)
  if (answer) self.postMessage(answer)
}
