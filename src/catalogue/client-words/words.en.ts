import { scentAnswers, warmthAnswers } from '../swelling/scales.data';
import { consentParagraphs } from '../screening/consent.data';
import type { ClientWords } from './words';

export const english: ClientWords = {
  language: 'en',
  tablet: {
    title: 'Questions',
    howFar: 'How far you are',
    hello: (firstName) =>
      `Hello ${firstName}. These questions help us to work safely with you. Answer as well as you can; “not sure” is an answer too. Only the people who treat you here read them.`,
    example: (suchAs) => `For example: ${suchAs}.`,
    noneOfThat: 'no, nothing of that',
    someOfThat: 'yes, or not sure',
    no: 'no',
    yes: 'yes',
    unsure: 'not sure',
    back: 'Back',
    next: 'Next',
    skip: 'Skip',
    notNow: 'Not now, give the tablet back',
    pages: 'Pages',
    thanks: 'Thank you',
    giveBack: 'Please give the tablet back now.',
    pin: 'PIN of the therapist',
    takeBack: 'Take the tablet back',
    keptHere: 'Your answers are kept here and are stored soon.',
    notStored: 'This answer could not be stored. Please give the tablet back and say so.',
    howWasIt: (firstName) => `${firstName}, how was it today? There is no wrong answer.`,
    feedback: {
      pressure: 'How was the pressure?',
      comfort: 'How comfortable was it? 0: not at all, 10: it could not be better',
      relaxationBefore: 'How relaxed were you when you came?',
      relaxationAfter: 'How relaxed are you now?',
      warmth: 'How was the warmth?',
      scent: 'How did you like the scent?',
    },
    pressure: ['lighter, please', 'just right', 'could be deeper'],
    warmth: warmthAnswers.map(({ text }) => text),
    scent: scentAnswers.map(({ text }) => text),
  },
  consent: {
    title: 'Please read this, and sign if you agree',
    paragraphs: consentParagraphs,
    agreeTo: 'I agree to work on',
    areas: { breast: 'breast', groin: 'groin', buttocks: 'buttocks', belly: 'belly', mouth: 'inside of the mouth' },
    whoSigns: 'Who signs',
    client: 'the client',
    guardian: 'a guardian',
    fullName: 'Name in full',
    drawnName: 'Drawn name',
    drawAgain: 'Draw again',
    ifWished: '(if wished)',
    agree: 'I have read this and agree',
    kept: (version) => `Wording ${version}, kept with today’s date.`,
  },
  reminder: {
    we: 'We',
    subject: 'Your visit',
    expected: (house, day, time, therapist) =>
      `${house}: we expect you on ${day} at ${time}, with ${therapist}. If you are not sure that you can come, please ring us first.`,
  },
};
