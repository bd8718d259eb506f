import api from './api.json'
import away from './away.json'
import build from './build.json'
import check from './check.json'
import common from './common.json'
import devices from './devices.json'
import drawing from './drawing.json'
import face from './face.json'
import hand from './hand.json'
import house from './house.json'
import seeing from './seeing.json'
import sets from './sets.json'
import shapes from './shapes.json'
import shared from './shared.json'
import shelf from './shelf.json'
import shell from './shell.json'
import stash from './stash.json'
import state from './state.json'
import wool from './wool.json'

export default {
  ...api,
  ...away,
  ...build,
  ...check,
  ...common,
  ...devices,
  ...drawing,
  ...face,
  ...hand,
  ...house,
  ...seeing,
  ...sets,
  ...shapes,
  ...shared,
  ...shelf,
  ...shell,
  ...stash,
  ...state,
  ...wool,
}
