import type { z } from 'zod';
import { DrainageCheckRequest, DrainageCheckResponse, DrainagePlanRequest, DrainagePlanResponse } from './drainage';
import { HomeLinkInput, HomeLogInput, HomeSheetInput, HomeTickInput, HousePhoneInput } from './home';
import { LimbVolumeRequest, LimbVolumeResponse } from './limb-volume';
import { ImportStep } from './imports';
import { LibraryFile, ProtocolEntryInput, TechniqueInput } from './library';
import { ClientMeasuringInput, FlagNoteInput, MeasuringInput, ObservationInput, ProtocolInput } from './measures';
import {
  BookingChangeInput,
  ClearanceInput,
  ClientChangeInput,
  ClientInput,
  ClosingInput,
  ConsentInput,
  CourseInput,
  FindingChangeInput,
  HandOverInput,
  HouseInput,
  IntakeInput,
  MergeInput,
  OverrideInput,
  PlacedFindingInput,
  PlanWishInput,
  ReminderInput,
  TableEventsInput,
  TableLeadInput,
  TapingInput,
  VisitCheckInput,
  VisitInput,
} from './record';
import {
  BlendFile,
  BlendInput,
  BottleInput,
  DropScaleInput,
  MixCountInput,
  MixInput,
  PatchReadingInput,
  PatchTestInput,
  ShelfImportInput,
  SmellInput,
  VisitBlendInput,
} from './oil-house';
import {
  BlendBestRequest,
  BlendBestResponse,
  BlendCheckRequest,
  BlendCheckResponse,
  LayeredDropsRequest,
  LayeredDropsResponse,
} from './oils';
import { ScreeningRequest, ScreeningResponse } from './screening';
import {
  LimbChangeRequest,
  LimbChangeResponse,
  MeasurementErrorRequest,
  MeasurementErrorResponse,
  TrendRequest,
  TrendResponse,
} from './swelling';
import {
  BathDeviceInput,
  StoneBathRequest,
  StoneBathResponse,
  StoneCareInput,
  StoneContactRequest,
  StoneContactResponse,
  StoneGlideRequest,
  StoneGlideResponse,
  StoneHabitsInput,
  StoneInput,
  StoneRotationRequest,
  StoneRotationResponse,
} from './stones';
import { ReadyInput, TemplateInput, TreatmentInput } from './treatment';
import { SequenceRequest, SequenceResponse, TimeFitRequest, TimeFitResponse } from './sequencing';
import { DemoSignInInput, HandInput, NewPinInput, PinInput, SignInInput, StaffInput, WordingInput } from './sign-in';

export interface Operation {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  readonly path: string;
  readonly summary: string;
  readonly request?: z.ZodType;
  readonly response?: z.ZodType;
  /** Beside 401, 403 and 423 of the door, and 404 of a path with an id. */
  readonly refusals: readonly number[];
}

type More = Pick<Operation, 'request' | 'response'>;
const row = (
  method: Operation['method'],
  path: string,
  summary: string,
  refusals: readonly number[] = [],
  more: More = {},
): Operation => ({ method, path, summary, refusals, ...more });

/** A request that is checked against a contract. */
const takes = (
  method: 'post' | 'put',
  path: string,
  request: z.ZodType,
  summary: string,
  refusals: readonly number[] = [],
  response?: z.ZodType,
): Operation => row(method, path, summary, [400, ...refusals], { request, ...(response ? { response } : {}) });

