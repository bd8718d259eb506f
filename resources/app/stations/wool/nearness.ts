import type { Match } from '../../api/types/answers'
import { t } from '../../lang'

const WORDS: Record<Match['nearness'], string> = {
  same: t('wool.nearness.same'),
  near: t('wool.nearness.near'),
  'seen side by side': t('wool.nearness.seenSideBySide'),
  different: t('wool.nearness.different'),
  'nothing like it': t('wool.nearness.nothingLikeIt'),
}
/** How near a wool comes to a drawn colour, in words. */
export const nearnessWord = (nearness: Match['nearness']) => WORDS[nearness]
