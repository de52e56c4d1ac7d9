import { ClientMeasuringInput, FlagNoteInput } from '../measures';
import { ClearanceInput, FindingChangeInput, MergeInput, PlacedFindingInput } from '../record';
import { type Operation, row, takes } from './operation';

/** What is on record of a client. */
export const record: readonly Operation[] = [
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