const computing: readonly Operation[] = [
  takes(
    'post',
    '/api/compute/drainage-plan',
    DrainagePlanRequest,
    'Plans a drainage from the drain outwards. Stateless.',
    [],
    DrainagePlanResponse,
  ),
  takes(
    'post',
    '/api/compute/drainage-check',
    DrainageCheckRequest,
    'Checks a rearranged course against every rule. Stateless.',
    [],
    DrainageCheckResponse,
  ),
  takes(
    'post',
    '/api/compute/limb-volume',
    LimbVolumeRequest,
    'Volume of a taped limb and its excess over the other. Stateless.',
    [422],
    LimbVolumeResponse,
  ),
  takes(
    'post',
    '/api/compute/limb-change',
    LimbChangeRequest,
    'Change from baseline against the other limb or body weight. Stateless.',
    [422],
    LimbChangeResponse,
  ),
  takes(
    'post',
    '/api/compute/measurement-error',
    MeasurementErrorRequest,
    'Error of measurement from pairs of readings. Stateless.',
    [422],
    MeasurementErrorResponse,
  ),
  takes(
    'post',
    '/api/compute/trend',
    TrendRequest,
    'Slope per week of a dated series with its interval. Stateless.',
    [422],
    TrendResponse,
  ),
  takes(
    'post',
    '/api/compute/screening',
    ScreeningRequest,
    'What may be done, changed, kept off or referred, by modality and region. Stateless.',
    [],
    ScreeningResponse,
  ),
  takes(
    'post',
    '/api/compute/blend-check',
    BlendCheckRequest,
    'A blend against every published limit, what is usual, and what the client has. Stateless.',
    [422],
    BlendCheckResponse,
  ),
  takes(
    'post',
    '/api/compute/blend-best',
    BlendBestRequest,
    'The best blend in whole drops within every limit. Exact. Stateless.',
    [422],
    BlendBestResponse,
  ),
  takes(
    'post',
    '/api/compute/layered-drops',
    LayeredDropsRequest,
    'What undiluted drops on the skin come to, and what they would be diluted. Stateless.',
    [],
    LayeredDropsResponse,
  ),
  takes(
    'post',
    '/api/compute/stone-contact',
    StoneContactRequest,
    'What a stone does to the skin under it, at rest or gliding. Calculated, not measured. Stateless.',
    [],
    StoneContactResponse,
  ),
  takes(
    'post',
    '/api/compute/stone-bath',
    StoneBathRequest,
    'When a set of stones is warm or cool, and what it does to the bath. Stateless.',
    [],
    StoneBathResponse,
  ),
  takes(
    'post',
    '/api/compute/stone-glide',
    StoneGlideRequest,
    'How long a gliding stone stays useful. Stateless.',
    [],
    StoneGlideResponse,
  ),
  takes(
    'post',
    '/api/compute/stone-rotation',
    StoneRotationRequest,
    'Which stone serves when, and what is short. Exact. Stateless.',
    [],
    StoneRotationResponse,
  ),
  takes(
    'post',
    '/api/compute/sequence',
    SequenceRequest,
    'The order of blocks with the least setup time, proven best up to 16. Stateless.',
    [422],
    SequenceResponse,
  ),
  takes(
    'post',
    '/api/compute/time-fit',
    TimeFitRequest,
    'Repetitions that cost the least quality within a time, exactly. Stateless.',
    [],
    TimeFitResponse,
  ),
];

const door: readonly Operation[] = [
  row('get', '/api/health', 'Whether the server is up and a house is set up.'),
  row('get', '/api/openapi.json', 'This document.'),
  takes('post', '/api/house', HouseInput, 'Sets up the house and its owner on an empty data folder.', [409]),
  takes('post', '/api/session', SignInInput, 'Signs in by name and password.', [429]),
  row('delete', '/api/session', 'Signs out on this device.'),
  takes('post', '/api/session/demo', DemoSignInInput, 'Signs in by one click; in the demo house only.'),
  row('post', '/api/session/lock', 'Locks the screen until the PIN.', [409]),
  takes('post', '/api/session/unlock', PinInput, 'Opens a locked screen, or takes a tablet back.', [429]),
  takes('post', '/api/session/hand', HandInput, 'Hands the tablet to the client of a visit.', [409]),
  takes('post', '/api/session/pin', NewPinInput, 'Sets one’s own PIN.'),
  takes('post', '/api/tablet/{visit}', IntakeInput, 'Stores answers that the client gives on the tablet.'),
  takes('post', '/api/tablet/{visit}/consent', ConsentInput, 'Stores the consent that was signed on the tablet.'),
];

