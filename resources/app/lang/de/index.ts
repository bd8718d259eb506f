import build from './build.json'
import check from './check.json'
import common from './common.json'
import drawing from './drawing.json'
import face from './face.json'
import hand from './hand.json'
import help from './help.json'
import house from './house.json'
import sets from './sets.json'
import shapes from './shapes.json'
import shelf from './shelf.json'
import shell from './shell.json'
import stash from './stash.json'
import wool from './wool.json'

export default {
  ...build,
  ...check,
  ...common,
  ...drawing,
  ...face,
  ...hand,
  ...help,
  ...house,
  ...sets,
  ...shapes,
  ...shelf,
  ...shell,
  ...stash,
  ...wool,
}
