import { FeedbackInput } from '../closing';
import { ConsentInput, HouseInput, IntakeInput } from '../record';
import { DemoSignInInput, HandInput, NewPinInput, PinInput, SignInInput } from '../sign-in';
import { type Operation, row, takes } from './operation';

/** Coming in, going out, and what a client may do on the tablet. */
export const door: readonly Operation[] = [
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
  takes('post', '/api/tablet/{visit}/feedback', FeedbackInput, 'How it was, answered by the client on the tablet.'),
  takes('post', '/api/tablet/{visit}/consent', ConsentInput, 'Stores the consent that was signed on the tablet.'),
];