const desk: readonly Operation[] = [
  row('get', '/api/clients', 'Clients whose name, phone number or e-mail is near `q`.'),
  takes('post', '/api/clients', ClientInput, 'Adds a client.'),
  takes('put', '/api/clients/{id}', ClientChangeInput, 'Corrects a client’s own data as a new version.', [409]),
  row('get', '/api/bookings/proposals', 'Free times for `minutes` with `therapist` from a day on.', [400]),
  takes('post', '/api/visits', VisitInput, 'Books a visit, or a row of them.'),
  takes('put', '/api/visits/{id}/booking', BookingChangeInput, 'Moves a visit.'),
  row(
    'delete',
    '/api/visits/{id}/booking',
    'Cancels a visit; with `following=1` also the later ones of its row.',
    [400],
  ),
  row('get', '/api/calendar', 'One’s own visits as an iCalendar file.'),
  row('post', '/api/calendar', 'The secret address of one’s own feed; with `renew=1` a new one.'),
  row('get', '/api/calendar/{token}', 'A feed for calendar programs.'),
  takes('post', '/api/reminders', ReminderInput, 'Drives the simulated outbox.'),
];

const visits: readonly Operation[] = [
  row('get', '/api/visits/{id}', 'All that the views of one visit show.'),
  row('get', '/api/visits/{id}/ask', 'Findings, answers, decisions and limits of a visit.'),
  takes('post', '/api/visits/{id}/intake', IntakeInput, 'Stores answers of the full intake.'),
  takes('post', '/api/visits/{id}/check', VisitCheckInput, 'Stores answers of the check before the visit.'),
  takes('post', '/api/visits/{id}/consent', ConsentInput, 'Stores a signed consent.'),
  takes('post', '/api/visits/{id}/overrides', OverrideInput, 'Sets a limit aside for this visit, with a reason.'),
  row('delete', '/api/visits/{id}/overrides/{key}', 'The limit holds again.'),
  row('get', '/api/visits/{id}/referral.pdf', 'The note to the treating professional.'),
  takes('post', '/api/visits/{id}/taping', TapingInput, 'Stores a taping as a new version.', [409]),
  takes('post', '/api/visits/{id}/observations', ObservationInput, 'Stores what was felt, seen or said.', [409]),
  row('delete', '/api/visits/{id}/observations/{key}', 'Takes an observation back; it stays in the history.'),
  row('post', '/api/visits/{id}/photos', 'Keeps a photograph, the body being the picture.', [400, 413]),
  takes('post', '/api/visits/{id}/plan', PlanWishInput, 'Plans the visit from what is known now.', [409]),
  takes('post', '/api/visits/{id}/treatment', TreatmentInput, 'Plans all that a visit is to hold.', [404, 409]),
  takes('put', '/api/visits/{id}/ready', ReadyInput, 'What of the room list is ready.', [404]),
  takes('post', '/api/visits/{id}/course', CourseInput, 'Stores a rearranged course.', [409]),
  row('get', '/api/visits/{id}/events', 'How the treatment stands, and which device leads it.'),
  takes('post', '/api/visits/{id}/lead', TableLeadInput, 'Another device leads the treatment from now on.'),
  takes('post', '/api/visits/{id}/events', TableEventsInput, 'Keeps what happens at the table; again is harmless.'),
  row('get', '/api/visits/{id}/home', 'What may be done at home, and what was given.'),
  takes('post', '/api/visits/{id}/home', HomeSheetInput, 'Draws a home sheet up; with `keep` it becomes the client’s.'),
  row('delete', '/api/home/{id}', 'Ends a home sheet and every link to it.'),
  takes('post', '/api/home/{id}/link', HomeLinkInput, 'Makes a link to a sheet that needs no sign-in and runs out.'),
  row('delete', '/api/home/{id}/link', 'Takes the link back.'),
  takes('post', '/api/home/{id}/log', HomeLogInput, 'Days of the paper log on which the sheet was done.'),
  row('get', '/api/home/{id}/sheet.pdf', 'The sheet to print; `paper` is a4 or letter.', [400]),
  takes('post', '/api/home-page/{token}/ticks', HomeTickInput, 'Ticks a sheet off, from the page behind its link.'),
  takes('post', '/api/visits/{id}/closing', ClosingInput, 'Stores what is asked at the end.', [409]),
  row('post', '/api/visits/{id}/finish', 'Closes the visit.'),
  takes('post', '/api/visits/{id}/handover', HandOverInput, 'Hands the visit over to a colleague.'),
];

