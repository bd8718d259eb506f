import { t } from '../../../lang'

/** What a press on the board does. */
export type Tool = 'choose' | 'cut' | 'lasso' | 'pick'

/** What is shown of the drawing and the figure over each other. */
export type Compare = 'drawing' | 'flat' | 'slider' | 'difference'

export const compares: { title: string; value: Compare }[] = [
  { title: t('shapes.tools.outlines'), value: 'drawing' },
  { title: t('shapes.tools.flatColours'), value: 'flat' },
  { title: t('shapes.tools.slider'), value: 'slider' },
  { title: t('shapes.tools.differences'), value: 'difference' },
]

export const hints: Record<Tool, string> = {
  choose: '',
  cut: t('shapes.tools.drawALineRightAcross'),
  lasso: t('shapes.tools.drawRoundAStretchOf'),
  pick: t('shapes.tools.clickAPlaceInThe'),
}
