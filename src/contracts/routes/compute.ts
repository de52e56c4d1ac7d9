import type { z } from 'zod';
import { CourseRequest, CourseResponse } from '../course';
import { DrainageCheckRequest, DrainageCheckResponse, DrainagePlanRequest, DrainagePlanResponse } from '../drainage';
import { FlowRequest, FlowResponse } from '../flow';
import { HomeSheetRequest, HomeSheetResponse, TreatmentRequest, TreatmentResponse } from '../judged';
import { LimbVolumeRequest, LimbVolumeResponse } from '../limb-volume';
import {
  BlendBestRequest,
  BlendBestResponse,
  BlendCheckRequest,
  BlendCheckResponse,
  LayeredDropsRequest,
  LayeredDropsResponse,
} from '../oils';
import { ScreeningRequest, ScreeningResponse } from '../screening';
import { SequenceRequest, SequenceResponse, TimeFitRequest, TimeFitResponse } from '../sequencing';
import {
  StoneBathRequest,
  StoneBathResponse,
  StoneContactRequest,
  StoneContactResponse,
  StoneGlideRequest,
  StoneGlideResponse,
  StoneRotationRequest,
  StoneRotationResponse,
} from '../stones';
import {
  LimbChangeRequest,
  LimbChangeResponse,
  MeasurementErrorRequest,
  MeasurementErrorResponse,
  TrendRequest,
  TrendResponse,
} from '../swelling';

import { DrillAnswerRequest, DrillAnswerResponse, DrillRequest, DrillResponse } from '../training';

/** A pure question to the core: open to everybody, nothing is stored, no house is needed. */
const ask = <const Name extends string, Body extends z.ZodType, Answer extends z.ZodType>(
  name: Name,
  body: Body,
  answer: Answer,
  summary: string,
  refusals: readonly number[] = [],
) =>
  ({
    method: 'post',
    path: `/api/compute/${name}`,
    who: 'everybody',
    whileLocked: true,
    whileHanded: true,
    what: 'question',
    summary: `${summary} Stateless.`,
    body,
    answer,
    refusals: [...refusals, 429, 503],
  }) as const;

export const computeRoutes = {
  drainagePlan: ask(
    'drainage-plan',
    DrainagePlanRequest,
    DrainagePlanResponse,
    'Plans a drainage from the drain outwards.',
  ),
  drainageCheck: ask(
    'drainage-check',
    DrainageCheckRequest,
    DrainageCheckResponse,
    'Checks a rearranged course against every rule.',
  ),
  flow: ask(
    'flow',
    FlowRequest,
    FlowResponse,
    'Follows fluid through a body while a course is worked. It explains order; it predicts nobody.',
  ),
  course: ask(
    'course',
    CourseRequest,
    CourseResponse,
    'What one visit takes, how long it is held, and where intervals between visits lead, with ranges.',
  ),
  limbVolume: ask(
    'limb-volume',
    LimbVolumeRequest,
    LimbVolumeResponse,
    'Volume of a taped limb and its excess over the other.',
    [422],
  ),
  limbChange: ask(
    'limb-change',
    LimbChangeRequest,
    LimbChangeResponse,
    'Change from baseline against the other limb or body weight.',
    [422],
  ),
  measurementError: ask(
    'measurement-error',
    MeasurementErrorRequest,
    MeasurementErrorResponse,
    'Error of measurement from pairs of readings.',
    [422],
  ),
  trend: ask('trend', TrendRequest, TrendResponse, 'Slope per week of a dated series with its interval.', [422]),
  screening: ask(
    'screening',
    ScreeningRequest,
    ScreeningResponse,
    'What may be done, changed, kept off or referred, by modality and region.',
  ),
  treatment: ask(
    'treatment',
    TreatmentRequest,
    TreatmentResponse,
    'A treatment of protocols as it may be given to this client, with what is left out or changed and why.',
  ),
  homeSheet: ask(
    'home-sheet',
    HomeSheetRequest,
    HomeSheetResponse,
    'What this client may do at home, by the same judgement.',
  ),
  blendCheck: ask(
    'blend-check',
    BlendCheckRequest,
    BlendCheckResponse,
    'A blend against every published limit, what is usual, and what the client has.',
    [422],
  ),
  blendBest: ask(
    'blend-best',
    BlendBestRequest,
    BlendBestResponse,
    'The best blend in whole drops within every limit. Exact.',
    [422],
  ),
  layeredDrops: ask(
    'layered-drops',
    LayeredDropsRequest,
    LayeredDropsResponse,
    'What undiluted drops on the skin come to, and what they would be diluted.',
  ),
  stoneContact: ask(
    'stone-contact',
    StoneContactRequest,
    StoneContactResponse,
    'What a stone does to the skin under it, at rest or gliding. Calculated, not measured.',
  ),
  stoneBath: ask(
    'stone-bath',
    StoneBathRequest,
    StoneBathResponse,
    'When a set of stones is warm or cool, and what it does to the bath.',
  ),
  stoneGlide: ask('stone-glide', StoneGlideRequest, StoneGlideResponse, 'How long a gliding stone stays useful.'),
  stoneRotation: ask(
    'stone-rotation',
    StoneRotationRequest,
    StoneRotationResponse,
    'Which stone serves when, and what is short. Exact.',
  ),
  sequence: ask(
    'sequence',
    SequenceRequest,
    SequenceResponse,
    'The order of blocks with the least setup time, proven best up to 16.',
    [422],
  ),
  timeFit: ask(
    'time-fit',
    TimeFitRequest,
    TimeFitResponse,
    'Repetitions that cost the least quality within a time, exactly.',
  ),
  drill: ask('drill', DrillRequest, DrillResponse, 'A made-up case to practise on: the same for the same seed.'),
  drillAnswer: ask(
    'drill-answer',
    DrillAnswerRequest,
    DrillAnswerResponse,
    'Judges an answer to a case; null is given up, and still answers what would have been right.',
  ),
} as const;
