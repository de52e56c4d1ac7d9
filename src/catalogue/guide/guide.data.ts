/** A chapter of the guide for therapists. */
export interface Chapter {
  readonly id: string;
  readonly title: string;
  /** Of `docs/screenshots`, without its ending. */
  readonly picture: string | null;
  readonly paragraphs: readonly string[];
  /** What to do if it does not go as told. */
  readonly trouble?: readonly (readonly [what: string, remedy: string])[];
}

/** How a day with the house goes, in its order. */
export const guide: readonly Chapter[] = [
  {
    id: 'day',
    title: 'The day',
    picture: 'day',
    paragraphs: [
      'The day is a thread from morning to evening. Each visit stands at its time with what matters about it: how it is meant, what was found last time, what has to be ready. Press a name to go on where that visit stands.',
      'Loose ends are records that were not finished. They wait until somebody closes them; nothing is lost meanwhile.',
      'To book, press “Book a visit”, type a few letters of a name and take a proposed time. Somebody new is added on the way. Times leave a quarter of an hour to tidy, and more where stones have to warm.',
    ],
    trouble: [
      [
        'A reminder did not arrive',
        'It stands under Reminders with the reason. Ring the client, or correct the address on the record: what waits follows it.',
      ],
      [
        'A visit was cancelled by mistake',
        'Press Undo in the message at the foot, within twenty seconds; or book it anew.',
      ],
      ['The wrong day is shown', 'Press a day in the week beside the thread.'],
    ],
  },
  {
    id: 'clients',
    title: 'Clients and their records',
    picture: 'client',
    paragraphs: [
      'Find a client by any few letters of a name, a phone number or an address; misspelt works too. The key / jumps there from everywhere.',
      'The record shows on the body what was found and operated, and beside it what follows from that: what is left out, what is done more lightly. A finding is ended, never rubbed out: what was believed at a visit stays known.',
      'How somebody would like to be written to stands under contact and likes: by text, by mail, or rather not. Ask before anything goes out by itself.',
      'Clients who were kept elsewhere come in from a table or an address book: Clients, In and out. You see who is on record already before anything is added, and one press takes it all back.',
      'Dates are typed as the house writes them, with or without dots or strokes. What was understood stands below the field in words.',
    ],
    trouble: [
      ['One person is there twice', 'Open one of the two records and choose “Merge two records”: you see both first.'],
      ['A birthday is not taken', 'It lies in the future, or after a visit: check the year.'],
    ],
  },
  {
    id: 'ask',
    title: 'Asking before the work',
    picture: 'ask',
    paragraphs: [
      'A visit begins with a few gates, each in the words you would say. No closes a gate, yes opens only its questions. One key or one touch a gate is enough: N for no, Y for yes. R answers all that is left with no, and can be taken back.',
      'What was so last time, and what hangs on a letter, is always asked by itself. A reason to stop says what to say to the client and to whom to send them.',
      'What is answered here is obeyed by everything after it: what may be planned, how firmly, with which oils and how warm the stones. Local law and your licence come first.',
    ],
    trouble: [
      ['The visit is stopped and it was a slip', 'Correct the answer: the visit opens again.'],
      ['The client would rather answer alone', 'Hand the tablet over; your PIN takes it back.'],
    ],
  },
  {
    id: 'measure',
    title: 'Measuring',
    picture: 'measure',
    paragraphs: [
      'The sheet opens on what this visit needs. For a tape run, type each girth and press Enter; on a touch screen use the number pad. Highest point on top, as on the body. Volume and difference grow along.',
      'What looks like a slip – a missing decimal point, inches among centimetres, sides swapped – is asked about at once, without stopping you. U takes back the last number.',
      'A change counts only when it is larger than the tape can err. Until then the house says “within measuring error”, and so should you.',
      'Pictures are asked for first: none, for the record only, also in letters. The last one of the view lies half-seen over the camera or the file you choose; when the light is another, you are told while you can still change it. Whoever says no is not photographed, and what is on record goes if they wish.',
    ],
    trouble: [
      [
        'The camera does not open',
        'Allow it for this address in the browser; or take the picture with the device’s own camera and choose its file.',
      ],
      [
        'The numbers of last time were taken at other points',
        'Press C and choose the protocol they were taken by; only girths at the same points are compared.',
      ],
      ['The network is gone', 'Go on: numbers are kept on the device and sent when the house answers.'],
    ],
  },
  {
    id: 'plan',
    title: 'The plan of a drainage',
    picture: 'plan',
    paragraphs: [
      'The house opens the ways before it leads anything along them: the hollow above the collarbones first, then the sound side, then each way from its end. Removed or irradiated groups are gone round; the plan says by which way and why.',
      'F shows how fluid would follow the plan, and beside it the same case done otherwise: the far end first, ways not prepared, nothing opened. It explains the order; it predicts nobody’s body.',
      'Move a step by dragging, or with Alt and the arrow keys. What breaks a rule is named at once, and M mends it. W tells why a step stands where it stands, what it is never done to, and how the hands feel that it has worked.',
    ],
    trouble: [
      [
        'The plan does not fit the time',
        'The ribbon says by how much; choose the short form, fewer areas, or more minutes.',
      ],
      [
        'Nothing is planned',
        'Every way out is closed, or the check stopped the visit: read what the plan says in its place. A physician has to look first.',
      ],
    ],
  },
  {
    id: 'treatment',
    title: 'A treatment of several parts',
    picture: 'treatment',
    paragraphs: [
      'Brushing, drainage, facial, stones and oils can be put into one visit. Their order needs the fewest changes of position and hands; where a protocol teaches an order, that one is kept, and a faster one is only offered.',
      'Each step can be changed: how often, on which side, with which stones. What this client may not have is left out, with the reason beside it.',
      'Where hands found one side tighter within the last month, the plan offers to begin there and to give that side some of the other one’s time. One press takes it, one refuses it; the whole is as long as before, and each step says what the other side gets.',
    ],
  },
  {
    id: 'oils',
    title: 'Oils and blends',
    picture: 'oils',
    paragraphs: [
      'Choose what a blend is for and for whom; B proposes the best that the shelf can give. Drops are whole. Each limit – of an oil, of a constituent, of the skin and the use – is drawn as a bar against what it allows.',
      '“Make it safe” first adds medium, then takes drops out. A bottle that is too old is not used; the shelf says until when each may be.',
    ],
    trouble: [
      [
        'An oil cannot be chosen',
        'It is not for this client today. The reason stands beside it; the oil that is nearest in use is offered.',
      ],
      ['The scale does not answer', 'Count by hand: the mixing card goes on with the space bar.'],
    ],
  },
  {
    id: 'stones',
    title: 'Hot and cool stones',
    picture: 'stones',
    paragraphs: [
      'The bench says how warm the bath has to be, how long a stone stays useful in the hand, when to change it, and how long it may lie. All of it is worked out from the stone, the bath, the cloth and this client’s skin.',
      'A moving stone may be warmer than a resting one, and never rests on bare skin. Where sources differ, the more careful figure is taken.',
    ],
    trouble: [
      [
        'The bath drifts, or its thermometer fails',
        'The table says so at once: measure by hand, and take no stone above the limit that is shown.',
      ],
      ['Stones run short', 'The plan and the room list say which, and what a press would change.'],
    ],
  },
  {
    id: 'prepare',
    title: 'Setting out the room',
    picture: 'prepare',
    paragraphs: [
      'The room list is made from the plan: position and bolsters, linen, oils by bottle and millilitre, stones by number, what has to be switched on and when. Tick by touch or with the space bar; it prints on one leaf.',
    ],
  },
  {
    id: 'table',
    title: 'At the table',
    picture: 'table',
    paragraphs: [
      'One step at a time, to be read from the far end of the table. Space, a foot switch, or a touch with the elbow goes on; the body side goes back. What the step is never done to is always in sight.',
      'One key marks what is felt or said: 1 to 7, X for pain. Pain takes that technique out of the rest of the visit. V holds one side against the other, and an arrow says what you see. When time runs short, the house offers ways out and does what you choose.',
      'It can be followed with eyes closed: B goes from silent to the beat to a voice, H sets how it speaks. It says place, count, breath and change, and never a name or a finding. The view goes on without the network.',
    ],
    trouble: [
      ['The foot switch is silent', 'Space and touch always work. Plug it in again: it is heard at once.'],
      ['Another device leads', 'Press T to take over on this one. Nothing is written twice.'],
      ['The screen may go dark', 'The device saves power. The voice and the clock go on; a touch wakes it.'],
    ],
  },
  {
    id: 'close',
    title: 'Closing a visit',
    picture: 'close',
    paragraphs: [
      'Ask how it was, look at the skin, take the shortest measure that tells whether something has changed. What was marked at the table is already written down; a few words are enough. Pictures from before and after lie over each other: draw the line across.',
      'The house proposes when to come again, and says why; for a limb that is taped it adds what longer and shorter intervals would come to, each with its range. A closed visit can be corrected; what stood there before stays under corrections.',
    ],
  },
  {
    id: 'home',
    title: 'Home sheets',
    picture: 'home',
    paragraphs: [
      'A sheet for home is made from the visit and from what this client may do: about twelve lines, each with side, hand, count and reason, on paper and as a page on their phone. The page can be ticked, and its address runs out.',
    ],
  },
  {
    id: 'progress',
    title: 'Progress',
    picture: 'progress',
    paragraphs: [
      'The course of a swelling with its measuring error, what each visit took, and how much of it held until the next. Two dates can be laid side by side. A letter to the physician is made from here, with figures and their ranges, the neck as a fan, what hands found, and pictures if the client agrees to them in letters.',
      'From four visits on that were taped before and after, the course ahead says what a visit takes, how long it holds, and what an interval would come to, with its range: an estimate, never a promise. Name a goal, and the longest interval that reaches it can be booked as a series.',
      'From eight visits on that were led at the table, work is set beside what changed: visits with more of it against those with less. It went together, or there is no difference to be seen; neither is a cause.',
    ],
  },
  {
    id: 'practice',
    title: 'Practice',
    picture: 'practice',
    paragraphs: [
      'Under Practice are made-up cases without end, in nine kinds and four levels; nobody’s data is used. Put steps into order, lead a way round what is closed, draw a stroke, keep a minute’s pace, keep the count while somebody talks, say how warm a stone may be, how many drops, what may be done today, and whether two runs of the tape differ.',
      'Answer with Enter: it says what was not right and by which rule, and shows what would have been. N brings the case that is most worth practising now. What I know shows each rule as a pebble that fills; what was not known comes back. Ten minutes are enough for a day.',
      'The number of a case is in the address: give it to a colleague, and both have the same. Practise this course, at the foot of a plan, takes it along without whose it is. An owner sets a drill to everybody, and sees under The house practises who is sure in what; nothing is ever forbidden by it.',
    ],
  },
  {
    id: 'library',
    title: 'The library',
    picture: 'library',
    paragraphs: [
      'Every technique and protocol that the house works with: search in your own words, misspelt too. Each says why, what it is never done to, and how the hands feel that it has worked. Change one, and it is kept as your own; what ships can always be had back.',
    ],
  },
  {
    id: 'devices',
    title: 'Devices',
    picture: null,
    paragraphs: [
      'Foot switch, thermometer of the bath, tape with a button, scale for drops and ear-bud each have a stand-in here, to try out what the house does with them, and what it does when they fail.',
    ],
  },
  {
    id: 'house',
    title: 'The house',
    picture: null,
    paragraphs: [
      'The owner sees to people and what each may do, how the house measures and writes dates, what clients consent to, and how the data is kept: encrypted if you wish, backed up every night to a folder that you choose.',
      'The book of changes says who saw and changed what. Nobody can write in it.',
    ],
    trouble: [
      [
        'A passphrase or a phone is lost',
        'Recovery codes were shown once, when they were made; the owner’s own code was shown when the house was opened.',
      ],
      [
        'The house’s computer is full',
        'Everything can still be read, and what you write stays on your device until there is room.',
      ],
    ],
  },
];
