import { englishFigure, type FigureWords } from './en/figureWords'

/** What is said of figures, in the language of the screens; a page that draws none does not load it. */
export const FIGURE: FigureWords = englishFigure
