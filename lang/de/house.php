<?php

declare(strict_types=1);

return [
    'changed-elsewhere' => 'Anderswo geändert',
    'archive-refused' => 'Dieses Archiv wird nicht übernommen',
    'record-refused' => 'Dieser Eintrag wird nicht behalten',
    'log-controller' => [
        'this-stretch-of-work' => 'Diese Arbeitszeit endet, bevor sie anfängt: Die Uhr dieses Geräts wurde inzwischen gestellt.',
        'the-clock-of-this' => 'Die Uhr dieses Geräts geht vor: stellen. Was du gearbeitet hast, bleibt und wird später gezählt.',
        'a-photo' => 'Ein Foto ist ein Bild, das vorher hereingeholt wurde: noch einmal wählen.',
    ],
    'closing-controller' => [
        'at-most-letters-what' => 'Höchstens {longest} Zeichen: was für das nächste am wichtigsten ist.',
        'what-to-change-next' => 'Was beim nächsten Mal anders wird',
    ],
    'hand-controller' => [
        'a-piece' => 'Ein Stück ist eine Kugel, eine Rolle oder eine andere Form.',
        'is-a-number-above' => '{name} ist eine Zahl über 0.',
    ],
    'mend-controller' => [
        'a-mend-has' => 'Eine Ausbesserung hat einen eigenen Namen und sagt in wenigen Worten, was getan wurde.',
    ],
    'part-check-controller' => [
        'this-piece' => 'Dieses Stück',
    ],
    'photo-check-controller' => [
        'a-ruler-is-known' => 'Ein Lineal kennt man an zwei Stellen darauf.',
        'a-view-is-front' => 'Eine Ansicht ist vorn, seitlich, hinten oder oben.',
    ],
    'face-controller' => [
        'the-member-points-must' => 'Das Feld „points“ muss aus zwei Punkten [x, y] in mm bestehen.',
        'one-of-the-two' => 'Eine der beiden Stellen liegt, von vorn gesehen, nicht auf dem Teil.',
        'a-detail-is-kept' => 'Ein Detail behält „drawn“ oder „size“.',
    ],
    'face-picture-controller' => [
        'templates-come-as-pdf' => 'Schablonen gibt es als pdf oder svg.',
    ],
    'needle-controller' => [
        'the-box-of-needles' => 'Das Nadelkästchen',
        'each-gauge-and-kind' => 'Jede Stärke und Art steht einmal im Kästchen.',
    ],
    'archive-controller' => [
        'the-file-is-larger' => 'Die Datei ist größer als 2 GB, oder es ist kein Platz dafür.',
    ],
    'device-controller' => [
        'impa-answers-on-this' => 'Impa antwortet nur auf diesem Rechner. Mit bin/demo --share starten, dann koppeln.',
        'a-tablet' => 'Ein Tablet',
    ],
    'password-controller' => [
        'if-this-address' => 'Ist diese Adresse hier bekannt, ist ein Brief mit einem Link unterwegs. Der Link gilt eine Stunde.',
        'the-password-is-chosen' => 'Das Passwort ist gewählt. Damit anmelden.',
        'too-many-wrong-tries' => 'Zu viele falsche Versuche. Eine Viertelstunde warten oder per Brief ein neues wählen.',
        'the-old-password' => 'Das alte Passwort stimmt nicht.',
        'the-password-is-changed' => 'Das Passwort ist geändert. Andere Geräte sind abgemeldet.',
        'this-link-is-over' => 'Dieser Link ist abgelaufen oder wurde schon benutzt. Einen neuen anfordern.',
    ],
    'session-controller' => [
        'too-many-wrong-tries' => 'Zu viele falsche Versuche. {minutes} Minuten warten oder per Brief ein neues Passwort wählen.',
        'wrong-email-or-password' => 'Falsche E-Mail oder falsches Passwort. Groß und Klein zählen im Passwort.',
        'nobody-signs-in-here' => 'Hier meldet sich niemand an: Dieses Impa ist für die, die am Rechner sitzen.',
    ],
    'kit-controller' => [
        'a-kit' => 'Ein Materialpaket',
    ],
    'set-controller' => [
        'this-set-was-changed' => 'Dieser Satz wurde inzwischen in einem anderen Fenster geändert: neu öffnen.',
        'what-this-set-has' => 'Was dieser Satz zurückgelegt hat',
        'colourways-go-by-hue' => 'Farbstellungen gehen nach hue, swap oder stash.',
        'a-picture' => 'Ein Bild',
        'this-figure-is-not' => 'Diese Figur ist nicht mehr im Regal.',
    ],
    'show-controller' => [
        'a-figure-is-shown' => 'Eine Figur wird in Glas oder Topf gezeigt, an Haken, Ring, Spange oder auf einem Kissen, als Brosche oder im Haus.',
    ],
    'breakdown-controller' => [
        'three-of-your-drawings' => 'Drei deiner Zeichnungen werden schon angesehen. Auf eine davon warten.',
        'waiting-its-turn' => 'Wartet, bis es an der Reihe ist',
    ],
    'edit-controller' => [
        'the-member-shape' => 'Das Feld „shape“ ist keine Form aus dem Katalog.',
        'the-member-kind' => 'Das Feld „kind“ ist part oder detail.',
    ],
    'flat-controller' => [
        'templates-come-as-pdf' => 'Schablonen gibt es als pdf oder svg.',
    ],
    'picture-controller' => [
        'the-file-is-larger' => 'Die Datei ist größer als 30 MB. Das Bild kleiner speichern: 1000 Pixel Breite reichen gut.',
    ],
    'size-cards-controller' => [
        'size-cards-come' => 'Größenkarten gibt es als pdf oder svg.',
    ],
    'thing-controller' => [
        'a-thing-is-held' => 'Zubehör wird gehalten, getragen oder steht daneben.',
    ],
    'booklet-controller' => [
        'this-figure-has-no' => 'Diese Figur hat keine Zeichnung, die hineinkönnte.',
    ],
    'figure-controller' => [
        'the-picture-of-this' => 'Das Bild dieser Figur ist nicht hier. Das Bild noch einmal wählen.',
        'changed-elsewhere' => 'Anderswo geändert',
        'this-figure-was-changed' => 'Diese Figur wurde in einem anderen Fenster geändert, seit du sie geöffnet hast. Von dir ist nichts verloren: deins behalten oder das andere nehmen.',
    ],
    'history-controller' => [
        'the-new-figure-wants' => 'Die neue Figur braucht einen Namen von höchstens 120 Zeichen.',
        'this-revision-is-not' => 'Dieser Stand wird nicht mehr aufgehoben.',
        'this-revision-cannot-be' => 'Dieser Stand lässt sich nach den heutigen Regeln nicht lesen.',
    ],
    'model-controller' => [
        'a-view-is-front' => 'Eine Ansicht ist vorn, seitlich, hinten oder oben.',
    ],
    'render-controller' => [
        'a-view-is-front' => 'Eine Ansicht ist vorn, seitlich, hinten oder oben.',
    ],
    'shared' => [
        'alt' => '{name}, von vorn',
        'is' => '{height} hoch, aus {parts, plural, one {# Form} other {# Formen}}.',
        'takes' => 'Sie braucht etwa {wool} Wolle und {time} Handarbeit, in {steps, plural, one {# Schritt} other {# Schritten}}.',
        'take' => 'Die Figur mitnehmen',
        'then' => 'die Datei auf das Regal des eigenen Impa ziehen.',
    ],
    'shared-link-controller' => [
        'this-figure-is-shared' => 'Diese Figur ist schon mit 20 Links geteilt. Erst einen beenden.',
    ],
    'sizing-controller' => [
        'the-member' => 'Das Feld „by“ ist height, part oder object.',
    ],
    'figure-wool-controller' => [
        'what-this-figure-has' => 'Was diese Figur zurückgelegt hat',
    ],
    'recipe-controller' => [
        'a-mix' => 'Eine Mischung besteht aus ein bis drei Wollen, für 0 g oder mehr.',
        'a-ramp-has-2' => 'Ein Verlauf hat 2 bis {mostSteps} Stufen.',
        'a-swatch' => 'Eine Probe besteht aus zwei oder drei Wollen des Vorrats, jede mit ihrem Anteil.',
    ],
    'stash-table-controller' => [
        'the-stash-is-read' => 'Der Vorrat wird aus csv oder gpl gelesen.',
    ],
    'supply-controller' => [
        'a-shopping-list-comes' => 'Eine Einkaufsliste gibt es als json, pdf oder csv.',
    ],
    'wool-colour-controller' => [
        'the-card-is-grey' => 'Die Karte ist grau, weiß oder keine.',
    ],
    'wool-controller' => [
        'twice-the-same-wool' => 'Zweimal dieselbe Wolle',
        'this-wool-has-faults' => 'Diese Wolle hat Fehler',
    ],
    'bounded-body' => [
        'too-large' => 'Zu groß',
    ],
    'known-felter' => [
        'somebody-else-has-signed' => 'Hier hat sich jemand anders angemeldet, seit du diese Seite geöffnet hast. Neu anmelden: Was du getan hast, wartet auf dich.',
    ],
    'only-this-machine' => [
        'not-paired' => 'Nicht gekoppelt',
        'this-device-is-not' => 'Dieses Gerät ist nicht gekoppelt oder wurde weggeschickt. Dort koppeln, wo Impa läuft: Haus, Tablet koppeln.',
    ],
    'supply-request' => [
        'the-sample-shop' => 'Der Beispielladen ist open, slow, sold-out oder closed.',
    ],
    'record' => [
        'it-ends-before' => 'Es endet, bevor es anfängt.',
    ],
    'store-trouble' => [
        'another-program-holds-impas' => 'Ein anderes Programm hält Impas Speicher fest und lässt nicht los. Das wurde nicht getan; gleich noch einmal versuchen.',
        'impa-may-not-write' => 'Impa darf nicht in seinen eigenen Ordner (storage) schreiben. Das wurde nicht getan. Es erlauben, dann noch einmal versuchen.',
        'the-disk-is-full' => 'Die Festplatte ist voll oder nimmt nicht an, was geschrieben wird. Das wurde nicht getan. Platz schaffen, dann noch einmal versuchen.',
        'impas-store-does-not' => 'Impas Speicher antwortet nicht. Das wurde nicht getan; gleich noch einmal versuchen.',
    ],
    'archive-reader' => [
        'this-archive-holds-more' => 'Dieses Archiv enthält mehr als eine Million Dateien.',
        'in-it-is-nothing' => '„{name}“ darin ist nichts, was Impa packt.',
        'in-it-unpacks' => '„{name}“ darin entpackt sich zu mehr, als eine solche Datei enthalten darf.',
        'in-it-is-damaged' => '„{name}“ darin ist beschädigt: Es ist nicht, was das Verzeichnis sagt.',
        'in-it-holds-more' => '„{name}“ darin enthält mehr, als irgendjemand aufgeschrieben hat.',
        'in-it-cannot-be' => '„{name}“ darin lässt sich nicht lesen.',
        'this-archive-was-made' => 'Dieses Archiv wurde von einem neueren Impa gemacht. Erst dieses auf den neuesten Stand bringen.',
        'this-archive-is-not' => 'Dieses Archiv ist nicht ganz: Seine Dateien sind nicht die seines Verzeichnisses.',
        'in-it-cannot-be-2' => '„{name}“ darin lässt sich nicht entpacken.',
    ],
    'incoming' => [
        'laying-figures' => 'Figuren kommen ins Regal',
        'sets-needles-hand' => 'Sätze, Nadeln, Hand',
        'a-figure' => 'Eine Figur darin ist keine: {why}',
        'taking-pictures' => 'Bilder werden hereingeholt',
        'in-it-is-no' => '„{name}“ darin ist kein Bild: {why}',
    ],
    'incoming-stash' => [
        'the-wool' => 'Die Wolle „{name}“ darin hat Fehler: {implode}',
    ],
    'passwords' => [
        'a-password-has' => 'Ein Passwort hat mindestens {least} Zeichen: Vier oder fünf Wörter sind leicht zu behalten.',
        'a-password-has-2' => 'Ein Passwort hat höchstens {most} Zeichen.',
        'this-password' => 'Dieses Passwort ist immer wieder dasselbe. Mehrere Wörter nehmen.',
        'your-own-name' => 'Der eigene Name oder die Adresse wird zuerst versucht. Andere Wörter nehmen.',
        'this-password-2' => 'Dieses Passwort steht auf jeder Liste der zuerst versuchten. Andere Wörter nehmen.',
    ],
    'figure-set' => [
        'figure-say-which-figure' => 'Figur {i}: sagen, welche Figur des Regals gemeint ist („figure“, ihre Nummer).',
        'figure-its-count' => 'Figur {i}: Die Anzahl ist eine ganze Zahl, die Höhe eine Zahl in mm.',
        'figure-of-the-set' => 'Figur {at} des Satzes ist nicht mehr im Regal: aus dem Satz nehmen.',
        'figure-of-the-set-2' => 'Figur {at} des Satzes: Die Farben sind Hex-Werte nach Schlüsseln.',
    ],
    'picture' => [
        'this-picture-is-not' => 'Dieses Bild ist nicht mehr hier. Noch einmal wählen.',
        'the-file-of-this' => 'Die Datei dieses Bilds ist nicht mehr hier. Noch einmal wählen.',
    ],
    'pairing' => [
        'twenty-devices-are-paired' => 'Zwanzig Geräte sind schon gekoppelt. Erst eins wegschicken: Haus.',
    ],
    'body' => [
        'the-request-is-not' => 'Die Anfrage ist nicht als JSON lesbar.',
        'the-request-must-be' => 'Die Anfrage muss ein JSON-Objekt sein.',
        'the-member-document' => 'Das Feld „document“ mit der Figur fehlt.',
        'the-paper-is-a4' => 'Das Papier ist a4 oder letter.',
        'the-reserve-is-one' => 'Die Reserve ist again, usual oder never.',
        'the-member-must-hold' => 'Das Feld „{name}“ muss Zahlen nach Namen enthalten.',
        'the-member-must-be' => 'Das Feld „{name}“ muss eine ganze Zahl sein.',
        'the-member-must-lie' => 'Das Feld „{name}“ muss zwischen -{most} und {most} liegen.',
        'the-member-must-be-2' => 'Das Feld „{name}“ muss eine Zahl sein.',
        'the-member-must-be-3' => 'Das Feld „{name}“ muss ein Text sein.',
        'the-text-holds' => 'Der Text „{name}“ enthält ein Zeichen, das keine Tastatur schreibt (U+0000): neu eingeben.',
        'the-member-must-be-4' => 'Das Feld „{name}“ muss eine Liste von Texten sein.',
        'the-member-must-be-5' => 'Das Feld „{name}“ muss eine Liste von mindestens zwei Punkten [x, y] sein.',
        'the-member-must-be-6' => 'Das Feld „{name}“ muss ein Objekt sein.',
        'the-member-must-be-7' => 'Das Feld „{name}“ muss eine Liste von Objekten sein.',
        'the-member' => 'Das Feld „{name}“: {why}',
        'the-member-must-lie-2' => 'Das Feld „{name}“ muss zwischen 0 und 1 liegen.',
        'the-member-must-hold-2' => 'Das Feld „{name}“ muss 1 bis 60 Zahlen enthalten, keine unter 0, keine über einer Million.',
        'the-file-is-empty' => 'Die Datei ist leer oder kam nicht ganz an. Noch einmal wählen.',
        'the-file-is-larger' => 'Die Datei ist größer als {most} MB.',
    ],
    'problem' => [
        'the-store-cannot-be' => 'In den Speicher lässt sich nicht schreiben',
        'not-found' => 'Nicht gefunden',
        'beyond-what-is-kept' => 'Mehr, als behalten wird',
        'a-number-in-this' => 'Eine Zahl darin ist zu groß, um sie zu behalten, oder ein Text enthält, was kein Buchstabe ist: neu schreiben.',
        'the-page-is-too' => 'Die Seite ist zu alt',
        'this-page-has-been' => 'Diese Seite war zu lange offen. Neu laden; was geschrieben wurde, bleibt.',
        'not-done-this-way' => 'So geht es nicht',
        'something-broke' => 'Etwas ist kaputtgegangen',
        'not-understood' => 'Nicht verstanden',
        'too-large' => 'Zu groß',
    ],
    'stale' => [
        'was-changed-in-another' => '{what} wurde in einem anderen Fenster geändert, seit du es geöffnet hast. Deins behalten oder das andere nehmen.',
    ],
    'refused' => [
        'labels' => 'Etiketten gibt es als {known}.',
        'scripts' => 'Impa braucht eingeschaltete Skripte: Alles, was es zeigt, zeichnen sie.',
        'no-part' => 'Dieses Teil gibt es in der Figur nicht.',
        'no-detail' => 'Dieses Detail gibt es in der Figur nicht.',
        'gone' => 'Unter dieser Nummer ist hier nichts. Vielleicht wurde es endgültig weggeworfen.',
        'asked-by' => 'Diese Adresse wird mit {method} gefragt.',
        'another-method' => 'einer anderen Methode',
        'no-address' => 'Unter dieser Adresse ist nichts.',
        'broke' => 'In Impa ist etwas kaputtgegangen, und das hier wurde nicht getan. Im Protokoll steht mehr.',
        'missing' => 'Etwas fehlt',
        'refused' => 'Abgelehnt',
        'pictures-full' => 'Deine Bilder brauchen {taken} MB von den {most} MB, die du hier hast. Leer den Papierkorb, wirf alte Fotos weg, oder bitte um mehr Platz.',
        'nothing-taken-in' => ' Es wurde nichts übernommen.',
        'no-zip' => 'Das ist keine ZIP-Datei, oder sie ist abgeschnitten: Ihr Ende fehlt. Hol sie noch einmal.',
        'no-manifest' => 'Das ist eine ZIP-Datei, aber kein Archiv von Impa: Das Verzeichnis fehlt.',
        'record-is-none' => 'Ein Eintrag darin ({which}) ist keiner: {faults}',
        'keep-or-replace' => 'Was schon da ist, bleibt (keep), wird ersetzt (replace) oder daneben gelegt (both).',
        'seeing-ended' => 'Das Zerlegen wurde mittendrin beendet. Versuch es noch einmal; das Bild ist noch da.',
        'seeing-lost' => 'Was Zeichnungen zerlegt, wurde mittendrin beendet. Versuch es gleich noch einmal; das Bild ist noch da.',
        'no-code' => 'Gerade gibt es keinen Code zum Koppeln. Hol einen neuen, wo Impa läuft: Haus, Ein Tablet koppeln.',
        'wrong-code' => 'Das ist nicht der Code. Schau noch einmal; nach fünf falschen Versuchen ist Schluss.',
        'no-record' => 'Diesen Eintrag gibt es nicht mehr.',
        'no-kind' => 'Davon gibt es nichts anzusehen.',
        'no-sign' => 'Dieses Zeichen gibt es nicht: Wähle eins aus der Liste.',
        'mend-takes' => 'Eine Ausbesserung braucht {least} bis {most} Wolle.',
        'no-parts' => 'Es gibt nichts zu fotografieren: Die Figur hat noch keine Teile.',
        'records-aside' => 'Was von deinen Zahlen beiseitegelegt ist',
        'firmness' => 'Ein Stück ist {known}.',
        'twin-wool' => 'Im Vorrat gibt es inzwischen ein anderes „{name}“. Gib dem zuerst einen anderen Namen.',
        'stitch' => 'Ein Stich ist einer von {known}.',
        'not-on-device' => 'Das geht nur, wo Impa läuft, nicht auf einem gekoppelten Gerät.',
        'no-page' => 'Das ist keine Seite einer Figur.',
        'no-step-saved' => 'Diesen Schritt gibt es im Plan der gespeicherten Figur nicht.',
        'clock-ran-on' => 'Die Uhr lief {hours} Stunden ohne Pause: Sie wurde vergessen. Sag, wie viele Minuten du gearbeitet hast.',
        'no-step-key' => 'Das ist kein Schlüssel eines Schritts.',
        'no-step' => 'Diesen Schritt gibt es in der Figur nicht.',
        'gauges' => 'Nadeln gibt es in den Stärken {known}.',
        'no-part-other' => 'Dieses Teil gibt es in der anderen Figur nicht.',
        'afar' => 'Angesehen wird es aus {near} bis {far} m.',
        'no-anchor' => 'Auf diesem Teil heißt nichts so, wovon sich messen ließe.',
        'too-large' => 'Das ist größer als die {most} MB, die hier angenommen werden.',
        'sign-in' => 'Melde dich erst an: Du bist es nicht, oder es ist lange her. Was du getippt hast, ist noch da.',
        'shop-closed' => 'Der Laden antwortet nicht. Was fehlt, steht trotzdem da; frag den Laden später noch einmal.',
    ],
    'letter' => [
        'link' => "Hallo {name},\n\nmit diesem Link wählst du ein Passwort für Impa. Er gilt eine Stunde, einmal:\n\n{link}\n\nHast du nicht darum gebeten, lass ihn liegen: Es hat sich nichts geändert.\n",
        'link-subject' => 'Wähle ein Passwort für Impa',
        'told' => "Hallo {name},\n\ndein Passwort für Impa wurde eben neu gewählt, und jedes Gerät ist abgemeldet.\n\nWarst du das nicht, bitte sofort an der Tür um einen Link, und sag es, wer dieses Impa betreut.\n",
        'told-subject' => 'Dein Passwort für Impa wurde neu gewählt',
    ],
];
