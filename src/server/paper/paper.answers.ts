import { countOf } from '../../core/wording/count';
/** Sentences that the server answers in `paper`, in British English; a sentence with values in it is a function of them. */
export const paperAnswers = {
  theCourseAhead: 'The course ahead',
  excessInTwelveWeeks: 'Excess just before the visit after twelve weeks, in brackets where eight of ten draws lie:',
  aVisitEvery: (every: string, visits: number, comesTo: string) =>
    `a visit every ${every} (${countOf(visits, 'visit')}): ${comesTo}`,
  anEstimateNeverAPromise: 'An estimate from these visits alone, never a promise.',
  svgXmlnsHttpWwwW3Org: (width: number, width2: number) =>
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${width2}"></svg>`,
  circleCxCyRFillStroke: (x: number, y: number, r: number, card: string, way: string, value: number) =>
    `<circle cx="${x}" cy="${y}" r="${r}" fill="${card}" stroke="${way}" stroke-width="${value}"/>`,
  svgXmlnsHttpWwwW3Org2: (
    width: number,
    width2: number,
    x: number,
    y: number,
    w: number,
    h: number,
    base: string,
    skin: string,
    regions: string,
    outline: string,
    line: string,
    value: number,
    details: string,
    nodes: string,
    routes: string,
    pebbles: string,
  ) =>
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${width2}" viewBox="${x} ${y} ${w} ${h}"><path d="${base}" fill="${skin}"/>${regions}<path d="${outline}" fill="none" stroke="${line}" stroke-width="${value}"/>${details}${nodes}${routes}${pebbles}</svg>`,
  pathDFillNoneStrokeStroke: (d: string, line: string, value: number) =>
    `<path d="${d}" fill="none" stroke="${line}" stroke-width="${value}"/>`,
  pathDFillNoneStrokeStroke2: (
    d: string,
    way: string,
    value: number,
    leafOutline: string,
    way2: string,
    x: number,
    y: number,
    angle: number,
    value2: number,
  ) =>
    `<path d="${d}" fill="none" stroke="${way}" stroke-width="${value}" stroke-linecap="round"/><path d="${leafOutline}" fill="${way2}" transform="translate(${x} ${y}) rotate(${angle}) scale(${value2})"/>`,
  rectXY05Width: (value: number, soft: string) =>
    `<rect x="${value}" y="0.5" width="12" height="12" rx="3" fill="none" stroke="${soft}"/>`,
  svgXmlnsHttpWwwW3Org3: (width: number, squares: string) =>
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="13">${squares}</svg>`,
  oneVisitSoFar: 'One visit so far.',
  progressOfThe: (name: string, today: string) => `Progress of the ${name}, ${today}`,
  born: (dayInWords: string) => `, born ${dayInWords}`,
  progressOfTheUpTo: (name: string, today: string) => `Progress of the ${name}, up to ${today}`,
  measuredAndRecordedByAPractice:
    'Measured and recorded by a practice that is not medical; no diagnosis. Local law and licences come first.',
  volume: (day: string) => `volume, ${day}`,
  overTheOtherSide: (excessPercent: string, day: string) => `over the other side (${excessPercent} %), ${day}`,
  sinceTheStartMeasuringError: (which: string, text: string) => `since the start: ${which} measuring error (${text})`,
  byOneVisitMedian: (which: string) => `by one visit (median)${which}`,
  ofItHeldToTheNext: (medianRetentionPercent: string) => `; ${medianRetentionPercent} % of it held to the next`,
  notMet: 'not met',
  definitionInUse: (replace: string) => `definition in use: ${replace}`,
  atLeast: 'at least',
  courseOfTheOverDaysThat: (side: string, limb: string, length: number) =>
    `Course of the ${side} ${limb} over ${length} days that were measured; the figures stand in the table below.`,
  tintAlongTheLineWhatThe: (text: string) =>
    `Tint along the line: what the tape can err (95 %). Wide band: measuring error round the start (${text}). Pebbles: visits.`,
  whatEachVisitTookAndHow: 'What each visit took, and how much of it held to the next',
  girthsByTapeAtFixedMarks: (fromCm: string, toCm: string, method: string, side: string, limb: string) =>
    `Girths by tape at fixed marks, ${fromCm} to ${toCm} cm from the zero mark; volumes by the ${method} method, all worked out afresh over this stretch; excess is the ${side} ${limb} minus the other. ± is 1.96 times the standard deviation from the tape.`,
  other: (name: string) => `other, ${name}`,
  excess: (name: string) => `excess, ${name}`,
  after: (name: string) => `after, ${name}`,
  lightTouchDrainageAndMassage: 'light-touch drainage and massage',
  noteToTheTreatingProfessional: (day: string) => `Note to the treating professional, ${day}`,
  toTheTreatingPhysician: 'To the treating physician',
  thisClientCameToUsFor:
    'This client came to us for hands-on work. We are not physicians and make no diagnosis; what follows is what we were told, saw or measured.',
  toldOrSeenToday: 'Told or seen today',
  knownToUs: 'Known to us',
  ourQuestion: 'Our question',
  wouldYouPleaseLookAtThis: (work: string) =>
    `Would you please look at this, and tell us in writing whether the following may be done, and within which limits: ${work}?`,
  mayBeDone: '☐ may be done',
  mayBeDoneWithTheseLimits: '☐ may be done with these limits:',
  notAtPresentAskAgainOn: '☐ not at present; ask again on:',
  dateNameRoleAndSignature: 'Date, name, role and signature',
  handedToTheClientLocalLaw:
    'Handed to the client. Local law, professional codes and the limits of licences come first.',
  whatEachVisitTookAndHow2: 'What each visit took, and how much of it held to the next, as bars.',
  // practice-pdf
  practiceOf: (name: string) => `What ${name} has practised`,
  practisedUpTo: (day: string, answers: number, minutes: number) =>
    `Up to ${day}: ${answers} made-up cases answered, ${minutes} minutes.`,
  nothingPractised: 'Nothing has been practised yet.',
  madeUpCasesOnly: 'Made-up cases only; no client was practised on. It shows what was practised, it certifies nothing.',
  sureOf: (percent: number) => `${percent} of 100 sure`,
  sessionDay: 'Session',
  sessionMinutes: 'Minutes',
  sessionCases: 'Cases',
  sessionMean: 'Mean of 100',
};