const record: readonly Operation[] = [
  takes('post', '/api/clients/{id}/findings', PlacedFindingInput, 'Places a finding on the body map.'),
  takes('put', '/api/clients/{id}/findings/{key}', FindingChangeInput, 'Corrects a finding; the old one stays.'),
  row('delete', '/api/clients/{id}/findings/{key}', 'Ends a finding; it stays in the history.'),
  takes('post', '/api/clients/{id}/findings/{key}/clearance', ClearanceInput, 'Adds a written note to a finding.'),
  row('get', '/api/clients/{id}/progress.pdf', 'The course of a limb on one or two pages.', [400]),
  row('get', '/api/clients/{id}/measures.csv', 'All girths of a client as CSV.'),
  takes('put', '/api/clients/{id}/measuring', ClientMeasuringInput, 'How a client is measured from now on.'),
  takes('post', '/api/clients/{id}/flags/{key}', FlagNoteInput, 'Closes a flag with what was done.'),
  row('post', '/api/clients/{id}/archive', 'Puts a client aside.'),
  row('delete', '/api/clients/{id}/archive', 'Takes a client back from the archive.'),
  row('get', '/api/clients/{id}/merge', 'What merging with the client `with` would do.'),
  takes('post', '/api/clients/{id}/merge', MergeInput, 'Makes one record of two.', [409]),
  row('get', '/api/clients/{id}/export', 'Everything on record of a client as JSON.'),
  row('post', '/api/clients/{id}/files', 'Keeps a picture or PDF, the body being the file.', [400, 413]),
  row('get', '/api/clients/{id}/files/{key}', 'A file of the record.'),
  row('delete', '/api/clients/{id}/files/{key}', 'Removes a file.'),
  row('delete', '/api/clients/{id}', 'Erases a client for good; `name` as it stands on the record.', [400]),
];

