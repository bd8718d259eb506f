/** What a press on the board does. */
export type Tool = 'choose' | 'cut' | 'lasso' | 'pick'

/** What is shown of the drawing and the figure over each other. */
export type Compare = 'drawing' | 'flat' | 'slider' | 'difference'

export const compares: { title: string; value: Compare }[] = [
  { title: 'Outlines', value: 'drawing' },
  { title: 'Flat colours', value: 'flat' },
  { title: 'Slider', value: 'slider' },
  { title: 'Differences', value: 'difference' },
]

export const hints: Record<Tool, string> = {
  choose: '',
  cut: 'Draw a line right across the chosen part to make two of it.',
  lasso: 'Draw round a stretch of the drawing to make a part of it.',
  pick: 'Click a place in the drawing: the chosen parts take its colour.',
}
