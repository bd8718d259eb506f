<?php

declare(strict_types=1);

return [
    'changed-elsewhere' => 'Changed elsewhere',
    'archive-refused' => 'This archive is not taken in',
    'record-refused' => 'This record is not kept',
    'log-controller' => [
        'this-stretch-of-work' => 'This stretch of work ends before it begins: the clock of this device was set meanwhile.',
        'the-clock-of-this' => 'The clock of this device is ahead: set it. What you worked is kept, and counted later.',
        'a-photo' => 'A photo is a picture that was taken in before: choose it again.',
    ],
    'closing-controller' => [
        'at-most-letters-what' => 'At most {longest} letters: what matters most for the next one.',
        'what-to-change-next' => 'What to change next time',
    ],
    'hand-controller' => [
        'a-piece' => 'A piece is a ball, a sausage, or another shape.',
        'is-a-number-above' => '{name} is a number above 0.',
    ],
    'mend-controller' => [
        'a-mend-has' => 'A mend has a name of its own, and says in a few words what was done.',
    ],
    'part-check-controller' => [
        'this-piece' => 'This piece',
    ],
    'photo-check-controller' => [
        'a-ruler-is-known' => 'A ruler is known by two places on it.',
        'a-view-is-front' => 'A view is front, side, back or top.',
    ],
    'face-controller' => [
        'the-member-points-must' => 'The member "points" must be two points [x, y] in mm.',
        'one-of-the-two' => 'One of the two places is not on the part as seen from the front.',
        'a-detail-is-kept' => 'A detail is kept "drawn" or in "size".',
    ],
    'face-picture-controller' => [
        'templates-come-as-pdf' => 'Templates come as pdf or svg.',
    ],
    'needle-controller' => [
        'the-box-of-needles' => 'The box of needles',
        'each-gauge-and-kind' => 'Each gauge and kind stands in the box once.',
    ],
    'archive-controller' => [
        'the-file-is-larger' => 'The file is larger than 2 GB, or there is no room for it.',
    ],
    'device-controller' => [
        'impa-answers-on-this' => 'Impa answers on this machine alone. Start it with bin/demo --share, then pair.',
        'a-tablet' => 'A tablet',
    ],
    'password-controller' => [
        'if-this-address' => 'If this address is known here, a letter with a link is on its way. The link holds for an hour.',
        'the-password-is-chosen' => 'The password is chosen. Sign in with it.',
        'too-many-wrong-tries' => 'Too many wrong tries. Wait a quarter of an hour, or choose a new one by a letter.',
        'the-old-password' => 'The old password is not right.',
        'the-password-is-changed' => 'The password is changed. Other devices are signed out.',
        'this-link-is-over' => 'This link is over, or was used already. Ask for another one.',
    ],
    'session-controller' => [
        'too-many-wrong-tries' => 'Too many wrong tries. Wait {minutes} minutes, or choose a new password by a letter.',
        'wrong-email-or-password' => 'Wrong email or password. Capitals count in the password.',
        'nobody-signs-in-here' => 'Nobody signs in here: this Impa is for who sits at the machine.',
    ],
    'kit-controller' => [
        'a-kit' => 'A kit',
    ],
    'set-controller' => [
        'this-set-was-changed' => 'This set was changed in another window meanwhile: open it anew.',
        'what-this-set-has' => 'What this set has set aside',
        'colourways-go-by-hue' => 'Colourways go by hue, swap or stash.',
        'a-picture' => 'A picture',
        'this-figure-is-not' => 'This figure is not on the shelf any more.',
    ],
    'show-controller' => [
        'a-figure-is-shown' => 'A figure is shown in a jar or pot, on a hook, ring, clip or cushion, as a brooch or in a house.',
    ],
    'breakdown-controller' => [
        'three-of-your-drawings' => 'Three of your drawings are being seen already. Wait for one of them.',
        'waiting-its-turn' => 'Waiting its turn',
    ],
    'edit-controller' => [
        'the-member-shape' => 'The member "shape" is no shape of the catalogue.',
        'the-member-kind' => 'The member "kind" is part or detail.',
    ],
    'flat-controller' => [
        'templates-come-as-pdf' => 'Templates come as pdf or svg.',
    ],
    'picture-controller' => [
        'the-file-is-larger' => 'The file is larger than 30 MB. Save the picture smaller: 1000 pixels across are plenty.',
    ],
    'size-cards-controller' => [
        'size-cards-come' => 'Size cards come as pdf or svg.',
    ],
    'thing-controller' => [
        'a-thing-is-held' => 'A thing is held, worn or beside.',
    ],
    'booklet-controller' => [
        'this-figure-has-no' => 'This figure has no drawing that could be put in.',
    ],
    'figure-controller' => [
        'the-picture-of-this' => 'The picture of this figure is not here. Choose the picture again.',
        'changed-elsewhere' => 'Changed elsewhere',
        'this-figure-was-changed' => 'This figure was changed in another window since you opened it. Nothing of yours is lost: keep yours, or take the other.',
    ],
    'history-controller' => [
        'the-new-figure-wants' => 'The new figure wants a name of at most 120 letters.',
        'this-revision-is-not' => 'This revision is not kept any more.',
        'this-revision-cannot-be' => 'This revision cannot be read by the rules of today.',
    ],
    'model-controller' => [
        'a-view-is-front' => 'A view is front, side, back or top.',
    ],
    'render-controller' => [
        'a-view-is-front' => 'A view is front, side, back or top.',
    ],
    'shared' => [
        'alt' => '{name}, from the front',
        'is' => '{height} high, of {parts, plural, one {# shape} other {# shapes}}.',
        'takes' => 'It takes about {wool} of wool and {time} of work by hand, in {steps, plural, one {# step} other {# steps}}.',
        'take' => 'Take the figure with you',
        'then' => 'drop the file on the shelf of your own Impa.',
    ],
    'shared-link-controller' => [
        'this-figure-is-shared' => 'This figure is shared by 20 links already. End one of them first.',
    ],
    'sizing-controller' => [
        'the-member' => 'The member "by" is one of height, part and object.',
    ],
    'figure-wool-controller' => [
        'what-this-figure-has' => 'What this figure has set aside',
    ],
    'recipe-controller' => [
        'a-mix' => 'A mix is of one to three wools, for 0 g or more.',
        'a-ramp-has-2' => 'A ramp has 2 to {mostSteps} steps.',
        'a-swatch' => 'A swatch is of two or three wools of the stash, each with its share.',
    ],
    'stash-table-controller' => [
        'the-stash-is-read' => 'The stash is read from csv or gpl.',
    ],
    'supply-controller' => [
        'a-shopping-list-comes' => 'A shopping list comes as json, pdf or csv.',
    ],
    'wool-colour-controller' => [
        'the-card-is-grey' => 'The card is grey, white or none.',
    ],
    'wool-controller' => [
        'twice-the-same-wool' => 'Twice the same wool',
        'this-wool-has-faults' => 'This wool has faults',
    ],
    'bounded-body' => [
        'too-large' => 'Too large',
    ],
    'known-felter' => [
        'somebody-else-has-signed' => 'Somebody else has signed in here since you opened this page. Sign in again: what you did waits for you.',
    ],
    'only-this-machine' => [
        'not-paired' => 'Not paired',
        'this-device-is-not' => 'This device is not paired, or was sent away. Pair it where Impa runs: House, Pair a tablet.',
    ],
    'supply-request' => [
        'the-sample-shop' => 'The sample shop is open, slow, sold-out or closed.',
    ],
    'record' => [
        'it-ends-before' => 'It ends before it begins.',
    ],
    'store-trouble' => [
        'another-program-holds-impas' => "Another program holds Impa's store, and does not let go. This was not done; try again in a moment.",
        'impa-may-not-write' => 'Impa may not write to its own folder (storage). This was not done. Give it leave to write there, then try again.',
        'the-disk-is-full' => 'The disk is full, or does not take what is written. This was not done. Make room, then try again.',
        'impas-store-does-not' => "Impa's store does not answer. This was not done; try again in a moment.",
    ],
    'archive-reader' => [
        'this-archive-holds-more' => 'This archive holds more than a million files.',
        'in-it-is-nothing' => '"{name}" in it is nothing that Impa packs.',
        'in-it-unpacks' => '"{name}" in it unpacks to more than such a file may hold.',
        'in-it-is-damaged' => '"{name}" in it is damaged: it is not what the manifest says.',
        'in-it-holds-more' => '"{name}" in it holds more than anybody has written down.',
        'in-it-cannot-be' => '"{name}" in it cannot be read.',
        'this-archive-was-made' => 'This archive was made by a newer Impa than this one. Bring this one up to date first.',
        'this-archive-is-not' => 'This archive is not whole: its files are not those of its manifest.',
        'in-it-cannot-be-2' => '"{name}" in it cannot be unpacked.',
    ],
    'incoming' => [
        'laying-figures' => 'Laying figures on the shelf',
        'sets-needles-hand' => 'Sets, needles, hand',
        'a-figure' => 'A figure in it is none: {why}',
        'taking-pictures' => 'Taking pictures in',
        'in-it-is-no' => '"{name}" in it is no picture: {why}',
    ],
    'incoming-stash' => [
        'the-wool' => 'The wool "{name}" in it has faults: {implode}',
    ],
    'passwords' => [
        'a-password-has' => 'A password has at least {least} letters: four or five words are easy to keep.',
        'a-password-has-2' => 'A password has at most {most} letters.',
        'this-password' => 'This password is a few letters over and over. Take several words.',
        'your-own-name' => 'Your own name or address is the first that is tried. Take other words.',
        'this-password-2' => 'This password is on every list of those that are tried first. Take other words.',
    ],
    'figure-set' => [
        'figure-say-which-figure' => 'Figure {i}: say which figure of the shelf is meant ("figure", its number).',
        'figure-its-count' => 'Figure {i}: its count is a whole number, its height a number of mm.',
        'figure-of-the-set' => 'Figure {at} of the set is not on the shelf any more: take it out of the set.',
        'figure-of-the-set-2' => 'Figure {at} of the set: its colours are hex by key.',
    ],
    'picture' => [
        'this-picture-is-not' => 'This picture is not here any more. Choose it again.',
        'the-file-of-this' => 'The file of this picture is not here any more. Choose it again.',
    ],
    'pairing' => [
        'twenty-devices-are-paired' => 'Twenty devices are paired already. Send one away first: House.',
    ],
    'body' => [
        'the-request-is-not' => 'The request is not readable as JSON.',
        'the-request-must-be' => 'The request must be a JSON object.',
        'the-member-document' => 'The member "document" with the figure is missing.',
        'the-paper-is-a4' => 'The paper is a4 or letter.',
        'the-reserve-is-one' => 'The reserve is one of again, usual and never.',
        'the-member-must-hold' => 'The member "{name}" must hold numbers by name.',
        'the-member-must-be' => 'The member "{name}" must be a whole number.',
        'the-member-must-lie' => 'The member "{name}" must lie between -{most} and {most}.',
        'the-member-must-be-2' => 'The member "{name}" must be a number.',
        'the-member-must-be-3' => 'The member "{name}" must be a text.',
        'the-text-holds' => 'The text "{name}" holds a character that no keyboard types (U+0000): type it anew.',
        'the-member-must-be-4' => 'The member "{name}" must be a list of texts.',
        'the-member-must-be-5' => 'The member "{name}" must be a list of points [x, y], two at least.',
        'the-member-must-be-6' => 'The member "{name}" must be an object.',
        'the-member-must-be-7' => 'The member "{name}" must be a list of objects.',
        'the-member' => 'The member "{name}": {why}',
        'the-member-must-lie-2' => 'The member "{name}" must lie between 0 and 1.',
        'the-member-must-hold-2' => 'The member "{name}" must hold 1 to 60 numbers, none below 0, none above a million.',
        'the-file-is-empty' => 'The file is empty, or did not come through whole. Choose it again.',
        'the-file-is-larger' => 'The file is larger than {most} MB.',
    ],
    'problem' => [
        'the-store-cannot-be' => 'The store cannot be written to',
        'not-found' => 'Not found',
        'beyond-what-is-kept' => 'Beyond what is kept',
        'a-number-in-this' => 'A number in this is too large to be kept, or a text holds what is no letter: write it anew.',
        'the-page-is-too' => 'The page is too old',
        'this-page-has-been' => 'This page has been open too long. Load it again; what you typed is kept.',
        'not-done-this-way' => 'Not done this way',
        'something-broke' => 'Something broke',
        'not-understood' => 'Not understood',
        'too-large' => 'Too large',
    ],
    'stale' => [
        'was-changed-in-another' => '{what} was changed in another window since you opened it. Keep yours, or take the other.',
    ],
    'refused' => [
        'labels' => 'Labels are {known}.',
        'scripts' => 'Impa needs scripts to be switched on: everything it shows is drawn by them.',
        'no-part' => 'There is no such part in this figure.',
        'no-detail' => 'There is no such detail in this figure.',
        'gone' => 'There is nothing here under this number. It may have been thrown away for good.',
        'asked-by' => 'This address is asked by {method}.',
        'another-method' => 'another method',
        'no-address' => 'There is nothing under this address.',
        'broke' => 'Something in Impa broke, and this was not done. The log says more.',
        'missing' => 'Something is missing',
        'refused' => 'Refused',
        'pictures-full' => 'Your pictures take {taken} MB of the {most} MB you have here. Empty the bin, drop old photos, or ask for more.',
        'nothing-taken-in' => ' Nothing was taken in.',
        'no-zip' => 'This is no ZIP file, or it is cut off: its end is missing. Fetch it once more.',
        'no-manifest' => 'This is a ZIP file, but no archive of Impa: it has no manifest.',
        'record-is-none' => 'A record in it ({which}) is none: {faults}',
        'keep-or-replace' => 'What is here already is kept (keep), replaced (replace), or laid beside (both).',
        'seeing-ended' => 'The break-down was ended in the middle. Try once more; the picture is kept.',
        'seeing-lost' => 'What breaks drawings down was ended in the middle. Try once more in a moment; the picture is kept.',
        'no-code' => 'There is no code to pair by just now. Ask for a new one where Impa runs: House, Pair a tablet.',
        'wrong-code' => 'This is not the code. Look again; after five wrong tries it is over.',
        'no-record' => 'There is no such record any more.',
        'no-kind' => 'There is nothing of that kind to look at.',
        'no-sign' => 'There is no such sign: choose one from the list.',
        'mend-takes' => 'A mend takes {least} to {most} of wool.',
        'no-parts' => 'There is nothing to photograph: the figure has no parts yet.',
        'records-aside' => 'What is set aside of your records',
        'firmness' => 'A piece is {known}.',
        'twin-wool' => 'There is another "{name}" in the stash by now. Give that one another name first.',
        'stitch' => 'A stitch is one of {known}.',
        'not-on-device' => 'This is done where Impa runs, not on a paired device.',
        'no-page' => 'This is no page of a figure.',
        'no-step-saved' => 'There is no such step in the plan of this figure as it is saved.',
        'clock-ran-on' => 'The clock ran on for {hours} hours without a break: it was forgotten. Say how many minutes you worked.',
        'no-step-key' => 'This is no key of a step.',
        'no-step' => 'There is no such step in this figure.',
        'gauges' => 'Needles are sold in the gauges {known}.',
        'no-part-other' => 'There is no such part in the other figure.',
        'afar' => 'It is looked at from {near} to {far} m.',
        'no-anchor' => 'There is nothing on this part that is called so to measure from.',
        'too-large' => 'This is larger than the {most} MB that are taken here.',
        'sign-in' => 'Sign in first: you have not, or it is long ago. What you typed is kept.',
        'shop-closed' => 'The shop does not answer. What is lacking is listed all the same; ask the shop again later.',
    ],
    'letter' => [
        'link' => "Hello {name},\n\nby this link you choose a password for Impa. It holds for an hour, once:\n\n{link}\n\nIf you did not ask for it, leave it: nothing has changed.\n",
        'link-subject' => 'Choose a password for Impa',
        'told' => "Hello {name},\n\nyour password for Impa was just chosen anew, and every device was signed out.\n\nIf that was not you, ask for a link at the door at once, and tell who keeps this Impa.\n",
        'told-subject' => 'Your password for Impa was chosen anew',
    ],
];