const house: readonly Operation[] = [
  takes('post', '/api/staff', StaffInput, 'Adds somebody to the house.'),
  takes('put', '/api/staff/{id}', StaffInput, 'Changes what somebody is, may and works.'),
  row('post', '/api/imports', 'Reads and checks a table of girths, the body being the table.', [400, 413]),
  row('get', '/api/imports/{job}', 'How an import stands.'),
  takes('post', '/api/imports/{job}', ImportStep, 'Stores what was checked, all or nothing.'),
  row('delete', '/api/imports/{job}', 'Stops an import; nothing of it stays.'),
  takes('put', '/api/house', HousePhoneInput, 'Whom clients ring.'),
  takes('post', '/api/measuring', MeasuringInput, 'What the house has decided about measuring.'),
  takes('post', '/api/protocols', ProtocolInput, 'Adds a protocol of taping.'),
  takes('put', '/api/protocols/{id}', ProtocolInput, 'Changes an own protocol that no taping was made by.'),
  row('delete', '/api/protocols/{id}', 'Takes an own protocol out of the choice.'),
  row('get', '/api/library', 'The house’s own techniques and protocols as a file; with `?all` all it works with.'),
  takes('post', '/api/library', LibraryFile, 'What a library file would bring; with `?keep` it is brought in.', [413]),
  row('get', '/api/library/view', 'What the Library view shows.'),
  row('get', '/api/library/schema', 'The shape of a library file as a JSON Schema.'),
  takes('put', '/api/library/techniques/{key}', TechniqueInput, 'Keeps a technique as the house’s own.', [409]),
  row('delete', '/api/library/techniques/{key}', 'Takes an own technique away; what ships comes back.', [400]),
  takes('put', '/api/library/protocols/{key}', ProtocolEntryInput, 'Keeps a protocol as the house’s own.', [409]),
  row('delete', '/api/library/protocols/{key}', 'Takes an own protocol away; what ships comes back.'),
  row('get', '/api/oils', 'The blend bench: shelf, house blends; `visit` or `client` adds whom it is for.'),
  row('get', '/api/oils/bottles', 'Bottles with their age, and what to order.'),
  takes('post', '/api/oils/bottles', BottleInput, 'Adds a bottle.'),
  takes('put', '/api/oils/bottles/{key}', BottleInput, 'Changes, counts or discards a bottle.', [404]),
  row('get', '/api/oils/shelf.csv', 'The shelf as CSV.'),
  takes('post', '/api/oils/import', ShelfImportInput, 'Reads a shelf from CSV; stores it when it is sure and sound.'),
  row('get', '/api/oils/blends', 'The blends of the house as a file.'),
  takes('post', '/api/oils/blends/import', BlendFile, 'Brings in blends from such a file, all or none.'),
  takes('post', '/api/oils/blends', BlendInput, 'Keeps a blend of the house.'),
  row('delete', '/api/oils/blends/{key}', 'Takes a house blend away.', [404]),
  takes('post', '/api/oils/mixes', MixInput, 'Begins a bottle.', [404]),
  row('get', '/api/oils/mixes/{id}', 'A bottle with its label.'),
  takes('put', '/api/oils/mixes/{id}', MixCountInput, 'Keeps what has been counted in.'),
  row('post', '/api/oils/mixes/{id}', 'Finishes a bottle: judged, drawn from the shelf, dated.', [400]),
  row('delete', '/api/oils/mixes/{id}', 'Gives a bottle up.', [400]),
  row('get', '/api/oils/mixes/{id}/label.pdf', 'Its label; `size` small, usual or large.', [400, 422]),
  row('get', '/api/oils/mixes/{id}/aftercare.pdf', 'What the client is to mind at home, as PDF.'),
  takes('post', '/api/oils/smell', SmellInput, 'What a client chose by nose.', [404]),
  takes('put', '/api/visits/{id}/blend', VisitBlendInput, 'The blend that a visit carries.'),
  takes('post', '/api/patch-tests', PatchTestInput, 'Places a patch test.', [404]),
  takes('post', '/api/patch-tests/{id}', PatchReadingInput, 'Reads a patch test.'),
  row('get', '/api/devices/drop-scale', 'What the drop scale says.'),
  takes('post', '/api/devices/drop-scale', DropScaleInput, 'Drives the simulated drop scale.'),
  row('get', '/api/stones', 'The stones of the house; `visit` adds what a visit asks of them.'),
  takes('post', '/api/stones', StoneInput, 'Adds stones.'),
  takes('put', '/api/stones/{key}', StoneInput, 'Changes or retires a stone.', [404]),
  takes('post', '/api/stones/care', StoneCareInput, 'Writes down that stones or bath were seen to.'),
  takes('put', '/api/stones/habits', StoneHabitsInput, 'How warm the house works with stones.'),
  row('get', '/api/devices/stone-bath', 'What the thermometer in the bath says, and what to make of it.'),
  takes('post', '/api/devices/stone-bath', BathDeviceInput, 'Drives the simulated bath.'),
  row('get', '/api/treatments', 'What may be chosen for a visit; `client` adds what is usual for that client.'),
  takes('post', '/api/treatments', TemplateInput, 'Keeps a treatment to be taken again.'),
  row('delete', '/api/treatments/{key}', 'Takes a kept treatment away.'),
  takes('post', '/api/wording', WordingInput, 'A new version of what clients consent to.', [409]),
];

export const operations: readonly Operation[] = [...computing, ...door, ...desk, ...visits, ...record, ...house];
