import { dayInWords } from '../../core/language';
import { barePlaceDe, placeDe } from '../client-words/places.de';
import { homeGroupsDe, homePlacesDe } from './home-places';
import type { HomeWords } from './words';

const times = (n: number) => (n === 1 ? 'einmal' : n === 2 ? 'zweimal' : `${n}-mal`);

/** The words of a home sheet in German. */
export const german: HomeWords = {
  language: 'de',
  languageName: 'Deutsch',
  places: homePlacesDe,
  groups: homeGroupsDe,
  routines: {
    'nodes-breathing': { title: 'Zehn Atemzüge, zehn Kreise', about: 'Eine kurze Übung, die die Wege offen hält.' },
    'after-armpit': {
      title: 'Für Brust und Arm',
      about: 'Sie führt Flüssigkeit aus Arm und Brust dorthin, wo sie abfließen kann.',
    },
    'one-leg': {
      title: 'Für das Bein',
      about: 'Zuerst die Abflüsse, dann das Bein von oben nach unten, Viertel für Viertel.',
    },
    'face-three': { title: 'Das Gesicht in drei Minuten', about: 'Öffnet den Hals und führt das Gesicht dorthin ab.' },
    'face-counted': {
      title: 'Das Gesicht, gezählt',
      about: 'Zehnmal in die eine Richtung, zehnmal in die andere, und ein paar Punkte zum Drücken.',
    },
    'neck-jaw-tool': {
      title: 'Hals und Kiefer mit dem Schaber',
      about: 'Zwei bis drei Minuten je Seite, über etwas, das gut gleitet.',
    },
    roller: { title: 'Das Gesicht mit dem Roller', about: 'Nur das Gewicht des Rollers, immer zum Abfluss hin.' },
    mouth: { title: 'Innen an den Wangen', about: 'Mit frischem Handschuh, nie öfter als hier steht.' },
  },
  parts: {
    open: 'Öffnen',
    way: 'Den Weg vorbereiten',
    trunk: 'Brust und Bauch',
    'thigh-upper': 'Oberer Oberschenkel',
    'thigh-lower': 'Unterer Oberschenkel und Knie',
    'lower-leg': 'Unterschenkel',
    foot: 'Knöchel und Fuß',
    'upper-arm': 'Oberarm',
    forearm: 'Unterarm',
    hand: 'Hand',
    head: 'Gesicht und Hals',
    close: 'Zum Abschluss',
  },
  acts: {
    breathe: {
      title: 'In den Bauch atmen',
      how: 'Eine Hand auf den Bauch. Durch die Nase ein, sodass sich die Hand hebt; langsam aus, sodass sie sinkt.',
    },
    clear: {
      title: '{place}',
      how: 'Flache Finger, so leicht wie auf einem Augenlid. Die Haut sanft weiterschieben und von selbst zurückkommen lassen.',
    },
    prepare: {
      title: '{place}',
      how: 'Die Haut weiterdehnen, dann loslassen. Nichts gleitet.',
      brief: 'in Richtung {toward}',
    },
    soften: {
      title: '{place}',
      how: 'Kleine langsame Kreise mit der flachen Hand, bis die Haut nachgibt. Es tut nie weh.',
    },
    drain: {
      title: '{place}',
      how: 'Die Haut weiterschieben, dann loslassen. Leicht, und immer in diese Richtung.',
      brief: 'in Richtung {toward}',
    },
    carry: { title: 'Weiter: {toward}', how: 'Ein langer, leichter Strich ab hier: {place}, den ganzen Weg.' },
    return: {
      title: 'Zurück über den ganzen Weg',
      how: 'Ein letzter langer Strich, leicht wie eine Feder, bis hierhin: {toward}.',
    },
    close: { title: '{place}', how: 'Wie am Anfang: flache Finger, leicht, und zurückkommen lassen.' },
    turn: { title: 'Umdrehen', how: 'Langsam, und so, dass Sie gut liegen.' },
  },
  techniques: {
    'belly-breath': {
      title: 'In den Bauch atmen',
      how: 'Eine Hand auf den Bauch. Durch die Nase ein, sodass sich die Hand hebt; langsam aus, sodass sie sinkt.',
    },
    'node-clear': {
      title: '{place}',
      how: 'Flache Finger, so leicht wie auf einem Augenlid. Die Haut sanft weiterschieben und von selbst zurückkommen lassen.',
    },
    'lymph-sweep': {
      title: '{place}',
      how: 'Lange, leichte Striche in eine Richtung; durch die Luft zurück.',
    },
    'drain-down-neck': { title: 'Den Hals hinab', how: 'Vom Ohr hinab zum Schlüsselbein, leicht und langsam.' },
    'sweep-to-ear': { title: '{place}', how: 'Zum Ohr streichen, dann hinab zum Schlüsselbein.' },
    'eye-flush': {
      title: 'Unter den Augen',
      how: 'Mit dem Ringfinger von der Nase zur Schläfe. Kaum eine Berührung.',
    },
    'counted-circles': { title: '{place}', how: 'Zehn kleine Kreise in die eine Richtung, dann zehn in die andere.' },
    'pressure-point': { title: '{place}', how: 'Fünf Zeiten nach innen und oben drücken, atmen, langsam loslassen.' },
    'brow-pinch': { title: 'Brauen', how: 'Kleine, sanfte Kniffe vom inneren Ende nach außen.' },
    'ear-rub-counted': {
      title: 'Ohren',
      how: 'Davor und dahinter reiben, von oben bis zum Ohrläppchen, bis es warm ist.',
    },
    'face-half-each': { title: 'Das ganze Gesicht', how: 'Für jede Hälfte eine Hand, aufwärts, sanft.' },
    'scrape-between-ribs': {
      title: 'Neben dem Brustbein',
      how: 'Mit dem Schaber oder den Fingern, kleine Striche hin und her.',
    },
    'scrape-glide': {
      title: '{place}',
      how: 'Über Öl oder Creme, flach, zum Herzen hin. Rosa genügt; blau ist zu viel.',
    },
    'collar-roll-dry': { title: 'Unter dem Schlüsselbein', how: 'Eine kleine Hautfalte zur Achsel hin rollen.' },
    'cheek-inside-knead': {
      title: 'Innen in der Wange',
      how: 'Daumen innen, Finger außen. Die Wange nach außen schieben, sodass keine Falte entsteht, und langsam kneten.',
    },
    'lip-inside-knead': {
      title: 'Innen an den Lippen',
      how: 'Erst die Oberlippe, dann die Unterlippe: nach außen dehnen.',
    },
    'chew-muscle-inside': {
      title: 'Kaumuskel',
      how: 'Von innen: kleine Kreise, warten, bis er nachgibt. Es tut nie weh.',
    },
    'press-and-release-out': { title: 'Neben dem Mund', how: 'In die Falte drücken, nach außen drehen, loslassen.' },
    'soothing-wave': { title: '{place}', how: 'Weiche Striche mit der flachen Hand, so viel, wie guttut.' },
    'behind-ear-circles': {
      title: 'Hinter den Ohren',
      how: 'Die Daumen auf den Knochen: zehn Kreise, dann zehn andersherum.',
    },
    'breath-between-points': {
      title: 'Dazwischen atmen',
      how: 'Tief durch die Nase ein, durch den Mund aus, und die Augen langsam öffnen.',
    },
    'brow-stroke': {
      title: 'Entlang der Brauen',
      how: 'Mit dem Strich der Haare, von der Nase nach außen: zehnmal, dann noch zehnmal.',
    },
    'fingertip-zigzag-to-ear': {
      title: 'Über die Wange',
      how: 'Fingerspitzen im Zickzack auf und ab, während die Hände zu den Ohren wandern.',
    },
    'forehead-palm-circles': {
      title: 'Stirn und Schläfen',
      how: 'Kreise mit der Handkante: zehn, dann zehn andersherum.',
    },
    'forehead-press-counted': {
      title: 'Stirn',
      how: 'Die Daumen ruhen an den Schläfen; die Finger drücken von der Mitte nach außen und zählen bis zehn.',
    },
    'jaw-inside-scoop': {
      title: 'Innen am Unterkiefer',
      how: 'Daumen innen, Finger außen: kleine Kreise aufwärts, vom Kinn bis zum Kieferwinkel.',
    },
    'spread-medium': { title: '{place}', how: 'Etwas Öl oder Creme in langen, ruhigen Strichen verteilen.' },
    'roller-pass': {
      title: '{place}',
      how: 'Nur das Gewicht des Rollers, in eine Richtung, zum Abfluss hin. Beginnen Sie nah am Abfluss, dann etwas weiter außen.',
    },
    'skin-pinch-dry': {
      title: '{place}',
      how: 'Trockene Finger: kleine Falten entlang der Linie, aufwärts. Lassen Sie es aus, wo die Haut rot oder wund ist.',
    },
    'nostril-fold-rub': {
      title: 'Neben den Nasenflügeln',
      how: 'Sanft in der Falte auf und ab reiben. Es tut nie weh.',
    },
    'contour-strokes': {
      title: '{place}',
      how: 'Flache Finger entlang der Form des Gesichts, aufwärts und nach außen, sanft.',
    },
  },
  placeName: placeDe,
  bareName: barePlaceDe,
  sides: { left: 'links', right: 'rechts', both: 'beide Seiten', own: 'auf der eigenen Seite' },
  counts: {
    times: (n) => `${n}\u00a0×`,
    breaths: (n) => `${n} Atemzüge`,
    hold: (seconds, n) => (n > 1 ? `${n}\u00a0×\u00a0${seconds}\u00a0s` : `${seconds}\u00a0s`),
    placed: (n) => `, an ${n} Stellen`,
    minutes: (n) => (n === 1 ? 'eine Minute' : `${n} Minuten`),
    each: 'an jeder Stelle',
  },
  aftercareTitle: 'Bis morgen',
  aftercare: {
    'oil-stays': 'Lassen Sie das Öl 8 bis 12 Stunden auf der Haut, dann duschen Sie wie gewohnt.',
    'oil-off': 'Nehmen Sie das Öl mit einem warmen Tuch ab, bevor Sie hinausgehen.',
    'no-sun': 'Eingeölte Haut bis übermorgen nicht in die Sonne und nicht ins Solarium.',
    'oil-eyes': 'Kein Öl in die Augen: zuerst mit reinem Öl auswischen, dann mit Wasser spülen.',
    rest: 'Lassen Sie es heute ruhig angehen; früh schlafen tut mehr, als man denkt.',
    water: 'Trinken Sie, wenn Sie Durst haben, und jetzt ein Glas Wasser.',
    'get-up-slowly': 'Stehen Sie langsam auf; warten Sie mit dem Autofahren, bis Sie ganz wach sind.',
    garment: 'Ziehen Sie Ihren Strumpf oder Ärmel jetzt wieder an und tragen Sie ihn wie vereinbart.',
    'no-heat': 'Heute keine Sauna, kein heißes Bad und keine Wärmflasche.',
    'no-sport': 'Heute kein hartes Training; ein Spaziergang ist willkommen.',
    'skin-alone': 'Lassen Sie die Haut heute in Ruhe: kein Peeling, einige Stunden kein Make-up.',
    'flush-normal': 'Eine Rötung kann einige Stunden bleiben, bis zu einem Tag.',
    'mouth-tender': 'Die Wangen können innen bis morgen empfindlich sein; nichts Heißes oder Scharfes.',
    'neck-easy': 'Drehen Sie den Kopf heute sanft, nichts ruckartig, nichts Schweres auf einer Schulter.',
    normal: 'Normal: Müdigkeit, häufigeres Wasserlassen, etwas Empfindlichkeit bis morgen.',
    'not-normal':
      'Nicht normal: Fieber, ein Arm oder Bein, das rot, heiß oder plötzlich dicker wird, zunehmende Schmerzen, ein Ausschlag, der sich ausbreitet. Rufen Sie noch am selben Tag in einer Arztpraxis an.',
    call: 'Bei allen anderen Fragen rufen Sie uns an.',
  },
  before: [
    'Nicht bei Fieber, einer neuen Rötung, einer Wunde oder einer neuen Schwellung.',
    'Sitzen oder liegen Sie gut, die Hände warm und trocken, ohne Eile.',
    'So leicht wie auf einem Augenlid: Nur die Haut bewegt sich. Mehr ist weniger.',
  ],
  stop: [
    'Hören Sie auf, wenn es wehtut oder wenn Ihnen schwindlig oder die Luft knapp wird.',
    'Ein Arm oder Bein, das rot, heiß oder plötzlich dicker wird, Fieber oder Schmerzen in der Wade: nicht weitermachen und noch am selben Tag in einer Arztpraxis anrufen.',
    'Bei allen anderen Fragen rufen Sie uns an.',
  ],
  touches: {
    oil: [
      'Bequem sitzen, ein wenig Öl in den warmen Handflächen, keines in die Nähe der Augen.',
      'Gleichmäßig und ohne Eile: Die Hände gleiten, nichts wird gezogen.',
    ],
    tool: [
      'Nur auf heiler Haut, über etwas, das gleitet; nie über einen Pickel, ein Muttermal oder eine Narbe.',
      'Fast flach halten, kaum drücken: Er gleitet, er schabt nicht.',
    ],
    roller: [
      'Ein sauberer, kühler Roller auf sauberer Haut; nicht über Pickel oder wunde Haut.',
      'Nur mit seinem eigenen Gewicht, langsam.',
    ],
    mouth: [
      'Hände waschen; jedes Mal ein frischer Handschuh; nicht, wenn der Mund wund ist, blutet oder gerade behandelt wurde.',
      'Ein Finger innen, der Daumen außen: weich und langsam, nie am Zahnfleisch.',
    ],
  },
  page: {
    hello: (firstName) => `Guten Tag, ${firstName}`,
    minutes: (n) => `Etwa ${n} ${n === 1 ? 'Minute' : 'Minuten'}`,
    rhythm: (perDay, perWeek) =>
      `${perDay === 1 ? 'Einmal' : perDay === 2 ? 'Zweimal' : `${perDay}-mal`} am Tag, ${perWeek === 7 ? 'jeden Tag' : `an ${perWeek === 1 ? 'einem Tag' : `${perWeek} Tagen`} der Woche`}`,
    at: (list) => `um ${list.map((time) => time.replace(/^0/, '')).join(' und ')} Uhr`,
    beforeTitle: 'Bevor Sie beginnen',
    stopTitle: 'Wann Sie aufhören',
    begin: 'Beginnen',
    next: 'Weiter',
    back: 'Zurück',
    pause: 'Pause',
    goOn: 'Weitermachen',
    paused: 'Pause',
    find: 'Stelle suchen',
    breatheIn: 'ein',
    breatheOut: 'aus',
    hold: 'halten',
    overNext: 'weiter, wenn Sie so weit sind',
    step: (n, of) => `${n} von ${of}`,
    then: 'dann',
    theEnd: 'das ist alles',
    done: 'Geschafft',
    doneHow: 'Ruhen Sie einen Moment und trinken Sie etwas Wasser.',
    tick: 'Abhaken',
    ticked: 'Abgehakt. Beim nächsten Besuch wird es gesehen.',
    tickWaits: 'Auf diesem Telefon gespeichert; es wird gesendet, sobald es eine Verbindung gibt.',
    tooOften: (most, from) =>
      `Mehr als ${times(most)} in sieben Tagen ist zu viel: wieder ab ${dayInWords('de', from)}.`,
    log: 'Jedes Mal abhaken',
    logHow: 'Bringen Sie dies beim nächsten Mal mit.',
    days: ['Mo', 'Di', 'Mi', 'Do', 'Fr', 'Sa', 'So'],
    week: (n) => `Woche ${n}`,
    from: (house, name) => `Von ${name}, ${house}`,
    validUntil: (date) => `Diese Seite gilt bis ${date}.`,
    caution: 'Dies ersetzt keine ärztliche Behandlung. Was Ihre Ärztin oder Ihr Arzt sagt, geht vor.',
    lostTitle: 'Diese Seite gibt es hier nicht',
    lost: 'Der Link ist abgelaufen oder ein Buchstabe stimmt nicht. Lassen Sie sich einen neuen geben.',
    ended: 'Sie haben inzwischen ein neues Blatt bekommen. Bitte benutzen Sie dieses.',
    doneThisWeek: (n, most) =>
      n === 0
        ? 'In den letzten sieben Tagen noch nicht gemacht.'
        : `In den letzten sieben Tagen ${times(n)} gemacht${n >= most ? ': genug' : ''}.`,
    sound: 'Ton an',
    silent: 'stumm',
    all: 'Alle Schritte',
    page: (n, of) => `Seite ${n} von ${of}`,
    asAt: (n) => `Wie bei ${n}.`,
  },
};
