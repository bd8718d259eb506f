// Made from formats/impa-http-1.openapi.json by npm run types. Do not edit.
import type * as Answers from './answers'

/** What is answered in JSON, by method and path below /api/. */
export interface Routes {
  'GET figures': Answers.CardPage
  'POST figures': Answers.SavedFigure
  [route: `GET figures/${number}`]: Answers.SavedFigure
  [route: `PUT figures/${number}`]: Answers.SavedFigure
  [route: `DELETE figures/${number}`]: void
  [route: `GET figures/${number}/steps`]: Answers.StepsDone
  [route: `PUT figures/${number}/steps/${string}`]: Answers.StepsDone
  [route: `DELETE figures/${number}/steps/${string}`]: Answers.StepsDone
  [route: `PUT figures/${number}/present`]: Answers.StepsDone
  [route: `GET figures/${number}/log`]: Answers.Diary
  [route: `POST figures/${number}/log`]: Answers.Diary
  [route: `POST figures/${number}/log/time`]: Answers.Diary
  [route: `DELETE figures/${number}/log/${string}`]: Answers.Diary
  'GET bin': Answers.CardPage
  'DELETE bin': void
  [route: `POST bin/${number}/restore`]: void
  'POST pictures': Answers.PictureTaken
  'POST edits/split': Answers.Edited
  'POST edits/merge': Answers.Edited
  'POST edits/lasso': Answers.Edited
  'POST edits/to-detail': Answers.Edited
  'POST edits/to-part': Answers.Edited
  'POST edits/remove': Answers.Edited
  'POST edits/double': Answers.Edited
  'POST edits/twin': Answers.Edited
  'POST edits/part-pair': Answers.Edited
  'POST edits/paint': Answers.Edited
  'POST edits/add': Answers.Edited
  'POST edits/mend': Answers.Edited
  'POST edits/axis': Answers.Edited
  'POST edits/depth': Answers.Edited
  'POST edits/wire-point': Answers.Edited
  'POST edits/forwards': Answers.Edited
  'POST edits/take-surer': Answers.Edited
  'POST edits/together': Answers.Edited
  'POST edits/round': Answers.Edited
  'POST edits/height': Answers.Edited
  'POST edits/gather': Answers.Edited
  'POST edits/resize': Answers.Edited
  'POST edits/fasten': Answers.Edited
  'POST edits/put': Answers.Edited
  'GET help': Answers.Help
  'GET help/search': Answers.HelpFound
  'POST help/next': Answers.HelpNext
  'POST balance': import('./balance').BalanceSheet
  'POST number': import('./number').NumberCard
  'POST balance/try': Answers.Pulled
  'POST armature': import('./armature').Armature
  'POST armature/lay': Answers.Pulled
  'POST armature/draw': Answers.Pulled
  'POST build': Answers.Build
  'POST build/school': Answers.SchoolChosen
  'POST build/picture': Answers.StepPicture
  'POST build/pull': Answers.Pulled
  'GET hand': Answers.Hand
  'POST hand': Answers.Hand
  'POST hand/over': Answers.Hand
  [route: `PUT hand/${string}`]: Answers.Hand
  [route: `DELETE hand/${string}`]: Answers.Hand
  [route: `GET figures/${number}/parts`]: Answers.MeasuredParts
  [route: `POST figures/${number}/parts`]: Answers.PartChecked
  [route: `DELETE figures/${number}/parts/${string}`]: Answers.MeasuredParts
  'POST check/follow': Answers.Pulled
  [route: `GET figures/${number}/photos`]: Answers.Photos
  [route: `POST figures/${number}/photos`]: Answers.Photos
  [route: `DELETE figures/${number}/photos/${number}`]: Answers.Photos
  'GET sets': Answers.Sets
  'POST sets': Answers.SetKept
  [route: `GET sets/${number}`]: Answers.SetKept
  [route: `PUT sets/${number}`]: Answers.SetKept
  [route: `DELETE sets/${number}`]: Answers.Sets
  [route: `PUT sets/${number}/aside`]: Answers.SetKept
  [route: `DELETE sets/${number}/aside`]: Answers.SetKept
  'POST set/plan': import('./set-plan').ImpaSetPlan
  [route: `POST figures/${number}/booklet`]: Record<string, unknown>
  'POST booklets': Answers.SavedFigure
  'POST things': Answers.Things
  'POST things/taken': Answers.ThingTaken
  'POST flat': import('./flat').ImpaFlat
  'POST flat/pattern': Answers.SewnPattern
  'POST show': Answers.Shown
  'POST set/shopping': Answers.Shopping
  'POST kit': Answers.KitTold
  'POST set/sittings': Answers.SetSittings
  'POST set/colourways': Answers.ColourwaysTold
  'POST check/camera': Answers.PictureTaken
  'GET mend': Answers.Signs
  'POST mend': Answers.Remedies
  [route: `POST figures/${number}/mends`]: Answers.MendMade
  [route: `GET figures/${number}/revisions`]: Answers.Revisions
  [route: `GET figures/${number}/revisions/${number}`]: Answers.Revision
  [route: `POST figures/${number}/branch`]: Answers.SavedFigure
  [route: `PUT figures/${number}/closing/${string}`]: Answers.Closing
  [route: `GET figures/${number}/closing`]: Answers.Closing
  [route: `PUT figures/${number}/closing`]: Answers.Closing
  'POST schedule': import('./schedule').Schedule
  'POST sizing': Answers.Sizing
  'POST side-view': Answers.SideSeen
  'POST agreement': Answers.Overlay
  [route: `GET pictures/${number}/sheet`]: Answers.SheetFound
  [route: `POST pictures/${number}/sheet`]: Answers.PictureTaken
  'POST breakdown': Answers.Seen
  'POST breakdown/glance': Answers.Glance
  'POST plan': import('./plan').Plan
  'POST board': Answers.Board
  'POST board/turning': Answers.Turning
  'GET trade': Answers.Trade
  'POST face': Answers.FaceGrid
  'POST face/advice': Answers.FaceWork
  'POST face/laying': Answers.Layings
  'POST face/between': Answers.Between
  'POST face/marks': Answers.FaceMarks | Answers.PlacedMarks
  'POST face/keep': Answers.Kept
  'POST face/needles-eye': Answers.NeedlesEye
  'GET face/pieces': Answers.FacePieces
  'POST face/pieces': Answers.PiecePut
  'POST face/copy': Answers.FaceCopied
  'GET needles': Answers.NeedlesAtHand
  'PUT needles': Answers.NeedlesAtHand
  'GET wools': Answers.Wools
  'POST wools': Answers.Wool
  [route: `PUT wools/${number}`]: Answers.Wool
  [route: `DELETE wools/${number}`]: void
  [route: `POST wools/${number}/restore`]: Answers.Wool
  [route: `POST wools/${number}/weighings`]: Answers.Wool
  'POST wool-sheet': Answers.SheetRead
  'POST wool-colour': Answers.ColourTaken
  'POST recipes': Answers.Recipes
  'POST ramp': Answers.Ramp
  'POST swatches': Answers.SwatchKept
  [route: `DELETE swatches/${number}`]: void
  'POST supply': Answers.Supply
  'POST supply/split': Answers.SplitGrams
  'POST supply/shopping': Answers.Shopping
  [route: `GET figures/${number}/wool`]: Answers.FigureWool
  [route: `PUT figures/${number}/wool`]: Answers.FigureWool
  [route: `DELETE figures/${number}/wool`]: Answers.FigureWool
  [route: `POST figures/${number}/wool/finish`]: Answers.FigureWool
  'GET catalogue': Answers.Shapes
  'GET session': Answers.Session
  'POST session': Answers.Session
  'DELETE session': Answers.Session
  'POST password': Answers.Told
  'PUT password': Answers.Told
  'PUT password/own': Answers.Told
  [route: `GET figures/${number}/links`]: Answers.SharedLinks
  [route: `POST figures/${number}/links`]: Answers.SharedLinks
  [route: `DELETE figures/${number}/links/${number}`]: Answers.SharedLinks
  [route: `GET breakdown/${string}`]: Answers.BreakdownAtWork | Answers.Seen | Record<string, unknown>
  [route: `DELETE breakdown/${string}`]: void
  'GET devices': Answers.Devices
  'POST devices/code': Answers.PairingCode
  [route: `DELETE devices/${number}`]: Answers.Devices
  'POST pair': Answers.Paired
  'GET place': Answers.Place
  'PUT place': Answers.Place
  'POST archive/preview': Answers.ArchivePreview
  'GET copies': Answers.CopiesTold
  'POST copies': Answers.CopiesTold
}

/** What is answered as a file. */
export interface Files {
  'POST armature/bend': Blob
  [route: `POST figures/${number}/booklet`]: Blob
  'POST flat/templates': Blob
  'POST flat/pattern/sheet': Blob
  'POST set/shopping': Blob
  'POST kit/labels': Blob
  'POST kit/sheet': Blob
  'POST set/picture': Blob
  'POST check/marker': Blob
  [route: `POST figures/${number}/card`]: Blob
  'POST build/paper': Blob
  'POST schedule/calendar': Blob
  'POST breakdown': Blob
  'POST supply/shopping': Blob
  [route: `GET figures/${number}/render`]: Blob
  [route: `GET pictures/${number}`]: Blob
  [route: `GET pictures/by-hash/${string}`]: Blob
  'POST size-cards': Blob
  'POST face/afar': Blob
  'POST face/sheets': Blob
  'POST render': Blob
  'GET wools.csv': Blob
  'GET wools.gpl': Blob
  'POST supply/portions': Blob
  'GET archive': Blob
  'POST archive': Blob
  'POST model': Blob
  'POST outlines': Blob
}
