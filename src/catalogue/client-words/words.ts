import type { MessageKind } from '../../core/messages/kinds';
import type { FeedbackField } from '../../contracts/closing';
import type { LanguageId } from '../../core/language';

/** The tablet in a client's hands, before the treatment and after it. */
export interface TabletWords {
  readonly title: string;
  readonly howFar: string;
  readonly hello: (firstName: string) => string;
  readonly example: (suchAs: string) => string;
  readonly noneOfThat: string;
  readonly someOfThat: string;
  readonly no: string;
  readonly yes: string;
  readonly unsure: string;
  readonly back: string;
  readonly next: string;
  readonly skip: string;
  readonly notNow: string;
  readonly pages: string;
  readonly thanks: string;
  readonly giveBack: string;
  readonly pin: string;
  readonly takeBack: string;
  /** The house cannot be reached: what was answered waits on the tablet. */
  readonly keptHere: string;
  readonly notStored: string;
  readonly howWasIt: (firstName: string) => string;
  readonly feedback: Readonly<Record<FeedbackField, string>>;
  readonly pressure: readonly [lighter: string, right: string, deeper: string];
  /** From much too cool to much too hot; from −2 to 2. */
  readonly warmth: readonly string[];
  /** From not at all to very much; from −2 to 2. */
  readonly scent: readonly string[];
}

export interface ConsentWords {
  readonly title: string;
  /** The wording that ships; a house may write its own. */
  readonly paragraphs: readonly string[];
  readonly agreeTo: string;
  readonly areas: Readonly<Record<'breast' | 'groin' | 'buttocks' | 'belly' | 'mouth', string>>;
  readonly whoSigns: string;
  readonly client: string;
  readonly guardian: string;
  readonly fullName: string;
  readonly drawnName: string;
  readonly drawAgain: string;
  readonly ifWished: string;
  readonly agree: string;
  readonly kept: (version: number) => string;
}

export interface ReminderWords {
  readonly we: string;
  /** Over a mail; like all of it, free of any word on health: it travels in the clear. */
  readonly subjects: Readonly<Record<MessageKind, string>>;
  /** When and with whom, within the sentences below. */
  readonly when: (day: string, time: string, therapist: string) => string;
  readonly expected: (house: string, when: string) => string;
  /** `when` may be several, with semicolons between them. */
  readonly booked: (house: string, when: string) => string;
  readonly moved: (house: string, when: string) => string;
  readonly cancelled: (house: string, when: string) => string;
  /** Under a mail. */
  readonly ratherNot: string;
  /** What stands in the client's own calendar. */
  readonly visitAt: (house: string) => string;
}

/**
 * Everything that a client reads beside the home sheet (`catalogue/homecare`) and the questions of the intake: one table
 * a language, of this shape; the compiler says what one still lacks.
 */
export interface ClientWords {
  readonly language: LanguageId;
  readonly tablet: TabletWords;
  readonly consent: ConsentWords;
  readonly reminder: ReminderWords;
}
