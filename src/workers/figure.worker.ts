import { type FigureJob, workFigure } from './figure'

self.onmessage = ({ data }: MessageEvent<FigureJob>) => {
  self.postMessage(workFigure(data))
}
