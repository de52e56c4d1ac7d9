/** What follows from a yes: an ambulance or physician now, a physician today, or another day for the visit. */
export type CheckAction = 'stop-urgent' | 'refer-same-day' | 'postpone';

export const visitQuestionIds = [
  'fever',
  'spreading-redness',
  'one-sided-swelling',
  'chest-or-breath',
  'wound-trouble',
  'new-lump',
  'anything-new',
] as const;
export type VisitQuestionId = (typeof visitQuestionIds)[number];

export interface VisitQuestion {
  readonly id: VisitQuestionId;
  readonly text: string;
  readonly hint: string;
  /** Absent: a yes is noted and the visit goes on. */
  readonly action?: CheckAction;
  /** What to say to the client after a yes. */
  readonly say?: string;
}

/** The short check before every visit; worst first. It supports trained judgement and clears nobody. */
export const visitQuestions: readonly VisitQuestion[] = [
  {
    id: 'chest-or-breath',
    text: 'Chest pain, or short of breath sitting still or lying flat?',
    hint: 'With both legs swollen this can be the heart.',
    action: 'stop-urgent',
    say: 'I am calling emergency services now. Please stay sitting up.',
  },
  {
    id: 'one-sided-swelling',
    text: 'A leg or arm newly swollen, painful, warm or discoloured in the last days?',
    hint: 'New, on one side: a clot has to be ruled out first.',
    action: 'stop-urgent',
    say: 'This needs a physician today, straight from here, and should not be rubbed. I will write down what I saw for you to take along.',
  },
  {
    id: 'spreading-redness',
    text: 'Skin that is red, hot, sore and spreading, perhaps with shivering?',
    hint: 'Drainage would spread an infection.',
    action: 'refer-same-day',
    say: 'This looks like something that needs treatment today. I will not work on it; please see a physician today.',
  },
  {
    id: 'wound-trouble',
    text: 'A wound or incision that leaks, opens, smells or reddens?',
    hint: 'Never press fluid out of an incision.',
    action: 'refer-same-day',
    say: 'Please ring your surgeon today. I will not press any fluid out.',
  },
  {
    id: 'new-lump',
    text: 'A new lump, or hard, growing or sore glands?',
    hint: 'A physician feels it before any drainage.',
    action: 'refer-same-day',
    say: 'I would like a physician to feel this before we go on. I will write down where it is.',
  },
  {
    id: 'fever',
    text: 'Temperature of 38 °C or more, chills, or feeling feverish in the last two days?',
    hint: 'The body needs its rest.',
    action: 'postpone',
    say: 'Today your body needs rest. We move the visit; during cancer treatment please ring your team now.',
  },
  {
    id: 'anything-new',
    text: 'Anything new since last time: medicine, operation, injection, diagnosis, pregnancy?',
    hint: 'If yes, add it to the findings on the body map.',
  },
];

export type CheckAnswers = Readonly<Partial<Record<VisitQuestionId, 'yes' | 'no'>>>;

export interface CheckOutcome {
  readonly kind: 'open' | 'go' | 'stop';
  readonly unanswered: readonly VisitQuestionId[];
  /** The yes that decides, most urgent first. */
  readonly stoppedBy: readonly VisitQuestion[];
}

const urgency: Readonly<Record<CheckAction, number>> = { 'stop-urgent': 0, 'refer-same-day': 1, postpone: 2 };

/** One yes to a red flag stops the visit at once; otherwise every question has to be answered before it goes on. */
export function judgeVisitCheck(answers: CheckAnswers): CheckOutcome {
  const unanswered = visitQuestions.filter(({ id }) => answers[id] === undefined).map(({ id }) => id);
  const stoppedBy = visitQuestions
    .filter((question) => question.action && answers[question.id] === 'yes')
    .sort((a, b) => urgency[a.action ?? 'postpone'] - urgency[b.action ?? 'postpone']);
  if (stoppedBy.length > 0) return { kind: 'stop', unanswered, stoppedBy };
  return { kind: unanswered.length > 0 ? 'open' : 'go', unanswered, stoppedBy };
}
